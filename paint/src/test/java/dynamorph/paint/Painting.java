package dynamorph.paint;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.stage.StageRenderer;
import dynamorph.paint.stage.View;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;

/** Paints small projects for tests, with the shipped fonts only. */
public final class Painting {
  public static final Address FILL = Address.coat("fill");
  public static final Rgba SURROUND = Rgba.of(128, 128, 128);
  private static final FontLibrary FONTS = FontLibrary.shipped();

  private Painting() {}

  public static SceneMaker maker() {
    return new SceneMaker(new Typesetter(FONTS), new LayerPainter());
  }

  /** A white artboard of 200 × 100 pt at the plane's origin. */
  public static Artboard board(Layer... layers) {
    Artboard board = Artboard.empty("a", "A", 200, 100, LengthUnit.POINT);
    for (Layer layer : layers) {
      board = board.plus(layer);
    }
    return board;
  }

  public static Project project(Layer... layers) {
    return Project.empty("P").plus(board(layers));
  }

  /** A full block that fills the font's whole height: an upright black rectangle. */
  public static Layer text(String id, String words, PropertySet local) {
    PropertySet sized =
        PropertySet.EMPTY
            .with(Properties.SIZE, FontSize.points(40))
            .with(Properties.COAT_COLOUR.at(FILL), Colour.of(Rgba.BLACK));
    PropertySet frame =
        PropertySet.EMPTY.with(Properties.POSITION_X, 20.0).with(Properties.POSITION_Y, 10.0);
    return Layer.of(id, id, words).withFrame(frame).withLocal(sized.overlaidBy(local));
  }

  /** The whole artboard at so many pixels a point, through the stage. */
  public static Pixels stage(Project project, double scale) {
    View view = new View((int) (200 * scale), (int) (100 * scale), scale, 0, 0);
    Pixels pixels = Pixels.blank(view.width(), view.height());
    Scene scene = maker().make(project);
    try (StageRenderer renderer = new StageRenderer(new LayerPainter(), Runnable::run, 0)) {
      renderer.render(scene, view, SURROUND, pixels, () -> false);
    }
    return pixels;
  }

  /** How many pixels have exactly this colour. */
  public static int count(Pixels pixels, Rgba colour) {
    int count = 0;
    for (int y = 0; y < pixels.height(); y++) {
      for (int x = 0; x < pixels.width(); x++) {
        count += pixels.argb(x, y) == colour.argb() ? 1 : 0;
      }
    }
    return count;
  }

  /** Mean difference of a channel, 0 to 255. */
  public static double difference(Pixels one, Pixels other) {
    long sum = 0;
    for (int at = 0; at < one.bytes().capacity(); at++) {
      sum += Math.abs((one.bytes().get(at) & 0xFF) - (other.bytes().get(at) & 0xFF));
    }
    return sum / (double) one.bytes().capacity();
  }
}
