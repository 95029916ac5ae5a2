package dynamorph.formats.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.fill.DataTable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Workbooks that other programs wrote, and lists of objects. */
class SheetReaderTest {
  @TempDir private Path folder;

  @ParameterizedTest
  @ValueSource(strings = {"labels.xlsx", "labels.ods"})
  void cellsAreAsTheyAreStored(String name) throws IOException {
    Path file = folder.resolve(name);
    try (InputStream in =
        Objects.requireNonNull(SheetReaderTest.class.getResourceAsStream(name), name)) {
      Files.copy(in, file);
    }

    DataTable table = TableReader.withHeader(file);

    assertThat(table.columns())
        .containsExactly("No", "Title", "Maker", "Made", "Price", "Loan", "Kind");
    assertThat(table.rows()).hasSize(3);
    assertThat(table.rows().get(0).cells())
        .containsExactly(
            "1",
            "Quarter repeater",
            "Ilse Maes",
            "1926-05-02",
            "1240.5",
            "Town of Ostend",
            "Label title (loan)");
    assertThat(table.rows().get(1).cells())
        .containsExactly("2", "Night clock", "", "1931-11-30", "90", "", "Label title");
    assertThat(table.rows().get(2).cells())
        .containsExactly("3", "Water clock, model", "D. Quill", "", "1.25", "yes", "Label title");
  }

  @Test
  void aListOfObjectsIsATable() throws IOException {
    DataTable table =
        TableReader.withHeader(
            Files.writeString(
                folder.resolve("a.json"),
                "[{\"title\":\"One\",\"price\":1.5},{\"price\":null,\"loan\":true,\"title\":\"Two\"}]"));

    assertThat(table.columns()).containsExactly("title", "price", "loan");
    assertThat(table.rows().get(0).cells()).containsExactly("One", "1.5", "");
    assertThat(table.rows().get(1).cells()).containsExactly("Two", "", "yes");
  }

  @Test
  void theFirstRowNamesTheColumnsThoughItHasFigures() throws IOException {
    DataTable table =
        TableReader.withHeader(
            Files.writeString(
                folder.resolve("a.csv"), "Name 1;\"two\nlines\";\nIlse;\"a\nb\";c\n"));

    assertThat(table.columns()).containsExactly("Name 1", "two\nlines", "3");
    assertThat(table.rows().getFirst().cells()).containsExactly("Ilse", "a\nb", "c");
  }

  @Test
  void whatIsNoTableIsRefused() throws IOException {
    Path header = Files.writeString(folder.resolve("h.csv"), "Title;Maker\n");
    Path words = Files.writeString(folder.resolve("w.json"), "[1, 2]");
    Path broken = Files.writeString(folder.resolve("b.xlsx"), "PK nothing");
    assertThatThrownBy(() -> TableReader.withHeader(header)).hasMessageContaining("h.csv");
    assertThatThrownBy(() -> TableReader.withHeader(words)).hasMessageContaining("objects");
    assertThatThrownBy(() -> TableReader.withHeader(broken)).isInstanceOf(IOException.class);
  }
}
