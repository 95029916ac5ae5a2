package dynamorph.model.property;

import static dynamorph.model.property.Facet.PARAGRAPH;
import static dynamorph.model.property.Registry.layout;

import dynamorph.model.message.Messages;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.EastAsianBreaks;
import dynamorph.model.value.HyphenationExceptions;
import dynamorph.model.value.LastLine;
import dynamorph.model.value.Length;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.NestedStyles;
import dynamorph.model.value.NextStyle;
import dynamorph.model.value.NumberStyle;
import dynamorph.model.value.OverlongWords;
import dynamorph.model.value.PunctuationSpacing;
import dynamorph.model.value.TabStops;
import dynamorph.model.value.TextDirection;
import dynamorph.model.value.WritingMode;

/** The properties of paragraphs. Reached through {@link Properties}. */
public abstract sealed class ParagraphProperties extends CharacterProperties
    permits CoatProperties {
  public static final Property<Alignment> ALIGNMENT =
      layout(
          "alignment",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(Alignment.class),
          Alignment.START,
          "");

  public static final Property<Length> INDENT_FIRST =
      layout("indent-first", PARAGRAPH, Level.PARAGRAPH, Registry.SIGNED_LENGTH, Length.ZERO, "");

  public static final Property<Length> INDENT_START =
      layout("indent-start", PARAGRAPH, Level.PARAGRAPH, Registry.LENGTH, Length.ZERO, "");

  public static final Property<Length> INDENT_END =
      layout("indent-end", PARAGRAPH, Level.PARAGRAPH, Registry.LENGTH, Length.ZERO, "");

  public static final Property<Length> SPACE_BEFORE =
      layout("space-before", PARAGRAPH, Level.PARAGRAPH, Registry.LENGTH, Length.ZERO, "");

  public static final Property<Length> SPACE_AFTER =
      layout("space-after", PARAGRAPH, Level.PARAGRAPH, Registry.LENGTH, Length.ZERO, "");

  public static final Property<WritingMode> WRITING_MODE =
      layout(
          "writing-mode",
          PARAGRAPH,
          Level.LAYER,
          new ValueType.Choice<>(WritingMode.class),
          WritingMode.HORIZONTAL,
          "");

  public static final Property<LineBreaking> LINE_BREAKING =
      layout(
          "line-breaking",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(LineBreaking.class),
          LineBreaking.LINE_BY_LINE,
          "line-breaking");

  public static final Property<LastLine> LAST_LINE =
      layout(
          "last-line",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(LastLine.class),
          LastLine.START,
          "line-breaking");

  public static final Property<Boolean> BALANCE =
      layout("balance", PARAGRAPH, Level.PARAGRAPH, new ValueType.Flag(), false, "line-breaking");

  public static final Property<Boolean> AVOID_SHORT_LAST_LINES =
      layout(
          "avoid-short-last-lines",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Flag(),
          false,
          "line-breaking");

  public static final Property<Boolean> AVOID_WIDOWS_ORPHANS =
      layout(
          "avoid-widows-orphans", PARAGRAPH, Level.PARAGRAPH, new ValueType.Flag(), false, "keep");

  public static final Property<Boolean> KEEP_LINES_TOGETHER =
      layout(
          "keep-lines-together", PARAGRAPH, Level.PARAGRAPH, new ValueType.Flag(), false, "keep");

  public static final Property<Boolean> KEEP_WITH_NEXT =
      layout("keep-with-next", PARAGRAPH, Level.PARAGRAPH, new ValueType.Flag(), false, "keep");

  public static final Property<Boolean> BREAK_BEFORE =
      layout(
          "column-break-before", PARAGRAPH, Level.PARAGRAPH, new ValueType.Flag(), false, "keep");

  public static final Property<TextDirection> DIRECTION =
      layout(
          "direction",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(TextDirection.class),
          TextDirection.AUTOMATIC,
          "line-breaking");

  public static final Property<EastAsianBreaks> EAST_ASIAN_BREAKS =
      layout(
          "east-asian-breaks",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(EastAsianBreaks.class),
          EastAsianBreaks.STRICT,
          "line-breaking");

  public static final Property<OverlongWords> OVERLONG_WORDS =
      layout(
          "overlong-words",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(OverlongWords.class),
          OverlongWords.STAND_OUT,
          "line-breaking");

  public static final Property<Boolean> SCRIPT_SPACING =
      layout(
          "script-spacing",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Flag(),
          false,
          "line-breaking");

  public static final Property<PunctuationSpacing> PUNCTUATION_SPACING =
      layout(
          "punctuation-spacing",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(PunctuationSpacing.class),
          PunctuationSpacing.TRIM_ADJACENT,
          "line-breaking");

  public static final Property<Double> WORD_SPACING_MINIMUM =
      layout(
          "word-spacing-minimum",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 1000, "%"),
          80.0,
          "justification");

  public static final Property<Double> WORD_SPACING_OPTIMUM =
      layout(
          "word-spacing-optimum",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 1000, "%"),
          100.0,
          "justification");

  public static final Property<Double> WORD_SPACING_MAXIMUM =
      layout(
          "word-spacing-maximum",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 1000, "%"),
          133.0,
          "justification");

  public static final Property<Double> LETTER_SPACING_MINIMUM =
      layout(
          "letter-spacing-minimum",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(-500, 1000, ""),
          0.0,
          "justification");

  public static final Property<Double> LETTER_SPACING_OPTIMUM =
      layout(
          "letter-spacing-optimum",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(-500, 1000, ""),
          0.0,
          "justification");

  public static final Property<Double> LETTER_SPACING_MAXIMUM =
      layout(
          "letter-spacing-maximum",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(-500, 1000, ""),
          0.0,
          "justification");

  public static final Property<Double> GLYPH_SCALING_MINIMUM =
      layout(
          "glyph-scaling-minimum",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(50, 200, "%"),
          100.0,
          "justification");

  public static final Property<Double> GLYPH_SCALING_OPTIMUM =
      layout(
          "glyph-scaling-optimum",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(50, 200, "%"),
          100.0,
          "justification");

  public static final Property<Double> GLYPH_SCALING_MAXIMUM =
      layout(
          "glyph-scaling-maximum",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(50, 200, "%"),
          100.0,
          "justification");

  public static final Property<Boolean> KASHIDA =
      layout("kashida", PARAGRAPH, Level.PARAGRAPH, new ValueType.Flag(), true, "justification");

  public static final Property<Boolean> HYPHENATE =
      layout("hyphenate", PARAGRAPH, Level.PARAGRAPH, new ValueType.Flag(), false, "hyphenation");

  public static final Property<Double> HYPHENATE_WORD =
      layout(
          "hyphenate-word",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(2, 50, ""),
          5.0,
          "hyphenation");

  public static final Property<Double> HYPHENATE_BEFORE =
      layout(
          "hyphenate-before",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(1, 50, ""),
          2.0,
          "hyphenation");

  public static final Property<Double> HYPHENATE_AFTER =
      layout(
          "hyphenate-after",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(1, 50, ""),
          3.0,
          "hyphenation");

  public static final Property<Double> CONSECUTIVE_HYPHENS =
      layout(
          "consecutive-hyphens",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 50, ""),
          3.0,
          "hyphenation");

  public static final Property<Length> HYPHENATE_ZONE =
      layout(
          "hyphenate-zone",
          PARAGRAPH,
          Level.PARAGRAPH,
          Registry.LENGTH,
          Length.ZERO,
          "hyphenation");

  public static final Property<Boolean> HYPHENATE_LAST =
      layout(
          "hyphenate-last", PARAGRAPH, Level.PARAGRAPH, new ValueType.Flag(), false, "hyphenation");

  public static final Property<Boolean> HYPHENATE_CAPITALS =
      layout(
          "hyphenate-capitals",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Flag(),
          true,
          "hyphenation");

  public static final Property<HyphenationExceptions> HYPHENATION_EXCEPTIONS =
      layout(
          "hyphenation-exceptions",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Written<>(
              HyphenationExceptions.class,
              HyphenationExceptions::parse,
              ".+",
              Messages.of("paragraph-properties.words-with-their-hyphens")),
          HyphenationExceptions.NONE,
          "hyphenation");

  public static final Property<Double> HYPHEN_PENALTY =
      layout(
          "hyphen-penalty",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 10000, ""),
          50.0,
          "hyphenation");

  public static final Property<Double> HANG_START =
      layout(
          "hang-start",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 100, "%"),
          0.0,
          "hanging-punctuation");

  public static final Property<Double> HANG_END =
      layout(
          "hang-end",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 100, "%"),
          0.0,
          "hanging-punctuation");

  public static final Property<NestedStyles> NESTED_STYLES =
      layout(
          "nested-styles",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Written<>(
              NestedStyles.class,
              NestedStyles::parse,
              ".+",
              Messages.of("paragraph-properties.styles-and-their-words")),
          NestedStyles.NONE,
          "nested-styles");

  public static final Property<NextStyle> NEXT_STYLE =
      layout(
          "next-style",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Written<>(
              NextStyle.class,
              NextStyle::parse,
              ".+",
              Messages.of("paragraph-properties.same-or-a-style")),
          NextStyle.SAME,
          "nested-styles");

  public static final Property<TabStops> TAB_STOPS =
      layout(
          "tab-stops",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Written<>(
              TabStops.class,
              TabStops::parse,
              ".+",
              Messages.of("paragraph-properties.tab-stops-such-as-36-180")),
          TabStops.NONE,
          "tabs");

  public static final Property<Length> DEFAULT_TAB_STOPS =
      layout(
          "default-tab-stops",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Lengths(1, 28_346),
          Length.points(36),
          "tabs");

  public static final Property<ListKind> LIST =
      layout(
          "list",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(ListKind.class),
          ListKind.NONE,
          "list");

  public static final Property<String> LIST_MARK =
      layout(
          "list-mark",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Words("a bullet"),
          "\u2022",
          "list");

  public static final Property<NumberStyle> LIST_NUMBERS =
      layout(
          "list-numbers",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(NumberStyle.class),
          NumberStyle.DECIMAL,
          "list");

  public static final Property<String> LIST_AFTER =
      layout(
          "list-after",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Words(Messages.of("paragraph-properties.what-stands-behind-a-number")),
          ".",
          "list");

  public static final Property<Double> LIST_START =
      layout(
          "list-start",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 1000000, ""),
          1.0,
          "list");

  public static final Property<Length> LIST_GAP =
      layout("list-gap", PARAGRAPH, Level.PARAGRAPH, Registry.LENGTH, Length.em(0.5), "list");

  public static final Property<Double> DROP_LINES =
      layout(
          "drop-lines",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 20, ""),
          0.0,
          "drop-capital");

  public static final Property<Double> DROP_LETTERS =
      layout(
          "drop-letters",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(1, 20, ""),
          1.0,
          "drop-capital");

  public static final Property<Length> DROP_GAP =
      layout(
          "drop-gap", PARAGRAPH, Level.PARAGRAPH, Registry.LENGTH, Length.em(0.15), "drop-capital");

  ParagraphProperties() {}
}
