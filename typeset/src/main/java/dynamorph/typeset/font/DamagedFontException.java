package dynamorph.typeset.font;

/** A font file that cannot be read; the message names the file. */
public final class DamagedFontException extends RuntimeException {
  public DamagedFontException(String file, String reason) {
    super(file + ": " + reason);
  }
}
