package dynamorph.model.value;

/** What a gradient or pattern is fitted to. */
public enum PaintFit {
  GLYPH,
  LINE,
  PARAGRAPH,
  LAYER
}
