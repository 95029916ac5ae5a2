package dynamorph.app.session;

import dynamorph.app.message.Messages;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.HoldBack;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.reach.Reach;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;

/**
 * What is being tried and is not committed yet: it is opened, changed, looked at before and after,
 * and committed or discarded here, one {@link Attempt} at a time.
 */
public final class Attempts {
  private final Workspace workspace;
  private final ReadOnlyObjectWrapper<Attempt> present =
      new ReadOnlyObjectWrapper<>(new Attempt.Nothing());
  private final BooleanProperty beforeShown = new SimpleBooleanProperty(false);
  private final ObjectProperty<Optional<PropertyKey<?>>> wantedValue =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Set<LayerId>> heldBack = new SimpleObjectProperty<>(Set.of());
  private final ObjectProperty<HeldAs> heldAs = new SimpleObjectProperty<>(HeldAs.LOCAL);
  private Optional<StyleId> nextBranch = Optional.empty();

  Attempts(Workspace workspace) {
    this.workspace = workspace;
    beforeShown.addListener((_, _, _) -> workspace.showAgain());
    heldBack.addListener((_, _, _) -> workspace.showAgain());
    heldAs.addListener((_, _, _) -> workspace.showAgain());
  }

  /** What is being tried and is not committed yet. */
  public ReadOnlyObjectProperty<Attempt> presentProperty() {
    return present.getReadOnlyProperty();
  }

  public Attempt present() {
    return present.get();
  }

  /** Calls with a part of what is being tried now, and each time that part becomes another. */
  public <T> void follow(Function<Attempt, T> part, Consumer<T> then) {
    then.accept(part.apply(present()));
    onChange(part, then);
  }

  /** Calls with a part of what is being tried, each time that part becomes another. */
  <T> void onChange(Function<Attempt, T> part, Consumer<T> then) {
    present.addListener((_, before, now) -> {
      T is = part.apply(now);
      if (!part.apply(before).equals(is)) {
        then.accept(is);
      }
    });
  }

  /** Whether the stage shows the project without what is being tried. */
  public BooleanProperty beforeShownProperty() {
    return beforeShown;
  }

  /** Texts that a pending change leaves alone. */
  public ObjectProperty<Set<LayerId>> heldBackProperty() {
    return heldBack;
  }

  /** How those keep their look. */
  public ObjectProperty<HeldAs> heldAsProperty() {
    return heldAs;
  }

  /** Whether something has to be committed or discarded first; says so. */
  public boolean isBusy() {
    if (present().isPending()) {
      workspace.tell(
          Notice.problem(Messages.of("workspace.commit-or-discard-it-first", whatIsPending())));
    }
    return present().isPending();
  }

  private String whatIsPending() {
    return present()
        .desk()
        .map(open -> Messages.of("workspace.the-style-is-being-edited", open.original().name()))
        .orElseGet(() ->
            Messages.of(
                "workspace.is-not-committed-yet",
                present().review().map(Review::title).orElse("")));
  }

  /** Opens a style for editing; the selection is left as it is. */
  public void openDesk(StyleId style) {
    Optional<Desk> open = present().desk();
    if (open.isPresent() && open.get().original().id().equals(style)) {
      return;
    }
    if (open.filter(Desk::isChanged).isPresent()) {
      workspace.tell(
          Notice.problem(
              Messages.of(
                  "workspace.the-style-has-changes-commit-or", open.get().original().name())));
      return;
    }
    if (open.isEmpty() && isBusy()) {
      return;
    }
    workspace.dropPreview();
    heldBack.set(Set.of());
    workspace.pickedStyleProperty().set(Optional.of(style));
    putDesk(Desk.open(workspace.project().styles().get(style)));
  }

  /** Opens a style for editing, at one of its values. */
  public void openDesk(StyleId style, PropertyKey<?> at) {
    openDesk(style);
    wantedValue.set(Optional.of(at));
  }

  /** The value that the desk shall show; taken away when it does. */
  public ObjectProperty<Optional<PropertyKey<?>>> wantedValueProperty() {
    return wantedValue;
  }

  /** Changes the draft on the desk. */
  public void draft(Style draft, Optional<Object> gesture) {
    present().desk().ifPresent(open -> putDesk(open.with(draft, gesture)));
  }

  void putDesk(Desk changed) {
    present.set(new Attempt.StyleDraft(changed));
    workspace.showAgain();
  }

  /** Opens the step that keeps the look of the selection as a style. */
  public void openKeeping() {
    if (!isBusy()) {
      present.set(new Attempt.KeepingStyle());
    }
  }

  /** Leaves that step. */
  public void closeKeeping() {
    if (present().isKeeping()) {
      present.set(new Attempt.Nothing());
    }
  }

  /** Begins to settle what becomes of the followers of styles that are to go. */
  public void openDeletion(StyleDeletion wanted) {
    if (!isBusy()) {
      present.set(new Attempt.Deleting(wanted, Optional.empty()));
    }
  }

  /** Begins to choose what is taken of styles that are newer on the shelf. */
  public void openUpdates() {
    if (!isBusy()) {
      present.set(new Attempt.Updating(Optional.empty()));
    }
  }

  /** Opens a swatch for editing. */
  public void openSwatch(String id) {
    if (!isBusy()) {
      present.set(new Attempt.SwatchDraft(id, Optional.empty()));
    }
  }

  /**
   * Takes in styles of another project: at once if no name collides, else when that is settled.
   *
   * @param edit what is done with the styles, given how names are settled
   */
  public void importStyles(StyleBundle bundle, Function<ImportStyles, Edit> edit) {
    List<ImportStyles.SwatchCollision> swatches =
        ImportStyles.swatchCollisions(workspace.project(), bundle).stream()
            .filter(ImportStyles.SwatchCollision::isOwn)
            .toList();
    if (swatches.isEmpty() && ImportStyles.collisions(workspace.project(), bundle).isEmpty()) {
      workspace.apply(edit.apply(new ImportStyles(bundle, Map.of())));
    } else if (!isBusy()) {
      present.set(new Attempt.Importing(new StyleImport(bundle, swatches, edit), Optional.empty()));
    }
  }

  /** Begins to settle what becomes of a document. */
  public void importDocument(DocumentImport coming) {
    if (!isBusy()) {
      present.set(new Attempt.ImportingDocument(coming, Optional.empty()));
    }
  }

  /** Begins to settle what is made of the rows of a table. */
  public void fill(TableFill table) {
    if (!isBusy()) {
      present.set(new Attempt.Filling(table, Optional.empty()));
    }
  }

  /** Shows nothing of what was settled so far; what is tried goes on. */
  public void withdrawReview() {
    if (present() instanceof Attempt.Filling(TableFill table, _)) {
      present.set(new Attempt.Filling(table, Optional.empty()));
      workspace.showAgain();
    }
  }

  /**
   * Shows an edit and what it reaches, to be committed or discarded; in place of what is under
   * review. Returns whether it is possible; a refusal is told in a notice.
   */
  public boolean review(Review wanted) {
    if (present().desk().isPresent()) {
      isBusy();
      return false;
    }
    try {
      wanted.edit().applyTo(workspace.project());
    } catch (EditRefused refused) {
      workspace.tell(Notice.problem(Messages.reason(refused)));
      return false;
    }
    workspace.dropPreview();
    present.set(present().reviewing(wanted));
    workspace.showAgain();
    return true;
  }

  /** The change on the desk or under review. */
  public Optional<Edit> pending() {
    return present()
        .desk()
        .filter(Desk::isChanged)
        .<Edit>map(open -> new ChangeStyle(open.draft()))
        .or(() -> present().review().map(Review::edit));
  }

  /** The same, without those that are held back. */
  Optional<Edit> pendingForSome() {
    return pending()
        .map(
            edit -> heldBack.get().isEmpty() ? edit : new HoldBack(edit, heldBack.get(), branch()));
  }

  /** The derived style that those held back would follow. */
  private Optional<HoldBack.Branch> branch() {
    return present()
        .desk()
        .filter(_ -> heldAs.get() == HeldAs.DERIVED)
        .map(open ->
            new HoldBack.Branch(
                open.original().id(),
                branchId(),
                workspace.freeName(Messages.of("workspace.as-it-was", open.original().name()))));
  }

  private StyleId branchId() {
    if (nextBranch.isEmpty()) {
      nextBranch = Optional.of(new StyleId(workspace.ids().next("style")));
    }
    return nextBranch.get();
  }

  /** Does what is pending, as one step. */
  public void commitPending() {
    Optional<Edit> edit = pendingForSome();
    Attempt tried = present();
    Set<LayerId> held = heldBack.get();
    if (edit.isEmpty()) {
      if (tried.desk().isPresent()) {
        discardPending();
      }
      return;
    }
    Project before = workspace.project();
    close();
    if (!workspace.apply(edit.get())) {
      present.set(tried);
      heldBack.set(held);
      workspace.showAgain();
      return;
    }
    tellCommitted(tried, Reach.between(before, workspace.project()).size(), held.size());
  }

  private void tellCommitted(Attempt done, int count, int held) {
    String what =
        done.desk()
            .map(desk -> Messages.of("workspace.changed", desk.draft().name()))
            .orElseGet(() -> Messages.of("workspace.done", done.review().orElseThrow().title()));
    String told = Messages.of("workspace.committed", what, count);
    workspace.tell(
        Notice.offering(
            held == 0 ? told : Messages.of("workspace.held-back", told, held, heldAs.get()),
            Messages.of("common.undo"),
            workspace::undo));
  }

  /** Leaves everything as it was. */
  public void discardPending() {
    close();
    workspace.showAgain();
  }

  void close() {
    beforeShown.set(false);
    nextBranch = Optional.empty();
    present.set(new Attempt.Nothing());
    heldBack.set(Set.of());
  }
}
