package dynamorph.app.artboards.arrange;

import dynamorph.app.action.Action;
import dynamorph.app.action.Actions;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.Editors;
import dynamorph.app.field.NumberText;
import dynamorph.app.field.Tips;
import dynamorph.app.field.ValueEditor;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.paint.arrange.Alignment;
import dynamorph.paint.arrange.Axis;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Aligns what is selected, and says and sets the gaps between several. */
public final class ArrangeBar extends VBox {
  private final Workspace workspace;
  private final StageView stage;
  private final ArrangeActions arrange;
  private final Map<Axis, NumberText<Double>> gaps = new EnumMap<>(Axis.class);
  private final HBox gapRow = new HBox(4);

  public ArrangeBar(Workspace workspace, StageView stage, Actions actions, ArrangeActions arrange) {
    this.workspace = workspace;
    this.stage = stage;
    this.arrange = arrange;
    getStyleClass().add("arrange-bar");
    HBox buttons = new HBox(1);
    buttons.setAlignment(Pos.CENTER_LEFT);
    for (Alignment alignment : Alignment.values()) {
      buttons
          .getChildren()
          .add(button(actions.get(ArrangeActions.id(alignment)), ArrangeIcons.of(alignment)));
    }
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    buttons.getChildren().add(space);
    for (Axis axis : Axis.values()) {
      buttons
          .getChildren()
          .add(button(actions.get(ArrangeActions.id(axis)), ArrangeIcons.of(axis)));
    }
    gapRow.setAlignment(Pos.CENTER_LEFT);
    for (Axis axis : Axis.values()) {
      gapRow.getChildren().addAll(gapField(axis));
    }
    gapRow.getChildren().add(toArtboard());
    gapRow.managedProperty().bind(gapRow.visibleProperty());
    getChildren().addAll(buttons, gapRow);
    workspace.selectionProperty().addListener((_, _, _) -> update());
    stage.frameProperty().addListener((_, _, _) -> update());
    update();
  }

  private Button button(Action action, Node icon) {
    Button button = new Button("", icon);
    button.getStyleClass().add("icon-button");
    button.setId(action.id().replace('.', '-'));
    button.setAccessibleText(action.name());
    Tips.on(button, action.name());
    button.setOnAction(_ -> {
      action.run();
      stage.requestFocus();
    });
    return button;
  }

  private static Label plainLabel(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("row-label");
    label.setMinWidth(Region.USE_PREF_SIZE);
    return label;
  }

  private Node[] gapField(Axis axis) {
    String name = axis.name().toLowerCase(Locale.ROOT);
    boolean across = axis == Axis.ACROSS;
    Label label =
        plainLabel(Messages.of(across ? "arrange-bar.gap-across" : "arrange-bar.gap-down"));
    NumberText<Double> field = new NumberText<>(Editors.points(), new Gap(axis));
    field.setId("gap-" + name);
    String help = Messages.of(across ? "arrange-bar.gap-help-across" : "arrange-bar.gap-help-down");
    field.setAccessibleText(help);
    field.setPrefColumnCount(4);
    Tips.on(field, help);
    field.nudgeBy(label);
    gaps.put(axis, field);
    return new Node[] {label, field};
  }

  /** Takes the gap that is typed. */
  private final class Gap implements ValueEditor.Sink<Double> {
    private final Axis axis;

    Gap(Axis axis) {
      this.axis = axis;
    }

    @Override
    public void set(Double gap, Optional<Object> gesture) {
      arrange.space(axis, gap, gesture);
      Optional.ofNullable(gaps.get(axis)).ifPresent(field -> field.show(Optional.of(gap)));
    }

    @Override
    public void refuse(String why) {
      workspace.tell(Notice.problem(why));
    }
  }

  private CheckBox toArtboard() {
    CheckBox box = new CheckBox(Messages.of("arrange-bar.to-artboard"));
    box.setId("align-to-artboard");
    box.selectedProperty().bindBidirectional(workspace.view().alignsToArtboardProperty());
    Tips.on(box, Messages.of("arrange-bar.to-artboard-help"));
    return box;
  }

  private void update() {
    boolean whole =
        workspace.selection().cursor().isEmpty() && workspace.selection().passages().isEmpty();
    boolean any = whole && !workspace.selection().isEmpty();
    boolean several = whole && workspace.selection().layers().size() > 1;
    setVisible(any);
    setManaged(any);
    gapRow.setVisible(several);
    for (Axis axis : Axis.values()) {
      NumberText<Double> field = gaps.get(axis);
      if (several && field != null && !field.isFocused()) {
        OptionalDouble gap = arrange.gap(axis);
        field.show(gap.isPresent() ? Optional.of(gap.getAsDouble()) : Optional.empty());
      }
    }
  }
}
