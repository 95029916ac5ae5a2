package dynamorph.app.session;

import dynamorph.app.message.Messages;
import dynamorph.footage.FootageFiles;
import dynamorph.model.ArtboardId;
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
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;

/**
 * The one place that views read and change. A change goes in as an edit and comes out as a new
 * history of the {@link OpenDocument}; what the stage shows may be ahead of it by what is being
 * tried, an {@link Attempt}.
 */
public final class Workspace {
  private final OpenDocument document;
  private final ViewSettings view = new ViewSettings();
  private final ToolInHand tools = new ToolInHand();
  private final Playback playback = new Playback(this);
  private final Following following = new Following(this);
  private final Deviations deviations = new Deviations(this);
  private final FootageFiles footage = new FootageFiles();
  private final FootageFiles footageOfChecks = FootageFiles.besidePlaying();

  private final ReadOnlyObjectWrapper<Project> shown;
  private final ReadOnlyObjectWrapper<Attempt> attempt =
      new ReadOnlyObjectWrapper<>(new Attempt.Nothing());
  private final ReadOnlyObjectWrapper<Optional<Notice>> notice =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ObjectProperty<Selection> selection = new SimpleObjectProperty<>(Selection.NONE);
  private final ObjectProperty<Optional<Address>> soloCoat =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<GradientInHand>> gradientInHand =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<StyleId>> pickedStyle =
      new SimpleObjectProperty<>(Optional.empty());
  private final BooleanProperty beforeShown = new SimpleBooleanProperty(false);
  private final ObjectProperty<Optional<PropertyKey<?>>> wantedValue =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Set<LayerId>> heldBack = new SimpleObjectProperty<>(Set.of());
  private final ObjectProperty<HeldAs> heldAs = new SimpleObjectProperty<>(HeldAs.LOCAL);
  private final ObjectProperty<Optional<List<StyleId>>> kitWanted =
      new SimpleObjectProperty<>(Optional.empty());
  private Optional<Edit> preview = Optional.empty();
  private Optional<StyleId> nextBranch = Optional.empty();

  public Workspace(IdSource ids, Project project) {
    this.document = new OpenDocument(ids, project);
    this.shown = new ReadOnlyObjectWrapper<>(project);
    beforeShown.addListener((_, _, _) -> showAgain());
    heldBack.addListener((_, _, _) -> showAgain());
    heldAs.addListener((_, _, _) -> showAgain());
    soloCoat.addListener((_, _, _) -> showAgain());
    // whose gradient it was is not shown any more
    onAttempt(now -> now.desk().isPresent(), _ -> gradientInHand.set(Optional.empty()));
    playback.filmProperty().addListener((_, before, now) -> changeView(before, now));
    selection.addListener((_, before, now) -> {
      if (!before.layers().equals(now.layers())) {
        soloCoat.set(Optional.empty());
      }
    });
  }

  /** What was selected in each view when it was left: by film, or the artboards. */
  private final Map<Optional<ArtboardId>, Selection> leftSelections = new HashMap<>();

  /** Each view has its own selection: what cannot be seen is never acted on. */
  private void changeView(Optional<ArtboardId> before, Optional<ArtboardId> now) {
    if (selection.get().isEmpty() || isSeen(selection.get(), before)) {
      leftSelections.put(before, selection.get());
    }
    if (!isSeen(selection.get(), now)) {
      selection.set(leftSelections.getOrDefault(now, Selection.NONE).within(project()));
    }
  }

  /** Whether all that is selected stands in a view; what was selected just before it is gone to. */
  private boolean isSeen(Selection selected, Optional<ArtboardId> view) {
    Project project = project();
    return !selected.isEmpty()
        && selected.layers().stream()
            .map(project::artboardOf)
            .allMatch(board ->
                board
                    .filter(one -> view.map(film -> one.id().equals(film)).orElse(!one.isFilm()))
                    .isPresent());
  }

  // --- what it holds
  // ---------------------------------------------------------------------------------------------

  /** The project that is open, its history and its file. */
  public OpenDocument document() {
    return document;
  }

  /** What the person chose to see. */
  public ViewSettings view() {
    return view;
  }

  /** The tool in hand, and what it holds. */
  public ToolInHand tools() {
    return tools;
  }

  /** Which film is looked at instead of the artboards, and where in it. */
  public Playback playback() {
    return playback;
  }

  /** How styles are put on text. */
  public Following following() {
    return following;
  }

  /** What was set by hand on top of styles. */
  public Deviations deviations() {
    return deviations;
  }

  /** The videos and pictures under films; closed with the window. */
  public FootageFiles footage() {
    return footage;
  }

  /** The same files for checks, which look at them here and there. */
  public FootageFiles footageOfChecks() {
    return footageOfChecks;
  }

  public IdSource ids() {
    return document.ids();
  }

  public Project project() {
    return document.project();
  }

  public ReadOnlyObjectProperty<History> historyProperty() {
    return document.historyProperty();
  }

  public ReadOnlyObjectProperty<Optional<Path>> fileProperty() {
    return document.fileProperty();
  }

  public ReadOnlyIntegerProperty openedProperty() {
    return document.openedProperty();
  }

  /** A name for a style that none has yet. */
  public String freeName(String wanted) {
    return document.freeName(wanted);
  }

  /** What the stage shows: the project, with the preview or the attempt in it. */
  public ReadOnlyObjectProperty<Project> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  /** What is being tried and is not committed yet. */
  public ReadOnlyObjectProperty<Attempt> attemptProperty() {
    return attempt.getReadOnlyProperty();
  }

  public Attempt attempt() {
    return attempt.get();
  }

  /** Calls with a part of what is being tried, each time that part becomes another. */
  public <T> void onAttempt(Function<Attempt, T> part, Consumer<T> then) {
    attempt.addListener((_, before, now) -> {
      T is = part.apply(now);
      if (!part.apply(before).equals(is)) {
        then.accept(is);
      }
    });
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

  /** The style card that was clicked last; the reach strip shows it. */
  public ObjectProperty<Optional<StyleId>> pickedStyleProperty() {
    return pickedStyle;
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

  /** Styles that shall be written into a kit; whoever writes files takes them. */
  public ObjectProperty<Optional<List<StyleId>>> kitWantedProperty() {
    return kitWanted;
  }

  // --- opening
  // ---------------------------------------------------------------------------------------------------

  /** Shows another project. */
  public void open(Project project, Optional<Path> from) {
    preview = Optional.empty();
    closeAttempt();
    view.reachProperty().set(false);
    pickedStyle.set(Optional.empty());
    selection.set(Selection.NONE);
    playback.close();
    leftSelections.clear();
    document.open(project, from);
    changed();
    document.announce();
  }

  /** Notes that a state of the project lies in a file now. */
  public void saved(Project project, Path to) {
    document.saved(project, to);
    changed();
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
    if (isBusy()) {
      return false;
    }
    try {
      preview = Optional.empty();
      document.apply(edit, gesture);
      changed();
      return true;
    } catch (EditRefused refused) {
      tell(Notice.problem(refused.getMessage()));
      showAgain();
      return false;
    }
  }

  /** Whether something has to be committed or discarded first; says so. */
  private boolean isBusy() {
    if (attempt().isPending()) {
      tell(Notice.problem(Messages.of("workspace.commit-or-discard-it-first", whatIsPending())));
    }
    return attempt().isPending();
  }

  private String whatIsPending() {
    return attempt()
        .desk()
        .map(open -> Messages.of("workspace.the-style-is-being-edited", open.original().name()))
        .orElseGet(() ->
            Messages.of(
                "workspace.is-not-committed-yet",
                attempt().review().map(Review::title).orElse("")));
  }

  /** Ends a gesture: the next edit is a step of its own. */
  public void endGesture() {
    document.endGesture();
  }

  /** Takes the latest change back: that of the attempt, else that of the project. */
  public void undo() {
    switch (attempt()) {
      case Attempt.StyleDraft(Desk desk) -> putDesk(desk.undone());
      case Attempt pending when pending.isPending() -> discardPending();
      default -> {
        document.undo();
        changed();
      }
    }
  }

  /** Does again what was taken back; nothing while a change of the project is looked at. */
  public void redo() {
    switch (attempt()) {
      case Attempt.StyleDraft(Desk desk) -> putDesk(desk.redone());
      case Attempt pending when pending.isPending() -> isBusy();
      default -> {
        document.redo();
        changed();
      }
    }
  }

  private void changed() {
    Project present = project();
    selection.set(selection.get().within(present));
    pickedStyle.set(pickedStyle.get().filter(id -> present.styles().find(id).isPresent()));
    playback.follow(present);
    if (!attempt().isAbout(present)) {
      closeAttempt();
    }
    showAgain();
  }

  // --- trying out
  // ------------------------------------------------------------------------------------------------

  /** Shows the project as an edit would make it, until something else is shown. */
  public void preview(Edit edit) {
    if (!attempt().isPending()) {
      preview = Optional.of(edit);
      showAgain();
    }
  }

  /** Shows the selection in a style, without changing anything. */
  public void previewFollowing(StyleId style) {
    if (!selection.get().isEmpty()) {
      preview(
          following.edit(
              selection.get().target(),
              style,
              following.applyOptionsProperty().get().onTop(),
              following.stampingProperty().get()));
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

  // --- opening what is tried
  // -------------------------------------------------------------------------------------

  /** Opens a style for editing; the selection is left as it is. */
  public void openDesk(StyleId style) {
    Optional<Desk> open = attempt().desk();
    if (open.isPresent() && open.get().original().id().equals(style)) {
      return;
    }
    if (open.filter(Desk::isChanged).isPresent()) {
      tell(
          Notice.problem(
              Messages.of(
                  "workspace.the-style-has-changes-commit-or", open.get().original().name())));
      return;
    }
    if (open.isEmpty() && isBusy()) {
      return;
    }
    preview = Optional.empty();
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
    attempt().desk().ifPresent(open -> putDesk(open.with(draft, gesture)));
  }

  private void putDesk(Desk changed) {
    attempt.set(new Attempt.StyleDraft(changed));
    showAgain();
  }

  /** Opens the step that keeps the look of the selection as a style. */
  public void openKeeping() {
    if (!isBusy()) {
      attempt.set(new Attempt.KeepingStyle());
    }
  }

  /** Leaves that step. */
  public void closeKeeping() {
    if (attempt().isKeeping()) {
      attempt.set(new Attempt.Nothing());
    }
  }

  /** Begins to settle what becomes of the followers of styles that are to go. */
  public void openDeletion(StyleDeletion wanted) {
    if (!isBusy()) {
      attempt.set(new Attempt.Deleting(wanted, Optional.empty()));
    }
  }

  /** Opens a swatch for editing. */
  public void openSwatch(String id) {
    if (!isBusy()) {
      attempt.set(new Attempt.SwatchDraft(id, Optional.empty()));
    }
  }

  /**
   * Takes in styles of another project: at once if no name collides, else when that is settled.
   *
   * @param edit what is done with the styles, given how names are settled
   */
  public void importStyles(StyleBundle bundle, Function<ImportStyles, Edit> edit) {
    List<ImportStyles.Collision> collisions = ImportStyles.collisions(project(), bundle);
    if (collisions.isEmpty()) {
      apply(edit.apply(new ImportStyles(bundle, Map.of())));
    } else if (!isBusy()) {
      attempt.set(
          new Attempt.Importing(new StyleImport(bundle, collisions, edit), Optional.empty()));
    }
  }

  /**
   * Shows an edit and what it reaches, to be committed or discarded; in place of what is under
   * review. Returns whether it is possible; a refusal is told in a notice.
   */
  public boolean review(Review wanted) {
    if (attempt().desk().isPresent()) {
      isBusy();
      return false;
    }
    try {
      wanted.edit().applyTo(project());
    } catch (EditRefused refused) {
      tell(Notice.problem(refused.getMessage()));
      return false;
    }
    preview = Optional.empty();
    attempt.set(attempt().reviewing(wanted));
    showAgain();
    return true;
  }

  // --- what is not committed yet
  // ---------------------------------------------------------------------------------

  /** The change on the desk or under review. */
  public Optional<Edit> pending() {
    return attempt()
        .desk()
        .filter(Desk::isChanged)
        .<Edit>map(open -> new ChangeStyle(open.draft()))
        .or(() -> attempt().review().map(Review::edit));
  }

  /** The same, without those that are held back. */
  private Optional<Edit> pendingForSome() {
    return pending()
        .map(
            edit -> heldBack.get().isEmpty() ? edit : new HoldBack(edit, heldBack.get(), branch()));
  }

  /** The derived style that those held back would follow. */
  private Optional<HoldBack.Branch> branch() {
    return attempt()
        .desk()
        .filter(_ -> heldAs.get() == HeldAs.DERIVED)
        .map(open ->
            new HoldBack.Branch(
                open.original().id(),
                branchId(),
                freeName(Messages.of("workspace.as-it-was", open.original().name()))));
  }

  private StyleId branchId() {
    if (nextBranch.isEmpty()) {
      nextBranch = Optional.of(new StyleId(ids().next("style")));
    }
    return nextBranch.get();
  }

  /** Does what is pending, as one step. */
  public void commitPending() {
    Optional<Edit> edit = pendingForSome();
    Attempt tried = attempt();
    Set<LayerId> held = heldBack.get();
    if (edit.isEmpty()) {
      if (tried.desk().isPresent()) {
        discardPending();
      }
      return;
    }
    Project before = project();
    closeAttempt();
    if (!apply(edit.get())) {
      attempt.set(tried);
      heldBack.set(held);
      showAgain();
      return;
    }
    tellCommitted(tried, Reach.between(before, project()).size(), held.size());
  }

  private void tellCommitted(Attempt done, int count, int held) {
    String what =
        done.desk()
            .map(desk -> Messages.of("workspace.changed", desk.draft().name()))
            .orElseGet(() -> Messages.of("workspace.done", done.review().orElseThrow().title()));
    String told = Messages.of("workspace.committed", what, count);
    tell(
        Notice.offering(
            held == 0 ? told : Messages.of("workspace.held-back", told, held, heldAs.get()),
            Messages.of("common.undo"),
            this::undo));
  }

  /** Leaves everything as it was. */
  public void discardPending() {
    closeAttempt();
    showAgain();
  }

  private void closeAttempt() {
    beforeShown.set(false);
    nextBranch = Optional.empty();
    attempt.set(new Attempt.Nothing());
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
