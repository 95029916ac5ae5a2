package dynamorph.model.value;

/**
 * How the frame of a text meets its words: a point has no measure; a fixed box keeps its height and
 * may be overset; a growing box takes the height of its text; a shrinking one sets its text
 * smaller.
 */
public enum BoxFit {
  POINT,
  FIXED,
  GROW,
  /** A box of fixed height whose text is set smaller until it fits. */
  SHRINK
}
