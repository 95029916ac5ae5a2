package dynamorph.app.artboards;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.LengthUnit;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.model.edit.style.AddStyle;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.survey.BaseProposal;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Expression;
import dynamorph.model.value.Numbers;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.control.ButtonType;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Dialog;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.stage.Window;

/** Name, size and colour of an artboard. */
public final class ArtboardDialog {
  private final Workspace workspace;
  private final TextField name = new TextField();
  private final TextField width = new TextField();
  private final TextField height = new TextField();
  private final ComboBox<String> unit = new ComboBox<>();
  private final ComboBox<String> colour = new ComboBox<>();
  private final ComboBox<Optional<Style>> base =
      Controls.styles(Messages.of("artboard-dialog.as-in-the-project"));
  private BaseProposal proposal = new BaseProposal(Optional.empty(), false);

  public ArtboardDialog(Workspace workspace) {
    this.workspace = workspace;
    for (LengthUnit one : LengthUnit.values()) {
      unit.getItems().add(one.symbol());
    }
    colour.setEditable(true);
    workspace
        .project()
        .palette()
        .swatches()
        .forEach(swatch -> colour.getItems().add(swatch.name()));
  }

  public void create(Window owner) {
    String id = workspace.ids().next("artboard");
    int number = workspace.project().artboards().size() + 1;
    Artboard fresh =
        Artboard.empty(
            id, Messages.of("artboard-dialog.artboard", number), 1080, 1080, LengthUnit.PIXEL);
    ask(owner, Messages.of("artboard-dialog.new-artboard"), fresh)
        .ifPresent(made -> workspace.apply(withBase(made, new ArrangeArtboards.Add(made))));
  }

  /** A base style that was only proposed is put into the project in the same step. */
  private Edit withBase(Artboard made, Edit edit) {
    return proposal.isNew() && made.baseStyle().equals(proposal.style().map(Style::id))
        ? Edit.together(
            edit.label(workspace.project()),
            new AddStyle(proposal.style().orElseThrow(), Messages.of("common.new")),
            edit)
        : edit;
  }

  public void change(Window owner, Artboard artboard) {
    ask(owner, Messages.of("artboard-dialog.artboard-settings"), artboard)
        .ifPresent(made -> workspace.apply(withBase(made, new ArrangeArtboards.Change(made))));
  }

  private Optional<Artboard> ask(Window owner, String title, Artboard start) {
    name.setText(start.name());
    width.setText(start.unit().format(start.width()));
    height.setText(start.unit().format(start.height()));
    unit.setValue(start.unit().symbol());
    colour.setValue(nameOf(start.background()));
    GridPane grid = new GridPane(8, 8);
    grid.setPadding(new Insets(16));
    grid.addRow(0, new Label(Messages.of("common.name")), name);
    grid.addRow(1, new Label(Messages.of("artboard-dialog.width")), width, unit);
    grid.addRow(2, new Label(Messages.of("artboard-dialog.height")), height);
    grid.addRow(3, new Label(Messages.of("artboard-dialog.background")), colour);
    grid.addRow(4, new Label(Messages.of("artboard-dialog.base-style")), base);
    GridPane.setColumnSpan(base, 2);
    Tips.on(base, Messages.of("artboard-dialog.the-style-of-plain-text-on"));
    boolean isNew = workspace.project().artboard(start.id()).isEmpty();
    propose(start, isNew);
    for (TextField side : List.of(width, height)) {
      side.textProperty().addListener((_, _, _) -> propose(start, isNew));
    }
    unit.valueProperty().addListener((_, _, _) -> propose(start, isNew));
    Dialog<ButtonType> dialog = new Dialog<>();
    dialog.initOwner(owner);
    dialog.setTitle(title);
    dialog.getDialogPane().setContent(grid);
    dialog.getDialogPane().getStylesheets().setAll(owner.getScene().getStylesheets());
    dialog.getDialogPane().getButtonTypes().addAll(ButtonType.OK, ButtonType.CANCEL);
    name.requestFocus();
    return dialog.showAndWait().filter(answer -> answer == ButtonType.OK).flatMap(_ -> read(start));
  }

  /** A new artboard gets the base style that suits its size; for others it is only offered. */
  private void propose(Artboard start, boolean choose) {
    double wide;
    double high;
    try {
      LengthUnit chosen = LengthUnit.values()[unit.getSelectionModel().getSelectedIndex()];
      wide = chosen.toPoints(number(width));
      high = chosen.toPoints(number(height));
    } catch (IllegalArgumentException unfinished) {
      return;
    }
    proposal =
        BaseProposal.of(
            workspace.project(), wide, high, new StyleId(workspace.ids().next("style")));
    Optional<Style> now =
        base.getValue() == null
            ? start.baseStyle().flatMap(workspace.project().styles()::find)
            : base.getValue();
    base.getItems().clear();
    base.getItems().add(Optional.empty());
    if (proposal.isNew()) {
      base.getItems().add(proposal.style());
    }
    workspace.project().styles().stream()
        .filter(style -> style.level() == StyleLevel.TEXT)
        .forEach(style -> base.getItems().add(Optional.of(style)));
    base.setValue(
        choose
            ? proposal.style()
            : now.filter(style -> base.getItems().contains(Optional.of(style))));
  }

  private Optional<Artboard> read(Artboard start) {
    try {
      LengthUnit chosen = LengthUnit.values()[unit.getSelectionModel().getSelectedIndex()];
      Artboard sized =
          Artboard.empty(
              start.id().value(), name.getText().strip(), number(width), number(height), chosen);
      return Optional.of(
          sized
              .withBackground(read(colour.getValue()))
              .withOrigin(start.x(), start.y())
              .withLayers(start.layers())
              .withBaseStyle(
                  base.getValue() == null ? Optional.empty() : base.getValue().map(Style::id)));
    } catch (IllegalArgumentException wrong) {
      workspace.tell(Notice.problem(Messages.reason(wrong) + "."));
      return Optional.empty();
    }
  }

  private static double number(TextField field) {
    String text = field.getText().strip();
    return text.matches("[\\d.,]+") ? Numbers.parse(text) : Expression.evaluate(text);
  }

  private String nameOf(Colour background) {
    return switch (background) {
      case Colour.SwatchReference(String id) ->
          workspace.project().palette().find(id).map(Swatch::name).orElse(id);
      case Colour.Literal literal -> literal.toString();
    };
  }

  private Colour read(String text) {
    return workspace.project().palette().swatches().stream()
        .filter(swatch -> swatch.name().equalsIgnoreCase(text.strip()))
        .findFirst()
        .map(swatch -> Colour.swatch(swatch.id()))
        .orElseGet(() -> Colour.parse(text));
  }
}
