package dynamorph.model.value;

/** What a plate lies behind. */
public enum PlateExtent {
  LAYER,
  PARAGRAPH,
  /** Each line has its own; where they meet they are one. */
  LINE
}
