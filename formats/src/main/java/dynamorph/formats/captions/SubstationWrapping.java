package dynamorph.formats.captions;

/** How a script breaks lines that are too long. */
enum SubstationWrapping {
  /** Lines become about as long as each other. */
  EVEN,
  /** Lines are filled. */
  FULL,
  /** They are not broken. */
  NONE;

  /** What {@code WrapStyle} and the code {@code q} say. */
  static SubstationWrapping of(String number) {
    return switch (number.strip()) {
      case "1" -> FULL;
      case "2" -> NONE;
      default -> EVEN;
    };
  }
}
