package dynamorph.paint.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathOp;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class LineCheckTest {
  private static final String BLOB = "M10 20 C10 -5 50 0 50 22 Q48 45 30 44 T10 20 Z";
  private static final String RING =
      "M30 30 a20 14 20 1 0 0.1 0 Z M32 26 a8 6 0 1 1 -0.1 0 Z M0 0 L4 60 L9 3 Z";

  @ParameterizedTest
  @EnumSource(PathOp.class)
  void whatIsRightPassesAndWhatIsOfAnotherOperationDoesNot(PathOp op) {
    try (Path one = Path.makeFromSVGString(BLOB);
        Path other = Path.makeFromSVGString(RING)) {
      for (PathOp done : PathOp.values()) {
        try (Path result = Path.makeCombining(one, other, done)) {
          assertThat(LineCheck.passes(one, other, op, result))
              .as("%s for %s", done, op)
              .isEqualTo(done == op);
        }
      }
    }
  }

  /** A hole of a twelfth of the height is found, wherever it is. */
  @Test
  void missingPartsAreFound() {
    try (Path square = Path.makeFromSVGString("M0 0 H60 V60 H0 Z");
        Path nothing = new Path()) {
      for (int y = 1; y < 54; y++) {
        try (Path bitten =
            Path.makeFromSVGString("M0 0 H60 V60 H0 Z M20 %d v5 h5 v-5 Z".formatted(y))) {
          assertThat(LineCheck.passes(square, nothing, PathOp.UNION, bitten)).isFalse();
        }
      }
      assertThat(LineCheck.passes(square, nothing, PathOp.UNION, square)).isTrue();
    }
  }
}
