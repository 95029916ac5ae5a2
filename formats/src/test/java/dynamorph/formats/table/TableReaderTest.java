package dynamorph.formats.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.importing.ImportTitles;
import dynamorph.model.fill.DataTable;
import dynamorph.model.fill.DataTable.Role;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TableReaderTest {
  private static final Layer PATTERN =
      Layer.of("pattern", "Name", "")
          .withStory(
              Story.of(
                  Paragraph.of("Ilse Maarten"),
                  Paragraph.of("horologist")
                      .withLocal(PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 300.0))))
          .withTiming(
              Timing.of(new TrackId("t"), Time.ofMillis(1000), Time.ofMillis(4000))
                  .withFades(Time.ofMillis(200), Time.ofMillis(200)));

  private static Project project(Layer pattern) {
    Artboard film =
        Artboard.empty("film", "Film", 1920, 1080, LengthUnit.PIXEL)
            .withTimeline(
                Optional.of(
                    Timeline.of(FrameRate.PAL, Time.ofMillis(20_000))
                        .plus(new Track.Titles(new TrackId("t"), "T", ItemState.OPEN))))
            .plus(pattern);
    return Project.empty("P").plus(film);
  }

  private static ImportTitles titles(DataTable table, Project project) {
    return new ImportTitles(
        project.artboards().getFirst().id(),
        PATTERN.id(),
        table,
        ImportTitles.roles(table),
        Time.ofMillis(4000),
        Time.ofMillis(500),
        "n");
  }

  @ParameterizedTest
  @ValueSource(strings = {",", ";", "\t", "|"})
  void anyDelimiterIsFound(String delimiter) throws IOException {
    String text = "Name,Role\n\"Nour, Abadi\",bell founder\n\nJoost,\"keeper \"\"old\"\"\"\n";
    DataTable table = TableReader.parse(text.replace(",", delimiter), "names.csv");
    assertThat(table.columns()).containsExactly("Name", "Role");
    assertThat(table.rows().getFirst().cells())
        .containsExactly("Nour" + delimiter + " Abadi", "bell founder");
    assertThat(table.rows().get(1).cells().get(1)).isEqualTo("keeper \"old\"");
  }

  @Test
  void withoutAHeaderColumnsAreLettered() throws IOException {
    DataTable table = TableReader.parse("Nour Abadi,founder\nJoost Hale,keeper\n", "names.csv");
    assertThat(table.columns()).containsExactly("A", "B");
    assertThat(table.rows()).hasSize(2);
    assertThatThrownBy(() -> TableReader.parse("  ", "names.csv"))
        .hasMessage("names.csv: the table is empty");
  }

  @Test
  void eachRowMakesATitleThatLooksLikeThePattern() throws IOException {
    Project project = project(PATTERN);
    DataTable table =
        TableReader.parse(
            "Name,Role,In,Out\nNour,founder,00:00:05:00,00:00:08:12\nJoost,,9.5,12\n", "n.csv");
    Project after = titles(table, project).applyTo(project);
    List<Layer> made = after.layers().skip(1).toList();
    assertThat(made).hasSize(2);
    assertThat(made.get(0).story().text()).isEqualTo("Nour\nfounder");
    assertThat(made.get(0).story().paragraphs().get(1).local())
        .isEqualTo(PATTERN.story().paragraphs().get(1).local());
    assertThat(made.get(0).timing().orElseThrow().out()).isEqualTo(Time.ofMillis(8480));
    assertThat(made.get(0).timing().orElseThrow().fadeIn()).isEqualTo(Time.ofMillis(200));
    assertThat(made.get(1).story().text()).as("an empty cell makes no line").isEqualTo("Joost");
    assertThat(made.get(1).timing().orElseThrow().in()).isEqualTo(Time.ofMillis(9520));
  }

  @Test
  void withoutTimesTitlesFollowEachOther() throws IOException {
    Project project = project(PATTERN);
    DataTable table = TableReader.parse("Name\nA\nB\nC\nD\nE\n", "n.csv");
    Project after = titles(table, project).applyTo(project);
    List<Timing> times = after.layers().skip(1).map(layer -> layer.timing().orElseThrow()).toList();
    assertThat(times.get(0).in()).isEqualTo(Time.ofMillis(4000));
    assertThat(times.get(1).in()).isEqualTo(Time.ofMillis(7520));
    assertThat(after.artboards().getFirst().timeline().orElseThrow().duration())
        .as("the film grows with them")
        .isEqualTo(times.getLast().out());
  }

  @Test
  void rowsThatMakeNoSenseAreRefusedWithTheirLine() throws IOException {
    Project project = project(PATTERN);
    DataTable table =
        TableReader.parse(
            "Name,In,Out\nA,00:00:05:00,00:00:04:00\n,1,2\nB,soon,2\nC,1,2\n", "n.csv");
    List<ImportTitles.Made> made = titles(table, project).made(project);
    assertThat(made.stream().map(one -> one.title().isPresent()))
        .containsExactly(false, false, false, true);
    assertThat(made.get(0).why()).contains("00:00:05:00");
    assertThat(made.get(1).why()).isEqualTo("it has no words");
    assertThat(made.get(2).why()).contains("soon");
    assertThat(made.get(2).row().line()).isEqualTo(4);
  }

  @Test
  void wordsInBracesAreThoseOfTheirColumn() throws IOException {
    Layer braces = PATTERN.withStory(Story.of("{Role}: {name}, {other}"));
    Project project = project(braces);
    DataTable table = TableReader.parse("Name,Role\nNour,founder $1\n", "n.csv");
    assertThat(titles(table, project).applyTo(project).layers().toList().getLast().story().text())
        .isEqualTo("founder $1: Nour, {other}");
  }

  @Test
  void thePatternHasToBeATitle() throws IOException {
    Project project = project(PATTERN);
    DataTable table = TableReader.parse("Name\nA\n", "n.csv");
    assertThat(ImportTitles.roles(TableReader.parse("Name,Start,Duration\na,b,c\n", "n.csv")))
        .containsExactly(Role.WORDS, Role.IN, Role.LENGTH);
    ImportTitles wrong =
        new ImportTitles(
            project.artboards().getFirst().id(),
            new dynamorph.model.LayerId("gone"),
            table,
            List.of(Role.WORDS),
            Time.ZERO,
            Time.ZERO,
            "n");
    assertThatThrownBy(() -> wrong.applyTo(project)).isInstanceOf(EditRefused.class);
  }

  /** What divides every line into as many columns counts, however often other signs stand there. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '!',
      value = {
        "Name;Role\\nHale, Joost;keeper, of clocks, and bells\\nAbadi, Nour;founder! Name, Role",
        "Name,Role\\nHale,keeper; of clocks; of bells\\nAbadi,founder! Name, Role",
        "Name|Role|In\\nHale|a,b,c|1\\nAbadi|d;e|2! Name, Role, In",
        "Name\\tRole\\nHale, J.\\tkeeper\\nAbadi, N.\\tfounder! Name, Role"
      })
  void theDelimiterIsTheOneThatDividesEveryLine(String typed, String columns) throws IOException {
    String text = typed.replace("\\n", "\n").replace("\\t", "\t");
    assertThat(TableReader.parse(text, "names.csv").columns())
        .containsExactly(columns.strip().split(", "));
  }
}
