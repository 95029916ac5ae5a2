package dynamorph.paint.geometry;

import static java.util.Objects.requireNonNull;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.DashFit;
import dynamorph.model.value.StrokeJoin;
import dynamorph.paint.geometry.DashLine.Dash;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathMeasure;
import io.github.humbleui.types.Point;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DashLineTest {
  private static final String L = "M0 0 L10 0 L10 30 L40 30 L40 40 L0 40 Z";

  private static Coat.Dashing dashing(DashFit fit, Double... lengths) {
    return new Coat.Dashing(List.of(lengths), 0, fit);
  }

  /** Lengths of the open contours of a path. */
  private static List<Double> lengths(Path path) {
    List<Double> lengths = new ArrayList<>();
    try (PathMeasure measure = new PathMeasure(path, false, 128)) {
      do {
        lengths.add((double) measure.getLength());
      } while (measure.nextContour());
    }
    return lengths;
  }

  @ParameterizedTest
  @ValueSource(doubles = {7, 100, 62.83, 999.9})
  void fittedDashesDivideAContourIntoEqualRepeats(double length) {
    Coat.Dashing dashing = dashing(DashFit.CONTOUR, 3.0, 1.7, 0.5, 1.1);
    List<Dash> dashes = DashLine.dashes(length, true, List.of(), dashing);
    double repeats = Math.round(length / 6.3);
    assertThat(dashes).hasSize((int) repeats * 2);
    for (int index = 2; index < dashes.size(); index++) {
      assertThat(dashes.get(index).from() - dashes.get(index - 2).from())
          .isCloseTo(length / repeats, within(length / repeats * 1e-9));
    }
  }

  @Test
  void dashesOnACircleAreEqualAndGoAround() {
    try (Path circle = Path.makeCircle(0, 0, 20);
        Path dashes = DashLine.along(circle, circle, dashing(DashFit.CONTOUR, 4.0, 3.0))) {
      double each = 2 * Math.PI * 20 / 18;
      assertThat(lengths(dashes))
          .hasSize(18)
          .allSatisfy(
              dash -> assertThat(dash).isCloseTo(each * 4 / 7, within(each * 4 / 7 * 0.001)));
    }
  }

  @Test
  void aDashLiesOnEachCornerOfAnL() {
    try (Path shape = Path.makeFromSVGString(L);
        Path dashes = DashLine.along(shape, shape, dashing(DashFit.CORNERS, 4.0, 3.0))) {
      List<Point> corners = List.of(shape.getPoints());
      for (Point corner : corners.subList(0, 6)) {
        assertThat(dashThrough(dashes, corner)).as("at %s", corner).isCloseTo(4, within(0.004));
      }
      assertThat(lengths(dashes)).allSatisfy(dash -> assertThat(dash).isCloseTo(4, within(0.01)));
    }
  }

  /** The length of the dash that bends at a point, whose halves are as long as each other. */
  private static double dashThrough(Path dashes, Point corner) {
    try (PathMeasure measure = new PathMeasure(dashes, false, 128)) {
      do {
        float length = measure.getLength();
        Point middle = measure.getPosition(length / 2);
        if (Math.hypot(middle.getX() - corner.getX(), middle.getY() - corner.getY()) < 0.01) {
          return length;
        }
      } while (measure.nextContour());
    }
    return 0;
  }

  @Test
  void gapsAreEvenBetweenCorners() {
    List<Dash> dashes =
        DashLine.dashes(140, true, List.of(0.0, 10.0, 40.0), dashing(DashFit.CORNERS, 4.0, 3.0));
    List<Double> gaps = new ArrayList<>();
    List<Dash> ascending =
        dashes.stream()
            .map(dash -> dash.from() > 137 ? new Dash(dash.from() - 140, dash.to() - 140) : dash)
            .sorted(java.util.Comparator.comparingDouble(Dash::from))
            .toList();
    for (int index = 1; index < ascending.size(); index++) {
      gaps.add(ascending.get(index).from() - ascending.get(index - 1).to());
    }
    assertThat(gaps.subList(1, 5)).allSatisfy(gap -> assertThat(gap).isCloseTo(3.5, within(1e-9)));
    assertThat(gaps).allSatisfy(gap -> assertThat(gap).isBetween(2.0, 6.1));
  }

  @Test
  void dashesLieOnTheContourWhereverItsCornersAndItsPhaseAre() {
    List<Dash> onCorners =
        DashLine.dashes(100, true, List.of(30.0, 70.0), dashing(DashFit.CORNERS, 6.0, 4.0));
    assertThat(onCorners).extracting(Dash::middle).contains(30.0, 70.0);
    for (double phase : new double[] {-9, -2, 3, 1e4}) {
      Coat.Dashing dots = new Coat.Dashing(List.of(2.0, 3.0, 1.0, 4.0), phase, DashFit.CONTOUR);
      assertThat(DashLine.dashes(100, true, List.of(), dots))
          .hasSize(20)
          .allSatisfy(dash -> assertThat(dash.from()).isBetween(0.0, 99.999999));
    }
    assertThat(onCorners).allSatisfy(dash -> assertThat(dash.from()).isBetween(0.0, 99.999999));
  }

  @Test
  void exactDashesKeepTheirLengthsAndBeginInside() {
    Coat.Dashing dashing = new Coat.Dashing(List.of(4.0, 2.0), 1, DashFit.EXACT);
    assertThat(DashLine.dashes(12, true, List.of(), dashing))
        .containsExactly(new Dash(0, 3), new Dash(5, 9), new Dash(11, 12));
  }

  @Test
  void dotsHaveAPlaceAndADirection() {
    try (Path square = Path.makeFromSVGString("M0 0 L10 0 L10 10 L0 10 Z");
        Path dots = DashLine.along(square, square, dashing(DashFit.CONTOUR, 0.0, 5.0))) {
      assertThat(lengths(dots)).hasSize(8).allSatisfy(dot -> assertThat(dot).isBetween(0.0, 0.01));
    }
  }

  @Test
  void dashesTooFineToSeeAreASolidLine() {
    try (Path square = Path.makeFromSVGString("M0 0 L10 0 L10 10 L0 10 Z");
        Path dashes = DashLine.along(square, square, dashing(DashFit.EXACT, 1e-7, 1e-7))) {
      assertThat(lengths(dashes))
          .singleElement()
          .satisfies(all -> assertThat(all).isCloseTo(40, within(0.01)));
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          M60 10 L60 60 L10 60 L10 10 Z                                 | 0 | 60 10 | 60 30
          M60 10 L10 10 L10 60 L60 60 Z                                 | 0 | 60 10 | 40 10
          M10 60 L10 10 L60 10 L60 60 Z                                 | 0 | 10 60 | 10 40
          M60 60 L10 60 L10 10 L60 10 Z M80 40 L80 80 L40 80 L40 40 Z   | 0 | 80 40 | 80 60
          M60 10 L60 60 L10 60 L10 10 Z                                 | 5 | 65 10 | 65 30
          M60 10 L10 10 L10 60 L60 60 Z                                 | 5 | 60 5  | 40 5
          """)
  void exactDashesBeginWhereTheDrawnContourDoes(
      String drawn, double distance, String from, String to) {
    Coat.Corner mitred = new Coat.Corner(StrokeJoin.MITER, 4);
    try (Path shape = Path.makeFromSVGString(drawn);
        Path united = Edges.united(shape);
        Path line = Edges.movedUnited(united, distance, mitred);
        Path dashes = DashLine.along(line, shape, dashing(DashFit.EXACT, 20.0, 1000.0))) {
      try (PathMeasure measure = new PathMeasure(dashes, false, 128)) {
        Point one = requireNonNull(measure.getPosition(0));
        Point other = requireNonNull(measure.getPosition(measure.getLength()));
        assertThat(measure.getLength()).isCloseTo(20, within(1e-3f));
        assertThat(List.of(rounded(one), rounded(other)))
            .containsExactlyInAnyOrder(point(from), point(to));
      }
    }
  }

  private static Point rounded(Point point) {
    return new Point(Math.round(point.getX()), Math.round(point.getY()));
  }

  private static Point point(String numbers) {
    String[] parts = numbers.strip().split(" ");
    return new Point(Float.parseFloat(parts[0]), Float.parseFloat(parts[1]));
  }
}
