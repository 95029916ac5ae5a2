package dynamorph.paint.layer;

import static dynamorph.paint.layer.InkChanges.firstLineIsWider;
import static dynamorph.paint.layer.InkChanges.gapsGrow;
import static dynamorph.paint.layer.InkChanges.gapsShrink;
import static dynamorph.paint.layer.InkChanges.isHigherAndSmaller;
import static dynamorph.paint.layer.InkChanges.lastLineMoves;
import static dynamorph.paint.layer.InkChanges.leans;
import static dynamorph.paint.layer.InkChanges.linesMove;
import static dynamorph.paint.layer.InkChanges.linesPart;
import static dynamorph.paint.layer.InkChanges.oneLineFewer;
import static dynamorph.paint.layer.InkChanges.raggedness;
import static dynamorph.paint.layer.InkChanges.reachesHigher;
import static dynamorph.paint.layer.InkChanges.reachesLower;
import static dynamorph.paint.layer.InkChanges.secondPieceStandsAt;
import static dynamorph.paint.layer.InkChanges.tooNarrowFor;
import static dynamorph.paint.layer.PropertyMeaning.appears;
import static dynamorph.paint.layer.PropertyMeaning.differs;
import static dynamorph.paint.layer.PropertyMeaning.grows;
import static dynamorph.paint.layer.PropertyMeaning.inBox;
import static dynamorph.paint.layer.PropertyMeaning.isBlacker;
import static dynamorph.paint.layer.PropertyMeaning.isNarrower;
import static dynamorph.paint.layer.PropertyMeaning.isWider;
import static dynamorph.paint.layer.PropertyMeaning.looksLike;
import static dynamorph.paint.layer.PropertyMeaning.moves;
import static dynamorph.paint.layer.PropertyMeaning.of;
import static dynamorph.paint.layer.PropertyMeaning.recolours;
import static dynamorph.paint.layer.PropertyMeaning.scales;
import static dynamorph.paint.layer.PropertyMeaning.set;
import static dynamorph.paint.layer.PropertyMeaning.widens;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Locale;

/** What the properties of letters, paragraphs and places do in pictures. */
final class TextMeanings {
  private static final String RED = "#ff0000";
  private static final String BLUE = "#0000ff";

  private static final String SENTENCE = "They say the hour was wound by hand and kept";

  private TextMeanings() {}

  static List<PropertyMeaning> letters() {
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

  static List<PropertyMeaning> paragraphs() {
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
        inBox(
                "kashida",
                "false",
                "true",
                "\u0633\u0644\u0627\u0645 \u0645\u062D\u0645\u062F \u0633\u0644\u0627\u0645"
                    + " \u0645\u062D\u0645\u062F",
                gapsShrink(1.1))
            .given(
                "font-family",
                "Amiri",
                "alignment",
                "justified",
                "last-line",
                "justified",
                "word-spacing-maximum",
                "100"),
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

  static final String PROSE =
      "They say, who know, that the keeper's clock, wound twice, stops at a quarter past four:"
          + " nobody heard extraordinary restorations, painstaking, uninterrupted labour.";

  private static final String LONG = "an extraordinary hour";

  private static final String[] BROKEN = {"hyphenate", "true", "box-width", "55"};

  static List<PropertyMeaning> placements() {
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
}
