package dynamorph.model.value;

/** Which shapes figures have. */
public enum FigureStyle {
  /** As the font has them. */
  FONT,
  /** As high as capitals. */
  LINING,
  /** With ascenders and descenders. */
  OLD_STYLE
}
