package dynamorph.model.property;

import static dynamorph.model.property.Facet.PARAGRAPH;
import static dynamorph.model.property.Registry.layout;

import dynamorph.model.value.Alignment;
import dynamorph.model.value.EastAsianBreaks;
import dynamorph.model.value.LastLine;
import dynamorph.model.value.Length;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.NumberStyle;
import dynamorph.model.value.TabStops;
import dynamorph.model.value.TextDirection;

/** The properties of paragraphs. Reached through {@link Properties}. */
public abstract sealed class ParagraphProperties extends CharacterProperties
    permits CoatProperties {
  public static final Property<Alignment> ALIGNMENT =
      layout(
          "alignment",
          "Alignment",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(Alignment.class),
          Alignment.START,
          "",
          "Where the lines stand in their measure.");

  public static final Property<Length> INDENT_FIRST =
      layout(
          "indent-first",
          "First line indent",
          PARAGRAPH,
          Level.PARAGRAPH,
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "",
          "Extra indent of the first line; negative lets it hang out.");

  public static final Property<Length> INDENT_START =
      layout(
          "indent-start",
          "Start indent",
          PARAGRAPH,
          Level.PARAGRAPH,
          Registry.LENGTH,
          Length.ZERO,
          "",
          "Distance of all lines from the edge where they start.");

  public static final Property<Length> INDENT_END =
      layout(
          "indent-end",
          "End indent",
          PARAGRAPH,
          Level.PARAGRAPH,
          Registry.LENGTH,
          Length.ZERO,
          "",
          "Distance of all lines from the edge where they end.");

  public static final Property<Length> SPACE_BEFORE =
      layout(
          "space-before",
          "Space before",
          PARAGRAPH,
          Level.PARAGRAPH,
          Registry.LENGTH,
          Length.ZERO,
          "",
          "Space above the paragraph; not at the top of a box.");

  public static final Property<Length> SPACE_AFTER =
      layout(
          "space-after",
          "Space after",
          PARAGRAPH,
          Level.PARAGRAPH,
          Registry.LENGTH,
          Length.ZERO,
          "",
          "Space below the paragraph; not at the end of a text.");

  public static final Property<LineBreaking> LINE_BREAKING =
      layout(
          "line-breaking",
          "Line breaking",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(LineBreaking.class),
          LineBreaking.LINE_BY_LINE,
          "Line breaking",
          "Line by line: each line takes what fits. Whole paragraph: all lines together, so that spaces are even.");

  public static final Property<LastLine> LAST_LINE =
      layout(
          "last-line",
          "Last line alignment",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(LastLine.class),
          LastLine.START,
          "Line breaking",
          "Where the last line of a justified paragraph stands.");

  public static final Property<Boolean> BALANCE =
      layout(
          "balance",
          "Balance",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Flag(),
          false,
          "Line breaking",
          "Makes the lines about equally long, as suits titles and captions.");

  public static final Property<Boolean> AVOID_SHORT_LAST_LINES =
      layout(
          "avoid-short-last-lines",
          "Avoid short last lines",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Flag(),
          false,
          "Line breaking",
          "Never leaves a single word on the last line.");

  public static final Property<Boolean> AVOID_WIDOWS_ORPHANS =
      layout(
          "avoid-widows-orphans",
          "Avoid widows and orphans",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Flag(),
          false,
          "Line breaking",
          "Never leaves a single line of the paragraph at the foot or head of a column.");

  public static final Property<TextDirection> DIRECTION =
      layout(
          "direction",
          "Direction",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(TextDirection.class),
          TextDirection.AUTOMATIC,
          "Line breaking",
          "Automatic: as the first strong letter of the paragraph says.");

  public static final Property<EastAsianBreaks> EAST_ASIAN_BREAKS =
      layout(
          "east-asian-breaks",
          "East Asian line breaking",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(EastAsianBreaks.class),
          EastAsianBreaks.STRICT,
          "Line breaking",
          "Strict also keeps small kana and long-vowel signs off the start of a line.");

  public static final Property<Boolean> SCRIPT_SPACING =
      layout(
          "script-spacing",
          "Script spacing",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Flag(),
          false,
          "Line breaking",
          "A little space between East Asian and other letters.");

  public static final Property<Double> WORD_SPACING_MINIMUM =
      layout(
          "word-spacing-minimum",
          "Minimum word spacing",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 1000, "%"),
          80.0,
          "Justification",
          "The smallest space between words, in parts of the font's own of a justified line.");

  public static final Property<Double> WORD_SPACING_OPTIMUM =
      layout(
          "word-spacing-optimum",
          "Optimum word spacing",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 1000, "%"),
          100.0,
          "Justification",
          "The desired space between words, in parts of the font's own of a justified line.");

  public static final Property<Double> WORD_SPACING_MAXIMUM =
      layout(
          "word-spacing-maximum",
          "Maximum word spacing",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 1000, "%"),
          133.0,
          "Justification",
          "The largest space between words, in parts of the font's own of a justified line.");

  public static final Property<Double> LETTER_SPACING_MINIMUM =
      layout(
          "letter-spacing-minimum",
          "Minimum letter spacing",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(-500, 1000, ""),
          0.0,
          "Justification",
          "The smallest space between letters, in thousandths of an em of a justified line.");

  public static final Property<Double> LETTER_SPACING_OPTIMUM =
      layout(
          "letter-spacing-optimum",
          "Optimum letter spacing",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(-500, 1000, ""),
          0.0,
          "Justification",
          "The desired space between letters, in thousandths of an em of a justified line.");

  public static final Property<Double> LETTER_SPACING_MAXIMUM =
      layout(
          "letter-spacing-maximum",
          "Maximum letter spacing",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(-500, 1000, ""),
          0.0,
          "Justification",
          "The largest space between letters, in thousandths of an em of a justified line.");

  public static final Property<Double> GLYPH_SCALING_MINIMUM =
      layout(
          "glyph-scaling-minimum",
          "Minimum glyph scaling",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(50, 200, "%"),
          100.0,
          "Justification",
          "The smallest width of letters, in parts of their own of a justified line.");

  public static final Property<Double> GLYPH_SCALING_OPTIMUM =
      layout(
          "glyph-scaling-optimum",
          "Optimum glyph scaling",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(50, 200, "%"),
          100.0,
          "Justification",
          "The desired width of letters, in parts of their own of a justified line.");

  public static final Property<Double> GLYPH_SCALING_MAXIMUM =
      layout(
          "glyph-scaling-maximum",
          "Maximum glyph scaling",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(50, 200, "%"),
          100.0,
          "Justification",
          "The largest width of letters, in parts of their own of a justified line.");

  public static final Property<Boolean> HYPHENATE =
      layout(
          "hyphenate",
          "Hyphenate",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Flag(),
          false,
          "Hyphenation",
          "Divides words at the ends of lines, in their language.");

  public static final Property<Double> HYPHENATE_WORD =
      layout(
          "hyphenate-word",
          "Shortest word",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(2, 50, ""),
          5.0,
          "Hyphenation",
          "Words with fewer letters are not divided.");

  public static final Property<Double> HYPHENATE_BEFORE =
      layout(
          "hyphenate-before",
          "Letters before",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(1, 50, ""),
          2.0,
          "Hyphenation",
          "How many letters stay before a hyphen at least.");

  public static final Property<Double> HYPHENATE_AFTER =
      layout(
          "hyphenate-after",
          "Letters after",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(1, 50, ""),
          3.0,
          "Hyphenation",
          "How many letters go to the next line at least.");

  public static final Property<Double> CONSECUTIVE_HYPHENS =
      layout(
          "consecutive-hyphens",
          "Consecutive hyphens",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 50, ""),
          3.0,
          "Hyphenation",
          "How many lines in a row may end in a hyphen; 0 is any number.");

  public static final Property<Length> HYPHENATE_ZONE =
      layout(
          "hyphenate-zone",
          "Hyphenation zone",
          PARAGRAPH,
          Level.PARAGRAPH,
          Registry.LENGTH,
          Length.ZERO,
          "Hyphenation",
          "Ragged lines are hyphenated only when they would end further than this before the edge.");

  public static final Property<Boolean> HYPHENATE_LAST =
      layout(
          "hyphenate-last",
          "Hyphenate last word",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Flag(),
          false,
          "Hyphenation",
          "Whether the last word of a paragraph may be divided.");

  public static final Property<Double> HYPHEN_COST =
      layout(
          "hyphen-cost",
          "Hyphen penalty",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 10000, ""),
          50.0,
          "Hyphenation",
          "How much a hyphen counts against a choice of lines; 0 is nothing, 50 usual.");

  public static final Property<Double> HANG_START =
      layout(
          "hang-start",
          "Hanging at start",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 100, "%"),
          0.0,
          "Hanging punctuation",
          "How far punctuation at the start of lines stands out of the column, in parts of its full amount.");

  public static final Property<Double> HANG_END =
      layout(
          "hang-end",
          "Hanging at end",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 100, "%"),
          0.0,
          "Hanging punctuation",
          "How far punctuation at the end of lines stands out of the column, in parts of its full amount.");

  public static final Property<TabStops> TAB_STOPS =
      layout(
          "tab-stops",
          "Tab stops",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Written<>(
              TabStops.class, TabStops::parse, ".+", "tab stops such as \"36, 180 end '.'\""),
          TabStops.NONE,
          "Tabs",
          "Where tabs stop, in points: 36, 180 end '.', 240 decimal.");

  public static final Property<Length> DEFAULT_TAB_STOPS =
      layout(
          "default-tab-stops",
          "Default tab stops",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Lengths(1, 28_346),
          Length.points(36),
          "Tabs",
          "Distance of the stops behind the last one set.");

  public static final Property<ListKind> LIST =
      layout(
          "list",
          "List",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(ListKind.class),
          ListKind.NONE,
          "List",
          "What stands before the paragraph.");

  public static final Property<String> LIST_MARK =
      layout(
          "list-mark",
          "Bullet",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Words("a bullet"),
          "\u2022",
          "List",
          "The sign before each paragraph of a list with bullets.");

  public static final Property<NumberStyle> LIST_NUMBERS =
      layout(
          "list-numbers",
          "Numbers",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(NumberStyle.class),
          NumberStyle.DECIMAL,
          "List",
          "How numbers are written.");

  public static final Property<String> LIST_AFTER =
      layout(
          "list-after",
          "Number suffix",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Words("what stands behind a number"),
          ".",
          "List",
          "What stands behind each number.");

  public static final Property<Double> LIST_START =
      layout(
          "list-start",
          "First number",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 1000000, ""),
          1.0,
          "List",
          "The number of the first paragraph in a list.");

  public static final Property<Length> LIST_GAP =
      layout(
          "list-gap",
          "Marker gap",
          PARAGRAPH,
          Level.PARAGRAPH,
          Registry.LENGTH,
          Length.em(0.5),
          "List",
          "The least space behind a bullet or number.");

  public static final Property<Double> DROP_LINES =
      layout(
          "drop-lines",
          "Drop capital lines",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(0, 20, ""),
          0.0,
          "Drop capital",
          "How many lines deep the first letters stand; 0 or 1 is no drop capital.");

  public static final Property<Double> DROP_LETTERS =
      layout(
          "drop-letters",
          "Drop capital letters",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Number(1, 20, ""),
          1.0,
          "Drop capital",
          "How many letters are dropped.");

  public static final Property<Length> DROP_GAP =
      layout(
          "drop-gap",
          "Drop capital gap",
          PARAGRAPH,
          Level.PARAGRAPH,
          Registry.LENGTH,
          Length.em(0.15),
          "Drop capital",
          "Space between the drop capital and the text.");

  ParagraphProperties() {}
}
