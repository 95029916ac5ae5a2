package dynamorph.app.artboards.stage;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.typeset.layout.Box;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Where the name of an artboard has room. */
class ArtboardNamesTest {
  private static final Box BOX = new Box(100, 100, 50, 50);

  @Test
  void onlyWhatLiesAboveTakesRoom() {
    assertThat(ArtboardNames.free(BOX, List.of())).isInfinite();
    assertThat(ArtboardNames.free(BOX, List.of(new Box(100, 200, 50, 50)))).isInfinite();
    assertThat(ArtboardNames.free(BOX, List.of(new Box(0, 0, 100, 90)))).isInfinite();
    assertThat(ArtboardNames.free(BOX, List.of(new Box(140, 0, 50, 80)))).isEqualTo(20);
    assertThat(ArtboardNames.free(BOX, List.of(new Box(100, 0, 9, 80), new Box(120, 0, 9, 93))))
        .isEqualTo(7);
    assertThat(ArtboardNames.free(BOX, List.of(new Box(100, 90, 50, 50)))).isZero();
  }

  @Test
  void aNameGetsSmallerAndThenGoes() {
    // a line of 13 px is 16.4 high, with a pixel above and below
    assertThat(ArtboardNames.size(Double.POSITIVE_INFINITY)).contains(13.0);
    assertThat(ArtboardNames.size(18.4)).contains(13.0);
    assertThat(ArtboardNames.size(16)).contains(11.0);
    assertThat(ArtboardNames.size(13.4)).contains(9.0);
    assertThat(ArtboardNames.size(13.3)).isEmpty();
    assertThat(ArtboardNames.size(0)).isEmpty();
  }
}
