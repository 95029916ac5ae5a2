package dynamorph.model.value;

/** How lines are chosen. */
public enum LineBreaking {
  /** Each line takes what fits. */
  LINE_BY_LINE,
  /** All lines together, so that the spaces are even. */
  WHOLE_PARAGRAPH
}
