package dynamorph.app.shortcuts;

import dynamorph.app.action.Action;
import dynamorph.app.action.Actions;
import dynamorph.app.action.KeyRules;
import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;

/** An action with its keys, which are pressed to be changed. */
final class ShortcutRow extends VBox {
  private static final PseudoClass CHANGED = PseudoClass.getPseudoClass("changed");
  private static final PseudoClass WITHOUT = PseudoClass.getPseudoClass("without");
  private static final PseudoClass LISTENING = PseudoClass.getPseudoClass("listening");

  private final Actions actions;
  private final Action action;
  private final Button keys = new Button();
  private final Button usual;
  private final Label words = Controls.quiet("");
  private final Button take = new Button(Messages.of("shortcuts.take"));
  private final HBox said = new HBox(8, words, take);
  private Optional<KeyCombination> wanted = Optional.empty();
  private boolean listening;

  ShortcutRow(Actions actions, Action action) {
    this.actions = actions;
    this.action = action;
    Label name = new Label(action.name());
    name.setMinWidth(0);
    keys.getStyleClass().add("shortcut-keys");
    keys.getProperties().put(ShortcutsPane.TAKES_ALL_KEYS, true);
    keys.setId("keys-" + action.id().replace('.', '-'));
    keys.setOnAction(_ -> listen());
    keys.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    keys.focusedProperty()
        .addListener((_, _, focused) -> {
          if (!focused && !take.isFocused()) {
            leave();
          }
        });
    usual = Controls.icon(Feather.ROTATE_CCW, Messages.of("shortcuts.usual-none"), this::reset);
    usual.setId("usual-" + action.id().replace('.', '-'));
    take.setOnAction(_ -> wanted.ifPresent(this::set));
    HBox row = new HBox(10, name, Controls.gap(), usual, keys);
    row.setAlignment(Pos.CENTER_LEFT);
    said.setAlignment(Pos.CENTER_RIGHT);
    getStyleClass().add("shortcut-row");
    getChildren().addAll(row, said);
    action.keys().addListener((_, _, _) -> show());
    show();
    say("", false);
  }

  boolean isListening() {
    return listening;
  }

  Action action() {
    return action;
  }

  private void show() {
    boolean changed = ShortcutKeeper.isChanged(action);
    String text = action.shortcutText();
    keys.setText(
        listening
            ? Messages.of("shortcuts.press")
            : text.isEmpty() ? Messages.of("shortcuts.none") : text);
    keys.setAccessibleText(Messages.of("shortcuts.keys-of", action.name(), keys.getText()));
    keys.pseudoClassStateChanged(LISTENING, listening);
    keys.pseudoClassStateChanged(WITHOUT, text.isEmpty() && !listening);
    pseudoClassStateChanged(CHANGED, changed);
    usual.setVisible(changed);
    String before =
        action
            .usual()
            .map(own -> Messages.of("shortcuts.usual", Action.text(own)))
            .orElse(Messages.of("shortcuts.usual-none"));
    usual.setAccessibleText(before);
    Tips.on(usual, before);
  }

  private void say(String said, boolean offers) {
    words.setText(said);
    Controls.showOnly(take, offers);
    Controls.showOnly(this.said, !said.isEmpty());
  }

  private void listen() {
    listening = true;
    say(Messages.of("shortcuts.how"), false);
    show();
  }

  private void leave() {
    if (listening) {
      listening = false;
      wanted = Optional.empty();
      say("", false);
      show();
    }
  }

  private void pressed(KeyEvent event) {
    boolean plain = !KeyRules.isShortcut(event) && !event.isShiftDown();
    if (!listening) {
      return;
    }
    KeyCode code = event.getCode();
    if (code == KeyCode.TAB && !KeyRules.isShortcut(event)) {
      return; // the keyboard goes on
    }
    event.consume();
    if (code == KeyCode.ESCAPE && plain) {
      leave();
    } else if ((code == KeyCode.BACK_SPACE || code == KeyCode.DELETE) && plain) {
      choose(Optional.empty());
    } else if (code == KeyCode.ENTER && plain && wanted.isPresent()) {
      set(wanted.get());
    } else {
      KeyRules.of(event).ifPresent(this::hear);
    }
  }

  private void hear(KeyCombination heard) {
    wanted = Optional.empty();
    Optional<String> problem = KeyRules.problem(heard);
    Optional<Action> other = actions.having(heard).filter(one -> !one.id().equals(action.id()));
    if (problem.isPresent()) {
      say(problem.get(), false);
    } else if (other.isPresent()) {
      wanted = Optional.of(heard);
      say(Messages.of("shortcuts.is-of", Action.text(heard), other.get().name()), true);
    } else {
      set(heard);
    }
  }

  private void set(KeyCombination heard) {
    choose(Optional.of(heard));
  }

  private void choose(Optional<KeyCombination> chosen) {
    leave();
    actions.setKeys(action.id(), chosen);
    keys.requestFocus();
  }

  /** The usual keys may have gone to another action, which is told before it loses them. */
  private void reset() {
    Optional<Action> other =
        action.usual().flatMap(actions::having).filter(one -> !one.id().equals(action.id()));
    if (other.isPresent()) {
      keys.requestFocus();
      listen();
      hear(action.usual().orElseThrow());
    } else {
      choose(action.usual());
    }
  }
}
