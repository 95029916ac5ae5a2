package dynamorph.shelf.starter;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Rgba;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.entry.Version;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Kits to begin with, by what they are for. Each is a file of resources that people can write: a
 * palette, and styles with their values as the inspector shows them.
 */
public final class StarterKits {
  private static final String INDEX = "index.txt";
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** When the kits were made; a look of a kit has one version. */
  private static final Instant MADE = Instant.parse("2026-11-30T00:00:00Z");

  private StarterKits() {}

  /**
   * A kit.
   *
   * @param note what it is for
   */
  public record Kit(String id, String name, String note) {}

  /** All kits, in the order of their list. */
  public static List<Kit> all() {
    return text(INDEX).lines().filter(line -> !line.isBlank()).map(StarterKits::kit).toList();
  }

  private static Kit kit(String id) {
    JsonNode root = JSON.readTree(text(id + ".json"));
    return new Kit(id, root.path("name").asString(""), root.path("note").asString(""));
  }

  /**
   * The looks of a kit, as a shelf to take from.
   *
   * @throws IllegalArgumentException if there is no such kit
   */
  public static Shelf read(String id) {
    JsonNode root = JSON.readTree(text(id + ".json"));
    Map<String, Entry> entries = new HashMap<>();
    for (JsonNode node : root.path("palette")) {
      add(
          entries,
          new Kept.OfSwatch(
              new Swatch(
                  node.path("id").asString(""),
                  node.path("name").asString(""),
                  Rgba.parse(node.path("colour").asString("")))));
    }
    for (JsonNode node : root.path("styles")) {
      add(entries, new Kept.OfStyle(style(node)));
    }
    return new Shelf(
        "starter-" + id,
        root.path("name").asString(""),
        entries,
        List.of(),
        List.of(),
        _ -> Optional.empty());
  }

  private static Style style(JsonNode node) {
    Map<String, String> values = new LinkedHashMap<>();
    for (String path : node.path("values").propertyNames()) {
      values.put(path, node.path("values").path(path).asString(""));
    }
    String level = node.path("level").asString("");
    return new Style(
        new StyleId(node.path("id").asString("")),
        node.path("name").asString(""),
        node.path("group").asString(""),
        Arrays.stream(StyleLevel.values())
            .filter(one -> one.id().equals(level))
            .findFirst()
            .orElse(StyleLevel.TEXT),
        Optional.of(node.path("basedOn").asString(""))
            .filter(base -> !base.isEmpty())
            .map(StyleId::new),
        PropertySet.parse(values),
        node.path("sample").asString(""));
  }

  private static void add(Map<String, Entry> entries, Kept kept) {
    Version version = Version.of(List.of(), MADE, "", "", Optional.of(kept));
    entries.put(kept.id(), Entry.of(kept.id(), List.of(version)));
  }

  private static String text(String name) {
    try (InputStream stream = StarterKits.class.getResourceAsStream(name)) {
      if (stream == null) {
        throw new IllegalArgumentException(name);
      }
      return new String(Objects.requireNonNull(stream).readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }
}
