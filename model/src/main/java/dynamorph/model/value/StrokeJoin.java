package dynamorph.model.value;

/** How a stroke turns a corner. */
public enum StrokeJoin {
  MITER,
  ROUND,
  BEVEL
}
