package dynamorph.app.timeline;

import dynamorph.app.background.FrameService;
import dynamorph.app.workspace.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.typeset.caption.CueChecks;
import dynamorph.typeset.caption.CueList;
import dynamorph.typeset.caption.CueProblem;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Knows what is wrong with the cues of the film that is looked at; found out on its own thread. */
public final class CueWatch implements AutoCloseable {
  private final Workspace workspace;
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(FrameService.daemon("cues"));
  private final AtomicReference<Artboard> next = new AtomicReference<>();
  private final ReadOnlyObjectWrapper<Map<LayerId, List<CueProblem>>> problems =
      new ReadOnlyObjectWrapper<>(Map.of());
  private Artboard checked;
  private volatile boolean busy;

  public CueWatch(Workspace workspace) {
    this.workspace = workspace;
    workspace.shownProperty().addListener((_, _, _) -> update());
    workspace.screening().filmProperty().addListener((_, _, _) -> update());
  }

  /** The problems by cue. */
  public ReadOnlyObjectProperty<Map<LayerId, List<CueProblem>>> problemsProperty() {
    return problems.getReadOnlyProperty();
  }

  public List<CueProblem> of(LayerId cue) {
    return problems.get().getOrDefault(cue, List.of());
  }

  public boolean isIdle() {
    return next.get() == null && !busy;
  }

  private void update() {
    Artboard board = workspace.screening().board().orElse(null);
    if (board == null) {
      checked = null;
      problems.set(Map.of());
    } else if (board != checked) {
      checked = board;
      boolean waiting = next.getAndSet(board) != null;
      if (!waiting && !worker.isShutdown()) {
        worker.execute(this::work);
      }
    }
  }

  private void work() {
    busy = true;
    Artboard board = next.getAndSet(null);
    try {
      if (board != null) {
        Map<LayerId, List<CueProblem>> found = found(board);
        Platform.runLater(() -> problems.set(found));
      }
    } finally {
      busy = false;
    }
  }

  private static Map<LayerId, List<CueProblem>> found(Artboard board) {
    Map<LayerId, List<CueProblem>> found = new HashMap<>();
    board
        .timeline()
        .orElseThrow()
        .captions()
        .forEach(track -> {
          CueList list = CueList.of(board, track);
          for (int index = 0; index < list.cues().size(); index++) {
            List<CueProblem> own = CueChecks.of(list, index);
            if (!own.isEmpty()) {
              found.put(list.cues().get(index).id(), own);
            }
          }
        });
    return Map.copyOf(found);
  }

  @Override
  public void close() {
    worker.shutdownNow();
  }
}
