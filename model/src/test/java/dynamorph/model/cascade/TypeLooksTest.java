package dynamorph.model.cascade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.AxisSettings;
import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.FigureStyle;
import dynamorph.model.value.FigureWidth;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Kerning;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StylisticSets;
import dynamorph.model.value.TabStops;
import dynamorph.model.value.VerticalAlignment;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What single values become in the looks that typesetting takes. */
class TypeLooksTest {
  private static ResolvedLayer resolve(PropertySet values) {
    Layer layer =
        Layer.of("t", "T", "words").withLocal(values.with(Properties.SIZE, FontSize.points(20)));
    return Cascade.of(Project.empty("p")).resolve(layer);
  }

  private static TypeLook type(PropertySet values) {
    return resolve(values).paragraphs().getFirst().spans().getFirst().type();
  }

  private static ParagraphLook paragraph(PropertySet values) {
    return resolve(values).paragraphs().getFirst().look();
  }

  private static <T> PropertySet with(Property<T> property, T value) {
    return PropertySet.EMPTY.with(property, value);
  }

  static Stream<Arguments> features() {
    return Stream.of(
        Arguments.of(PropertySet.EMPTY, "none"),
        Arguments.of(with(Properties.LIGATURES, false), "clig=0, liga=0"),
        Arguments.of(with(Properties.CONTEXTUAL, false), "calt=0"),
        Arguments.of(with(Properties.LIGATURES_RARE, true), "dlig"),
        Arguments.of(with(Properties.LIGATURES_OLD, true), "hist, hlig"),
        Arguments.of(with(Properties.SWASHES, true), "swsh"),
        Arguments.of(with(Properties.FIGURE_STYLE, FigureStyle.OLD_STYLE), "onum"),
        Arguments.of(with(Properties.FIGURE_STYLE, FigureStyle.LINING), "lnum"),
        Arguments.of(with(Properties.FIGURE_WIDTH, FigureWidth.TABULAR), "tnum"),
        Arguments.of(with(Properties.FIGURE_WIDTH, FigureWidth.PROPORTIONAL), "pnum"),
        Arguments.of(with(Properties.FRACTIONS, true), "frac"),
        Arguments.of(with(Properties.ORDINALS, true), "ordn"),
        Arguments.of(with(Properties.SLASHED_ZERO, true), "zero"),
        Arguments.of(with(Properties.STYLISTIC_SETS, StylisticSets.parse("2, 11")), "ss02, ss11"),
        Arguments.of(
            with(Properties.SWASHES, true)
                .with(Properties.FONT_FEATURES, FeatureSettings.parse("-swsh, cv03=2")),
            "cv03=2, swsh=0"));
  }

  @ParameterizedTest
  @MethodSource("features")
  void letterformsBecomeFeatures(PropertySet values, String features) {
    assertThat(type(values).forms().features()).hasToString(features);
  }

  @Test
  void spacingIsInItsUnits() {
    TypeLook look =
        type(
            with(Properties.TRACKING, 40.0)
                .with(Properties.MANUAL_KERNING, -15.0)
                .with(Properties.WORD_SPACING, 100.0)
                .with(Properties.KERNING, Kerning.OPTICAL)
                .with(Properties.BASELINE_SHIFT, Length.em(0.1)));
    assertThat(look.spacing().letterExtra()).isEqualTo(0.025, within(1e-12));
    assertThat(look.spacing().wordSpacing()).isEqualTo(100);
    assertThat(look.spacing().kerning()).isEqualTo(Kerning.OPTICAL);
    assertThat(look.spacing().baselineShift()).isEqualTo(2, within(1e-12));
  }

  @Test
  void automaticLeadingIsAShareThatCanBeSet() {
    assertThat(type(PropertySet.EMPTY).leading()).isEqualTo(24, within(1e-12));
    PropertySet wide = with(Properties.LEADING_AUTO, 150.0);
    assertThat(type(wide).leading()).isEqualTo(30, within(1e-12));
    assertThat(type(wide.with(Properties.LEADING, new Leading.Absolute(22))).leading())
        .isEqualTo(22);
    assertThat(type(wide.with(Properties.LEADING, new Leading.Relative(1.1))).leading())
        .isEqualTo(22, within(1e-12));
  }

  @Test
  void theLanguageIsTheProjectsUnlessItIsSet() {
    assertThat(type(PropertySet.EMPTY).language()).isEqualTo("en");
    assertThat(type(with(Properties.LANGUAGE, "de-CH")).language()).isEqualTo("de-CH");
  }

  @Test
  void theFaceIsAskedForWithWidthAndAxes() {
    TypeLook look =
        type(
            with(Properties.FONT_WIDTH, 75.0)
                .with(Properties.FONT_AXES, AxisSettings.parse("opsz=20"))
                .with(Properties.HORIZONTAL_SCALE, 90.0)
                .with(Properties.VERTICAL_SCALE, 110.0)
                .with(Properties.SHEAR, -8.0));
    assertThat(look.font().width()).isEqualTo(75);
    assertThat(look.font().axes()).hasToString("opsz=20");
    assertThat(look.forms().scaleAcross()).isEqualTo(0.9, within(1e-12));
    assertThat(look.forms().scaleDown()).isEqualTo(1.1, within(1e-12));
    assertThat(look.forms().shear()).isEqualTo(-8);
  }

  @Test
  void aLookAtAShareOfItsSizeKeepsItsProportions() {
    TypeLook look =
        type(
            with(Properties.TRACKING, 40.0)
                .with(Properties.BASELINE_SHIFT, Length.points(4))
                .with(Properties.LEADING, new Leading.Absolute(30)));
    TypeLook half = look.scaled(0.5);
    assertThat(half.size()).isEqualTo(10);
    assertThat(half.leading()).isEqualTo(15);
    assertThat(half.spacing().baselineShift()).isEqualTo(2);
    assertThat(half.spacing().tracking()).isEqualTo(40);
    assertThat(half.font()).isEqualTo(look.font());
  }

  @Test
  void linesAtLettersAreThereOnlyIfOneIsAskedFor() {
    BiFunction<PropertySet, String, TextDecorations> lines =
        (values, _) -> resolve(values).paragraphs().getFirst().spans().getFirst().lines();
    assertThat(lines.apply(PropertySet.EMPTY, "")).isEqualTo(TextDecorations.NONE);
    assertThat(lines.apply(with(Properties.DECORATION_THICKNESS, 300.0), ""))
        .isEqualTo(TextDecorations.NONE);
    TextDecorations under =
        lines.apply(
            with(Properties.UNDERLINE, true)
                .with(Properties.DECORATION_OFFSET, Length.em(0.05))
                .with(Properties.DECORATION_THICKNESS, 200.0),
            "");
    assertThat(under.under()).isTrue();
    assertThat(under.any()).isTrue();
    assertThat(under.shift()).isEqualTo(1, within(1e-12));
    assertThat(under.width()).isEqualTo(2);
    assertThat(under.colour()).isEmpty();
    TextDecorations coloured =
        lines.apply(with(Properties.STRIKE, true).with(Properties.DECORATION_OWN_COLOUR, true), "");
    assertThat(coloured.colour()).contains(Rgba.BLACK);
  }

  @Test
  void paragraphSettingsAreInPointsAndShares() {
    ParagraphLook look =
        paragraph(
            with(Properties.LINE_BREAKING, LineBreaking.WHOLE_PARAGRAPH)
                .with(Properties.INDENT_FIRST, Length.em(-1))
                .with(Properties.INDENT_START, Length.points(24))
                .with(Properties.WORD_SPACING_MINIMUM, 75.0)
                .with(Properties.LETTER_SPACING_MAXIMUM, 20.0)
                .with(Properties.GLYPH_SCALING_MINIMUM, 97.0)
                .with(Properties.HANG_END, 50.0)
                .with(Properties.HYPHENATE, true)
                .with(Properties.HYPHENATE_BEFORE, 3.0)
                .with(Properties.HYPHENATE_ZONE, Length.em(1))
                .with(Properties.TAB_STOPS, TabStops.parse("40"))
                .with(Properties.LIST, ListKind.NUMBERS)
                .with(Properties.LIST_START, 7.0)
                .with(Properties.DROP_LINES, 3.0));
    assertThat(look.breaking().breaker()).isEqualTo(LineBreaking.WHOLE_PARAGRAPH);
    assertThat(look.indents()).isEqualTo(new ParagraphLook.Indents(-20, 24, 0));
    assertThat(look.justification().word().least()).isEqualTo(0.75);
    assertThat(look.justification().letter().most()).isEqualTo(0.02);
    assertThat(look.justification().glyph().least()).isEqualTo(0.97);
    assertThat(look.hanging().none()).isFalse();
    assertThat(look.hanging().end()).isEqualTo(0.5);
    assertThat(look.hyphenation().before()).isEqualTo(3);
    assertThat(look.hyphenation().zone()).isEqualTo(20);
    assertThat(look.tabs().stops().stops()).hasSize(1);
    assertThat(look.list().start()).isEqualTo(7);
    assertThat(look.drop().isThere()).isTrue();
  }

  @Test
  void limitsNeverCrossTheirBest() {
    ParagraphLook look =
        paragraph(
            with(Properties.WORD_SPACING_MINIMUM, 140.0)
                .with(Properties.WORD_SPACING_MAXIMUM, 60.0));
    ParagraphLook.Justification.Range word = look.justification().word();
    assertThat(word.least()).isEqualTo(1);
    assertThat(word.most()).isEqualTo(1);
  }

  @Test
  void aBoxHoldsItsLinesInColumns() {
    Layer layer =
        Layer.of("t", "T", "words")
            .withLocal(
                with(Properties.COLUMNS, 3.0)
                    .with(Properties.GUTTER, 12.0)
                    .with(Properties.VERTICAL_ALIGNMENT, VerticalAlignment.BOTTOM)
                    .with(Properties.SHRINK_TO, 40.0)
                    .with(Properties.BASELINE_GRID, 14.0));
    Placement.Inside inside = Cascade.of(Project.empty("p")).resolve(layer).placement().inside();
    assertThat(inside.columns()).isEqualTo(3);
    assertThat(inside.columnWidth(324)).isEqualTo(100);
    assertThat(inside.columnWidth(5)).isZero();
    assertThat(inside.vertical()).isEqualTo(VerticalAlignment.BOTTOM);
    assertThat(inside.shrinkTo()).isEqualTo(0.4);
    assertThat(inside.grid()).isEqualTo(14);
  }
}
