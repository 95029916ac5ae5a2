package dynamorph.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.value.FontSize;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ShelfCommandTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  @TempDir Path folder;

  private String told = "";
  private Path clock;
  private String home = "";

  @BeforeEach
  void aProject() throws IOException {
    home = System.getProperty("dynamorph.home", "");
    System.setProperty("dynamorph.home", folder.resolve("home").toString());
    clock = folder.resolve("clock.dmorph");
    ProjectFile.write(LongHour.project(), clock);
    run(
        "put",
        clock.toString(),
        "--style",
        "Notice",
        "--note",
        "as painted",
        "-o",
        clock.toString());
  }

  @AfterEach
  void asBefore() {
    if (home.isEmpty()) {
      System.clearProperty("dynamorph.home");
    } else {
      System.setProperty("dynamorph.home", home);
    }
  }

  private int run(String... arguments) {
    List<String> all = new ArrayList<>(List.of("shelf"));
    all.addAll(List.of(arguments));
    return plain(all.toArray(String[]::new));
  }

  private int plain(String... arguments) {
    StringWriter words = new StringWriter();
    PrintWriter out = new PrintWriter(words, true);
    int code = Dynamorph.run(out, out, arguments);
    told = words.toString();
    return code;
  }

  private static FontSize size(Path file) throws IOException {
    return ProjectFile.read(file)
        .styles()
        .named("Notice")
        .orElseThrow()
        .properties()
        .get(Properties.SIZE.key())
        .orElseThrow();
  }

  /** A second project that takes the style, and then the style is made larger in the first. */
  private Path enlarged() throws IOException {
    Path signs = folder.resolve("signs.dmorph");
    ProjectFile.write(Project.empty("Signs"), signs);
    assertThat(run("take", signs.toString(), "--style", "notice", "-o", signs.toString())).isZero();
    assertThat(
            plain(
                "set", clock.toString(), "--style", "Notice", "-o", clock.toString(), "size=60 pt"))
        .isZero();
    assertThat(run("put", clock.toString(), "--style", "Notice", "-o", clock.toString())).isZero();
    return signs;
  }

  @Test
  void aChangeIsCarriedToAnotherProjectAndBack() throws IOException {
    Path signs = enlarged();
    byte[] before = Files.readAllBytes(signs);
    assertThat(run("update", signs.toString(), clock.toString(), "--dry-run")).isZero();
    assertThat(told).contains("Notice: Size 84 pt \u2192 60 pt").contains("nothing is newer");
    assertThat(Files.readAllBytes(signs)).isEqualTo(before);
    assertThat(run("where", "Notice")).isZero();
    assertThat(told).contains("signs.dmorph").contains("clock.dmorph  3 texts");
    assertThat(run("update", "--known", "--json")).isZero();
    JsonNode json = JSON.readTree(told);
    assertThat(size(signs)).isEqualTo(FontSize.points(60));
    String report = json.path("report").stringValue();
    assertThat(run("update", "--undo", report)).isZero();
    assertThat(Files.readAllBytes(signs)).isEqualTo(before);
  }

  @Test
  void versionsAreListedAndRestored() throws IOException {
    enlarged();
    assertThat(run("history", "Notice", "--json")).isZero();
    JsonNode versions = JSON.readTree(told).path("versions");
    assertThat(versions.size()).isEqualTo(2);
    assertThat(versions.get(1).path("note").stringValue()).isEqualTo("as painted");
    String first = versions.get(1).path("version").stringValue();
    assertThat(run("restore", "Notice", first.substring(0, 6))).isZero();
    assertThat(run("show", "Notice")).isZero();
    assertThat(told).contains("Size: 84 pt");
    assertThat(run("restore", "Notice", "zz")).isEqualTo(1);
    assertThat(told).contains("no version zz");
  }

  @Test
  void whatIsDeletedComesBack() {
    assertThat(run("delete", "Notice")).isZero();
    assertThat(run("list")).isZero();
    assertThat(told).doesNotContain("Notice");
    assertThat(run("undo")).isZero();
    assertThat(run("list", "notice")).isZero();
    assertThat(told).contains("Notice");
    assertThat(run("rename", "Notice", "Wayfinding", "--group", "Signs")).isZero();
    assertThat(run("tag", "Wayfinding", "--add", "doors")).isZero();
    assertThat(run("list", "doors")).isZero();
    assertThat(told).contains("Signs/Wayfinding");
    assertThat(run("list", "size>80 wayfinding")).isZero();
    assertThat(told).contains("Wayfinding");
    assertThat(run("list", "size<80")).isZero();
    assertThat(told).doesNotContain("Wayfinding");
    assertThat(run("log", "--json")).isZero();
    assertThat(JSON.readTree(told).path("actions").get(0).path("kind").stringValue())
        .isEqualTo("tag");
    assertThat(run("show", "Nobody")).isEqualTo(1);
    assertThat(told).contains("Nobody").contains("Wayfinding");
  }

  @Test
  void aKitGoesOutAndIsPutOnAnotherShelf() {
    Path kit = folder.resolve("signs.dmkit");
    assertThat(run("export", kit.toString(), "--style", "Notice")).isZero();
    String other = folder.resolve("other").toString();
    assertThat(run("--shelf", other, "import", kit.toString())).isZero();
    assertThat(run("--shelf", other, "list")).isZero();
    assertThat(told).contains("Notice");
    assertThat(run("--shelf", other, "import", kit.toString())).isZero();
    assertThat(told).as("once more").contains("nothing to do");
  }

  /** As version control calls it: base, ours, theirs; ours gets the result. */
  @Test
  void twoBranchesOfOneStyleAreMerged() throws IOException {
    Path file = styleFile();
    byte[] base = Files.readAllBytes(file);
    run("rename", "Notice", "Wayfinding");
    byte[] ours = Files.readAllBytes(file);
    Files.write(file, base);
    clearActions();
    run("tag", "Notice", "--add", "doors");
    byte[] theirs = Files.readAllBytes(file);
    Path first = Files.write(folder.resolve("base.json"), base);
    Path second = Files.write(folder.resolve("ours.json"), ours);
    Path third = Files.write(folder.resolve("theirs.json"), theirs);
    assertThat(run("merge", first.toString(), second.toString(), third.toString())).isZero();
    Files.copy(second, file, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    clearActions();
    run("list", "doors");
    assertThat(told).contains("Wayfinding");
    // the same value on both sides
    Files.write(file, base);
    clearActions();
    run("rename", "Notice", "Directions");
    Files.write(second, ours);
    Files.copy(file, third, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    assertThat(run("merge", first.toString(), second.toString(), third.toString())).isEqualTo(1);
    assertThat(told).contains("changed on both sides");
  }

  private Path styleFile() throws IOException {
    try (Stream<Path> files = Files.list(folder.resolve("home/shelf/styles"))) {
      return files.findFirst().orElseThrow();
    }
  }

  /** Another machine has other ones. */
  private void clearActions() throws IOException {
    try (Stream<Path> files = Files.list(folder.resolve("home/shelf/actions"))) {
      for (Path file : files.toList()) {
        Files.delete(file);
      }
    }
  }
}
