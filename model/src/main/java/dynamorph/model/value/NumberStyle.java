package dynamorph.model.value;

/** How the numbers of a list are written. */
public enum NumberStyle {
  DECIMAL,
  LOWER_LETTERS,
  UPPER_LETTERS,
  LOWER_ROMAN,
  UPPER_ROMAN
}
