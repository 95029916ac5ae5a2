package dynamorph.app.film.action;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.formats.table.TableReader;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.film.ChangeTimeline;
import dynamorph.model.edit.film.Retime;
import dynamorph.model.edit.importing.ImportTitles;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.fill.DataTable;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What can be done with titles, and with cues as far as it is the same. */
public final class TitleActions {
  private static final Time FADE = Time.ofMillis(400);

  private final OpenFilm film;
  private final Workspace workspace;
  private final Playback playback;
  private final StageView stage;
  private final Dialogs dialogs;

  TitleActions(OpenFilm film, StageView stage, Dialogs dialogs) {
    this.film = film;
    this.workspace = film.workspace();
    this.playback = workspace.playback();
    this.stage = stage;
    this.dialogs = dialogs;
  }

  public void addTitle() {
    film.wanted()
        .ifPresent(board -> {
          if (OpenFilm.line(board).titles().findAny().isEmpty()) {
            workspace.tell(Notice.info(Messages.of("title-actions.add-a-track-of-titles-first")));
            return;
          }
          Layer like = film.selected(board).stream().findFirst().orElse(null);
          Layer title =
              Layer.of(
                      workspace.ids().next("title"),
                      Messages.of("title-actions.title"),
                      Messages.of("title-actions.title"))
                  .withFollows(
                      like != null && workspace.project().captionsOf(like).isEmpty()
                          ? like.follows()
                          : List.of())
                  .withFrame(
                      dynamorph.model.property.PropertySet.EMPTY.with(
                          dynamorph.model.property.Properties.ANCHOR,
                          dynamorph.model.value.Anchor.CENTRE));
          if (workspace.apply(
              new ArrangeLayers.Add(
                  board.id(), List.of(playback.timed(board, title)), Messages.of("common.add")))) {
            stage.afterNextFrame(() -> {
              workspace
                  .selectionProperty()
                  .set(Selection.editing(title.id(), 0, title.story().length()));
              stage.requestFocus();
            });
          }
        });
  }

  /** Cuts the selected texts in two at the playhead, or all that are seen. */
  public void split() {
    film.wanted()
        .ifPresent(board -> {
          Time at = playback.playheadProperty().get();
          boolean some = !workspace.selection().isEmpty();
          Map<LayerId, LayerId> halves = new LinkedHashMap<>();
          for (Layer layer : some ? film.selected(board) : board.layers()) {
            boolean open =
                layer
                    .track()
                    .flatMap(OpenFilm.line(board)::track)
                    .filter(track -> !track.state().locked() && !track.state().hidden())
                    .isPresent();
            if (open
                && layer
                    .timing()
                    .filter(own -> own.in().isBefore(at) && at.isBefore(own.out()))
                    .isPresent()) {
              halves.put(layer.id(), new LayerId(workspace.ids().next("title")));
            }
          }
          if (halves.isEmpty()) {
            workspace.tell(
                Notice.info(Messages.of("title-actions.nothing-is-seen-at-the-playhead")));
          } else {
            workspace.apply(new ChangeTimeline.Split(board.id(), halves, at));
          }
        });
  }

  public void deleteClosingGap() {
    film.wanted()
        .ifPresent(board -> {
          if (!workspace.selection().isEmpty()) {
            workspace.apply(
                new ChangeTimeline.DeleteClosingGap(board.id(), workspace.selection().layers()));
          }
        });
  }

  /** Lets the selected texts appear and vanish softly, or at once if they all do that. */
  public void fade() {
    retime(
        Messages.of("title-actions.fade"),
        timings -> {
          boolean all =
              timings.stream()
                  .allMatch(
                      own -> own.fadeIn().isAfter(Time.ZERO) && own.fadeOut().isAfter(Time.ZERO));
          Time wanted = all ? Time.ZERO : FADE;
          return own -> own.withFades(wanted, wanted);
        });
  }

  /** Lets the selected texts begin, or end, at the playhead. */
  public void trimToPlayhead(boolean in) {
    Time at = playback.playheadProperty().get();
    retime(
        Messages.of("common.trim"),
        _ ->
            own ->
                in
                    ? at.isBefore(own.out()) ? own.between(at, own.out()) : own
                    : own.in().isBefore(at) ? own.between(own.in(), at) : own);
  }

  private void retime(
      String verb,
      java.util.function.Function<List<Timing>, java.util.function.UnaryOperator<Timing>> change) {
    film.wanted()
        .ifPresent(board -> {
          var changed = change.apply(film.selectedTimings(board));
          Map<LayerId, Timing> now = new LinkedHashMap<>();
          for (Layer layer : film.selected(board)) {
            layer.timing().ifPresent(own -> now.put(layer.id(), changed.apply(own)));
          }
          if (now.isEmpty()) {
            workspace.tell(Notice.info(Messages.of("title-actions.select-titles-or-cues-of-the")));
          } else {
            workspace.apply(new Retime(now, verb));
          }
        });
  }

  /** Selects everything that lies on the tracks of what is selected. */
  public void selectTrack() {
    film.wanted()
        .ifPresent(board -> {
          var tracks =
              film.selected(board).stream()
                  .flatMap(layer -> layer.track().stream())
                  .collect(java.util.stream.Collectors.toSet());
          workspace.select(
              board.layers().stream()
                  .filter(layer -> layer.track().filter(tracks::contains).isPresent())
                  .map(Layer::id)
                  .toList());
        });
  }

  public void titlesFromTable() {
    Optional<Artboard> board = film.wanted();
    Optional<Layer> pattern =
        board.flatMap(film ->
            this.film.selected(film).stream()
                .filter(layer -> layer.isText() && layer.timing().isPresent())
                .findFirst());
    if (board.isPresent() && pattern.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("title-actions.select-the-title-that-the-others")));
      return;
    }
    if (board.isEmpty()) {
      return;
    }
    dialogs
        .choose(FileQuestion.TABLE)
        .ifPresent(file -> {
          try {
            takeTable(board.get(), pattern.get(), TableReader.read(file));
          } catch (IOException wrong) {
            workspace.tell(
                Notice.problem(Messages.of("title-actions.not-imported", Messages.reason(wrong))));
          }
        });
  }

  private void takeTable(Artboard board, Layer pattern, DataTable table) {
    ImportTitles titles =
        new ImportTitles(
            board.id(),
            pattern.id(),
            table,
            ImportTitles.roles(table),
            pattern.timing().orElseThrow().out(),
            Time.ZERO,
            workspace.ids().next("title"));
    TitleTableDialog.ask(film.window().get(), workspace.project(), OpenFilm.line(board), titles)
        .ifPresent(wanted -> {
          List<ImportTitles.Made> made = wanted.made(workspace.project());
          if (workspace.apply(wanted)) {
            List<Layer> there = made.stream().flatMap(one -> one.title().stream()).toList();
            workspace.select(there.stream().map(Layer::id).toList());
            List<String> refused =
                made.stream()
                    .filter(one -> one.title().isEmpty())
                    .map(one -> Messages.of("title-actions.line", one.row().line(), one.why()))
                    .toList();
            String report =
                Messages.of(
                    "title-actions.title-made",
                    there.size(),
                    (refused.isEmpty()
                        ? ""
                        : Messages.of(
                            "title-actions.row-refused",
                            refused.size(),
                            String.join("; ", refused.stream().limit(3).toList()))));
            workspace.tell(Notice.offering(report, Messages.of("common.undo"), workspace::undo));
          }
        });
  }
}
