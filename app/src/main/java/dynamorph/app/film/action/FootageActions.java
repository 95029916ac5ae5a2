package dynamorph.app.film.action;

import static java.util.Objects.requireNonNull;

import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.files.ImageFile;
import dynamorph.app.message.Messages;
import dynamorph.app.render.FrameService;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.footage.FootageFiles;
import dynamorph.footage.FootageInfo;
import dynamorph.model.Artboard;
import dynamorph.model.edit.ChangeProject;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.film.ChangeTimeline;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.application.Platform;

/** Puts footage under films: videos, numbered pictures, stills, and what is drawn by code. */
public final class FootageActions implements AutoCloseable {
  /** How long a still stays, and what is drawn by code. */
  private static final Time STANDS = Time.ofMillis(10_000);

  private final OpenFilm film;
  private final Workspace workspace;
  private final Dialogs dialogs;
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(FrameService.daemon("footage-facts"));

  FootageActions(OpenFilm film, Dialogs dialogs) {
    this.film = film;
    this.workspace = film.workspace();
    this.dialogs = dialogs;
  }

  /** A moment on a track; without a track on the first one that takes footage. */
  public record Place(Optional<TrackId> track, Time at) {}

  Place playhead() {
    return new Place(Optional.empty(), workspace.playback().playheadProperty().get());
  }

  /** Asks for a video or pictures and puts them at the playhead. */
  public void addFromFile() {
    film.wanted()
        .ifPresent(
            _ -> dialogs.choose(FileQuestion.FOOTAGE).ifPresent(file -> add(file, playhead())));
  }

  /** Something that needs no file, or a picture that the project has already. */
  public void addDrawn() {
    film.wanted()
        .ifPresent(board -> {
          Map<String, Media> choices = new LinkedHashMap<>();
          for (Media.Scenery scenery : Media.Scenery.values()) {
            choices.put(
                Messages.of("footage-actions.procedural", scenery.label()),
                new Media.Drawn(scenery));
          }
          workspace.project().assets().stream()
              .filter(dynamorph.model.Asset::isImage)
              .forEach(asset ->
                  choices.put(
                      Messages.of("footage-actions.image", asset.shortName()),
                      new Media.Still(asset.shortName())));
          FilmDialogs.choice(
                  film.window().get(),
                  Messages.of("footage-actions.footage"),
                  List.copyOf(choices.keySet()))
              .ifPresent(choice -> {
                Media media = requireNonNull(choices.get(choice));
                workspace.apply(placed(board, playhead(), nameOf(media), media, STANDS));
              });
        });
  }

  private static String nameOf(Media media) {
    return switch (media) {
      case Media.Drawn(Media.Scenery scenery) -> scenery.label();
      case Media.Still(String asset) -> asset;
      case Media.File(String path) -> path;
    };
  }

  /** Puts a file on a track: a video, numbered pictures, or a picture that the project takes in. */
  void add(Path file, Place place) {
    film.wanted()
        .ifPresent(board -> {
          FrameRate rate = OpenFilm.line(board).rate();
          worker.execute(() -> {
            try {
              boolean picture = FootageFiles.isPicture(file);
              int numbered = picture ? FootageFiles.numberedLike(file) : 0;
              Runnable then =
                  numbered == 1
                      ? still(ImageFile.read(file), place)
                      : moving(file, numbered, FootageFiles.facts(file, rate), place);
              Platform.runLater(then);
            } catch (IOException | IllegalArgumentException wrong) {
              tell(wrong);
            }
          });
        });
  }

  private void tell(Exception wrong) {
    Platform.runLater(() ->
        workspace.tell(
            Notice.problem(Messages.of("footage-actions.not-added", Messages.reason(wrong)))));
  }

  private Runnable still(ImageFile image, Place place) {
    String name = image.asset().shortName();
    return () ->
        film.board()
            .ifPresent(board ->
                workspace.apply(
                    Edit.together(
                        Messages.of("footage-actions.add-the-image", name),
                        new ChangeProject.PutAsset(image.asset()),
                        placed(board, place, name, new Media.Still(name), STANDS))));
  }

  /**
   * @param numbered how many pictures it is made of; 0 for a video
   */
  private Runnable moving(Path file, int numbered, FootageInfo facts, Place place) {
    String path = written(file);
    String name = file.getFileName().toString();
    return () ->
        film.board()
            .ifPresent(board -> {
              if (workspace.apply(
                  placed(board, place, name, new Media.File(path), facts.duration()))) {
                String what =
                    numbered > 0
                        ? Messages.of("footage-actions.image-sequence", numbered, name)
                        : name;
                film.told(
                    Messages.of("footage-actions.added", what, facts.width(), facts.height()));
              }
            });
  }

  private Edit placed(Artboard board, Place place, String name, Media media, Time lasts) {
    Timeline line = OpenFilm.line(board);
    Time in = Time.min(line.rate().snap(place.at), line.duration().minus(line.rate().frame()));
    Time out =
        Time.max(
            in.plus(line.rate().frame()),
            line.rate().snap(Time.min(in.plus(lasts), line.duration())));
    Clip clip = new Clip(workspace.ids().next("clip"), name, media, in, out, Time.ZERO);
    Track.Footage to =
        line.footage()
            .filter(track -> place.track.isEmpty() || place.track.get().equals(track.id()))
            .filter(track -> !track.state().locked())
            .findFirst()
            .orElseGet(() ->
                new Track.Footage(
                    new TrackId(workspace.ids().next("track")),
                    Messages.of("footage-actions.footage"),
                    ItemState.OPEN,
                    List.of()));
    List<Clip> clips = new ArrayList<>(to.clips());
    clips.add(clip);
    return new ChangeTimeline.PutTrack(board.id(), to.withClips(clips));
  }

  /** Asks for the file of the first clip whose file is not there. */
  public void findMissing() {
    film.wanted()
        .flatMap(board ->
            OpenFilm.line(board)
                .footage()
                .flatMap(track -> track.clips().stream())
                .filter(clip -> !FootageFiles.isThere(clip.media()))
                .findFirst())
        .ifPresentOrElse(
            this::findAgain,
            () ->
                workspace.tell(
                    Notice.info(Messages.of("footage-actions.no-footage-of-this-film-is"))));
  }

  /**
   * Asks where the file of a clip is now. What else is missing from the same folder and is found
   * beside it is found with it.
   */
  public void findAgain(Clip clip) {
    if (!(clip.media() instanceof Media.File(String before))) {
      return;
    }
    dialogs
        .choose(FileQuestion.FOOTAGE)
        .ifPresent(file ->
            worker.execute(() -> {
              try {
                FootageFiles.facts(file, FrameRate.PAL);
                Path folder = requireNonNull(file.toAbsolutePath().normalize().getParent());
                Platform.runLater(() -> replace(before, file, folder));
              } catch (IOException wrong) {
                tell(wrong);
              }
            }));
  }

  private void replace(String before, Path file, Path folder) {
    Map<String, String> paths = new HashMap<>();
    workspace
        .project()
        .media()
        .filter(media -> !FootageFiles.isThere(media))
        .forEach(media -> {
          if (media instanceof Media.File(String path) && folderOf(path).equals(folderOf(before))) {
            Path beside = folder.resolve(path.substring(folderOf(path).length()));
            if (Files.isRegularFile(beside)) {
              paths.put(path, written(beside));
            }
          }
        });
    paths.put(before, written(file));
    workspace.apply(new ChangeTimeline.FindMedia(paths));
  }

  private static String written(Path file) {
    return file.toAbsolutePath().normalize().toString().replace('\\', '/');
  }

  private static String folderOf(String path) {
    return path.substring(0, path.lastIndexOf('/') + 1);
  }

  @Override
  public void close() {
    worker.shutdownNow();
  }
}
