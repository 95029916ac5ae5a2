package dynamorph.app.action;

import dynamorph.app.message.Messages;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableBooleanValue;
import javafx.scene.Scene;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;

/** All actions of a window. Each view's package registers its own. */
public final class Actions {
  private static final ObservableBooleanValue ALWAYS = Bindings.createBooleanBinding(() -> true);

  private final Map<String, Action> all = new LinkedHashMap<>();
  private final Map<String, ReadOnlyObjectWrapper<Optional<KeyCombination>>> keys =
      new LinkedHashMap<>();
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
    Optional<KeyCombination> usual =
        shortcut.isEmpty() ? Optional.empty() : Optional.of(keys(shortcut));
    String group = Messages.of("action-group." + id.substring(0, id.indexOf('.')));
    Runnable noted =
        () -> {
          latest = id;
          work.run();
        };
    ReadOnlyObjectWrapper<Optional<KeyCombination>> now = new ReadOnlyObjectWrapper<>(usual);
    Action action = new Action(id, name, group, now.getReadOnlyProperty(), usual, enabled, noted);
    if (all.putIfAbsent(id, action) != null) {
      throw new IllegalArgumentException(Messages.of("actions.two-actions-have-the-id", id));
    }
    keys.put(id, now);
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

  /** Gives an action other keys, or none; another that has them loses them. */
  public void setKeys(String id, Optional<KeyCombination> chosen) {
    chosen
        .flatMap(wanted -> having(wanted))
        .filter(other -> !other.id().equals(id))
        .ifPresent(other -> set(other.id(), Optional.empty()));
    set(id, chosen);
  }

  private void set(String id, Optional<KeyCombination> chosen) {
    Optional.ofNullable(keys.get(id)).ifPresent(own -> own.set(chosen));
  }

  /** The action that has keys, however those are written. */
  public Optional<Action> having(KeyCombination wanted) {
    String text = Action.text(wanted);
    return all.values().stream().filter(action -> action.shortcutText().equals(text)).findFirst();
  }

  /** The keys of an action as people read them; nothing for one without keys. */
  public String keysOf(String id) {
    return Optional.ofNullable(all.get(id)).map(Action::shortcutText).orElse("");
  }

  /** Lets the shortcuts work in a window. */
  public void install(Scene scene) {
    for (Action action : all.values()) {
      Runnable run = action::run;
      action.shortcut().ifPresent(own -> scene.getAccelerators().put(own, run));
      action
          .keys()
          .addListener((_, was, now) -> {
            was.ifPresent(own -> scene.getAccelerators().remove(own, run));
            now.ifPresent(own -> scene.getAccelerators().put(own, run));
          });
    }
  }

  /** A menu item that runs the action. */
  public MenuItem item(String id) {
    Action action = get(id);
    MenuItem item = new MenuItem(action.name());
    item.setOnAction(_ -> action.run());
    item.acceleratorProperty().bind(action.keys().map(own -> own.orElse(null)));
    item.disableProperty()
        .bind(Bindings.createBooleanBinding(() -> !action.enabled().get(), action.enabled()));
    return item;
  }
}
