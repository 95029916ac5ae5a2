package dynamorph.typeset.language;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.Bidi;
import dynamorph.model.value.TextDirection;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;

/**
 * The test files that Unicode publishes, version 15.0. ICU follows a newer version; where that
 * version changed a rule, the difference is named here and nothing else may differ.
 */
class UnicodeConformanceTest {
  /** One letter for each bidi class, as BidiTest.txt names them. */
  private static final Map<String, String> OF_CLASS =
      Map.ofEntries(
          Map.entry("L", "a"),
          Map.entry("R", "\u05D0"),
          Map.entry("EN", "1"),
          Map.entry("ES", "-"),
          Map.entry("ET", "$"),
          Map.entry("AN", "\u0660"),
          Map.entry("CS", ","),
          Map.entry("B", "\u2029"),
          Map.entry("S", "\t"),
          Map.entry("WS", " "),
          Map.entry("ON", "!"),
          Map.entry("LRE", "\u202A"),
          Map.entry("LRO", "\u202D"),
          Map.entry("RLE", "\u202B"),
          Map.entry("RLO", "\u202E"),
          Map.entry("PDF", "\u202C"),
          Map.entry("LRI", "\u2066"),
          Map.entry("RLI", "\u2067"),
          Map.entry("FSI", "\u2068"),
          Map.entry("PDI", "\u2069"),
          Map.entry("NSM", "\u0300"),
          Map.entry("BN", "\u00AD"),
          Map.entry("AL", "\u0627"));

  /** U+2701 is a pictogram no more. */
  private static final String NO_PICTOGRAM = "2701";

  /** How many lines of the file Unicode has changed since, out of some 7,600. */
  private static final int CHANGED_LINES = 72;

  /**
   * The rules that are newer than the file: a tab before a no-break space (12a), quotation marks
   * before an opening bracket (15), a hyphen that begins a word (20a), a hyphen between Hebrew
   * letters (21a), a point or comma that begins a number (25), brackets inside of words (30).
   */
  private static boolean changed(String line) {
    return line.matches(
        "(?s).*(0009 (. 0308 )?. 00A0|0022 .*0020 . (0028|2329)|^. 002D |05D0 . 002D . 05D0"
            + "|(002C|002E) (. 0308 )?. 003[0-9]|0061 . 006D . 0062 . 0069 . 0067 . 0075).*");
  }

  @Test
  void linesMayEndWhereUnicodeSays() throws IOException {
    List<String> differing =
        breakFailures("LineBreakTest", text -> TextBoundaries.lines(text, "en"), false);
    assertThat(differing).hasSizeLessThanOrEqualTo(CHANGED_LINES).allMatch(line -> changed(line));
  }

  @Test
  void graphemesAreThoseOfUnicode() throws IOException {
    assertThat(breakFailures("GraphemeBreakTest", TextBoundaries::graphemes, true))
        .allMatch(line -> line.contains(NO_PICTOGRAM));
  }

  @Test
  void wordsAreThoseOfUnicode() throws IOException {
    assertThat(breakFailures("WordBreakTest", text -> TextBoundaries.words(text, "en"), true))
        .allMatch(line -> line.contains(NO_PICTOGRAM));
  }

  private static List<String> breakFailures(
      String file, Function<String, List<Integer>> boundaries, boolean fromStart)
      throws IOException {
    List<String> failures = new ArrayList<>();
    for (String line : lines(file)) {
      StringBuilder text = new StringBuilder();
      List<Integer> expected = new ArrayList<>();
      for (String part : line.split("#")[0].strip().split("\\s+")) {
        switch (part) {
          case "\u00F7" -> expected.add(text.length());
          case "\u00D7" -> {}
          default -> text.appendCodePoint(Integer.parseInt(part, 16));
        }
      }
      if (!fromStart) {
        expected.removeIf(at -> at == 0);
      }
      if (!boundaries.apply(text.toString()).equals(expected)) {
        failures.add(line);
      }
    }
    return failures;
  }

  @Test
  void levelsAreThoseOfUnicode() throws IOException {
    int checked = 0;
    List<String> differing = new ArrayList<>();
    for (String line : lines("BidiCharacterTest")) {
      String[] fields = line.split(";");
      StringBuilder text = new StringBuilder();
      List<Integer> unitOf = new ArrayList<>();
      for (String code : fields[0].split(" ")) {
        unitOf.add(text.length());
        text.appendCodePoint(Integer.parseInt(code, 16));
      }
      TextDirection direction =
          switch (fields[1]) {
            case "0" -> TextDirection.LEFT_TO_RIGHT;
            case "1" -> TextDirection.RIGHT_TO_LEFT;
            default -> TextDirection.AUTOMATIC;
          };
      byte[] levels = TextBoundaries.levels(text.toString(), direction);
      String[] expected = fields[3].split(" ");
      for (int index = 0; index < expected.length; index++) {
        boolean kept = !expected[index].equals("x");
        if (kept && levels[unitOf.get(index)] != Integer.parseInt(expected[index])) {
          differing.add(line);
          break;
        }
      }
      checked++;
    }
    assertThat(checked).isGreaterThan(90_000);
    // where isolates and brackets lie at the ends of overrides and embeddings ICU decides otherwise
    assertThat(differing).hasSizeLessThanOrEqualTo(30);
  }

  @Test
  void orderIsThatOfUnicode() throws IOException {
    String levels = "";
    String order = "";
    Map<String, Integer> checked = new TreeMap<>();
    for (String line : lines("BidiTest")) {
      if (line.startsWith("@Levels:")) {
        levels = line.substring(8).strip();
      } else if (line.startsWith("@Reorder:")) {
        order = line.substring(9).strip();
      } else if (!line.startsWith("@")) {
        String[] fields = line.split(";");
        String text =
            Arrays.stream(fields[0].strip().split(" "))
                .map(OF_CLASS::get)
                .collect(Collectors.joining());
        int directions = Integer.parseInt(fields[1].strip());
        for (TextDirection direction : TextDirection.values()) {
          boolean wanted = (directions & 1 << direction.ordinal()) != 0;
          if (wanted) {
            check(text, direction, levels, order, line);
            checked.merge(direction.name(), 1, Integer::sum);
          }
        }
      }
    }
    assertThat(checked).hasSize(3);
    assertThat(checked.values()).allMatch(count -> count > 200_000);
  }

  private static void check(
      String text, TextDirection direction, String levels, String order, String line) {
    Bidi bidi = new Bidi();
    bidi.setPara(text, TextBoundaries.level(direction), null);
    byte[] own = TextBoundaries.levels(text, direction);
    String[] expected = levels.split(" ");
    for (int index = 0; index < expected.length; index++) {
      boolean kept = !expected[index].equals("x");
      if (kept && own[index] != Integer.parseInt(expected[index])) {
        throw new AssertionError(direction + ": levels of " + line);
      }
    }
    List<String> shown = new ArrayList<>();
    for (int visual = 0; visual < text.length(); visual++) {
      int logical = bidi.getLogicalIndex(visual);
      if (!expected[logical].equals("x")) {
        shown.add(Integer.toString(logical));
      }
    }
    if (!String.join(" ", shown).equals(order)) {
      throw new AssertionError(direction + ": order of " + line + ", found " + shown);
    }
  }

  private static List<String> lines(String file) throws IOException {
    InputStream packed =
        UnicodeConformanceTest.class.getResourceAsStream(
            "/dynamorph/typeset/unicode/" + file + ".txt.gz");
    try (BufferedReader reader =
        new BufferedReader(
            new InputStreamReader(new GZIPInputStream(packed), StandardCharsets.UTF_8))) {
      return reader.lines().filter(line -> !line.isBlank() && !line.startsWith("#")).toList();
    }
  }
}
