package dynamorph.formats.captions;

import java.io.IOException;

/** A caption file that cannot be taken in; the message says what is wrong and where. */
public final class CaptionException extends IOException {
  private static final long serialVersionUID = 1;

  public CaptionException(String message) {
    super(message);
  }
}
