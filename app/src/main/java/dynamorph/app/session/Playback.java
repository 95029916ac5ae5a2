package dynamorph.app.session;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.paint.scene.Scene;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;

/** Which film is looked at instead of the artboards, and what moment of it. */
public final class Playback {
  /** How long a title is seen that was just made. */
  private static final Time NEW_TITLE = Time.ofMillis(5000);

  /**
   * A part of the film that is played over and over.
   *
   * @param from first moment
   * @param to first moment behind it
   */
  public record Loop(Time from, Time to) {}

  private static final double MOST_SPEED = 16;
  private final ReadOnlyDoubleWrapper speed = new ReadOnlyDoubleWrapper(1);

  private final Workspace workspace;
  private final ObjectProperty<Optional<ArtboardId>> film =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Time> playhead = new SimpleObjectProperty<>(Time.ZERO);
  private final BooleanProperty playing = new SimpleBooleanProperty();
  private final BooleanProperty safeAreasShown = new SimpleBooleanProperty(true);
  private final BooleanProperty coarse = new SimpleBooleanProperty();
  private final ObjectProperty<Optional<Loop>> loop = new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<TrackId>> cueTrack =
      new SimpleObjectProperty<>(Optional.empty());

  Playback(Workspace workspace) {
    this.workspace = workspace;
  }

  /** The film that is looked at; empty while the artboards are. */
  public ObjectProperty<Optional<ArtboardId>> filmProperty() {
    return film;
  }

  /** The moment that is seen; always the beginning of a frame. */
  public ObjectProperty<Time> playheadProperty() {
    return playhead;
  }

  public BooleanProperty playingProperty() {
    return playing;
  }

  /** How fast it plays: 1 as it was made, negative backwards. */
  public ReadOnlyDoubleProperty speedProperty() {
    return speed;
  }

  /** Plays as it was made, or stops. */
  public void playOrPause() {
    speed.set(1);
    playing.set(!playing.get());
  }

  /**
   * Plays on in a direction, twice as fast each time; where it stood or went the other way, it
   * begins as it was made.
   */
  public void shuttle(boolean forward) {
    double direction = forward ? 1 : -1;
    boolean going = playing.get() && Math.signum(speed.get()) == direction;
    double faster = Math.min(MOST_SPEED, Math.abs(speed.get()) * 2);
    speed.set(going ? direction * faster : direction);
    playing.set(true);
  }

  public BooleanProperty safeAreasShownProperty() {
    return safeAreasShown;
  }

  /** Whether half of the pixels do while a film plays. */
  public BooleanProperty coarseProperty() {
    return coarse;
  }

  public ObjectProperty<Optional<Loop>> loopProperty() {
    return loop;
  }

  /** The caption track whose cues are listed. */
  public ObjectProperty<Optional<TrackId>> cueTrackProperty() {
    return cueTrack;
  }

  public boolean isOpen() {
    return film.get().isPresent();
  }

  /** The film that is looked at, as it is shown. */
  public Optional<Artboard> board() {
    return film.get().flatMap(workspace.shownProperty().get()::artboard).filter(Artboard::isFilm);
  }

  public Optional<Timeline> timeline() {
    return board().flatMap(Artboard::timeline);
  }

  /** The caption track whose cues are listed; the first that is seen if none was chosen. */
  public Optional<Track.Captions> captions() {
    return timeline()
        .flatMap(line ->
            cueTrack
                .get()
                .flatMap(line::track)
                .filter(Track.Captions.class::isInstance)
                .map(Track.Captions.class::cast)
                .or(() -> line.captions().filter(track -> !track.state().hidden()).findFirst())
                .or(() -> line.captions().findFirst()));
  }

  /** What the stage shows. */
  public Scene.Sight sight() {
    return film.get()
        .<Scene.Sight>map(id -> new Scene.Sight.Film(id, playhead.get()))
        .orElseGet(Scene.Sight.Still::new);
  }

  /** Looks at the artboards again. */
  public void close() {
    playing.set(false);
    film.set(Optional.empty());
  }

  /** Looks at the first film of the project, or at the one that was looked at last. */
  public void open() {
    Optional<Artboard> wanted =
        last.flatMap(workspace.project()::artboard)
            .filter(Artboard::isFilm)
            .or(() -> workspace.project().films().findFirst());
    wanted.ifPresent(board -> open(board.id()));
  }

  private Optional<ArtboardId> last = Optional.empty();

  public void open(ArtboardId wanted) {
    if (!film.get().equals(Optional.of(wanted))) {
      boolean other = !last.equals(Optional.of(wanted));
      last = Optional.of(wanted);
      film.set(last);
      if (other) {
        loop.set(Optional.empty());
        cueTrack.set(Optional.empty());
        seek(Time.ZERO);
      }
    }
  }

  /** Goes to the frame that is seen at a moment, within the film. */
  public void seek(Time moment) {
    timeline()
        .ifPresent(line -> {
          long frame = Math.clamp(line.rate().frameAt(moment), 0, Math.max(0, line.frames() - 1));
          playhead.set(line.rate().at(frame));
        });
  }

  /** Goes on or back by frames. */
  public void step(long frames) {
    timeline().ifPresent(line -> seek(playhead.get().plus(line.rate().at(frames))));
  }

  /** Goes to the nearest in or out point of a text or clip before or behind the playhead. */
  public void toEdit(boolean forward) {
    Time now = playhead.get();
    board()
        .ifPresent(board ->
            edits(board)
                .filter(edit -> forward ? edit.isAfter(now) : edit.isBefore(now))
                .reduce((one, other) -> one.isBefore(other) == forward ? one : other)
                .ifPresent(this::seek));
  }

  private static java.util.stream.Stream<Time> edits(Artboard board) {
    Timeline line = board.timeline().orElseThrow();
    java.util.stream.Stream<Time> texts =
        board.layers().stream()
            .flatMap(layer -> layer.timing().stream())
            .filter(timing ->
                line.track(timing.track()).filter(track -> !track.state().hidden()).isPresent())
            .flatMap(timing -> java.util.stream.Stream.of(timing.in(), timing.out()));
    java.util.stream.Stream<Time> clips =
        line.footage()
            .flatMap(track -> track.clips().stream())
            .flatMap(clip -> java.util.stream.Stream.of(clip.in(), clip.out()));
    java.util.stream.Stream<Time> ends =
        java.util.stream.Stream.of(Time.ZERO, line.rate().at(Math.max(0, line.frames() - 1)));
    return java.util.stream.Stream.concat(ends, java.util.stream.Stream.concat(texts, clips))
        .map(line.rate()::snap);
  }

  /**
   * Looks at where a text stands: its film at a moment when it is seen, or the artboards. Returns
   * whether that is something else than was looked at.
   */
  public boolean bring(Layer layer) {
    Project project = workspace.shownProperty().get();
    Optional<Artboard> board = project.artboardOf(layer.id());
    if (board.isEmpty() || !board.get().isFilm()) {
      boolean was = isOpen();
      close();
      return was;
    }
    boolean same = film.get().equals(Optional.of(board.get().id()));
    open(board.get().id());
    Optional<Timing> timing = layer.timing();
    boolean live = timing.filter(own -> own.visibility(playhead.get()) == 1).isPresent();
    if (timing.isPresent() && !live) {
      Time whole = timing.get().in().plus(timing.get().fadeIn());
      Time frame = board.get().timeline().orElseThrow().rate().frame();
      // the first frame that begins when it is wholly there
      seek(whole.plus(frame).minus(new Time(1)));
      if (!timing.get().isLive(playhead.get())) {
        seek(timing.get().in());
      }
    }
    return !same || !live;
  }

  /** A text as it comes to a film at the playhead: on the topmost open track of titles. */
  public Layer timed(Artboard board, Layer layer) {
    if (!board.isFilm()) {
      return layer.withTiming(Optional.empty());
    }
    Timeline line = board.timeline().orElseThrow();
    return layer.withTiming(
        line.titles()
            .filter(track -> !track.state().locked() && !track.state().hidden())
            .findFirst()
            .map(track -> {
              Time in = Time.min(playhead.get(), line.rate().at(Math.max(0, line.frames() - 1)));
              Time out = Time.min(in.plus(NEW_TITLE), line.duration());
              return Timing.of(track.id(), in, Time.max(out, in.plus(line.rate().frame())));
            }));
  }

  /** What is looked at may be gone after a change of the project. */
  void follow(Project project) {
    if (film.get().flatMap(project::artboard).filter(Artboard::isFilm).isEmpty()) {
      close();
    }
  }
}
