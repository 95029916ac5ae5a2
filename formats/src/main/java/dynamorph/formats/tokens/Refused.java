package dynamorph.formats.tokens;

/** Something in a document of tokens that the format does not allow. */
final class Refused extends RuntimeException {
  private final String place;

  Refused(String place, String problem) {
    super(problem);
    this.place = place;
  }

  /** Path of the token or group, and of the value in it. */
  String place() {
    return place;
  }
}
