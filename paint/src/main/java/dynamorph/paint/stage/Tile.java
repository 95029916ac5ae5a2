package dynamorph.paint.stage;

import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.paint.scene.PlacedLayer;
import io.github.humbleui.skija.Image;

/**
 * The pixels of one text at one scale, cropped to its ink and kept on whole pixels.
 *
 * @param phaseX fraction of a pixel at which the text's anchor lies
 * @param left pixels from the anchor's whole pixel to the left edge of the image
 */
record Tile(
    PlacedLayer text,
    double scale,
    double phaseX,
    double phaseY,
    int left,
    int top,
    int width,
    int height,
    Image image)
    implements AutoCloseable {
  /**
   * How far a text may lie off the fraction of a pixel it was painted for; a 32nd is not to be
   * seen.
   */
  private static final double PHASE_TOLERANCE = 1 / 32.0;

  /** Whether these are the pixels of the text as it is now. */
  boolean shows(PlacedLayer now, double nowScale, double nowPhaseX, double nowPhaseY) {
    return nowScale == scale
        && Math.abs(nowPhaseX - phaseX) <= PHASE_TOLERANCE
        && Math.abs(nowPhaseY - phaseY) <= PHASE_TOLERANCE
        && (now == text || now.layout() == text.layout() && paintsAlike(now.look(), text.look()));
  }

  private static boolean paintsAlike(ResolvedLayer one, ResolvedLayer other) {
    return one.placement().rotation() == other.placement().rotation()
        && one.placement().anchor() == other.placement().anchor()
        && one.form().equals(other.form())
        && one.plate().equals(other.plate())
        && one.paragraphs().equals(other.paragraphs());
  }

  long bytes() {
    return 4L * width * height;
  }

  @Override
  public void close() {
    image.close();
  }
}
