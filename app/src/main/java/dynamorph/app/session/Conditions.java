package dynamorph.app.session;

import java.util.function.BooleanSupplier;
import javafx.beans.Observable;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableBooleanValue;

/**
 * What has to be so for actions to be possible.
 *
 * @param selected whole texts are selected
 * @param any texts or words are selected
 * @param pending something has to be committed or discarded
 * @param film a film is looked at
 */
public record Conditions(
    ObservableBooleanValue selected,
    ObservableBooleanValue any,
    ObservableBooleanValue pending,
    ObservableBooleanValue film) {
  public static Conditions of(Workspace workspace) {
    return new Conditions(
        when(
            () -> !workspace.selection().isEmpty() && workspace.selection().cursor().isEmpty(),
            workspace.selectionProperty()),
        when(() -> !workspace.selection().isEmpty(), workspace.selectionProperty()),
        when(
            () -> workspace.attempts().present().isPending(),
            workspace.attempts().presentProperty()),
        when(() -> workspace.playback().isOpen(), workspace.playback().filmProperty()));
  }

  private static ObservableBooleanValue when(BooleanSupplier holds, Observable changes) {
    return Bindings.createBooleanBinding(holds::getAsBoolean, changes);
  }
}
