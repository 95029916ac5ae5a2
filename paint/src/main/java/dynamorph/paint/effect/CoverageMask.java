package dynamorph.paint.effect;

import dynamorph.model.cascade.Softness;
import dynamorph.model.value.Rgba;
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
import java.util.function.Consumer;

/**
 * How much of each pixel is covered, 0 to 1, in a part of a picture.
 *
 * @param x left of the part in pixels of the picture
 * @param y top of the part
 * @param values {@code height} rows of {@code width}
 */
public record CoverageMask(int x, int y, int width, int height, float[] values) {
  /**
   * What a drawing covers.
   *
   * @param part pixels of the picture
   * @param drawing draws in pixels of the picture, opaque where it covers
   */
  public static CoverageMask covered(IRect part, Consumer<Canvas> drawing) {
    int width = part.getWidth();
    int height = part.getHeight();
    byte[] levels = new byte[width * height];
    try (Surface surface = Surface.makeRaster(ImageInfo.makeA8(width, height));
        Pixmap pixmap = new Pixmap()) {
      Canvas canvas = surface.getCanvas();
      canvas.translate(-part.getLeft(), -part.getTop());
      drawing.accept(canvas);
      surface.peekPixels(pixmap);
      pixmap.getBuffer().get(0, levels);
    }
    float[] values = new float[width * height];
    for (int index = 0; index < values.length; index++) {
      values[index] = (levels[index] & 0xFF) * (1 / 255f);
    }
    return new CoverageMask(part.getLeft(), part.getTop(), width, height, values);
  }

  /**
   * The same, blurred.
   *
   * @param soft in square pixels
   */
  public CoverageMask blurred(Softness soft) {
    return with(Gaussian.blur(values, width, height, soft));
  }

  /** The same part of the picture with other values. */
  public CoverageMask with(float[] others) {
    return new CoverageMask(x, y, width, height, others);
  }

  /** A part of this one. */
  public CoverageMask part(IRect part) {
    float[] some = new float[part.getWidth() * part.getHeight()];
    for (int row = 0; row < part.getHeight(); row++) {
      int from = (part.getTop() - y + row) * width + part.getLeft() - x;
      System.arraycopy(values, from, some, row * part.getWidth(), part.getWidth());
    }
    return new CoverageMask(part.getLeft(), part.getTop(), part.getWidth(), part.getHeight(), some);
  }

  /** A part that this one lies in, with nothing around it. */
  public CoverageMask padded(IRect part) {
    int wide = part.getWidth();
    float[] more = new float[wide * part.getHeight()];
    int across = x - part.getLeft();
    int down = y - part.getTop();
    for (int row = 0; row < height; row++) {
      System.arraycopy(values, row * width, more, (row + down) * wide + across, width);
    }
    return new CoverageMask(part.getLeft(), part.getTop(), wide, part.getHeight(), more);
  }

  public CoverageMask inverted() {
    float[] inverse = new float[values.length];
    for (int index = 0; index < inverse.length; index++) {
      inverse[index] = 1 - values[index];
    }
    return with(inverse);
  }

  /** An image in a colour, which canvases copy as it is. The caller closes it. */
  public Image image(Rgba colour) {
    float alpha = colour.alpha() / 255f;
    int[] pixels = new int[values.length];
    shade(
        pixels,
        values,
        255 * alpha,
        colour.red() * alpha,
        colour.green() * alpha,
        colour.blue() * alpha);
    ImageInfo info = new ImageInfo(width, height, ColorType.BGRA_8888, ColorAlphaType.PREMUL);
    try (Surface surface = Surface.makeRaster(info);
        Pixmap pixmap = new Pixmap()) {
      surface.peekPixels(pixmap);
      pixmap.getBuffer().order(ByteOrder.LITTLE_ENDIAN).asIntBuffer().put(pixels);
      return surface.makeImageSnapshot();
    }
  }

  /** Kept plain, so that it is compiled to vector instructions. */
  private static void shade(
      int[] pixels, float[] values, float alpha, float red, float green, float blue) {
    for (int index = 0; index < pixels.length; index++) {
      float share = Math.min(1f, Math.max(0f, values[index]));
      pixels[index] =
          (int) (share * alpha + 0.5f) << 24
              | (int) (share * red + 0.5f) << 16
              | (int) (share * green + 0.5f) << 8
              | (int) (share * blue + 0.5f);
    }
  }

  /**
   * What this plane covers, in one colour with light of another upon it, as premultiplied pixels:
   * blue, green, red, alpha.
   *
   * @param light how much of the light falls on each pixel, in the same part
   * @param dark whether it is the other way round: none falls where the plane says 1
   */
  public byte[] lit(Rgba base, CoverageMask light, boolean dark, Rgba colour) {
    float alpha = base.alpha() / 255f;
    float upon = colour.alpha() / 255f;
    float[] from = {base.alpha(), base.red() * alpha, base.green() * alpha, base.blue() * alpha};
    float[] towards = {
      upon * (255 - from[0]),
      upon * (colour.red() - from[1]),
      upon * (colour.green() - from[2]),
      upon * (colour.blue() - from[3])
    };
    int[] pixels = new int[values.length];
    light(pixels, values, light.values, dark ? 1 : 0, dark ? -1 : 1, from, towards);
    byte[] bytes = new byte[4 * pixels.length];
    ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).asIntBuffer().put(pixels);
    return bytes;
  }

  /** Kept plain, so that it is compiled to vector instructions. */
  private static void light(
      int[] pixels,
      float[] covered,
      float[] light,
      float start,
      float step,
      float[] from,
      float[] towards) {
    float alpha = from[0];
    float red = from[1];
    float green = from[2];
    float blue = from[3];
    float toAlpha = towards[0];
    float toRed = towards[1];
    float toGreen = towards[2];
    float toBlue = towards[3];
    for (int index = 0; index < pixels.length; index++) {
      float share = Math.min(1f, Math.max(0f, covered[index]));
      float shine = start + step * Math.min(1f, Math.max(0f, light[index]));
      pixels[index] =
          (int) ((alpha + shine * toAlpha) * share + 0.5f) << 24
              | (int) ((red + shine * toRed) * share + 0.5f) << 16
              | (int) ((green + shine * toGreen) * share + 0.5f) << 8
              | (int) ((blue + shine * toBlue) * share + 0.5f);
    }
  }

  /** An image that takes the colour it is drawn with. The caller closes it. */
  public Image image() {
    return Image.makeRasterFromBytes(ImageInfo.makeA8(width, height), levels(), width);
  }

  /** The values from 0 to 255. */
  public byte[] levels() {
    byte[] levels = new byte[values.length];
    for (int index = 0; index < levels.length; index++) {
      levels[index] = (byte) (Math.clamp(values[index], 0f, 1f) * 255f + 0.5f);
    }
    return levels;
  }
}
