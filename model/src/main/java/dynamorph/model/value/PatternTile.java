package dynamorph.model.value;

/** What is repeated in a pattern. */
public enum PatternTile {
  /** Round dots, every other row shifted by half. */
  DOTS,
  /** Straight bars. */
  STRIPES,
  /** Squares of two colours in turn. */
  CHECKS,
  /** Lines in two directions. */
  HATCH,
  /** Lines that swing. */
  WAVES,
  /** Specks without order. */
  GRAIN,
  /** An image that is embedded in the project. */
  IMAGE
}
