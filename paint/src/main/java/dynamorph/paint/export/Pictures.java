package dynamorph.paint.export;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Asset;
import dynamorph.paint.Pixels;
import dynamorph.paint.layer.DecodedImage;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;

/** Pictures in a form that every file format takes. */
public final class Pictures {
  private Pictures() {}

  /** An image of the project as PNG, whatever it is stored as. */
  public static byte[] png(Asset image) {
    try (Image decoded = DecodedImage.of(image.bytes());
        Data data = requireNonNull(EncoderPNG.encode(decoded))) {
      return data.getBytes();
    }
  }

  /** A picture that was drawn as PNG. */
  public static byte[] png(Pixels pixels) {
    byte[] bytes = new byte[pixels.width() * pixels.height() * 4];
    pixels.bytes().duplicate().rewind().get(bytes);
    ImageInfo info =
        new ImageInfo(pixels.width(), pixels.height(), ColorType.BGRA_8888, ColorAlphaType.PREMUL);
    try (Image image = Image.makeRasterFromBytes(info, bytes, pixels.width() * 4L);
        Data data = requireNonNull(EncoderPNG.encode(image))) {
      return data.getBytes();
    }
  }
}
