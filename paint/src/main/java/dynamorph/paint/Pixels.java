package dynamorph.paint;

import dynamorph.typeset.font.Skia;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Pixmap;
import io.github.humbleui.skija.Surface;
import java.nio.ByteBuffer;
import java.util.function.Consumer;

/**
 * A picture: blue, green, red, alpha in a byte each, premultiplied, row by row without gaps.
 *
 * @param bytes a direct buffer of width × height × 4 bytes
 */
public record Pixels(int width, int height, ByteBuffer bytes) {
  static {
    Skia.ready();
  }

  /** An empty picture. */
  public static Pixels blank(int width, int height) {
    return new Pixels(width, height, ByteBuffer.allocateDirect(width * height * 4));
  }

  /** A picture drawn by the given drawing, which starts out transparent. */
  public static Pixels draw(int width, int height, Consumer<Canvas> drawing) {
    Pixels pixels = blank(width, height);
    pixels.drawOver(drawing);
    return pixels;
  }

  /**
   * A picture of something so many points large, drawn in points.
   *
   * @param scale pixels per point, positive; a side has one pixel at least
   */
  public static Pixels draw(double width, double height, double scale, Consumer<Canvas> drawing) {
    int across = Math.max(1, (int) Math.round(width * scale));
    int down = Math.max(1, (int) Math.round(height * scale));
    return draw(
        across,
        down,
        canvas -> {
          canvas.scale((float) (across / width), (float) (down / height));
          drawing.accept(canvas);
        });
  }

  /** Draws over what is there. */
  public void drawOver(Consumer<Canvas> drawing) {
    ImageInfo info = new ImageInfo(width, height, ColorType.BGRA_8888, ColorAlphaType.PREMUL);
    try (Pixmap pixmap = Pixmap.make(info, bytes, width * 4);
        Surface surface = Surface.makeRasterDirect(pixmap)) {
      drawing.accept(surface.getCanvas());
    }
  }

  /** The pixel at a place as alpha, red, green, blue from the highest byte, premultiplied. */
  public int argb(int x, int y) {
    int at = (y * width + x) * 4;
    return (bytes.get(at + 3) & 0xFF) << 24
        | (bytes.get(at + 2) & 0xFF) << 16
        | (bytes.get(at + 1) & 0xFF) << 8
        | bytes.get(at) & 0xFF;
  }
}
