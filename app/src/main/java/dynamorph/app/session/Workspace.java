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
import dynamorph.model.edit.Target;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.property.Address;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedSet;
import java.util.function.BiConsumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
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
  private final Attempts attempts = new Attempts(this);
  private final FootageFiles footage = new FootageFiles();
  private final FootageFiles footageOfChecks = FootageFiles.besidePlaying();

  private final ReadOnlyObjectWrapper<Project> shown;
  private final ReadOnlyObjectWrapper<Optional<Notice>> notice =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ObjectProperty<Selection> selection = new SimpleObjectProperty<>(Selection.NONE);
  private final ObjectProperty<Optional<Address>> soloCoat =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<GradientInHand>> gradientInHand =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<StyleId>> pickedStyle =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<Exported>> exported =
      new SimpleObjectProperty<>(Optional.empty());
  private Optional<Edit> preview = Optional.empty();

  public Workspace(IdSource ids, Project project) {
    this.document = new OpenDocument(ids, project);
    this.shown = new ReadOnlyObjectWrapper<>(project);
    soloCoat.addListener((_, _, _) -> showAgain());
    // whose gradient it was is not shown any more
    attempts.onChange(now -> now.desk().isPresent(), _ -> gradientInHand.set(Optional.empty()));
    playback.filmProperty().addListener((_, before, now) -> changeView(before, now));
    view.sheetProperty()
        .addListener((_, _, open) -> {
          Optional<ArtboardId> now = playback.filmProperty().get();
          playback.playingProperty().set(false);
          if (!open && !selection.get().isEmpty() && !isSeen(selection.get(), now)) {
            // a sheet has texts of everywhere
            selection.set(leftSelections.getOrDefault(now, Selection.NONE).within(project()));
          }
        });
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

  /** What is being tried and is not committed yet. */
  public Attempts attempts() {
    return attempts;
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

  public ReadOnlyObjectProperty<Optional<Notice>> noticeProperty() {
    return notice.getReadOnlyProperty();
  }

  public ObjectProperty<Selection> selectionProperty() {
    return selection;
  }

  public Selection selection() {
    return selection.get();
  }

  /** The layers that hold the words of what is selected, wherever those show. */
  public SequencedSet<LayerId> texts() {
    LinkedBoxes links = LinkedBoxes.of(project());
    SequencedSet<LayerId> texts = new LinkedHashSet<>();
    selection.get().layers().forEach(box -> texts.add(links.first(box)));
    return texts;
  }

  /** What an edit of the words and looks of the selection is about. */
  public Target target() {
    return switch (selection.get().target()) {
      case Target.Layers _ -> new Target.Layers(texts());
      case Target within -> within;
    };
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

  /** Looks that shall be written into a file; whoever writes files takes them. */
  public ObjectProperty<Optional<Exported>> exportedProperty() {
    return exported;
  }

  /** Opens a project that is in no file yet, where its only film is if it has nothing else. */
  public void openNew(Project project) {
    open(project, Optional.empty());
    if (project.still().findAny().isEmpty()) {
      project.films().findFirst().ifPresent(film -> playback.open(film.id()));
    }
  }

  /** Shows another project. */
  public void open(Project project, Optional<Path> from) {
    open(() -> document.open(project, from));
  }

  /**
   * Goes on with work that was left.
   *
   * @param draft a style that was on the desk, as it was edited
   */
  public void restore(History history, Optional<Path> from, Optional<Style> draft) {
    open(() -> document.restore(history, from));
    draft
        .filter(style -> project().styles().find(style.id()).isPresent())
        .ifPresent(style -> {
          attempts.openDesk(style.id());
          attempts.draft(style, Optional.empty());
        });
  }

  private void open(Runnable take) {
    preview = Optional.empty();
    attempts.close();
    view.reachProperty().set(false);
    pickedStyle.set(Optional.empty());
    selection.set(Selection.NONE);
    playback.close();
    leftSelections.clear();
    take.run();
    changed();
    document.announce();
  }

  /** Notes that a state of the project lies in a file now. */
  public void saved(Project project, Path to) {
    document.saved(project, to);
    changed();
  }

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
    if (attempts.isBusy()) {
      return false;
    }
    try {
      preview = Optional.empty();
      document.apply(edit, gesture);
      changed();
      return true;
    } catch (EditRefused refused) {
      tell(Notice.problem(Messages.reason(refused)));
      showAgain();
      return false;
    }
  }

  /** Ends a gesture: the next edit is a step of its own. */
  public void endGesture() {
    document.endGesture();
  }

  /** Takes the latest change back: that of the attempt, else that of the project. */
  public void undo() {
    switch (attempts.present()) {
      case Attempt.StyleDraft(Desk desk) -> attempts.putDesk(desk.undone());
      case Attempt pending when pending.isPending() -> attempts.discardPending();
      default -> {
        document.undo();
        changed();
      }
    }
  }

  /** Does again what was taken back; nothing while a change of the project is looked at. */
  public void redo() {
    switch (attempts.present()) {
      case Attempt.StyleDraft(Desk desk) -> attempts.putDesk(desk.redone());
      case Attempt pending when pending.isPending() -> attempts.isBusy();
      default -> {
        document.redo();
        changed();
      }
    }
  }

  /**
   * Goes to another state of the project.
   *
   * @param steps to do again, or to take back below zero
   */
  public void go(int steps) {
    if (attempts.present().isPending()) {
      tell(Notice.info(Messages.of("workspace.settle-first")));
    } else if (!attempts.isBusy()) {
      preview = Optional.empty();
      document.move(steps);
      changed();
    }
  }

  private void changed() {
    Project present = project();
    selection.set(selection.get().within(present));
    pickedStyle.set(pickedStyle.get().filter(id -> present.styles().find(id).isPresent()));
    playback.follow(present);
    if (!attempts.present().isAbout(present)) {
      attempts.close();
    }
    showAgain();
  }

  /** Shows the project as an edit would make it, until something else is shown. */
  public void preview(Edit edit) {
    if (!attempts.present().isPending()) {
      preview = Optional.of(edit);
      showAgain();
    }
  }

  /** Shows the selection in a style, without changing anything. */
  public void previewFollowing(StyleId style) {
    if (!selection.get().isEmpty()) {
      preview(
          following.edit(
              target(),
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

  /** What was previewed is not shown again. */
  void dropPreview() {
    preview = Optional.empty();
  }

  void showAgain() {
    Project worked = worked();
    shown.set(soloCoat.get().map(coat -> SoloCoat.alone(worked, texts(), coat)).orElse(worked));
  }

  private Project worked() {
    Project present = project();
    try {
      Optional<Edit> pending = attempts.pendingForSome();
      if (pending.isPresent()) {
        return attempts.beforeShownProperty().get() ? present : pending.get().applyTo(present);
      }
      return preview.isPresent() ? preview.get().applyTo(present) : present;
    } catch (EditRefused notPossible) {
      return present;
    }
  }

  public void tell(Notice told) {
    notice.set(Optional.of(told));
  }

  public void clearNotice() {
    notice.set(Optional.empty());
  }

  public void select(Iterable<LayerId> layers) {
    selection.set(Selection.of(layers));
  }

  /** Lets go of footage; nothing is done here any more. */
  public void close() {
    footage.close();
    footageOfChecks.close();
  }
}
