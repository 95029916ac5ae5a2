package dynamorph.app.film.action;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.stage.Window;

/**
 * The film that is looked at, for whatever is done with it.
 *
 * @param window that questions are asked over
 */
record OpenFilm(Workspace workspace, Supplier<Window> window) {
  Optional<Artboard> board() {
    return workspace.playback().board();
  }

  /** The same; says what to do if there is none. */
  Optional<Artboard> wanted() {
    Optional<Artboard> board = board();
    if (board.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("open-film.open-a-film-first-timeline-at")));
    }
    return board;
  }

  static Timeline line(Artboard board) {
    return board.timeline().orElseThrow();
  }

  /** The timeline as it is after what was just done. */
  Timeline lineNow() {
    return line(board().orElseThrow());
  }

  List<Layer> selected(Artboard board) {
    return board.layers().stream()
        .filter(layer -> workspace.selection().contains(layer.id()))
        .toList();
  }

  List<Timing> selectedTimings(Artboard board) {
    return selected(board).stream().flatMap(layer -> layer.timing().stream()).toList();
  }

  /** Tells what was done, with a way back. */
  void told(String words) {
    workspace.tell(Notice.offering(words, Messages.of("common.undo"), workspace::undo));
  }
}
