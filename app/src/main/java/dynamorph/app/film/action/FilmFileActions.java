package dynamorph.app.film.action;

import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.render.FrameService;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.footage.FootageFiles;
import dynamorph.formats.captions.CaptionFiles;
import dynamorph.formats.captions.CellHeights;
import dynamorph.formats.captions.FrameBox;
import dynamorph.formats.captions.Remark;
import dynamorph.formats.export.FilmState;
import dynamorph.formats.file.SafeFile;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.ImportCaptions;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Track;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.FrameSequence;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.application.Platform;

/** Takes captions in from files, and hands captions and frames on. */
public final class FilmFileActions implements AutoCloseable {
  /** Remarks on a file that are told without being asked for. */
  private static final int TOLD_AT_ONCE = 2;

  /** Remarks that are listed; the command line writes all of them. */
  private static final int LISTED = 200;

  private final OpenFilm film;
  private final Workspace workspace;
  private final Playback playback;
  private final Dialogs dialogs;
  private final Supplier<Studio> studio;
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(FrameService.daemon("captions"));

  FilmFileActions(OpenFilm film, Dialogs dialogs, Supplier<Studio> studio) {
    this.film = film;
    this.workspace = film.workspace();
    this.playback = workspace.playback();
    this.dialogs = dialogs;
    this.studio = studio;
  }

  public void importCaptions() {
    film.wanted()
        .ifPresent(board ->
            dialogs.choose(FileQuestion.CAPTIONS).ifPresent(file -> importCaptions(board, file)));
  }

  /** Takes captions into a track of their own. */
  void importCaptions(Artboard board, Path file) {
    FrameBox frame = new FrameBox(board.width(), board.height());
    workspace.tell(Notice.info(Messages.of("film-file-actions.reading", file.getFileName())));
    CellHeights cells = cells();
    worker.execute(() -> {
      try {
        CaptionFiles.Read read = CaptionFiles.read(file, frame, Optional.empty(), cells);
        Platform.runLater(() -> take(board, file, read));
      } catch (IOException | RuntimeException wrong) {
        Platform.runLater(() ->
            workspace.tell(
                Notice.problem(
                    Messages.of("film-file-actions.not-imported", Messages.reason(wrong)))));
      }
    });
  }

  private void take(Artboard board, Path file, CaptionFiles.Read whole) {
    CaptionFiles.Read read = whole.inTimeOf(OpenFilm.line(board));
    String name = file.getFileName().toString();
    Track.Captions track =
        read.track(
            workspace.ids().next("track"),
            OpenFilm.line(board),
            name,
            workspace.project().language());
    long othersSeen =
        OpenFilm.line(board).captions().filter(other -> !other.state().hidden()).count();
    if (workspace.apply(
        new ImportCaptions(board.id(), track, read.captions(), workspace.ids().next("c")))) {
      playback.cueTrackProperty().set(Optional.of(track.id()));
      List<Notice.Offer> offers = new ArrayList<>();
      offers.add(new Notice.Offer.Press(Messages.of("common.undo"), workspace::undo));
      if (read.remarks().size() > TOLD_AT_ONCE) {
        offers.add(
            new Notice.Offer.Press(
                Messages.of("film-file-actions.all-remarks"), () -> tellAll(read.remarks())));
      }
      workspace.tell(
          Notice.offering(
              Messages.of(
                  "film-file-actions.cue-imported-from",
                  read.captions().cues().size(),
                  name,
                  told(read.remarks()),
                  othersSeen),
              offers.toArray(Notice.Offer[]::new)));
    }
  }

  private void tellAll(List<Remark> remarks) {
    String lines =
        remarks.stream().limit(LISTED).map(Remark::toString).collect(Collectors.joining("\n"));
    workspace.tell(
        Notice.info(
            remarks.size() > LISTED
                ? Messages.of("film-file-actions.and-more", lines, remarks.size() - LISTED)
                : lines));
  }

  private CellHeights cells() {
    return CellHeights.of(studio.get().fonts());
  }

  private static String told(List<Remark> remarks) {
    return remarks.isEmpty()
        ? ""
        : Messages.of(
            "film-file-actions.remark",
            remarks.size(),
            String.join("; ", remarks.stream().limit(TOLD_AT_ONCE).map(Remark::toString).toList()));
  }

  public void exportCaptions(Track.Captions track) {
    film.wanted()
        .ifPresent(board ->
            dialogs
                .choose(FileQuestion.SAVED_CAPTIONS, board.name() + "." + track.language() + ".vtt")
                .ifPresent(file -> export(List.of(new CaptionFile(board, track, file)))));
  }

  /** Asks for the file of the track whose cues are listed. */
  public void exportListed() {
    playback.captions().ifPresentOrElse(this::exportCaptions, film::wanted);
  }

  /** All caption tracks into one folder, each in the format that is chosen. */
  public void exportAllCaptions() {
    film.wanted()
        .ifPresent(board ->
            dialogs
                .choose(FileQuestion.SAVED_CAPTIONS, board.name() + ".vtt")
                .ifPresent(file ->
                    export(
                        OpenFilm.line(board)
                            .captions()
                            .map(track ->
                                new CaptionFile(board, track, beside(file, track.language())))
                            .toList())));
  }

  /** The file of one language: {@code film.vtt} becomes {@code film.de.vtt}. */
  private static Path beside(Path file, String language) {
    String name = file.getFileName().toString();
    int dot = name.lastIndexOf('.');
    String plain = dot < 0 ? name : name.substring(0, dot);
    String ending = dot < 0 ? ".vtt" : name.substring(dot);
    return file.resolveSibling(plain + "." + language + ending);
  }

  private record CaptionFile(Artboard board, Track.Captions track, Path file) {
    String name() {
      return file.getFileName().toString();
    }
  }

  /** Writes tracks; what the format leaves behind is told before anything is written. */
  private void export(List<CaptionFile> files) {
    var project = workspace.project();
    CellHeights cells = cells();
    inBackground(() -> {
      List<Remark> left = new ArrayList<>();
      for (CaptionFile one : files) {
        CaptionFiles.Format format = CaptionFiles.Format.of(one.name());
        left.addAll(CaptionFiles.write(project, one.board(), one.track(), format, cells).remarks());
      }
      Platform.runLater(() -> {
        if (left.isEmpty() || agreed(left)) {
          inBackground(() -> write(project, files, cells));
        }
      });
    });
  }

  private boolean agreed(List<Remark> left) {
    List<String> told = left.stream().map(Remark::toString).distinct().toList();
    return dialogs.agrees(
        Messages.of("film-file-actions.some-of-the-look-stays-behind"),
        told.size() == 1 ? told : told.stream().map("\u2022 "::concat).toList(),
        Messages.of("film-file-actions.export"));
  }

  private void write(Project project, List<CaptionFile> files, CellHeights cells)
      throws IOException {
    for (CaptionFile one : files) {
      CaptionFiles.write(project, one.board(), one.track(), one.file(), cells);
    }
    String what =
        files.size() == 1
            ? files.getFirst().name()
            : Messages.of("count.caption-track", files.size());
    Platform.runLater(
        () -> workspace.tell(Notice.info(Messages.of("film-file-actions.exported", what))));
  }

  /** Work on files that may fail. */
  private interface Work {
    void run() throws IOException;
  }

  /** Runs beside the window; a failure is told, and leaves the files as they were. */
  private void inBackground(Work work) {
    worker.execute(() -> {
      try {
        work.run();
      } catch (IOException | RuntimeException failed) {
        Platform.runLater(() ->
            workspace.tell(
                Notice.problem(
                    Messages.of("film-file-actions.not-exported", Messages.reason(failed)))));
      }
    });
  }

  /**
   * Exports the looped part of the film, or all of it, as numbered pictures.
   *
   * @param under whether the footage lies under the titles
   */
  public void exportFrames(FilmPicture.Under under) {
    film.wanted()
        .ifPresent(board ->
            dialogs
                .choose(FileQuestion.FRAMES, board.name())
                .ifPresent(folder -> export(board, folder, under)));
  }

  private void export(Artboard board, Path folder, FilmPicture.Under under) {
    FrameRate rate = OpenFilm.line(board).rate();
    Optional<Playback.Loop> loop = playback.loopProperty().get();
    long first = loop.map(part -> rate.frameAt(part.from())).orElse(0L);
    long last =
        loop.map(part -> rate.frameAt(part.to()) - 1).orElse(OpenFilm.line(board).frames() - 1);
    var project = workspace.project();
    SceneMaker maker = studio.get().maker();
    AtomicBoolean cancelled = new AtomicBoolean();
    long all = last - first + 1;
    tellProgress(0, all, cancelled);
    inBackground(() -> {
      Scene.Board film = maker.make(project).board(board.id()).orElseThrow();
      int workers = Math.max(1, Runtime.getRuntime().availableProcessors() - 1);
      FrameSequence.Outcome outcome;
      try (FootageFiles own = new FootageFiles()) {
        outcome =
            new FrameSequence(picture(maker, project, own), workers)
                .write(
                    new FrameSequence.Order(
                        film, first, last, 1, under, FilmState.of(project, board)),
                    folder,
                    done -> {
                      if (done % 10 == 0) {
                        Platform.runLater(() -> tellProgress(done, all, cancelled));
                      }
                    },
                    cancelled::get);
      }
      Platform.runLater(() ->
          workspace.tell(
              Notice.info(
                  Messages.of(
                      outcome.complete()
                          ? "film-file-actions.frames-exported"
                          : "film-file-actions.frames-stopped",
                      (int) outcome.written(),
                      outcome.kept(),
                      outcome.strangers()))));
    });
  }

  /** With files of its own, or the window's would be sent to and fro. */
  private static FilmPicture picture(SceneMaker maker, Project project, FootageFiles own) {
    return new FilmPicture(maker.painter(), FootagePainter.of(project, own));
  }

  private void tellProgress(long done, long all, AtomicBoolean cancelled) {
    if (!cancelled.get()) {
      workspace.tell(
          Notice.offering(
              Messages.of("film-file-actions.exporting-frames-of", done, all),
              Messages.of("common.cancel"),
              () -> cancelled.set(true)));
    }
  }

  /** The frame at the playhead as a picture. */
  public void exportFrame() {
    film.wanted()
        .ifPresent(board ->
            dialogs
                .choose(
                    FileQuestion.SAVED_PICTURE,
                    board.name()
                        + " "
                        + OpenFilm.line(board)
                            .codeAt(playback.playheadProperty().get())
                            .replaceAll("[:;]", "-")
                        + ".png")
                .ifPresent(file -> exportFrame(board, file)));
  }

  private void exportFrame(Artboard board, Path file) {
    var project = workspace.project();
    SceneMaker maker = studio.get().maker();
    Time at = playback.playheadProperty().get();
    inBackground(() -> {
      Scene.Board film = maker.make(project).board(board.id()).orElseThrow();
      byte[] png;
      try (FootageFiles own = new FootageFiles()) {
        png = picture(maker, project, own).png(film, at, 1, FilmPicture.Under.FOOTAGE);
      }
      SafeFile.write(file, stream -> stream.write(png));
      Platform.runLater(() ->
          workspace.tell(
              Notice.info(Messages.of("film-file-actions.exported", file.getFileName()))));
    });
  }

  @Override
  public void close() {
    worker.shutdownNow();
  }
}
