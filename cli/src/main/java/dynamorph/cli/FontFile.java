package dynamorph.cli;

import dynamorph.model.Asset;
import dynamorph.model.cascade.FontRequest;
import dynamorph.typeset.font.FontLibrary;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/**
 * A font given by its file.
 *
 * @param wish what asks for just its face
 */
record FontFile(Asset asset, FontRequest wish) {
  /**
   * Whether a font is given by a file and not by the name of a family.
   *
   * @throws IllegalArgumentException if it is, and there is no such file
   */
  static boolean isOne(String font) {
    boolean named = font.toLowerCase(Locale.ROOT).matches(".*\\.(ttf|otf|ttc|otc)");
    if (named && !Files.isRegularFile(Path.of(font))) {
      throw new IllegalArgumentException("font: there is no file " + font);
    }
    return named;
  }

  static FontFile read(String font) throws IOException {
    Path file = Path.of(font);
    Asset asset = new Asset("fonts/" + file.getFileName(), Files.readAllBytes(file));
    return new FontFile(asset, FontLibrary.wishFor(asset.name(), asset.bytes()));
  }
}
