package dynamorph.app.film.action;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.film.Retime;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.timeline.Timing;
import dynamorph.typeset.caption.CueChecks;
import dynamorph.typeset.caption.CueList;
import dynamorph.typeset.caption.CueProblem;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Goes to cues that something is wrong with, and does what can be done about it. */
public final class CueFixes {
  private final OpenFilm film;
  private final Workspace workspace;
  private final Playback playback;
  private final StageView stage;
  private final CueActions cues;

  CueFixes(OpenFilm film, StageView stage, CueActions cues) {
    this.film = film;
    this.workspace = film.workspace();
    this.playback = workspace.playback();
    this.stage = stage;
    this.cues = cues;
  }

  /** Goes to the next of some cues behind the playhead, and from the last to the first. */
  public void toProblem(Collection<LayerId> cues) {
    playback
        .board()
        .ifPresent(board -> {
          List<Layer> sorted =
              board.layers().stream()
                  .filter(layer -> cues.contains(layer.id()))
                  .sorted(java.util.Comparator.comparing(layer -> CueList.time(layer).in()))
                  .toList();
          Optional<LayerId> now = workspace.selection().layers().stream().findFirst();
          int at = now.map(id -> sorted.stream().map(Layer::id).toList().indexOf(id)).orElse(-1);
          Layer next =
              at >= 0
                  ? sorted.get((at + 1) % sorted.size())
                  : sorted.stream()
                      .filter(
                          cue -> CueList.time(cue).in().isAfter(playback.playheadProperty().get()))
                      .findFirst()
                      .orElse(sorted.getFirst());
          show(next);
        });
  }

  /** Selects a cue, lists its track and goes to where it is seen. */
  void show(Layer cue) {
    cue.track().ifPresent(track -> playback.cueTrackProperty().set(Optional.of(track)));
    workspace.select(List.of(cue.id()));
    stage.reveal(cue.id());
  }

  /** Does what can be done about a kind of problem, and says what is left. */
  public void fix(CueProblem.Kind kind, List<LayerId> cues) {
    Optional<Artboard> board = film.board();
    if (board.isEmpty()) {
      return;
    }
    switch (kind) {
      case LINES, LINE_LENGTH ->
          this.cues.breakLines(
              board.get().layers().stream().filter(one -> cues.contains(one.id())).toList());
      case EMPTY -> {
        if (workspace.apply(new ArrangeLayers.Delete(java.util.Set.copyOf(cues)))) {
          workspace.tell(
              Notice.offering(
                  Messages.of("cue-fixes.empty-cue-deleted", cues.size()),
                  Messages.of("common.undo"),
                  workspace::undo));
        }
      }
      case OUTSIDE, CONTRAST, GLYPHS -> openStyle(board.get(), cues);
      case TOO_FAST, TOO_SHORT, TOO_LONG, GAP, OVERLAP -> fixTimes(board.get(), kind, cues);
    }
  }

  /** What cues look like and where they stand is changed where all of them have it from. */
  private void openStyle(Artboard board, List<LayerId> cues) {
    Optional<Layer> first = board.layer(cues.getFirst());
    first.ifPresent(this::show);
    first
        .flatMap(workspace.project()::captionsOf)
        .filter(track -> !track.follows().isEmpty())
        .ifPresentOrElse(
            track -> workspace.attempts().openDesk(track.follows().getLast()),
            () ->
                workspace.tell(
                    Notice.info(Messages.of("cue-fixes.the-track-follows-no-style-change"))));
  }

  private void fixTimes(Artboard board, CueProblem.Kind kind, List<LayerId> cues) {
    Map<LayerId, Timing> changed = new HashMap<>();
    OpenFilm.line(board)
        .captions()
        .filter(track -> !track.state().locked() && !track.state().hidden())
        .forEach(track -> changed.putAll(fixed(CueList.of(board, track), kind)));
    if (changed.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("cue-fixes.there-is-no-room-for-these")));
      return;
    }
    if (workspace.apply(new Retime(changed, Messages.of("cue-fixes.fix-the-times-of")))) {
      long left =
          film.lineNow()
              .captions()
              .filter(track -> !track.state().hidden())
              .flatMap(
                  track -> CueChecks.of(CueList.of(film.board().orElseThrow(), track)).stream())
              .filter(problem -> problem.kind() == kind)
              .count();
      String rest =
          left == 0
              ? Messages.of("cue-fixes.no-cue-is-left-that", kind.label())
              : Messages.of("cue-fixes.of-have-no-room-and-stay", left, cues.size());
      workspace.tell(
          Notice.offering(
              Messages.of("cue-fixes.cue-changed", changed.size(), rest),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }

  private static Map<LayerId, Timing> fixed(CueList list, CueProblem.Kind kind) {
    return switch (kind) {
      case GAP -> list.gapsClosed(list.track().rules().gap());
      case OVERLAP -> list.overlapsCut();
      case TOO_LONG -> list.shortened();
      default -> list.spread();
    };
  }
}
