package dynamorph.paint.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.ItemState;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.reach.Legibility;
import dynamorph.paint.reach.SeenCues;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.stage.StageRenderer;
import dynamorph.paint.stage.View;
import dynamorph.typeset.caption.CueProblem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FilmPictureTest {
  private static final TrackId TITLES = new TrackId("titles");
  private static final Rgba RED = Rgba.of(255, 0, 0);

  private static Layer title(String id, long in, long out) {
    return Painting.text(
            id,
            "IIII",
            PropertySet.EMPTY
                .with(Properties.SIZE, FontSize.points(60))
                .with(Properties.COAT_COLOUR.at(Painting.FILL), Colour.of(RED)))
        .withTiming(Timing.of(TITLES, Time.ofMillis(in), Time.ofMillis(out)));
  }

  private static Project film(Optional<Media.Scenery> scenery, Layer... layers) {
    List<Clip> clips = new ArrayList<>();
    scenery.ifPresent(shown ->
        clips.add(
            new Clip("c", "c", new Media.Drawn(shown), Time.ZERO, Time.ofMillis(9000), Time.ZERO)));
    Timeline line =
        Timeline.of(FrameRate.PAL, Time.ofMillis(10_000))
            .plus(new Track.Titles(TITLES, "Titles", ItemState.OPEN))
            .plus(Track.Captions.of("cues", "Cues", "en"))
            .plus(new Track.Footage(new TrackId("f"), "Footage", ItemState.OPEN, clips));
    return Project.empty("P")
        .plus(
            Artboard.empty("film", "Film", 320, 180, LengthUnit.PIXEL)
                .withBackground(Colour.hex("#ffffff"))
                .withTimeline(Optional.of(line))
                .withLayers(List.of(layers)));
  }

  private static Scene.Board board(Project project) {
    return Painting.maker().make(project).boards().getFirst();
  }

  private static FilmPicture picture() {
    return new FilmPicture(new LayerPainter(), new FootagePainter(MediaSource.NONE));
  }

  private static Pixels frame(Project project, long millis, FilmPicture.Under under) {
    Scene.Board film = board(project);
    return Pixels.draw(
        320, 180, canvas -> picture().paint(canvas, film, Time.ofMillis(millis), under));
  }

  @Test
  void aTextIsSeenFromItsInPointToItsOutPoint() {
    Project project = film(Optional.empty(), title("t", 2000, 3000));
    FilmPicture.Under under = FilmPicture.Under.FOOTAGE;
    assertThat(Painting.count(frame(project, 1960, under), RED)).isZero();
    assertThat(Painting.count(frame(project, 2000, under), RED)).isPositive();
    assertThat(Painting.count(frame(project, 2960, under), RED)).isPositive();
    assertThat(Painting.count(frame(project, 3000, under), RED)).isZero();
  }

  @Test
  void aFadingTextIsMixedWithWhatLiesUnderIt() {
    Layer fading =
        title("t", 0, 4000)
            .withTiming(
                Timing.of(TITLES, Time.ZERO, Time.ofMillis(4000))
                    .withFades(Time.ofMillis(2000), Time.ZERO));
    Pixels half = frame(film(Optional.empty(), fading), 1000, FilmPicture.Under.FOOTAGE);
    int mixed = 0;
    for (int y = 0; y < 180; y++) {
      for (int x = 0; x < 320; x++) {
        Rgba pixel = new Rgba(half.argb(x, y));
        mixed += pixel.red() == 255 && Math.abs(pixel.green() - 127) <= 2 ? 1 : 0;
      }
    }
    assertThat(mixed).as("inside of letters").isGreaterThan(100);
    assertThat(Painting.count(half, RED)).isZero();
  }

  @Test
  void titlesAloneLieOverNothing() {
    Project project = film(Optional.of(Media.Scenery.DIAL), title("t", 0, 4000));
    Pixels alone = frame(project, 100, FilmPicture.Under.NOTHING);
    assertThat(alone.argb(310, 170)).isZero();
    assertThat(Painting.count(alone, RED)).isPositive();
    assertThat(frame(project, 100, FilmPicture.Under.FOOTAGE).argb(310, 170) >>> 24).isEqualTo(255);
  }

  @ParameterizedTest
  @EnumSource(Media.Scenery.class)
  void footageMovesAndIsTheSameForTheSameFrame(Media.Scenery scenery) {
    Project project = film(Optional.of(scenery));
    FilmPicture.Under under = FilmPicture.Under.FOOTAGE;
    assertThat(frame(project, 1000, under).bytes()).isEqualTo(frame(project, 1000, under).bytes());
    assertThat(frame(project, 1000, under).bytes())
        .isNotEqualTo(frame(project, 1240, under).bytes());
    assertThat(frame(project, 9500, under).argb(5, 5)).as("after the clip").isEqualTo(0xFFFFFFFF);
  }

  @Test
  void hiddenTracksAreNotSeen() {
    Project project =
        film(Optional.empty(), title("t", 0, 4000))
            .mapArtboards(board ->
                board.mapTimeline(
                    line -> line.mapTracks(track -> track.withState(new ItemState(true, false)))));
    assertThat(Painting.count(frame(project, 100, FilmPicture.Under.FOOTAGE), RED)).isZero();
  }

  @Test
  void theStageShowsTheFrameThatIsExported() {
    Project project =
        film(Optional.of(Media.Scenery.GEARS), title("t", 0, 4000), title("later", 5000, 6000));
    Scene scene = Painting.maker().make(project);
    Scene.Sight.Film sight =
        new Scene.Sight.Film(project.artboards().getFirst().id(), Time.ofMillis(1000));
    Pixels stage = Pixels.blank(320, 180);
    try (StageRenderer renderer = new StageRenderer(new LayerPainter(), Runnable::run, 0)) {
      assertThat(
              renderer.render(
                  scene.in(sight), new View(320, 180, 1, 0, 0), Rgba.BLACK, stage, () -> false))
          .isTrue();
    }
    Pixels exported = frame(project, 1000, FilmPicture.Under.FOOTAGE);
    int different = 0;
    for (int y = 0; y < 180; y++) {
      for (int x = 0; x < 320; x++) {
        Rgba one = new Rgba(stage.argb(x, y));
        Rgba other = new Rgba(exported.argb(x, y));
        different += Math.abs(one.red() - other.red()) > 2 ? 1 : 0;
      }
    }
    // tiles lie on whole pixels of the stage, so that edges of letters may differ by a little
    assertThat(different).isLessThan(320 * 180 / 200);
    assertThat(scene.in(new Scene.Sight.Still()).boards()).isEmpty();
  }

  @Test
  void whatIsPaintedAheadIsWhatIsShown() {
    Project project = film(Optional.empty(), title("t", 0, 1000), title("later", 2000, 3000));
    Scene scene = Painting.maker().make(project);
    var id = project.artboards().getFirst().id();
    View view = new View(320, 180, 1, 0, 0);
    Scene.Sight.Film now = new Scene.Sight.Film(id, Time.ZERO);
    Scene.Sight.Film then = new Scene.Sight.Film(id, Time.ofMillis(2000));
    Pixels ahead = Pixels.blank(320, 180);
    Pixels plain = Pixels.blank(320, 180);
    List<Runnable> waiting = new ArrayList<>();
    try (StageRenderer renderer = new StageRenderer(new LayerPainter(), Runnable::run, 0);
        StageRenderer other = new StageRenderer(new LayerPainter(), Runnable::run, 0)) {
      renderer.render(scene.in(now), view, Rgba.BLACK, ahead, () -> false);
      renderer.prepare(scene.soon(now, Time.ofMillis(2500)), view, 60, waiting::add);
      assertThat(waiting).as("the one that shows is painted").hasSize(1);
      renderer.prepare(scene.near(now), view, 60, waiting::add);
      assertThat(waiting).as("none is painted twice").hasSize(1);
      waiting.forEach(Runnable::run);
      renderer.render(scene.in(then), view, Rgba.BLACK, ahead, () -> false);
      other.render(scene.in(then), view, Rgba.BLACK, plain, () -> false);
    }
    assertThat(ahead.bytes()).isEqualTo(plain.bytes());
  }

  @Test
  void aSequenceGoesOnWhereItStopped(@TempDir Path folder) throws IOException {
    Project project = film(Optional.of(Media.Scenery.PENDULUM), title("t", 0, 4000));
    FrameSequence sequence = new FrameSequence(picture(), 2);
    FrameSequence.Order order =
        new FrameSequence.Order(board(project), 10, 29, 0.25, FilmPicture.Under.FOOTAGE, "one");
    AtomicLong seen = new AtomicLong();
    FrameSequence.Outcome stopped = sequence.write(order, folder, seen::set, () -> seen.get() >= 6);
    assertThat(stopped.complete()).isFalse();
    List<Long> progress = Collections.synchronizedList(new ArrayList<>());
    FrameSequence.Outcome rest = sequence.write(order, folder, progress::add, () -> false);
    assertThat(rest.complete()).isTrue();
    assertThat(rest.kept()).isEqualTo(stopped.written());
    assertThat(rest.written() + rest.kept()).isEqualTo(20);
    assertThat(progress).hasSize(20);
    try (var files = Files.list(folder)) {
      assertThat(frames(files)).hasSize(20).startsWith("000010.png").endsWith("000029.png");
    }
    assertThatThrownBy(() ->
            new FrameSequence.Order(board(project), 5, 4, 1, FilmPicture.Under.FOOTAGE, "one"))
        .hasMessageContaining("5 to 4");
  }

  private static List<String> frames(Stream<Path> files) {
    return files
        .map(file -> file.getFileName().toString())
        .filter(name -> name.endsWith(".png"))
        .sorted()
        .toList();
  }

  @Test
  void framesOfAnotherStateAreNotKept(@TempDir Path folder) throws IOException {
    Project project = film(Optional.of(Media.Scenery.PENDULUM), title("t", 0, 4000));
    FrameSequence sequence = new FrameSequence(picture(), 2);
    sequence.write(order(project, 10, 19, "one"), folder, _ -> {}, () -> false);
    // broken off at once: nothing of the first state may look as if it were of the second
    FrameSequence.Outcome stopped =
        sequence.write(order(project, 12, 15, "two"), folder, _ -> {}, () -> true);
    assertThat(stopped.written()).isZero();
    assertThat(stopped.strangers()).as("10, 11 and 16 to 19 stay, and that is told").isEqualTo(6);
    try (var files = Files.list(folder)) {
      assertThat(frames(files)).doesNotContain("000012.png", "000015.png").hasSize(6);
    }
    FrameSequence.Outcome rest =
        sequence.write(order(project, 12, 15, "two"), folder, _ -> {}, () -> false);
    assertThat(rest.written()).isEqualTo(4);
    assertThat(rest.kept()).isZero();
  }

  private static FrameSequence.Order order(Project project, long first, long last, String state) {
    return new FrameSequence.Order(
        board(project), first, last, 0.25, FilmPicture.Under.FOOTAGE, state);
  }

  @Test
  void cuesThatCannotBeReadOrMayBeCutOffAreFound() {
    Layer cue =
        title("c", 0, 4000)
            .withTiming(Timing.of(new TrackId("cues"), Time.ZERO, Time.ofMillis(4000)))
            .withLocal(
                PropertySet.EMPTY
                    .with(Properties.SIZE, FontSize.points(30))
                    .with(Properties.POSITION_X, 2.0)
                    .with(Properties.COAT_COLOUR.at(Painting.FILL), Colour.hex("#fdfdfd")));
    Scene scene = Painting.maker().make(film(Optional.of(Media.Scenery.DIAL), cue));
    SeenCues seen =
        new SeenCues(new Legibility(new LayerPainter(), new FootagePainter(MediaSource.NONE)));
    assertThat(
            seen
                .of(
                    scene.find(cue.id()).orElseThrow(),
                    dynamorph.model.timeline.CaptionRules.USUAL,
                    false)
                .stream()
                .map(CueProblem::kind))
        .containsExactly(CueProblem.Kind.OUTSIDE, CueProblem.Kind.CONTRAST);
    Scene dark = Painting.maker().make(film(Optional.of(Media.Scenery.GEARS), cue));
    assertThat(
            seen
                .of(
                    dark.find(cue.id()).orElseThrow(),
                    dynamorph.model.timeline.CaptionRules.USUAL,
                    false)
                .stream()
                .map(CueProblem::kind))
        .containsExactly(CueProblem.Kind.OUTSIDE);
  }
}
