package dynamorph.app.film.action;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.files.Dialogs;
import dynamorph.app.message.Messages;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Conditions;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.footage.FootageFiles;
import dynamorph.formats.captions.CaptionFiles;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import dynamorph.paint.film.FilmPicture;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.stage.Window;

/** What can be done with a film: playing it, its settings, and by kind all the rest. */
public final class FilmActions implements AutoCloseable {
  private final OpenFilm film;
  private final Workspace workspace;
  private final Playback playback;
  private final TrackActions tracks;
  private final FootageActions footage;
  private final TitleActions titles;
  private final CueActions cues;
  private final CueFixes fixes;
  private final FilmFileActions files;

  public FilmActions(
      Workspace workspace,
      StageView stage,
      Dialogs dialogs,
      Supplier<Studio> studio,
      Supplier<Window> window) {
    this.film = new OpenFilm(workspace, window);
    this.workspace = workspace;
    this.playback = workspace.playback();
    this.tracks = new TrackActions(film);
    this.footage = new FootageActions(film, dialogs);
    this.titles = new TitleActions(film, stage, dialogs);
    this.cues = new CueActions(film);
    this.fixes = new CueFixes(film, stage, cues);
    this.files = new FilmFileActions(film, dialogs, studio);
  }

  /** Registers what can be done with films. */
  public void register(Actions actions, Conditions when) {
    actions.add("film.new", "", this::newFilm);
    actions.add("film.settings", "", when.film(), this::filmSettings);
    actions.add("film.play", "", when.film(), this::playOrPause);
    actions.add("film.play-forward", "", when.film(), () -> playback.shuttle(true));
    actions.add("film.play-backward", "", when.film(), () -> playback.shuttle(false));
    actions.add("film.next-frame", "Alt+RIGHT", when.film(), () -> playback.step(1));
    actions.add("film.previous-frame", "Alt+LEFT", when.film(), () -> playback.step(-1));
    actions.add("film.next-edit", "Alt+Shift+RIGHT", when.film(), () -> playback.toEdit(true));
    actions.add("film.previous-edit", "Alt+Shift+LEFT", when.film(), () -> playback.toEdit(false));
    actions.add("film.add-title", "", when.film(), titles::addTitle);
    actions.add("film.add-cue", "Alt+C", when.film(), cues::addCue);
    actions.add("film.split", "Alt+S", when.film(), titles::split);
    actions.add("film.trim-in", "Alt+I", when.film(), () -> titles.trimToPlayhead(true));
    actions.add("film.trim-out", "Alt+O", when.film(), () -> titles.trimToPlayhead(false));
    actions.add("film.fade", "Alt+F", when.film(), titles::fade);
    actions.add("film.ripple-delete", "Shift+DELETE", when.film(), titles::deleteClosingGap);
    actions.add("film.select-track", "Alt+A", when.film(), titles::selectTrack);
    actions.add(
        "film.safe-areas",
        "",
        when.film(),
        () -> playback.safeAreasShownProperty().set(!playback.safeAreasShownProperty().get()));
    actions.add(
        "film.half-resolution",
        "",
        when.film(),
        () -> playback.coarseProperty().set(!playback.coarseProperty().get()));
    actions.add("film.add-footage", "", when.film(), footage::addFromFile);
    actions.add("film.relink-footage", "", when.film(), footage::findMissing);
    actions.add("film.import-captions", "", when.film(), files::importCaptions);
    actions.add("film.export-captions", "", when.film(), files::exportListed);
    actions.add("film.export-all-captions", "", when.film(), files::exportAllCaptions);
    actions.add("film.export-frame", "", when.film(), files::exportFrame);
    actions.add(
        "film.export-frames", "", when.film(), () -> files.exportFrames(FilmPicture.Under.FOOTAGE));
    actions.add(
        "film.export-titles", "", when.film(), () -> files.exportFrames(FilmPicture.Under.NOTHING));
  }

  public TrackActions tracks() {
    return tracks;
  }

  public FootageActions footage() {
    return footage;
  }

  public TitleActions titles() {
    return titles;
  }

  public CueActions cues() {
    return cues;
  }

  public CueFixes fixes() {
    return fixes;
  }

  public FilmFileActions files() {
    return files;
  }

  /** Takes files in: captions into tracks of their own, anything else as footage of a track. */
  public void takeIn(List<Path> dropped, FootageActions.Place place) {
    for (Path file : dropped) {
      if (CaptionFiles.Format.isOne(file.getFileName().toString())) {
        film.wanted().ifPresent(board -> files.importCaptions(board, file));
      } else {
        footage.add(file, place);
      }
    }
  }

  /** Whether a file is captions or a video, which only films hold. */
  public boolean takesIn(Path file) {
    return CaptionFiles.Format.isOne(file.getFileName().toString())
        || !FootageFiles.isPicture(file) && !ProjectFile.isNamedSo(file);
  }

  /** Takes a file in at the playhead. */
  public void takeIn(Path file) {
    takeIn(List.of(file), footage.playhead());
  }

  public void playOrPause() {
    if (playback.isOpen()) {
      playback.playOrPause();
    }
  }

  /** Plays what is selected over and over, the whole film if nothing is. */
  public void loop(boolean wanted) {
    if (!wanted) {
      playback.loopProperty().set(Optional.empty());
      return;
    }
    playback
        .board()
        .ifPresent(board -> {
          List<Timing> selected = film.selectedTimings(board);
          Time from = selected.stream().map(Timing::in).min(Time::compareTo).orElse(Time.ZERO);
          Time to =
              selected.stream()
                  .map(Timing::out)
                  .max(Time::compareTo)
                  .orElse(OpenFilm.line(board).duration());
          playback.loopProperty().set(Optional.of(new Playback.Loop(from, to)));
          playback.seek(from);
        });
  }

  public void newFilm() {
    String id = workspace.ids().next("film");
    long number = workspace.project().films().count() + 1;
    FilmSettings start =
        new FilmSettings(
            Messages.of("film-actions.film", number),
            1920,
            1080,
            new dynamorph.model.timeline.Timecode(FrameRate.PAL, false),
            0,
            Time.ofMillis(60_000));
    FilmDialogs.settings(film.window().get(), Messages.of("film-actions.new-film"), start)
        .ifPresent(made -> {
          Timeline timeline =
              made.on(Timeline.of(made.timecode().rate(), made.duration()))
                  .plus(
                      new Track.Titles(
                          new TrackId(workspace.ids().next("track")),
                          Messages.of("film-actions.titles"),
                          ItemState.OPEN))
                  .plus(
                      new Track.Footage(
                          new TrackId(workspace.ids().next("track")),
                          Messages.of("film-actions.footage"),
                          ItemState.OPEN,
                          List.of()));
          Artboard board =
              Artboard.empty(
                      id,
                      made.name(),
                      made.width(),
                      made.height(),
                      dynamorph.model.LengthUnit.PIXEL)
                  .withBackground(dynamorph.model.value.Colour.hex("#10161b"))
                  .withTimeline(Optional.of(timeline));
          if (workspace.apply(new dynamorph.model.edit.layer.ArrangeArtboards.Add(board))) {
            playback.open(board.id());
          }
        });
  }

  public void filmSettings() {
    film.wanted()
        .ifPresent(board -> {
          Timeline line = OpenFilm.line(board);
          FilmSettings start =
              new FilmSettings(
                  board.name(),
                  board.width(),
                  board.height(),
                  line.timecode(),
                  line.firstFrame(),
                  line.duration());
          FilmDialogs.settings(
                  film.window().get(), Messages.of("film-actions.film-settings"), start)
              .ifPresent(made ->
                  workspace.apply(
                      new dynamorph.model.edit.layer.ArrangeArtboards.Change(
                          board
                              .withName(made.name())
                              .withSize(made.width(), made.height())
                              .withTimeline(Optional.of(made.on(line))))));
        });
  }

  @Override
  public void close() {
    footage.close();
    files.close();
  }
}
