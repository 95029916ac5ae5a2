package dynamorph.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.text.ReplaceStories;
import dynamorph.model.text.Story;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Labels that a build makes of a table. */
class FillCommandTest {
  @TempDir private Path folder;
  private Path project;
  private Path table;
  private String told = "";

  @BeforeEach
  void write() throws IOException {
    project = folder.resolve("labels.dmorph");
    table =
        Files.writeString(
            folder.resolve("labels.csv"),
            "No,Title,Made\n1,Night clock,1931-11-30\n2,Water clock,\n3,Sundial,1650-05-01\n");
    Project demo = LongHour.project();
    ProjectFile.write(
        new ReplaceStories(
                Map.of(
                    new LayerId("label-3-title"), Story.of("{Title}"),
                    new LayerId("label-3-material"), Story.of("made {Made:d MMMM y}")),
                "x")
            .applyTo(demo),
        project);
  }

  private int run(String... arguments) {
    StringWriter said = new StringWriter();
    int code = Dynamorph.run(new PrintWriter(said, true), new PrintWriter(said, true), arguments);
    told = said.toString();
    return code;
  }

  @Test
  void someRowsBecomeArtboards() throws IOException {
    Path out = folder.resolve("out.dmorph");
    String[] wanted = {
      "fill",
      project.toString(),
      table.toString(),
      "--artboard",
      "Label 3",
      "--rows",
      "1,3",
      "--name",
      "{No} {Title}",
      "-o",
      out.toString()
    };
    assertThat(run(wanted)).as(told).isZero();
    Project made = ProjectFile.read(out);
    assertThat(made.artboards().subList(made.artboards().size() - 2, made.artboards().size()))
        .extracting(Artboard::name)
        .containsExactly("1 Night clock", "3 Sundial");
    assertThat(made.layers().map(layer -> layer.story().text())).contains("made 1 May 1650");
  }

  @Test
  void allAreExportedWithoutAProject() throws IOException {
    Path out = folder.resolve("out");
    String[] wanted = {
      "fill",
      project.toString(),
      table.toString(),
      "--artboard",
      "Label 3",
      "--export",
      out.toString(),
      "--format",
      "svg"
    };
    assertThat(run(wanted)).as(told).isZero();
    try (Stream<Path> files = Files.list(out)) {
      assertThat(files.filter(file -> file.toString().endsWith(".svg"))).hasSize(3);
    }
  }

  @Test
  void whatIsWrongIsToldWithItsRow() throws IOException {
    Files.writeString(table, "No,Name,Made\n1,Night clock,soon\n2,Water clock,\n");
    String[] wanted = {
      "fill", project.toString(), table.toString(), "--artboard", "Label 3", "-o", "x"
    };
    assertThat(run(wanted)).isNotZero();
    assertThat(told).contains("no column Title").contains("No, Name, Made");
    Files.writeString(table, "No,Title,Made\n1,Night clock,soon\n2,Water clock,\n");
    assertThat(run(wanted)).isNotZero();
    assertThat(told).contains("Row 1: “soon” in Made");
    assertThat(
            run("fill", project.toString(), table.toString(), "--artboard", "Label 5", "-o", "x"))
        .isNotZero();
    assertThat(told).contains("“Label 5” has no fields").contains("{No}");
  }
}
