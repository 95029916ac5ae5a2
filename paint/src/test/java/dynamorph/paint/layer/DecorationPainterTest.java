package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Layer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.WritingMode;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Lines under, over and through letters, as pixels. */
class DecorationPainterTest {
  private static final double SCALE = 4;
  private static final Rgba RED = Rgba.of(220, 0, 0);

  private static Pixels paint(String words, PropertySet local) {
    return Painting.stage(Painting.project(Painting.text("t", words, local)), SCALE);
  }

  private static PropertySet with(Property<Boolean> line) {
    return PropertySet.EMPTY.with(line, true);
  }

  private static PropertySet red(Property<Boolean> line) {
    return with(line)
        .with(Properties.DECORATION_OWN_COLOUR, true)
        .with(Properties.DECORATION_COLOUR, Colour.of(RED));
  }

  /** The rows that hold a colour, from the first to the last. */
  private static Rows rows(Pixels pixels, Rgba colour) {
    Rows rows = new Rows(-1, -1);
    for (int y = 0; y < pixels.height(); y++) {
      for (int x = 0; x < pixels.width(); x++) {
        if (pixels.argb(x, y) == colour.argb()) {
          rows = new Rows(rows.first < 0 ? y : rows.first, y);
        }
      }
    }
    return rows;
  }

  /** The columns of a colour, from the left, in points. */
  private static List<Double> columns(Pixels pixels, Rgba colour) {
    List<Double> columns = new ArrayList<>();
    for (int x = 0; x < pixels.width(); x++) {
      for (int y = 0; y < pixels.height(); y++) {
        if (pixels.argb(x, y) == colour.argb()) {
          columns.add(x / SCALE);
          break;
        }
      }
    }
    return columns;
  }

  /** The line of 40 pt letters lies from 20 pt on, so that its square ends at 60 pt. */
  @ParameterizedTest
  @CsvSource({
    "ja, underline, 60, 63",
    "zh, underline, 17, 20",
    "ja, overline, 17, 20",
    "en, strike, 38.5, 41.5"
  })
  void inVerticalTextLinesRunBesideLettersAsTheirLanguageHasIt(
      String language, String line, double from, double to) {
    PropertySet vertical =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, "Noto Sans JP")
            .with(Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT)
            .with(Properties.LANGUAGE, language)
            .with(Properties.DECORATION_OWN_COLOUR, true)
            .with(Properties.DECORATION_COLOUR, Colour.of(RED))
            .withText(Properties.key(line), "true");
    assertThat(columns(paint("\u6642", vertical), RED))
        .isNotEmpty()
        .allSatisfy(x -> assertThat(x).isBetween(from, to));
  }

  /** An offset of 5 pt leads away from the letters, on whichever side the line runs. */
  @ParameterizedTest
  @CsvSource({"ja, 65, 68", "zh, 12, 15"})
  void inVerticalTextTheOffsetLeadsAway(String language, double from, double to) {
    PropertySet vertical =
        red(Properties.UNDERLINE)
            .with(Properties.FONT_FAMILY, "Noto Sans JP")
            .with(Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT)
            .with(Properties.LANGUAGE, language)
            .with(Properties.DECORATION_OFFSET, Length.points(5));
    assertThat(columns(paint("\u6642", vertical), RED))
        .isNotEmpty()
        .allSatisfy(x -> assertThat(x).isBetween(from, to));
  }

  private record Rows(int first, int last) {
    double middle() {
      return (first + last) / 2.0 / SCALE;
    }

    double height() {
      return (last - first + 1) / SCALE;
    }
  }

  private static int runs(Pixels pixels, int y, IntPredicate inside) {
    int runs = 0;
    boolean before = false;
    for (int x = 0; x < pixels.width(); x++) {
      boolean now = inside.test(pixels.argb(x, y));
      runs += now && !before ? 1 : 0;
      before = now;
    }
    return runs;
  }

  @Test
  void linesStandWhereTheyBelong() {
    Rows letters = rows(paint("HHH", PropertySet.EMPTY), Rgba.BLACK);
    Rows under = rows(paint("HHH", red(Properties.UNDERLINE)), RED);
    Rows over = rows(paint("HHH", red(Properties.OVERLINE)), RED);
    Rows through = rows(paint("xxx", red(Properties.STRIKE)), RED);
    Rows small = rows(paint("xxx", PropertySet.EMPTY), Rgba.BLACK);
    assertThat(under.first).isGreaterThan(letters.last);
    assertThat(over.last).isLessThan(letters.first);
    assertThat(through.middle()).isCloseTo(small.middle(), within(3.0));
    assertThat(under.height()).as("as the font wants it at 40 pt").isBetween(0.8, 4.0);
  }

  @Test
  void linesAreShiftedAndMadeWiderAroundTheirMiddle() {
    Rows plain = rows(paint("HHH", red(Properties.UNDERLINE)), RED);
    Rows shifted =
        rows(
            paint(
                "HHH",
                red(Properties.UNDERLINE).with(Properties.DECORATION_OFFSET, Length.points(4))),
            RED);
    Rows wide =
        rows(
            paint(
                "HHH",
                red(Properties.UNDERLINE)
                    .with(Properties.DECORATION_THICKNESS, 300.0)
                    .with(Properties.DECORATION_SKIP_INK, false)),
            RED);
    assertThat(shifted.middle()).isCloseTo(plain.middle() + 4, within(0.3));
    assertThat(wide.middle()).isCloseTo(plain.middle(), within(0.3));
    assertThat(wide.height()).isCloseTo(plain.height() * 3, within(0.8));
  }

  @Test
  void lettersThatReachBelowBreakTheLineIfWanted() {
    PropertySet under = red(Properties.UNDERLINE);
    Pixels skipping = paint("HgHpHyH", under);
    int row = (int) (rows(skipping, RED).middle() * SCALE);
    Pixels whole = paint("HgHpHyH", under.with(Properties.DECORATION_SKIP_INK, false));
    assertThat(runs(skipping, row, argb -> argb == RED.argb())).isGreaterThanOrEqualTo(3);
    assertThat(Painting.count(whole, RED)).isGreaterThan(Painting.count(skipping, RED));
    Pixels untouched = paint("HHHH", under);
    assertThat(runs(untouched, row, argb -> argb == RED.argb())).as("nothing to skip").isEqualTo(1);
  }

  @Test
  void noCrumbsOfALineAreLeftBetweenLetters() {
    Pixels skipping = paint("jyg ypjg ggy py,", red(Properties.UNDERLINE));
    Rows line = rows(skipping, RED);
    int row = (int) (line.middle() * SCALE);
    int part = 0;
    for (int x = 0; x < skipping.width(); x++) {
      boolean inside = skipping.argb(x, row) == RED.argb();
      if (!inside && part > 0) {
        assertThat(part)
            .as("up to pixel " + x)
            .isGreaterThanOrEqualTo(2 * (line.last - line.first));
      }
      part = inside ? part + 1 : 0;
    }
  }

  @Test
  void aLineThroughLettersNeverSkips() {
    Pixels struck = paint("HHHH", red(Properties.STRIKE));
    int row = (int) (rows(struck, RED).middle() * SCALE);
    assertThat(runs(struck, row, argb -> argb == RED.argb())).isEqualTo(1);
  }

  @Test
  void aLineWithoutItsOwnColourTakesTheFinishOfItsLetters() {
    Pixels plain = paint("HHH", PropertySet.EMPTY);
    Pixels lined = paint("HHH", with(Properties.UNDERLINE));
    assertThat(rows(lined, Rgba.BLACK).last).isGreaterThan(rows(plain, Rgba.BLACK).last);
    PropertySet blue =
        with(Properties.UNDERLINE)
            .with(Properties.COAT_COLOUR.at(Painting.FILL), Colour.of(Rgba.of(0, 0, 200)));
    assertThat(rows(paint("HHH", blue), Rgba.of(0, 0, 200)).last)
        .isEqualTo(rows(lined, Rgba.BLACK).last);
  }

  @Test
  void onlyTheWordsThatWantALineHaveOne() {
    Layer layer = Painting.text("t", "HHH HHH", PropertySet.EMPTY);
    Pixels whole = paint("HHH HHH", red(Properties.UNDERLINE));
    Layer half =
        layer.withStory(
            layer
                .story()
                .mapSpans(new TextRange(0, 3), span -> span.withLocal(red(Properties.UNDERLINE))));
    Pixels part = Painting.stage(Painting.project(half), SCALE);
    assertThat(Painting.count(part, RED))
        .isPositive()
        .isLessThan(Painting.count(whole, RED) * 6 / 10);
  }

  /** What is drawn before the letters' own box must not be cut off by the layer's cached pixels. */
  @ParameterizedTest
  @ValueSource(doubles = {-30, 30})
  void linesFarFromTheirLettersAreWhole(double shift) {
    Pixels far =
        paint(
            "HHH",
            red(Properties.UNDERLINE)
                .with(Properties.DECORATION_OFFSET, Length.points(shift))
                .with(Properties.DECORATION_SKIP_INK, false));
    Pixels near =
        paint("HHH", red(Properties.UNDERLINE).with(Properties.DECORATION_SKIP_INK, false));
    assertThat((double) Painting.count(far, RED))
        .isCloseTo(Painting.count(near, RED), within(Painting.count(near, RED) * 0.35));
  }

  @Test
  void stretchedLettersHaveLongerLinesAndShearedOnesLean() {
    Pixels plain = paint("HH", red(Properties.UNDERLINE));
    Pixels wide = paint("HH", red(Properties.UNDERLINE).with(Properties.HORIZONTAL_SCALE, 150.0));
    assertThat((double) Painting.count(wide, RED) / Painting.count(plain, RED))
        .isCloseTo(1.5, within(0.1));
    Pixels leaning = paint("HH", PropertySet.EMPTY.with(Properties.SHEAR, 20.0));
    Rows letters = rows(leaning, Rgba.BLACK);
    assertThat(firstBlack(leaning, letters.first + 4))
        .as("the top of the first stem stands to the right of its foot")
        .isGreaterThan(firstBlack(leaning, letters.last - 4) + 10);
  }

  private static int firstBlack(Pixels pixels, int y) {
    for (int x = 0; x < pixels.width(); x++) {
      if (pixels.argb(x, y) == Rgba.BLACK.argb()) {
        return x;
      }
    }
    return -1;
  }
}
