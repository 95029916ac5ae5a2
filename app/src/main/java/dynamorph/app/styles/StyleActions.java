package dynamorph.app.styles;

import dynamorph.app.action.Actions;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Conditions;
import dynamorph.app.session.Deviations;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.column.StylesColumn;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.StyleId;
import java.util.Optional;
import java.util.Set;

/** What can be done with styles, and with what follows them. */
public final class StyleActions {
  private final Workspace workspace;
  private final StylesColumn column;
  private final Runnable leaveField;

  /**
   * @param leaveField takes what is being typed in a field along
   */
  public StyleActions(Workspace workspace, StylesColumn column, Runnable leaveField) {
    this.workspace = workspace;
    this.column = column;
    this.leaveField = leaveField;
  }

  public void register(Actions actions, Conditions when) {
    Deviations deviations = workspace.deviations();
    actions.add("styles.keep", "Shortcut+K", when.any(), workspace.attempts()::openKeeping);
    actions.add(
        "styles.edit-followed",
        "Shortcut+E",
        when.any(),
        () -> followed().ifPresent(workspace.attempts()::openDesk));
    actions.add("styles.drop-local", "Shortcut+Backspace", when.any(), deviations::drop);
    actions.add("styles.save-local", "", when.any(), deviations::saveIntoStyle);
    actions.add("styles.derive-from-local", "", when.any(), deviations::deriveStyle);
    actions.add("styles.drop-local-everywhere", "", when.any(), deviations::dropOnAllFollowers);
    actions.add("styles.combine", "", when.any(), deviations::combine);
    actions.add("styles.clear-formatting", "", when.any(), deviations::clearFormatting);
    actions.add("styles.delete-unused", "", this::deleteUnused);
    actions.add("styles.new", "", column::addEmpty);
    actions.add("styles.focus", "Shortcut+L", column::focusFirst);
    actions.add(
        "styles.commit",
        "Shortcut+ENTER",
        when.pending(),
        () -> {
          leaveField.run();
          workspace.attempts().commitPending();
        });
    actions.add("styles.discard", "", when.pending(), workspace.attempts()::discardPending);
  }

  /** The style that the selection follows most directly. */
  private Optional<StyleId> followed() {
    Set<LayerId> texts = workspace.texts();
    return workspace
        .project()
        .layers()
        .filter(layer -> texts.contains(layer.id()))
        .findFirst()
        .flatMap(StyleActions::nearest);
  }

  private static Optional<StyleId> nearest(Layer layer) {
    return layer.follows().isEmpty()
        ? Followers.followed(layer).stream().sorted().findFirst()
        : Optional.of(layer.follows().getLast());
  }

  private void deleteUnused() {
    DeleteStyles unused = DeleteStyles.unused(workspace.project());
    int count = unused.styles().size();
    if (count == 0) {
      workspace.tell(Notice.info(Messages.of("style-actions.every-style-is-followed-or-is")));
    } else if (workspace.apply(unused)) {
      workspace.tell(
          Notice.offering(
              Messages.of("style-actions.unused-style-deleted", count),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }
}
