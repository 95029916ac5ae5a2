package dynamorph.model.edit.importing;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.edit.style.StampSample;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Facet;
import java.util.Set;

/** Puts the look of a text of another project on texts here; its styles come with it. */
public record ImportLook(ImportStyles styles, Target target, Sample sample, Set<Facet> facets)
    implements Edit {
  @Override
  public Project applyTo(Project before) {
    ImportStyles.Arrived arrived = styles.arrive(before);
    return new StampSample(target, arrived.settled(sample), facets, true)
        .applyTo(arrived.project());
  }

  @Override
  public String label(Project before) {
    return Messages.of("import-look.paste-the-look-of-on", sample.from(), target.label());
  }
}
