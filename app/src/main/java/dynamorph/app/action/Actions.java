package dynamorph.app.action;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableBooleanValue;
import javafx.scene.Scene;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCombination;

/** All actions of a window. */
public final class Actions {
  private static final ObservableBooleanValue ALWAYS = Bindings.createBooleanBinding(() -> true);

  private final List<Action> all = new ArrayList<>();

  public Action add(String group, String name, String shortcut, Runnable work) {
    return add(group, name, shortcut, ALWAYS, work);
  }

  /**
   * Registers an action.
   *
   * @param shortcut in JavaFX notation, or empty
   */
  public Action add(
      String group, String name, String shortcut, ObservableBooleanValue enabled, Runnable work) {
    Optional<KeyCombination> keys =
        shortcut.isEmpty() ? Optional.empty() : Optional.of(KeyCombination.valueOf(shortcut));
    Action action = new Action(name, group, keys, enabled, work);
    all.add(action);
    return action;
  }

  public List<Action> all() {
    return List.copyOf(all);
  }

  /** The action of this name; it must be there. */
  public Action get(String name) {
    return all.stream()
        .filter(action -> action.name().equals(name))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("no action is called \"" + name + "\""));
  }

  /** Lets the shortcuts work in a window. */
  public void install(Scene scene) {
    for (Action action : all) {
      action.shortcut().ifPresent(keys -> scene.getAccelerators().put(keys, action::run));
    }
  }

  /** A menu item that runs the action. */
  public MenuItem item(String name) {
    Action action = get(name);
    MenuItem item = new MenuItem(action.name());
    item.setOnAction(_ -> action.run());
    action.shortcut().ifPresent(item::setAccelerator);
    item.disableProperty()
        .bind(Bindings.createBooleanBinding(() -> !action.enabled().get(), action.enabled()));
    return item;
  }
}
