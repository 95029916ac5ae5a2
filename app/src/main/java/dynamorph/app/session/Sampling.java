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
 */
public record Sampling(Sample sample, Set<Facet> facets, boolean withStyles) {
  /** Everything but where the sample stands. */
  public static final Set<Facet> USUAL =
      Set.copyOf(EnumSet.complementOf(EnumSet.of(Facet.PLACEMENT)));

  public Sampling {
    facets = Set.copyOf(facets);
  }

  public Sampling with(Set<Facet> changed) {
    return new Sampling(sample, changed, withStyles);
  }

  public Sampling followingStyles(boolean changed) {
    return new Sampling(sample, facets, changed);
  }

  public StampSample on(Target target) {
    return new StampSample(target, sample, facets, withStyles);
  }
}
