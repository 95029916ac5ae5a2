package dynamorph.paint.reach;

import dynamorph.paint.Pixels;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;

/** Measures how much of a text is seen to change: both states are painted small and compared. */
final class SeenChange {
  /** The longer side of the small picture, in pixels. */
  private static final double SIDE = 72;

  private final LayerPainter painter;

  SeenChange(LayerPainter painter) {
    this.painter = painter;
  }

  /** 0 if no pixel differs, 1 if all do as much as they can. */
  double between(Scene.Found one, Scene.Found other) {
    Box box = ink(one.text()).with(ink(other.text()));
    double scale = SIDE / Math.max(1e-6, Math.max(box.width(), box.height()));
    int width = (int) Math.max(1, Math.ceil(box.width() * scale));
    int height = (int) Math.max(1, Math.ceil(box.height() * scale));
    Pixels before = draw(one, box, scale, width, height);
    Pixels after = draw(other, box, scale, width, height);
    long sum = 0;
    for (int index = 0; index < width * height * 4; index++) {
      sum += Math.abs((before.bytes().get(index) & 0xFF) - (after.bytes().get(index) & 0xFF));
    }
    return sum / (255.0 * 3 * width * height);
  }

  private static Box ink(PlacedLayer text) {
    return text.onArtboard(text.ink().with(text.layout().content()));
  }

  private Pixels draw(Scene.Found found, Box box, double scale, int width, int height) {
    return Pixels.draw(
        width,
        height,
        canvas -> {
          canvas.clear(found.board().background().argb());
          canvas.scale((float) scale, (float) scale);
          canvas.translate((float) -box.x(), (float) -box.y());
          found.text().enter(canvas);
          painter.paint(canvas, found.text().layout(), found.text().look());
        });
  }
}
