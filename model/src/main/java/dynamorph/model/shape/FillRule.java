package dynamorph.model.shape;

/** Which places that a path goes around are inside of it (W3C SVG 2, 13.4.2). */
public enum FillRule {
  /** Those that it goes around more often one way than the other. */
  NONZERO,
  /** Those that it goes around an odd number of times. */
  EVENODD
}
