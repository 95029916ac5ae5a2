package dynamorph.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Texts set from the command line, one by one and many in a batch. */
class TypesetCommandTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final String PROSE =
      "The restoration of the clockwork took seven painstaking years of uninterrupted labour.";

  @TempDir private Path folder;

  private static String run(String... arguments) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int code = Dynamorph.run(new PrintWriter(out, true), new PrintWriter(err, true), arguments);
    assertThat(code).as(err.toString()).isZero();
    return out.toString();
  }

  private Path file(String name, String content) throws IOException {
    return Files.writeString(folder.resolve(name), content);
  }

  private List<JsonNode> batch(String... requests) throws IOException {
    Path file = file("batch.jsonl", String.join("\n", requests));
    List<JsonNode> answers = new ArrayList<>();
    run("typeset", "--batch", file.toString())
        .lines()
        .forEach(line -> answers.add(JSON.readTree(line)));
    return answers;
  }

  @Test
  void linesArePrintedAndDrawn() throws IOException {
    Path text = file("text.txt", PROSE);
    Path style = file("style.json", "{\"font-family\": \"EB Garamond\", \"size\": \"20 pt\"}");
    Path png = folder.resolve("lines.png");
    String[] common = {
      "typeset", "--text", text.toString(), "--width", "200", "--style", style.toString()
    };
    assertThat(run(common).lines().toList())
        .hasSizeGreaterThan(3)
        .first()
        .isEqualTo("The restoration of the");
    run(with(common, "--png", png.toString()));
    BufferedImage picture = ImageIO.read(png.toFile());
    assertThat(picture.getWidth()).isEqualTo(2 * 224);
    JsonNode answer = JSON.readTree(run(with(common, "--json")));
    assertThat(answer.get("lines").get(0).get("width").doubleValue()).isBetween(150.0, 200.0);
    assertThat(answer.get("overset").booleanValue()).isFalse();
  }

  private static String[] with(String[] common, String... more) {
    List<String> all = new ArrayList<>(List.of(common));
    all.addAll(List.of(more));
    return all.toArray(String[]::new);
  }

  @Test
  void aBatchAnswersEachRequestOnItsLine() throws IOException {
    List<JsonNode> answers =
        batch(
            "{\"text\": \"Wave\", \"font\": \"EB Garamond\", \"size\": 20}",
            "{\"text\": \"x\", \"width\": -1}",
            "no request",
            "{\"text\": \"x\", \"widht\": 4}",
            "{\"text\": \"a\\r\\nb \\ud800\", \"width\": 0}");
    assertThat(answers).hasSize(5);
    JsonNode glyphs = answers.getFirst().get("lines").get(0).get("runs").get(0).get("glyphs");
    assertThat(glyphs).hasSize(4);
    double sum = 0;
    for (JsonNode glyph : glyphs) {
      assertThat(glyph.get("x").doubleValue()).isEqualTo(sum, within(0.001));
      sum += glyph.get("advance").doubleValue();
    }
    assertThat(answers.get(1).get("error").stringValue()).contains("width");
    assertThat(answers.get(2).get("error").stringValue()).contains("JSON");
    assertThat(answers.get(3).get("error").stringValue()).contains("widht");
    JsonNode lines = answers.get(4).get("lines");
    assertThat(lines.get(1).get("start").intValue()).as("a pair of line ends is two").isEqualTo(3);
  }

  @Test
  void whatUnicodeAndTheLanguageSayIsShown() throws IOException {
    JsonNode answer =
        batch(
                "{\"text\": \"hyphenation \u05D0\u05D1 1\", \"language\": \"en-US\", \"show\":"
                    + " [\"breaks\", \"graphemes\", \"words\", \"levels\", \"hyphens\"]}")
            .getFirst();
    assertThat(answer.get("hyphens").toString()).isEqualTo("[2,6]");
    assertThat(answer.get("breaks").toString()).isEqualTo("[12,15,16]");
    assertThat(answer.get("levels").get(12).intValue()).isEqualTo(1);
    assertThat(answer.get("graphemes")).hasSize(17);
  }

  @ParameterizedTest
  @CsvSource({"line", "paragraph"})
  void bothBreakersKeepTheMeasure(String breaker) throws IOException {
    JsonNode answer =
        batch(
                "{\"text\": \"%s\", \"width\": 150, \"align\": \"justified\", \"hyphenate\": true,"
                        .formatted(PROSE)
                    + " \"language\": \"en-GB\", \"breaker\": \"%s\"}".formatted(breaker))
            .getFirst();
    int expected = 0;
    for (JsonNode line : answer.get("lines")) {
      assertThat(line.get("width").doubleValue()).isLessThanOrEqualTo(150.02);
      assertThat(line.get("start").intValue()).isEqualTo(expected);
      expected = line.get("end").intValue();
    }
    assertThat(expected).isEqualTo(PROSE.length());
  }

  @Test
  void theFallbackCanBeLeftOut() throws IOException {
    List<JsonNode> answers =
        batch(
            "{\"text\": \"\u6642\", \"font\": \"EB Garamond\"}",
            "{\"text\": \"\u6642\", \"font\": \"EB Garamond\", \"fallback\": false}");
    assertThat(answers.getFirst().get("missing")).isEmpty();
    assertThat(answers.getLast().get("missing").get(0).stringValue()).isEqualTo("U+6642");
  }

  @Test
  void fontsAreListedWithTheirFeatures() {
    JsonNode fonts =
        JSON.readTree(run("fonts", "--json", "--shipped", "--family", "garamond")).get("families");
    assertThat(fonts).hasSize(1);
    assertThat(fonts.get(0).get("features").toString()).contains("\"Small capitals\"");
    assertThat(fonts.get(0).get("axes")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "[1, 2]|expected a JSON object",
        "{}|text: expected a string",
        "{'text': 4}|text: expected a string",
        "{'text': 'a', 'width': 'wide'}|width: expected a number of points, 0 or more",
        "{'text': 'a', 'direction': 'up'}|direction: expected auto, ltr or rtl, found \"up\"",
        "{'text': 'a', 'breaker': 'best'}|breaker: expected line or paragraph",
        "{'text': 'a', 'align': 'sideways'}|alignment",
        "{'text': 'a', 'hyphenate': 1}|hyphenate: expected true or false",
        "{'text': 'a', 'show': ['colours']}|show: expected breaks",
        "{'text': 'a', 'features': 'smallcaps'}|font-features",
        "{'text': 'a', 'language': 7}|language: expected a string",
        "{'text': 'a', 'size': -4}|size",
        "{'text': 'a', 'font': 'no/such/file.ttf'}|no/such/file.ttf",
        "{'text': 'a', 'style': {'colour-of-bells': 1}}|colour-of-bells"
      })
  void aRequestThatCannotBeServedSaysWhy(String request, String reason) throws IOException {
    List<JsonNode> answers = batch(request.replace('\'', '"'), "{\"text\": \"still served\"}");
    assertThat(answers.getFirst().path("error").stringValue("")).contains(reason);
    assertThat(answers.getLast().get("lines")).hasSize(1);
  }

  @Test
  void featuresAreSetByTagAndValue() throws IOException {
    List<JsonNode> answers =
        batch(
            "{\"text\": \"10 fi\", \"font\": \"EB Garamond\"}",
            "{\"text\": \"10 fi\", \"font\": \"EB Garamond\", \"features\": \"onum=1, -liga\"}",
            "{\"text\": \"10 fi\", \"font\": \"EB Garamond\", \"features\": \"smcp\"}");
    List<List<Integer>> glyphs = answers.stream().map(TypesetCommandTest::glyphs).toList();
    assertThat(glyphs.get(0)).hasSize(4);
    assertThat(glyphs.get(1)).as("no ligature").hasSize(5);
    assertThat(glyphs.get(2)).isNotEqualTo(glyphs.get(1)).hasSize(5);
  }

  private static List<Integer> glyphs(JsonNode answer) {
    List<Integer> glyphs = new ArrayList<>();
    for (JsonNode run : answer.get("lines").get(0).get("runs")) {
      run.get("glyphs").forEach(glyph -> glyphs.add(glyph.get("id").intValue()));
    }
    return glyphs;
  }

  @Test
  void runsComeInVisualOrderWithOffsetsOfTheText() throws IOException {
    JsonNode answer =
        batch("{\"text\": \"ab \u05D0\u05D1\", \"font\": \"Source Sans 3\"}").getFirst();
    JsonNode runs = answer.get("lines").get(0).get("runs");
    assertThat(runs.get(0).get("direction").stringValue()).isEqualTo("ltr");
    JsonNode hebrew = runs.get(runs.size() - 1);
    assertThat(hebrew.get("direction").stringValue()).isEqualTo("rtl");
    assertThat(hebrew.get("glyphs").get(0).get("cluster").intValue())
        .as("the last letter stands leftmost")
        .isEqualTo(4);
    double before = -1;
    for (JsonNode run : runs) {
      for (JsonNode glyph : run.get("glyphs")) {
        assertThat(glyph.get("x").doubleValue()).isGreaterThan(before);
        before = glyph.get("x").doubleValue();
      }
    }
  }

  @Test
  void anUnbreakablePieceIsReported() throws IOException {
    List<JsonNode> answers =
        batch(
            "{\"text\": \"Uhrwerksausstellung\", \"width\": 30}",
            "{\"text\": \"Uhrwerk\", \"width\": 300}");
    assertThat(answers.getFirst().get("overset").booleanValue()).isTrue();
    assertThat(answers.getLast().get("overset").booleanValue()).isFalse();
  }

  @Test
  void aFontFileIsUsedWithoutBeingInstalled() throws IOException {
    Path font = folder.resolve("Bell.ttf");
    try (var stream =
        dynamorph.typeset.font.FontLibrary.class.getResourceAsStream(
            "/dynamorph/typeset/fonts/anton/Anton_400Regular.ttf")) {
      Files.copy(stream, font);
    }
    JsonNode answer =
        batch(
                "{\"text\": \"Bell\", \"font\": \"%s\"}"
                    .formatted(font.toString().replace('\\', '/')))
            .getFirst();
    assertThat(answer.get("lines").get(0).get("runs").get(0).get("font").stringValue())
        .contains("Anton");
  }

  @Test
  void optionsThatDoNotGoTogetherAreRefused() throws IOException {
    Path text = file("text.txt", PROSE);
    assertThat(refused("typeset")).contains("--text").contains("--batch");
    assertThat(refused("typeset", "--text", text.toString(), "--width", "-3")).contains("width");
    assertThat(refused("typeset", "--text", folder.resolve("none.txt").toString()))
        .contains("none.txt");
    Path broken = file("style.json", "{\"size\": ");
    assertThat(refused("typeset", "--text", text.toString(), "--style", broken.toString()))
        .contains("style.json");
  }

  private static String refused(String... arguments) {
    StringWriter err = new StringWriter();
    int code =
        Dynamorph.run(new PrintWriter(new StringWriter()), new PrintWriter(err, true), arguments);
    assertThat(code).isNotZero();
    return err.toString();
  }

  @Test
  void aVariableFontIsListedWithItsAxesAndPlaces() {
    JsonNode fraunces =
        JSON.readTree(run("fonts", "--json", "--shipped", "--family", "fraunces"))
            .get("families")
            .get(0);
    assertThat(fraunces.get("weights")).hasSize(9);
    assertThat(fraunces.get("axes").findValuesAsString("tag")).contains("wght", "opsz");
    assertThat(fraunces.get("instances").findValuesAsString("name")).contains("Thin", "Light");
    assertThat(run("fonts", "--shipped").lines()).contains("EB Garamond", "Fraunces").isSorted();
  }

  @Test
  void runsOfVerticalLinesSayHowTheyStand() throws Exception {
    JsonNode runs =
        batch(
                "{\"text\": \"\u6642A\", \"font\": \"Noto Sans JP\", \"style\":"
                    + " {\"writing-mode\": \"vertical-right-to-left\"}}")
            .getFirst()
            .get("lines")
            .get(0)
            .get("runs");
    assertThat(runs.get(0).get("upright").booleanValue()).isTrue();
    assertThat(runs.get(1).get("upright").booleanValue()).isFalse();
  }
}
