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
import dynamorph.paint.scene.Scene;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ScreeningTest {
  private static final ArtboardId FILM = new ArtboardId("film");
  private final Workspace workspace = new Workspace(prefix -> prefix + "-1", LongHour.project());
  private final Screening screening = workspace.screening();

  private Layer layer(String id) {
    return workspace.project().layer(new LayerId(id)).orElseThrow();
  }

  private Artboard film() {
    return workspace.project().artboard(FILM).orElseThrow();
  }

  @Test
  void theArtboardsAreLookedAtUntilAFilmIsOpened() {
    assertThat(screening.sight()).isEqualTo(new Scene.Sight.Still());
    screening.open();
    assertThat(screening.sight()).isEqualTo(new Scene.Sight.Film(FILM, Time.ZERO));
    screening.seek(Time.ofMillis(5000));
    screening.close();
    screening.open();
    assertThat(screening.playheadProperty().get())
        .as("the film is where it was left")
        .isEqualTo(Time.ofMillis(5000));
  }

  @Test
  void thePlayheadStandsOnFramesWithinTheFilm() {
    screening.open();
    screening.seek(Time.ofMillis(1015));
    assertThat(screening.playheadProperty().get()).isEqualTo(Time.ofMillis(1000));
    screening.step(3);
    assertThat(screening.playheadProperty().get()).isEqualTo(Time.ofMillis(1120));
    screening.step(-300);
    assertThat(screening.playheadProperty().get()).isEqualTo(Time.ZERO);
    screening.seek(Time.ofMillis(999_000));
    assertThat(screening.playheadProperty().get()).isEqualTo(Time.ofMillis(71_960));
  }

  @Test
  void editsAreInAndOutPointsOfWhatIsSeen() {
    screening.open();
    screening.toEdit(true);
    assertThat(screening.playheadProperty().get()).isEqualTo(Time.ofMillis(1000));
    screening.toEdit(true);
    assertThat(screening.playheadProperty().get()).isEqualTo(Time.ofMillis(8400));
    screening.toEdit(false);
    screening.toEdit(false);
    assertThat(screening.playheadProperty().get()).isEqualTo(Time.ZERO);
    screening.toEdit(false);
    assertThat(screening.playheadProperty().get()).isEqualTo(Time.ZERO);
  }

  @Test
  void aTitleIsBroughtIntoSightWhenItIsWhollyThere() {
    assertThat(screening.bring(layer("name-nour"))).isTrue();
    assertThat(screening.isOpen()).isTrue();
    Timing timing = layer("name-nour").timing().orElseThrow();
    assertThat(timing.visibility(screening.playheadProperty().get())).isEqualTo(1);
    assertThat(screening.bring(layer("name-nour"))).as("it is in sight").isFalse();
    assertThat(screening.bring(layer("web-title"))).isTrue();
    assertThat(screening.isOpen()).isFalse();
  }

  @Test
  void aTextThatComesToAFilmIsSeenFromThePlayheadOn() {
    screening.open();
    screening.seek(Time.ofMillis(20_000));
    Layer timed = screening.timed(film(), Layer.of("n", "n", "n"));
    assertThat(timed.timing().orElseThrow().in()).isEqualTo(Time.ofMillis(20_000));
    assertThat(timed.track()).contains(new TrackId("titles"));
    screening.seek(Time.ofMillis(71_000));
    assertThat(screening.timed(film(), timed).timing().orElseThrow().out())
        .as("no later than the film")
        .isEqualTo(Time.ofMillis(72_000));
    Artboard still = workspace.project().artboards().getFirst();
    assertThat(screening.timed(still, timed).timing()).isEmpty();
  }

  @Test
  void lockedAndHiddenTracksTakeNothingNew() {
    screening.open();
    workspace.apply(
        new ChangeTimeline.PutTrack(
            FILM, new Track.Titles(new TrackId("titles"), "Titles", new Track.State(false, true))));
    assertThat(screening.timed(film(), Layer.of("n", "n", "n")).track())
        .contains(new TrackId("names"));
  }

  @Test
  void theCuesOfATrackThatIsSeenAreListedUnlessAnotherIsChosen() {
    screening.open();
    assertThat(screening.captions().map(Track.Captions::language)).contains("en-GB");
    screening.cueTrackProperty().set(Optional.of(new TrackId("captions-ja")));
    assertThat(screening.captions().map(Track.Captions::language)).contains("ja");
    workspace.apply(new ChangeTimeline.DeleteTrack(FILM, new TrackId("captions-ja")));
    assertThat(screening.captions().map(Track.Captions::language)).contains("en-GB");
  }

  @Test
  void aFilmThatIsGoneIsNotLookedAtAnyMore() {
    screening.open();
    workspace.apply(new ArrangeArtboards.Delete(FILM));
    assertThat(screening.isOpen()).isFalse();
    screening.open();
    assertThat(screening.isOpen()).as("there is none").isFalse();
    workspace.undo();
    screening.open();
    assertThat(screening.isOpen()).isTrue();
    workspace.open(Project.empty("Other"), Optional.empty());
    assertThat(screening.isOpen()).isFalse();
  }
}
