package dynamorph.model.value;

/** What a plate lies behind. */
public enum PlateAround {
  LAYER,
  PARAGRAPH,
  /** Each line has its own; where they meet they are one. */
  LINE
}
