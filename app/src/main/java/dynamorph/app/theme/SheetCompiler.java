package dynamorph.app.theme;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.css.Stylesheet;

/**
 * Writes the toolkit's binary form beside each style sheet of a folder, at the end of a build: read
 * as words, they hold up each start.
 */
public final class SheetCompiler {
  private static final String WORDS = ".css";
  private static final String BINARY = ".bss";

  private SheetCompiler() {}

  public static void main(String[] arguments) throws IOException {
    try (Stream<Path> files = Files.list(Path.of(arguments[0]))) {
      List<Path> sheets = files.filter(file -> file.toString().endsWith(WORDS)).toList();
      for (Path sheet : sheets) {
        Stylesheet.convertToBinary(
            sheet.toFile(), sheet.resolveSibling(binary(sheet.getFileName().toString())).toFile());
      }
    }
  }

  /** The name of the binary form of a sheet. */
  static String binary(String sheet) {
    return sheet.substring(0, sheet.length() - WORDS.length()) + BINARY;
  }
}
