package dynamorph.app.session;

import dynamorph.footage.FootageFiles;
import dynamorph.model.IdSource;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.History;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.HoldBack;
import dynamorph.model.property.Address;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Reach;
import dynamorph.model.shape.Shape;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Numbers;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Function;
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
  private final BooleanProperty rulersShown = new SimpleBooleanProperty();
  private final BooleanProperty typographicQuotes = new SimpleBooleanProperty(true);
  private final BooleanProperty readyShown = new SimpleBooleanProperty();
  private final BooleanProperty outlineShown = new SimpleBooleanProperty();
  private final ObjectProperty<Optional<Address>> soloCoat =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<GradientInHand>> gradientInHand =
      new SimpleObjectProperty<>(Optional.empty());
  private final CoatClipboard coatClipboard = new CoatClipboard();
  private final BooleanProperty spellingShown = new SimpleBooleanProperty(true);
  private final ObjectProperty<Shape> shape = new SimpleObjectProperty<>(Shape.Rectangle.SHARP);
  private final ObjectProperty<Tool> tool = new SimpleObjectProperty<>(Tool.SELECT);
  private final ObjectProperty<Optional<StyleId>> pickedStyle =
      new SimpleObjectProperty<>(Optional.empty());
  private final ReadOnlyIntegerWrapper opened = new ReadOnlyIntegerWrapper();
  private final BooleanProperty keeping = new SimpleBooleanProperty(false);
  private final BooleanProperty beforeShown = new SimpleBooleanProperty(false);
  private Optional<Edit> preview = Optional.empty();
  private final Following following = new Following(this);
  private final Deviations deviations = new Deviations(this);
  private final Screening screening = new Screening(this);
  private final ObjectProperty<Optional<PropertyKey<?>>> wantedValue =
      new SimpleObjectProperty<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<Review>> review =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ObjectProperty<Set<LayerId>> heldBack = new SimpleObjectProperty<>(Set.of());
  private final ObjectProperty<HeldAs> heldAs = new SimpleObjectProperty<>(HeldAs.LOCAL);
  private final ObjectProperty<Optional<Sampling>> sampling =
      new SimpleObjectProperty<>(Optional.empty());
  private final BooleanProperty reachOpen = new SimpleBooleanProperty();
  private final ReadOnlyObjectWrapper<Optional<StyleDeletion>> settling =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<StyleImport>> arrival =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<String>> openSwatch =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ObjectProperty<Optional<List<StyleId>>> kitWanted =
      new SimpleObjectProperty<>(Optional.empty());

  private final FootageFiles footage = new FootageFiles();
  private final FootageFiles footageOfChecks = FootageFiles.besidePlaying();

  /** The videos and pictures under films; closed with the window. */
  public FootageFiles footage() {
    return footage;
  }

  /** The same files for checks, which look at them here and there. */
  public FootageFiles footageOfChecks() {
    return footageOfChecks;
  }

  public Workspace(IdSource ids, Project project) {
    this.ids = ids;
    this.history = new ReadOnlyObjectWrapper<>(History.unsaved(project));
    this.shown = new ReadOnlyObjectWrapper<>(project);
    beforeShown.addListener((_, _, _) -> showAgain());
    heldBack.addListener((_, _, _) -> showAgain());
    heldAs.addListener((_, _, _) -> showAgain());
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
  public BooleanProperty rulersShownProperty() {
    return rulersShown;
  }

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
  public ObjectProperty<Shape> shapeProperty() {
    return shape;
  }

  public ObjectProperty<Tool> toolProperty() {
    return tool;
  }

  /** The style card that was clicked last; the reach strip shows it. */
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

  /** What is about to be done and is being looked at first. */
  public ReadOnlyObjectProperty<Optional<Review>> reviewProperty() {
    return review.getReadOnlyProperty();
  }

  /** Texts that a pending change leaves alone. */
  public ObjectProperty<Set<LayerId>> heldBackProperty() {
    return heldBack;
  }

  /** How those keep their look. */
  public ObjectProperty<HeldAs> heldAsProperty() {
    return heldAs;
  }

  /** What the sampler holds. */
  public ObjectProperty<Optional<Sampling>> samplingProperty() {
    return sampling;
  }

  /** Whether everything that a style or a change reaches is shown at large. */
  public BooleanProperty reachOpenProperty() {
    return reachOpen;
  }

  /** Styles that are to go, while it is settled what becomes of their followers. */
  public ReadOnlyObjectProperty<Optional<StyleDeletion>> settlingProperty() {
    return settling.getReadOnlyProperty();
  }

  /** Begins to settle what becomes of the followers of styles that are to go. */
  public void openSettling(StyleDeletion wanted) {
    if (desk.get().isPresent() || review.get().isPresent()) {
      tell(Notice.problem(whatIsPending() + ": commit or discard it first."));
      return;
    }
    keeping.set(false);
    settling.set(Optional.of(wanted));
  }

  /** Styles from elsewhere whose names have to be settled. */
  public ReadOnlyObjectProperty<Optional<StyleImport>> arrivalProperty() {
    return arrival.getReadOnlyProperty();
  }

  /**
   * Takes in styles of another project: at once if no name collides, else when that is settled.
   *
   * @param edit what is done with the styles, given how names are settled
   */
  public void bring(StyleBundle bundle, Function<ImportStyles, Edit> edit) {
    List<ImportStyles.Collision> collisions = ImportStyles.collisions(project(), bundle);
    if (collisions.isEmpty()) {
      apply(edit.apply(new ImportStyles(bundle, Map.of())));
    } else if (desk.get().isPresent() || review.get().isPresent()) {
      tell(Notice.problem(whatIsPending() + ": commit or discard it first."));
    } else {
      keeping.set(false);
      settling.set(Optional.empty());
      arrival.set(Optional.of(new StyleImport(bundle, collisions, edit)));
    }
  }

  /** The swatch that is being edited. */
  public ReadOnlyObjectProperty<Optional<String>> openSwatchProperty() {
    return openSwatch.getReadOnlyProperty();
  }

  /** Opens a swatch for editing. */
  public void openSwatch(String id) {
    if (desk.get().isPresent() || review.get().isPresent()) {
      tell(Notice.problem(whatIsPending() + ": commit or discard it first."));
      return;
    }
    keeping.set(false);
    settling.set(Optional.empty());
    openSwatch.set(Optional.of(id));
  }

  /** Styles that shall be written into a kit; whoever writes files takes them. */
  public ObjectProperty<Optional<List<StyleId>>> kitWantedProperty() {
    return kitWanted;
  }

  // --- opening
  // ---------------------------------------------------------------------------------------------------

  /** Shows another project. */
  public void open(Project project, Optional<Path> from) {
    preview = Optional.empty();
    closePending();
    keeping.set(false);
    reachOpen.set(false);
    pickedStyle.set(Optional.empty());
    selection.set(Selection.NONE);
    screening.close();
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
    if (desk.get().isPresent() || review.get().isPresent()) {
      tell(Notice.problem(whatIsPending() + ": commit or discard it first."));
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

  private String whatIsPending() {
    return desk.get()
        .map(open -> "The style \"" + open.original().name() + "\" is being edited")
        .orElseGet(() -> review.get().map(Review::title).orElse("") + " is not committed yet");
  }

  /** Ends a gesture: the next edit is a step of its own. */
  public void endGesture() {
    history.set(history.get().sealed());
  }

  public void undo() {
    if (desk.get().isPresent()) {
      putDesk(desk.get().get().undone());
    } else if (review.get().isPresent()) {
      discardPending();
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
    screening.follow(changed.present());
    showAgain();
  }

  // --- following
  // -------------------------------------------------------------------------------------------------

  /** How styles are put on text. */
  public Following following() {
    return following;
  }

  /** What was set by hand on top of styles. */
  public Deviations deviations() {
    return deviations;
  }

  /** Which film is looked at instead of the artboards. */
  public Screening screening() {
    return screening;
  }

  // --- trying out
  // ------------------------------------------------------------------------------------------------

  /** Shows the project as an edit would make it, until something else is shown. */
  public void preview(Edit edit) {
    if (pending().isEmpty() && desk.get().isEmpty()) {
      preview = Optional.of(edit);
      showAgain();
    }
  }

  /** Shows the selection in a style, without changing anything. */
  public void previewFollowing(StyleId style) {
    if (!selection.get().isEmpty()) {
      preview(
          following.edit(
              selection.get().target(), style, false, following.stampingProperty().get()));
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
      Optional<Edit> pending = pendingForSome();
      if (pending.isPresent()) {
        return beforeShown.get() ? present : pending.get().applyTo(present);
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
    if (review.get().isPresent()) {
      tell(Notice.problem(whatIsPending() + ": commit or discard it first."));
      return;
    }
    preview = Optional.empty();
    keeping.set(false);
    heldBack.set(Set.of());
    pickedStyle.set(Optional.of(style));
    putDesk(Desk.open(project().styles().get(style)));
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
    desk.get().ifPresent(open -> putDesk(open.with(draft, gesture)));
  }

  private void putDesk(Desk changed) {
    desk.set(Optional.of(changed));
    showAgain();
  }

  // --- what is not committed yet
  // ---------------------------------------------------------------------------------

  /** The change on the desk or under review. */
  public Optional<Edit> pending() {
    return desk.get()
        .filter(Desk::isChanged)
        .<Edit>map(open -> new ChangeStyle(open.draft()))
        .or(() -> review.get().map(Review::edit));
  }

  /** The same, without those that are held back. */
  private Optional<Edit> pendingForSome() {
    return pending()
        .map(
            edit -> heldBack.get().isEmpty() ? edit : new HoldBack(edit, heldBack.get(), branch()));
  }

  /** The derived style that those held back would follow. */
  private Optional<HoldBack.Branch> branch() {
    return desk.get()
        .filter(_ -> heldAs.get() == HeldAs.DERIVED)
        .map(open ->
            new HoldBack.Branch(
                open.original().id(),
                branchId(),
                freeName(open.original().name() + ", as it was")));
  }

  private StyleId branchId() {
    if (nextBranch.isEmpty()) {
      nextBranch = Optional.of(new StyleId(ids.next("style")));
    }
    return nextBranch.get();
  }

  private Optional<StyleId> nextBranch = Optional.empty();

  /** A name for a style that none has yet. */
  public String freeName(String wanted) {
    String name = wanted;
    for (int number = 2; project().styles().named(name).isPresent(); number++) {
      name = wanted + " " + number;
    }
    return name;
  }

  /**
   * Shows an edit and what it reaches, to be committed or discarded; in place of what is under
   * review. Returns whether it is possible; a refusal is told in a notice.
   */
  public boolean review(Review wanted) {
    if (desk.get().isPresent()) {
      tell(Notice.problem(whatIsPending() + ": commit or discard it first."));
      return false;
    }
    try {
      wanted.edit().applyTo(project());
    } catch (EditRefused refused) {
      tell(Notice.problem(refused.getMessage()));
      return false;
    }
    preview = Optional.empty();
    keeping.set(false);
    review.set(Optional.of(wanted));
    showAgain();
    return true;
  }

  /** Does what is pending, as one step. */
  public void commitPending() {
    Optional<Edit> edit = pendingForSome();
    Optional<Desk> open = desk.get();
    Optional<Review> looked = review.get();
    Set<LayerId> held = heldBack.get();
    if (edit.isEmpty()) {
      if (open.isPresent()) {
        discardPending();
      }
      return;
    }
    Project before = project();
    closePending();
    if (!apply(edit.get())) {
      desk.set(open);
      review.set(looked);
      heldBack.set(held);
      showAgain();
      return;
    }
    int count = Reach.between(before, project()).size();
    String what =
        open.map(done -> "\"" + done.draft().name() + "\" changed")
            .orElseGet(() -> looked.orElseThrow().title() + ": done");
    String kept =
        held.isEmpty()
            ? ""
            : " " + Numbers.counted(held.size(), "text") + " held back " + heldAs.get() + ".";
    tell(
        Notice.offering(
            what
                + (count == 0
                    ? "; no text looks different."
                    : " for " + Numbers.counted(count, "text") + ".")
                + kept,
            "Undo",
            this::undo));
  }

  /** Leaves everything as it was. */
  public void discardPending() {
    closePending();
    showAgain();
  }

  private void closePending() {
    beforeShown.set(false);
    nextBranch = Optional.empty();
    desk.set(Optional.empty());
    review.set(Optional.empty());
    settling.set(Optional.empty());
    openSwatch.set(Optional.empty());
    arrival.set(Optional.empty());
    heldBack.set(Set.of());
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
