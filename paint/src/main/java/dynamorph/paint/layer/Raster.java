package dynamorph.paint.layer;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Pixmap;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.IRect;
import java.nio.ByteBuffer;
import java.util.function.Consumer;

/**
 * Pixels of a part of a picture: blue, green, red, alpha, premultiplied, as canvases have them, so
 * that they are copied as they are.
 */
final class Raster {
  private final IRect part;
  private final ByteBuffer bytes;

  /** A part on which nothing is painted yet. */
  Raster(IRect part) {
    this.part = part;
    this.bytes = ByteBuffer.allocateDirect(4 * part.getWidth() * part.getHeight());
  }

  /** Lets something be drawn in pixels of the picture. */
  void draw(Consumer<Canvas> drawing) {
    try (Pixmap pixmap = Pixmap.make(info(part), bytes, part.getWidth() * 4);
        Surface surface = Surface.makeRasterDirect(pixmap)) {
      Canvas canvas = surface.getCanvas();
      canvas.translate(-part.getLeft(), -part.getTop());
      drawing.accept(canvas);
    }
  }

  /** All of its bytes, row by row. */
  byte[] copy() {
    byte[] copy = new byte[bytes.capacity()];
    bytes.get(0, copy);
    return copy;
  }

  /** Takes other bytes, as {@link #copy} gives them. */
  void put(byte[] others) {
    bytes.put(0, others);
  }

  /** Bytes of a part as an image. The caller closes it. */
  static Image image(IRect part, byte[] bytes) {
    return Image.makeRasterFromBytes(info(part), bytes, part.getWidth() * 4L);
  }

  private static ImageInfo info(IRect part) {
    return new ImageInfo(
        part.getWidth(), part.getHeight(), ColorType.BGRA_8888, ColorAlphaType.PREMUL);
  }
}
