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
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import java.util.function.Consumer;

/**
 * Pixels of a part of a picture: blue, green, red, alpha, premultiplied, as canvases have them, so
 * that they are copied as they are. Close it after use.
 */
final class RasterSurface implements AutoCloseable {
  private final IRect part;
  private final Surface surface;
  private final Pixmap pixmap = new Pixmap();
  private final ByteBuffer bytes;

  /** A part on which nothing is painted yet. */
  RasterSurface(IRect part) {
    this.part = part;
    this.surface = Surface.makeRaster(info(part));
    surface.peekPixels(pixmap);
    this.bytes = pixmap.getBuffer().order(ByteOrder.LITTLE_ENDIAN);
    surface.getCanvas().translate(-part.getLeft(), -part.getTop());
  }

  /** Lets something be drawn in pixels of the picture. */
  void draw(Consumer<Canvas> drawing) {
    Canvas canvas = surface.getCanvas();
    int before = canvas.save();
    drawing.accept(canvas);
    canvas.restoreToCount(before);
  }

  @Override
  public void close() {
    pixmap.close();
    surface.close();
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

  /**
   * Makes pixels fainter.
   *
   * @param shares of each that are left, 0 to 1
   */
  void fade(float[] shares) {
    IntBuffer words = bytes.asIntBuffer();
    int[] pixels = new int[shares.length];
    words.get(0, pixels);
    fade(pixels, shares);
    words.put(0, pixels);
  }

  /**
   * Two channels of eight bits at once, in fields of sixteen; what is divided by 255 is rounded.
   * Kept plain, so that it is compiled to vector instructions.
   */
  private static void fade(int[] pixels, float[] shares) {
    for (int index = 0; index < pixels.length; index++) {
      int level = (int) (Math.min(1f, Math.max(0f, shares[index])) * 255f + 0.5f);
      int even = (pixels[index] & FIELDS) * level + HALVES;
      int odd = (pixels[index] >>> 8 & FIELDS) * level + HALVES;
      even = even + (even >>> 8 & FIELDS) >>> 8 & FIELDS;
      odd = odd + (odd >>> 8 & FIELDS) & ~FIELDS;
      pixels[index] = even | odd;
    }
  }

  private static final int FIELDS = 0x00FF00FF;
  private static final int HALVES = 0x00800080;

  /** Bytes of a part as an image. The caller closes it. */
  static Image image(IRect part, byte[] bytes) {
    return Image.makeRasterFromBytes(info(part), bytes, part.getWidth() * 4L);
  }

  private static ImageInfo info(IRect part) {
    return new ImageInfo(
        part.getWidth(), part.getHeight(), ColorType.BGRA_8888, ColorAlphaType.PREMUL);
  }
}
