package dynamorph.app.styles.palette;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Editors;
import dynamorph.app.field.Tips;
import dynamorph.app.field.ValueEditor;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Review;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.DeleteSwatch;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.reach.SwatchUse;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Edits one swatch. Everything painted with it changes on the stage at once, the reach strip shows
 * what that is, and nothing is kept until it is committed.
 */
public final class SwatchPane extends VBox {
  private static final PropertyKey<Colour> KEY = Properties.COAT_COLOUR.at(Address.coat("swatch"));

  private final Workspace workspace;
  private final Label title = new Label();
  private final Label uses = new Label();
  private final TextField name = new TextField();
  private final ValueEditor<Colour> colour;
  private final Button commit = new Button(Messages.of("swatch-pane.commit"));
  private final MenuButton delete = new MenuButton(Messages.of("swatch-pane.delete-swatch"));
  private Optional<Swatch> draft = Optional.empty();

  public SwatchPane(Workspace workspace, Editors editors) {
    this.workspace = workspace;
    this.colour =
        editors.editor(
            Properties.COAT_COLOUR,
            new ValueEditor.Sink<>() {
              @Override
              public void set(Colour value, Optional<Object> gesture) {
                paint(workspace.project().palette().colour(value));
              }

              @Override
              public void refuse(String why) {
                workspace.tell(Notice.problem(why + "."));
              }
            });
    getStyleClass().add("swatch-pane");
    setId("swatch-pane");
    title.getStyleClass().add("banner-title");
    VBox banner = new VBox(2, Controls.titled(title, "guide#styles"), uses);
    banner.getStyleClass().add("banner");
    name.setId("swatch-name");
    Controls.onTyped(name, this::rename);
    colour.node().setId("swatch-colour");
    if (colour.node() instanceof Region region) {
      region.setMaxWidth(Double.MAX_VALUE);
    }
    GridPane grid = new GridPane(6, 6);
    grid.getStyleClass().add("facet");
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(new ColumnConstraints(88), wide);
    grid.addRow(0, Controls.rowLabel(Messages.of("common.name")), name);
    grid.addRow(1, Controls.rowLabel(Messages.of("swatch-pane.colour")), colour.node());
    getChildren().addAll(banner, buttons(), grid);
    workspace
        .attempts()
        .follow(
            Attempt::swatch, id -> id.ifPresentOrElse(this::open, () -> draft = Optional.empty()));
    workspace
        .attempts()
        .follow(
            Attempt::review,
            review -> {
              commit.setDisable(review.isEmpty());
              review.map(Review::edit).ifPresent(this::showPut);
            });
  }

  private HBox buttons() {
    commit.getStyleClass().add("commit");
    commit.setId("swatch-commit");
    Tips.on(commit, Messages.of("swatch-pane.commit-change-it-everywhere-ctrl-enter"));
    commit.setOnAction(_ -> workspace.attempts().commitPending());
    Button close = new Button(Messages.of("common.close"));
    Tips.on(close, Messages.of("swatch-pane.leave-it-as-it-was-esc"));
    close.setOnAction(_ -> workspace.attempts().discardPending());
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox row = new HBox(8, commit, close, gap, delete);
    row.getStyleClass().add("desk-buttons");
    return row;
  }

  private void open(String id) {
    draft = workspace.project().palette().find(id);
    commit.setDisable(true);
    draft.ifPresent(swatch -> {
      SwatchUse use = SwatchUse.of(workspace.project(), id);
      uses.setText(use.text());
      delete.getItems().setAll(deletions(swatch, use));
      show(swatch);
    });
  }

  /** Shows what is under review, whoever asked for it. */
  private void showPut(Edit edit) {
    if (edit instanceof SetSwatch(Swatch put)
        && draft.filter(open -> open.id().equals(put.id()) && !open.equals(put)).isPresent()) {
      draft = Optional.of(put);
      show(put);
    }
  }

  private void show(Swatch swatch) {
    title.setText(Messages.of("common.swatch", swatch.name()));
    name.setText(swatch.name());
    Optional<Colour> shown = Optional.of(Colour.of(swatch.colour()));
    colour.show(new ValueEditor.Shown<>(KEY, shown, shown));
  }

  private java.util.List<MenuItem> deletions(Swatch swatch, SwatchUse use) {
    MenuItem keep =
        new MenuItem(
            use.isUnused()
                ? Messages.of("swatch-pane.delete-it")
                : Messages.of("swatch-pane.what-is-painted-with-it-keeps"));
    keep.setOnAction(_ -> delete(swatch, Optional.empty()));
    if (use.isUnused()) {
      return java.util.List.of(keep);
    }
    Menu instead = new Menu(Messages.of("swatch-pane.paint-with-another-swatch"));
    workspace.project().palette().swatches().stream()
        .filter(other -> !other.id().equals(swatch.id()))
        .forEach(other -> {
          MenuItem item = new MenuItem(other.name());
          item.setOnAction(_ -> delete(swatch, Optional.of(other.id())));
          instead.getItems().add(item);
        });
    return java.util.List.of(keep, instead);
  }

  private void delete(Swatch swatch, Optional<String> replacement) {
    workspace.attempts().discardPending();
    workspace
        .deviations()
        .doOrReview(
            new DeleteSwatch(swatch.id(), replacement),
            Messages.of("swatch-pane.delete-swatch-2", swatch.name()),
            Messages.of("common.delete"),
            Messages.of("swatch-pane.deleted", swatch.name()));
  }

  private void rename() {
    draft
        .filter(swatch -> !name.getText().isBlank() && !name.getText().equals(swatch.name()))
        .ifPresent(swatch -> change(swatch.withName(name.getText().strip())));
  }

  private void paint(Rgba chosen) {
    draft
        .filter(swatch -> !swatch.colour().equals(chosen))
        .ifPresent(swatch -> change(swatch.withColour(chosen)));
  }

  private void change(Swatch changed) {
    draft = Optional.of(changed);
    workspace
        .attempts()
        .review(
            new Review(
                Messages.of("swatch-pane.change-swatch", changed.name()),
                new SetSwatch(changed),
                Messages.of("swatch-pane.commit")));
    show(changed);
  }
}
