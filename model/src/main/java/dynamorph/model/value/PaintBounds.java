package dynamorph.model.value;

/** What a gradient or pattern is fitted to. */
public enum PaintBounds {
  GLYPH,
  LINE,
  PARAGRAPH,
  LAYER
}
