package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import dynamorph.model.ImportedDocument;
import dynamorph.model.LayerId;
import dynamorph.model.document.DirectFormatting;
import dynamorph.model.document.Mapped;
import dynamorph.model.document.StyleMapping;
import dynamorph.model.style.StyleId;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What a project remembers of imported documents, as JSON. */
final class ImportedJson {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private static final String DIRECT = "direct";
  private static final String STYLES = "styles";
  private static final String KEY = "key";
  private static final String BECOMES = "becomes";
  private static final String STYLE = "style";
  private static final String TEXTS = "texts";
  private static final String LAYER = "layer";
  private static final String PARAGRAPHS = "paragraphs";
  private static final String WORDS = "words";

  private static final String FOLLOWED = "style";
  private static final String NEW = "new";
  private static final String LOCAL = "local";
  private static final String PLAIN = "words";

  private ImportedJson() {}

  static ObjectNode node(ImportedDocument document) {
    ObjectNode node =
        NODES
            .objectNode()
            .put(Names.NAME, document.name())
            .put(DIRECT, id(document.mapping().direct()));
    ArrayNode styles = node.putArray(STYLES);
    new TreeMap<>(document.mapping().styles())
        .forEach((key, mapped) -> styles.add(mapped(key, mapped)));
    ArrayNode texts = node.putArray(TEXTS);
    for (ImportedDocument.Text text : document.texts()) {
      ObjectNode one = texts.addObject().put(LAYER, text.layer().value());
      ArrayNode paragraphs = one.putArray(PARAGRAPHS);
      text.paragraphs()
          .forEach(
              words -> paragraphs.addObject().put(STYLE, words.style()).put(WORDS, words.text()));
    }
    return node;
  }

  private static ObjectNode mapped(String key, Mapped mapped) {
    ObjectNode node = NODES.objectNode().put(KEY, key);
    switch (mapped) {
      case Mapped.Follow(StyleId style) -> node.put(BECOMES, FOLLOWED).put(STYLE, style.value());
      case Mapped.NewStyle(String name) -> node.put(BECOMES, NEW).put(Names.NAME, name);
      case Mapped.Local _ -> node.put(BECOMES, LOCAL);
      case Mapped.WordsOnly _ -> node.put(BECOMES, PLAIN);
    }
    return node;
  }

  private static String id(DirectFormatting direct) {
    return direct.name().toLowerCase(Locale.ROOT);
  }

  static ImportedDocument document(JsonCursor cursor) {
    cursor.only(Names.NAME, DIRECT, STYLES, TEXTS);
    JsonCursor direct = cursor.field(DIRECT);
    Map<String, Mapped> styles = new LinkedHashMap<>();
    cursor.field(STYLES).list().forEach(one -> styles.put(one.field(KEY).text(), mapped(one)));
    List<ImportedDocument.Text> texts = cursor.field(TEXTS).items(ImportedJson::text);
    return cursor.checked(() ->
        new ImportedDocument(
            cursor.field(Names.NAME).text(),
            new StyleMapping(styles, direct.checked(() -> direct(direct.text()))),
            texts));
  }

  private static DirectFormatting direct(String id) {
    return Arrays.stream(DirectFormatting.values())
        .filter(one -> id(one).equals(id))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException(Messages.of("imported-json.unknown", id)));
  }

  private static Mapped mapped(JsonCursor cursor) {
    cursor.only(KEY, BECOMES, STYLE, Names.NAME);
    return switch (cursor.field(BECOMES).text()) {
      case FOLLOWED ->
          cursor.checked(() -> new Mapped.Follow(new StyleId(cursor.field(STYLE).text())));
      case NEW -> new Mapped.NewStyle(cursor.field(Names.NAME).text());
      case LOCAL -> new Mapped.Local();
      case PLAIN -> new Mapped.WordsOnly();
      case String other ->
          throw cursor.field(BECOMES).wrong(Messages.of("imported-json.unknown", other));
    };
  }

  private static ImportedDocument.Text text(JsonCursor cursor) {
    cursor.only(LAYER, PARAGRAPHS);
    List<ImportedDocument.Words> paragraphs =
        cursor
            .field(PARAGRAPHS)
            .items(one -> {
              one.only(STYLE, WORDS);
              return new ImportedDocument.Words(one.field(STYLE).text(), one.field(WORDS).text());
            });
    return cursor.checked(
        () -> new ImportedDocument.Text(new LayerId(cursor.field(LAYER).text()), paragraphs));
  }

  /** The schema of one. */
  static ObjectNode schema() {
    ObjectNode mapped = NODES.objectNode();
    ProjectSchema.fields(
        mapped,
        Map.of(
            KEY,
            ProjectSchema.text(),
            BECOMES,
            ProjectSchema.choice(List.of(FOLLOWED, NEW, LOCAL, PLAIN)),
            STYLE,
            ProjectSchema.text(),
            Names.NAME,
            ProjectSchema.text()),
        List.of(KEY, BECOMES));
    ObjectNode words = NODES.objectNode();
    ProjectSchema.fields(
        words,
        Map.of(STYLE, ProjectSchema.text(), WORDS, ProjectSchema.text()),
        List.of(STYLE, WORDS));
    ObjectNode text = NODES.objectNode();
    ProjectSchema.fields(
        text,
        Map.of(LAYER, ProjectSchema.text(), PARAGRAPHS, ProjectSchema.list(words)),
        List.of(LAYER, PARAGRAPHS));
    ObjectNode document = NODES.objectNode();
    ProjectSchema.fields(
        document,
        Map.of(
            Names.NAME,
            ProjectSchema.text(),
            DIRECT,
            ProjectSchema.choice(
                Arrays.stream(DirectFormatting.values()).map(ImportedJson::id).toList()),
            STYLES,
            ProjectSchema.list(mapped),
            TEXTS,
            ProjectSchema.list(text)),
        List.of(Names.NAME, DIRECT, STYLES, TEXTS));
    return document;
  }
}
