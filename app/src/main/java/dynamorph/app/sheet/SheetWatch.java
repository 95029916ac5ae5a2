package dynamorph.app.sheet;

import dynamorph.app.message.Messages;
import dynamorph.app.render.LatestWork;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.Project;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.view.SheetOrder;
import java.util.Optional;
import javafx.application.Platform;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;

/** Lists, sorts and groups the texts that are shown, beside the interface thread. */
final class SheetWatch implements AutoCloseable {
  /**
   * @param shown the project with what is tried in it
   */
  private record Request(Project project, Project shown, SheetOrder order) {}

  private final Workspace workspace;
  private final BooleanProperty open;
  private final ObjectProperty<SheetOrder> order = new SimpleObjectProperty<>(SheetOrder.USUAL);
  private final ReadOnlyObjectWrapper<Optional<Sheet>> sheet =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final LatestWork<Request> work;

  /** What was listed last, for the thread that lists. */
  private Optional<Sheet> latest = Optional.empty();

  SheetWatch(Workspace workspace) {
    this.workspace = workspace;
    this.open = workspace.view().sheetProperty();
    this.work =
        new LatestWork<>(
            "sheet",
            this::list,
            _ -> workspace.tell(Notice.problem(Messages.of("sheet.cannot-be-listed"))));
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
    return work.isIdle();
  }

  private void update() {
    if (open.get()) {
      work.ask(new Request(workspace.project(), workspace.shownProperty().get(), order.get()));
    }
  }

  private void list(Request request) {
    Sheet own = Sheet.of(request.project(), request.order(), latest);
    latest = Optional.of(own);
    Sheet listed = own.showing(request.shown());
    Platform.runLater(() -> sheet.set(Optional.of(listed)));
  }

  @Override
  public void close() {
    work.close();
  }
}
