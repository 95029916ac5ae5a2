package dynamorph.app.shelf;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.shelf.entry.Kept;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/** Brings looks from the shelf into the project, and onto what is selected. */
public final class ShelfLooks {
  private final Workspace workspace;
  private final ShelfKeeper keeper;

  public ShelfLooks(Workspace workspace, ShelfKeeper keeper) {
    this.workspace = workspace;
    this.keeper = keeper;
  }

  /** Shows the selection in a look of the shelf, without changing anything. */
  public void preview(Kept.OfStyle look) {
    // the pointer may have rested where another shelf is shown by now
    if (!workspace.selection().isEmpty() && isThere(look)) {
      workspace.preview(new Apply(look, selected(look), onTop(), stamps()));
    }
  }

  /** Shows texts in a look that is carried over them. */
  public void preview(Kept.OfStyle look, Target.Layers texts) {
    if (isThere(look)) {
      workspace.preview(new Apply(look, texts, onTop(), stamps()));
    }
  }

  /** Brings a look into the project and lets these texts follow it. */
  public void apply(Kept.OfStyle look, Target.Layers texts) {
    if (isThere(look)) {
      apply(new Apply(look, texts, onTop(), stamps()));
    }
  }

  /** Brings a look into the project and lets the selection follow it. */
  public void apply(Kept.OfStyle look) {
    if (!isThere(look)) {
      return;
    }
    if (workspace.selection().isEmpty()) {
      workspace.tell(Notice.info(Messages.of("shelf-looks.select-texts-first")));
      return;
    }
    apply(new Apply(look, selected(look), onTop(), stamps()));
  }

  private void apply(Apply edit) {
    if (workspace.apply(edit)) {
      workspace.pickedStyleProperty().set(edit.inProject(workspace.project()));
      workspace.tell(
          Notice.offering(
              edit.label(workspace.project()), Messages.of("common.undo"), workspace::undo));
    }
  }

  /** With only a caret, a text style is for the whole text. */
  private Target selected(Kept.OfStyle look) {
    Target selected = workspace.target();
    return selected.isOfParagraphs() && look.style().level() == StyleLevel.TEXT
        ? new Target.Layers(selected.layers())
        : selected;
  }

  private boolean isThere(Kept.OfStyle look) {
    return keeper.shelf().kept(look.id()).filter(look::equals).isPresent();
  }

  /** Brings looks into the project; nothing follows them yet. */
  public void take(Collection<String> entries) {
    StyleBundle bundle = keeper.shelf().bundle(entries);
    Project before = workspace.project();
    workspace.attempts().importStyles(bundle, edit -> edit);
    if (!workspace.project().equals(before)) {
      workspace.tell(
          Notice.offering(
              Messages.of("shelf-looks.taken", entries.size()),
              Messages.of("common.undo"),
              workspace::undo));
    } else if (workspace.attempts().present().styleImport().isEmpty()) {
      workspace.tell(Notice.info(Messages.of("shelf-looks.there-already")));
    }
  }

  /** The style of the project that came from an entry, if one did. */
  public Optional<StyleId> inProject(String entry) {
    return inProject(workspace.project(), keeper.shelf().id(), entry);
  }

  private static Optional<StyleId> inProject(Project project, String shelf, String entry) {
    return project.styles().stream()
        .filter(style ->
            style
                .origin()
                .filter(origin -> origin.shelf().equals(shelf) && origin.entry().equals(entry))
                .isPresent())
        .map(style -> style.id())
        .findFirst();
  }

  private boolean onTop() {
    return workspace.following().applyOptionsProperty().get().onTop();
  }

  private boolean stamps() {
    return workspace.following().stampingProperty().get();
  }

  /** A look with what it needs, and then the selection following it. */
  private final class Apply implements Edit {
    private final Kept.OfStyle look;
    private final StyleBundle bundle;
    private final Target target;
    private final boolean onTop;
    private final boolean stamps;

    Apply(Kept.OfStyle look, Target target, boolean onTop, boolean stamps) {
      this.look = look;
      this.bundle = keeper.shelf().bundle(List.of(look.id()));
      this.target = target;
      this.onTop = onTop;
      this.stamps = stamps;
    }

    @Override
    public Project applyTo(Project before) {
      // a name that stands for another look here is left to that one
      Map<StyleId, ImportStyles.Choice> both =
          ImportStyles.collisions(before, bundle).stream()
              .collect(Collectors.toMap(one -> one.theirs().id(), _ -> ImportStyles.Choice.BOTH));
      ImportStyles.Arrived arrived = new ImportStyles(bundle, both).arrive(before);
      StyleId style = Objects.requireNonNull(arrived.styles().get(look.style().id()));
      return workspace.following().edit(target, style, onTop, stamps).applyTo(arrived.project());
    }

    Optional<StyleId> inProject(Project project) {
      return ShelfLooks.inProject(project, keeper.shelf().id(), look.id());
    }

    @Override
    public String label(Project before) {
      return stamps
          ? Messages.of("shelf-looks.stamp", look.name(), target.layers().size())
          : Messages.of("shelf-looks.follow", look.name(), target.layers().size());
    }
  }
}
