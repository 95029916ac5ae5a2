package dynamorph.app.artboards.stage;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.Tool;
import dynamorph.app.session.Workspace;
import dynamorph.app.window.LatePane;
import dynamorph.app.window.NoticeBar;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.Numbers;
import java.util.List;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** The stage with its tools, its zoom and the notices over it. */
public final class StagePane extends StackPane {
  private final Workspace workspace;
  private static final double ZOOM_STEP = 1.25;

  private final NoticeBar notice;

  public StagePane(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    setMinSize(0, 0);
    VBox tools = new VBox(6, tools(workspace), shapes(workspace), new SamplerBar(workspace));
    tools.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    tools.setPickOnBounds(false);
    Node zoom = zoom(stage, workspace);
    notice = new NoticeBar(workspace);
    getChildren().addAll(stage, tools, zoom, notice);
    setAlignment(tools, Pos.TOP_LEFT);
    setAlignment(zoom, Pos.BOTTOM_RIGHT);
    setAlignment(notice, Pos.BOTTOM_LEFT);
    setMargin(tools, new Insets(12));
    setMargin(zoom, new Insets(12));
    setMargin(notice, new Insets(12));
  }

  /** Puts a pane over the upper right of the stage. */
  public void addOver(Region pane) {
    getChildren().add(pane);
    pane.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
    setAlignment(pane, Pos.TOP_RIGHT);
    setMargin(pane, new Insets(12));
  }

  /** Puts a pane in front of the stage while it is visible; notices stay over it. */
  public void addInFront(Region pane) {
    getChildren().add(getChildren().indexOf(notice), pane);
  }

  /**
   * Puts panes in front of the stage of which one is open at a time.
   *
   * @param elsewhere takes its turn with them, but lies elsewhere in the window
   */
  public void addRooms(List<LatePane<?>> inFront, LatePane<?> elsewhere) {
    inFront.forEach(this::addInFront);
    List<LatePane<?>> rooms =
        Stream.concat(inFront.stream(), Stream.<LatePane<?>>of(elsewhere)).toList();
    for (LatePane<?> room : rooms) {
      room.visibleProperty()
          .addListener((_, _, shown) -> {
            if (shown) {
              rooms.stream()
                  .filter(other -> other != room)
                  .forEach(other -> other.ifMade(pane -> pane.setVisible(false)));
            }
            workspace.view().roomProperty().set(rooms.stream().anyMatch(one -> one.isVisible()));
          });
    }
    Runnable leave = () -> rooms.forEach(room -> room.ifMade(pane -> pane.setVisible(false)));
    workspace
        .view()
        .roomProperty()
        .addListener((_, _, now) -> {
          if (!now) {
            leave.run();
          }
        });
    workspace
        .attempts()
        .follow(
            StagePane::isSeenOnStage,
            seen -> {
              if (seen) {
                leave.run();
              }
            });
  }

  /** What comes from elsewhere is seen on the stage before it is there. */
  private static boolean isSeenOnStage(Attempt attempt) {
    return attempt.document().isPresent() || attempt.fill().isPresent();
  }

  private static Node tools(Workspace workspace) {
    ToggleGroup group = new ToggleGroup();
    HBox bar = new HBox(2);
    bar.getStyleClass().add("tools");
    bar.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    for (Tool tool : Tool.values()) {
      ToggleButton button = new ToggleButton(tool.label());
      button.getStyleClass().add("tool");
      button.setId("tool-" + tool.name().toLowerCase(java.util.Locale.ROOT));
      Tips.on(button, tool.help() + "  " + tool.key());
      button.setToggleGroup(group);
      button.setFocusTraversable(false);
      button.setSelected(workspace.tools().toolProperty().get() == tool);
      button.setOnAction(_ -> {
        workspace.tools().toolProperty().set(tool);
        button.setSelected(true);
      });
      workspace.tools().toolProperty().addListener((_, _, now) -> button.setSelected(now == tool));
      bar.getChildren().add(button);
    }
    return bar;
  }

  /** The shapes that can be drawn; they show while that is what clicking does. */
  private static Node shapes(Workspace workspace) {
    ToggleGroup group = new ToggleGroup();
    HBox bar = new HBox(2);
    bar.getStyleClass().add("tools");
    bar.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    for (Drawable drawable : SHAPES) {
      Shape shape = drawable.shape();
      ToggleButton button = new ToggleButton(shape.name());
      button.getStyleClass().add("tool");
      button.setId("shape-" + drawable.id());
      button.setToggleGroup(group);
      button.setFocusTraversable(false);
      button.setSelected(shape.equals(workspace.tools().shapeProperty().get()));
      button.setOnAction(_ -> {
        workspace.tools().shapeProperty().set(shape);
        button.setSelected(true);
      });
      bar.getChildren().add(button);
    }
    bar.visibleProperty().bind(workspace.tools().toolProperty().isEqualTo(Tool.SHAPE));
    bar.managedProperty().bind(bar.visibleProperty());
    return bar;
  }

  private record Drawable(String id, Shape shape) {}

  private static final List<Drawable> SHAPES =
      List.of(
          new Drawable("rectangle", Shape.Rectangle.SHARP),
          new Drawable("ellipse", new Shape.Ellipse()),
          new Drawable("line", new Shape.Line(false)),
          new Drawable("polygon", new Shape.Polygon(6, 0)),
          new Drawable("star", new Shape.Polygon(5, 0.5)));

  private static Node zoom(StageView stage, Workspace workspace) {
    Label percent = new Label();
    percent.getStyleClass().add("zoom-percent");
    Runnable show =
        () ->
            percent.setText(
                Numbers.format(stage.view().scale() / stage.pixelRatio() * 100, 0) + " %");
    stage.viewProperty().addListener((_, _, _) -> show.run());
    show.run();
    Button fit = new Button(Messages.of("stage-pane.fit"));
    Tips.on(fit, Messages.of("stage-pane.show-all-artboards-ctrl-0"));
    fit.setOnAction(_ -> stage.fitAll());
    Button out =
        Controls.icon(
            Feather.MINUS,
            Messages.of("stage-pane.zoom-out-ctrl-minus"),
            () -> stage.zoom(1 / ZOOM_STEP));
    Button in =
        Controls.icon(
            Feather.PLUS, Messages.of("stage-pane.zoom-in-ctrl-plus"), () -> stage.zoom(ZOOM_STEP));
    ToggleButton alone = new ToggleButton("", new FontIcon(Feather.MAXIMIZE_2));
    alone.setId("stage-alone");
    alone.getStyleClass().add("icon-button");
    alone.setAccessibleText(Messages.of("stage-pane.stage-alone"));
    Tips.on(alone, Messages.of("stage-pane.stage-alone-f11"));
    alone.selectedProperty().bindBidirectional(workspace.view().stageAloneProperty());
    HBox bar = new HBox(2, out, percent, in, fit, alone);
    bar.setAlignment(Pos.CENTER);
    bar.getStyleClass().add("zoom-bar");
    bar.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    for (Node node : bar.getChildren()) {
      node.setFocusTraversable(false);
    }
    return bar;
  }
}
