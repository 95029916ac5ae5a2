package dynamorph.model.property;

import static dynamorph.model.property.Facet.LETTERFORMS;
import static dynamorph.model.property.Facet.SPACING;
import static dynamorph.model.property.Facet.TYPEFACE;
import static dynamorph.model.property.Registry.layout;
import static dynamorph.model.property.Registry.painted;

import dynamorph.model.value.AxisSettings;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.FigureStyle;
import dynamorph.model.value.FigureWidth;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Kerning;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.ScriptFonts;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.Slant;
import dynamorph.model.value.StylisticSets;
import dynamorph.model.value.TextCase;

/**
 * The properties of letters: typeface, spacing, letterforms. Reached through {@link Properties}.
 */
public abstract sealed class CharacterProperties permits ParagraphProperties {
  public static final Property<String> FONT_FAMILY =
      layout(
          "font-family",
          "Family",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Words("the name of a font family"),
          "Source Sans 3",
          "",
          "The font family by its name; a name that is not on this machine is kept and substituted.");

  public static final Property<Double> FONT_WEIGHT =
      layout(
          "font-weight",
          "Weight",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Number(1, 1000, ""),
          400.0,
          "",
          "How heavy the letters are, 1 to 1000; 400 is regular, 700 bold. The nearest cut is used.");

  public static final Property<Slant> SLANT =
      layout(
          "slant",
          "Slant",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Choice<>(Slant.class),
          Slant.UPRIGHT,
          "",
          "Upright or italic.");

  public static final Property<FontSize> SIZE =
      layout(
          "size",
          "Size",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Sizes(),
          FontSize.points(12),
          "",
          "Points, or relative to the inherited size: \u00d71.6, 160 %, +2 pt.");

  public static final Property<Double> FONT_WIDTH =
      layout(
          "font-width",
          "Width",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Number(50, 200, "%"),
          100.0,
          "Width, axes",
          "How wide the letters are drawn: 75 is condensed, 125 expanded. The nearest cut, or the wdth axis.");

  public static final Property<AxisSettings> FONT_AXES =
      layout(
          "font-axes",
          "Axes",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Written<>(
              AxisSettings.class, AxisSettings::parse, ".+", "axes such as \"opsz=72, SOFT=50\""),
          AxisSettings.NONE,
          "Width, axes",
          "Places on the axes of a variable font, by tag: opsz=72, SOFT=50.");

  public static final Property<ScriptFonts> FALLBACK_FONTS =
      layout(
          "fallback-fonts",
          "Fallback fonts",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Written<>(
              ScriptFonts.class,
              ScriptFonts::parse,
              ".+",
              "scripts and families such as \"Arab: Amiri\""),
          ScriptFonts.NONE,
          "Width, axes",
          "Families asked for letters that the chosen one lacks, by script: Arab: Amiri; *: EB Garamond.");

  public static final Property<Leading> LEADING =
      layout(
          "leading",
          "Leading",
          SPACING,
          Level.SPAN,
          new ValueType.Leadings(),
          Leading.AUTOMATIC,
          "",
          "Distance from baseline to baseline: points, a share of the size, or auto.");

  public static final Property<Double> TRACKING =
      layout(
          "tracking",
          "Tracking",
          SPACING,
          Level.SPAN,
          new ValueType.Number(-1000, 5000, ""),
          0.0,
          "",
          "Even extra space between letters, in thousandths of an em.");

  public static final Property<Double> LEADING_AUTO =
      layout(
          "leading-auto",
          "Auto leading",
          SPACING,
          Level.SPAN,
          new ValueType.Number(50, 400, "%"),
          120.0,
          "Kerning, shift",
          "What automatic leading is of the size.");

  public static final Property<Kerning> KERNING =
      layout(
          "kerning",
          "Kerning",
          SPACING,
          Level.SPAN,
          new ValueType.Choice<>(Kerning.class),
          Kerning.AUTOMATIC,
          "Kerning, shift",
          "How letter pairs are evened: by the font, by the shapes of the letters, or not at all.");

  public static final Property<Double> MANUAL_KERNING =
      layout(
          "manual-kerning",
          "Manual kerning",
          SPACING,
          Level.SPAN,
          new ValueType.Number(-2000, 5000, ""),
          0.0,
          "Kerning, shift",
          "Extra space behind each letter it is set on, in thousandths of an em.");

  public static final Property<Double> WORD_SPACING =
      layout(
          "word-spacing",
          "Word spacing",
          SPACING,
          Level.SPAN,
          new ValueType.Number(-1000, 5000, ""),
          0.0,
          "Kerning, shift",
          "Extra space between words, in thousandths of an em.");

  public static final Property<Length> BASELINE_SHIFT =
      layout(
          "baseline-shift",
          "Baseline shift",
          SPACING,
          Level.SPAN,
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "Kerning, shift",
          "How far letters stand above the baseline; negative below it.");

  public static final Property<TextCase> CASE =
      layout(
          "case",
          "Case",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(TextCase.class),
          TextCase.AS_TYPED,
          "",
          "How letters are shown; the words stay as they were typed.");

  public static final Property<String> LANGUAGE =
      layout(
          "language",
          "Language",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Words("a language tag such as \"en-GB\", or \"project\""),
          "project",
          "",
          "Language by its tag, such as en-GB or ar; it drives letter shapes, case, hyphenation and spelling.");

  public static final Property<ScriptPosition> SCRIPT_POSITION =
      layout(
          "script-position",
          "Position",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(ScriptPosition.class),
          ScriptPosition.NORMAL,
          "Position, stretch",
          "Superscript or subscript: the font's own small figures where it has them, else smaller and heavier ones.");

  public static final Property<Double> HORIZONTAL_SCALE =
      layout(
          "horizontal-scale",
          "Horizontal scale",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Number(1, 1000, "%"),
          100.0,
          "Position, stretch",
          "Stretches letters across.");

  public static final Property<Double> VERTICAL_SCALE =
      layout(
          "vertical-scale",
          "Vertical scale",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Number(1, 1000, "%"),
          100.0,
          "Position, stretch",
          "Stretches letters up and down.");

  public static final Property<Double> SHEAR =
      layout(
          "shear",
          "Shear",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Number(-60, 60, "\u00b0"),
          0.0,
          "Position, stretch",
          "Leans letters to the right, in degrees.");

  public static final Property<Boolean> LIGATURES =
      layout(
          "ligatures",
          "Ligatures",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          true,
          "Ligatures",
          "Standard ligatures, such as fi.");

  public static final Property<Boolean> LIGATURES_RARE =
      layout(
          "discretionary-ligatures",
          "Discretionary",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "Ligatures",
          "Ligatures for ornament, such as ct.");

  public static final Property<Boolean> LIGATURES_OLD =
      layout(
          "historical-ligatures",
          "Historical",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "Ligatures",
          "Ligatures and letters of older printing.");

  public static final Property<Boolean> CONTEXTUAL =
      layout(
          "contextual-alternates",
          "Contextual",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          true,
          "Ligatures",
          "Letters that suit their neighbours.");

  public static final Property<Boolean> SWASHES =
      layout(
          "swashes",
          "Swashes",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "Ligatures",
          "Letters with flourishes.");

  public static final Property<StylisticSets> STYLISTIC_SETS =
      layout(
          "stylistic-sets",
          "Stylistic sets",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Written<>(
              StylisticSets.class, StylisticSets::parse, ".+", "numbers such as \"1, 3\""),
          StylisticSets.NONE,
          "Ligatures",
          "The stylistic sets that are on, by number.");

  public static final Property<FeatureSettings> FONT_FEATURES =
      layout(
          "font-features",
          "OpenType features",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Written<>(
              FeatureSettings.class,
              FeatureSettings::parse,
              ".+",
              "features such as \"smcp, cv05=2\""),
          FeatureSettings.NONE,
          "Ligatures",
          "OpenType features by tag, over all others: smcp, cv05=2, -kern.");

  public static final Property<FigureStyle> FIGURE_STYLE =
      layout(
          "figure-style",
          "Figures",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(FigureStyle.class),
          FigureStyle.FONT,
          "Figures",
          "Lining figures are as high as capitals; old-style figures rise and fall.");

  public static final Property<FigureWidth> FIGURE_WIDTH =
      layout(
          "figure-width",
          "Figure widths",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(FigureWidth.class),
          FigureWidth.FONT,
          "Figures",
          "Tabular figures stand under each other; proportional ones read better in text.");

  public static final Property<Boolean> FRACTIONS =
      layout(
          "fractions",
          "Fractions",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "Figures",
          "Turns 1/2 into a fraction.");

  public static final Property<Boolean> ORDINALS =
      layout(
          "ordinals",
          "Ordinals",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "Figures",
          "Raises the letters behind a number, as in 1st.");

  public static final Property<Boolean> SLASHED_ZERO =
      layout(
          "slashed-zero",
          "Slashed zero",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "Figures",
          "A zero that is no O.");

  public static final Property<Boolean> UNDERLINE =
      painted(
          "underline",
          "Underline",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "Text decoration",
          "A line below the letters.");

  public static final Property<Boolean> OVERLINE =
      painted(
          "overline",
          "Overline",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "Text decoration",
          "A line above the letters.");

  public static final Property<Boolean> STRIKE =
      painted(
          "strike",
          "Strikethrough",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "Text decoration",
          "A line through the letters.");

  public static final Property<Length> DECORATION_OFFSET =
      painted(
          "decoration-offset",
          "Line offset",
          LETTERFORMS,
          Level.SPAN,
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "Text decoration",
          "How far lines stand below the place that the font gives them.");

  public static final Property<Double> DECORATION_THICKNESS =
      painted(
          "decoration-thickness",
          "Line thickness",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Number(1, 2000, "%"),
          100.0,
          "Text decoration",
          "How wide lines are, in parts of what the font says.");

  public static final Property<Boolean> DECORATION_SKIP_INK =
      painted(
          "decoration-skip-ink",
          "Skip ink",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          true,
          "Text decoration",
          "Breaks lines where letters cross them.");

  public static final Property<Boolean> DECORATION_OWN_COLOUR =
      painted(
          "decoration-own-colour",
          "Custom line colour",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "Text decoration",
          "Whether lines have a colour of their own instead of the look of the text.");

  public static final Property<Colour> DECORATION_COLOUR =
      painted(
          "decoration-colour",
          "Line colour",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Colours(),
          Colour.of(Rgba.BLACK),
          "Text decoration",
          "The colour of lines, if they have their own.");

  CharacterProperties() {}
}
