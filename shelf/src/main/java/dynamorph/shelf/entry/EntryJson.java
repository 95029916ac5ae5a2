package dynamorph.shelf.entry;

import dynamorph.formats.project.StyleJson;
import dynamorph.shelf.message.Messages;
import java.io.IOException;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * An entry of a shelf as text. What it is now comes first, so that a text diff shows a changed
 * value as a changed line; all versions follow, old ones first.
 */
public final class EntryJson {
  /** What the first field of the file says. */
  public static final String FORMAT = "dynamorph-shelf-entry";

  public static final int FORMAT_VERSION = 1;

  static final String ID = "id";
  static final String NOW = "now";
  static final String VERSIONS = "versions";
  static final String STYLE = "style";
  static final String SWATCH = "swatch";
  static final String DELETED = "deleted";
  static final String TAGS = "tags";
  static final String ASSETS = "assets";
  static final String VERSION = "version";
  static final String PARENTS = "parents";
  static final String TIME = "time";
  static final String AUTHOR = "author";
  static final String NOTE = "note";
  static final String FORMAT_NAME = "format";
  static final String FORMAT_NUMBER = "formatVersion";

  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final JsonMapper PLAIN = JsonMapper.builder().build();
  private static final JsonMapper INDENTED =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  private EntryJson() {}

  /**
   * An entry read from a file.
   *
   * @param problems what in it is damaged and was left out
   * @param byHand what the file says it is now, where that is not what its versions say: somebody
   *     changed it with a text editor
   */
  public record Read(Entry entry, Optional<Kept> byHand, List<String> problems) {}

  /** The file of an entry. */
  public static String write(Entry entry) {
    ObjectNode node = NODES.objectNode();
    node.put(FORMAT_NAME, FORMAT).put(FORMAT_NUMBER, FORMAT_VERSION).put(ID, entry.id());
    node.set(NOW, content(entry.kept()));
    ArrayNode versions = node.putArray(VERSIONS);
    entry.versions().forEach(version -> versions.add(version(version)));
    return INDENTED.writeValueAsString(node) + "\n";
  }

  /** A version with its id. */
  public static ObjectNode version(Version version) {
    ObjectNode node = NODES.objectNode().put(VERSION, version.id());
    return node.setAll(named(version));
  }

  private static ObjectNode named(Version version) {
    ObjectNode node = NODES.objectNode();
    ArrayNode parents = node.putArray(PARENTS);
    version.parents().forEach(parents::add);
    node.put(TIME, version.time().toString());
    if (!version.author().isEmpty()) {
      node.put(AUTHOR, version.author());
    }
    if (!version.note().isEmpty()) {
      node.put(NOTE, version.note());
    }
    return node.setAll(content(version.kept()));
  }

  /** The text that the id of a version is the hash of. */
  static String canonical(Version version) {
    return PLAIN.writeValueAsString(named(version));
  }

  private static ObjectNode content(Optional<Kept> kept) {
    ObjectNode node = NODES.objectNode();
    switch (kept.orElse(null)) {
      case Kept.OfStyle style -> {
        node.set(STYLE, StyleJson.write(style.style()));
        tags(node, style.tags());
        if (!style.assets().isEmpty()) {
          ObjectNode assets = node.putObject(ASSETS);
          style.assets().forEach(assets::put);
        }
      }
      case Kept.OfSwatch swatch -> {
        node.set(SWATCH, StyleJson.write(swatch.swatch()));
        tags(node, swatch.tags());
      }
      case null -> node.put(DELETED, true);
    }
    return node;
  }

  private static void tags(ObjectNode node, SortedSet<String> tags) {
    if (!tags.isEmpty()) {
      ArrayNode list = node.putArray(TAGS);
      tags.forEach(list::add);
    }
  }

  /**
   * Reads the file of an entry.
   *
   * @throws IOException if it is no such file, or nothing in it can be read; it says what is wrong
   */
  public static Read read(byte[] bytes) throws IOException {
    JsonNode node = parse(bytes);
    if (!FORMAT.equals(text(node, FORMAT_NAME))) {
      throw new IOException(Messages.of("entry-json.not-an-entry"));
    }
    if (node.path(FORMAT_NUMBER).asInt(0) != FORMAT_VERSION) {
      throw new IOException(Messages.of("entry-json.newer-format", FORMAT_VERSION));
    }
    String id = text(node, ID);
    List<Version> versions = new ArrayList<>();
    List<String> problems = new ArrayList<>();
    for (JsonNode each : node.path(VERSIONS)) {
      try {
        versions.add(readVersion(each));
      } catch (IOException damaged) {
        problems.add(String.valueOf(damaged.getMessage()));
      }
    }
    if (versions.isEmpty()) {
      throw new IOException(
          problems.isEmpty() ? Messages.of("entry-json.no-versions") : problems.getFirst());
    }
    Entry entry = Entry.of(id, versions);
    boolean isOnlyVersion =
        versions.size() == 1 && isSameContent(node.path(NOW), node.path(VERSIONS).path(0));
    Optional<Kept> now =
        problems.isEmpty() && !isOnlyVersion ? readContent(node.path(NOW)) : entry.kept();
    boolean isByHand = now.isPresent() && !now.equals(entry.kept()) && now.get().id().equals(id);
    return new Read(entry, isByHand ? now : Optional.empty(), List.copyOf(problems));
  }

  /** Most entries have one version, which need not be read twice. */
  private static boolean isSameContent(JsonNode now, JsonNode version) {
    return Stream.of(STYLE, SWATCH, DELETED, TAGS, ASSETS)
        .allMatch(field -> now.path(field).equals(version.path(field)));
  }

  /**
   * A file as JSON.
   *
   * @throws IOException if it is none; it says in which line
   */
  public static JsonNode parse(byte[] bytes) throws IOException {
    try {
      return PLAIN.readTree(bytes);
    } catch (JacksonException notJson) {
      var at = notJson.getLocation();
      throw new IOException(
          Messages.of(
              "entry-json.not-json",
              at == null ? 0 : at.getLineNr(),
              String.valueOf(notJson.getOriginalMessage())),
          notJson);
    }
  }

  private static String text(JsonNode node, String field) throws IOException {
    JsonNode value = node.path(field);
    if (!value.isString()) {
      throw new IOException(Messages.of("entry-json.field-is-missing", field));
    }
    return value.stringValue();
  }

  /**
   * Reads a version.
   *
   * @throws IOException if something in it is wrong, or its id is not that of what it says
   */
  public static Version readVersion(JsonNode node) throws IOException {
    List<String> parents = new ArrayList<>();
    for (JsonNode parent : node.path(PARENTS)) {
      parents.add(parent.asString(""));
    }
    Version version =
        new Version(
            text(node, VERSION),
            parents,
            time(text(node, TIME)),
            node.path(AUTHOR).asString(""),
            node.path(NOTE).asString(""),
            readContent(node));
    if (!version.isSound()) {
      throw new IOException(Messages.of("entry-json.damaged-version", version.id()));
    }
    return version;
  }

  /** A time as these files have it. */
  public static Instant time(String text) throws IOException {
    try {
      return Instant.parse(text);
    } catch (DateTimeException wrong) {
      throw new IOException(Messages.of("entry-json.no-time", text), wrong);
    }
  }

  private static Optional<Kept> readContent(JsonNode node) throws IOException {
    SortedSet<String> tags = new TreeSet<>();
    node.path(TAGS).forEach(tag -> tags.add(tag.asString("")));
    if (node.has(STYLE)) {
      SortedMap<String, String> assets = new TreeMap<>();
      for (String name : node.path(ASSETS).propertyNames()) {
        assets.put(name, node.path(ASSETS).path(name).asString(""));
      }
      return Optional.of(new Kept.OfStyle(StyleJson.readAlone(node.get(STYLE)), tags, assets));
    }
    if (node.has(SWATCH)) {
      return Optional.of(new Kept.OfSwatch(StyleJson.readSwatch(node.get(SWATCH)), tags));
    }
    if (node.path(DELETED).asBoolean(false)) {
      return Optional.empty();
    }
    throw new IOException(Messages.of("entry-json.nothing-in-it"));
  }
}
