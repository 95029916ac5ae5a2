package dynamorph.paint.arrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.LayerId;
import dynamorph.typeset.layout.Box;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class SnapLinesTest {
  private static final Box BOARD = new Box(0, 0, 400, 300);

  private static Arranged thing(double x, double y, double width, double height, Double... lines) {
    return new Arranged(new LayerId("t"), new Box(x, y, width, height), List.of(lines));
  }

  private static SnapLines beside(Arranged... others) {
    return new SnapLines(BOARD, List.of(), List.of(others));
  }

  @Test
  void anEdgeLiesOnAnEdgeAndTheGuideReachesOverBoth() {
    Snap snap = beside(thing(100, 20, 50, 30)).moved(thing(103, 200, 70, 11), 5);
    assertThat(snap.across()).isEqualTo(-3);
    assertThat(snap.down()).isZero();
    assertThat(snap.guides()).containsExactly(new Snap.Guide(Axis.ACROSS, 100, 20, 211));
  }

  @Test
  void aCentreLiesOnACentreButNotOnAnEdge() {
    // its centre is at 103 beside an edge at 100; its edges are far from all
    assertThat(beside(thing(100, 20, 30, 30)).moved(thing(63, 200, 80, 11), 4))
        .isEqualTo(Snap.NONE);
    Snap centred = beside(thing(90, 20, 20, 30)).moved(thing(62, 200, 80, 11), 4);
    assertThat(centred.across()).isEqualTo(-2);
  }

  @Test
  void theMiddleOfTheArtboardTakesEdgesToo() {
    assertThat(beside().moved(thing(202, 77, 33, 11), 5).across()).isEqualTo(-2);
    assertThat(beside().moved(thing(180, 77, 44, 11), 5).across()).isEqualTo(-2);
  }

  @Test
  void baselinesLieOnBaselinesOnly() {
    Arranged two = thing(20, 40, 60, 60, 61.0, 91.0);
    Snap snap = beside(two).moved(thing(211, 75, 31, 22, 93.5), 4);
    assertThat(snap.down()).isEqualTo(-2.5);
    assertThat(snap.guides()).containsExactly(new Snap.Guide(Axis.DOWN, 91, 20, 242));
  }

  @Test
  void whatIsFartherThanTheToleranceStays() {
    assertThat(beside(thing(100, 20, 50, 30)).moved(thing(107, 200, 70, 11), 5))
        .isEqualTo(Snap.NONE);
  }

  @Test
  void aGapIsAsLargeAsAnotherAndBothShow() {
    SnapLines row = beside(thing(20, 50, 40, 20), thing(90, 50, 40, 20));
    // 30 between the two; the third begins at 158 and belongs at 160
    Snap snap = row.moved(thing(158, 53, 17, 9), 2.1);
    assertThat(snap.across()).isEqualTo(2);
    assertThat(snap.gaps())
        .containsExactly(
            new Snap.Gap(Axis.ACROSS, 60, 90, 60), new Snap.Gap(Axis.ACROSS, 130, 160, 57.5));
  }

  @Test
  void betweenTwoItStandsInTheMiddle() {
    SnapLines row = beside(thing(10, 50, 40, 20), thing(151, 50, 40, 20));
    Snap snap = row.moved(thing(88, 53, 20, 9), 5);
    // 101 between them, 20 wide: 40.5 on each side
    assertThat(snap.across()).isEqualTo(2.5);
    assertThat(snap.gaps()).extracting(Snap.Gap::size).containsExactly(40.5, 40.5);
  }

  @Test
  void whatStandsInAnotherRowMakesNoGap() {
    SnapLines rows = beside(thing(20, 50, 40, 20), thing(90, 150, 40, 20));
    assertThat(rows.moved(thing(158, 53, 17, 9), 5).gaps()).isEmpty();
  }

  @Test
  void onlyTheSideThatIsDraggedSnaps() {
    SnapLines lines = beside(thing(100, 20, 50, 30));
    Snap right = lines.resized(new Box(12, 200, 85, 40), 1, 0, 5);
    assertThat(right.across()).isEqualTo(3);
    assertThat(right.down()).isZero();
    assertThat(lines.resized(new Box(102, 200, 85, 40), 1, 0, 5).across()).isZero();
    assertThat(lines.resized(new Box(102, 200, 85, 47), -1, 1, 5).across()).isEqualTo(-2);
  }

  @Test
  void framesOnTheArtboardCountAsItsEdgesDo() {
    SnapLines film = new SnapLines(BOARD, List.of(new Box(20, 15, 360, 270)), List.of());
    assertThat(film.moved(thing(23, 77, 33, 11), 5).across()).isEqualTo(-3);
  }

  @RepeatedTest(200)
  void itNeverMovesFartherThanTheToleranceAndStaysWhereItSnapped(RepetitionInfo run) {
    Random random = new Random(run.getCurrentRepetition());
    double tolerance = 0.5 + 7 * random.nextDouble();
    SnapLines lines =
        beside(thing(30, 40, 50, 20, 55.0), thing(130, 35, 60, 30, 52.0), thing(300, 200, 44, 60));
    double y = 280 * random.nextDouble();
    Arranged moving = thing(380 * random.nextDouble(), y, 1 + 89 * random.nextDouble(), 18, y + 13);
    Snap snap = lines.moved(moving, tolerance);
    assertThat(Math.abs(snap.across())).isLessThanOrEqualTo(tolerance);
    assertThat(Math.abs(snap.down())).isLessThanOrEqualTo(tolerance);
    Snap again = lines.moved(moving.moved(snap.across(), snap.down()), tolerance);
    // a gap may be made only once it stands in its row
    if (snap.gaps().isEmpty() && again.gaps().isEmpty()) {
      assertThat(again.across()).isCloseTo(0, within(1e-9));
      assertThat(again.down()).isCloseTo(0, within(1e-9));
    }
  }
}
