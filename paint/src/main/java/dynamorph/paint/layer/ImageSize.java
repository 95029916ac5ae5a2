package dynamorph.paint.layer;

import dynamorph.typeset.font.Skia;
import io.github.humbleui.skija.Image;
import java.util.Optional;

/** How large an image is, in pixels. */
public record ImageSize(int width, int height) {
  /** The most pixels an image may have: 200 million, more than cameras make, 800 MB. */
  public static final long MOST_PIXELS = 200_000_000;

  /** Whether there is room to paint it. */
  public boolean fits() {
    return (long) width * height <= MOST_PIXELS;
  }

  /** The size of an encoded image; empty if it is none that can be painted. */
  public static Optional<ImageSize> of(byte[] encoded) {
    Skia.ready();
    try (Image image = Image.makeDeferredFromEncodedBytes(encoded)) {
      return Optional.of(new ImageSize(image.getWidth(), image.getHeight()));
    } catch (RuntimeException unreadable) {
      return Optional.empty();
    }
  }
}
