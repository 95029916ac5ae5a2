package dynamorph.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Project;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A survey on the command line, as a build server makes it. */
class SurveyCommandTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  @TempDir private Path folder;
  private Path messy;
  private Path out;
  private String told = "";

  @BeforeEach
  void writeDemo() {
    messy = folder.resolve("messy.dmorph");
    out = folder.resolve("out.dmorph");
    assertThat(run("demo", "--messy", "--write", messy.toString())).isZero();
  }

  private int run(String... arguments) {
    StringWriter said = new StringWriter();
    int code = Dynamorph.run(new PrintWriter(said, true), new PrintWriter(said, true), arguments);
    told = said.toString();
    return code;
  }

  private JsonNode json(Path file, String... more) {
    List<String> all = new ArrayList<>(List.of("survey", file.toString(), "--json"));
    all.addAll(List.of(more));
    run(all.toArray(String[]::new));
    return JSON.readTree(told);
  }

  @Test
  void theNotesHideFiveStylesAndAdoptingThemLeavesNothingHidden() throws IOException {
    JsonNode before = json(messy);
    assertThat(before.get("hiddenStyles")).hasSize(5);
    assertThat(before.get("hiddenStyles").valueStream().map(one -> one.get("name").stringValue()))
        .contains("Body", "Number", "Title");
    assertThat(run("survey", messy.toString(), "--adopt", "-o", out.toString())).isZero();
    Project adopted = ProjectFile.read(out);
    assertThat(adopted.styles().list()).hasSize(5);
    assertThat(adopted.styles().list()).extracting(Style::name).contains("Body");
    assertThat(json(out).get("hiddenStyles")).isEmpty();
    long local = adopted.layers().filter(layer -> LocalChanges.count(layer) > 0).count();
    assertThat(local).as("those that deviate keep it").isBetween(10L, 20L);
  }

  @Test
  void aHouseRuleFailsAndHoldsOnceItIsMended() throws IOException {
    Path rules = folder.resolve("house.json");
    Files.writeString(
        rules,
        """
        {
          "name": "Workshop house",
          "rules": {"spelling": {"severity": "off"}},
          "house": [{
            "id": "hand-size",
            "query": "font=Caveat && size!=34",
            "message": "Handwriting is set in 34 pt",
            "severity": "error",
            "mending": {"size": "34 pt"}
          }]
        }
        """);
    assertThat(run("survey", messy.toString(), "--rules", rules.toString()))
        .isEqualTo(SurveyCommand.FOUND);
    assertThat(told).contains("error hand-size").contains("Handwriting is set in 34 pt");
    assertThat(
            run(
                "survey",
                messy.toString(),
                "--rules",
                rules.toString(),
                "--fix",
                "hand-size",
                "-o",
                out.toString()))
        .as(told)
        .isZero();
    assertThat(run("survey", out.toString(), "--rules", rules.toString())).isZero();
    assertThat(told).doesNotContain("hand-size");
  }

  @Test
  void whatWeighsIsWhatTheExitCodeSays() {
    assertThat(run("survey", messy.toString())).as("no error in it").isZero();
    assertThat(run("survey", messy.toString(), "--fail-on", "warning"))
        .isEqualTo(SurveyCommand.FOUND);
    assertThat(run("survey", messy.toString(), "--fail-on", "fatal")).isEqualTo(Dynamorph.FAILED);
    assertThat(told).contains("fatal");
    assertThat(run("survey", messy.toString(), "--fix", "double-space"))
        .isEqualTo(Dynamorph.FAILED);
    assertThat(run("survey", messy.toString(), "--fix", "doubles", "-o", out.toString()))
        .isEqualTo(Dynamorph.FAILED);
    assertThat(out).doesNotExist();
  }

  @Test
  void theLogIsSarif() {
    run("survey", messy.toString(), "--sarif");
    JsonNode log = JSON.readTree(told);
    assertThat(log.get("version").stringValue()).isEqualTo("2.1.0");
    JsonNode run = log.get("runs").get(0);
    List<String> rules =
        run.get("tool")
            .get("driver")
            .get("rules")
            .valueStream()
            .map(rule -> rule.get("id").stringValue())
            .toList();
    assertThat(rules).contains("double-space", "hidden-style").doesNotHaveDuplicates();
    assertThat(run.get("results").valueStream())
        .isNotEmpty()
        .allSatisfy(result -> {
          assertThat(rules).contains(result.get("ruleId").stringValue());
          assertThat(result.get("level").stringValue()).isIn("error", "warning", "note");
          assertThat(
                  result
                      .get("locations")
                      .get(0)
                      .get("physicalLocation")
                      .get("artifactLocation")
                      .get("uri")
                      .stringValue())
              .endsWith("messy.dmorph");
        });
  }

  @Test
  void thePageNeedsNothingElse() throws IOException {
    Path page = folder.resolve("report.html");
    run("survey", messy.toString(), "--html", page.toString());
    String html = Files.readString(page);
    assertThat(html)
        .contains("Survey of As It Came")
        .contains("data:image/png;base64,")
        .contains("Double spaces")
        .doesNotContain("http://")
        .doesNotContain("src=\"/");
  }

  /** Every finding of the page stands in the document too, on pages of A4. */
  @Test
  void theDocumentSaysWhatThePageSays() throws IOException {
    Path page = folder.resolve("report.html");
    Path file = folder.resolve("report.pdf");
    Path named = folder.resolve("named.dmorph");
    // names and notes may have lines of their own
    ProjectFile.write(
        ProjectFile.read(messy).mapArtboards(board -> board.withName(board.name() + "\nof oak")),
        named);
    run("survey", named.toString(), "--html", page.toString(), "--pdf", file.toString());
    List<String> said =
        Pattern.compile("<(?:h2|p)[^>]*>([^<&]+)</")
            .matcher(Files.readString(page))
            .results()
            .map(found -> found.group(1).replaceAll("\\s+", ""))
            .toList();
    assertThat(said).hasSizeGreaterThan(30);
    try (PDDocument document = Loader.loadPDF(file.toFile())) {
      String text = new PDFTextStripper().getText(document).replaceAll("\\s+", "");
      assertThat(said).allSatisfy(words -> assertThat(text).contains(words));
      assertThat(document.getDocumentInformation().getTitle()).isEqualTo("Survey of As It Came");
      assertThat(document.getPages())
          .hasSizeGreaterThan(1)
          .allSatisfy(one -> {
            // 210 by 297 mm
            assertThat(one.getMediaBox().getWidth()).isEqualTo(595.28f, within(0.01f));
            assertThat(one.getMediaBox().getHeight()).isEqualTo(841.89f, within(0.01f));
          });
    }
  }

  @Test
  void wordsGoOutAndComeBack() throws IOException {
    Path table = folder.resolve("words.csv");
    assertThat(run("words", messy.toString(), "--export", table.toString())).isZero();
    String text = Files.readString(table);
    assertThat(text).contains("From the drawers");
    Files.writeString(table, text.replace("From the drawers", "Aus den Schubladen"));
    assertThat(run("words", messy.toString(), "--import", table.toString(), "-o", out.toString()))
        .isZero();
    assertThat(told).contains("1 text");
    assertThat(ProjectFile.read(out).layers().map(layer -> layer.story().text()))
        .contains("Aus den Schubladen");
  }
}
