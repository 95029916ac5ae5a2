package dynamorph.model.value;

/** Which widths figures have. */
public enum FigureWidth {
  /** As the font has them. */
  FONT,
  /** Each its own width. */
  PROPORTIONAL,
  /** All one width. */
  TABULAR
}
