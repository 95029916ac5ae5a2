package dynamorph.typeset.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.ParagraphLook.Hyphenation;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.HyphenationExceptions;
import dynamorph.model.value.TextCase;
import dynamorph.typeset.Setting;
import dynamorph.typeset.language.Hyphenators;
import dynamorph.typeset.shape.ParagraphShaper;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where lines may end, and where words may be divided. */
class BreakpointsTest {
  private static final Hyphenation USUAL =
      new Hyphenation(true, 5, 2, 2, 0, 0, true, true, HyphenationExceptions.NONE, 50);
  private static final Hyphenation OFF =
      new Hyphenation(false, 5, 2, 2, 0, 0, true, true, HyphenationExceptions.NONE, 50);
  private static final Hyphenators LANGUAGES = new Hyphenators();

  private static Breakpoints of(String text, String language, Hyphenation settings) {
    return of(Setting.of(text).with(Properties.LANGUAGE, language), settings);
  }

  private static Breakpoints of(Setting setting, Hyphenation settings) {
    ResolvedLayer look = setting.look();
    List<ShapeKey.SpanType> spans = new ArrayList<>();
    var paragraph = setting.story().paragraphs().getFirst();
    for (int span = 0; span < paragraph.spans().size(); span++) {
      spans.add(
          ShapeKey.SpanType.of(
              paragraph.spans().get(span).length(),
              look.paragraphs().getFirst().spans().get(span).type()));
    }
    ShapedParagraph shaped =
        new ParagraphShaper(Setting.fonts()).shape(new ShapeKey(paragraph.text(), spans));
    return Breakpoints.of(shaped, settings, LANGUAGES);
  }

  private static String dividedBut(String exceptions, boolean capitals, String text) {
    return divided(
        text,
        "en",
        new Hyphenation(
            true, 5, 2, 2, 0, 0, true, capitals, HyphenationExceptions.parse(exceptions), 50));
  }

  @Test
  void exceptionsOfThePeopleComeBeforeThePatterns() {
    assertThat(dividedBut("none", true, "extraordinary project")).contains("|");
    assertThat(dividedBut("extraordinary, Proj-ect", true, "Extraordinary PROJECT"))
        .isEqualTo("Extraordinary PROJ|ECT");
    assertThat(dividedBut("wo-und", true, "wound")).isEqualTo("wo|und");
  }

  @Test
  void wordsInCapitalsStayWholeWhereThatIsWanted() {
    assertThat(dividedBut("none", false, "EXTRAORDINARY")).isEqualTo("EXTRAORDINARY");
    assertThat(dividedBut("none", true, "EXTRAORDINARY")).contains("|");
    assertThat(dividedBut("none", false, "Extraordinary")).contains("|");
    Setting raised =
        Setting.of("extraordinary")
            .with(Properties.LANGUAGE, "en")
            .with(Properties.CASE, TextCase.UPPER);
    Hyphenation none =
        new Hyphenation(true, 5, 2, 2, 0, 0, true, false, HyphenationExceptions.NONE, 50);
    assertThat(of(raised, none).count()).isEqualTo(1);
  }

  /** UAX #15: what is typed with its accents apart is the same word. */
  @ParameterizedTest
  @CsvSource({
    "\u00DCbersch\u00F6nheit, de",
    "exag\u00E9r\u00E9ment, fr",
    "na\u00EFvet\u00E9s, fr",
    "Sc\u0361h\u00F6nheit, de",
    "\u00C5lands\u00F6verfarten, sv"
  })
  void accentsThatAreTypedApartDivideAlike(String word, String language) {
    String apart = Normalizer.normalize(word, Normalizer.Form.NFD);
    assertThat(apart.length()).isGreaterThan(word.length());
    String divided = divided(word, language, USUAL);
    assertThat(divided).contains("|");
    assertThat(Normalizer.normalize(divided(apart, language, USUAL), Normalizer.Form.NFC))
        .isEqualTo(divided);
  }

  /** The text with a bar wherever a hyphen may be put. */
  private static String divided(String text, String language, Hyphenation settings) {
    Breakpoints found = of(text, language, settings);
    StringBuilder shown = new StringBuilder(text);
    for (int index = found.count() - 1; index >= 0; index--) {
      if (found.hyphens()[index]) {
        shown.insert(found.units()[index], '|');
      }
    }
    return shown.toString();
  }

  @Test
  void linesEndBehindSpacesWhichDoNotShow() {
    Breakpoints found = of("one  two\u3000three", "en", OFF);
    assertThat(found.units()).containsExactly(5, 9, 14);
    assertThat(found.inks()).containsExactly(3, 8, 14);
    assertThat(found.hyphens()).containsOnly(false);
  }

  @Test
  void aLineEndInsideAParagraphIsForced() {
    Breakpoints found = of("one\u2028two three", "en", OFF);
    assertThat(found.units()).containsExactly(4, 8, 13);
    assertThat(found.forced()).containsExactly(true, false, false);
    assertThat(found.inks()[0]).as("what forces it does not show").isEqualTo(3);
  }

  @Test
  void anEmptyParagraphEndsOnce() {
    Breakpoints found = of("", "en", USUAL);
    assertThat(found.count()).isEqualTo(1);
    assertThat(found.units()).containsExactly(0);
  }

  @ParameterizedTest
  @CsvSource({
    "en-US, hyphenation, hy|phen|ation",
    "de, Uhrwerke, Uhr|wer|ke",
    "fr, horlogerie, hor|lo|ge|rie",
    "tlh, hyphenation, hyphenation"
  })
  void wordsAreDividedByTheirLanguage(String language, String word, String divided) {
    assertThat(divided(word, language, USUAL)).isEqualTo(divided);
  }

  @ParameterizedTest
  @CsvSource({
    "12, 2, 2, hyphenation",
    "11, 2, 2, hy|phen|ation",
    "5, 3, 2, hyphen|ation",
    "5, 2, 6, hy|phenation",
    "5, 8, 8, hyphenation"
  })
  void limitsKeepDivisionsApart(int shortest, int before, int after, String divided) {
    Hyphenation limits =
        new Hyphenation(
            true, shortest, before, after, 0, 0, true, true, HyphenationExceptions.NONE, 50);
    assertThat(divided("hyphenation", "en-US", limits)).isEqualTo(divided);
  }

  @Test
  void theLastWordIsLeftWholeIfWanted() {
    Hyphenation whole =
        new Hyphenation(true, 5, 2, 2, 0, 0, false, true, HyphenationExceptions.NONE, 50);
    assertThat(divided("hyphenation of hyphenation.", "en-US", whole))
        .isEqualTo("hy|phen|ation of hyphenation.");
  }

  @Test
  void aHyphenPutByHandRulesItsWord() {
    assertThat(divided("hyphen\u00ADation", "en-US", USUAL))
        .as("nowhere else")
        .isEqualTo("hyphen\u00AD|ation");
    assertThat(divided("hyphen\u00ADation", "en-US", OFF))
        .as("even with hyphenation off")
        .isEqualTo("hyphen\u00AD|ation");
  }

  @Test
  void aWrittenHyphenNeedsNoOther() {
    Breakpoints found = of("well-made", "en", USUAL);
    int at = java.util.Arrays.binarySearch(found.units(), 5);
    assertThat(at).isNotNegative();
    assertThat(found.hyphens()[at]).isFalse();
  }

  @Test
  void eachWordFollowsTheLanguageOfItsSpan() {
    Story story =
        Story.of(
            Paragraph.of(
                Span.of("hyphenation ")
                    .withLocal(PropertySet.EMPTY.with(Properties.LANGUAGE, "en-US")),
                Span.of("horlogerie")
                    .withLocal(PropertySet.EMPTY.with(Properties.LANGUAGE, "fr"))));
    Breakpoints found = of(Setting.of(story), USUAL);
    List<Integer> hyphens = new ArrayList<>();
    for (int index = 0; index < found.count(); index++) {
      if (found.hyphens()[index]) {
        hyphens.add(found.units()[index]);
      }
    }
    assertThat(hyphens).containsExactly(2, 6, 15, 17, 19);
  }

  @ParameterizedTest
  @CsvSource({
    "DECIMAL, 12, 12",
    "LOWER_LETTERS, 1, a",
    "LOWER_LETTERS, 26, z",
    "LOWER_LETTERS, 27, aa",
    "UPPER_LETTERS, 702, ZZ",
    "UPPER_LETTERS, 703, AAA",
    "LOWER_ROMAN, 4, iv",
    "UPPER_ROMAN, 1994, MCMXCIV",
    "UPPER_ROMAN, 0, 0",
    "LOWER_ROMAN, 4000, 4000",
    "LOWER_LETTERS, -3, -3"
  })
  void listsAreNumbered(dynamorph.model.value.NumberStyle style, int number, String written) {
    assertThat(ListMarks.number(style, number)).isEqualTo(written);
  }

  private static ParagraphLook.Justification limits() {
    return new ParagraphLook.Justification(
        new ParagraphLook.Justification.Range(0.8, 1, 1.5),
        new ParagraphLook.Justification.Range(-0.01, 0, 0.02),
        new ParagraphLook.Justification.Range(0.98, 1, 1.02),
        true);
  }

  /** Joins take what is missing up to 1.2 em each; a line without spaces then stays short. */
  @ParameterizedTest
  @CsvSource({"110, 110, 0.5", "124, 124, 1.2", "200, 124, 1.2"})
  void joinsAreLengthenedSoFar(double room, double filled, double join) {
    WidthSums.Sums sums = new WidthSums.Sums(100, 0, 0, 0, 0, 0, 20);
    Glue.Filled line = Glue.filling(limits(), sums, room);
    assertThat(line.width()).isEqualTo(filled, within(1e-9));
    assertThat(line.spread().join()).isEqualTo(join, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"100, 100", "105, 105", "130, 130", "97, 97", "90, 94"})
  void whiteIsSharedOutWithinTheLimits(double room, double filled) {
    WidthSums.Sums sums = new WidthSums.Sums(100, 10, 6, 20, 0, 0, 0);
    Glue.Filled line = Glue.filling(limits(), sums, room);
    assertThat(line.width()).isCloseTo(filled, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(line.spread().letter()).isBetween(-0.01 - 1e-9, 0.02 + 1e-9);
    assertThat(line.spread().glyph()).isBetween(0.98 - 1e-9, 1.02 + 1e-9);
    assertThat(line.spread().word()).isGreaterThanOrEqualTo(0.8 - 1e-9);
  }

  @Test
  void whatLimitsDoNotAllowGoesBetweenWords() {
    WidthSums.Sums sums = new WidthSums.Sums(100, 10, 6, 20, 0, 0, 0);
    Glue spread = Glue.filling(limits(), sums, 130).spread();
    assertThat(spread.word()).isCloseTo(1.5 + 1, org.assertj.core.api.Assertions.within(1e-9));
    WidthSums.Sums oneWord = new WidthSums.Sums(100, 4, 2, 0, 0, 0, 0);
    assertThat(Glue.filling(limits(), oneWord, 130).width())
        .as("a single word is not torn apart")
        .isEqualTo(104);
  }

  /** JLREQ 3.8.3: spaces first, then the white of signs; 3.8.4: what is left over evenly. */
  @Test
  void signsGiveWayBehindSpacesAndGapsGrowWithThem() {
    WidthSums.Sums tight = new WidthSums.Sums(100, 0, 4 + 10, 20, 60, 10, 0);
    assertThat(Glue.filling(limits(), tight, 97).spread().sign()).isZero();
    Glue.Filled both = Glue.filling(limits(), tight, 91);
    assertThat(both.spread().sign()).isCloseTo(0.5, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(both.spread().word()).isCloseTo(0.8, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(both.width()).isEqualTo(91);
    assertThat(Glue.filling(limits(), tight, 80).width()).isEqualTo(86);
    // nine gaps of 10 points and a space of 2.5: ten times one point
    WidthSums.Sums loose = new WidthSums.Sums(100, 0, 0, 2.5, 90, 0, 0);
    Glue spread = Glue.filling(limits(), loose, 110).spread();
    assertThat(spread.gap() - Glue.GAP_STRETCH)
        .isCloseTo(0.1, org.assertj.core.api.Assertions.within(1e-9));
    assertThat((spread.word() - 1.5) * 2.5)
        .isCloseTo(1, org.assertj.core.api.Assertions.within(1e-9));
  }
}
