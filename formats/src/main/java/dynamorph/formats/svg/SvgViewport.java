package dynamorph.formats.svg;

/**
 * What percentages are of.
 *
 * @param width in user units
 * @param height in user units
 */
record SvgViewport(double width, double height) {
  double diagonal() {
    return Math.hypot(width, height) / Math.sqrt(2);
  }
}
