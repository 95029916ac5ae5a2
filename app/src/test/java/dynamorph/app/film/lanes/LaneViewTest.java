package dynamorph.app.film.lanes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.timeline.Time;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LaneViewTest {
  @ParameterizedTest
  @ValueSource(doubles = {0.2, 0.5, 1.5, 3, 20})
  void whatIsUnderThePointerStaysThereWhenTheLanesAreZoomed(double factor) {
    LaneView view = new LaneView(40, 20);
    LaneView near = view.zoomed(factor, 20);
    assertThat(near.time(20)).isEqualTo(view.time(20));
    assertThat(near.x(near.time(321))).isCloseTo(321, within(0.01));
    assertThat(near.length(100).seconds()).isCloseTo(5 / factor, within(1e-6));
  }

  @Test
  void nothingIsBeforeTheBeginning() {
    assertThat(new LaneView(4, 20).panned(-1000).start()).isZero();
    assertThat(new LaneView(4, 20).panned(40).start()).isEqualTo(6);
    assertThat(new LaneView(0, 20).zoomed(0.5, 300).start()).isZero();
    assertThat(new LaneView(0, 20).time(-50)).isEqualTo(Time.ZERO);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.05, 0.4, 3, 12, 90, 700, 4000})
  void numbersOnTheRulerDoNotRunIntoEachOther(double scale) {
    double step = new LaneView(0, scale).step();
    assertThat(step * scale >= 84 || step == 36_000).isTrue();
  }

  @Test
  void aWholeFilmFits() {
    LaneView fitting = LaneView.fitting(Time.ofMillis(72_000), 720);
    assertThat(fitting.x(Time.ofMillis(72_000))).isBetween(690.0, 720.0);
  }
}
