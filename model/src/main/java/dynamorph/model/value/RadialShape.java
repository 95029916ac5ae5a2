package dynamorph.model.value;

/** What a radial gradient of full scale fills. */
public enum RadialShape {
  /** The ellipse in what it is fitted to. */
  ELLIPSE,
  /** The circle around the middle as wide as the longer side of it. */
  CIRCLE
}
