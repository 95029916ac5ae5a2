package dynamorph.paint.stage;

import dynamorph.paint.message.Messages;
import dynamorph.typeset.layout.Box;

/**
 * What part of the plane is shown, and how large. Pixel = plane × scale + offset.
 *
 * @param width of the view in pixels
 * @param height of the view in pixels
 * @param scale pixels per point
 * @param offsetX whole pixels from the view's left edge to the plane's origin, so that panning
 *     keeps every text on the same fraction of a pixel
 * @param offsetY whole pixels from the view's top edge to the plane's origin
 */
public record View(int width, int height, double scale, long offsetX, long offsetY) {
  public static final double SMALLEST_SCALE = 0.01;
  public static final double LARGEST_SCALE = 64;

  public View {
    if (!(scale >= SMALLEST_SCALE && scale <= LARGEST_SCALE)) {
      throw new IllegalArgumentException(Messages.of("view.a-views-scale-lies-between-0", scale));
    }
  }

  /** The view in which a box of the plane fills the middle, with a margin in pixels around it. */
  public static View fitting(Box plane, int width, int height, double margin) {
    double across = Math.max(1, width - 2 * margin) / Math.max(1, plane.width());
    double down = Math.max(1, height - 2 * margin) / Math.max(1, plane.height());
    double scale = Math.clamp(Math.min(across, down), SMALLEST_SCALE, LARGEST_SCALE);
    return new View(
        width,
        height,
        scale,
        Math.round(width / 2.0 - (plane.x() + plane.width() / 2) * scale),
        Math.round(height / 2.0 - (plane.y() + plane.height() / 2) * scale));
  }

  public double toPixelX(double planeX) {
    return planeX * scale + offsetX;
  }

  public double toPixelY(double planeY) {
    return planeY * scale + offsetY;
  }

  public double toPlaneX(double pixelX) {
    return (pixelX - offsetX) / scale;
  }

  public double toPlaneY(double pixelY) {
    return (pixelY - offsetY) / scale;
  }

  /** Where a box of the plane lies in the view. */
  public Box toPixels(Box plane) {
    return new Box(
        toPixelX(plane.x()), toPixelY(plane.y()), plane.width() * scale, plane.height() * scale);
  }

  /** The box of the plane that a box of the view shows. */
  public Box toPlane(Box pixels) {
    return new Box(
        toPlaneX(pixels.x()),
        toPlaneY(pixels.y()),
        pixels.width() / scale,
        pixels.height() / scale);
  }

  public View panned(double across, double down) {
    return new View(width, height, scale, offsetX + Math.round(across), offsetY + Math.round(down));
  }

  /** Zoomed by a factor, with the plane's point under a pixel kept in its place. */
  public View zoomed(double factor, double pixelX, double pixelY) {
    double changed = Math.clamp(scale * factor, SMALLEST_SCALE, LARGEST_SCALE);
    return new View(
        width,
        height,
        changed,
        Math.round(pixelX - toPlaneX(pixelX) * changed),
        Math.round(pixelY - toPlaneY(pixelY) * changed));
  }

  public View sized(int changedWidth, int changedHeight) {
    return new View(changedWidth, changedHeight, scale, offsetX, offsetY);
  }
}
