package dynamorph.app.sheet;

import dynamorph.app.render.FrameService;
import dynamorph.app.session.Workspace;
import dynamorph.model.Project;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.SheetOrder;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Lists, sorts and groups the texts that are shown, beside the interface thread. */
final class SheetWatch implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(SheetWatch.class);

  /**
   * @param shown the project with what is tried in it
   */
  private record Request(Project project, Project shown, SheetOrder order) {}

  private final Workspace workspace;
  private final BooleanProperty open;
  private final ObjectProperty<SheetOrder> order = new SimpleObjectProperty<>(SheetOrder.USUAL);
  private final ReadOnlyObjectWrapper<Optional<Sheet>> sheet =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(FrameService.daemon("sheet"));
  private final AtomicReference<@Nullable Request> next = new AtomicReference<>();
  private volatile boolean busy;

  SheetWatch(Workspace workspace) {
    this.workspace = workspace;
    this.open = workspace.view().sheetProperty();
    workspace.shownProperty().addListener((_, _, _) -> update());
    order.addListener((_, _, _) -> update());
    open.addListener((_, _, _) -> update());
    update();
  }

  ObjectProperty<SheetOrder> orderProperty() {
    return order;
  }

  /** The texts as they are listed; empty before they were for the first time. */
  ReadOnlyObjectProperty<Optional<Sheet>> sheetProperty() {
    return sheet.getReadOnlyProperty();
  }

  /** Whether the list is that of what is shown. */
  boolean isIdle() {
    return next.get() == null && !busy;
  }

  private void update() {
    if (!open.get() || worker.isShutdown()) {
      return;
    }
    Request request =
        new Request(workspace.project(), workspace.shownProperty().get(), order.get());
    if (next.getAndSet(request) == null) {
      worker.execute(this::work);
    }
  }

  private void work() {
    busy = true;
    Request request = next.getAndSet(null);
    if (request == null) {
      busy = false;
      return;
    }
    try {
      Sheet listed = Sheet.of(request.project(), request.order()).showing(request.shown());
      Platform.runLater(() -> {
        sheet.set(Optional.of(listed));
        busy = false;
      });
    } catch (RuntimeException failed) {
      LOG.error("the texts could not be listed", failed);
      busy = false;
    }
  }

  @Override
  public void close() {
    worker.shutdownNow();
  }
}
