package dynamorph.model.value;

/** Whether letters are raised or lowered as small figures. */
public enum LetterPosition {
  NORMAL,
  SUPERSCRIPT,
  SUBSCRIPT
}
