package dynamorph.app.styles.palette;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Rgba;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import org.kordamp.ikonli.feather.Feather;

/** The swatches of the project, to be pressed for editing. */
public final class PaletteStrip extends VBox {
  private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");
  private static final double SIDE = 18;

  private final Workspace workspace;
  private final FlowPane chips = new FlowPane(5, 5);
  private Palette shown = Palette.EMPTY;

  public PaletteStrip(Workspace workspace) {
    this.workspace = workspace;
    getStyleClass().add("palette-strip");
    setId("palette");
    Label title = new Label(Messages.of("palette-strip.swatches"));
    title.getStyleClass().add("group-title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    Button add = Controls.icon(Feather.PLUS, Messages.of("palette-strip.new-swatch"), this::add);
    add.setId("new-swatch");
    HBox head = new HBox(6, title, gap, add);
    head.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(head, chips);
    workspace.shownProperty().addListener((_, _, project) -> show(project.palette()));
    workspace.attempts().presentProperty().addListener((_, _, _) -> mark());
    show(workspace.project().palette());
  }

  private void show(Palette palette) {
    if (palette.equals(shown)) {
      return;
    }
    shown = palette;
    chips.getChildren().setAll(palette.swatches().stream().map(this::chip).toList());
    mark();
  }

  private Button chip(Swatch swatch) {
    Rectangle colour = new Rectangle(SIDE, SIDE, color(swatch.colour()));
    colour.setArcWidth(6);
    colour.setArcHeight(6);
    colour.getStyleClass().add("colour-chip");
    Button chip = new Button("", colour);
    chip.getStyleClass().add("swatch-chip");
    chip.setId("swatch-" + swatch.id());
    chip.setUserData(swatch.id());
    Tips.on(
        chip,
        Messages.of("palette-strip.press-to-edit-it-for-all", swatch.name(), swatch.colour()));
    chip.setAccessibleText(Messages.of("common.swatch", swatch.name()));
    chip.setOnAction(_ -> workspace.attempts().openSwatch(swatch.id()));
    return chip;
  }

  private void mark() {
    Optional<String> open = workspace.attempts().present().swatch();
    chips
        .getChildren()
        .forEach(node ->
            node.pseudoClassStateChanged(
                PICKED, open.filter(node.getUserData()::equals).isPresent()));
  }

  private void add() {
    String id = workspace.ids().next("swatch");
    int number = workspace.project().palette().swatches().size() + 1;
    Swatch fresh = new Swatch(id, Messages.of("common.swatch", number), Rgba.of(128, 128, 128));
    if (workspace.apply(new SetSwatch(fresh))) {
      workspace.attempts().openSwatch(id);
    }
  }

  private static Color color(Rgba colour) {
    return Color.rgb(colour.red(), colour.green(), colour.blue(), colour.alpha() / 255.0);
  }
}
