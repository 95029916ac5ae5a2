package dynamorph.app.film;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** On the right of a film: what the selection looks like, or the list of cues. */
public final class SideTabs extends VBox {
  private final Workspace workspace;
  private final ToggleButton properties =
      tab(Messages.of("side-tabs.properties"), "tab-properties");
  private final ToggleButton cues = tab(Messages.of("side-tabs.cues"), "tab-cues");
  private final HBox bar = new HBox(6, properties, cues);
  private final Region look;
  private final Region list;

  public SideTabs(Workspace workspace, Region look, Region list) {
    this.workspace = workspace;
    this.look = look;
    this.list = list;
    getStyleClass().add("side-tabs");
    bar.getStyleClass().add("side-tab-bar");
    ToggleGroup group = new ToggleGroup();
    properties.setToggleGroup(group);
    cues.setToggleGroup(group);
    properties.setSelected(true);
    group
        .selectedToggleProperty()
        .addListener((_, was, now) -> {
          if (now == null) {
            was.setSelected(true);
          }
          update();
        });
    StackPane under = new StackPane(look, list);
    VBox.setVgrow(under, Priority.ALWAYS);
    under.setMinHeight(0);
    getChildren().addAll(bar, under);
    workspace.playback().filmProperty().addListener((_, _, _) -> update());
    workspace
        .playback()
        .cueTrackProperty()
        .addListener((_, _, now) -> {
          if (now.isPresent()) {
            cues.setSelected(true);
          }
        });
    update();
  }

  /** Shows what the selection looks like. */
  public void showLook() {
    properties.setSelected(true);
  }

  private static ToggleButton tab(String label, String id) {
    ToggleButton button = new ToggleButton(label);
    button.getStyleClass().add("side-tab");
    button.setId(id);
    button.setFocusTraversable(false);
    return button;
  }

  private void update() {
    boolean film =
        workspace
            .playback()
            .board()
            .filter(board -> board.timeline().orElseThrow().captions().findAny().isPresent())
            .isPresent();
    bar.setVisible(workspace.playback().isOpen() && film);
    bar.setManaged(bar.isVisible());
    boolean listed = bar.isVisible() && cues.isSelected();
    list.setVisible(listed);
    look.setVisible(!listed);
  }
}
