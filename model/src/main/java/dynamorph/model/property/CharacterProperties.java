package dynamorph.model.property;

import static dynamorph.model.property.Facet.LETTERFORMS;
import static dynamorph.model.property.Facet.SPACING;
import static dynamorph.model.property.Facet.TYPEFACE;
import static dynamorph.model.property.Registry.layout;
import static dynamorph.model.property.Registry.painted;

import dynamorph.model.message.Messages;
import dynamorph.model.value.AxisSettings;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EmphasisMark;
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
import dynamorph.model.value.TateChuYoko;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.TextOrientation;

/**
 * The properties of letters: typeface, spacing, letterforms. Reached through {@link Properties}.
 */
public abstract sealed class CharacterProperties permits ParagraphProperties {
  public static final Property<String> FONT_FAMILY =
      layout(
          "font-family",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Words(Messages.of("character-properties.the-name-of-a-font-family")),
          "Source Sans 3",
          "");

  public static final Property<Double> FONT_WEIGHT =
      layout("font-weight", TYPEFACE, Level.SPAN, new ValueType.Number(1, 1000, ""), 400.0, "");

  public static final Property<Slant> SLANT =
      layout("slant", TYPEFACE, Level.SPAN, new ValueType.Choice<>(Slant.class), Slant.UPRIGHT, "");

  public static final Property<FontSize> SIZE =
      layout("size", TYPEFACE, Level.SPAN, new ValueType.Sizes(), FontSize.points(12), "");

  public static final Property<Double> FONT_WIDTH =
      layout(
          "font-width",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Number(50, 200, "%"),
          100.0,
          "width-axes");

  public static final Property<AxisSettings> FONT_AXES =
      layout(
          "font-axes",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Written<>(
              AxisSettings.class,
              AxisSettings::parse,
              ".+",
              Messages.of("character-properties.axes-such-as-opsz-72-soft")),
          AxisSettings.NONE,
          "width-axes");

  public static final Property<Boolean> OPTICAL_SIZING =
      layout("optical-sizing", TYPEFACE, Level.SPAN, new ValueType.Flag(), true, "width-axes");

  public static final Property<ScriptFonts> FALLBACK_FONTS =
      layout(
          "fallback-fonts",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Written<>(
              ScriptFonts.class,
              ScriptFonts::parse,
              ".+",
              Messages.of("character-properties.scripts-and-families-such-as-arab")),
          ScriptFonts.NONE,
          "width-axes");

  public static final Property<Leading> LEADING =
      layout("leading", SPACING, Level.SPAN, new ValueType.Leadings(), Leading.AUTOMATIC, "");

  public static final Property<Double> TRACKING =
      layout("tracking", SPACING, Level.SPAN, new ValueType.Number(-1000, 5000, ""), 0.0, "");

  public static final Property<Double> LEADING_AUTO =
      layout(
          "leading-auto",
          SPACING,
          Level.SPAN,
          new ValueType.Number(50, 400, "%"),
          120.0,
          "kerning-shift");

  public static final Property<Kerning> KERNING =
      layout(
          "kerning",
          SPACING,
          Level.SPAN,
          new ValueType.Choice<>(Kerning.class),
          Kerning.AUTOMATIC,
          "kerning-shift");

  public static final Property<Double> MANUAL_KERNING =
      layout(
          "manual-kerning",
          SPACING,
          Level.SPAN,
          new ValueType.Number(-2000, 5000, ""),
          0.0,
          "kerning-shift");

  public static final Property<Double> WORD_SPACING =
      layout(
          "word-spacing",
          SPACING,
          Level.SPAN,
          new ValueType.Number(-1000, 5000, ""),
          0.0,
          "kerning-shift");

  public static final Property<Length> BASELINE_SHIFT =
      layout(
          "baseline-shift",
          SPACING,
          Level.SPAN,
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "kerning-shift");

  public static final Property<TextCase> CASE =
      layout(
          "case",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(TextCase.class),
          TextCase.AS_TYPED,
          "");

  public static final Property<String> LANGUAGE =
      layout(
          "language",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Words(Messages.of("character-properties.a-language-tag-such-as-en")),
          "project",
          "");

  public static final Property<ScriptPosition> SCRIPT_POSITION =
      layout(
          "script-position",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(ScriptPosition.class),
          ScriptPosition.NORMAL,
          "position-stretch");

  public static final Property<Double> HORIZONTAL_SCALE =
      layout(
          "horizontal-scale",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Number(1, 1000, "%"),
          100.0,
          "position-stretch");

  public static final Property<Double> VERTICAL_SCALE =
      layout(
          "vertical-scale",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Number(1, 1000, "%"),
          100.0,
          "position-stretch");

  public static final Property<Double> SHEAR =
      layout(
          "shear",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Number(-60, 60, "\u00b0"),
          0.0,
          "position-stretch");

  public static final Property<TextOrientation> TEXT_ORIENTATION =
      layout(
          "text-orientation",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(TextOrientation.class),
          TextOrientation.MIXED,
          "vertical-text");

  public static final Property<TateChuYoko> TATE_CHU_YOKO =
      layout(
          "tate-chu-yoko",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(TateChuYoko.class),
          TateChuYoko.NONE,
          "vertical-text");

  public static final Property<Boolean> LIGATURES =
      layout("ligatures", LETTERFORMS, Level.SPAN, new ValueType.Flag(), true, "ligatures");

  public static final Property<Boolean> LIGATURES_RARE =
      layout(
          "discretionary-ligatures",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "ligatures");

  public static final Property<Boolean> LIGATURES_OLD =
      layout(
          "historical-ligatures",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "ligatures");

  public static final Property<Boolean> CONTEXTUAL =
      layout(
          "contextual-alternates",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          true,
          "ligatures");

  public static final Property<Boolean> SWASHES =
      layout("swashes", LETTERFORMS, Level.SPAN, new ValueType.Flag(), false, "ligatures");

  public static final Property<StylisticSets> STYLISTIC_SETS =
      layout(
          "stylistic-sets",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Written<>(
              StylisticSets.class,
              StylisticSets::parse,
              ".+",
              Messages.of("character-properties.numbers-such-as-1-3")),
          StylisticSets.NONE,
          "ligatures");

  public static final Property<FeatureSettings> FONT_FEATURES =
      layout(
          "font-features",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Written<>(
              FeatureSettings.class,
              FeatureSettings::parse,
              ".+",
              Messages.of("character-properties.features-such-as-smcp-cv05-2")),
          FeatureSettings.NONE,
          "ligatures");

  public static final Property<FigureStyle> FIGURE_STYLE =
      layout(
          "figure-style",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(FigureStyle.class),
          FigureStyle.FONT,
          "figures");

  public static final Property<FigureWidth> FIGURE_WIDTH =
      layout(
          "figure-width",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(FigureWidth.class),
          FigureWidth.FONT,
          "figures");

  public static final Property<Boolean> FRACTIONS =
      layout("fractions", LETTERFORMS, Level.SPAN, new ValueType.Flag(), false, "figures");

  public static final Property<Boolean> ORDINALS =
      layout("ordinals", LETTERFORMS, Level.SPAN, new ValueType.Flag(), false, "figures");

  public static final Property<Boolean> SLASHED_ZERO =
      layout("slashed-zero", LETTERFORMS, Level.SPAN, new ValueType.Flag(), false, "figures");

  public static final Property<Boolean> UNDERLINE =
      painted("underline", LETTERFORMS, Level.SPAN, new ValueType.Flag(), false, "text-decoration");

  public static final Property<Boolean> OVERLINE =
      painted("overline", LETTERFORMS, Level.SPAN, new ValueType.Flag(), false, "text-decoration");

  public static final Property<Boolean> STRIKE =
      painted("strike", LETTERFORMS, Level.SPAN, new ValueType.Flag(), false, "text-decoration");

  public static final Property<EmphasisMark> EMPHASIS_MARK =
      layout(
          "emphasis-mark",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(EmphasisMark.class),
          EmphasisMark.NONE,
          "text-decoration");

  public static final Property<Length> DECORATION_OFFSET =
      painted(
          "decoration-offset",
          LETTERFORMS,
          Level.SPAN,
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "text-decoration");

  public static final Property<Double> DECORATION_THICKNESS =
      painted(
          "decoration-thickness",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Number(1, 2000, "%"),
          100.0,
          "text-decoration");

  public static final Property<Boolean> DECORATION_SKIP_INK =
      painted(
          "decoration-skip-ink",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          true,
          "text-decoration");

  public static final Property<Boolean> DECORATION_OWN_COLOUR =
      painted(
          "decoration-own-colour",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Flag(),
          false,
          "text-decoration");

  public static final Property<Colour> DECORATION_COLOUR =
      painted(
          "decoration-colour",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Colours(),
          Colour.of(Rgba.BLACK),
          "text-decoration");

  CharacterProperties() {}
}
