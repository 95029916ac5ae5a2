package dynamorph.paint.layer;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Pixmap;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Encoded images in the colours that all is painted in, which are those of sRGB (IEC 61966-2-1).
 * The profile of an image, or what stands in for one (iCCP, cICP, cHRM and gAMA of PNG, APP2 and
 * APP14 of JPEG), says what its numbers mean; colours outside of sRGB become the nearest within.
 */
public final class DecodedImage {
  private DecodedImage() {}

  /**
   * The image, decoded when it is first drawn if its colours are those of sRGB, else at once. The
   * caller closes it.
   *
   * @throws IllegalArgumentException if it is no image that can be read
   */
  public static Image of(byte[] encoded) {
    Image image = Image.makeDeferredFromEncodedBytes(encoded);
    Optional<ColorSpace> named = PngColours.named(encoded);
    if (named.isEmpty() && isPlain(image)
        || !new ImageSize(image.getWidth(), image.getHeight()).fits()) {
      return image;
    }
    try (image) {
      if (named.isEmpty()) {
        return converted(image);
      }
      // its numbers as they are, but in the space that they are said to be of
      try (Image told = pixels(image, image.getImageInfo().getColorInfo().getColorSpace(), named)) {
        return converted(told);
      }
    }
  }

  private static boolean isPlain(Image image) {
    @Nullable ColorSpace space = image.getImageInfo().getColorInfo().getColorSpace();
    return space == null || space.isSRGB();
  }

  /** Without a colour space, as all that is painted: then nothing is converted a second time. */
  private static Image converted(Image image) {
    return pixels(image, ColorSpace.getSRGB(), Optional.empty());
  }

  /**
   * Its pixels, converted to one space and then taken for those of another.
   *
   * @param to null for no space
   */
  private static Image pixels(Image image, @Nullable ColorSpace to, Optional<ColorSpace> as) {
    int width = image.getWidth();
    int height = image.getHeight();
    ColorAlphaType alpha = image.isOpaque() ? ColorAlphaType.OPAQUE : ColorAlphaType.PREMUL;
    try (Bitmap bitmap = new Bitmap()) {
      bitmap.allocPixels(ImageInfo.makeN32(width, height, alpha, to));
      Pixmap pixels = bitmap.peekPixels();
      if (pixels == null || !image.readPixels(pixels, 0, 0, false)) {
        throw new IllegalArgumentException("the pixels cannot be decoded");
      }
      byte[] bytes = new byte[4 * width * height];
      pixels.getBuffer().get(bytes);
      ImageInfo info = ImageInfo.makeN32(width, height, alpha, as.orElse(null));
      return Image.makeRasterFromBytes(info, bytes, 4L * width);
    }
  }
}
