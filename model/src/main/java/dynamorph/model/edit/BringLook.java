package dynamorph.model.edit;

import dynamorph.model.Project;
import dynamorph.model.property.Facet;
import java.util.Set;

/** Puts the look of a text of another project on texts here; its styles come with it. */
public record BringLook(BringStyles styles, Target target, Sample sample, Set<Facet> facets)
    implements Edit {
  @Override
  public Project applyTo(Project before) {
    BringStyles.Arrived arrived = styles.arrive(before);
    return new StampSample(target, arrived.settled(sample), facets, true)
        .applyTo(arrived.project());
  }

  @Override
  public String label(Project before) {
    return "Paste the look of " + sample.from() + " on " + target.label();
  }
}
