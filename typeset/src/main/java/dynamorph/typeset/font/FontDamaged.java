package dynamorph.typeset.font;

/** A font file that cannot be read; the message names the file. */
public final class FontDamaged extends RuntimeException {
  public FontDamaged(String file, String reason) {
    super(file + ": " + reason);
  }
}
