package dynamorph.app.window;

import dynamorph.app.action.Action;
import dynamorph.app.action.Actions;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Tool;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;

/**
 * Lists every action with its shortcut, and what keys and clicks do on the stage and in the styles.
 */
public final class ShortcutSheet {
  private static final Map<String, String> GESTURES = gestures();

  private ShortcutSheet() {}

  private static Map<String, String> gestures() {
    Map<String, String> gestures = new LinkedHashMap<>();
    gestures.put(
        Messages.of("shortcut-sheet.double-click-a-text"),
        Messages.of("shortcut-sheet.edit-it-in-place"));
    gestures.put("Shift+click", Messages.of("shortcut-sheet.add-to-the-selection"));
    gestures.put(
        Messages.of("shortcut-sheet.arrows"), Messages.of("shortcut-sheet.nudge-by-1-pt-shift-10"));
    gestures.put(
        Messages.of("shortcut-sheet.space-drag-or-middle-button"),
        Messages.of("shortcut-sheet.pan-the-view"));
    gestures.put("Ctrl+wheel", Messages.of("shortcut-sheet.zoom"));
    gestures.put(joined(tool -> String.valueOf(tool.key())), joined(tool -> tool.label()));
    gestures.put("J, K, L", Messages.of("shortcut-sheet.backward-stop-forward"));
    gestures.put(
        Messages.of("shortcut-sheet.hover-a-style"),
        Messages.of("shortcut-sheet.see-the-selection-in-it"));
    gestures.put(
        Messages.of("shortcut-sheet.click-a-style"),
        Messages.of("shortcut-sheet.follow-it-on-the-card-add"));
    gestures.put(
        Messages.of("shortcut-sheet.double-click-a-style"), Messages.of("shortcut-sheet.edit-it"));
    gestures.put(
        Messages.of("shortcut-sheet.drag-a-style"),
        Messages.of("shortcut-sheet.onto-the-texts-that-shall-follow"));
    gestures.put(
        Messages.of("shortcut-sheet.hold-b-on-the-desk"),
        Messages.of("shortcut-sheet.see-it-as-it-was"));
    return gestures;
  }

  private static String joined(Function<Tool, String> of) {
    return Arrays.stream(Tool.values()).map(of).collect(Collectors.joining(", "));
  }

  /** Shows the sheet over a window, never larger than that; what does not fit is scrolled to. */
  public static void show(Scene scene, Actions actions) {
    Map<String, List<Action>> groups =
        actions.all().stream()
            .filter(action -> action.shortcut().isPresent())
            .collect(Collectors.groupingBy(Action::group, LinkedHashMap::new, Collectors.toList()));
    List<VBox> blocks = new ArrayList<>();
    groups.forEach((group, list) -> blocks.add(block(group, rows(list))));
    blocks.add(block(Messages.of("shortcut-sheet.on-the-stage-and-in-the"), GESTURES));
    HBox columns = new HBox(36);
    balanced(blocks, scene.getWidth() >= WIDE ? 3 : 2)
        .forEach(column -> columns.getChildren().add(column));
    ScrollPane scroll = new ScrollPane(columns);
    scroll.setId("shortcut-sheet");
    scroll.getStyleClass().add("shortcut-sheet");
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setMaxSize(scene.getWidth() - MARGIN, scene.getHeight() - MARGIN);
    scroll.getStylesheets().setAll(scene.getStylesheets());
    Popup popup = new Popup();
    popup.setAutoHide(true);
    Button change = new Button(actions.get("view.change-shortcuts").name());
    change.setOnAction(_ -> {
      popup.hide();
      actions.get("view.change-shortcuts").run();
    });
    ((VBox) columns.getChildren().getLast()).getChildren().add(change);
    popup.getContent().add(scroll);
    popup.show(scene.getWindow());
    popup.setX(
        scene.getWindow().getX() + scene.getX() + (scene.getWidth() - scroll.getWidth()) / 2);
    popup.setY(
        scene.getWindow().getY() + scene.getY() + (scene.getHeight() - scroll.getHeight()) / 2);
    scroll.requestFocus();
  }

  private static final double WIDE = 1200;
  private static final double MARGIN = 40;

  /** The blocks in order, in columns of about the same number of rows. */
  private static List<VBox> balanced(List<VBox> blocks, int many) {
    int rows = blocks.stream().mapToInt(ShortcutSheet::rows).sum();
    List<VBox> columns = new ArrayList<>();
    int filled = 0;
    for (VBox block : blocks) {
      int middle = filled + rows(block) / 2;
      int column = Math.min(many - 1, middle * many / Math.max(1, rows));
      while (columns.size() <= column) {
        columns.add(new VBox(14));
      }
      columns.get(column).getChildren().add(block);
      filled += rows(block);
    }
    return columns;
  }

  private static int rows(VBox block) {
    return 2 + ((GridPane) block.getChildren().getLast()).getRowCount();
  }

  private static Map<String, String> rows(List<Action> actions) {
    Map<String, String> rows = new LinkedHashMap<>();
    actions.forEach(action -> rows.put(action.name(), action.shortcutText()));
    return rows;
  }

  private static VBox block(String title, Map<String, String> rows) {
    Label heading = new Label(title);
    heading.getStyleClass().add("section-title");
    GridPane grid = new GridPane(18, 3);
    rows.forEach((name, keys) -> {
      Label value = new Label(keys);
      value.getStyleClass().add("quiet");
      grid.addRow(grid.getRowCount(), new Label(name), value);
    });
    return new VBox(6, heading, grid);
  }
}
