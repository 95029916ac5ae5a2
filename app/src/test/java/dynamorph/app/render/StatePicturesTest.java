package dynamorph.app.render;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.TrackId;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A film is known by a frame, not by all its titles over each other. */
class StatePicturesTest {
  private static Layer title(String id, int from, int to) {
    return Layer.of(id, id, id)
        .withTiming(Timing.of(new TrackId("titles"), Time.ofSeconds(from), Time.ofSeconds(to)));
  }

  private static final Artboard EMPTY = Artboard.empty("a", "A", 160, 90, LengthUnit.PIXEL);

  @Test
  void aFilmIsSeenWhereItFirstDiffers() {
    Artboard before = EMPTY.plus(title("one", 1, 3)).plus(title("two", 10, 14));
    Artboard after = EMPTY.plus(title("one", 1, 3)).plus(title("two", 20, 24));
    assertThat(StatePictures.moment(before, Optional.of(after))).isEqualTo(Time.ofSeconds(12));
    assertThat(StatePictures.moment(after, Optional.of(before)))
        .as("the same frame of both")
        .isEqualTo(Time.ofSeconds(12));
  }

  @Test
  void whereNothingDiffersAtItsFirstTitle() {
    Artboard film = EMPTY.plus(title("two", 10, 14)).plus(title("one", 1, 3));
    assertThat(StatePictures.moment(film, Optional.of(film))).isEqualTo(Time.ofSeconds(2));
    assertThat(StatePictures.moment(film, Optional.empty())).isEqualTo(Time.ofSeconds(2));
    assertThat(StatePictures.moment(EMPTY, Optional.empty())).isEqualTo(Time.ZERO);
  }
}
