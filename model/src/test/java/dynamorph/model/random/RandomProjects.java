package dynamorph.model.random;

import dynamorph.model.Artboard;
import dynamorph.model.ImportedDocument;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.document.DirectFormatting;
import dynamorph.model.document.Mapped;
import dynamorph.model.document.StyleMapping;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.ApplyOptions;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.export.FileNamePattern;
import dynamorph.model.property.Address;
import dynamorph.model.property.Aspect;
import dynamorph.model.property.CoatProperties;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.property.ValueType;
import dynamorph.model.shape.Shape;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.Grouping;
import dynamorph.model.sheet.view.RowUnit;
import dynamorph.model.sheet.view.SheetOrder;
import dynamorph.model.sheet.view.SheetView;
import dynamorph.model.style.ColourLabel;
import dynamorph.model.style.Origin;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.survey.rule.HouseRule;
import dynamorph.model.survey.rule.Ignored;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.survey.rule.RuleSetting;
import dynamorph.model.survey.rule.Severity;
import dynamorph.model.survey.rule.SurveySettings;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.ItemState;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import org.pcollections.TreePVector;

/**
 * Random projects for tests of invariants: styles up to eight deep, stacked and at all levels,
 * patched coats, local changes everywhere. The same seed always gives the same project.
 */
public final class RandomProjects {
  private static final List<String> FAMILIES =
      List.of("EB Garamond", "Source Sans 3", "Anton", "No Such Face");
  private static final List<String> WORDS =
      List.of(
          "hour",
          "bell",
          "brass",
          "\u0633\u0627\u0639\u0629",
          "\u6642\u8a08",
          "tooth",
          "a",
          "",
          "Stra\u00dfe");
  private static final List<String> COATS = List.of("fill", "rim", "glow");
  private static final List<PropertyKey<?>> KEYS = keys();

  private final SplittableRandom random;

  public RandomProjects(long seed) {
    this.random = new SplittableRandom(seed);
  }

  private static List<PropertyKey<?>> keys() {
    List<PropertyKey<?>> keys = new ArrayList<>();
    Properties.all()
        .forEach(property -> {
          switch (property.part()) {
            case TEXT -> keys.add(property.key());
            case COAT -> {
              if (!property.equals(Properties.MASK)) {
                COATS.forEach(coat -> keys.add(property.at(Address.coat(coat))));
                keys.add(property.at(Address.plateCoat("ground")));
              }
              if (CoatProperties.OF_ALL_COATS.contains(property)) {
                keys.add(property.at(Address.whole(Address.FINISH)));
              }
            }
            case EFFECT -> keys.add(property.at(Address.coat("rim").effect("shadow")));
          }
        });
    return keys;
  }

  /** A project with two artboards, a dozen styles and as many layers. */
  public Project project() {
    List<Swatch> swatches = new ArrayList<>();
    for (int index = 0; index < 4; index++) {
      swatches.add(new Swatch("s" + index, "Swatch " + index, colour(), origin("s" + index)));
    }
    List<Style> styles = new ArrayList<>();
    for (int index = 0; index < 14; index++) {
      styles.add(style(index, styles));
    }
    Project project =
        Project.empty("Random")
            .withWords(
                new java.util.TreeSet<>(
                    random.nextBoolean() ? List.of("Halm", "Oostvoort") : List.of()))
            .withExports(random.nextBoolean() ? exports() : List.of())
            .withSheetViews(random.nextBoolean() ? List.of(sheetView()) : List.of())
            .withSurvey(random.nextBoolean() ? survey() : SurveySettings.USUAL)
            .withDocuments(random.nextBoolean() ? documents(styles) : List.of())
            .withPalette(new Palette(swatches))
            .withStyles(StyleBook.of(styles))
            .withBaseStyle(random.nextBoolean() ? textStyle(styles) : Optional.empty());
    List<Artboard> boards = new ArrayList<>();
    for (int board = 0; board < 2; board++) {
      List<Layer> layers = new ArrayList<>();
      for (int index = 0; index < 6; index++) {
        layers.add(layer("l" + board + index, styles));
      }
      layers.add(shape("f" + board, styles));
      boards.add(
          Artboard.empty("b" + board, "Board " + board, 300, 200, LengthUnit.MILLIMETRE)
              .withBackground(Colour.swatch("s" + board))
              .withOrigin(board * 900, 0)
              .withBaseStyle(random.nextInt(3) == 0 ? textStyle(styles) : Optional.empty())
              .withLayers(layers));
    }
    if (random.nextBoolean()) {
      boards.set(1, film(boards.get(1), styles));
    }
    return project.withArtboards(TreePVector.from(boards));
  }

  /** The artboard with a timeline, its layers titles and cues. */
  private Artboard film(Artboard board, List<Style> styles) {
    Track.Captions captions =
        Track.Captions.of("captions", "Captions", random.nextBoolean() ? "ar" : "en")
            .withFollows(follows(styles, StyleLevel.TEXT))
            .withSpeakers(random.nextBoolean() ? Map.of("Ilse", pick(styles).id()) : Map.of())
            .withLocal(random.nextBoolean() ? PropertySet.EMPTY : values(3, Level.LAYER));
    Timeline timeline =
        Timeline.of(pick(FrameRate.USUAL), Time.ofMillis(60_000))
            .plus(new Track.Titles(new TrackId("titles"), "Titles", ItemState.OPEN))
            .plus(captions);
    return board
        .withTimeline(Optional.of(timeline))
        .mapLayers(layer -> layer.withTiming(timing(layer.isText() && random.nextInt(3) > 0)));
  }

  private Timing timing(boolean cue) {
    long in = random.nextInt(50_000);
    return Timing.of(
            new TrackId(cue ? "captions" : "titles"),
            Time.ofMillis(in),
            Time.ofMillis(in + 200 + random.nextInt(6000)))
        .withSpeaker(cue && random.nextBoolean() ? "Ilse" : "");
  }

  private Optional<Origin> origin(String entry) {
    return random.nextInt(3) > 0
        ? Optional.empty()
        : Optional.of(new Origin("shelf", entry, "v" + random.nextInt(3)));
  }

  private Optional<StyleId> textStyle(List<Style> styles) {
    return Optional.of(
        pick(styles.stream().filter(style -> style.level() == StyleLevel.TEXT).toList()).id());
  }

  /**
   * The first style is a text style; each may be based on the one before it of its level, so chains
   * grow deep.
   */
  private Style style(int index, List<Style> before) {
    StyleLevel level = index == 0 ? StyleLevel.TEXT : pick(List.of(StyleLevel.values()));
    Optional<StyleId> base =
        before.reversed().stream()
            .filter(style -> style.level() == level)
            .filter(_ -> random.nextInt(4) > 0)
            .map(Style::id)
            .findFirst();
    return new Style(
        new StyleId("st" + index),
        "Style " + index,
        pick(List.of("", "Panels", "Labels/Loans")),
        level,
        base,
        values(random.nextInt(6), level.level()),
        "",
        random.nextBoolean() ? Optional.empty() : Optional.of(pick(List.of(ColourLabel.values()))),
        random.nextBoolean() ? "" : "A note",
        origin("st" + index));
  }

  private Layer layer(String id, List<Style> styles) {
    List<Paragraph> paragraphs = new ArrayList<>();
    for (int index = 0; index <= random.nextInt(3); index++) {
      paragraphs.add(paragraph(styles));
    }
    PropertySet placement =
        values(4, Level.LAYER).where(key -> key.property().facet() == Facet.PLACEMENT);
    return new Layer(
        Layer.of(id, id, "").id(),
        "Layer " + id,
        new Story(paragraphs),
        Optional.empty(),
        placement,
        follows(styles, StyleLevel.TEXT),
        random.nextBoolean() ? PropertySet.EMPTY : values(3, Level.LAYER),
        random.nextInt(4) == 0 ? Set.of(pick(styles).id()) : Set.of(),
        Optional.empty(),
        new ItemState(id.hashCode() % 11 == 0, id.hashCode() % 7 == 0),
        // it has words, so that the link does not count
        id.hashCode() % 5 == 0 ? Optional.of(new LayerId("another")) : Optional.empty());
  }

  private static final List<Shape> FIGURES =
      List.of(
          new Shape.Rectangle(BoxLengths.parse("3 pt, 0.2 em, 0 pt, 8 pt")),
          new Shape.Ellipse(),
          new Shape.Line(true),
          new Shape.Polygon(5, 0.4),
          new Shape.Drawn("M0 0L10 5C10 8 6 9 0 7Z", 10, 9),
          new Shape.Picture("bell.png"));

  private Layer shape(String id, List<Style> styles) {
    return Layer.of(id, "Figure " + id, pick(FIGURES))
        .withFollows(follows(styles, StyleLevel.TEXT))
        .withLocal(values(2, Level.LAYER));
  }

  private Paragraph paragraph(List<Style> styles) {
    List<Span> spans = new ArrayList<>();
    for (int index = 0; index <= random.nextInt(3); index++) {
      spans.add(
          new Span(
              pick(WORDS) + " " + pick(WORDS),
              follows(styles, StyleLevel.CHARACTER),
              random.nextInt(3) > 0 ? PropertySet.EMPTY : values(2, Level.SPAN),
              random.nextInt(4) > 0 ? "" : pick(WORDS)));
    }
    return new Paragraph(
        spans,
        follows(styles, StyleLevel.PARAGRAPH).stream().findFirst(),
        random.nextInt(3) > 0 ? PropertySet.EMPTY : values(2, Level.PARAGRAPH));
  }

  private List<StyleId> follows(List<Style> styles, StyleLevel level) {
    List<StyleId> follows = new ArrayList<>();
    for (Style style : styles) {
      if (style.level() == level && random.nextInt(4) == 0) {
        follows.add(style.id());
      }
    }
    return follows;
  }

  /** A few random values that count on a level. */
  public PropertySet values(int count, Level level) {
    PropertySet set = PropertySet.EMPTY;
    for (int index = 0; index < count; index++) {
      PropertyKey<?> key = pick(KEYS);
      if (key.countsOn(level)) {
        set = with(set, key);
      }
    }
    return set;
  }

  private <T> PropertySet with(PropertySet set, PropertyKey<T> key) {
    return set.with(key, value(key.property().type()));
  }

  private static final java.util.Map<Class<?>, List<String>> WRITTEN =
      java.util.Map.ofEntries(
          java.util.Map.entry(
              dynamorph.model.value.BoxLengths.class,
              List.of("3 pt", "0.2 em, 0.5 em", "0 pt, 1 pt, 2 pt, 0.3 em")),
          java.util.Map.entry(
              dynamorph.model.value.AxisSettings.class,
              List.of("none", "wght=600", "opsz=9, wght=300")),
          java.util.Map.entry(
              dynamorph.model.value.ScriptFonts.class,
              List.of("none", "Arab: Amiri; *: EB Garamond")),
          java.util.Map.entry(
              dynamorph.model.value.NextStyle.class, List.of("same", "style st4", "style st8")),
          java.util.Map.entry(
              dynamorph.model.value.NestedStyles.class,
              List.of("none", "st3: 2 words; st7: every number", "st7: up to \"e\"")),
          java.util.Map.entry(
              dynamorph.model.value.HyphenationExceptions.class,
              List.of("none", "dyna-morph, wound")),
          java.util.Map.entry(
              dynamorph.model.value.FeatureSettings.class,
              List.of("none", "smcp", "-kern, cv05=2")),
          java.util.Map.entry(
              dynamorph.model.value.StylisticSets.class, List.of("none", "1", "2, 7")),
          java.util.Map.entry(
              dynamorph.model.value.GradientStops.class,
              List.of("#fbe6a2 0%, #7a4a1e 100%", "#ffffff 12.5% / 40%")),
          java.util.Map.entry(String.class, List.of("", "Copper rim", "\u6642\u8A08")),
          java.util.Map.entry(
              dynamorph.model.value.Dashes.class,
              List.of("none", "0.2 em, 0.1 em", "0 pt, 3 pt, 1 em")),
          java.util.Map.entry(
              dynamorph.model.value.TabStops.class,
              List.of("none", "36", "80 end '. ', 120 decimal")));

  @SuppressWarnings("unchecked") // each branch gives the type that its case names
  private <T> T value(ValueType<T> type) {
    Object value =
        switch (type) {
          case ValueType.Words _ -> pick(FAMILIES);
          case ValueType.Number(double least, double most, String _) ->
              (double) Math.round(Math.clamp(random.nextInt(-40, 900), least, most));
          case ValueType.Flag _ -> random.nextBoolean();
          case ValueType.Lengths(double least, double _) ->
              new Length(
                  Math.max(least, random.nextInt(-20, 40) / 10.0),
                  pick(List.of(Length.Unit.values())));
          case ValueType.Sizes _ -> size();
          case ValueType.Leadings _ ->
              pick(List.of(Leading.AUTOMATIC, new Leading.Relative(1.4), new Leading.Absolute(20)));
          case ValueType.Colours _ ->
              random.nextBoolean() ? Colour.swatch("s" + random.nextInt(4)) : Colour.of(colour());
          case ValueType.Choice<?> choice -> pick(choice.options());
          case ValueType.Written<?> written -> written.parse(pick(WRITTEN.get(written.type())));
        };
    return (T) value;
  }

  private FontSize size() {
    return switch (random.nextInt(3)) {
      case 0 -> FontSize.points(random.nextInt(6, 60));
      case 1 -> new FontSize.Times(random.nextInt(5, 20) / 10.0);
      default -> new FontSize.Plus(random.nextInt(-3, 6));
    };
  }

  private Rgba colour() {
    return new Rgba(0xFF000000 | random.nextInt(0x1000000));
  }

  /** One of a list. */
  public <X> X pick(List<? extends X> list) {
    return list.get(random.nextInt(list.size()));
  }

  /** Some layers of a project, at least one. */
  public Target.Layers layers(Project project) {
    List<Layer> all = project.layers().toList();
    List<Layer> some = new ArrayList<>(all.stream().filter(_ -> random.nextInt(3) == 0).toList());
    if (some.isEmpty()) {
      some.add(pick(all));
    }
    return new Target.Layers(some.stream().map(Layer::id).toList());
  }

  /** Some words of one layer, or a caret. */
  public Target.Words words(Project project) {
    Layer layer = pick(project.layers().toList());
    int length = layer.story().length();
    return new Target.Words(
        layer.id(), TextRange.between(random.nextInt(length + 1), random.nextInt(length + 1)));
  }

  /** Some options of following. */
  public ApplyOptions options() {
    Set<Aspect> leaves =
        Arrays.stream(Aspect.values()).filter(_ -> number(3) == 0).collect(Collectors.toSet());
    Set<Facet> kept =
        chance()
            ? EnumSet.allOf(Facet.class)
            : Arrays.stream(Facet.values()).filter(_ -> chance()).collect(Collectors.toSet());
    return new ApplyOptions(chance(), leaves, kept);
  }

  public int number(int bound) {
    return random.nextInt(bound);
  }

  public boolean chance() {
    return random.nextBoolean();
  }

  private List<ImportedDocument> documents(List<Style> styles) {
    List<Mapped> kinds =
        List.of(
            new Mapped.Local(),
            new Mapped.WordsOnly(),
            new Mapped.NewStyle("Note"),
            styles.isEmpty() ? new Mapped.Local() : new Mapped.Follow(styles.getFirst().id()));
    Mapped mapped = kinds.get(random.nextInt(kinds.size()));
    DirectFormatting direct =
        DirectFormatting.values()[random.nextInt(DirectFormatting.values().length)];
    return List.of(
        new ImportedDocument(
            "walls.odt",
            new StyleMapping(Map.of("role:body", mapped), direct),
            List.of(
                new ImportedDocument.Text(
                    new LayerId("l00"),
                    List.of(
                        new ImportedDocument.Words("role:body", "\u201cHalm\u201d\tand\u2028on"),
                        new ImportedDocument.Words("role:body", ""))))));
  }

  private SurveySettings survey() {
    RuleSet rules =
        new RuleSet("House", Map.of(), List.of())
            .with(Rule.SPELLING, RuleSetting.USUAL.withSeverity(Severity.OFF))
            .with(Rule.LOW_CONTRAST, RuleSetting.USUAL.withLimit("ratio", 7 - random.nextInt(3)))
            .with(
                new HouseRule(
                    "small-labels",
                    "name~label && size<18",
                    "Labels are set in 18 pt",
                    Severity.WARNING));
    return new SurveySettings(rules, List.of(new Ignored("overset:layer-1", "as it should be")));
  }

  private SheetView sheetView() {
    RowUnit[] units = RowUnit.values();
    Grouping[] groupings = Grouping.values();
    SheetOrder order =
        new SheetOrder(
            units[random.nextInt(units.length)],
            groupings[random.nextInt(groupings.length)],
            random.nextBoolean() ? Optional.of(Column.Fact.TIME) : Optional.empty(),
            random.nextBoolean(),
            random.nextBoolean() ? "size>=20 && follows=\"Body\"" : "",
            random.nextBoolean());
    List<Column> columns =
        List.of(Column.Fact.WORDS, new Column.Value(Properties.LEADING.key()), Column.Fact.LOCAL);
    return new SheetView(
        "Large \u00b7 60 %",
        order,
        columns.subList(random.nextInt(2), columns.size()),
        random.nextBoolean(),
        SheetView.SMALLEST + random.nextInt(SheetView.LARGEST - SheetView.SMALLEST + 1));
  }

  private List<ExportPreset> exports() {
    ExportFormat format = ExportFormat.values()[random.nextInt(ExportFormat.values().length)];
    ExportPreset usual = ExportPreset.of(format);
    return List.of(
        usual.withFilm(
            new ExportPreset.Film(random.nextBoolean(), random.nextBoolean(), "Section titles")),
        new ExportPreset(
            "For the printer, 3 mm",
            ExportFormat.PDF,
            random.nextInt(18, 2401),
            random.nextInt(1, 101),
            random.nextBoolean(),
            new FileNamePattern("{project} {number} x"),
            new ExportPreset.Document(
                random.nextBoolean(), random.nextInt(145), random.nextBoolean())));
  }
}
