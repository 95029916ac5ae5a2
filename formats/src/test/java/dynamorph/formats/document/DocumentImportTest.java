package dynamorph.formats.document;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.IdSource;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.document.Arrangement;
import dynamorph.model.document.Mapped;
import dynamorph.model.document.StyleMapping;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.mapping.MappedDocument;
import dynamorph.model.document.mapping.MappingProposal;
import dynamorph.model.edit.text.ReplaceStories;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Documents as they come into a project, and come again. */
class DocumentImportTest {
  private static final String PANELS =
      """
      # Bells

      Five **bells** hang here.

      It rains on none of them.

      # Winders

      Eleven are known by name.
      """;

  private static final StyleId HEADING = new StyleId("panel-heading");

  private static FontLibrary fonts;
  private static SceneMaker maker;

  @TempDir private Path folder;
  private final AtomicInteger number = new AtomicInteger();
  private final IdSource ids = prefix -> prefix + "-n" + number.incrementAndGet();

  @BeforeAll
  static void openFonts() {
    fonts = FontLibrary.forProject(List.of());
    maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
  }

  @AfterAll
  static void closeFonts() {
    fonts.close();
  }

  private WrittenDocument document(String words) throws IOException {
    return DocumentFile.read(Files.writeString(folder.resolve("panels.md"), words));
  }

  private static Style style(StyleId id, String name, StyleLevel level, String... values) {
    PropertySet set = PropertySet.EMPTY;
    for (int index = 0; index < values.length; index += 2) {
      set = set.overlaidBy(PropertySet.parse(Map.of(values[index], values[index + 1])));
    }
    return Style.text(id.value(), name, "").withLevel(level).withProperties(set);
  }

  private static Project project() {
    return Project.empty("P")
        .withStyles(
            StyleBook.of(
                List.of(
                    style(HEADING, "Panel heading", StyleLevel.PARAGRAPH, "size", "30 pt"),
                    style(new StyleId("loud"), "Bold words", StyleLevel.CHARACTER))))
        .plus(Artboard.empty("a", "A", 400, 300, LengthUnit.POINT));
  }

  private DocumentPlan plan(Project project, WrittenDocument document, Arrangement how) {
    StyleMapping mapping = MappingProposal.of(project, document);
    return DocumentPlan.of(
        new MappedDocument(project, document, mapping),
        how,
        document.sectionStyles().stream().findFirst(),
        new DocumentPlan.Around(
            Optional.of(new ArtboardId("a")), project.layers().map(Layer::id).toList()),
        maker,
        ids);
  }

  private static List<String> words(Project project) {
    return project.layers().map(layer -> layer.story().text()).toList();
  }

  @Test
  void sectionsStandOnArtboardsOfTheirOwn() throws IOException {
    Project project = project();

    Project after =
        plan(project, document(PANELS), Arrangement.ARTBOARD_PER_SECTION).edit().applyTo(project);

    assertThat(after.artboards())
        .extracting(Artboard::name)
        .containsExactly("A", "Bells", "Winders");
    assertThat(words(after))
        .containsExactly(
            "Bells\nFive bells hang here.\nIt rains on none of them.",
            "Winders\nEleven are known by name.");
    assertThat(after.artboards().get(1).x()).isGreaterThan(400);
    assertThat(after.artboards().get(2).x())
        .isGreaterThanOrEqualTo(after.artboards().get(1).x() + 400);
  }

  @Test
  void headingsFollowTheStyleThatIsForThem() throws IOException {
    Project project = project();

    Project after = plan(project, document(PANELS), Arrangement.ONE_TEXT).edit().applyTo(project);

    List<Paragraph> paragraphs = after.layers().findFirst().orElseThrow().story().paragraphs();
    assertThat(paragraphs.getFirst().follows()).contains(HEADING);
    assertThat(paragraphs.get(1).follows()).isEmpty();
    assertThat(paragraphs.get(1).spans())
        .extracting(Span::text, span -> span.follows().toString())
        .contains(org.assertj.core.groups.Tuple.tuple("bells", "[loud]"));
  }

  @Test
  void aNewStyleHasTheLookOfTheDocument() throws IOException {
    Project project = project();
    WrittenDocument document = document(PANELS);
    StyleMapping mapping =
        MappingProposal.of(project, document)
            .with("role:heading_1", new Mapped.NewStyle("Panel heading"));

    MappedDocument mapped = new MappedDocument(project, document, mapping);

    assertThat(mapped.newStyles())
        .singleElement()
        .satisfies(style -> {
          assertThat(style.name()).isEqualTo("Panel heading 2");
          assertThat(style.properties().get(Properties.FONT_WEIGHT.key())).contains(700.0);
          assertThat(style.level()).isEqualTo(StyleLevel.PARAGRAPH);
        });
  }

  @Test
  void newStylesStandToTheBodyTextAsTheyDoInTheDocument() throws IOException {
    StyleId body = new StyleId("column");
    Project base = project();
    Project project =
        base.withStyles(
            base.styles().with(style(body, "Column text", StyleLevel.PARAGRAPH, "size", "48 pt")));
    WrittenDocument document =
        DocumentFile.read(
            Files.writeString(
                folder.resolve("letter.html"),
                """
                <style>p { font: x; font-family: "Anton"; font-size: 12pt }
                .note { font-family: "Anton"; font-size: 9pt; margin-top: 18pt; color: #ff0000 }
                </style><p>A long paragraph that makes most of the document.</p>
                <p class="note">And a note.</p>
                """));

    StyleMapping mapping = MappingProposal.of(project, document);
    Style note = new MappedDocument(project, document, mapping).newStyles().getFirst();

    assertThat(mapping.of("role:body")).isEqualTo(new Mapped.Follow(body));
    assertThat(note.basedOn()).contains(body);
    // 9 of 12 points; 18 points before 9 are two em
    assertThat(note.properties().get(Properties.SIZE.key()).orElseThrow().over(48)).isEqualTo(36);
    assertThat(note.properties().get(Properties.SPACE_BEFORE.key()))
        .contains(dynamorph.model.value.Length.em(2));
    assertThat(note.properties().has(Properties.FONT_FAMILY.key())).isFalse();
  }

  @Test
  void aListThatKeepsItsLookIsBodyTextWithMarks() throws IOException {
    StyleId body = new StyleId("column");
    Project base = project();
    Project project =
        base.withStyles(base.styles().with(style(body, "Column text", StyleLevel.PARAGRAPH)));

    Project after =
        plan(project, document("Some words.\n\n- one\n- two\n"), Arrangement.ONE_TEXT)
            .edit()
            .applyTo(project);

    Paragraph item = after.layers().findFirst().orElseThrow().story().paragraphs().get(1);
    assertThat(item.follows()).contains(body);
    assertThat(item.local().get(Properties.LIST.key()))
        .contains(dynamorph.model.value.ListKind.BULLETS);
  }

  @Test
  void aParagraphThatFollowsATextStyleStandsInATextOfItsOwn() throws IOException {
    StyleId title = new StyleId("title");
    Project base = project();
    Project project = base.withStyles(base.styles().with(style(title, "Grand", StyleLevel.TEXT)));
    WrittenDocument document = document(PANELS);
    StyleMapping mapping =
        MappingProposal.of(project, document).with("role:heading_1", new Mapped.Follow(title));

    DocumentPlan plan =
        DocumentPlan.of(
            new MappedDocument(project, document, mapping),
            Arrangement.ARTBOARD_PER_SECTION,
            Optional.of("role:heading_1"),
            new DocumentPlan.Around(Optional.of(new ArtboardId("a")), List.of()),
            maker,
            ids);
    Artboard bells = plan.edit().applyTo(project).artboards().get(1);

    assertThat(bells.layers()).hasSize(2);
    Layer heading = bells.layers().getFirst();
    Layer body = bells.layers().getLast();
    assertThat(heading.follows()).containsExactly(title);
    assertThat(heading.story().text()).isEqualTo("Bells");
    assertThat(body.frame().get(Properties.POSITION_Y.key()).orElseThrow())
        .isGreaterThan(heading.frame().get(Properties.POSITION_Y.key()).orElseThrow());
  }

  @Test
  void longWordsTakeColumnsThatCanBeReadAndAreToldWhereNoneAreEnough() throws IOException {
    Project project = project().plus(Artboard.empty("w", "Wall", 1600, 900, LengthUnit.POINT));
    Project wall = project.withArtboards(project.artboards().minus(0));
    DocumentPlan.Around around =
        new DocumentPlan.Around(Optional.of(new ArtboardId("w")), List.of());
    String sentence = "It was wound on Mondays and on Thursdays and never on a Sunday. ";

    Layer some = alone(wall, sentence.repeat(200), around);
    Layer few = alone(wall, sentence, around);

    // 1,600 points less margins of 72 at each side, 12 points: lines of 36 em are 432 points long
    assertThat(some.frame().get(Properties.COLUMNS.key())).contains(4.0);
    assertThat(few.frame().get(Properties.BOX_WIDTH.key()).orElseThrow()).isLessThan(432);
    assertThat(plan(project(), document(sentence.repeat(400)), Arrangement.ONE_TEXT).remarks())
        .anyMatch(line -> line.contains("do not fit"));
  }

  private Layer alone(Project project, String words, DocumentPlan.Around around)
      throws IOException {
    WrittenDocument document = document(words);
    return DocumentPlan.of(
            new MappedDocument(project, document, MappingProposal.of(project, document)),
            Arrangement.ONE_TEXT,
            Optional.empty(),
            around,
            maker,
            ids)
        .edit()
        .applyTo(project)
        .layers()
        .findFirst()
        .orElseThrow();
  }

  @Test
  void wordsGoIntoTextsThatAreThereAndNoneAreLost() throws IOException {
    Layer first = Layer.of("one", "One", "old");
    Project project = project().mapArtboards(board -> board.plus(first.withFollows(List.of())));

    Project after = plan(project, document(PANELS), Arrangement.INTO_TEXTS).edit().applyTo(project);

    assertThat(words(after))
        .containsExactly(
            "Bells\nFive bells hang here.\nIt rains on none of them.\nWinders\n"
                + "Eleven are known by name.");
  }

  // --- the second time

  private Project imported() throws IOException {
    Project project = project();
    return plan(project, document(PANELS), Arrangement.ARTBOARD_PER_SECTION)
        .edit()
        .applyTo(project);
  }

  private DocumentUpdate update(Project project, String words, Integer... theirs)
      throws IOException {
    WrittenDocument document = document(words);
    return DocumentUpdate.of(
        project,
        project.document("panels.md").orElseThrow(),
        document,
        MappingProposal.of(project, document),
        Set.of(theirs));
  }

  @Test
  void aSecondImportUpdatesTheWordsAndKeepsWhatWasSetHere() throws IOException {
    Project project = imported();
    Layer bells = project.layers().findFirst().orElseThrow();
    int hang = bells.story().text().indexOf("hang");
    Story set =
        bells
            .story()
            .mapSpans(
                new dynamorph.model.text.TextRange(hang, hang + 4),
                span -> span.withLocal(PropertySet.EMPTY.with(Properties.UNDERLINE, true)));
    Project edited = new ReplaceStories(Map.of(bells.id(), set), "x").applyTo(project);

    DocumentUpdate update =
        update(edited, PANELS.replace("Five **bells**", "Six **bells**") + "\nOne is not.\n");
    Project after = update.edit().applyTo(edited);

    assertThat(words(after))
        .containsExactly(
            "Bells\nSix bells hang here.\nIt rains on none of them.",
            "Winders\nEleven are known by name.\nOne is not.");
    assertThat(update.changed()).isEqualTo(1);
    assertThat(update.added()).isEqualTo(1);
    assertThat(update.conflicts()).isEmpty();
    assertThat(after.layer(bells.id()).orElseThrow().story().paragraphs().get(1).spans())
        .filteredOn(span -> span.text().equals("hang"))
        .singleElement()
        .satisfies(span -> assertThat(span.local().get(Properties.UNDERLINE.key())).contains(true));
  }

  @Test
  void nothingChangesWhereTheDocumentIsTheSame() throws IOException {
    Project project = imported();

    DocumentUpdate update = update(project, PANELS);

    assertThat(update.isEmpty()).isTrue();
    assertThat(words(update.edit().applyTo(project))).isEqualTo(words(project));
  }

  @Test
  void whatBothSidesChangedIsAskedFor() throws IOException {
    Project project = imported();
    Layer winders = project.layers().skip(1).findFirst().orElseThrow();
    Story mine = winders.story().replace(new dynamorph.model.text.TextRange(8, 14), "Twelve");
    Project edited = new ReplaceStories(Map.of(winders.id(), mine), "x").applyTo(project);
    String theirs = PANELS.replace("Eleven are known by name.", "Ten are known by name.");

    DocumentUpdate kept = update(edited, theirs);
    DocumentUpdate taken = update(edited, theirs, 0);

    assertThat(kept.conflicts())
        .containsExactly(
            new DocumentUpdate.Conflict(
                winders.id(), "Twelve are known by name.", "Ten are known by name."));
    assertThat(words(kept.edit().applyTo(edited)).getLast()).contains("Twelve are known");
    assertThat(words(taken.edit().applyTo(edited)).getLast()).contains("Ten are known");
  }

  @Test
  void paragraphsGoThatWentInTheDocument() throws IOException {
    Project project = imported();

    DocumentUpdate update = update(project, PANELS.replace("It rains on none of them.\n", ""));

    assertThat(update.removed()).isEqualTo(1);
    assertThat(words(update.edit().applyTo(project)).getFirst())
        .isEqualTo("Bells\nFive bells hang here.");
  }

  @Test
  void aParagraphThatBecameAHeadingFollowsItsStyle() throws IOException {
    Project project = imported();

    Project after =
        update(project, PANELS.replace("It rains on none", "# It rains on none"))
            .edit()
            .applyTo(project);

    assertThat(after.layers().findFirst().orElseThrow().story().paragraphs().get(2).follows())
        .contains(HEADING);
  }

  @Test
  void whatIsRememberedTravelsWithTheProject() throws IOException {
    Project project = imported();
    Path file = folder.resolve("p.dmorph");

    ProjectFile.write(project, file);
    Project read = ProjectFile.read(file);

    assertThat(read.documents()).isEqualTo(project.documents());
    assertThat(read.documents().getFirst().texts()).hasSize(2);
  }

  @Test
  void aFileOfTheSameNameIsALaterStateOnlyWithTheSameWords() throws IOException {
    Project project = imported();
    var known = project.document("panels.md").orElseThrow();

    assertThat(DocumentUpdate.isLaterState(project, known, document(PANELS + "\nMore.\n")))
        .isTrue();
    assertThat(DocumentUpdate.isLaterState(project, known, document("# Menu\n\nSoup, bread.\n")))
        .isFalse();
    Project gone = project.mapArtboards(board -> board.withLayers(List.of()));
    assertThat(DocumentUpdate.isLaterState(gone, known, document(PANELS)))
        .as("its texts are gone")
        .isFalse();
  }

  @Test
  void aParagraphThatWasMovedHereIsStillUpdated() throws IOException {
    Project project = imported();
    Layer bells = project.layers().findFirst().orElseThrow();
    List<Paragraph> was = bells.story().paragraphs();
    Story moved = new Story(List.of(was.get(2), was.get(0), was.get(1)));
    Project edited = new ReplaceStories(Map.of(bells.id(), moved), "x").applyTo(project);

    DocumentUpdate update = update(edited, PANELS.replace("on none of them", "on all of them"));

    assertThat(update.conflicts()).isEmpty();
    assertThat(words(update.edit().applyTo(edited)).getFirst())
        .isEqualTo("It rains on all of them.\nBells\nFive bells hang here.");
  }

  @Test
  void aListStandsInTheTextOfTheBodyItGoesWith() throws IOException {
    StyleId body = new StyleId("whole");
    Project base = project();
    Project project = base.withStyles(base.styles().with(style(body, "Whole", StyleLevel.TEXT)));
    WrittenDocument document = document("Some words.\n\n- one\n- two\n");
    StyleMapping mapping =
        MappingProposal.of(project, document).with("role:body", new Mapped.Follow(body));

    Project after =
        DocumentPlan.of(
                new MappedDocument(project, document, mapping),
                Arrangement.ONE_TEXT,
                Optional.empty(),
                new DocumentPlan.Around(Optional.of(new ArtboardId("a")), List.of()),
                maker,
                ids)
            .edit()
            .applyTo(project);

    assertThat(words(after)).containsExactly("Some words.\none\ntwo");
    assertThat(after.layers().findFirst().orElseThrow().follows()).containsExactly(body);
  }

  @Test
  void shortParagraphsAreFoundAgainToo() {
    int[] pairs =
        ParagraphPairs.of(
            List.of(
                "Head",
                "First.",
                "Second, unclosed",
                "\u65E5\u6642\u8A08\u306F\u6B62\u307E\u3063\u305F"),
            List.of(
                "Head",
                "First of all.",
                "Second, never closed",
                "\u65E5\u6642\u8A08\u304C\u6B62\u307E\u3063\u305F"));

    assertThat(pairs).containsExactly(0, 1, 2, 3);
  }

  @Test
  void pairsAreFoundAmongManyParagraphs() {
    List<String> before = new ArrayList<>();
    for (int index = 0; index < 30_000; index++) {
      before.add("paragraph of number " + index);
    }
    List<String> after = new ArrayList<>(before);
    after.remove(20_000);
    after.add(5_000, "something else altogether");
    after.set(100, "paragraph of number 100 and more");

    int[] pairs = ParagraphPairs.of(before, after);

    assertThat(pairs[100]).isEqualTo(100);
    assertThat(pairs[5_000]).isEqualTo(-1);
    assertThat(pairs[5_001]).isEqualTo(5_000);
    assertThat(pairs[25_000]).isEqualTo(25_000);
  }
}
