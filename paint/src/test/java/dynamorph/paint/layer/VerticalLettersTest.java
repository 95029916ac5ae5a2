package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.Length;
import dynamorph.model.value.PlateExtent;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.WritingMode;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Vertical text, as pixels: what is turned, what is not, and what lies behind it. */
class VerticalLettersTest {
  private static final double SCALE = 4;
  private static final Rgba RED = Rgba.of(255, 0, 0);

  private static Pixels paint(String words, PropertySet local) {
    PropertySet vertical =
        PropertySet.EMPTY.with(Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT);
    return Painting.stage(
        Painting.project(Painting.text("t", words, vertical.overlaidBy(local))), SCALE);
  }

  private static boolean isBlack(Pixels pixels, double x, double y) {
    return pixels.argb((int) Math.round(x), (int) Math.round(y)) == Rgba.BLACK.argb();
  }

  /** Large letters are painted as outlines, small ones as text: both are turned alike. */
  @ParameterizedTest
  @ValueSource(strings = {"40 pt", "12 pt"})
  void latinLettersAreTurnedClockwise(String size) {
    Pixels pixels = paint("L", PropertySet.EMPTY.withText(Properties.key("size"), size));
    Ink ink = Ink.of(pixels, 1);
    double inset = ink.width() / 30;
    // the stem of the L lies along the top now, its foot hangs down on the left
    assertThat(isBlack(pixels, ink.right() - 1 - inset, ink.top() + inset)).isTrue();
    assertThat(isBlack(pixels, ink.left() + inset, ink.bottom() - 1 - inset)).isTrue();
    assertThat(isBlack(pixels, ink.right() - 1 - inset, ink.bottom() - 1 - inset)).isFalse();
  }

  /** Turned capitals and numbers across the line lie in the middle of it: a square of 20 to 60. */
  @ParameterizedTest
  @CsvSource({"H, none", "E, none", "12, two-digits", "HHH, all"})
  void lettersLieInTheMiddleOfTheirLine(String letters, String combined) {
    PropertySet look =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, "Noto Sans JP")
            .withText(Properties.key("tate-chu-yoko"), combined);
    Ink ink = Ink.of(paint(letters, look), SCALE);
    // the middle of capitals and of the square are a twentieth of an em apart at most
    assertThat((ink.left() + ink.right()) / 2).isCloseTo(40, within(2.0));
    if (!combined.equals("none")) {
      assertThat((ink.top() + ink.bottom()) / 2).isCloseTo(30, within(2.0));
      assertThat(ink.left()).isGreaterThanOrEqualTo(20);
      assertThat(ink.right()).isLessThanOrEqualTo(60);
    }
  }

  /** The long vowel sign is one stroke, which turns with the line. */
  @Test
  void signsTakeTheirVerticalForms() {
    PropertySet japanese = PropertySet.EMPTY.with(Properties.FONT_FAMILY, "Noto Sans JP");
    Ink upright = Ink.of(paint("\u30FC", japanese), SCALE);
    assertThat(upright.height()).isGreaterThan(upright.width() * 3);
    Ink stop = Ink.of(paint("\u3002", japanese), SCALE);
    // in the upper right corner of a square from 20, 10 to 60, 50
    assertThat(stop.left()).isGreaterThan(40);
    assertThat(stop.bottom()).isLessThan(30);
  }

  /** Plates of lines beside each other are one shape; each corner keeps the radius it has. */
  @Test
  void platesJoinFromLineToLine() {
    PropertySet plate =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, "Noto Sans JP")
            .withText(Properties.key("size"), "20 pt")
            .withText(Properties.key("leading"), "20 pt")
            .with(Properties.PLATE_EXTENT, PlateExtent.LINE)
            .with(Properties.PLATE_PADDING, BoxLengths.all(Length.ZERO))
            .withText(Properties.key("plate-radius"), "8 pt, 0 pt, 0 pt, 0 pt")
            .withText(Properties.key("finish/fill/colour"), "#ff0000")
            .withText(Properties.key("plate/ground/kind"), "fill")
            .withText(Properties.key("plate/ground/colour"), "#ff0000");
    Pixels pixels = paint("\u6642\u6642\u6642\n\u6642", plate);
    double red = Painting.count(pixels, RED) / SCALE / SCALE;
    // three squares and one; the radius is cut out of one corner that points outwards
    double corner = 8 * 8 * (1 - Math.PI / 4);
    assertThat(red).isCloseTo(4 * 400 - corner, within(12.0));
    // the first line, on the right, is the longer one; the corner cut is the upper left of all
    assertThat(at(pixels, 59, 69)).isEqualTo(RED.argb());
    assertThat(at(pixels, 21, 69)).isNotEqualTo(RED.argb());
    assertThat(at(pixels, 20.5, 10.5)).isNotEqualTo(RED.argb());
    assertThat(at(pixels, 59.5, 10.5)).isEqualTo(RED.argb());
  }

  private static int at(Pixels pixels, double x, double y) {
    return pixels.argb((int) (x * SCALE), (int) (y * SCALE));
  }
}
