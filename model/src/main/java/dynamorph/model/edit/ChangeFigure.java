package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.figure.Figure;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * Changes the form of layers that have one; texts among them are left alone.
 *
 * @param change gives another form, or the same
 */
public record ChangeFigure(List<LayerId> layers, UnaryOperator<Figure> change) implements Edit {
  public ChangeFigure {
    layers = List.copyOf(layers);
  }

  @Override
  public Project applyTo(Project project) {
    return project.mapLayers(Set.copyOf(layers), this::changed);
  }

  private Layer changed(Layer layer) {
    Optional<Figure> figure = layer.figure().map(change);
    return figure.equals(layer.figure()) ? layer : layer.withFigure(figure);
  }

  @Override
  public String label(Project project) {
    return "Change the shape";
  }
}
