package dynamorph.model.edit.layer;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import java.util.List;
import java.util.Optional;

/** Moves layers on their artboards, by points to the right and down; what is locked stays. */
public record MoveLayers(Target.Layers target, double across, double down) implements Edit {
  @Override
  public Project applyTo(Project before) {
    Cascade cascade = Cascade.of(before);
    Project project = before;
    for (LayerId id : LockedLayers.free(before, target.layers())) {
      project = moved(project, cascade, id, across, down);
    }
    return project;
  }

  /**
   * A project in which one layer is moved; as it was if it has none such.
   *
   * @param cascade of the project before anything was moved
   */
  static Project moved(Project project, Cascade cascade, LayerId id, double across, double down) {
    Optional<PropertySet> values = project.layer(id).map(cascade::values);
    return values
        .map(now ->
            SetValues.of(new Target.Layers(List.of(id)), places(now, across, down))
                .applyTo(project))
        .orElse(project);
  }

  private static PropertySet places(PropertySet values, double across, double down) {
    return PropertySet.EMPTY
        .with(Properties.POSITION_X, values.get(Properties.POSITION_X.key()).orElse(0.0) + across)
        .with(Properties.POSITION_Y, values.get(Properties.POSITION_Y.key()).orElse(0.0) + down);
  }

  @Override
  public String label(Project before) {
    return Messages.of("move-layers.move", target.label());
  }
}
