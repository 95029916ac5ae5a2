package dynamorph.app.session;

import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.edit.style.StampSample;
import dynamorph.model.property.Facet;
import java.util.EnumSet;
import java.util.Set;

/**
 * A loaded sampler.
 *
 * @param facets what it stamps
 * @param withStyles whether its styles are followed too
 * @param takesAnother whether the next click takes another sample instead of stamping this one
 */
public record Sampling(Sample sample, Set<Facet> facets, boolean withStyles, boolean takesAnother) {
  /** Everything but where the sample stands. */
  public static final Set<Facet> USUAL =
      Set.copyOf(EnumSet.complementOf(EnumSet.of(Facet.PLACEMENT)));

  public Sampling {
    facets = Set.copyOf(facets);
  }

  public Sampling with(Set<Facet> changed) {
    return new Sampling(sample, changed, withStyles, takesAnother);
  }

  public Sampling followingStyles(boolean changed) {
    return new Sampling(sample, facets, changed, takesAnother);
  }

  public Sampling takingAnother(boolean changed) {
    return new Sampling(sample, facets, withStyles, changed);
  }

  public StampSample on(Target target) {
    return new StampSample(target, sample, facets, withStyles);
  }
}
