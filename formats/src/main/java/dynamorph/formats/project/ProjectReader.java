package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.export.FileNamePattern;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.ColourLabel;
import dynamorph.model.style.Origin;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.survey.rule.SurveySettings;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Supplier;
import org.pcollections.PVector;
import org.pcollections.TreePVector;

/**
 * Builds a project out of the JSON documents of one file, version 1. Every wrong thing is told with
 * its place.
 */
final class ProjectReader {
  private final Palette palette;
  private final StyleBook styles;
  private final Set<ArtboardId> boardIds = new HashSet<>();
  private final Set<LayerId> layerIds = new HashSet<>();
  private final TimelineReader timelines =
      new TimelineReader(this::styleReference, cursor -> properties(cursor, Names.LOCAL));

  private final boolean isAlone;

  /** A reader of single objects, which may name the swatches and styles that there are. */
  ProjectReader(Palette palette, StyleBook styles) {
    this(palette, styles, false);
  }

  private ProjectReader(Palette palette, StyleBook styles, boolean isAlone) {
    this.palette = palette;
    this.styles = styles;
    this.isAlone = isAlone;
  }

  /** A reader of styles whose swatches stand elsewhere. */
  static ProjectReader alone() {
    return new ProjectReader(Palette.EMPTY, StyleBook.EMPTY, true);
  }

  /**
   * Reads a whole project.
   *
   * @param documents gives the document of an entry, or throws if there is none
   */
  static Project read(Function<String, JsonCursor> documents, List<Asset> assets) {
    JsonCursor root = documents.apply(Names.PROJECT_ENTRY).only(Names.OF_PROJECT);
    Palette palette = palette(root);
    JsonCursor list = documents.apply(Names.STYLES_ENTRY).only(Names.STYLES).field(Names.STYLES);
    List<Style> read = list.items(new ProjectReader(palette, StyleBook.EMPTY)::style);
    ProjectReader reader = new ProjectReader(palette, list.checked(() -> StyleBook.of(read)));
    List<Artboard> artboards =
        root.field(Names.ARTBOARDS).items(entry -> reader.onlyOne(documents.apply(entry.text())));
    return reader.project(root, TreePVector.from(artboards), assets);
  }

  /** An artboard whose id no other has. */
  private Artboard onlyOne(JsonCursor document) {
    Artboard board = artboard(document);
    if (!boardIds.add(board.id())) {
      throw document.wrong(Messages.of("project-reader.two-artboards-have-the-id", board.id()));
    }
    return board;
  }

  /** The swatches in the document of a project. */
  static Palette palette(JsonCursor root) {
    JsonCursor list = root.field(Names.PALETTE);
    return list.checked(() -> new Palette(list.items(ProjectReader::swatch)));
  }

  StyleBook styles() {
    return styles;
  }

  /** What the document of a project itself says, with all that has documents of its own. */
  Project project(JsonCursor root, PVector<Artboard> artboards, List<Asset> assets) {
    root.only(Names.OF_PROJECT);
    Optional<StyleId> base = root.find(Names.BASE_STYLE).map(this::styleReference);
    return root.checked(() ->
        new Project(
            root.field(Names.NAME).text(),
            artboards,
            styles,
            palette,
            base,
            root.field(Names.LANGUAGE).text(),
            new TreeSet<>(
                root.find(Names.WORDS)
                    .map(words -> words.items(JsonCursor::text))
                    .orElse(List.of())),
            assets,
            root.find(Names.EXPORTS)
                .map(list -> list.items(ProjectReader::export))
                .orElse(List.of()),
            root.find(Names.SURVEY).map(RuleSetJson::settings).orElse(SurveySettings.USUAL),
            root.find(Names.DOCUMENTS)
                .map(list -> list.items(ImportedJson::document))
                .orElse(List.of()),
            root.find(Names.SHEET_VIEWS)
                .map(list -> list.items(SheetViewJson::view))
                .orElse(List.of())));
  }

  private static ExportPreset export(JsonCursor cursor) {
    cursor.only(Names.OF_EXPORT);
    JsonCursor format = cursor.field(Names.FILE_FORMAT);
    ExportFormat known = format.checked(() -> ExportFormat.of(format.text()));
    ExportPreset usual = ExportPreset.of(known);
    ExportPreset.Document document =
        cursor.checked(() ->
            new ExportPreset.Document(
                cursor.find(Names.ONE_PER_ARTBOARD).map(JsonCursor::truth).orElse(false),
                cursor.find(Names.BLEED).map(JsonCursor::number).orElse(0.0),
                cursor.find(Names.CROP_MARKS).map(JsonCursor::truth).orElse(false)));
    ExportPreset.Film film =
        new ExportPreset.Film(
            cursor.find(Names.SOUND).map(JsonCursor::truth).orElse(true),
            cursor.find(Names.CAPTION_TRACKS).map(JsonCursor::truth).orElse(false),
            cursor.find(Names.CHAPTERS).map(JsonCursor::text).orElse(""));
    return cursor.checked(() ->
        new ExportPreset(
            cursor.field(Names.NAME).text(),
            known,
            cursor.find(Names.RESOLUTION).map(JsonCursor::number).orElse(usual.resolution()),
            cursor
                .find(Names.QUALITY)
                .map(quality -> (int) Math.rint(quality.number()))
                .orElse(usual.quality()),
            cursor.find(Names.BACKGROUND).map(JsonCursor::truth).orElse(true),
            cursor
                .find(Names.FILE_NAME)
                .map(name -> name.checked(() -> new FileNamePattern(name.text())))
                .orElse(usual.fileName()),
            document,
            film));
  }

  private static Optional<Origin> origin(JsonCursor thing) {
    return thing
        .find(Names.ORIGIN)
        .map(cursor -> cursor.only(Names.SHELF, Names.ENTRY, Names.AT_VERSION))
        .map(cursor ->
            cursor.checked(() ->
                new Origin(
                    cursor.field(Names.SHELF).text(),
                    cursor.field(Names.ENTRY).text(),
                    cursor.field(Names.AT_VERSION).text())));
  }

  static Swatch swatch(JsonCursor cursor) {
    cursor.only(Names.ID, Names.NAME, Names.COLOUR, Names.ORIGIN);
    Rgba colour =
        cursor.field(Names.COLOUR).checked(() -> Rgba.parse(cursor.field(Names.COLOUR).text()));
    return cursor.checked(() ->
        new Swatch(
            cursor.field(Names.ID).text(),
            cursor.field(Names.NAME).text(),
            colour,
            origin(cursor)));
  }

  Style style(JsonCursor cursor) {
    cursor.only(
        Names.ID,
        Names.NAME,
        Names.GROUP,
        Names.LEVEL,
        Names.BASED_ON,
        Names.PROPERTIES,
        Names.SAMPLE,
        Names.LABEL,
        Names.NOTE,
        Names.ORIGIN);
    StyleLevel level = level(cursor.field(Names.LEVEL));
    Optional<StyleId> basedOn =
        cursor.find(Names.BASED_ON).map(base -> base.checked(() -> new StyleId(base.text())));
    return cursor.checked(() ->
        new Style(
            new StyleId(cursor.field(Names.ID).text()),
            cursor.field(Names.NAME).text(),
            cursor.find(Names.GROUP).map(JsonCursor::text).orElse(""),
            level,
            basedOn,
            properties(cursor, Names.PROPERTIES),
            cursor.find(Names.SAMPLE).map(JsonCursor::text).orElse(""),
            cursor.find(Names.LABEL).map(ProjectReader::colourLabel),
            cursor.find(Names.NOTE).map(JsonCursor::text).orElse(""),
            origin(cursor)));
  }

  private static ColourLabel colourLabel(JsonCursor cursor) {
    return Arrays.stream(ColourLabel.values())
        .filter(label -> label.id().equals(cursor.text()))
        .findFirst()
        .orElseThrow(() ->
            cursor.wrong(Messages.of("project-reader.there-is-no-colour-label", cursor.text())));
  }

  private static StyleLevel level(JsonCursor cursor) {
    return Arrays.stream(StyleLevel.values())
        .filter(level -> level.id().equals(cursor.text()))
        .findFirst()
        .orElseThrow(() ->
            cursor.wrong(
                Messages.of(
                    "project-reader.expected-one-of-text-paragraph-character", cursor.text())));
  }

  Artboard artboard(JsonCursor cursor) {
    return artboard(cursor, () -> TreePVector.from(cursor.field(Names.LAYERS).items(this::layer)));
  }

  /** An artboard whose layers come from elsewhere. */
  Artboard artboard(JsonCursor cursor, Supplier<PVector<Layer>> layers) {
    cursor.only(Names.OF_ARTBOARD, Names.BASE_STYLE, Names.TIMELINE);
    return cursor.checked(() ->
        new Artboard(
            new ArtboardId(cursor.field(Names.ID).text()),
            cursor.field(Names.NAME).text(),
            cursor.field(Names.WIDTH).number(),
            cursor.field(Names.HEIGHT).number(),
            unit(cursor.field(Names.UNIT)),
            colour(cursor.field(Names.BACKGROUND)),
            cursor.field(Names.X).number(),
            cursor.field(Names.Y).number(),
            layers.get(),
            cursor.find(Names.BASE_STYLE).map(this::styleReference),
            cursor.find(Names.TIMELINE).map(timelines::timeline)));
  }

  private static LengthUnit unit(JsonCursor cursor) {
    return Arrays.stream(LengthUnit.values())
        .filter(unit -> unit.symbol().equals(cursor.text()))
        .findFirst()
        .orElseThrow(() ->
            cursor.wrong(Messages.of("project-reader.expected-one-of-pt-mm-in", cursor.text())));
  }

  private Colour colour(JsonCursor cursor) {
    Colour colour = cursor.checked(() -> Colour.parse(cursor.text()));
    checkSwatch(colour, cursor);
    return colour;
  }

  Layer layer(JsonCursor cursor) {
    cursor.only(
        Names.ID,
        Names.NAME,
        Names.FRAME,
        Names.FOLLOWS,
        Names.LOCAL,
        Names.MUTED,
        Names.PARAGRAPHS,
        Names.SHAPE,
        Names.TIMING,
        Names.HIDDEN,
        Names.LOCKED,
        Names.CONTINUES);
    LayerId id = cursor.field(Names.ID).checked(() -> new LayerId(cursor.field(Names.ID).text()));
    if (!layerIds.add(id)) {
      throw cursor.wrong(Messages.of("project-reader.two-layers-have-the-id", id));
    }
    return cursor.checked(() ->
        new Layer(
            id,
            cursor.field(Names.NAME).text(),
            new Story(cursor.field(Names.PARAGRAPHS).items(this::paragraph)),
            cursor.find(Names.SHAPE).map(ShapeJson::read),
            properties(cursor, Names.FRAME),
            follows(cursor, Names.FOLLOWS),
            properties(cursor, Names.LOCAL),
            Set.copyOf(follows(cursor, Names.MUTED)),
            cursor.find(Names.TIMING).map(timelines::timing),
            TimelineReader.state(cursor),
            cursor.find(Names.CONTINUES).map(box -> box.checked(() -> new LayerId(box.text())))));
  }

  private Paragraph paragraph(JsonCursor cursor) {
    cursor.only(Names.FOLLOWS, Names.LOCAL, Names.SPANS);
    return cursor.checked(() ->
        new Paragraph(
            cursor.field(Names.SPANS).items(this::span),
            cursor.find(Names.FOLLOWS).map(this::styleReference),
            properties(cursor, Names.LOCAL)));
  }

  private Span span(JsonCursor cursor) {
    cursor.only(Names.TEXT, Names.FOLLOWS, Names.LOCAL, Names.RUBY);
    return cursor.checked(() ->
        new Span(
            cursor.field(Names.TEXT).text(),
            follows(cursor, Names.FOLLOWS),
            properties(cursor, Names.LOCAL),
            cursor.find(Names.RUBY).map(JsonCursor::text).orElse("")));
  }

  private List<StyleId> follows(JsonCursor cursor, String field) {
    return cursor.find(field).map(list -> list.items(this::styleReference)).orElse(List.of());
  }

  private StyleId styleReference(JsonCursor cursor) {
    StyleId id = cursor.checked(() -> new StyleId(cursor.text()));
    if (styles.find(id).isEmpty()) {
      throw cursor.wrong(Messages.of("project-reader.there-is-no-style-with-the", id));
    }
    return id;
  }

  private PropertySet properties(JsonCursor cursor, String field) {
    PropertySet set = PropertySet.EMPTY;
    Optional<JsonCursor> object = cursor.find(field);
    if (object.isPresent()) {
      for (var entry : object.get().fields()) {
        PropertyKey<?> key = entry.getValue().checked(() -> Properties.key(entry.getKey()));
        set = with(set, key, entry.getValue());
      }
    }
    return set;
  }

  private <T> PropertySet with(PropertySet set, PropertyKey<T> key, JsonCursor cursor) {
    T value = cursor.checked(() -> key.property().type().decode(cursor.scalar()));
    if (value instanceof Colour colour) {
      checkSwatch(colour, cursor);
    }
    return set.with(key, value);
  }

  private void checkSwatch(Colour colour, JsonCursor cursor) {
    if (!isAlone
        && colour instanceof Colour.SwatchReference(String swatch)
        && palette.find(swatch).isEmpty()) {
      throw cursor.wrong(Messages.of("project-reader.there-is-no-swatch-with-the", swatch));
    }
  }
}
