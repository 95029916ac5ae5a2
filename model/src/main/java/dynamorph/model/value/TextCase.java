package dynamorph.model.value;

/** How the letters are shown; the words themselves stay as typed. */
public enum TextCase {
  AS_TYPED,
  UPPER,
  LOWER,
  TITLE,
  /** Small capitals for small letters. */
  SMALL_CAPITALS,
  /** Small capitals for all letters. */
  ALL_SMALL_CAPITALS
}
