package dynamorph.formats.finish;

import dynamorph.formats.message.Messages;
import dynamorph.formats.project.PropertyJson;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.value.Rgba;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A finish that comes with the program. Its coats have names of their own, it takes the plain fill
 * away, and all its lengths are in em, so that it fits any text.
 *
 * @param group such as Print or Signs
 * @param note what it looks like, in a few words
 * @param ground the colour that it was drawn for
 */
public record FinishPreset(
    String id, String name, String group, String note, Rgba ground, PropertySet values) {
  private static final String FILE = "finish-presets.json";

  /** What the ids of their styles begin with. */
  private static final String PREFIX = "ready-";

  private static final List<FinishPreset> ALL = read();

  /** All of them, group by group. */
  public static List<FinishPreset> all() {
    return ALL;
  }

  private static List<FinishPreset> read() {
    try (InputStream file = FinishPreset.class.getResourceAsStream(FILE)) {
      JsonNode root = JsonMapper.builder().build().readTree(file);
      List<FinishPreset> all = new ArrayList<>();
      for (JsonNode node : root.get("finishes")) {
        all.add(
            new FinishPreset(
                node.get("id").stringValue(),
                node.get("name").stringValue(),
                node.get("group").stringValue(),
                node.get("note").stringValue(),
                Rgba.parse(node.get("ground").stringValue()),
                PropertyJson.read(node.get("properties"))));
      }
      return List.copyOf(all);
    } catch (IOException missing) {
      throw new UncheckedIOException(missing);
    }
  }

  /** The finish as a text style, which says nothing about the letters themselves. */
  public Style style() {
    return new Style(
        new StyleId(PREFIX + id),
        name,
        Messages.of("finish-preset.group") + "/" + group,
        StyleLevel.TEXT,
        Optional.empty(),
        values,
        "");
  }

  /** Whether a style came from one of these. */
  public static boolean isOne(StyleId id) {
    return id.value().startsWith(PREFIX);
  }
}
