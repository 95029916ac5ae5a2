package dynamorph.model.value;

/** Where the lines stand in the height of their box. */
public enum VerticalAlignment {
  TOP,
  MIDDLE,
  BOTTOM,
  /** Spread from top to bottom. */
  JUSTIFIED
}
