package dynamorph.app.styles.reach;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.render.Frame;
import dynamorph.app.render.FrameService;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.reach.Examination;
import dynamorph.paint.reach.ReachedText;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Keeps a report of what the picked style or the pending change reaches. Texts are looked at on a
 * thread of their own, those that seem most urgent first; what is known so far is shown at once,
 * and a newer change takes the place of one that is still being looked at.
 */
public final class ReachWatch implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(ReachWatch.class);

  /** Between two reports on the way. */
  private static final long PAUSE_NANOS = 150_000_000;

  /** Looks kept, so that leaving texts out does not look at the others again. */
  private static final int KEPT = 20_000;

  /**
   * @param compared the project without the pending change, if there is one
   * @param followers those that follow the picked style, if there is none
   */
  private record Request(
      long number,
      String title,
      Optional<Project> compared,
      Scene after,
      List<LayerId> followers,
      Set<LayerId> heldBack,
      SceneMaker maker) {}

  /** A look depends on what stands there before and after, by identity. */
  private record Pair(Optional<PlacedLayer> before, PlacedLayer after) {
    @Override
    public boolean equals(Object other) {
      return other instanceof Pair pair
          && pair.after == after
          && pair.before.orElse(null) == before.orElse(null);
    }

    @Override
    public int hashCode() {
      return System.identityHashCode(after) * 31 + System.identityHashCode(before.orElse(null));
    }
  }

  private final Workspace workspace;
  private final StageView stage;
  private final ReadOnlyObjectWrapper<Optional<ReachReport>> report =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(FrameService.daemon("reach"));
  private final LayerPainter painter = new LayerPainter();
  private final AtomicReference<@Nullable Request> next = new AtomicReference<>();
  private final Map<Pair, ReachedText> looked = new HashMap<>();
  private volatile boolean busy;
  private final Supplier<Studio> studio;
  private volatile Optional<Scene> before = Optional.empty();
  private Followers followers;
  private long number;

  public ReachWatch(Workspace workspace, StageView stage, Supplier<Studio> studio) {
    this.workspace = workspace;
    this.stage = stage;
    this.studio = studio;
    this.followers = Followers.of(workspace.project());
    stage.frameProperty().addListener((_, _, frame) -> frame.ifPresent(this::framed));
    workspace.pickedStyleProperty().addListener((_, _, _) -> update());
    workspace.attempts().presentProperty().addListener((_, _, _) -> update());
    update();
  }

  /** What is known now; empty when no style is picked and nothing is pending. */
  public ReadOnlyObjectProperty<Optional<ReachReport>> reportProperty() {
    return report.getReadOnlyProperty();
  }

  /** Whether nothing is left to look at. */
  public boolean isIdle() {
    return next.get() == null && !busy;
  }

  private void framed(Frame frame) {
    if (frame.whole().project() == workspace.project()) {
      before = Optional.of(frame.whole());
    }
    update();
  }

  private void update() {
    Optional<Scene> scene = stage.whole();
    Optional<StyleId> style =
        workspace
            .attempts()
            .present()
            .desk()
            .map(desk -> desk.original().id())
            .or(() -> workspace.pickedStyleProperty().get())
            .filter(id -> workspace.project().styles().find(id).isPresent());
    boolean comparing = workspace.attempts().pending().isPresent();
    if (scene.isEmpty() || !comparing && style.isEmpty()) {
      next.set(null);
      report.set(Optional.empty());
      return;
    }
    request(scene.get(), style, comparing);
  }

  private void request(Scene scene, Optional<StyleId> style, boolean comparing) {
    String title =
        workspace
            .attempts()
            .present()
            .review()
            .map(review -> review.title())
            .orElseGet(() ->
                style.flatMap(workspace.project().styles()::find).map(Style::name).orElse(""));
    Set<LayerId> held = workspace.attempts().heldBackProperty().get();
    Request request =
        new Request(
            ++number,
            title,
            comparing ? Optional.of(workspace.project()) : Optional.empty(),
            scene,
            comparing ? List.of() : followersOf(style.orElseThrow()),
            held,
            studio.get().maker());
    boolean waiting = next.getAndSet(request) != null;
    if (!waiting && !worker.isShutdown()) {
      worker.execute(this::work);
    }
  }

  private List<LayerId> followersOf(StyleId style) {
    followers = followers.follow(workspace.project());
    return followers.of(style).stream().map(follower -> follower.layer().id()).toList();
  }

  /** Those that look different, and those that would if they were not held back. */
  private static List<LayerId> changed(Scene before, Scene after, Set<LayerId> held) {
    Set<LayerId> changed = new LinkedHashSet<>();
    for (Scene.Board board : after.boards()) {
      for (PlacedLayer text : board.texts()) {
        LayerId id = text.layer().id();
        PlacedLayer was = before.find(id).map(Scene.Found::text).orElse(null);
        boolean same =
            was == text
                || was != null
                    && was.look().equals(text.look())
                    && was.story().equals(text.story());
        if (!same || held.contains(text.text())) {
          changed.add(id);
        }
      }
    }
    return List.copyOf(changed);
  }

  // --- on the worker
  // ---------------------------------------------------------------------------------------------

  private void work() {
    busy = true;
    Request request = next.getAndSet(null);
    try {
      if (request != null) {
        examine(request);
      }
    } catch (RuntimeException failed) {
      LOG.error("what a change reaches could not be looked at", failed);
    } finally {
      busy = false;
    }
  }

  private void examine(Request request) {
    Optional<Scene> earlier = request.compared.map(project -> sceneOf(project, request));
    List<LayerId> ids =
        earlier
            .map(scene -> changed(scene, request.after, request.heldBack))
            .orElse(request.followers);
    Examination examination =
        new Examination(earlier, request.after, painter, workspace.footageOfChecks());
    List<ReachedText> texts = new ArrayList<>();
    List<ReachedText> open = new ArrayList<>();
    for (LayerId id : ids) {
      if (next.get() != null) {
        return;
      }
      examination
          .glance(id)
          .ifPresent(glanced -> {
            ReachedText known = looked.get(pair(glanced));
            if (known == null) {
              open.add(glanced);
            } else {
              texts.add(known);
            }
          });
    }
    open.sort(ReachedText.MOST_URGENT);
    publish(request, ids, texts, open);
    long told = System.nanoTime();
    if (looked.size() > KEPT) {
      looked.clear();
    }
    while (!open.isEmpty()) {
      if (next.get() != null) {
        return;
      }
      ReachedText done = examination.look(open.removeFirst());
      looked.put(pair(done), done);
      texts.add(done);
      if (System.nanoTime() - told > PAUSE_NANOS) {
        publish(request, ids, texts, open);
        told = System.nanoTime();
      }
    }
    publish(request, ids, texts, open);
  }

  /** The stage may not have shown the project without the change yet. */
  private Scene sceneOf(Project project, Request request) {
    Optional<Scene> shown = before.filter(scene -> scene.project() == project);
    if (shown.isPresent()) {
      return shown.get();
    }
    Scene made = request.maker.make(project, before.orElse(request.after));
    before = Optional.of(made);
    return made;
  }

  private static Pair pair(ReachedText text) {
    return new Pair(text.before().map(Scene.Found::text), text.after().text());
  }

  private void publish(
      Request request, List<LayerId> ids, List<ReachedText> done, List<ReachedText> open) {
    List<ReachedText> all = new ArrayList<>(done);
    all.addAll(open);
    boolean comparing = request.compared.isPresent();
    if (comparing) {
      all.sort(ReachedText.MOST_URGENT);
    } else {
      Map<LayerId, Integer> order = new HashMap<>();
      ids.forEach(id -> order.put(id, order.size()));
      all.sort(java.util.Comparator.comparing(text -> order.get(text.id())));
    }
    List<ReachReport.Entry> entries =
        all.stream()
            .map(text ->
                new ReachReport.Entry(
                    text,
                    LocalChanges.count(text.before().orElse(text.after()).text().layer()),
                    request.heldBack.contains(text.after().text().text())))
            .toList();
    ReachReport told = new ReachReport(request.title, comparing, entries, done.size(), all.size());
    Platform.runLater(() -> {
      if (request.number == number) {
        report.set(Optional.of(told));
      }
    });
  }

  @Override
  public void close() {
    worker.shutdownNow();
  }
}
