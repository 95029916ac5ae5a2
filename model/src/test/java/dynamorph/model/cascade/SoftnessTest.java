package dynamorph.model.cascade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Gaussians that follow each other add their covariances. */
class SoftnessTest {
  @ParameterizedTest
  @ValueSource(doubles = {0, 45, 90, 120, -20})
  void blursOfSixAndEightAreOneOfTen(double angle) {
    Softness both = Softness.of(6, 0.5, angle).plus(Softness.of(8, 0.5, angle));
    Softness ten = Softness.of(10, 0.5, angle);
    assertThat(both.xx()).isCloseTo(ten.xx(), within(1e-9));
    assertThat(both.xy()).isCloseTo(ten.xy(), within(1e-9));
    assertThat(both.yy()).isCloseTo(ten.yy(), within(1e-9));
    // half of the blur is the deviation
    assertThat(both.widest()).isCloseTo(5, within(1e-9));
    assertThat(both.narrowest()).isCloseTo(2.5, within(1e-9));
  }

  @Test
  void acrossEachOtherTheyAreRound() {
    Softness both = Softness.of(10, 0, 30).plus(Softness.of(10, 0, 120));
    assertThat(both.isRound()).isTrue();
    assertThat(both.widest()).isCloseTo(5, within(1e-6));
    assertThat(Softness.of(10, 0.99, 30).isRound()).isFalse();
  }
}
