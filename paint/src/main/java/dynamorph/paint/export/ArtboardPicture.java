package dynamorph.paint.export;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Artboard;
import dynamorph.paint.Pixels;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.message.Messages;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;

/** Draws an artboard with all its texts. */
public final class ArtboardPicture {
  /** The most pixels one picture may have: 256 million, one gigabyte. */
  private static final double MOST_PIXELS = 256e6;

  private final LayerPainter painter;

  public ArtboardPicture(LayerPainter painter) {
    this.painter = painter;
  }

  /**
   * The artboard as a PNG file.
   *
   * @param scale pixels per point, positive
   * @throws IllegalArgumentException if the picture would be empty or too large
   */
  public byte[] png(Scene.Board board, double scale) {
    Artboard artboard = board.artboard();
    int width = (int) Math.round(artboard.width() * scale);
    int height = (int) Math.round(artboard.height() * scale);
    if (!(scale > 0) || width < 1 || height < 1) {
      throw new IllegalArgumentException(
          Messages.of("artboard-picture.at-scale-the-artboard-has-no", scale));
    }
    if ((double) width * height > MOST_PIXELS) {
      throw new IllegalArgumentException(
          Messages.of("artboard-picture.at-scale-the-picture-would-be", scale, width, height));
    }
    try (Surface surface = Surface.makeRasterN32Premul(width, height)) {
      Canvas canvas = surface.getCanvas();
      canvas.scale((float) (width / artboard.width()), (float) (height / artboard.height()));
      paint(canvas, board);
      try (Image image = surface.makeImageSnapshot();
          Data data = requireNonNull(EncoderPNG.encode(image))) {
        return data.getBytes();
      }
    }
  }

  /**
   * The artboard as a small picture.
   *
   * @param scale pixels per point, positive; a side has one pixel at least
   */
  public Pixels pixels(Scene.Board board, double scale) {
    Artboard artboard = board.artboard();
    return Pixels.draw(artboard.width(), artboard.height(), scale, canvas -> paint(canvas, board));
  }

  /** Paints in points of the artboard. */
  private void paint(Canvas canvas, Scene.Board board) {
    canvas.clear(board.background().argb());
    for (PlacedLayer text : board.texts()) {
      canvas.save();
      text.enter(canvas);
      painter.paint(canvas, text.layout(), text.look());
      canvas.restore();
    }
  }
}
