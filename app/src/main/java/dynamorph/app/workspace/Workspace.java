package dynamorph.app.workspace;

import dynamorph.model.IdSource;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.ChangeStyle;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Follow;
import dynamorph.model.edit.History;
import dynamorph.model.edit.Target;
import dynamorph.model.figure.Figure;
import dynamorph.model.property.Address;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;

/**
 * The one place that views read and change. A change goes in as an edit and comes out as a new
 * history; what the stage shows may be ahead of it: a style tried out on the selection, or the
 * draft on the style desk.
 */
public final class Workspace {
  private final IdSource ids;
  private final ReadOnlyObjectWrapper<History> history;
  private final ReadOnlyObjectWrapper<Project> shown;
  private final ReadOnlyObjectWrapper<Optional<Desk>> desk =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<Path>> file =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<Notice>> notice =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ObjectProperty<Selection> selection = new SimpleObjectProperty<>(Selection.NONE);
  private final BooleanProperty hiddenLetters = new SimpleBooleanProperty();
  private final BooleanProperty typographicQuotes = new SimpleBooleanProperty(true);
  private final BooleanProperty readyShown = new SimpleBooleanProperty();
  private final BooleanProperty outlineShown = new SimpleBooleanProperty();
  private final ObjectProperty<Optional<Address>> soloCoat =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<GradientInHand>> gradientInHand =
      new SimpleObjectProperty<>(Optional.empty());
  private final CoatClipboard coatClipboard = new CoatClipboard();
  private final BooleanProperty spellingShown = new SimpleBooleanProperty(true);
  private final ObjectProperty<Figure> shape = new SimpleObjectProperty<>(Figure.Rectangle.SHARP);
  private final ObjectProperty<Tool> tool = new SimpleObjectProperty<>(Tool.SELECT);
  private final ObjectProperty<Optional<StyleId>> pickedStyle =
      new SimpleObjectProperty<>(Optional.empty());
  private final ReadOnlyIntegerWrapper opened = new ReadOnlyIntegerWrapper();
  private final BooleanProperty keeping = new SimpleBooleanProperty(false);
  private final BooleanProperty beforeShown = new SimpleBooleanProperty(false);
  private Optional<Edit> preview = Optional.empty();
  private boolean dropsLocal;

  public Workspace(IdSource ids, Project project) {
    this.ids = ids;
    this.history = new ReadOnlyObjectWrapper<>(History.unsaved(project));
    this.shown = new ReadOnlyObjectWrapper<>(project);
    beforeShown.addListener((_, _, _) -> showAgain());
    soloCoat.addListener((_, _, _) -> showAgain());
    desk.addListener((_, before, now) -> {
      // whose gradient it was is not shown any more
      if (before.isPresent() != now.isPresent()) {
        gradientInHand.set(Optional.empty());
      }
    });
    selection.addListener((_, before, now) -> {
      if (!before.layers().equals(now.layers())) {
        soloCoat.set(Optional.empty());
      }
    });
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

  /** What the stage shows: the project, with the preview or the desk's draft in it. */
  public ReadOnlyObjectProperty<Project> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Optional<Desk>> deskProperty() {
    return desk.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Optional<Path>> fileProperty() {
    return file.getReadOnlyProperty();
  }

  /** Counts the projects opened so far, so that views can begin afresh with each. */
  public ReadOnlyIntegerProperty openedProperty() {
    return opened.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Optional<Notice>> noticeProperty() {
    return notice.getReadOnlyProperty();
  }

  public ObjectProperty<Selection> selectionProperty() {
    return selection;
  }

  public Selection selection() {
    return selection.get();
  }

  /** Whether spaces, tabs and paragraph ends show in what is selected. */
  public BooleanProperty hiddenLettersProperty() {
    return hiddenLetters;
  }

  /** Whether the ready-made finishes lie open. */
  public BooleanProperty readyShownProperty() {
    return readyShown;
  }

  /** Whether the stage shows contours, moved edges and dash middles instead of paint. */
  public BooleanProperty outlineShownProperty() {
    return outlineShown;
  }

  /** The coat that shows alone on what is selected; nothing of that is kept. */
  public ObjectProperty<Optional<Address>> soloCoatProperty() {
    return soloCoat;
  }

  /** A gradient that is being edited, so that the stage shows handles for it. */
  public ObjectProperty<Optional<GradientInHand>> gradientInHandProperty() {
    return gradientInHand;
  }

  /**
   * A gradient that is being edited.
   *
   * @param coat that is painted with it
   * @param set takes changed values, and what tells one drag from another
   */
  public record GradientInHand(Address coat, BiConsumer<PropertySet, Object> set) {}

  /** A coat or effect that was copied. */
  public CoatClipboard coatClipboard() {
    return coatClipboard;
  }

  /** Whether misspelt words are marked. */
  public BooleanProperty spellingShownProperty() {
    return spellingShown;
  }

  /** Whether straight quotation marks become those of the language while typing. */
  public BooleanProperty typographicQuotesProperty() {
    return typographicQuotes;
  }

  /** The shape that is drawn next. */
  public ObjectProperty<Figure> shapeProperty() {
    return shape;
  }

  public ObjectProperty<Tool> toolProperty() {
    return tool;
  }

  /** The style card that was pressed last; the reach strip shows it. */
  public ObjectProperty<Optional<StyleId>> pickedStyleProperty() {
    return pickedStyle;
  }

  /** Whether the pane for keeping the selection's look is open. */
  public BooleanProperty keepingProperty() {
    return keeping;
  }

  /** Whether the stage shows the project without the desk's draft. */
  public BooleanProperty beforeShownProperty() {
    return beforeShown;
  }

  // --- opening
  // ---------------------------------------------------------------------------------------------------

  /** Shows another project. */
  public void open(Project project, Optional<Path> from) {
    preview = Optional.empty();
    desk.set(Optional.empty());
    keeping.set(false);
    pickedStyle.set(Optional.empty());
    selection.set(Selection.NONE);
    publish(from.isPresent() ? History.opened(project) : History.unsaved(project));
    file.set(from);
    opened.set(opened.get() + 1);
  }

  /** Notes that a state of the project lies in a file now. */
  public void saved(Project project, Path to) {
    file.set(Optional.of(to));
    publish(history.get().savedAs(project));
  }

  // --- editing
  // ---------------------------------------------------------------------------------------------------

  /**
   * Applies an edit as a step of its own. Returns whether it was done; a refusal is told in a
   * notice.
   */
  public boolean apply(Edit edit) {
    return apply(edit, Optional.empty());
  }

  /**
   * Applies an edit; those of one gesture make one step.
   *
   * @param gesture equal for all edits of the gesture
   */
  public boolean apply(Edit edit, Optional<Object> gesture) {
    if (desk.get().isPresent()) {
      tell(
          Notice.problem(
              "The style \""
                  + desk.get().get().original().name()
                  + "\" is being edited: commit or discard it first."));
      return false;
    }
    try {
      preview = Optional.empty();
      publish(history.get().apply(edit, gesture));
      return true;
    } catch (EditRefused refused) {
      tell(Notice.problem(refused.getMessage()));
      showAgain();
      return false;
    }
  }

  /** Ends a gesture: the next edit is a step of its own. */
  public void endGesture() {
    history.set(history.get().sealed());
  }

  public void undo() {
    if (desk.get().isPresent()) {
      putDesk(desk.get().get().undone());
    } else {
      publish(history.get().undo());
    }
  }

  public void redo() {
    if (desk.get().isPresent()) {
      putDesk(desk.get().get().redone());
    } else {
      publish(history.get().redo());
    }
  }

  private void publish(History changed) {
    history.set(changed);
    selection.set(selection.get().within(changed.present()));
    pickedStyle.set(
        pickedStyle.get().filter(id -> changed.present().styles().find(id).isPresent()));
    showAgain();
  }

  // --- following
  // -------------------------------------------------------------------------------------------------

  /** Lets the selection follow a style; tells about local changes and offers the other choice. */
  public void follow(StyleId style, boolean onTop) {
    follow(selection.get().target(), style, onTop);
  }

  /** Lets a target follow a style; tells about local changes and offers the other choice. */
  public void follow(Target target, StyleId style, boolean onTop) {
    long deviating =
        target.layers().stream()
            .flatMap(id -> project().layer(id).stream())
            .filter(layer -> LocalChanges.count(layer) > 0)
            .count();
    Follow follow = new Follow(target, style, onTop, dropsLocal);
    if (!apply(follow)) {
      return;
    }
    pickedStyle.set(Optional.of(style));
    int count = target.layers().size();
    if (deviating > 0 && target instanceof Target.Layers) {
      offerOtherChoice(follow, deviating, count);
    } else {
      String name = project().styles().get(style).name();
      tell(
          Notice.info(target.label() + (count == 1 ? " follows \"" : " follow \"") + name + "\"."));
    }
  }

  /** What was done with local changes, and the other choice, which then holds for the session. */
  private void offerOtherChoice(Follow done, long deviating, int count) {
    String which = count == 1 ? "This text has" : deviating + " of " + count + " texts have";
    Follow other = new Follow(done.target(), done.style(), done.onTop(), !done.dropLocal());
    Runnable change =
        () -> {
          dropsLocal = other.dropLocal();
          undo();
          apply(other);
        };
    tell(
        done.dropLocal()
            ? Notice.offering(which + " lost local changes.", "Keep them", change)
            : Notice.offering(which + " local changes; they are kept.", "Drop them", change));
  }

  // --- trying out
  // ------------------------------------------------------------------------------------------------

  /** Shows the project as an edit would make it, until something else is shown. */
  public void preview(Edit edit) {
    if (desk.get().isEmpty()) {
      preview = Optional.of(edit);
      showAgain();
    }
  }

  /** Shows the selection in a style, without changing anything. */
  public void previewFollowing(StyleId style) {
    if (!selection.get().isEmpty()) {
      preview(new Follow(selection.get().target(), style, false, dropsLocal));
    }
  }

  public void endPreview() {
    if (preview.isPresent()) {
      preview = Optional.empty();
      showAgain();
    }
  }

  private void showAgain() {
    Project worked = worked();
    shown.set(
        soloCoat
            .get()
            .map(coat -> SoloCoat.alone(worked, selection.get().layers(), coat))
            .orElse(worked));
  }

  private Project worked() {
    Project present = project();
    try {
      if (desk.get().isPresent() && !beforeShown.get()) {
        return new ChangeStyle(desk.get().get().draft()).applyTo(present);
      }
      return preview.isPresent() ? preview.get().applyTo(present) : present;
    } catch (EditRefused notPossible) {
      return present;
    }
  }

  // --- style desk
  // ------------------------------------------------------------------------------------------------

  /** Opens a style for editing; the selection is left as it is. */
  public void openDesk(StyleId style) {
    if (desk.get().isPresent()) {
      if (desk.get().get().original().id().equals(style)) {
        return;
      }
      if (desk.get().get().isChanged()) {
        tell(
            Notice.problem(
                "The style \""
                    + desk.get().get().original().name()
                    + "\" has changes: commit or discard them first."));
        return;
      }
    }
    preview = Optional.empty();
    keeping.set(false);
    pickedStyle.set(Optional.of(style));
    putDesk(Desk.open(project().styles().get(style)));
  }

  /** Changes the draft on the desk. */
  public void draft(Style draft, Optional<Object> gesture) {
    desk.get().ifPresent(open -> putDesk(open.with(draft, gesture)));
  }

  private void putDesk(Desk changed) {
    desk.set(Optional.of(changed));
    showAgain();
  }

  /** Puts the draft into the project, as one step. */
  public void commitDesk() {
    Optional<Desk> open = desk.get();
    if (open.isEmpty()) {
      return;
    }
    Style draft = open.get().draft();
    beforeShown.set(false);
    desk.set(Optional.empty());
    if (!apply(new ChangeStyle(draft))) {
      putDesk(open.get());
      return;
    }
    int count = Followers.of(project()).of(draft.id()).size();
    if (open.get().isChanged()) {
      tell(
          Notice.info(
              "\""
                  + draft.name()
                  + "\" changed for "
                  + (count == 1 ? "1 text." : count + " texts.")));
    }
  }

  /** Leaves the style as it was. */
  public void discardDesk() {
    beforeShown.set(false);
    desk.set(Optional.empty());
    showAgain();
  }

  // --- telling
  // ---------------------------------------------------------------------------------------------------

  public void tell(Notice told) {
    notice.set(Optional.of(told));
  }

  public void clearNotice() {
    notice.set(Optional.empty());
  }

  // --- selecting
  // -------------------------------------------------------------------------------------------------

  public void select(Iterable<LayerId> layers) {
    selection.set(Selection.of(layers));
  }
}
