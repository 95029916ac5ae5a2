package dynamorph.model.edit.layer;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.shape.Shape;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * Changes the form of layers that have one; texts among them are left alone.
 *
 * @param change gives another form, or the same
 */
public record ChangeShape(List<LayerId> layers, UnaryOperator<Shape> change) implements Edit {
  public ChangeShape {
    layers = List.copyOf(layers);
  }

  @Override
  public Project applyTo(Project project) {
    return project.mapLayers(Set.copyOf(layers), this::changed);
  }

  private Layer changed(Layer layer) {
    Optional<Shape> shape = layer.shape().map(change);
    return shape.equals(layer.shape()) ? layer : layer.withShape(shape);
  }

  @Override
  public String label(Project project) {
    return Messages.of("change-shape.change-the-shape");
  }
}
