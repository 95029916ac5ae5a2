package dynamorph.formats.project;

import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.Swatch;
import java.io.IOException;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;

/** A style alone, as in the document of a project's styles. */
public final class StyleJson {
  private StyleJson() {}

  public static JsonNode write(Style style) {
    return ProjectWriter.style(style);
  }

  /** A swatch alone, as in the document of a project. */
  public static JsonNode write(Swatch swatch) {
    return ProjectWriter.swatch(swatch);
  }

  /**
   * Reads a swatch again.
   *
   * @throws IOException if something in it is wrong
   */
  public static Swatch readSwatch(JsonNode node) throws IOException {
    return told(() -> ProjectReader.swatch(new JsonCursor(node, "")));
  }

  /**
   * Reads a style whose swatches and base stand elsewhere.
   *
   * @throws IOException if something in it is wrong
   */
  public static Style readAlone(JsonNode node) throws IOException {
    return told(() -> ProjectReader.alone().style(new JsonCursor(node, "")));
  }

  /**
   * Reads it again.
   *
   * @param palette the swatches that it may name
   * @throws IOException if something in it is wrong
   */
  public static Style read(JsonNode node, Palette palette) throws IOException {
    return told(() -> new ProjectReader(palette, StyleBook.EMPTY).style(new JsonCursor(node, "")));
  }

  private static <T> T told(Supplier<T> reading) throws IOException {
    try {
      return reading.get();
    } catch (JsonCursor.Wrong wrong) {
      throw new IOException(wrong.place() + ": " + wrong.getMessage(), wrong);
    }
  }
}
