package dynamorph.footage;

import java.io.IOException;

/** A video, its sound or a picture cannot be read or written; the message says which and why. */
public final class FootageException extends IOException {
  private static final long serialVersionUID = 1;

  public FootageException(String message) {
    super(message);
  }
}
