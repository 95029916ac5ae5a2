package dynamorph.app.styles.column;

import dynamorph.app.field.NameQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.style.ArrangeStyles;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** The head of a group of styles: opens and shuts it, takes styles that are dropped on it. */
final class GroupHead extends HBox {
  private static final PseudoClass DROP = PseudoClass.getPseudoClass("drop");

  private final String group;
  private final FontIcon chevron = new FontIcon(Feather.CHEVRON_DOWN);
  private final Label count = new Label();

  /**
   * @param flip opens or shuts the group
   */
  GroupHead(Workspace workspace, String group, Runnable flip) {
    this.group = group;
    getStyleClass().add("group-head");
    setAlignment(Pos.CENTER_LEFT);
    setSpacing(4);
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.BUTTON);
    Label name =
        new Label(
            group.isEmpty() ? Messages.of("common.without-a-group") : group.replace("/", " / "));
    name.getStyleClass().add("group-title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    count.getStyleClass().add("quiet");
    getChildren().addAll(chevron, name, gap, count);
    setOnMouseClicked(event -> {
      if (event.isStillSincePress()
          && event.getButton() == javafx.scene.input.MouseButton.PRIMARY) {
        flip.run();
      }
    });
    setOnKeyPressed(event -> {
      if (event.getCode() == KeyCode.ENTER || event.getCode() == KeyCode.SPACE) {
        flip.run();
        event.consume();
      }
    });
    setOnContextMenuRequested(event -> {
      if (!group.isEmpty()) {
        menu(workspace).show(this, event.getScreenX(), event.getScreenY());
      }
      event.consume();
    });
  }

  String group() {
    return group;
  }

  void show(int styles, boolean open) {
    chevron.setIconCode(open ? Feather.CHEVRON_DOWN : Feather.CHEVRON_RIGHT);
    count.setText(String.valueOf(styles));
    setAccessibleText(
        Messages.of(
            "group-head.group",
            (group.isEmpty() ? Messages.of("common.without-a-group") : group),
            styles,
            (open ? "" : Messages.of("group-head.collapsed"))));
  }

  void showDrop(boolean over) {
    pseudoClassStateChanged(DROP, over);
  }

  private ContextMenu menu(Workspace workspace) {
    MenuItem rename = new MenuItem(Messages.of("group-head.rename-the-group"));
    rename.setOnAction(_ -> {
      String title = Messages.of("group-head.rename-the-group-2");
      String label = Messages.of("group-head.name-with-between-levels");
      NameQuestion.ask(getScene().getWindow(), title, label, group)
          .filter(to -> !to.equals(group))
          .ifPresent(to -> workspace.apply(new ArrangeStyles.RenameGroup(group, to)));
    });
    MenuItem dissolve = new MenuItem(Messages.of("group-head.ungroup"));
    dissolve.setOnAction(_ ->
        workspace.apply(
            new ArrangeStyles.RenameGroup(
                group, group.contains("/") ? group.substring(0, group.lastIndexOf('/')) : "")));
    return new ContextMenu(rename, dissolve);
  }
}
