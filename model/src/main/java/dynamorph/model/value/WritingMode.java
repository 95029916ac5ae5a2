package dynamorph.model.value;

/** How lines run and follow each other: horizontal-tb, vertical-rl, vertical-lr of CSS. */
public enum WritingMode {
  HORIZONTAL,
  VERTICAL_RIGHT_TO_LEFT,
  VERTICAL_LEFT_TO_RIGHT;

  /** Whether lines run from top to bottom. */
  public boolean isVertical() {
    return this != HORIZONTAL;
  }
}
