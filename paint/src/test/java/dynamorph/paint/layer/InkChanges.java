package dynamorph.paint.layer;

import static dynamorph.paint.layer.PropertyMeaning.set;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.PropertySet;
import java.util.function.BiConsumer;

/** How ink differs before and after a change, and what of it is measured. */
final class InkChanges {
  private static final String RED = "#ff0000";
  private static final String BLUE = "#0000ff";

  private InkChanges() {}

  static BiConsumer<Ink, Ink> leans(double points) {
    return (before, after) -> {
      assertThat(before.lean()).isBetween(-1.0, 1.0);
      assertThat(after.lean()).isGreaterThan(points);
    };
  }

  static BiConsumer<Ink, Ink> lastLineMoves(double points) {
    return (before, after) -> {
      assertThat(after.top()).isCloseTo(before.top(), within(0.7));
      assertThat(after.bottom() - before.bottom()).isCloseTo(points, within(0.7));
    };
  }

  static BiConsumer<Ink, Ink> isHigherAndSmaller() {
    return (before, after) -> {
      assertThat(after.bottom()).isLessThan(before.bottom() - 2);
      assertThat(after.height()).isLessThan(before.height() * 0.8);
    };
  }

  static BiConsumer<Ink, Ink> reachesLower() {
    return (before, after) -> assertThat(after.bottom()).isGreaterThan(before.bottom() + 1);
  }

  static BiConsumer<Ink, Ink> reachesHigher() {
    return (before, after) -> assertThat(after.top()).isLessThan(before.top() - 1);
  }

  static BiConsumer<Ink, Ink> linesMove(double first, double second) {
    return (before, after) -> {
      assertThat(after.lines().get(0).left() - before.lines().get(0).left())
          .isCloseTo(first, within(0.7));
      // other words may begin the second line: their sidebearings differ
      assertThat(after.lines().get(1).left() - before.lines().get(1).left())
          .isCloseTo(second, within(1.0));
    };
  }

  static BiConsumer<Ink, Ink> linesPart(double points) {
    return (before, after) ->
        assertThat(distance(after) - distance(before)).isCloseTo(points, within(0.7));
  }

  static double distance(Ink ink) {
    return ink.lines().get(1).bottom() - ink.lines().get(0).bottom();
  }

  static double raggedness(Ink ink) {
    var widths = ink.lines().stream().mapToDouble(Ink::width).summaryStatistics();
    return widths.getMax() - widths.getMin();
  }

  static BiConsumer<Ink, Ink> oneLineFewer() {
    return (before, after) -> {
      assertThat(before.lines()).hasSize(2);
      assertThat(after.lines()).hasSize(1);
    };
  }

  /** A justified box that is two points too narrow for these words in one line of 10 points. */
  static String[] tooNarrowFor(String words) {
    PropertySet look = set("size", "10 pt", "position-x", "5", "position-y", "5");
    double width = PropertyMeaning.painted(words, look).width() - 2;
    return new String[] {
      "alignment", "justified",
      "line-breaking", "whole-paragraph",
      "box-width", String.valueOf(width),
      "word-spacing-minimum", "100"
    };
  }

  static BiConsumer<Ink, Ink> gapsGrow(double factor) {
    return (before, after) ->
        assertThat(after.widestGap()).isGreaterThan(before.widestGap() * factor);
  }

  static BiConsumer<Ink, Ink> gapsShrink(double factor) {
    return (before, after) -> gapsGrow(factor).accept(after, before);
  }

  /** The middle of the stem of an I, without its serifs. */
  static Ink stem(Ink ink) {
    double middle = ink.centre();
    return ink.within(middle - 0.7, ink.top() + 10, middle + 0.7, ink.bottom() - 10);
  }

  /** How much of the ink lies in the left half: less where light falls on it. */
  static double leftShare(Ink ink) {
    Ink left = ink.within(0, 0, ink.centre(), 100);
    return left.amount() / ink.amount();
  }

  static BiConsumer<Ink, Ink> firstLineIsWider() {
    return (before, after) ->
        assertThat(after.lines().getFirst().width())
            .isGreaterThan(before.lines().getFirst().width() + 5);
  }

  static BiConsumer<Ink, Ink> secondPieceStandsAt(double x) {
    return (_, after) -> assertThat(after.pieces().get(1).left()).isCloseTo(x, within(1.0));
  }

  static BiConsumer<Ink, Ink> redMoves(double right, double down) {
    return (before, after) -> {
      assertThat(after.middleX(RED) - before.middleX(RED)).isCloseTo(right, within(0.7));
      assertThat(after.middleY(RED) - before.middleY(RED)).isCloseTo(down, within(0.7));
    };
  }

  /** How far blue stands to the right of red, more than below it: 1, or less for a turned one. */
  static double turned(Ink ink) {
    double across = ink.middleX(BLUE) - ink.middleX(RED);
    double down = ink.middleY(BLUE) - ink.middleY(RED);
    return across / Math.hypot(across, down);
  }

  /** How far ink of a colour reaches from top to bottom, in points. */
  static double height(Ink ink, String colour) {
    int rows = 0;
    for (double y = ink.top(); y < ink.bottom(); y++) {
      rows += ink.within(0, y, 400, y + 1).area(colour) > 0.5 ? 1 : 0;
    }
    return rows;
  }

  /** Into how many pieces a pattern divides the letter from top to bottom. */
  static int stripes(Ink ink) {
    return ink.lines().size();
  }
}
