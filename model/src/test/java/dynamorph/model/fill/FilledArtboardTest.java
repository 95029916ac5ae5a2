package dynamorph.model.fill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.importing.FillArtboards;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Artboards that are filled with the rows of a table. */
class FilledArtboardTest {
  private static DataTable table(String... rows) {
    List<DataTable.Row> cells = new ArrayList<>();
    for (int index = 1; index < rows.length; index++) {
      cells.add(new DataTable.Row(index + 1, Arrays.asList(rows[index].split(";", -1))));
    }
    return new DataTable(Arrays.asList(rows[0].split(";")), cells);
  }

  private static Project project(Layer... layers) {
    Artboard board = Artboard.empty("p", "Pattern", 100, 50, LengthUnit.POINT);
    return Project.empty("P")
        .withStyles(
            Project.empty("P")
                .styles()
                .with(Style.text("loan", "On loan", ""))
                .with(Style.text("small", "Small", "").withLevel(StyleLevel.PARAGRAPH)))
        .plus(board.withLayers(List.of(layers)));
  }

  private static FilledArtboard fill(Project project, DataTable table) {
    return FilledArtboard.of(
        project,
        Cascade.of(project),
        project.artboards().getFirst(),
        table,
        table.rows().getFirst(),
        new ArtboardId("row"),
        "Row");
  }

  private static List<String> words(FilledArtboard filled) {
    return filled.artboard().layers().stream().map(layer -> layer.story().text()).toList();
  }

  private static Layer text(String id, String words) {
    return Layer.of(id, id, words);
  }

  @Test
  void fieldsTakeTheCellsOfTheirColumnsWhateverTheCase() {
    Project project = project(text("a", "{title}, {MAKER|unknown} {{kept}} {}"));

    FilledArtboard filled = fill(project, table("Title;Maker", "Night clock;"));

    assertThat(words(filled)).containsExactly("Night clock, unknown {kept} {}");
    assertThat(filled.problems()).isEmpty();
    assertThat(filled.artboard().layers().getFirst().id().value()).isEqualTo("row-a");
  }

  @Test
  void boxesOfATextStayLinked() {
    Project project =
        project(
            text("a", "{title}"),
            text("b", "").withContinues(Optional.of(new LayerId("a"))),
            text("c", "").withContinues(Optional.of(new LayerId("elsewhere"))));

    FilledArtboard filled = fill(project, table("Title", "Night clock"));

    assertThat(filled.artboard().layers())
        .extracting(layer -> layer.continues().map(LayerId::value))
        .containsExactly(Optional.empty(), Optional.of("row-a"), Optional.empty());
  }

  @Test
  void aFieldKeepsTheLookOfItsFirstLetter() {
    Story story =
        Story.of("by {Maker}, wound")
            .mapSpans(
                new TextRange(3, 10),
                span -> span.withLocal(PropertySet.EMPTY.with(Properties.UNDERLINE, true)));
    Project project = project(text("a", "").withStory(story));

    FilledArtboard filled = fill(project, table("Maker", "Ilse Maes"));

    List<Span> spans =
        filled.artboard().layers().getFirst().story().paragraphs().getFirst().spans();
    assertThat(spans).extracting(Span::text).containsExactly("by ", "Ilse Maes", ", wound");
    assertThat(spans.get(1).local().get(Properties.UNDERLINE.key())).contains(true);
    assertThat(spans.get(2).local().has(Properties.UNDERLINE.key())).isFalse();
  }

  @Test
  void whatIsLeftEmptyGoes() {
    Project project =
        project(
            text("a", "{Title}\nLent by {Loan}\nAlways here"),
            text("b", "{Loan}"),
            text("c", "Price {Price|on request}"));

    FilledArtboard filled = fill(project, table("Title;Loan;Price", "Night clock;;"));

    assertThat(words(filled)).containsExactly("Night clock\nAlways here", "Price on request");
  }

  @Test
  void conditionsLetTextsAndShapesShow() {
    DataTable table = table("Loan;Price;Kind", "no;1,240;Map");
    for (String[] one :
        new String[][] {
          {"{if Loan}x", ""},
          {"{if not Loan}x", "x"},
          {"{if Price > 999}x", "x"},
          {"{if Price <= 999}x", ""},
          {"{if Kind = map}x", "x"},
          {"{if Kind != map}x", ""}
        }) {
      assertThat(String.join("", words(fill(project(text("a", one[0])), table))))
          .as(one[0])
          .isEqualTo(one[1]);
    }
    Layer named = text("a", "words").withName("{if Loan} seal");
    assertThat(fill(project(named), table).artboard().layers()).isEmpty();
  }

  @Test
  void aColumnChoosesTheStyle() {
    Project project = project(text("a", "{style Kind}{Title}"), text("b", "{style Size}{Title}"));

    FilledArtboard filled = fill(project, table("Title;Kind;Size", "Night clock;on loan;Small"));
    FilledArtboard wrong = fill(project, table("Title;Kind;Size", "Night clock;Nowhere;"));

    assertThat(filled.artboard().layers().getFirst().follows())
        .containsExactly(new StyleId("loan"));
    assertThat(filled.artboard().layers().getLast().story().paragraphs().getFirst().follows())
        .contains(new StyleId("small"));
    Layer followed = text("c", "{style Kind}{Title}").withFollows(List.of(new StyleId("loan")));
    assertThat(
            fill(project(followed), table("Title;Kind", "Night clock;On loan"))
                .artboard()
                .layers()
                .getFirst()
                .follows())
        .as("once")
        .containsExactly(new StyleId("loan"));
    assertThat(wrong.problems()).singleElement().asString().contains("Nowhere");
    assertThat(words(wrong)).containsExactly("Night clock", "Night clock");
  }

  @ParameterizedTest
  @CsvSource({
    "en, 1240.5, '#,##0.00', '1,240.50'",
    "de, '1240,5', '#,##0.00', '1.240,50'",
    "de, '1.240,5', number, '1.240,5'",
    "fr, 0.25, percent, '25\u00A0%'",
    "en, 2026-11-30, long, 'November 30, 2026'",
    "de, 30.11.2026, long, '30. November 2026'",
    "en-GB, 30/11/2026, d MMMM y, '30 November 2026'",
    "ja, 2026-11-30, long, '2026年11月30日'",
    "tr, ilgi, upper, İLGİ"
  })
  void numbersAndDatesAreWrittenInTheLanguageOfTheText(
      String language, String cell, String format, String written) {
    assertThat(CellFormat.of(cell, format, language)).contains(written);
  }

  @Test
  void theLanguageOfATextCountsBeforeThatOfTheProject() {
    Layer german =
        text("a", "{Price:0.00}").withLocal(PropertySet.EMPTY.with(Properties.LANGUAGE, "de"));
    Project project = project(german, text("b", "{Price:0.00}"));

    assertThat(words(fill(project, table("Price", "7.5")))).containsExactly("7,50", "7.50");
  }

  @Test
  void whatCannotBeFilledIsTold() {
    Project project = project(text("a", "{Nmae} {Price:0.00} {Day:long}"));
    DataTable table = table("Name;Price;Day", "Ilse;cheap;31.02.2026");

    FilledArtboard filled = fill(project, table);

    assertThat(words(filled)).containsExactly(" cheap 31.02.2026");
    assertThat(filled.problems()).hasSize(3);
    assertThat(FilledArtboard.missing(project.artboards().getFirst(), table))
        .containsExactly("Nmae");
  }

  @Test
  void anArtboardComesOfEachRowAndNoneCoversAnother() {
    Project project = project(text("a", "{Title}"));
    DataTable table = table("Title", "One", "Two", "Two", "Four", "Five");

    Project after =
        new FillArtboards(
                new ArtboardId("p"),
                table,
                IntStream.range(0, 5).boxed().toList(),
                "{Title}",
                "fill")
            .applyTo(project);

    assertThat(after.artboards())
        .extracting(Artboard::name)
        .containsExactly("Pattern", "One", "Two", "Two 2", "Four", "Five");
    for (Artboard one : after.artboards()) {
      for (Artboard other : after.artboards()) {
        boolean apart =
            one.x() + one.width() <= other.x()
                || other.x() + other.width() <= one.x()
                || one.y() + one.height() <= other.y()
                || other.y() + other.height() <= one.y();
        assertThat(one == other || apart).as(one.name() + " beside " + other.name()).isTrue();
      }
    }
    assertThat(after.layers().map(Layer::id).distinct()).hasSize(6);
  }

  @Test
  void aNameWithAColumnThatIsNotThereIsToldAndTheNameOfThePatternStays() {
    FilledArtboard filled =
        new FillArtboards(new ArtboardId("p"), table("Title", "One"), List.of(0), "{Nmae}", "fill")
            .filled(project(text("a", "{Title}")))
            .getFirst();

    assertThat(filled.problems()).singleElement().asString().contains("Nmae");
    assertThat(filled.artboard().name()).isEqualTo("Pattern 2");
  }

  @Test
  void aPatternThatIsGoneIsToldAndTooManyRowsAre() {
    Project project = project();
    DataTable table = table("Title", "One");
    assertThatThrownBy(() ->
            new FillArtboards(new ArtboardId("gone"), table, List.of(0), "x", "f").applyTo(project))
        .isInstanceOf(EditRefused.class);
    List<Integer> many = IntStream.range(0, FillArtboards.MOST + 1).boxed().toList();
    assertThatThrownBy(
            () -> new FillArtboards(new ArtboardId("p"), table, many, "x", "f").applyTo(project))
        .hasMessageContaining("5001");
  }

  @Test
  void rowsAreNamedByRanges() {
    assertThat(RowRanges.parse("2-3, 1,3", 4)).containsExactly(1, 2, 0);
    assertThat(RowRanges.parse(" ", 2)).containsExactly(0, 1);
    for (String wrong : List.of("0", "3-2", "5", "1-5", "a", "1,", "-")) {
      assertThatThrownBy(() -> RowRanges.parse(wrong, 4))
          .as(wrong)
          .isInstanceOf(IllegalArgumentException.class);
    }
  }

  @Test
  void bracesThatNeverCloseAndFieldsInFieldsAreWords() {
    assertThat(Field.in("{a {b} c")).singleElement().extracting(Field::start).isEqualTo(3);
    assertThat(Field.in("{never closed")).isEmpty();
    assertThat(Field.in("}{")).isEmpty();
    assertThat(Optional.of(Field.in("{:0.00}"))).contains(List.of());
  }
}
