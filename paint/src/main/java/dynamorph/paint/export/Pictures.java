package dynamorph.paint.export;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Asset;
import dynamorph.paint.layer.DecodedImage;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;

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
}
