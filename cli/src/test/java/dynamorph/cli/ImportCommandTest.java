package dynamorph.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Documents that a build brings into a project. */
class ImportCommandTest {
  @TempDir private Path folder;
  private Path project;
  private Path out;
  private Path document;
  private String told = "";

  @BeforeEach
  void write() throws IOException {
    project = folder.resolve("demo.dmorph");
    out = folder.resolve("out.dmorph");
    document =
        Files.writeString(folder.resolve("wall.md"), "# One\n\nFirst.\n\n# Two\n\nSecond.\n");
    assertThat(run("demo", "--write", project.toString())).isZero();
  }

  private int run(String... arguments) {
    StringWriter said = new StringWriter();
    int code = Dynamorph.run(new PrintWriter(said, true), new PrintWriter(said, true), arguments);
    told = said.toString();
    return code;
  }

  @Test
  void stylesAreListedWithWhatTheyWouldBecome() {
    assertThat(run("import", project.toString(), document.toString(), "--list")).isZero();
    assertThat(told).contains("Heading 1 → Panel heading").contains("Body text → Panel body");
  }

  @Test
  void wordsComeInAndComeAgain() throws IOException {
    String[] first = {
      "import",
      project.toString(),
      document.toString(),
      "--map",
      "Heading 1=Column opening",
      "-o",
      out.toString()
    };
    assertThat(run(first)).as(told).isZero();
    assertThat(told).contains("4 paragraphs in 2 texts");
    Project imported = ProjectFile.read(out);
    assertThat(imported.artboards().getLast().name()).isEqualTo("Two");

    Files.writeString(document, "# One\n\nFirst, and more.\n\n# Two\n\nSecond.\n");
    assertThat(run("import", out.toString(), document.toString(), "--update", "-o", out.toString()))
        .as(told)
        .isZero();
    assertThat(told).contains("1 paragraph changed, 0 added, 0 removed");
    assertThat(ProjectFile.read(out).layers().map(Layer::story))
        .anyMatch(story -> story.text().equals("One\nFirst, and more."));
  }

  @Test
  void whatIsNotKnownIsToldWithWhatThereIs() {
    assertThat(run("import", project.toString(), document.toString(), "--update", "-o", "x"))
        .isNotZero();
    assertThat(told).contains("wall.md was not imported");
    assertThat(
            run("import", project.toString(), document.toString(), "--map", "Nope=new", "-o", "x"))
        .isNotZero();
    assertThat(told).contains("Nope").contains("Heading 1");
    assertThat(
            run("import", project.toString(), document.toString(), "--arrange", "pile", "-o", "x"))
        .isNotZero();
    assertThat(told).contains("artboard-per-section");
  }

  @Test
  void aDrawingComesAsAnArtboardOrOntoOne() throws IOException {
    String drawing = "../demo/imports/opening-card.svg";
    assertThat(run("import", project.toString(), drawing, "-o", out.toString())).as(told).isZero();
    assertThat(told).contains("15 shapes and images come along").contains("4 new styles");
    Project alone = ProjectFile.read(out);
    assertThat(alone.artboards().getLast().name()).isEqualTo("Opening night");
    assertThat(
            run(
                "import",
                project.toString(),
                drawing,
                "--artboard",
                "Ticket",
                "--map",
                "Headline=words",
                "-o",
                out.toString()))
        .as(told)
        .isZero();
    Project onto = ProjectFile.read(out);
    assertThat(onto.artboards()).hasSize(alone.artboards().size() - 1);
    assertThat(onto.styles().named("Headline")).isEmpty();
    assertThat(run("import", project.toString(), drawing, "--update", "-o", out.toString()))
        .isNotZero();
    assertThat(told).contains("imported again as a whole");
    assertThat(
            run(
                "import",
                project.toString(),
                drawing,
                "--arrange",
                "one-text",
                "-o",
                out.toString()))
        .isNotZero();
    assertThat(told).contains("which takes --artboard");
  }

  @Test
  void aTranslationReplacesTheWordsOrStandsBeside() throws IOException {
    Path words = folder.resolve("words.xlf");
    assertThat(run("words", project.toString(), "--export", words.toString())).isZero();
    assertThat(told).contains("75 paragraphs to translate.");
    Files.writeString(
        words,
        Files.readString(words)
            .replace("srcLang=", "trgLang=\"nl\" srcLang=")
            .replaceAll(
                "<source>(.*?)</source>", "<source>$1</source><target>$1 \u2013 nl</target>"));
    String from = words.toString();
    assertThat(run("words", project.toString(), "--import", from, "-o", out.toString())).isZero();
    assertThat(told).contains("75 paragraphs translated.");
    Project replaced = ProjectFile.read(out);
    Project before = ProjectFile.read(project);
    assertThat(replaced.artboards()).hasSameSizeAs(before.artboards());
    assertThat(replaced.layers().filter(layer -> layer.story().text().endsWith("\u2013 nl")))
        .hasSizeGreaterThan(40);
    assertThat(
            run(
                "words",
                project.toString(),
                "--import",
                from,
                "--language-version",
                "-o",
                out.toString()))
        .isZero();
    assertThat(told).contains("13 artboards and 17 cues").contains("10 titles of films stay");
    assertThat(ProjectFile.read(out).artboards()).hasSize(before.artboards().size() + 13);
    assertThat(
            run(
                "words",
                project.toString(),
                "--import",
                document.toString(),
                "--language-version",
                "-o",
                out.toString()))
        .isNotZero();
  }
}
