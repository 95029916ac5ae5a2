package dynamorph.typeset.shape;

/** How glyphs stand on their line. */
public enum GlyphOrientation {
  /** On the baseline of a horizontal line. */
  HORIZONTAL,
  /** On a vertical line, turned with it by 90 degrees clockwise. */
  SIDEWAYS,
  /** Upright on a vertical line, centred on it. */
  UPRIGHT
}
