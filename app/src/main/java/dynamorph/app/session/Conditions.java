package dynamorph.app.session;

import java.util.function.BooleanSupplier;
import javafx.beans.Observable;
import javafx.beans.binding.Bindings;
import javafx.beans.property.BooleanProperty;
import javafx.beans.value.ObservableBooleanValue;

/**
 * What has to be so for actions to be possible.
 *
 * @param seen texts can be seen: no room lies over the stage
 * @param selected whole texts are selected and can be seen
 * @param any texts or words are selected and can be seen
 * @param pending something has to be committed or discarded
 * @param film a film is looked at
 */
public record Conditions(
    ObservableBooleanValue seen,
    ObservableBooleanValue selected,
    ObservableBooleanValue any,
    ObservableBooleanValue pending,
    ObservableBooleanValue film) {
  public static Conditions of(Workspace workspace) {
    BooleanProperty room = workspace.view().roomProperty();
    return new Conditions(
        room.not(),
        when(
            () ->
                !room.get()
                    && !workspace.selection().isEmpty()
                    && workspace.selection().cursor().isEmpty(),
            workspace.selectionProperty(),
            room),
        when(
            () -> !room.get() && !workspace.selection().isEmpty(),
            workspace.selectionProperty(),
            room),
        when(
            () -> workspace.attempts().present().isPending(),
            workspace.attempts().presentProperty()),
        when(() -> workspace.playback().isOpen(), workspace.playback().filmProperty()));
  }

  private static ObservableBooleanValue when(BooleanSupplier holds, Observable... changes) {
    return Bindings.createBooleanBinding(holds::getAsBoolean, changes);
  }
}
