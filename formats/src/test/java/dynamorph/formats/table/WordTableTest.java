package dynamorph.formats.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Slant;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.pcollections.TreePVector;

class WordTableTest {
  private static final PropertySet ITALIC = PropertySet.EMPTY.with(Properties.SLANT, Slant.ITALIC);
  @TempDir private Path folder;

  private final Project project =
      Project.empty("P")
          .plus(
              Artboard.empty("a", "Panel", 400, 300, LengthUnit.POINT)
                  .withLayers(
                      TreePVector.from(
                          List.of(
                              Layer.of("title", "Title", "The, \"Long\" Hour"),
                              Layer.of("body", "Body", "")
                                  .withStory(
                                      Story.of(
                                          Paragraph.of(
                                              Span.of("Wind the "),
                                              Span.of("clock").withLocal(ITALIC),
                                              Span.of(" on Monday")),
                                          Paragraph.of("and wait"))),
                              Layer.of("cue", "Cue", "first line\u2028second line"),
                              Layer.of("sum", "Sum", "=1+1"),
                              Layer.of("quote", "Quote", "'=x"),
                              Layer.of("empty", "Empty", "")))));

  private String words(Project of, String id) {
    return of.layer(new LayerId(id)).orElseThrow().story().text();
  }

  private Project after(String table) throws IOException {
    return WordTable.parse(table, "t.csv", project).edit().applyTo(project);
  }

  @Test
  void theTableIsPlainCsvThatNoSpreadsheetRuns() throws IOException {
    Path file = folder.resolve("words.csv");
    WordTable.write(project, file);
    byte[] bytes = Files.readAllBytes(file);
    assertThat(bytes).startsWith(0xEF, 0xBB, 0xBF);
    String table = new String(bytes, StandardCharsets.UTF_8).substring(1);
    assertThat(table)
        .isEqualTo(
            """
            id,words,note\r
            title,"The, ""Long"" Hour",Panel / Title\r
            body,"Wind the clock on Monday
            and wait",Panel / Body\r
            cue,"first line
            second line",Panel / Cue\r
            sum,'=1+1,Panel / Sum\r
            quote,''=x,Panel / Quote\r
            """);
    assertThat(WordTable.read(file, project).changed()).isZero();
    assertThat(WordTable.read(file, project).unchanged()).isEqualTo(5);
  }

  @Test
  void aTranslationKeepsTheStylesOfWordsThatStay() throws IOException {
    Project translated =
        after(
            "id,words\nbody,\"Den Tag: Wind the clock am Montag\nund warten\"\ntitle,Die Stunde\n");
    assertThat(words(translated, "title")).isEqualTo("Die Stunde");
    assertThat(words(translated, "body"))
        .isEqualTo("Den Tag: Wind the clock am Montag\nund warten");
    Paragraph first =
        translated.layer(new LayerId("body")).orElseThrow().story().paragraphs().getFirst();
    assertThat(first.spans())
        .filteredOn(span -> span.local().equals(ITALIC))
        .extracting(Span::text)
        .containsExactly("clock");
  }

  @Test
  void linesOfACueStayLines() throws IOException {
    assertThat(words(after("id,words\ncue,\"erste\nzweite\""), "cue"))
        .isEqualTo("erste\u2028zweite");
    assertThat(words(after("id,words\nsum,'=2+2"), "sum")).isEqualTo("=2+2");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "\uFEFFid;words;note\ntitle;\"Die; Stunde\";x\n",
        "words\tid\nDie; Stunde\ttitle\n",
        "note,ID ,Words\n,title,Die; Stunde\r\n",
        "id|words\r\ntitle|Die; Stunde"
      })
  void anyUsualSeparatorAndOrderOfColumnsIsRead(String table) throws IOException {
    Path file = folder.resolve("words.csv");
    Files.writeString(file, table);
    Project read = WordTable.read(file, project).edit().applyTo(project);
    assertThat(words(read, "title")).isEqualTo("Die; Stunde");
  }

  @Test
  void whatDoesNotMatchIsListedAndTheRestIsTaken() throws IOException {
    WordTable.Imported imported =
        WordTable.parse(
            "id,words\nnobody,x\ntitle,Die Stunde\ntitle,Zwei Stunden\nbody\n", "t.csv", project);
    assertThat(imported.changed()).isEqualTo(1);
    assertThat(imported.remarks())
        .hasSize(4)
        .satisfies(remarks -> {
          assertThat(remarks.get(0)).contains("line 2").contains("nobody");
          assertThat(remarks.get(1)).contains("line 4").contains("title");
          assertThat(remarks.get(2)).contains("line 5").contains("too few");
          assertThat(remarks.get(3)).contains("4 texts of the project");
        });
    assertThat(words(imported.edit().applyTo(project), "title")).isEqualTo("Die Stunde");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "\n\n", "name,text\na,b\n", "id,words\ntitle,\"never closed\n"})
  void whatIsNoTableIsRefused(String table) {
    assertThatThrownBy(() -> WordTable.parse(table, "t.csv", project))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("t.csv");
  }
}
