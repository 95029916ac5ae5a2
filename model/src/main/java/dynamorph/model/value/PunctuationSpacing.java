package dynamorph.model.value;

/**
 * How much of the white of full-width punctuation stays (CSS Text 4, text-spacing-trim; W3C,
 * Requirements for Japanese Text Layout, 3.1).
 */
public enum PunctuationSpacing {
  /** All of it. */
  FULL_WIDTH,
  /** Half an em of two signs that meet. */
  TRIM_ADJACENT,
  /** That, and none at the beginning and end of lines. */
  TRIM_LINE_EDGES
}
