package dynamorph.footage;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;

/** Pictures as canvases have them, so that they are copied as they are. */
final class Pictures {
  private Pictures() {}

  /** The pixels of a picture that is only decoded when it is drawn. The caller closes both. */
  static Image decoded(Image encoded) {
    try (Surface surface = Surface.makeRasterN32Premul(encoded.getWidth(), encoded.getHeight())) {
      Canvas canvas = surface.getCanvas();
      canvas.drawImage(encoded, 0, 0);
      return surface.makeImageSnapshot();
    }
  }
}
