package dynamorph.paint.effect;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Pixmap;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.IRect;
import java.nio.ByteBuffer;
import java.util.function.Consumer;

/**
 * How much of each pixel is covered, 0 to 1, in a part of a picture.
 *
 * @param x left of the part in pixels of the picture
 * @param y top of the part
 * @param values {@code height} rows of {@code width}
 */
public record Plane(int x, int y, int width, int height, float[] values) {
  /**
   * What a drawing covers.
   *
   * @param part pixels of the picture
   * @param drawing draws in pixels of the picture, opaque where it covers
   */
  public static Plane covered(IRect part, Consumer<Canvas> drawing) {
    int width = part.getWidth();
    int height = part.getHeight();
    ByteBuffer bytes = ByteBuffer.allocateDirect(width * height);
    try (Pixmap pixmap = Pixmap.make(ImageInfo.makeA8(width, height), bytes, width);
        Surface surface = Surface.makeRasterDirect(pixmap)) {
      Canvas canvas = surface.getCanvas();
      canvas.translate(-part.getLeft(), -part.getTop());
      drawing.accept(canvas);
    }
    float[] values = new float[width * height];
    for (int index = 0; index < values.length; index++) {
      values[index] = (bytes.get(index) & 0xFF) * (1 / 255f);
    }
    return new Plane(part.getLeft(), part.getTop(), width, height, values);
  }

  /** The same, blurred. */
  public Plane blurred(double deviation) {
    return with(Gaussian.blur(values, width, height, deviation));
  }

  /** The same part of the picture with other values. */
  public Plane with(float[] others) {
    return new Plane(x, y, width, height, others);
  }

  /** A part of this one. */
  public Plane part(IRect part) {
    float[] some = new float[part.getWidth() * part.getHeight()];
    for (int row = 0; row < part.getHeight(); row++) {
      int from = (part.getTop() - y + row) * width + part.getLeft() - x;
      System.arraycopy(values, from, some, row * part.getWidth(), part.getWidth());
    }
    return new Plane(part.getLeft(), part.getTop(), part.getWidth(), part.getHeight(), some);
  }

  public Plane inverted() {
    float[] inverse = new float[values.length];
    for (int index = 0; index < inverse.length; index++) {
      inverse[index] = 1 - values[index];
    }
    return with(inverse);
  }

  /** An image that takes the colour it is drawn with. The caller closes it. */
  public Image image() {
    byte[] bytes = new byte[values.length];
    for (int index = 0; index < bytes.length; index++) {
      bytes[index] = (byte) (Math.clamp(values[index], 0f, 1f) * 255f + 0.5f);
    }
    return Image.makeRasterFromBytes(ImageInfo.makeA8(width, height), bytes, width);
  }
}
