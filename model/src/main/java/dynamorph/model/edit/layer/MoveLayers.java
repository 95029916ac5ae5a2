package dynamorph.model.edit.layer;

import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import java.util.List;

/** Moves layers on their artboards, by points to the right and down. */
public record MoveLayers(Target.Layers target, double across, double down) implements Edit {
  @Override
  public Project applyTo(Project before) {
    Cascade cascade = Cascade.of(before);
    Project project = before;
    for (var id : target.layers()) {
      var layer = project.layer(id);
      if (layer.isPresent()) {
        PropertySet values = cascade.values(layer.get());
        PropertySet moved =
            PropertySet.EMPTY
                .with(
                    Properties.POSITION_X,
                    values.get(Properties.POSITION_X.key()).orElse(0.0) + across)
                .with(
                    Properties.POSITION_Y,
                    values.get(Properties.POSITION_Y.key()).orElse(0.0) + down);
        project = SetValues.of(new Target.Layers(List.of(id)), moved).applyTo(project);
      }
    }
    return project;
  }

  @Override
  public String label(Project before) {
    return Messages.of("move-layers.move", target.label());
  }
}
