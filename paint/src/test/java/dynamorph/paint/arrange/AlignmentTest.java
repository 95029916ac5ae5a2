package dynamorph.paint.arrange;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.LayerId;
import dynamorph.typeset.layout.Box;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class AlignmentTest {
  private static final Arranged A = thing("a", 10, 20, 30, 10, 28.0);
  private static final Arranged B = thing("b", 60, 50, 50, 20, 64.0, 68.0);
  private static final Arranged C = thing("c", 150, 5, 20, 40);
  private static final List<Arranged> ALL = List.of(C, A, B);
  private static final Box AROUND = new Box(10, 5, 160, 65);

  private static Arranged thing(
      String id, double x, double y, double width, double height, Double... baselines) {
    return new Arranged(new LayerId(id), new Box(x, y, width, height), List.of(baselines));
  }

  private static Map<LayerId, Double> moves(double a, double b, double c) {
    return Map.of(new LayerId("a"), a, new LayerId("b"), b, new LayerId("c"), c);
  }

  @Test
  void edgesAndCentresLieOnOneLine() {
    assertThat(Alignment.LEFT.moves(ALL, AROUND)).isEqualTo(moves(0, -50, -140));
    assertThat(Alignment.CENTRE.moves(ALL, AROUND)).isEqualTo(moves(65, 5, -70));
    assertThat(Alignment.RIGHT.moves(ALL, AROUND)).isEqualTo(moves(130, 60, 0));
    assertThat(Alignment.TOP.moves(ALL, AROUND)).isEqualTo(moves(-15, -45, 0));
    assertThat(Alignment.MIDDLE.moves(ALL, AROUND)).isEqualTo(moves(12.5, -22.5, 12.5));
    assertThat(Alignment.BOTTOM.moves(ALL, AROUND)).isEqualTo(moves(40, 0, 25));
  }

  @Test
  void firstBaselinesLieOnThatOfTheLeftmostAndShapesStay() {
    assertThat(Alignment.BASELINE.moves(ALL, AROUND))
        .isEqualTo(Map.of(new LayerId("a"), 0.0, new LayerId("b"), -36.0));
  }

  @Test
  void equalGapsLeaveTheFirstAndTheLast() {
    // 10..40, 60..110, 150..170: 160 in all, 100 filled, two gaps of 30
    assertThat(new Distribution(Axis.ACROSS, ALL).equal()).isEqualTo(moves(0, 10, 0));
    assertThat(new Distribution(Axis.ACROSS, List.of(A, B)).equal()).isEmpty();
  }

  @Test
  void gapsAreSetFromTheFirstOnAndSaidWhereTheyAreTheSame() {
    Distribution across = new Distribution(Axis.ACROSS, ALL);
    assertThat(across.spaced(5)).isEqualTo(moves(0, -15, -50));
    assertThat(across.gap()).isEmpty();
    assertThat(new Distribution(Axis.ACROSS, List.of(B, A)).gap()).hasValue(20);
    assertThat(new Distribution(Axis.ACROSS, List.of(A)).gap()).isEmpty();
  }
}
