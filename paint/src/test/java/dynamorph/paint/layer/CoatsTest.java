package dynamorph.paint.layer;

import static dynamorph.paint.Painting.FILL;
import static dynamorph.paint.Painting.count;
import static dynamorph.paint.Painting.project;
import static dynamorph.paint.Painting.stage;
import static dynamorph.paint.Painting.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.PlateExtent;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokePosition;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * What coats cover, on a letter l of a grotesque: an upright rectangle, so areas can be worked out.
 */
class CoatsTest {
  private static final Rgba RED = Rgba.of(255, 0, 0);
  private static final Rgba BLUE = Rgba.of(0, 0, 255);
  private static final Address RIM = Address.coat("rim");

  private static PropertySet stroke(StrokePosition position, double width, double order) {
    return PropertySet.EMPTY
        .with(Properties.COAT_KIND.at(RIM), CoatKind.STROKE)
        .with(Properties.COAT_ORDER.at(RIM), order)
        .with(Properties.COAT_COLOUR.at(RIM), Colour.of(RED))
        .with(Properties.STROKE_POSITION.at(RIM), position)
        .with(Properties.STROKE_WIDTH.at(RIM), Length.points(width));
  }

  private static final PropertySet NO_FILL =
      PropertySet.EMPTY.with(Properties.COAT_SHOWN.at(FILL), false);

  private static Pixels paint(PropertySet local) {
    return stage(project(text("t", "I", local)), 4);
  }

  private static int red(PropertySet local) {
    return count(paint(local), RED);
  }

  @Test
  void insideAndOutsideTogetherCoverWhatACentredStrokeOfTwiceTheWidthCovers() {
    int inside = red(NO_FILL.overlaidBy(stroke(StrokePosition.INSIDE, 1, 1)));
    int outside = red(NO_FILL.overlaidBy(stroke(StrokePosition.OUTSIDE, 1, 1)));
    int centre = red(NO_FILL.overlaidBy(stroke(StrokePosition.CENTRE, 2, 1)));
    assertThat(inside).isPositive();
    assertThat(outside).isGreaterThan(inside);
    // pixels on the edge are shared by both sides and full on neither
    assertThat((double) inside + outside).isCloseTo(centre, within(centre * 0.15));
  }

  @ParameterizedTest
  @EnumSource(StrokePosition.class)
  void anInsideStrokeStaysInsideAndAnOutsideOneOutside(StrokePosition position) {
    int black = count(paint(PropertySet.EMPTY), Rgba.BLACK);
    int left = count(paint(stroke(position, 1, 1)), Rgba.BLACK);
    if (position == StrokePosition.OUTSIDE) {
      assertThat((double) left).isCloseTo(black, within(black * 0.03));
    } else {
      assertThat(left).isLessThan(black);
    }
  }

  @Test
  void theOrderOfCoatsDecidesWhatIsOnTop() {
    int above = red(stroke(StrokePosition.CENTRE, 3, 1));
    int below = red(stroke(StrokePosition.CENTRE, 3, -1));
    assertThat(below).isLessThan(above);
    assertThat(below).isPositive();
  }

  @Test
  void noSeamLiesBetweenAFillAndTheStrokeAroundIt() {
    Pixels pixels = paint(stroke(StrokePosition.OUTSIDE, 3, -1));
    int middle = pixels.height() / 2 - 40;
    int first = 0;
    while (pixels.argb(first, middle) != RED.argb()) {
      first++;
    }
    int last = pixels.width() - 1;
    while (pixels.argb(last, middle) != RED.argb()) {
      last--;
    }
    assertThat(last).isGreaterThan(first + 12);
    for (int x = first; x <= last; x++) {
      // red and black have no green; white, shining through a seam, has
      assertThat(pixels.argb(x, middle) >> 8 & 0xFF).as("green at %s", x).isLessThan(8);
    }
  }

  @Test
  void opacityMixesWithWhatLiesBelow() {
    Pixels pixels = paint(PropertySet.EMPTY.with(Properties.COAT_OPACITY.at(FILL), 0.5));
    assertThat(count(pixels, Rgba.of(127, 127, 127)) + count(pixels, Rgba.of(128, 128, 128)))
        .isPositive();
    assertThat(count(pixels, Rgba.BLACK)).isZero();
  }

  @Test
  void aShadowIsTheLetterMovedAndColoured() {
    Address cast = FILL.effect("cast");
    PropertySet shadow =
        PropertySet.EMPTY
            .with(Properties.EFFECT_KIND.at(cast), EffectKind.DROP_SHADOW)
            .with(Properties.EFFECT_COLOUR.at(cast), Colour.of(BLUE))
            .with(Properties.EFFECT_OPACITY.at(cast), 1.0)
            .with(Properties.SHADOW_X.at(cast), Length.points(20))
            .with(Properties.SHADOW_Y.at(cast), Length.points(0))
            .with(Properties.SHADOW_BLUR.at(cast), Length.points(0));
    int letter = count(paint(PropertySet.EMPTY), Rgba.BLACK);
    Pixels pixels = paint(shadow);
    assertThat(count(pixels, BLUE)).isEqualTo(letter);
    assertThat(count(pixels, Rgba.BLACK)).isEqualTo(letter);
    Pixels blurred = paint(shadow.with(Properties.SHADOW_BLUR.at(cast), Length.points(6)));
    assertThat(count(blurred, BLUE)).isLessThan(letter / 2);
    assertThat(Painting.difference(pixels, blurred)).isGreaterThan(0.1);
  }

  @Test
  void aPlateLiesBehindTheWordsWithItsPaddingAndCorners() {
    Address ground = Address.plateCoat("ground");
    PropertySet plate =
        PropertySet.EMPTY
            .with(Properties.COAT_KIND.at(ground), CoatKind.FILL)
            .with(Properties.COAT_COLOUR.at(ground), Colour.of(BLUE))
            .with(Properties.PLATE_PADDING, BoxLengths.parse("0 pt, 5 pt"));
    int letter = count(paint(PropertySet.EMPTY), Rgba.BLACK);
    Pixels square = paint(plate);
    assertThat(count(square, Rgba.BLACK)).isEqualTo(letter);
    int wider =
        count(paint(plate.with(Properties.PLATE_PADDING, BoxLengths.parse("0 pt, 10 pt"))), BLUE);
    // 10 pt more across at 16 pixels a square point, over the height of the line
    double height = 40 * (1.024 + 0.4);
    assertThat((double) wider - count(square, BLUE))
        .isCloseTo(10 * height * 16, within(10 * 16 * 2.0));
    int round = count(paint(plate.with(Properties.PLATE_RADIUS, BoxLengths.parse("8 pt"))), BLUE);
    assertThat((double) count(square, BLUE) - round)
        .isCloseTo((4 - Math.PI) * 64 * 16, within(120.0));
  }

  @ParameterizedTest
  @EnumSource(PlateExtent.class)
  void aPlateLiesBehindTheWholeTextItsParagraphsOrItsLines(PlateExtent around) {
    Address ground = Address.plateCoat("ground");
    PropertySet plate =
        PropertySet.EMPTY
            .with(Properties.COAT_KIND.at(ground), CoatKind.FILL)
            .with(Properties.COAT_COLOUR.at(ground), Colour.of(BLUE))
            .with(Properties.SIZE, FontSize.points(16))
            .with(Properties.LEADING, Leading.parse("40 pt"))
            .with(Properties.PLATE_PADDING, BoxLengths.parse("2 pt"))
            .with(Properties.PLATE_EXTENT, around);
    Pixels one = stage(project(text("t", "I", plate)), 1);
    Pixels pixels = stage(project(text("t", "I\nI", plate)), 1);
    double lineBox = 16 * (1.024 + 0.4) + 4;
    int single = count(one, BLUE);
    switch (around) {
      case LAYER ->
          assertThat((double) count(pixels, BLUE) / single)
              .isCloseTo((lineBox + 40) / lineBox, within(0.4));
      case PARAGRAPH, LINE ->
          assertThat((double) count(pixels, BLUE)).isCloseTo(2.0 * single, within(20.0));
    }
  }

  @Test
  void aPlateIsAtLeastAsWideAsItMustBeOnTheRaggedSide() {
    Address ground = Address.plateCoat("ground");
    PropertySet plate =
        PropertySet.EMPTY
            .with(Properties.COAT_KIND.at(ground), CoatKind.FILL)
            .with(Properties.COAT_COLOUR.at(ground), Colour.of(BLUE))
            .with(Properties.PLATE_PADDING, BoxLengths.parse("0 pt"));
    int narrow = count(paint(plate), BLUE);
    Pixels wide = paint(plate.with(Properties.PLATE_MINIMUM_WIDTH, Length.points(60)));
    int letter = count(paint(PropertySet.EMPTY), Rgba.BLACK);
    double height = 40 * (1.024 + 0.4);
    assertThat(count(wide, BLUE)).isGreaterThan(narrow);
    assertThat((double) count(wide, BLUE)).isCloseTo(60 * height * 16 - letter, within(700.0));
  }

  @ParameterizedTest
  @EnumSource(StrokePosition.class)
  void overlappingLettersHaveOneEdgeWithoutSeams(StrokePosition position) {
    PropertySet close =
        stroke(position, 1, 1)
            .with(Properties.COAT_SHOWN.at(FILL), false)
            .with(Properties.TRACKING, -200.0);
    // two upright bars that overlap: no stroke may run between their outer edges
    Pixels pixels = stage(project(text("t", "II", close)), 4);
    int row = 4 * 40;
    int strokes = 0;
    boolean in = false;
    for (int x = 0; x < pixels.width(); x++) {
      boolean red = pixels.argb(x, row) == RED.argb();
      strokes += red && !in ? 1 : 0;
      in = red;
    }
    assertThat(strokes).isEqualTo(2);
  }

  @Test
  void wordsOfOneTextHaveTheirOwnFinish() {
    PropertySet plain = PropertySet.EMPTY;
    var layer =
        text("t", "I", plain)
            .withStory(
                dynamorph.model.text.Story.of(
                    dynamorph.model.text.Paragraph.of(
                        dynamorph.model.text.Span.of("I"),
                        dynamorph.model.text.Span.of("I")
                            .withLocal(
                                PropertySet.EMPTY.with(
                                    Properties.COAT_COLOUR.at(FILL), Colour.of(RED))))));
    Pixels pixels = stage(project(layer), 4);
    assertThat((double) count(pixels, RED)).isCloseTo(count(pixels, Rgba.BLACK), within(60.0));
  }
}
