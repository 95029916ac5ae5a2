package dynamorph.footage;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;

/** Pictures as canvases have them, so that they are copied as they are. */
final class PictureFiles {
  private PictureFiles() {}

  /** The most pixels a still may have: 200 million, more than cameras make, 800 MB. */
  static final long MOST_PIXELS = 200_000_000;

  /** Whether there is room for a picture. */
  static boolean fits(Image encoded) {
    return (long) encoded.getWidth() * encoded.getHeight() <= MOST_PIXELS;
  }

  /** The pixels of a picture that is only decoded when it is drawn. The caller closes both. */
  static Image decoded(Image encoded) {
    try (Surface surface = Surface.makeRasterN32Premul(encoded.getWidth(), encoded.getHeight())) {
      Canvas canvas = surface.getCanvas();
      canvas.drawImage(encoded, 0, 0);
      return surface.makeImageSnapshot();
    }
  }

  /**
   * A picture turned clockwise. The caller closes both.
   *
   * @param quarters of a turn
   */
  static Image turned(Image image, int quarters) {
    int width = image.getWidth();
    int height = image.getHeight();
    boolean aside = quarters % 2 == 1;
    try (Surface surface =
        Surface.makeRasterN32Premul(aside ? height : width, aside ? width : height)) {
      Canvas canvas = surface.getCanvas();
      switch (Math.floorMod(quarters, 4)) {
        case 1 -> canvas.translate(height, 0);
        case 2 -> canvas.translate(width, height);
        case 3 -> canvas.translate(0, width);
        default -> {}
      }
      canvas.rotate(90f * quarters);
      canvas.drawImage(image, 0, 0);
      return surface.makeImageSnapshot();
    }
  }
}
