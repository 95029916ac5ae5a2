package dynamorph.typeset.font;

import java.io.IOException;
import java.io.InputStream;

/** The font files that come with the program, and the list of them. */
final class ShippedFiles {
  private static final String FOLDER = "/dynamorph/typeset/fonts/";

  private ShippedFiles() {}

  static byte[] bytes(String file) throws IOException {
    try (InputStream stream = open(file)) {
      return stream.readAllBytes();
    }
  }

  static InputStream open(String file) {
    InputStream stream = ShippedFiles.class.getResourceAsStream(FOLDER + file);
    if (stream == null) {
      throw new IllegalStateException("a shipped font is missing from the build: " + file);
    }
    return stream;
  }
}
