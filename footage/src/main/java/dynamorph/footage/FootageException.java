package dynamorph.footage;

import java.io.IOException;

/** A video or a picture cannot be read; the message says which and why. */
public final class FootageException extends IOException {
  private static final long serialVersionUID = 1;

  FootageException(String message) {
    super(message);
  }
}
