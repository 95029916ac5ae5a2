package dynamorph.model.value;

/** How the distance of letter pairs is evened. */
public enum Kerning {
  /** The font's own pairs; by the shapes of the letters where the font has none. */
  AUTOMATIC,
  /** The font's own pairs. */
  METRICS,
  /** By the shapes of the letters. */
  OPTICAL,
  /** Each letter at its own width. */
  NONE
}
