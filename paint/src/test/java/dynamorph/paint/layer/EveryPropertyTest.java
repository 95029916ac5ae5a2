package dynamorph.paint.layer;

import static dynamorph.paint.layer.PropertyMeaning.appears;
import static dynamorph.paint.layer.PropertyMeaning.differs;
import static dynamorph.paint.layer.PropertyMeaning.grows;
import static dynamorph.paint.layer.PropertyMeaning.hasLess;
import static dynamorph.paint.layer.PropertyMeaning.hasMore;
import static dynamorph.paint.layer.PropertyMeaning.inBox;
import static dynamorph.paint.layer.PropertyMeaning.isBlacker;
import static dynamorph.paint.layer.PropertyMeaning.isLighter;
import static dynamorph.paint.layer.PropertyMeaning.isNarrower;
import static dynamorph.paint.layer.PropertyMeaning.isWider;
import static dynamorph.paint.layer.PropertyMeaning.looksLike;
import static dynamorph.paint.layer.PropertyMeaning.moves;
import static dynamorph.paint.layer.PropertyMeaning.of;
import static dynamorph.paint.layer.PropertyMeaning.recolours;
import static dynamorph.paint.layer.PropertyMeaning.scales;
import static dynamorph.paint.layer.PropertyMeaning.set;
import static dynamorph.paint.layer.PropertyMeaning.staysAsItWas;
import static dynamorph.paint.layer.PropertyMeaning.vanishes;
import static dynamorph.paint.layer.PropertyMeaning.widens;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.property.ValueType;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every property does in pictures what its name says, and none fails at the ends of its range. */
class EveryPropertyTest {
  private static final String RED = "#ff0000";
  private static final String GREEN = "#00ff00";
  private static final String BLUE = "#0000ff";
  private static final String BLACK = "#000000";
  private static final String SENTENCE = "They say the hour was wound by hand and kept";

  /** What one word or one paragraph does not show, and the test that does. */
  private static final Map<String, String> SHOWN_ELSEWHERE =
      Map.ofEntries(
          Map.entry("font-width", "TypeLooksTest: no shipped font has an axis for it"),
          Map.entry(
              "baseline-shift", "ComposingTest: the first line of a text stands where it stood"),
          Map.entry("avoid-short-last-lines", "BreakersTest"),
          Map.entry("avoid-widows-orphans", "ColumnsTest"),
          Map.entry("keep-lines-together", "ColumnsTest"),
          Map.entry("keep-with-next", "ColumnsTest"),
          Map.entry("consecutive-hyphens", "BreakersTest"),
          Map.entry("hyphen-penalty", "BreakersTest"),
          Map.entry("nested-styles", "NestedStylesSceneTest: one look has no styles to nest"),
          Map.entry("next-style", "BreakParagraphTest: there is no next paragraph yet"),
          Map.entry("finish/rim/tile-image", "PosesAndTilesTest"));

  static Stream<PropertyMeaning> meanings() {
    return Stream.of(letters(), paragraphs(), placements(), plates(), coats(), effects())
        .flatMap(List::stream);
  }

  @ParameterizedTest
  @MethodSource("meanings")
  void doesWhatItsNameSays(PropertyMeaning meaning) {
    meaning.check();
  }

  @Test
  void noPropertyIsForgotten() {
    Set<String> told =
        meanings()
            .map(meaning -> general(Properties.key(meaning.path())))
            .collect(Collectors.toCollection(HashSet::new));
    SHOWN_ELSEWHERE.keySet().forEach(path -> told.add(general(Properties.key(path))));
    assertThat(Properties.all()).allSatisfy(property -> assertThat(told).contains(name(property)));
  }

  static Stream<PropertyMeaning> everything() {
    Stream<PropertyMeaning> elsewhere =
        SHOWN_ELSEWHERE.keySet().stream()
            .map(path -> inBox(path, "", "", PROSE, differs()).given(HYPHENATED));
    return Stream.concat(meanings(), elsewhere);
  }

  private static final String[] HYPHENATED = {
    "hyphenate", "true", "alignment", "justified", "line-breaking", "whole-paragraph"
  };

  @ParameterizedTest
  @MethodSource("everything")
  <T> void isPaintedAtTheEndsOfItsRange(PropertyMeaning meaning) {
    @SuppressWarnings("unchecked")
    PropertyKey<T> key = (PropertyKey<T>) Properties.key(meaning.path());
    for (T end : ends(key.property())) {
      assertThatCode(() -> meaning.painted(key, end))
          .as("%s = %s", key.path(), end)
          .doesNotThrowAnyException();
    }
  }

  private static String general(PropertyKey<?> key) {
    return name(key.property());
  }

  private static String name(Property<?> property) {
    return switch (property.part()) {
      case TEXT -> property.id();
      case COAT -> "finish/*/" + property.id();
      case EFFECT -> "finish/*/*/" + property.id();
    };
  }

  @SuppressWarnings("unchecked") // each type's ends are its own
  private static <T> List<T> ends(Property<T> property) {
    List<Object> ends = new ArrayList<>();
    switch (property.type()) {
      case ValueType.Number(double least, double most, String _) ->
          ends.addAll(List.of(Math.max(least, -500), Math.min(most, 900)));
      case ValueType.Choice<?>(var type) -> ends.addAll(List.of(type.getEnumConstants()));
      case ValueType.Lengths(double least, double most) -> {
        ends.addAll(parsed(property, Math.max(least, -50) + " pt", Math.min(most, 50) + " pt"));
        ends.addAll(parsed(property, Math.max(least, 0.25) + " em"));
      }
      case ValueType.Sizes() -> ends.addAll(parsed(property, "0.1 pt", "400 pt"));
      case ValueType.Leadings() -> ends.addAll(parsed(property, "auto", "0 pt", "300 pt", "80 %"));
      case ValueType.Colours() -> ends.addAll(parsed(property, "#00000000", "#3366cc80"));
      case ValueType.Words(String _) -> ends.addAll(parsed(property, "zz", "\u6642", "*."));
      case ValueType.Written<?> _ -> ends.addAll(parsed(property, odd(property.id())));
      case ValueType.Flag() -> ends.addAll(List.of(true, false));
    }
    return (List<T>) ends;
  }

  private static List<?> parsed(Property<?> property, String... written) {
    return Stream.of(written).map(property.type()::parse).toList();
  }

  private static String[] odd(String id) {
    return switch (id) {
      case "font-axes" -> new String[] {"SOFT=40, zzzz=3"};
      case "font-features" -> new String[] {"zzzz=7"};
      case "stylistic-sets", "character-variants" -> new String[] {"1, 2, 20"};
      case "tab-stops" -> new String[] {"90 end '.'", "80, 95 decimal"};
      case "stops" -> new String[] {"#0000ff 50% / 20%"};
      case "plate-padding", "plate-radius" -> new String[] {"0 pt, 0.4 em, 90 pt, 2 pt"};
      case "tile-image" -> new String[] {"", "no-such.png"};
      case "dashes" -> new String[] {"0 pt, 0.2 em, 3 pt", "0.0001 pt"};
      default -> new String[] {};
    };
  }

  private static List<PropertyMeaning> letters() {
    return List.of(
        of("font-family", "EB Garamond", "Anton", isBlacker(1.5)),
        of("font-weight", "400", "900", isBlacker(1.3)).given("font-family", "Source Sans 3"),
        of("slant", "upright", "italic", leans(1.5)).words("lll"),
        of("size", "20 pt", "40 pt", scales(2, 2)),
        of("font-axes", "wght=300", "wght=900", isBlacker(1.4)).given("font-family", "Fraunces"),
        of("optical-sizing", "false", "true", differs())
            .given("font-family", "Fraunces", "size", "60 pt"),
        of("leading", "20 pt", "35 pt", lastLineMoves(15)).words("Hour\nHour"),
        // thousandths of 20 points at three gaps
        of("tracking", "0", "100", widens(6)),
        of("leading-auto", "120", "200", lastLineMoves(16)).words("Hour\nHour"),
        of("kerning", "automatic", "none", isWider()).words("AVAVA"),
        of("manual-kerning", "0", "500", isWider()),
        of("word-spacing", "0", "500", widens(20)).words("a b c"),
        of("case", "as-typed", "upper", looksLike("HOUR")),
        of("language", "en", "tr", looksLike("\u0130\u0130", "case", "upper"))
            .words("ii")
            .given("case", "upper"),
        of("script-position", "normal", "superscript", isHigherAndSmaller()).words("x"),
        of("horizontal-scale", "100", "150", scales(1.5, 1)),
        of("vertical-scale", "100", "150", scales(1, 1.5)),
        of("shear", "0", "30", leans(3)).words("lll"),
        of(
                "emphasis-mark",
                "none",
                "circle",
                (before, after) -> {
                  assertThat(before.lines()).hasSize(1);
                  assertThat(after.lines()).as("the mark stands over it").hasSize(2);
                })
            .words("\u4E00"),
        of(
                "text-orientation",
                "sideways",
                "upright",
                (before, after) -> {
                  assertThat(before.width()).isLessThan(before.height() / 2);
                  assertThat(after.width()).isCloseTo(before.height(), within(0.6));
                })
            .words("\u2014")
            .given("writing-mode", "vertical-right-to-left"),
        of(
                "tate-chu-yoko",
                "none",
                "two-digits",
                (before, after) -> assertThat(after.height()).isLessThan(before.height() * 0.75))
            .words("00")
            .given("writing-mode", "vertical-right-to-left"),
        of("ligatures", "true", "false", looksLike("f\u200Cf\u200Ci")).words("ffi"),
        of(
                "contextual-alternates",
                "true",
                "false",
                looksLike("hello all", "font-family", "Caveat", "font-features", "calt=0"))
            .words("hello all")
            .given("font-family", "Caveat"),
        of(
                "fallback-fonts",
                "Grek: Source Sans 3",
                "Grek: EB Garamond",
                (before, after) -> {
                  assertThat(before.width()).isCloseTo(widthIn("Source Sans 3"), within(0.7));
                  assertThat(after.width()).isCloseTo(widthIn("EB Garamond"), within(0.7));
                  differs().accept(before, after);
                })
            .words(GREEK)
            .given("font-family", "Anton"),
        of(
                "discretionary-ligatures",
                "true",
                "false",
                looksLike("c\u200Ct", "discretionary-ligatures", "true"))
            .words("ct"),
        of("historical-ligatures", "false", "true", differs()).words("hour's fb ft fst"),
        of("swashes", "false", "true", isBlacker(1.005)).words("Quick"),
        of("stylistic-sets", "none", "1, 2, 5", differs()).words("Quick & Quote g a f t y"),
        of("font-features", "none", "smcp", looksLike("Hour", "case", "small-capitals")),
        of("figure-style", "lining", "old-style", reachesLower()).words("1743"),
        of("figure-width", "proportional", "tabular", isWider()).words("1111"),
        of("fractions", "false", "true", isNarrower()).words("1/2"),
        of("ordinals", "false", "true", isNarrower()).words("1st"),
        of("slashed-zero", "false", "true", isBlacker(1.02))
            .words("0")
            .given("font-family", "Source Sans 3"),
        of("underline", "false", "true", reachesLower()).words("aaa"),
        of("overline", "false", "true", reachesHigher()).words("aaa"),
        of("strike", "false", "true", isBlacker(1.05)).words("aaa"),
        of("decoration-offset", "0 pt", "5 pt", reachesLower())
            .words("aaa")
            .given("underline", "true"),
        of("decoration-thickness", "100", "400", isBlacker(1.1))
            .words("aaa")
            .given("underline", "true"),
        of("decoration-skip-ink", "true", "false", isBlacker(1.01))
            .words("gjpgjp")
            .given("underline", "true"),
        of("decoration-own-colour", "false", "true", appears(RED))
            .given("underline", "true", "decoration-colour", RED, "decoration-thickness", "300"),
        of("decoration-colour", RED, BLUE, recolours(RED, BLUE))
            .given(
                "underline",
                "true",
                "decoration-own-colour",
                "true",
                "decoration-thickness",
                "300"));
  }

  private static List<PropertyMeaning> paragraphs() {
    return List.of(
        inBox(
            "alignment",
            "start",
            "end",
            "Hour",
            (_, after) -> assertThat(after.right()).isCloseTo(120, within(1.0))),
        inBox("indent-first", "0 pt", "20 pt", SENTENCE, linesMove(20, 0)),
        inBox("indent-start", "0 pt", "20 pt", SENTENCE, linesMove(20, 20)),
        inBox("indent-end", "0 pt", "20 pt", "Hour", moves(-20, 0)).given("alignment", "end"),
        inBox("space-before", "0 pt", "10 pt", "a\nb", linesPart(10)),
        inBox("space-after", "0 pt", "10 pt", "a\nb", linesPart(10)),
        inBox("line-breaking", "line-by-line", "whole-paragraph", PROSE, differs())
            .given("alignment", "justified", "hyphenate", "true"),
        inBox(
                "last-line",
                "start",
                "centre",
                SENTENCE,
                (_, after) ->
                    assertThat(after.lines().getLast().centre()).isCloseTo(70, within(1.0)))
            .given("alignment", "justified"),
        inBox(
            "balance",
            "false",
            "true",
            "They say the long hour was wound now",
            (before, after) -> assertThat(raggedness(after)).isLessThan(raggedness(before) * 0.8)),
        inBox(
            "direction",
            "left-to-right",
            "right-to-left",
            "Hour.",
            (_, after) -> assertThat(after.right()).isCloseTo(120, within(1.0))),
        of("script-spacing", "false", "true", isWider()).words("X\u6642X"),
        of("punctuation-spacing", "full-width", "trim-adjacent", isNarrower())
            .words("\u300C\u300C\u6642")
            .given("font-family", "Noto Sans JP"),
        inBox(
                "column-break-before",
                "false",
                "true",
                "a\nb",
                (before, after) -> assertThat(after.width()).isGreaterThan(before.width() + 20))
            .given("columns", "2", "box-height", "60"),
        inBox("word-spacing-minimum", "100", "20", "nn nn nn nn", oneLineFewer())
            .given(tooNarrowFor("nn nn nn nn")),
        inBox("letter-spacing-minimum", "0", "-100", "nnnn nnnn", oneLineFewer())
            .given(tooNarrowFor("nnnn nnnn")),
        inBox("glyph-scaling-minimum", "100", "80", "nnnn nnnn", oneLineFewer())
            .given(tooNarrowFor("nnnn nnnn")),
        inBox("word-spacing-optimum", "100", "300", "a b", isWider()),
        inBox("letter-spacing-optimum", "0", "200", "Hour", isWider()),
        inBox("glyph-scaling-optimum", "100", "80", "Hour hour hour", scales(0.8, 1))
            .given("glyph-scaling-minimum", "80"),
        inBox("word-spacing-maximum", "100", "800", "nnn nnn", gapsGrow(1.1))
            .given(
                "box-width",
                "45",
                "alignment",
                "justified",
                "last-line",
                "justified",
                "letter-spacing-maximum",
                "500"),
        inBox("letter-spacing-maximum", "0", "1000", "nnn nnn", gapsShrink(1.1))
            .given("alignment", "justified", "last-line", "justified"),
        inBox("glyph-scaling-maximum", "100", "200", "nnn nnn", isBlacker(1.02))
            .given("alignment", "justified", "last-line", "justified"),
        inBox("hyphenate", "false", "true", LONG, firstLineIsWider()).given(BROKEN),
        inBox("hyphenate-word", "20", "5", LONG, firstLineIsWider()).given(BROKEN),
        inBox("hyphenate-before", "14", "2", LONG, firstLineIsWider()).given(BROKEN),
        inBox("hyphenate-after", "14", "3", LONG, firstLineIsWider()).given(BROKEN),
        inBox("hyphenate-last", "false", "true", "an extraordinary", firstLineIsWider())
            .given(BROKEN),
        inBox(
                "hyphenate-capitals",
                "false",
                "true",
                LONG.toUpperCase(Locale.ROOT),
                firstLineIsWider())
            .given("hyphenate", "true", "box-width", "75"),
        inBox("hyphenation-exceptions", "extraordinary", "extra-ordinary", LONG, firstLineIsWider())
            .given(BROKEN),
        inBox(
                "overlong-words",
                "stand-out",
                "break",
                "extraordinary",
                (before, after) -> {
                  assertThat(before.width()).isGreaterThan(40);
                  assertThat(after.width()).isLessThan(30);
                })
            .given("box-width", "30"),
        // a small kana may not begin a line: four letters of 10 points fit, and it would be the
        // fifth
        inBox(
                "east-asian-breaks",
                "strict",
                "normal",
                "\u6642\u8A08\u6642\u8A08\u30C3\u6642",
                (before, after) ->
                    assertThat(after.lines().getFirst().width())
                        .isCloseTo(before.lines().getFirst().width() + 10, within(1.5)))
            .given("box-width", "43", "font-family", "Noto Sans JP", "language", "ja"),
        inBox("hyphenate-zone", "100 pt", "0 pt", LONG, firstLineIsWider()).given(BROKEN),
        inBox(
            "hang-start",
            "0",
            "100",
            "\u201CHour",
            (before, after) -> assertThat(after.left()).isLessThan(before.left() - 1)),
        inBox(
                "hang-end",
                "0",
                "100",
                "Hour.",
                (before, after) -> assertThat(after.right()).isGreaterThan(before.right() + 1))
            .given("alignment", "end"),
        inBox("tab-stops", "none", "80", "a\tb", secondPieceStandsAt(100)),
        inBox("default-tab-stops", "20 pt", "50 pt", "a\tb", secondPieceStandsAt(70)),
        inBox("list", "none", "bullets", "Hour", isWider()),
        inBox("list-mark", "\u2022", "#", "Hour", isBlacker(1.01)).given("list", "bullets"),
        inBox("list-numbers", "decimal", "upper-roman", "Hour", differs()).given("list", "numbers"),
        inBox("list-after", ".", ")", "Hour", isBlacker(1.01)).given("list", "numbers"),
        inBox("list-start", "1", "8888", "Hour", isBlacker(1.1)).given("list", "numbers"),
        inBox("list-gap", "5 pt", "25 pt", "Hour", widens(20)).given("list", "numbers"),
        inBox("drop-lines", "0", "3", SENTENCE, isBlacker(1.05)),
        inBox("drop-letters", "1", "2", SENTENCE, isBlacker(1.05)).given("drop-lines", "2"),
        inBox("drop-gap", "0 pt", "20 pt", "Hour", widens(20)).given("drop-lines", "2"));
  }

  private static final String GREEK = "\u03B3\u03AD\u03B4\u03C8";

  private static double widthIn(String family) {
    return PropertyMeaning.painted(GREEK, set("font-family", family)).width();
  }

  private static final String PROSE =
      "They say, who know, that the keeper's clock, wound twice, stops at a quarter past four:"
          + " nobody heard extraordinary restorations, painstaking, uninterrupted labour.";

  private static final String LONG = "an extraordinary hour";

  private static final String[] BROKEN = {"hyphenate", "true", "box-width", "55"};

  private static List<PropertyMeaning> placements() {
    return List.of(
        of(
                "anchor",
                "top-left",
                "bottom-right",
                (before, after) -> {
                  assertThat(before.left()).isCloseTo(0, within(1.0));
                  assertThat(after.right()).isCloseTo(200, within(1.0));
                  assertThat(after.bottom()).isGreaterThan(85);
                })
            .given("position-x", "0", "position-y", "0"),
        of("position-x", "40", "52", moves(12, 0)),
        of("position-y", "30", "42", moves(0, 12)),
        // the title-safe area leaves a twentieth of 200 by 100 on each side (ST 2046-1)
        of("relative-to", "frame", "title-safe", moves(10, 5)),
        of("share-x", "0", "10", moves(20, 0)),
        of("share-y", "0", "10", moves(0, 10)),
        inBox("box-share", "20", "40", "Hour", moves(40, 0)).given("alignment", "end"),
        of(
            "rotation",
            "0",
            "90",
            (before, after) -> {
              assertThat(after.width()).isCloseTo(before.height(), within(1.0));
              assertThat(after.height()).isCloseTo(before.width(), within(1.0));
            }),
        of(
                "box",
                "point",
                "fixed",
                (before, after) ->
                    assertThat(after.lines()).hasSizeGreaterThan(before.lines().size()))
            .words("The hour")
            .given("box-width", "40", "box-height", "60"),
        inBox("box-width", "100", "120", "Hour", moves(20, 0)).given("alignment", "end"),
        inBox("box-height", "60", "90", "Hour", moves(0, 30)).given("vertical-alignment", "bottom"),
        inBox(
                "columns",
                "1",
                "2",
                SENTENCE + " " + SENTENCE,
                (before, after) ->
                    assertThat(after.widestGap()).isGreaterThan(before.widestGap() + 5))
            .given("gutter", "20", "box-height", "60"),
        inBox("gutter", "10", "40", "aaa\nbbb", grows(0, 0, 15, 0))
            .given("columns", "2", "box-height", "14"),
        of(
                "writing-mode",
                "horizontal",
                "vertical-right-to-left",
                (before, after) -> {
                  assertThat(after.height()).isCloseTo(before.width(), within(0.6));
                  assertThat(after.width()).isCloseTo(before.height(), within(0.6));
                })
            .words("Hour"),
        inBox(
            "vertical-alignment",
            "top",
            "bottom",
            "Hour",
            (_, after) -> assertThat(after.bottom()).isBetween(85.0, 95.1)),
        inBox("baseline-grid", "0", "30", "a\na", linesPart(18)),
        inBox(
                "shrink-to",
                "100",
                "20",
                SENTENCE,
                (before, after) ->
                    assertThat(after.lines().getFirst().height())
                        .isLessThan(before.lines().getFirst().height()))
            .given("box", "shrink", "box-height", "14"));
  }

  private static List<PropertyMeaning> plates() {
    String[] plate = {"plate/ground/kind", "fill", "plate/ground/colour", RED};
    return List.of(
        of("plate-extent", "layer", "line", hasLess(RED, 1.1)).words("Hour hour\na").given(plate),
        of("plate-padding", "0 pt", "5 pt", grows(5, 5, 5, 5)).given(plate),
        of("plate-radius", "0 pt", "8 pt", hasLess(RED, 1.02)).given(plate),
        of(
                "plate-minimum-width",
                "0 pt",
                "120 pt",
                (_, after) -> assertThat(after.width()).isCloseTo(120, within(1.0)))
            .given(plate));
  }

  /** A red stroke of 2 points around black letters of 60 points. */
  private static PropertyMeaning stroke(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return of("finish/rim/" + id, from, to, expected)
        .words("H")
        .given(
            "size", "60 pt",
            "position-y", "15",
            "position-x", "70",
            "finish/rim/kind", "stroke",
            "finish/rim/order", "1",
            "finish/rim/width", "2 pt",
            "finish/rim/colour", RED);
  }

  /** A second fill over the black one. */
  private static PropertyMeaning fill(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return stroke(id, from, to, expected).given("finish/rim/kind", "fill");
  }

  /** A gradient from red to blue. */
  private static PropertyMeaning gradient(
      String kind, String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return fill(id, from, to, expected)
        .given(
            "finish/rim/paint",
            kind,
            "finish/rim/stops",
            "#ff0000 0%, #0000ff 100%",
            "finish/rim/gradient-scale",
            "40");
  }

  private static PropertyMeaning pattern(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return fill(id, from, to, expected)
        .words("I")
        .given(
            "finish/rim/paint",
            "pattern",
            "finish/rim/tile",
            "stripes",
            "finish/rim/tile-size",
            "8 pt",
            "finish/fill/shown",
            "false");
  }

  private static PropertyMeaning copied(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return fill(id, from, to, expected)
        .given("finish/rim/copies", "3", "finish/rim/step-x", "8 pt", "finish/rim/step-y", "0 pt");
  }

  private static List<PropertyMeaning> coats() {
    return List.of(
        stroke("kind", "stroke", "fill", vanishes(BLACK)),
        stroke("name", "", "Copper rim", staysAsItWas()),
        fill(
            "order",
            "1",
            "-1",
            (before, after) -> {
              vanishes(RED).accept(before, after);
              appears(BLACK).accept(before, after);
            }),
        stroke("shown", "true", "false", vanishes(RED)),
        stroke("removed", "false", "true", vanishes(RED)),
        stroke("opacity", "1", "0", vanishes(RED)),
        fill("blend", "normal", "multiply", recolours(RED, BLACK)),
        fill("paint", "solid", "linear", hasLess(RED, 1.5)),
        fill("colour", RED, GREEN, recolours(RED, GREEN)),
        gradient(
            "linear",
            "stops",
            "#ff0000 0%, #00ff00 100%",
            "#ff0000 0%, #0000ff 100%",
            appears(BLUE)),
        gradient(
            "linear",
            "angle",
            "0",
            "90",
            (before, after) -> assertThat(turned(before)).isNotCloseTo(turned(after), within(0.5))),
        gradient(
                "radial",
                "centre-x",
                "30",
                "70",
                (before, after) ->
                    assertThat(after.middleX(RED)).isGreaterThan(before.middleX(RED) + 10))
            .given("finish/rim/gradient-scale", "300"),
        gradient(
                "radial",
                "centre-y",
                "30",
                "70",
                (before, after) ->
                    assertThat(after.middleY(RED)).isGreaterThan(before.middleY(RED) + 5))
            .given("finish/rim/gradient-scale", "120", "finish/rim/centre-x", "20"),
        gradient("linear", "gradient-scale", "100", "10", hasMore(BLUE, 1.5)),
        gradient("linear", "gradient-offset", "0", "50", hasMore(RED, 1.5)),
        gradient(
                "linear",
                "repeat",
                "pad",
                "repeat",
                (before, after) ->
                    assertThat(after.lines().getFirst().area(BLUE))
                        .isNotCloseTo(before.area(BLUE), within(5.0)))
            .given("finish/rim/gradient-scale", "20"),
        gradient(
                "linear",
                "fit",
                "layer",
                "glyph",
                (before, after) ->
                    // each letter now holds both ends
                    assertThat(after.pieces().getFirst().area(BLUE))
                        .isGreaterThan(before.pieces().getFirst().area(BLUE) + 1))
            .words("II")
            .given("finish/rim/angle", "0", "tracking", "500"),
        gradient(
            "linear",
            "interpolation",
            "srgb",
            "oklab",
            (before, after) ->
                // halfway between red and blue, sRGB has a darker purple
                assertThat(before.area("#800080")).isGreaterThan(after.area("#800080") * 1.1)),
        pattern("tile", "stripes", "checks", differs()),
        pattern(
                "tile-size",
                "4 pt",
                "12 pt",
                (before, after) -> assertThat(stripes(after)).isLessThan(stripes(before)))
            .given("finish/rim/tile-angle", "90"),
        pattern("tile-weight", "20", "80", hasMore(RED, 2)),
        pattern(
            "tile-angle",
            "0",
            "90",
            (before, after) -> assertThat(stripes(after)).isNotEqualTo(stripes(before))),
        pattern("tile-x", "0 pt", "4 pt", differs()).given("finish/rim/tile", "checks"),
        pattern("tile-y", "0 pt", "4 pt", differs()).given("finish/rim/tile", "checks"),
        pattern("tile-background", "#00000000", GREEN, appears(GREEN)),
        fill("offset", "0 pt", "3 pt", grows(3, 3, 3, 3)),
        stroke("width", "2 pt", "6 pt", grows(2, 2, 2, 2)),
        stroke("position", "centre", "outside", grows(1, 1, 1, 1)),
        stroke("join", "miter", "bevel", hasLess(RED, 1.005))
            .given("finish/rim/width", "6 pt", "font-family", "Source Sans 3"),
        stroke("miter-limit", "20", "1", hasLess(RED, 1.005))
            .given("finish/rim/width", "6 pt", "font-family", "Source Sans 3"),
        stroke("cap", "butt", "square", hasMore(RED, 1.3)).given("finish/rim/dashes", "3 pt, 3 pt"),
        stroke("dashes", "none", "3 pt, 3 pt", hasLess(RED, 1.5)),
        stroke(
                "dash-offset",
                "0 pt",
                "3 pt",
                (before, after) -> {
                  differs().accept(before, after);
                  assertThat(after.area(RED))
                      .isCloseTo(before.area(RED), within(before.area(RED) / 8));
                })
            .given("finish/rim/dashes", "3 pt, 3 pt"),
        stroke("dash-fit", "exact", "corners", differs())
            .given("finish/rim/dashes", "3.3 pt, 2.1 pt"),
        fill("translate-x", "0 pt", "9 pt", redMoves(9, 0)),
        fill("translate-y", "0 pt", "9 pt", redMoves(0, 9)),
        fill("scale-x", "100", "50", hasLess(RED, 1.8)),
        fill("scale-y", "100", "50", hasLess(RED, 1.8)),
        fill("rotation", "0", "90", appears(BLACK)),
        fill(
                "transform-origin",
                "layer",
                "glyph",
                (before, after) -> assertThat(after.height()).isLessThan(before.height() - 5))
            .words("II")
            .given("finish/rim/rotation", "40"),
        copied("copies", "0", "3", widens(24)),
        copied("step-x", "8 pt", "12 pt", widens(12)),
        copied(
            "step-y",
            "0 pt",
            "5 pt",
            (before, after) ->
                assertThat(after.height() - before.height()).isCloseTo(15, within(0.7))),
        copied(
            "step-scale",
            "100",
            "120",
            (before, after) -> assertThat(after.height()).isGreaterThan(before.height() * 1.3)),
        copied(
            "step-rotation",
            "0",
            "30",
            (before, after) -> assertThat(after.height()).isGreaterThan(before.height() + 10)),
        copied("colours-stepped", "false", "true", hasMore(GREEN, 1))
            .given("finish/rim/end-colour", GREEN, "finish/rim/step-x", "25 pt"),
        copied("end-colour", GREEN, BLUE, recolours(GREEN, BLUE))
            .given("finish/rim/colours-stepped", "true", "finish/rim/step-x", "40 pt"),
        copied("end-opacity", "1", "0", hasLess(RED, 1.2)).given("finish/rim/step-x", "40 pt"));
  }

  /** A hard red shadow, 6 points to the right and below a black letter. */
  private static PropertyMeaning shadow(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return of("finish/fill/shadow/" + id, from, to, expected)
        .words("H")
        .given(
            "size", "60 pt",
            "position-y", "15",
            "position-x", "70",
            "finish/fill/shadow/kind", "drop-shadow",
            "finish/fill/shadow/x", "6 pt",
            "finish/fill/shadow/y", "6 pt",
            "finish/fill/shadow/blur", "0 pt",
            "finish/fill/shadow/opacity", "1",
            "finish/fill/shadow/colour", RED);
  }

  /** A bevel on a mid-grey letter, its light from above on the left. */
  private static PropertyMeaning bevel(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return shadow(id, from, to, expected)
        .given(
            "finish/fill/colour", "#808080",
            "finish/fill/shadow/kind", "bevel",
            "finish/fill/shadow/bevel-width", "3 pt");
  }

  private static List<PropertyMeaning> effects() {
    return List.of(
        shadow("kind", "drop-shadow", "inner-shadow", grows(0, 0, -6, -6)),
        shadow("name", "", "Copper", staysAsItWas()),
        shadow("order", "0", "2", hasMore(RED, 1.2))
            .given(
                "finish/fill/glow/kind", "drop-shadow",
                "finish/fill/glow/order", "1",
                "finish/fill/glow/colour", GREEN,
                "finish/fill/glow/opacity", "1",
                "finish/fill/glow/blur", "0 pt",
                "finish/fill/glow/x", "4 pt",
                "finish/fill/glow/y", "4 pt"),
        shadow("shown", "true", "false", vanishes(RED)),
        shadow("removed", "false", "true", vanishes(RED)),
        shadow("colour", RED, GREEN, recolours(RED, GREEN)),
        shadow("opacity", "1", "0", vanishes(RED)),
        shadow(
                "blend",
                "normal",
                "multiply",
                (before, after) -> {
                  double both = before.area(BLACK) + before.area(RED);
                  assertThat(before.area(RED)).isGreaterThan(100);
                  assertThat(after.area(BLACK)).isCloseTo(both, within(both * 0.05));
                })
            .given(
                "plate/ground/kind", "fill", "plate/ground/colour", BLUE, "plate-padding", "8 pt"),
        shadow("x", "6 pt", "12 pt", grows(0, 0, 6, 0)),
        shadow("y", "6 pt", "12 pt", grows(0, 0, 0, 6)),
        shadow("blur", "0 pt", "6 pt", hasLess(RED, 1.3)),
        shadow("spread", "0 pt", "2 pt", hasMore(RED, 1.2)),
        shadow("knockout", "false", "true", isLighter()).given("finish/fill/opacity", "0.5"),
        shadow(
                "source",
                "edge",
                "centre",
                (before, after) ->
                    // red is lighter than black: in the middle of the stem it comes from the centre
                    assertThat(stem(after).amount()).isLessThan(stem(before).amount() * 0.95))
            .words("I")
            .given("finish/fill/shadow/kind", "inner-glow", "finish/fill/shadow/blur", "4 pt"),
        bevel(
                "azimuth",
                "235",
                "55",
                (before, after) ->
                    assertThat(leftShare(before)).isLessThan(leftShare(after) - 0.02))
            .words("I"),
        bevel("elevation", "20", "80", differs()),
        bevel("bevel-width", "1 pt", "5 pt", hasLess("#808080", 1.1)),
        bevel("depth", "1", "0", hasMore("#808080", 1.1)),
        bevel("highlight-colour", RED, GREEN, appears("#80ff80")),
        bevel("highlight-blend", "screen", "normal", differs())
            .given("finish/fill/shadow/highlight-colour", RED),
        bevel("shade-colour", BLACK, RED, hasMore("#800000", 1)),
        bevel("shade-blend", "multiply", "normal", differs())
            .given("finish/fill/shadow/shade-colour", RED));
  }

  private static BiConsumer<Ink, Ink> leans(double points) {
    return (before, after) -> {
      assertThat(before.lean()).isBetween(-1.0, 1.0);
      assertThat(after.lean()).isGreaterThan(points);
    };
  }

  private static BiConsumer<Ink, Ink> lastLineMoves(double points) {
    return (before, after) -> {
      assertThat(after.top()).isCloseTo(before.top(), within(0.7));
      assertThat(after.bottom() - before.bottom()).isCloseTo(points, within(0.7));
    };
  }

  private static BiConsumer<Ink, Ink> isHigherAndSmaller() {
    return (before, after) -> {
      assertThat(after.bottom()).isLessThan(before.bottom() - 2);
      assertThat(after.height()).isLessThan(before.height() * 0.8);
    };
  }

  private static BiConsumer<Ink, Ink> reachesLower() {
    return (before, after) -> assertThat(after.bottom()).isGreaterThan(before.bottom() + 1);
  }

  private static BiConsumer<Ink, Ink> reachesHigher() {
    return (before, after) -> assertThat(after.top()).isLessThan(before.top() - 1);
  }

  private static BiConsumer<Ink, Ink> linesMove(double first, double second) {
    return (before, after) -> {
      assertThat(after.lines().get(0).left() - before.lines().get(0).left())
          .isCloseTo(first, within(0.7));
      // other words may begin the second line: their sidebearings differ
      assertThat(after.lines().get(1).left() - before.lines().get(1).left())
          .isCloseTo(second, within(1.0));
    };
  }

  private static BiConsumer<Ink, Ink> linesPart(double points) {
    return (before, after) ->
        assertThat(distance(after) - distance(before)).isCloseTo(points, within(0.7));
  }

  private static double distance(Ink ink) {
    return ink.lines().get(1).bottom() - ink.lines().get(0).bottom();
  }

  private static double raggedness(Ink ink) {
    var widths = ink.lines().stream().mapToDouble(Ink::width).summaryStatistics();
    return widths.getMax() - widths.getMin();
  }

  private static BiConsumer<Ink, Ink> oneLineFewer() {
    return (before, after) -> {
      assertThat(before.lines()).hasSize(2);
      assertThat(after.lines()).hasSize(1);
    };
  }

  /** A justified box that is two points too narrow for these words in one line of 10 points. */
  private static String[] tooNarrowFor(String words) {
    PropertySet look = set("size", "10 pt", "position-x", "5", "position-y", "5");
    double width = PropertyMeaning.painted(words, look).width() - 2;
    return new String[] {
      "alignment", "justified",
      "line-breaking", "whole-paragraph",
      "box-width", String.valueOf(width),
      "word-spacing-minimum", "100"
    };
  }

  private static BiConsumer<Ink, Ink> gapsGrow(double factor) {
    return (before, after) ->
        assertThat(after.widestGap()).isGreaterThan(before.widestGap() * factor);
  }

  private static BiConsumer<Ink, Ink> gapsShrink(double factor) {
    return (before, after) -> gapsGrow(factor).accept(after, before);
  }

  /** The middle of the stem of an I, without its serifs. */
  private static Ink stem(Ink ink) {
    double middle = ink.centre();
    return ink.within(middle - 0.7, ink.top() + 10, middle + 0.7, ink.bottom() - 10);
  }

  /** How much of the ink lies in the left half: less where light falls on it. */
  private static double leftShare(Ink ink) {
    Ink left = ink.within(0, 0, ink.centre(), 100);
    return left.amount() / ink.amount();
  }

  private static BiConsumer<Ink, Ink> firstLineIsWider() {
    return (before, after) ->
        assertThat(after.lines().getFirst().width())
            .isGreaterThan(before.lines().getFirst().width() + 5);
  }

  private static BiConsumer<Ink, Ink> secondPieceStandsAt(double x) {
    return (_, after) -> assertThat(after.pieces().get(1).left()).isCloseTo(x, within(1.0));
  }

  private static BiConsumer<Ink, Ink> redMoves(double right, double down) {
    return (before, after) -> {
      assertThat(after.middleX(RED) - before.middleX(RED)).isCloseTo(right, within(0.7));
      assertThat(after.middleY(RED) - before.middleY(RED)).isCloseTo(down, within(0.7));
    };
  }

  /** How far blue stands to the right of red, more than below it: 1, or less for a turned one. */
  private static double turned(Ink ink) {
    double across = ink.middleX(BLUE) - ink.middleX(RED);
    double down = ink.middleY(BLUE) - ink.middleY(RED);
    return across / Math.hypot(across, down);
  }

  /** Into how many pieces a pattern divides the letter from top to bottom. */
  private static int stripes(Ink ink) {
    return ink.lines().size();
  }
}
