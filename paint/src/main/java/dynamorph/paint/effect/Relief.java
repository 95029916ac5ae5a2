package dynamorph.paint.effect;

import dynamorph.model.cascade.Softness;

/**
 * Light and shade on an edge that stands out: the covered area, softened, is taken for a height,
 * and lit by a distant lamp (Lambert's law).
 *
 * @param light how much light falls on each pixel beyond what falls on the flat
 * @param shade how much less falls there
 */
public record Relief(CoverageMask light, CoverageMask shade) {
  /**
   * Lights a covered area.
   *
   * @param width of the edge in pixels
   * @param steepness of the edge; negative for sunken
   * @param angle where the light comes from, radians clockwise from rightwards
   * @param height of the light, radians over the surface
   */
  public static Relief of(
      CoverageMask covered, double width, double steepness, double angle, double height) {
    CoverageMask heights = covered.blurred(Softness.deviation(Math.max(0.3, width / 2)));
    float[] lit = new float[heights.values().length];
    float[] shaded = new float[lit.length];
    double lampX = Math.cos(angle) * Math.cos(height);
    double lampY = Math.sin(angle) * Math.cos(height);
    double lampZ = Math.sin(height);
    // the softened edge rises by 1 over about its width
    double scale = steepness * Math.max(1, width);
    for (int y = 0; y < heights.height(); y++) {
      for (int x = 0; x < heights.width(); x++) {
        double slopeX = slope(heights, x, y, 1, 0) * scale;
        double slopeY = slope(heights, x, y, 0, 1) * scale;
        double normal = 1 / Math.sqrt(slopeX * slopeX + slopeY * slopeY + 1);
        double falls = (-slopeX * lampX - slopeY * lampY + lampZ) * normal;
        double more = Math.max(0, falls) - lampZ;
        int at = y * heights.width() + x;
        lit[at] = (float) Math.clamp(more / Math.max(0.05, 1 - lampZ), 0, 1);
        shaded[at] = (float) Math.clamp(-more / Math.max(0.05, lampZ), 0, 1);
      }
    }
    return new Relief(covered.with(lit), covered.with(shaded));
  }

  private static double slope(CoverageMask heights, int x, int y, int dx, int dy) {
    return (value(heights, x + dx, y + dy) - value(heights, x - dx, y - dy)) / 2;
  }

  private static float value(CoverageMask plane, int x, int y) {
    boolean inside = x >= 0 && y >= 0 && x < plane.width() && y < plane.height();
    return inside ? plane.values()[y * plane.width() + x] : 0;
  }
}
