package dynamorph.model.value;

/** A mark over each letter that is to be stressed (CSS Text Decoration 3, text-emphasis-style). */
public enum EmphasisMark {
  NONE(""),
  DOT("\u2022"),
  OPEN_DOT("\u25E6"),
  CIRCLE("\u25CF"),
  OPEN_CIRCLE("\u25CB"),
  DOUBLE_CIRCLE("\u25C9"),
  TRIANGLE("\u25B2"),
  OPEN_TRIANGLE("\u25B3"),
  SESAME("\uFE45");

  private final String letter;

  EmphasisMark(String letter) {
    this.letter = letter;
  }

  /** The character that is set; empty for none. */
  public String letter() {
    return letter;
  }
}
