package dynamorph.paint.artwork;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.cascade.Paint.Stop;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.SpreadMethod;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathFillMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ArtworkTest {
  private static AreaPaint.Ramp ramp(Stop... stops) {
    return new AreaPaint.Ramp(new AreaPaint.Along(0, 0, 1, 0), List.of(stops), SpreadMethod.PAD);
  }

  /** All points that a path goes to, and how often it begins and closes. */
  private static final class Told implements Contour.Taker {
    private final List<double[]> points = new ArrayList<>();
    private final List<double[]> onCurves = new ArrayList<>();
    private int moves;
    private int closes;
    private double lastX;
    private double lastY;

    @Override
    public void move(float x, float y) {
      moves++;
      to(x, y);
    }

    @Override
    public void line(float x, float y) {
      to(x, y);
    }

    @Override
    public void cubic(float x1, float y1, float x2, float y2, float x, float y) {
      for (double share = 0; share <= 1; share += 0.05) {
        double back = 1 - share;
        onCurves.add(
            new double[] {
              back * back * back * lastX
                  + 3 * back * back * share * x1
                  + 3 * back * share * share * x2
                  + share * share * share * x,
              back * back * back * lastY
                  + 3 * back * back * share * y1
                  + 3 * back * share * share * y2
                  + share * share * share * y
            });
      }
      to(x, y);
    }

    @Override
    public void close() {
      closes++;
    }

    private void to(double x, double y) {
      points.add(new double[] {x, y});
      lastX = x;
      lastY = y;
    }
  }

  @Test
  void aCircleIsToldInCurvesThatStayOnIt() {
    Told told = new Told();
    try (Path circle = Path.makeCircle(50, 40, 30)) {
      Contour.tell(circle, told);
    }
    assertThat(told.moves).isEqualTo(1);
    assertThat(told.closes).isEqualTo(1);
    assertThat(told.onCurves).isNotEmpty();
    for (double[] point : told.onCurves) {
      assertThat(Math.hypot(point[0] - 50, point[1] - 40)).isCloseTo(30, within(0.02));
    }
  }

  @Test
  void everyPieceOfAPathIsTold() {
    Told told = new Told();
    try (PathBuilder builder = new PathBuilder();
        Path path =
            builder
                .moveTo(0, 0)
                .lineTo(10, 0)
                .quadTo(20, 0, 20, 10)
                .cubicTo(20, 20, 10, 20, 0, 20)
                .closePath()
                .moveTo(30, 30)
                .lineTo(40, 40)
                .detach()) {
      Contour.tell(path, told);
    }
    assertThat(told.moves).isEqualTo(2);
    assertThat(told.points.getLast()).containsExactly(40, 40);
    // a quadratic curve and the cubic that stands for it have the same middle
    assertThat(told.onCurves.get(10)[0]).isCloseTo(17.5, within(0.01));
    assertThat(told.onCurves.get(10)[1]).isCloseTo(2.5, within(0.01));
  }

  @Test
  void theRuleByWhichAPathIsFilledIsKnown() {
    try (Path winding = new Path();
        Path evenOdd = new Path(PathFillMode.EVEN_ODD)) {
      assertThat(Contour.isEvenOdd(winding)).isFalse();
      assertThat(Contour.isEvenOdd(evenOdd)).isTrue();
    }
  }

  @Test
  void stopsGetCloserOnlyWhereOpacityChanges() {
    AreaPaint.Ramp opaque =
        ramp(new Stop(Rgba.BLACK, 0), new Stop(Rgba.WHITE, 0.5), new Stop(Rgba.BLACK, 1));
    assertThat(opaque.closeStops()).isEqualTo(opaque.stops());
    assertThat(opaque.isOpaque()).isTrue();
    AreaPaint.Ramp fading =
        ramp(new Stop(Rgba.of(255, 0, 0), 0), new Stop(Rgba.parse("#0000ff00"), 1));
    assertThat(fading.isOpaque()).isFalse();
    List<Stop> close = fading.closeStops();
    assertThat(close).hasSizeGreaterThan(10);
    for (Stop stop : close.subList(0, close.size() - 1)) {
      // premultiplied, a colour that fades to nothing stays what it is
      assertThat(stop.colour().red()).isGreaterThan(250);
      assertThat(stop.colour().alpha() / 255.0).isCloseTo(1 - stop.position(), within(0.01));
    }
  }

  @Test
  void picturesAreListedHoweverDeepTheyLie() {
    Mark picture =
        new Mark.Picture(new byte[0], Box.EMPTY, 1, BlendMode.NORMAL, "a shadow of the letters");
    Mark deep =
        new Mark.Group(
            List.of(new Mark.Group(List.of(picture), 0.5, BlendMode.NORMAL)),
            1,
            BlendMode.MULTIPLY);
    Artwork artwork = new Artwork(10, 10, Optional.empty(), List.of(picture, deep));
    assertThat(artwork.pictures())
        .containsExactly("a shadow of the letters", "a shadow of the letters");
  }
}
