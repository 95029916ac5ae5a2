package dynamorph.app.finish;

import dynamorph.app.action.Actions;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Conditions;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.ReplaceFinish;
import dynamorph.model.property.PropertySet;
import java.util.Optional;
import java.util.Set;

/** Takes the finish of one text over to others. */
public final class FinishActions {
  private final Workspace workspace;
  private Optional<PropertySet> copied = Optional.empty();

  public FinishActions(Workspace workspace) {
    this.workspace = workspace;
  }

  public void register(Actions actions, Conditions when) {
    actions.add("edit.copy-finish", "F7", when.any(), this::copy);
    actions.add("edit.paste-finish", "F8", when.any(), this::paste);
    actions.add("edit.clear-finish", "", when.any(), this::clear);
  }

  public void copy() {
    Set<LayerId> texts = workspace.texts();
    Optional<Layer> first =
        workspace.project().layers().filter(layer -> texts.contains(layer.id())).findFirst();
    first.ifPresent(layer -> {
      copied = Optional.of(ReplaceFinish.ofFirst(workspace.project(), layer));
      workspace.tell(
          Notice.info(Messages.of("finish-actions.finish-copied-select-other-texts-and")));
    });
  }

  public void paste() {
    if (copied.isEmpty()) {
      workspace.tell(Notice.problem(Messages.of("finish-actions.no-finish-was-copied-yet-select")));
      return;
    }
    workspace.apply(ReplaceFinish.of(target(), copied.get()));
  }

  public void clear() {
    workspace.apply(ReplaceFinish.plain(target()));
  }

  private Target target() {
    return workspace.target();
  }
}
