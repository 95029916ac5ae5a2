package dynamorph.paint.layer;

import static java.util.Objects.requireNonNull;

import dynamorph.typeset.font.Skia;
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
    Skia.ready();
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
      try (Image told = taken(image, named.get())) {
        return converted(told);
      }
    }
  }

  private static boolean isPlain(Image image) {
    @Nullable ColorSpace space = image.getImageInfo().getColorInfo().getColorSpace();
    return space == null || space.isSRGB();
  }

  /** Its pixels in sRGB, where they are: a photograph may have hundreds of megabytes of them. */
  private static Image converted(Image image) {
    try (Bitmap bitmap = pixels(image, ColorSpace.getSRGB())) {
      bitmap.setImmutable();
      return Image.makeRasterFromBitmap(bitmap);
    }
  }

  /** Its numbers as they are, taken for those of another space. */
  private static Image taken(Image image, ColorSpace as) {
    try (Bitmap bitmap = pixels(image, image.getImageInfo().getColorInfo().getColorSpace())) {
      ImageInfo info = bitmap.getImageInfo();
      byte[] bytes = new byte[4 * info.getWidth() * info.getHeight()];
      requireNonNull(bitmap.peekPixels()).getBuffer().get(bytes);
      return Image.makeRasterFromBytes(info.withColorSpace(as), bytes, 4L * info.getWidth());
    }
  }

  /**
   * Its pixels, converted. The caller closes them.
   *
   * @param to null for no space
   */
  private static Bitmap pixels(Image image, @Nullable ColorSpace to) {
    ColorAlphaType alpha = image.isOpaque() ? ColorAlphaType.OPAQUE : ColorAlphaType.PREMUL;
    Bitmap bitmap = new Bitmap();
    bitmap.allocPixels(ImageInfo.makeN32(image.getWidth(), image.getHeight(), alpha, to));
    Pixmap pixels = bitmap.peekPixels();
    if (pixels == null || !image.readPixels(pixels, 0, 0, false)) {
      bitmap.close();
      throw new IllegalArgumentException("the pixels cannot be decoded");
    }
    return bitmap;
  }
}
