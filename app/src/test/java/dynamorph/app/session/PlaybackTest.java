package dynamorph.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.film.ChangeTimeline;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import dynamorph.paint.scene.Scene;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PlaybackTest {
  private static final ArtboardId FILM = new ArtboardId("film");
  private final Workspace workspace = new Workspace(prefix -> prefix + "-1", LongHour.project());
  private final Playback playback = workspace.playback();

  private Layer layer(String id) {
    return workspace.project().layer(new LayerId(id)).orElseThrow();
  }

  private Artboard film() {
    return workspace.project().artboard(FILM).orElseThrow();
  }

  @Test
  void theArtboardsAreLookedAtUntilAFilmIsOpened() {
    assertThat(playback.sight()).isEqualTo(new Scene.Sight.Still());
    playback.open();
    assertThat(playback.sight()).isEqualTo(new Scene.Sight.Film(FILM, Time.ZERO));
    playback.seek(Time.ofMillis(5000));
    playback.close();
    playback.open();
    assertThat(playback.playheadProperty().get())
        .as("the film is where it was left")
        .isEqualTo(Time.ofMillis(5000));
  }

  @Test
  void thePlayheadStandsOnFramesWithinTheFilm() {
    playback.open();
    playback.seek(Time.ofMillis(1015));
    assertThat(playback.playheadProperty().get()).isEqualTo(Time.ofMillis(1000));
    playback.step(3);
    assertThat(playback.playheadProperty().get()).isEqualTo(Time.ofMillis(1120));
    playback.step(-300);
    assertThat(playback.playheadProperty().get()).isEqualTo(Time.ZERO);
    playback.seek(Time.ofMillis(999_000));
    assertThat(playback.playheadProperty().get()).isEqualTo(Time.ofMillis(71_960));
  }

  @Test
  void editsAreInAndOutPointsOfWhatIsSeen() {
    playback.open();
    playback.toEdit(true);
    assertThat(playback.playheadProperty().get()).isEqualTo(Time.ofMillis(1000));
    playback.toEdit(true);
    assertThat(playback.playheadProperty().get()).isEqualTo(Time.ofMillis(8400));
    playback.toEdit(false);
    playback.toEdit(false);
    assertThat(playback.playheadProperty().get()).isEqualTo(Time.ZERO);
    playback.toEdit(false);
    assertThat(playback.playheadProperty().get()).isEqualTo(Time.ZERO);
  }

  @Test
  void aTitleIsBroughtIntoSightWhenItIsWhollyThere() {
    assertThat(playback.bring(layer("name-nour"))).isTrue();
    assertThat(playback.isOpen()).isTrue();
    Timing timing = layer("name-nour").timing().orElseThrow();
    assertThat(timing.visibility(playback.playheadProperty().get())).isEqualTo(1);
    assertThat(playback.bring(layer("name-nour"))).as("it is in sight").isFalse();
    assertThat(playback.bring(layer("web-title"))).isTrue();
    assertThat(playback.isOpen()).isFalse();
  }

  @Test
  void aTextThatComesToAFilmIsSeenFromThePlayheadOn() {
    playback.open();
    playback.seek(Time.ofMillis(20_000));
    Layer timed = playback.timed(film(), Layer.of("n", "n", "n"));
    assertThat(timed.timing().orElseThrow().in()).isEqualTo(Time.ofMillis(20_000));
    assertThat(timed.track()).contains(new TrackId("titles"));
    playback.seek(Time.ofMillis(71_000));
    assertThat(playback.timed(film(), timed).timing().orElseThrow().out())
        .as("no later than the film")
        .isEqualTo(Time.ofMillis(72_000));
    Artboard still = workspace.project().artboards().getFirst();
    assertThat(playback.timed(still, timed).timing()).isEmpty();
  }

  @Test
  void lockedAndHiddenTracksTakeNothingNew() {
    playback.open();
    workspace.apply(
        new ChangeTimeline.PutTrack(
            FILM, new Track.Titles(new TrackId("titles"), "Titles", new ItemState(false, true))));
    assertThat(playback.timed(film(), Layer.of("n", "n", "n")).track())
        .contains(new TrackId("names"));
  }

  @Test
  void theCuesOfATrackThatIsSeenAreListedUnlessAnotherIsChosen() {
    playback.open();
    assertThat(playback.captions().map(Track.Captions::language)).contains("en-GB");
    playback.cueTrackProperty().set(Optional.of(new TrackId("captions-ja")));
    assertThat(playback.captions().map(Track.Captions::language)).contains("ja");
    workspace.apply(new ChangeTimeline.DeleteTrack(FILM, new TrackId("captions-ja")));
    assertThat(playback.captions().map(Track.Captions::language)).contains("en-GB");
  }

  @Test
  void aFilmThatIsGoneIsNotLookedAtAnyMore() {
    playback.open();
    workspace.apply(new ArrangeArtboards.Delete(FILM));
    assertThat(playback.isOpen()).isFalse();
    playback.open();
    assertThat(playback.isOpen()).as("there is none").isFalse();
    workspace.undo();
    playback.open();
    assertThat(playback.isOpen()).isTrue();
    workspace.open(Project.empty("Other"), Optional.empty());
    assertThat(playback.isOpen()).isFalse();
  }
}
