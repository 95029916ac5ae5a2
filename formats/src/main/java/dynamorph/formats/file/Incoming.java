package dynamorph.formats.file;

import dynamorph.formats.message.Messages;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Files from elsewhere: they may be missing, and larger than there is room for. */
public final class Incoming {
  private Incoming() {}

  /**
   * Sees that a file is there and not too large.
   *
   * @param most bytes
   * @throws IOException saying what is wrong
   */
  public static void check(Path file, long most) throws IOException {
    String name = String.valueOf(file.getFileName());
    if (!Files.isRegularFile(file)) {
      throw new IOException(Messages.of("table-reader.there-is-no-such-file", name));
    }
    if (Files.size(file) > most) {
      throw tooLarge(name, most);
    }
  }

  /**
   * The bytes of a file.
   *
   * @param most bytes
   * @throws IOException saying what is wrong, if it is missing or too large
   */
  public static byte[] bytes(Path file, long most) throws IOException {
    check(file, most);
    return Files.readAllBytes(file);
  }

  /** What is told of a file, or of what is packed in it, that has more bytes than it may. */
  public static IOException tooLarge(String name, long most) {
    return new IOException(Messages.of("word-table.is-too-large", name, most >> 20));
  }
}
