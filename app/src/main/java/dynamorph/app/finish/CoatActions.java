package dynamorph.app.finish;

import dynamorph.app.message.Messages;
import dynamorph.app.session.CoatClipboard;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.property.Address;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;

/** What the keys and the context menus of coats and effects do. */
final class CoatActions {
  private final Workspace workspace;
  private final CoatStack stack;
  private final FinishEditor editor;

  CoatActions(Workspace workspace, CoatStack stack, FinishEditor editor) {
    this.workspace = workspace;
    this.stack = stack;
    this.editor = editor;
  }

  void coatKey(Address coat, HBox row, KeyEvent key) {
    boolean plain = key.getTarget() == row;
    boolean known = true;
    if (key.isAltDown() && (key.getCode() == KeyCode.UP || key.getCode() == KeyCode.DOWN)) {
      stack.move(coat, key.getCode() == KeyCode.UP ? 1 : -1);
      Platform.runLater(() -> editor.focus(coat));
    } else if (plain && key.getCode() == KeyCode.DELETE) {
      stack.remove(coat);
    } else if (plain && key.isShortcutDown() && key.getCode() == KeyCode.D) {
      editor.duplicate(coat);
    } else if (plain && key.isShortcutDown() && key.getCode() == KeyCode.C) {
      copy(coat);
    } else if (plain && key.isShortcutDown() && key.getCode() == KeyCode.V) {
      editor.added(stack.paste(coat));
    } else if (plain && key.getCode() == KeyCode.ENTER) {
      editor.toggle(coat);
    } else {
      known = false;
    }
    if (known) {
      key.consume();
    }
  }

  void effectKey(Address effect, HBox row, KeyEvent key) {
    boolean plain = key.getTarget() == row;
    boolean known = true;
    if (key.isAltDown() && (key.getCode() == KeyCode.UP || key.getCode() == KeyCode.DOWN)) {
      stack.moveEffect(effect, key.getCode() == KeyCode.UP ? -1 : 1);
    } else if (plain && key.getCode() == KeyCode.DELETE) {
      stack.remove(effect);
    } else if (plain && key.isShortcutDown() && key.getCode() == KeyCode.C) {
      copy(effect);
    } else if (plain && key.isShortcutDown() && key.getCode() == KeyCode.V) {
      editor.added(stack.paste(effect));
    } else if (plain && key.getCode() == KeyCode.ENTER) {
      editor.toggle(effect);
    } else {
      known = false;
    }
    if (known) {
      key.consume();
    }
  }

  ContextMenu coatMenu(Address coat) {
    MenuItem up = item(Messages.of("finish-editor.move-up-alt-up"), () -> stack.move(coat, 1));
    up.setDisable(stack.isAtEnd(coat, true));
    MenuItem down =
        item(Messages.of("finish-editor.move-down-alt-down"), () -> stack.move(coat, -1));
    down.setDisable(stack.isAtEnd(coat, false));
    boolean alone = workspace.soloCoatProperty().get().filter(coat::equals).isPresent();
    MenuItem solo =
        item(
            alone
                ? Messages.of("finish-editor.end-solo")
                : Messages.of("finish-editor.solo-this-coat"),
            () -> workspace.soloCoatProperty().set(alone ? Optional.empty() : Optional.of(coat)));
    MenuItem reset =
        item(Messages.of("finish-editor.reset-what-is-set-here"), () -> stack.reset(coat));
    reset.setDisable(!stack.canReset(coat));
    return new ContextMenu(
        up,
        down,
        new SeparatorMenuItem(),
        item(Messages.of("finish-editor.duplicate-ctrl-d"), () -> editor.duplicate(coat)),
        item(Messages.of("finish-editor.copy-the-coat-ctrl-c"), () -> copy(coat)),
        pasteItem(coat),
        new SeparatorMenuItem(),
        solo,
        reset,
        item(Messages.of("finish-editor.remove-delete"), () -> stack.remove(coat)));
  }

  private MenuItem pasteItem(Address at) {
    boolean effect = stack.copied().map(CoatClipboard.Copied::isEffect).orElse(false);
    MenuItem paste =
        item(
            effect
                ? Messages.of("finish-editor.paste-the-effect-here-ctrl-v")
                : Messages.of("finish-editor.paste-the-coat-above-ctrl-v"),
            () -> editor.added(stack.paste(at)));
    paste.setDisable(stack.copied().isEmpty());
    return paste;
  }

  private void copy(Address address) {
    stack.copy(address);
    workspace.tell(
        Notice.info(
            address.effect().isEmpty()
                ? Messages.of("finish-editor.coat-copied-paste-it-on-a")
                : Messages.of("finish-editor.effect-copied-paste-it-on-any")));
  }

  ContextMenu effectMenu(Address effect) {
    MenuItem reset =
        item(Messages.of("finish-editor.reset-what-is-set-here"), () -> stack.reset(effect));
    reset.setDisable(!stack.canReset(effect));
    return new ContextMenu(
        item(Messages.of("finish-editor.move-up-alt-up"), () -> stack.moveEffect(effect, -1)),
        item(Messages.of("finish-editor.move-down-alt-down"), () -> stack.moveEffect(effect, 1)),
        new SeparatorMenuItem(),
        item(Messages.of("finish-editor.copy-the-effect-ctrl-c"), () -> copy(effect)),
        pasteItem(effect),
        new SeparatorMenuItem(),
        reset,
        item(Messages.of("finish-editor.remove-delete"), () -> stack.remove(effect)));
  }

  private static MenuItem item(String name, Runnable work) {
    MenuItem item = new MenuItem(name);
    item.setOnAction(_ -> work.run());
    return item;
  }
}
