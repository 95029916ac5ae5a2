package dynamorph.paint.layer;

import io.github.humbleui.skija.Image;
import java.util.Optional;

/** How large an image is, in pixels. */
public record ImageSize(int width, int height) {
  /** The size of an encoded image; empty if it is none that can be painted. */
  public static Optional<ImageSize> of(byte[] encoded) {
    try (Image image = Image.makeDeferredFromEncodedBytes(encoded)) {
      return Optional.of(new ImageSize(image.getWidth(), image.getHeight()));
    } catch (RuntimeException unreadable) {
      return Optional.empty();
    }
  }
}
