package dynamorph.app.shortcuts;

import dynamorph.app.action.Action;
import dynamorph.app.action.Actions;
import dynamorph.app.action.KeyRules;
import dynamorph.app.field.Controls;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * Every action with its keys, in front of the stage: found by its name or by pressing keys, and
 * given other keys by pressing those.
 */
public final class ShortcutsPane extends VBox {
  /** A property of nodes that no shortcut of the window takes keys from. */
  public static final String TAKES_ALL_KEYS = "takes-all-keys";

  private final Workspace workspace;
  private final ShortcutKeeper keeper;
  private final Dialogs dialogs;
  private final Runnable leave;
  private final TextField find = new TextField();
  private final VBox list = new VBox(2);
  private final Label changed = new Label();
  private final Button reset = new Button(Messages.of("shortcuts.all-as-usual"));
  private final Label nothing = Controls.quiet(Messages.of("shortcuts.nothing"));
  private final List<Group> groups = new ArrayList<>();

  private record Group(Label title, List<ShortcutRow> rows) {}

  /**
   * @param leave gives the keyboard back
   */
  public ShortcutsPane(
      Workspace workspace,
      Actions actions,
      ShortcutKeeper keeper,
      Dialogs dialogs,
      Runnable leave) {
    super(10);
    this.workspace = workspace;
    this.keeper = keeper;
    this.dialogs = dialogs;
    this.leave = leave;
    getStyleClass().add("shortcuts-pane");
    setId("shortcuts");
    find.setId("find-shortcut");
    find.setPromptText(Messages.of("shortcuts.find"));
    find.getProperties().put(TAKES_ALL_KEYS, true);
    find.addEventFilter(KeyEvent.KEY_PRESSED, this::keysToFind);
    find.textProperty().addListener((_, _, _) -> filter());
    Map<String, List<Action>> byGroup =
        actions.all().stream()
            .collect(Collectors.groupingBy(Action::group, LinkedHashMap::new, Collectors.toList()));
    byGroup.forEach((name, all) -> {
      Label title = new Label(name);
      title.getStyleClass().add("sub-title");
      List<ShortcutRow> rows =
          all.stream().map(action -> new ShortcutRow(actions, action)).toList();
      groups.add(new Group(title, rows));
      list.getChildren().add(title);
      list.getChildren().addAll(rows);
    });
    list.getChildren().add(nothing);
    actions.all().forEach(action -> action.keys().addListener((_, _, _) -> count()));
    list.getStyleClass().add("shortcut-list");
    reset.setId("shortcuts-reset");
    reset.setOnAction(_ -> asUsual());
    getChildren()
        .addAll(
            Controls.paneHead(
                Messages.of("shortcuts.title"), "guide#choose-shortcuts", this::close),
            above(),
            Controls.scrolled(list));
    setVisible(false);
    managedProperty().bind(visibleProperty());
    addEventFilter(
        KeyEvent.KEY_PRESSED,
        event -> {
          boolean listening =
              groups.stream()
                  .flatMap(group -> group.rows.stream())
                  .anyMatch(ShortcutRow::isListening);
          if (event.getCode() == KeyCode.ESCAPE && !listening) {
            close();
            event.consume();
          }
        });
    filter();
    count();
  }

  /** What is done with all of them; notices lie over the lower edge. */
  private HBox above() {
    Button write = new Button(Messages.of("shortcuts.export"));
    write.setId("shortcuts-export");
    write.setOnAction(_ -> write());
    Button read = new Button(Messages.of("shortcuts.import"));
    read.setId("shortcuts-import");
    read.setOnAction(_ -> read());
    changed.getStyleClass().add("quiet");
    HBox.setHgrow(find, Priority.ALWAYS);
    HBox row = new HBox(8, find, changed, reset, read, write);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  public void open() {
    setVisible(true);
    find.requestFocus();
    find.selectAll();
  }

  private void close() {
    setVisible(false);
    leave.run();
  }

  /** Keys that are no typing are what is looked for. */
  private void keysToFind(KeyEvent event) {
    if (KeyRules.isShortcut(event)) {
      KeyRules.of(event).map(Action::text).ifPresent(find::setText);
      find.selectAll(); // what is typed next is looked for instead
      event.consume();
    }
  }

  /** Rows come and go where they are: putting them in anew takes ten times as long. */
  private void filter() {
    String wanted = find.getText().strip().toLowerCase(Locale.ROOT);
    boolean any = false;
    for (Group group : groups) {
      boolean found = false;
      for (ShortcutRow row : group.rows) {
        boolean matches = matches(row.action(), wanted);
        Controls.showOnly(row, matches);
        found |= matches;
      }
      Controls.showOnly(group.title, found);
      any |= found;
    }
    Controls.showOnly(nothing, !any);
  }

  private static boolean matches(Action action, String wanted) {
    String keys = action.shortcutText().toLowerCase(Locale.ROOT);
    return keys.equals(wanted)
        || (action.group() + " " + action.name()).toLowerCase(Locale.ROOT).contains(wanted);
  }

  private void count() {
    int count = keeper.changed().size();
    changed.setText(count == 0 ? "" : Messages.of("shortcuts.changed", count));
    reset.setDisable(count == 0);
  }

  private void asUsual() {
    Runnable before = keeper.state();
    keeper.reset();
    offerBack(Messages.of("shortcuts.usual-again"), before);
  }

  private void offerBack(String words, Runnable before) {
    workspace.tell(Notice.offering(words, Messages.of("common.undo"), before));
  }

  private void write() {
    dialogs
        .choose(FileQuestion.SAVED_SHORTCUTS, Messages.of("shortcuts.file-name"))
        .ifPresent(file -> {
          try {
            keeper.write(file);
            workspace.tell(Notice.info(Messages.of("shortcuts.exported", name(file))));
          } catch (IOException wrong) {
            workspace.tell(
                Notice.problem(Messages.of("shortcuts.not-exported", Messages.reason(wrong))));
          }
        });
  }

  private void read() {
    dialogs
        .choose(FileQuestion.SHORTCUTS)
        .ifPresent(file -> {
          Runnable before = keeper.state();
          try {
            ShortcutKeeper.Taken taken = keeper.read(file);
            offerBack(
                taken.left().isEmpty()
                    ? Messages.of("shortcuts.imported", taken.taken())
                    : Messages.of("shortcuts.imported-but", taken.taken(), taken.left().size()),
                before);
          } catch (IOException wrong) {
            workspace.tell(
                Notice.problem(Messages.of("shortcuts.not-imported", Messages.reason(wrong))));
          }
        });
  }

  private static String name(Path file) {
    return String.valueOf(file.getFileName());
  }
}
