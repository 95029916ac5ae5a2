package dynamorph.app.artboards.layers;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.shape.Shape;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseDragEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** A row of the list: an artboard, or a layer with its eye and its lock. */
final class LayerCell extends ListCell<LayerItem> {
  private static final PseudoClass HEAD = PseudoClass.getPseudoClass("head");
  private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");
  private static final PseudoClass HIDDEN = PseudoClass.getPseudoClass("unseen");
  private static final PseudoClass SET = PseudoClass.getPseudoClass("set");
  private static final PseudoClass DROP_ABOVE = PseudoClass.getPseudoClass("drop-above");
  private static final PseudoClass DROP_BELOW = PseudoClass.getPseudoClass("drop-below");

  private static final double LONGEST_NAME = 150;

  private final LayersPane pane;
  private final FontIcon kind = new FontIcon(Feather.TYPE);
  private final Label name = new Label();
  private final Label words = new Label();
  private final TextField field = new TextField();
  private final FontIcon eyeIcon = new FontIcon(Feather.EYE);
  private final FontIcon lockIcon = new FontIcon(Feather.UNLOCK);
  private final Button eye = button(eyeIcon);
  private final Button lock = button(lockIcon);
  private final HBox row = new HBox(6, kind, name, words, lock, eye);

  LayerCell(LayersPane pane) {
    this.pane = pane;
    getStyleClass().add("layer-cell");
    kind.getStyleClass().add("layer-kind");
    // the words give way first
    name.setMinWidth(Region.USE_PREF_SIZE);
    name.setMaxWidth(LONGEST_NAME);
    words.getStyleClass().add("quiet");
    words.setMinWidth(0);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(words, Priority.ALWAYS);
    row.setAlignment(Pos.CENTER_LEFT);
    field.getStyleClass().add("layer-name-field");
    field.setId("layer-name-field");
    HBox.setHgrow(field, Priority.ALWAYS);
    setPrefWidth(0);
    eye.setOnAction(_ -> layer().ifPresent(layer -> pane.hide(layer, !layer.state().hidden())));
    lock.setOnAction(_ -> layer().ifPresent(layer -> pane.lock(layer, !layer.state().locked())));
    addEventFilter(MouseEvent.MOUSE_PRESSED, this::pressed);
    setOnMouseClicked(this::clicked);
    setOnDragDetected(event -> {
      if (layer().isPresent() && event.getButton() == MouseButton.PRIMARY) {
        startFullDrag();
        pane.beginDrag();
      }
    });
    setOnMouseDragOver(this::draggedOver);
    setOnMouseDragExited(_ -> markDrop(Optional.empty()));
    setOnMouseDragReleased(event -> {
      markDrop(Optional.empty());
      layer().ifPresent(layer -> pane.drop(layer, isUpper(event)));
    });
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::typed);
    field
        .focusedProperty()
        .addListener((_, _, focused) -> {
          if (!focused && field.getParent() != null) {
            rename(true);
          }
        });
  }

  private static Button button(FontIcon icon) {
    Button button = new Button("", icon);
    button.getStyleClass().addAll("icon-button", "layer-mark");
    button.setFocusTraversable(false);
    button.setMinWidth(Region.USE_PREF_SIZE);
    return button;
  }

  private Optional<Layer> layer() {
    return getItem() instanceof LayerItem.Row(Layer layer) ? Optional.of(layer) : Optional.empty();
  }

  @Override
  protected void updateItem(LayerItem item, boolean empty) {
    super.updateItem(item, empty);
    setText(null);
    if (field.getParent() != null) {
      row.getChildren().setAll(kind, name, words, lock, eye);
    }
    pseudoClassStateChanged(HEAD, !empty && item instanceof LayerItem.Head);
    if (empty || item == null) {
      setGraphic(null);
      setAccessibleText(null);
      pseudoClassStateChanged(PICKED, false);
      return;
    }
    switch (item) {
      case LayerItem.Head head -> show(head);
      case LayerItem.Row(Layer layer) -> show(layer);
    }
    setGraphic(row);
  }

  private void show(LayerItem.Head head) {
    kind.setIconCode(head.folded() ? Feather.CHEVRON_RIGHT : Feather.CHEVRON_DOWN);
    name.setText(head.board().name());
    words.setText(String.valueOf(head.count()));
    show(eye, false);
    show(lock, false);
    pseudoClassStateChanged(PICKED, false);
    pseudoClassStateChanged(HIDDEN, false);
    setAccessibleText(Messages.of("layers-pane.artboard", head.board().name(), head.count()));
  }

  private static void show(Button button, boolean shown) {
    button.setVisible(shown);
    button.setManaged(shown);
  }

  private void show(Layer layer) {
    kind.setIconCode(icon(layer));
    name.setText(layer.name());
    words.setText(beginning(layer));
    boolean hidden = layer.state().hidden();
    boolean locked = layer.state().locked();
    show(eye, true);
    show(lock, true);
    eyeIcon.setIconCode(hidden ? Feather.EYE_OFF : Feather.EYE);
    lockIcon.setIconCode(locked ? Feather.LOCK : Feather.UNLOCK);
    eye.pseudoClassStateChanged(SET, hidden);
    lock.pseudoClassStateChanged(SET, locked);
    help(eye, Messages.of(hidden ? "layers-pane.show" : "layers-pane.hide"));
    help(lock, Messages.of(locked ? "layers-pane.unlock" : "layers-pane.lock"));
    pseudoClassStateChanged(PICKED, pane.isSelected(layer.id()));
    pseudoClassStateChanged(HIDDEN, hidden);
    setAccessibleText(
        Messages.of(
            "layers-pane.layer",
            layer.name(),
            words.getText(),
            hidden ? "yes" : "no",
            locked ? "yes" : "no"));
  }

  /** As much of the words as a row can show. */
  private String beginning(Layer layer) {
    if (layer.isFurtherBox()) {
      return Messages.of("layers-pane.goes-on-with", pane.textOf(layer));
    }
    String text = layer.story().text();
    return text.substring(0, Math.min(80, text.length())).replaceAll("\\s+", " ");
  }

  /** Shows whether the layer is selected. */
  void showSelected() {
    pseudoClassStateChanged(PICKED, layer().filter(one -> pane.isSelected(one.id())).isPresent());
  }

  private static void help(Button button, String words) {
    button.setAccessibleText(words);
    Tips.on(button, words);
  }

  private static Feather icon(Layer layer) {
    return layer
        .shape()
        .map(shape -> shape instanceof Shape.Picture ? Feather.IMAGE : Feather.SQUARE)
        .orElse(Feather.TYPE);
  }

  // --- mouse

  /** What is selected is dragged with all others; what is not is selected first. */
  private void pressed(MouseEvent event) {
    boolean onMark = event.getTarget() instanceof javafx.scene.Node node && isMark(node);
    if (!onMark && field.getParent() == null) {
      layer()
          .filter(layer -> event.getButton() == MouseButton.SECONDARY || isPlain(event))
          .filter(layer -> !pane.isSelected(layer.id()))
          .ifPresent(layer -> pane.select(layer.id()));
    }
  }

  private boolean isMark(javafx.scene.Node node) {
    for (javafx.scene.Node outer = node;
        outer != null && outer != this;
        outer = outer.getParent()) {
      if (outer == eye || outer == lock || outer == field) {
        return true;
      }
    }
    return false;
  }

  private static boolean isPlain(MouseEvent event) {
    return !event.isShiftDown() && !event.isShortcutDown();
  }

  private void clicked(MouseEvent event) {
    boolean left = event.getButton() == MouseButton.PRIMARY && event.isStillSincePress();
    if (!left || field.getParent() != null) {
      return;
    }
    if (getItem() instanceof LayerItem.Head head) {
      boolean onChevron = event.getX() < kind.getBoundsInParent().getMaxX() + 8;
      pane.clicked(head, onChevron);
    }
    layer()
        .ifPresent(layer -> {
          if (event.getClickCount() == 2) {
            beginRenaming(layer);
          } else {
            pane.clicked(layer.id(), event.isShiftDown(), event.isShortcutDown());
          }
        });
  }

  private static boolean isUpper(MouseEvent event) {
    return event.getSource() instanceof LayerCell cell && event.getY() < cell.getHeight() / 2;
  }

  private void draggedOver(MouseDragEvent event) {
    markDrop(layer().filter(layer -> pane.canDrop(layer)).map(_ -> isUpper(event)));
  }

  private void markDrop(Optional<Boolean> upper) {
    pseudoClassStateChanged(DROP_ABOVE, upper.filter(above -> above).isPresent());
    pseudoClassStateChanged(DROP_BELOW, upper.filter(above -> !above).isPresent());
  }

  // --- renaming

  /** Lets the name be typed, if this row is that of the layer. */
  void rename(LayerId id) {
    layer().filter(layer -> layer.id().equals(id)).ifPresent(this::beginRenaming);
  }

  private void beginRenaming(Layer layer) {
    field.setText(layer.name());
    row.getChildren().setAll(kind, field);
    field.requestFocus();
    field.selectAll();
  }

  private void typed(KeyEvent event) {
    if (event.getCode() == KeyCode.ENTER) {
      rename(true);
      event.consume();
    } else if (event.getCode() == KeyCode.ESCAPE) {
      rename(false);
      event.consume();
    }
  }

  private void rename(boolean keep) {
    String typed = field.getText().strip();
    row.getChildren().setAll(kind, name, words, lock, eye);
    layer()
        .filter(layer -> keep && !typed.isEmpty() && !typed.equals(layer.name()))
        .ifPresent(layer -> pane.rename(layer, typed));
    getListView().requestFocus();
  }
}
