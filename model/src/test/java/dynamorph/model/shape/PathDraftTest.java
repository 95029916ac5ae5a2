package dynamorph.model.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class PathDraftTest {
  @Test
  void cornersMakeStraightPiecesInABoxOfTheirOwn() {
    PathDraft draft = PathDraft.EMPTY.plus(10, 20).plus(40, 20).plus(40, 60).close();
    assertThat(draft.bounds()).contains(new PathDraft.Bounds(10, 20, 30, 40));
    assertThat(draft.shape()).contains(new Shape.Drawn("M0 0L30 0L30 40L0 0Z", 30, 40));
  }

  @Test
  void aHandleBendsThePathIntoAndOutOfItsPoint() {
    PathDraft draft = PathDraft.EMPTY.plus(0, 0).bent(0, -40).plus(30, 0).bent(30, 40);
    assertThat(draft.shape().orElseThrow().data()).startsWith("M0 30C0 -10 30 -10 30 30");
    PathDraft.Bounds bounds = draft.bounds().orElseThrow();
    // a cubic whose handles are 40 long rises to three quarters of that
    assertThat(bounds.y()).isCloseTo(-30, within(0.05));
    assertThat(bounds.height()).isCloseTo(30, within(0.05));
  }

  @Test
  void onePointIsNoPathAndTheLastCanBeTakenBack() {
    PathDraft one = PathDraft.EMPTY.plus(3, 4);
    assertThat(one.shape()).isEmpty();
    assertThat(one.plus(5, 6).shortened()).isEqualTo(one);
    assertThat(one.plus(50, 60).closesAt(4, 4, 2)).isTrue();
    assertThat(one.closesAt(3, 4, 2)).as("one point cannot be closed").isFalse();
  }

  @Test
  void pathsThatAreNoneAndStarsThatCannotBeAreRefused() {
    assertThatThrownBy(() -> new Shape.Drawn("alert(1)", 1, 1)).hasMessageContaining("path data");
    assertThatThrownBy(() -> new Shape.Drawn("M0 0", Double.NaN, 1))
        .hasMessageContaining("0 or more");
    assertThatThrownBy(() -> new Shape.Polygon(2, 0)).hasMessageContaining("3 to 100");
    assertThatThrownBy(() -> new Shape.Polygon(5, 1)).hasMessageContaining("below 1");
  }
}
