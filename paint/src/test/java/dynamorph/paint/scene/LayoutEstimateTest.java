package dynamorph.paint.scene;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.random.RandomProjects;
import dynamorph.paint.Painting;
import dynamorph.typeset.layout.Box;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class LayoutEstimateTest {
  static LongStream seeds() {
    return LongStream.range(1, 25);
  }

  /** What is told before a text is set must hold for what is painted then. */
  @ParameterizedTest
  @MethodSource("seeds")
  void noTextReachesBeyondTheRoomToldForIt(long seed) {
    Scene scene = Painting.maker().make(new RandomProjects(seed).project());
    for (Scene.Board board : scene.boards()) {
      for (PlacedLayer text : board.texts()) {
        Box painted = text.onArtboard(text.ink().with(text.layout().box()));
        double[][] corners = {
          {painted.x(), painted.y()},
          {painted.right(), painted.y()},
          {painted.x(), painted.bottom()},
          {painted.right(), painted.bottom()}
        };
        for (double[] corner : corners) {
          Box dot = new Box(corner[0], corner[1], 0, 0).grown(0.01, 0.01);
          assertThat(text.mayTouch(dot)).as("%s of %s", painted, text.layer().id()).isTrue();
        }
      }
    }
  }

  @Test
  void whatIsFarAwayIsToldToBe() {
    Scene scene =
        Painting.maker()
            .make(
                Painting.project(
                    Painting.text("one", "Hour", dynamorph.model.property.PropertySet.EMPTY)));
    PlacedLayer text = scene.boards().getFirst().texts().getFirst();
    assertThat(text.mayTouch(new Box(0, 5000, 100, 100))).isFalse();
    assertThat(text.mayTouch(new Box(5000, 0, 100, 100))).isFalse();
  }
}
