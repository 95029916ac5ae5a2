package dynamorph.app.window;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** At the right: what the selection looks like, the layers, the cues of a film, or a survey. */
public final class SideTabs extends VBox {
  private final Workspace workspace;
  private final ToggleButton properties =
      tab(Messages.of("side-tabs.properties"), "tab-properties");
  private final ToggleButton layers = tab(Messages.of("side-tabs.layers"), "tab-layers");
  private final ToggleButton cues = tab(Messages.of("side-tabs.cues"), "tab-cues");
  private final ToggleButton survey = tab(Messages.of("side-tabs.survey"), "tab-survey");
  private final HBox bar =
      new HBox(6, properties, layers, cues, survey, Controls.gap(), Controls.help(this::place));
  private final Region look;
  private final Region layerList;
  private final Region list;
  private final Region found;
  private boolean offersSurvey;

  /**
   * @param look what the selection looks like
   * @param layerList all layers in sight
   * @param list the cues of a film
   * @param found what a survey found
   */
  public SideTabs(Workspace workspace, Region look, Region layerList, Region list, Region found) {
    this.workspace = workspace;
    this.look = look;
    this.layerList = layerList;
    this.list = list;
    this.found = found;
    getStyleClass().add("side-tabs");
    bar.getStyleClass().add("side-tab-bar");
    ToggleGroup group = new ToggleGroup();
    properties.setToggleGroup(group);
    layers.setToggleGroup(group);
    cues.setToggleGroup(group);
    survey.setToggleGroup(group);
    properties.setSelected(true);
    group
        .selectedToggleProperty()
        .addListener((_, was, now) -> {
          if (now == null) {
            was.setSelected(true);
          }
          update();
        });
    StackPane under = new StackPane(look, layerList, list, found);
    VBox.setVgrow(under, Priority.ALWAYS);
    under.setMinHeight(0);
    getChildren().addAll(bar, under);
    workspace.playback().filmProperty().addListener((_, _, _) -> update());
    workspace
        .view()
        .sheetProperty()
        .addListener((_, _, open) -> {
          if (open) {
            survey.setSelected(true);
          }
          update();
        });
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
    workspace.view().showSide();
    properties.setSelected(true);
  }

  /** Lists the layers. */
  public void showLayers() {
    workspace.view().showSide();
    layers.setSelected(true);
  }

  private static ToggleButton tab(String label, String id) {
    ToggleButton button = new ToggleButton(label);
    button.getStyleClass().add("side-tab");
    button.setId(id);
    button.setFocusTraversable(false);
    return button;
  }

  /** Shows what a survey of the project found. */
  public void showSurvey() {
    workspace.view().showSide();
    offersSurvey = true;
    survey.setSelected(true);
    update();
  }

  /** What the guide says about what is shown. */
  private String place() {
    if (list.isVisible()) {
      return "captions#checks";
    }
    if (survey.isVisible() && survey.isSelected()) {
      return "survey#what-could-be-in-better-order";
    }
    return layers.isSelected() ? "guide#put-texts-in-order" : "guide#make-one-text-look-right";
  }

  private void update() {
    boolean film =
        workspace
            .playback()
            .board()
            .filter(board -> board.timeline().orElseThrow().captions().findAny().isPresent())
            .isPresent();
    boolean sheet = workspace.view().sheetProperty().get();
    boolean captions = workspace.playback().isOpen() && film && !sheet;
    // who has once asked for a survey is offered it everywhere
    offersSurvey |= sheet;
    cues.setVisible(captions);
    cues.setManaged(captions);
    survey.setVisible(offersSurvey);
    survey.setManaged(offersSurvey);
    boolean listed = captions && cues.isSelected();
    boolean surveyed = offersSurvey && survey.isSelected();
    list.setVisible(listed);
    workspace.view().surveyProperty().set(surveyed);
    workspace.view().layersProperty().set(layers.isSelected());
    look.setVisible(!listed && !surveyed && !layers.isSelected());
  }
}
