package dynamorph.formats.tokens;

import dynamorph.formats.message.ShortText;
import java.io.IOException;
import java.nio.file.Path;

/** A file of design tokens that cannot be read: which file, where in it, what is wrong. */
public final class TokenReadException extends IOException {
  /**
   * @param place line and column, or path of a token or group; empty for the whole file
   */
  TokenReadException(Path file, String place, String problem) {
    super(
        file.getFileName()
            + (place.isEmpty() ? ": " : ": " + ShortText.of(place) + ": ")
            + ShortText.of(problem));
  }
}
