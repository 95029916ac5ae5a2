package dynamorph.app.film.cues;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.render.FrameService;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.model.timeline.Track;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.reach.Legibility;
import dynamorph.paint.reach.SeenCues;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.caption.CueChecks;
import dynamorph.typeset.caption.CueList;
import dynamorph.typeset.caption.CueProblem;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.jspecify.annotations.Nullable;

/**
 * Knows what is wrong with the cues of the film that is looked at; found out on its own thread.
 * What words and times tell comes at once, what has to be set and painted follows, and a newer
 * state of the film takes the place of one that is still being looked at.
 */
public final class CueWatch implements AutoCloseable {
  /** Between two reports on the way. */
  private static final long PAUSE_NANOS = 200_000_000;

  /** Looks kept; beyond that they are begun afresh. */
  private static final int KEPT = 30_000;

  private record Request(Artboard board, Optional<Scene> scene) {}

  private final Workspace workspace;
  private final StageView stage;
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(FrameService.daemon("cues"));
  private final AtomicReference<@Nullable Request> next = new AtomicReference<>();
  private final ReadOnlyObjectWrapper<Map<LayerId, List<CueProblem>>> problems =
      new ReadOnlyObjectWrapper<>(Map.of());
  private final LayerPainter painter = new LayerPainter();
  private final Map<PlacedLayer, List<CueProblem>> seen = new IdentityHashMap<>();
  private @Nullable Object seenOver;
  private @Nullable Artboard checked;
  private @Nullable Scene looked;
  private volatile boolean busy;
  private final Object pausing = new Object();
  private volatile boolean playing;

  public CueWatch(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
    workspace.shownProperty().addListener((_, _, _) -> update());
    workspace.playback().filmProperty().addListener((_, _, _) -> update());
    stage.frameProperty().addListener((_, _, _) -> update());
    workspace.playback().playingProperty().addListener((_, _, now) -> setPlaying(now));
  }

  /**
   * Checks that look at footage wait while the film plays, which needs all that the machine has.
   */
  private void setPlaying(boolean now) {
    synchronized (pausing) {
      playing = now;
      pausing.notifyAll();
    }
  }

  private void awaitPause() {
    synchronized (pausing) {
      while (playing && next.get() == null && !worker.isShutdown()) {
        try {
          pausing.wait(100);
        } catch (InterruptedException closing) {
          Thread.currentThread().interrupt();
          return;
        }
      }
    }
  }

  /** The problems by cue. */
  public ReadOnlyObjectProperty<Map<LayerId, List<CueProblem>>> problemsProperty() {
    return problems.getReadOnlyProperty();
  }

  public List<CueProblem> of(LayerId cue) {
    return problems.get().getOrDefault(cue, List.of());
  }

  public boolean isIdle() {
    return next.get() == null && (!busy || playing);
  }

  private void update() {
    Artboard board = workspace.playback().board().orElse(null);
    if (board == null) {
      checked = null;
      looked = null;
      next.set(null);
      problems.set(Map.of());
      return;
    }
    Optional<Scene> scene =
        stage.whole().filter(made -> made.project() == workspace.shownProperty().get());
    boolean newScene = scene.isPresent() && scene.get() != looked;
    if (board != checked || newScene) {
      checked = board;
      looked = scene.orElse(looked);
      boolean waiting = next.getAndSet(new Request(board, scene)) != null;
      if (!waiting && !worker.isShutdown()) {
        worker.execute(this::work);
      }
    }
  }

  // --- on the worker
  // ---------------------------------------------------------------------------------------------

  private void work() {
    busy = true;
    Request request = next.getAndSet(null);
    try {
      if (request != null) {
        Map<LayerId, List<CueProblem>> found = told(request.board);
        request.scene.ifPresentOrElse(scene -> look(request, scene, found), () -> publish(found));
      }
    } finally {
      busy = false;
    }
  }

  private void publish(Map<LayerId, List<CueProblem>> found) {
    Map<LayerId, List<CueProblem>> copy = Map.copyOf(found);
    Platform.runLater(() -> problems.set(copy));
  }

  private static Map<LayerId, List<CueProblem>> told(Artboard board) {
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
    return found;
  }

  private void look(Request request, Scene scene, Map<LayerId, List<CueProblem>> found) {
    Object over = List.of(request.board.timeline().orElseThrow().footage().toList());
    if (!over.equals(seenOver) || seen.size() > KEPT) {
      seenOver = over;
      seen.clear();
    }
    SeenCues cues =
        new SeenCues(
            new Legibility(
                painter, FootagePainter.of(scene.project(), workspace.footageOfChecks())));
    long shown = System.nanoTime();
    publish(withKnown(request, scene, found));
    for (Track.Captions track : request.board.timeline().orElseThrow().captions().toList()) {
      for (var cue : request.board.on(track.id())) {
        Optional<Scene.Found> there = scene.find(cue.id());
        awaitPause();
        if (next.get() != null || there.isEmpty()) {
          return;
        }
        if (!seen.containsKey(there.get().text())) {
          boolean broken = CueList.lines(cue).size() > 1;
          seen.put(there.get().text(), cues.of(there.get(), track.rules(), broken));
        }
        if (System.nanoTime() - shown > PAUSE_NANOS) {
          publish(withKnown(request, scene, found));
          shown = System.nanoTime();
        }
      }
    }
    publish(withKnown(request, scene, found));
  }

  private Map<LayerId, List<CueProblem>> withKnown(
      Request request, Scene scene, Map<LayerId, List<CueProblem>> found) {
    Map<LayerId, List<CueProblem>> all = new HashMap<>(found);
    for (var layer : request.board.layers()) {
      List<CueProblem> own =
          scene.find(layer.id()).map(there -> seen.get(there.text())).orElse(null);
      if (own != null && !own.isEmpty()) {
        List<CueProblem> both = new ArrayList<>(found.getOrDefault(layer.id(), List.of()));
        own.stream()
            .filter(problem -> both.stream().noneMatch(one -> one.kind() == problem.kind()))
            .forEach(both::add);
        all.put(layer.id(), List.copyOf(both));
      }
    }
    return all;
  }

  @Override
  public void close() {
    worker.shutdownNow();
  }
}
