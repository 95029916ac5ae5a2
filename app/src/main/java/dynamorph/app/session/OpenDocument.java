package dynamorph.app.session;

import dynamorph.model.IdSource;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.History;
import java.nio.file.Path;
import java.util.Optional;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The project that is open, its history and its file. */
public final class OpenDocument {
  private final IdSource ids;
  private final ReadOnlyObjectWrapper<History> history;
  private final ReadOnlyObjectWrapper<Optional<Path>> file =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyIntegerWrapper opened = new ReadOnlyIntegerWrapper();

  OpenDocument(IdSource ids, Project project) {
    this.ids = ids;
    this.history = new ReadOnlyObjectWrapper<>(History.unsaved(project));
  }

  public IdSource ids() {
    return ids;
  }

  public Project project() {
    return history.get().present();
  }

  public ReadOnlyObjectProperty<History> historyProperty() {
    return history.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Optional<Path>> fileProperty() {
    return file.getReadOnlyProperty();
  }

  /** Counts the projects opened so far, so that views can begin afresh with each. */
  public ReadOnlyIntegerProperty openedProperty() {
    return opened.getReadOnlyProperty();
  }

  /** A name for a style that none has yet. */
  public String freeName(String wanted) {
    String name = wanted;
    for (int number = 2; project().styles().named(name).isPresent(); number++) {
      name = wanted + " " + number;
    }
    return name;
  }

  void open(Project project, Optional<Path> from) {
    history.set(from.isPresent() ? History.opened(project) : History.unsaved(project));
    file.set(from);
  }

  void restore(History restored, Optional<Path> from) {
    history.set(restored);
    file.set(from);
  }

  /** Tells views that another project is open, once everything else about it is in place. */
  void announce() {
    opened.set(opened.get() + 1);
  }

  void saved(Project project, Path to) {
    file.set(Optional.of(to));
    history.set(history.get().savedAs(project));
  }

  /**
   * Applies an edit; those of one gesture make one step.
   *
   * @throws EditRefused if the edit makes no sense
   */
  void apply(Edit edit, Optional<Object> gesture) {
    history.set(history.get().apply(edit, gesture));
  }

  /** Ends a gesture: the next edit is a step of its own. */
  void endGesture() {
    history.set(history.get().sealed());
  }

  void undo() {
    history.set(history.get().undo());
  }

  void move(int steps) {
    history.set(history.get().moved(steps));
  }

  void redo() {
    history.set(history.get().redo());
  }
}
