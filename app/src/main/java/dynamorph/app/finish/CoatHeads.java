package dynamorph.app.finish;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.property.PropertyCell;
import dynamorph.app.property.Subject;
import dynamorph.app.session.Workspace;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.EffectKind;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** The rows of coats and effects themselves: what folds them out, their eye, name and colour. */
final class CoatHeads {
  private static final PseudoClass SOLO = PseudoClass.getPseudoClass("solo");

  private final Workspace workspace;
  private final Supplier<Subject> subject;
  private final CoatStack stack;
  private final CoatActions actions;
  private final CoatDrag drag;
  private final FinishEditor editor;

  CoatHeads(
      Workspace workspace,
      Supplier<Subject> subject,
      CoatStack stack,
      CoatActions actions,
      CoatDrag drag,
      FinishEditor editor) {
    this.workspace = workspace;
    this.subject = subject;
    this.stack = stack;
    this.actions = actions;
    this.drag = drag;
    this.editor = editor;
  }

  Node ofCoat(Subject now, Address coat) {
    Label name = new Label();
    editor.onRefresh(() -> name.setText(CoatNames.ofCoat(subject.get(), coat)));
    Region paint =
        switch (FinishRows.paint(now, coat)) {
          case SOLID, PATTERN -> editor.cell(Properties.COAT_COLOUR.at(coat));
          case LINEAR, RADIAL, CONIC -> gradientChip(coat);
        };
    HBox row =
        new HBox(
            4,
            expander(coat),
            eye(Properties.COAT_SHOWN.at(coat)),
            name,
            paint,
            Controls.icon(
                Feather.X,
                Messages.of("finish-editor.remove-this-coat-delete"),
                () -> stack.remove(coat)));
    editor.shows(coat, row);
    editor.onRefresh(() ->
        row.pseudoClassStateChanged(
            SOLO, workspace.soloCoatProperty().get().filter(coat::equals).isPresent()));
    row.setOnContextMenuRequested(at -> {
      actions.coatMenu(coat).show(row, at.getScreenX(), at.getScreenY());
      at.consume();
    });
    name.setCursor(Cursor.OPEN_HAND);
    Tips.on(name, Messages.of("finish-editor.drag-to-another-place-or-alt"));
    name.setOnMousePressed(_ -> row.requestFocus());
    name.setOnMouseDragged(at -> drag.show(coat, at.getSceneY()));
    name.setOnMouseReleased(at -> drag.drop(coat, at.getSceneY()));
    row.setFocusTraversable(true);
    row.setAccessibleText(Messages.of("finish-editor.coat", coat));
    row.setOnKeyPressed(key -> actions.coatKey(coat, row, key));
    return finished(row, name, paint);
  }

  /** What all coats have together: folded, it says what is not as usual. */
  Node ofAll(Address whole, Node more) {
    Label name = new Label();
    name.getStyleClass().add("row-label");
    editor.onRefresh(() -> name.setText(CoatNames.ofAll(subject.get(), whole)));
    HBox row = new HBox(4, expander(whole), name, Controls.gap(), more);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** Shows the gradient; a click opens its stops. */
  private Button gradientChip(Address coat) {
    Region picture = new Region();
    picture.setMinSize(0, 18);
    Button chip = new Button("", picture);
    chip.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
    chip.setMaxWidth(Double.MAX_VALUE);
    picture.prefWidthProperty().bind(chip.widthProperty().subtract(6));
    chip.getStyleClass().add("gradient-chip");
    chip.setId(coat.toString().replace('/', '-') + "-gradient");
    Tips.on(chip, Messages.of("finish-editor.edit-the-stops"));
    chip.setAccessibleText(Messages.of("finish-editor.stops-of-the-gradient"));
    chip.setOnAction(_ -> {
      editor.open(coat);
    });
    editor.onRefresh(() ->
        picture.setBackground(
            GradientChip.of(
                subject.get().shown(Properties.GRADIENT_STOPS.at(coat)).value(),
                workspace.project().palette())));
    return chip;
  }

  Node ofEffect(Subject now, Address effect) {
    Label name = new Label();
    editor.onRefresh(() -> name.setText(CoatNames.ofEffect(subject.get(), effect)));
    EffectKind kind =
        now.shown(Properties.EFFECT_KIND.at(effect)).value().orElse(EffectKind.DROP_SHADOW);
    PropertyCell<?> colour =
        switch (kind) {
          case BLUR -> editor.cell(Properties.SHADOW_BLUR.at(effect));
          case BEVEL -> editor.cell(Properties.HIGHLIGHT_COLOUR.at(effect));
          case DROP_SHADOW, INNER_SHADOW, OUTER_GLOW, INNER_GLOW ->
              editor.cell(Properties.EFFECT_COLOUR.at(effect));
        };
    HBox row =
        new HBox(
            4,
            expander(effect),
            eye(Properties.EFFECT_SHOWN.at(effect)),
            name,
            colour,
            Controls.icon(
                Feather.X,
                Messages.of("finish-editor.remove-this-effect-delete"),
                () -> stack.remove(effect)));
    row.getStyleClass().add("effect-row");
    row.setFocusTraversable(true);
    row.setAccessibleText(Messages.of("finish-editor.effect-2", effect));
    name.setOnMousePressed(_ -> row.requestFocus());
    row.setOnContextMenuRequested(at -> {
      actions.effectMenu(effect).show(row, at.getScreenX(), at.getScreenY());
      at.consume();
    });
    row.setOnKeyPressed(key -> actions.effectKey(effect, row, key));
    return finished(row, name, colour);
  }

  private static Node finished(HBox row, Label name, Node colour) {
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("coat-row");
    name.setMinWidth(Region.USE_PREF_SIZE);
    HBox.setHgrow(colour, Priority.ALWAYS);
    return row;
  }

  private Button expander(Address address) {
    FontIcon arrow =
        new FontIcon(editor.isOpen(address) ? Feather.CHEVRON_DOWN : Feather.CHEVRON_RIGHT);
    Button button = new Button("", arrow);
    button.getStyleClass().add("icon-button");
    Tips.on(
        button,
        editor.isOpen(address)
            ? Messages.of("finish-editor.fold-the-details")
            : Messages.of("finish-editor.show-the-details"));
    button.setAccessibleText(Messages.of("finish-editor.details-of", address));
    button.setOnAction(_ -> editor.toggle(address));
    return button;
  }

  private ToggleButton eye(PropertyKey<Boolean> shown) {
    FontIcon icon = new FontIcon(Feather.EYE);
    ToggleButton eye = new ToggleButton("", icon);
    eye.getStyleClass().add("icon-button");
    Tips.on(eye, Messages.of("finish-editor.shown-or-hidden"));
    eye.setAccessibleText(Messages.of("finish-editor.show", shown.address()));
    eye.setOnAction(
        _ -> subject.get().set(PropertySet.EMPTY.with(shown, eye.isSelected()), Optional.empty()));
    editor.onRefresh(() -> {
      boolean on = subject.get().shown(shown).value().orElse(true);
      eye.setSelected(on);
      icon.setIconCode(on ? Feather.EYE : Feather.EYE_OFF);
    });
    return eye;
  }
}
