package dynamorph.app.action;

import dynamorph.app.message.Messages;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableBooleanValue;
import javafx.scene.Scene;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;

/** All actions of a window. Each view's package registers its own. */
public final class Actions {
  private static final ObservableBooleanValue ALWAYS = Bindings.createBooleanBinding(() -> true);

  private final Map<String, Action> all = new LinkedHashMap<>();
  private volatile String latest = "";

  /** Registers an action that can always be done. */
  public Action add(String id, String shortcut, Runnable work) {
    return add(id, shortcut, ALWAYS, work);
  }

  /**
   * Registers an action; its name is the message {@code action.} and its id.
   *
   * @param id its group and what it does, such as {@code film.split}
   * @param shortcut in JavaFX notation, such as {@code Shortcut+S}, or empty
   */
  public Action add(String id, String shortcut, ObservableBooleanValue enabled, Runnable work) {
    return add(id, Messages.of("action." + id), shortcut, enabled, work);
  }

  /** Registers an action with a name that is made up as the program runs. */
  public Action add(
      String id, String name, String shortcut, ObservableBooleanValue enabled, Runnable work) {
    Optional<KeyCombination> keys =
        shortcut.isEmpty() ? Optional.empty() : Optional.of(keys(shortcut));
    String group = Messages.of("action-group." + id.substring(0, id.indexOf('.')));
    Runnable noted =
        () -> {
          latest = id;
          work.run();
        };
    Action action = new Action(id, name, group, keys, enabled, noted);
    if (all.putIfAbsent(id, action) != null) {
      throw new IllegalArgumentException(Messages.of("actions.two-actions-have-the-id", id));
    }
    return action;
  }

  /** A key that is not known by its name would never be heard. */
  private static KeyCombination keys(String shortcut) {
    if (KeyCombination.valueOf(shortcut) instanceof KeyCodeCombination keys) {
      return keys;
    }
    throw new IllegalArgumentException(Messages.of("actions.no-such-key", shortcut));
  }

  public List<Action> all() {
    return List.copyOf(all.values());
  }

  /** The id of the action that was run last; empty if none was. */
  public String latest() {
    return latest;
  }

  /** The action of this id; it must be there. */
  public Action get(String id) {
    return Optional.ofNullable(all.get(id))
        .orElseThrow(
            () -> new IllegalArgumentException(Messages.of("actions.no-action-has-the-id", id)));
  }

  /** Lets the shortcuts work in a window. */
  public void install(Scene scene) {
    for (Action action : all.values()) {
      action.shortcut().ifPresent(keys -> scene.getAccelerators().put(keys, action::run));
    }
  }

  /** A menu item that runs the action. */
  public MenuItem item(String id) {
    Action action = get(id);
    MenuItem item = new MenuItem(action.name());
    item.setOnAction(_ -> action.run());
    action.shortcut().ifPresent(item::setAccelerator);
    item.disableProperty()
        .bind(Bindings.createBooleanBinding(() -> !action.enabled().get(), action.enabled()));
    return item;
  }
}
