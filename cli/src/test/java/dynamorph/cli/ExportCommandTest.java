package dynamorph.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.footage.FootageFiles;
import dynamorph.footage.FootageInfo;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Artboards of the demo out as files, from a terminal. */
class ExportCommandTest {
  @TempDir private Path folder;
  private String demo;

  private record Answer(int code, String out, String err) {}

  private Answer run(String... arguments) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int code = Dynamorph.run(new PrintWriter(out, true), new PrintWriter(err, true), arguments);
    return new Answer(code, out.toString(), err.toString());
  }

  /** Exports the ticket, which is small. */
  private Answer export(String... options) {
    List<String> all =
        new java.util.ArrayList<>(
            List.of(
                "export", demo, "--artboard", "Ticket", "-o", folder.resolve("out").toString()));
    all.addAll(List.of(options));
    return run(all.toArray(String[]::new));
  }

  private List<String> names() throws IOException {
    try (var files = Files.list(folder.resolve("out"))) {
      return files.map(file -> file.getFileName().toString()).sorted().toList();
    }
  }

  @BeforeEach
  void writeDemo() {
    demo = folder.resolve("demo.dmorph").toString();
    assertThat(run("demo", "--write", demo).code()).isZero();
  }

  @Test
  void pngIsTheDefaultAndTheSameIsNotWrittenTwice() throws IOException {
    assertThat(export("--resolution", "72").out())
        .contains("Ticket.png")
        .endsWith("1 file written, 0 unchanged\n");
    assertThat(export("--resolution", "72").out()).isEqualTo("0 files written, 1 unchanged\n");
    assertThat(export("--resolution", "72", "--overwrite").out()).contains("1 file written");
    assertThat(names()).containsExactly("Ticket.png");
  }

  @Test
  void aPresetOfTheProjectSaysHowAndOptionsSayMore() throws IOException {
    assertThat(export("--preset", "printer, 3 mm BLEED", "--resolution", "36").code()).isZero();
    assertThat(names()).containsExactly("The Long Hour Ticket.pdf");
    try (PDDocument document =
        Loader.loadPDF(folder.resolve("out/The Long Hour Ticket.pdf").toFile())) {
      var page = document.getPage(0);
      // 3 mm are 8.504 points
      assertThat(page.getTrimBox().getLowerLeftX() - page.getBleedBox().getLowerLeftX())
          .isBetween(8.50f, 8.51f);
    }
    export("--preset", "Printer, 3 mm bleed", "--as", "svg", "--name", "t-{number}");
    assertThat(names()).contains("t-14.svg");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "--as|gif|png, jpeg, webp, pdf, svg, h264, vp9, av1, prores-422, prores-4444, png-film",
        "--preset|Poster|Printer, 3 mm bleed, Screen, double size",
        "--name|{title}|project, artboard, number, size, resolution",
        "--resolution|5000|18 to 2400",
        "--bleed|20 cm|0 to 144",
        "--quality|0|1 to 100"
      })
  void whatCannotBeIsSaidWithWhatCan(String option, String value, String said) {
    Answer answer = export(option, value);
    assertThat(answer.code()).isNotZero();
    assertThat(answer.err()).contains(said);
    assertThat(folder.resolve("out")).doesNotExist();
  }

  @Test
  void filmsAreNotAmongTheArtboards() throws IOException {
    assertThat(
            run(
                    "export",
                    demo,
                    "--as",
                    "jpeg",
                    "--resolution",
                    "18",
                    "-o",
                    folder.resolve("out").toString())
                .code())
        .isZero();
    assertThat(names()).hasSize(14).allMatch(name -> name.endsWith(".jpg"));
  }

  private Answer exportFilm(String... options) {
    List<String> all =
        new java.util.ArrayList<>(
            List.of("export", demo, "--resolution", "18", "-o", folder.resolve("out").toString()));
    all.addAll(List.of(options));
    return run(all.toArray(String[]::new));
  }

  @Test
  void aFilmGoesOutByAPresetAndTheSameIsNotWrittenTwice() throws IOException {
    String[] titles = {"--preset", "Titles for the editor", "--range", "00:00:02:00-00:00:02:09"};
    assertThat(exportFilm(titles).out())
        .contains("Eight Days to Wind titles.mov")
        .endsWith("1 file written, 0 unchanged\n");
    assertThat(exportFilm(titles).out()).isEqualTo("0 files written, 1 unchanged\n");
    FootageInfo facts =
        FootageFiles.facts(folder.resolve("out/Eight Days to Wind titles.mov"), FrameRate.PAL);
    assertThat(facts).isEqualTo(new FootageInfo(480, 270, Time.ofMillis(400), true));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "--range|00:00:02:00|write --range as",
        "--range|00:00:02:00-00:09:00:00|00:01:11:24",
        "--range|00:00:02:00-half|timecode",
        "--artboard|Ticket|Eight Days to Wind",
        "--transparent||transparency"
      })
  void whatAFilmCannotIsSaid(String option, String value, String said) {
    Answer answer =
        value == null
            ? exportFilm("--as", "h264", option)
            : exportFilm("--as", "h264", option, value);
    assertThat(answer.code()).isNotZero();
    assertThat(answer.err()).containsIgnoringCase(said);
    assertThat(folder.resolve("out")).doesNotExist();
  }
}
