package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.edit.importing.ImportTitles;
import dynamorph.model.fill.DataTable;
import dynamorph.model.fill.DataTable.Role;
import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The files that people can try: they are read without a remark. */
class ImportsTest {
  private static final Path IMPORTS = Path.of("..", "demo", "imports");

  @ParameterizedTest
  @CsvSource({
    "gallery.de.srt, 6, 0",
    "gallery.fr.vtt, 5, 3",
    "gallery.es.ttml, 5, 3",
    "gallery.it.ass, 6, 2",
    "gallery.pt.scc, 6, 0"
  })
  void captionsAreReadAsTheyAreMeant(String name, int cues, int styles) throws IOException {
    CaptionFiles.Read read = CaptionFiles.read(IMPORTS.resolve(name), FrameBox.HD);
    assertThat(read.remarks()).isEmpty();
    assertThat(read.captions().cues()).hasSize(cues);
    assertThat(read.captions().styles()).hasSize(styles);
    assertThat(CaptionFiles.language(name)).isPresent();
  }

  @Test
  void theTableOfNamesTellsItsColumns() throws IOException {
    DataTable table = dynamorph.formats.table.TableReader.read(IMPORTS.resolve("names.csv"));
    assertThat(ImportTitles.roles(table))
        .containsExactly(Role.WORDS, Role.WORDS, Role.IN, Role.OUT);
    assertThat(table.rows().get(1).cells().get(1)).isEqualTo("smith, third generation");
  }
}
