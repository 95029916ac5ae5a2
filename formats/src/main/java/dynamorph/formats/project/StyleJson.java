package dynamorph.formats.project;

import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import java.io.IOException;
import tools.jackson.databind.JsonNode;

/** A style alone, as in the document of a project's styles. */
public final class StyleJson {
  private StyleJson() {}

  public static JsonNode write(Style style) {
    return ProjectWriter.style(style);
  }

  /**
   * Reads it again.
   *
   * @param palette the swatches that it may name
   * @throws IOException if something in it is wrong
   */
  public static Style read(JsonNode node, Palette palette) throws IOException {
    try {
      return new ProjectReader(palette, StyleBook.EMPTY).style(new JsonCursor(node, ""));
    } catch (JsonCursor.Wrong wrong) {
      throw new IOException(wrong.place() + ": " + wrong.getMessage(), wrong);
    }
  }
}
