package dynamorph.model.value;

/**
 * How the frame of a text meets its words: a point has no measure; a fixed box keeps its height and
 * may be overset; a growing box takes the height of its text.
 */
public enum BoxFit {
  POINT,
  FIXED,
  GROW
}
