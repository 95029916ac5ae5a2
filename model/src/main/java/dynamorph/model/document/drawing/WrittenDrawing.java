package dynamorph.model.document.drawing;

import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.value.Colour;
import dynamorph.model.value.WritingMode;
import java.util.List;
import java.util.Optional;

/**
 * A drawing as it was made elsewhere: a page with texts and shapes in their places.
 *
 * @param title what it is called
 * @param words its texts, a paragraph each, and the looks that they have
 * @param width in points
 * @param height in points
 * @param unit in which its maker measured
 * @param items in paint order, lowest first
 * @param images what its shapes show
 */
public record WrittenDrawing(
    String title,
    WrittenDocument words,
    double width,
    double height,
    LengthUnit unit,
    Optional<Colour> background,
    List<Item> items,
    List<Asset> images) {
  public WrittenDrawing {
    items = List.copyOf(items);
    images = List.copyOf(images);
  }

  /** What stands on it. */
  public sealed interface Item {}

  /**
   * A text.
   *
   * @param paragraph its words, by their index among the paragraphs of the drawing
   * @param x where its first line begins, is centred or ends, in points
   * @param y where the baseline of that line lies, in points
   * @param rotation degrees clockwise about that place
   * @param mode how its lines run; the baseline of vertical ones is at x, and they begin at y
   * @param across what of its first line lies there: 0 its beginning, 0.5 its middle, 1 its end
   */
  public record Text(
      int paragraph,
      String name,
      double x,
      double y,
      double rotation,
      WritingMode mode,
      double across)
      implements Item {}

  /** A shape, with its look as local changes. */
  public record Form(Layer layer) implements Item {}

  /** How many texts it has. */
  public int texts() {
    return (int) items.stream().filter(Text.class::isInstance).count();
  }
}
