package dynamorph.model;

import dynamorph.model.style.StyleId;
import dynamorph.model.value.Colour;
import java.util.Collection;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.pcollections.PVector;
import org.pcollections.TreePVector;

/**
 * A surface to set text on.
 *
 * @param width in points, positive
 * @param height in points, positive
 * @param x where its left edge lies on the plane of all artboards, in points
 * @param y where its top edge lies on that plane, in points
 * @param layers in paint order, lowest first
 * @param baseStyle the style that plain text on it takes instead of the project's base style
 */
public record Artboard(
    ArtboardId id,
    String name,
    double width,
    double height,
    LengthUnit unit,
    Colour background,
    double x,
    double y,
    PVector<Layer> layers,
    Optional<StyleId> baseStyle) {
  /** Ten metres in points. */
  private static final double LARGEST = 28_346.5;

  public Artboard {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(unit, "unit");
    Objects.requireNonNull(background, "background");
    Objects.requireNonNull(baseStyle, "baseStyle");
    if (!(width >= 1 && width <= LARGEST && height >= 1 && height <= LARGEST)) {
      throw new IllegalArgumentException(
          "an artboard is between 1 pt and 10 m on each side, got "
              + width
              + " \u00d7 "
              + height
              + " pt");
    }
    if (!Double.isFinite(x) || !Double.isFinite(y)) {
      throw new IllegalArgumentException("the place of an artboard must be finite");
    }
  }

  /** An empty artboard; sizes in its unit. */
  public static Artboard empty(
      String id, String name, double width, double height, LengthUnit unit) {
    return new Artboard(
        new ArtboardId(id),
        name,
        unit.toPoints(width),
        unit.toPoints(height),
        unit,
        Colour.hex("#ffffff"),
        0,
        0,
        TreePVector.empty(),
        Optional.empty());
  }

  public Artboard withName(String changed) {
    return new Artboard(id, changed, width, height, unit, background, x, y, layers, baseStyle);
  }

  public Artboard withSize(double changedWidth, double changedHeight) {
    return new Artboard(
        id, name, changedWidth, changedHeight, unit, background, x, y, layers, baseStyle);
  }

  public Artboard withBackground(Colour changed) {
    return new Artboard(id, name, width, height, unit, changed, x, y, layers, baseStyle);
  }

  public Artboard withOrigin(double changedX, double changedY) {
    return new Artboard(
        id, name, width, height, unit, background, changedX, changedY, layers, baseStyle);
  }

  public Artboard withLayers(Collection<Layer> changed) {
    PVector<Layer> vector =
        changed instanceof PVector<Layer> same ? same : TreePVector.from(changed);
    return new Artboard(id, name, width, height, unit, background, x, y, vector, baseStyle);
  }

  public Artboard withBaseStyle(Optional<StyleId> changed) {
    return new Artboard(id, name, width, height, unit, background, x, y, layers, changed);
  }

  public Artboard plus(Layer layer) {
    return withLayers(layers.plus(layer));
  }

  /** With every layer changed; itself if none changes. Untouched parts are shared. */
  public Artboard mapLayers(UnaryOperator<Layer> change) {
    PVector<Layer> changed = layers;
    int index = 0;
    for (Layer layer : layers) {
      Layer after = change.apply(layer);
      if (after != layer) {
        changed = changed.with(index, after);
      }
      index++;
    }
    return changed == layers ? this : withLayers(changed);
  }

  public Optional<Layer> layer(LayerId wanted) {
    return layers.stream().filter(layer -> layer.id().equals(wanted)).findFirst();
  }

  /** Size as people say it: {@code 900 × 600 mm}. */
  public String sizeText() {
    return unit.format(width) + " \u00d7 " + unit.format(height) + " " + unit.symbol();
  }
}
