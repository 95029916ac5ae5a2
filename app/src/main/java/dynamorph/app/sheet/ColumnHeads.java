package dynamorph.app.sheet;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.SheetOrder;
import javafx.collections.ListChangeListener;
import javafx.css.PseudoClass;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** The names of the columns; a click sorts. */
final class ColumnHeads extends HBox {
  private static final PseudoClass WIDE = PseudoClass.getPseudoClass("wide");

  private final SheetWatch watch;
  private final SheetLayout look;

  ColumnHeads(SheetWatch watch, SheetLayout look) {
    super(8);
    this.watch = watch;
    this.look = look;
    getStyleClass().add("sheet-columns");
    look.columns().addListener((ListChangeListener<Column>) _ -> show());
    look.pictureWidthProperty().addListener((_, _, _) -> show());
    look.roomProperty().addListener((_, _, _) -> show());
    watch.orderProperty().addListener((_, _, _) -> show());
    visibleProperty().bind(look.inFramesProperty().not());
    managedProperty().bind(visibleProperty());
    show();
  }

  /** Stands over the columns of a list, whether a scroll bar takes room beside them or not. */
  void standOver(ListView<?> list) {
    list.skinProperty()
        .addListener((_, _, _) -> {
          for (Node node : list.lookupAll(".scroll-bar")) {
            if (node instanceof ScrollBar bar && bar.getOrientation() == Orientation.VERTICAL) {
              bar.visibleProperty()
                  .addListener((_, _, shown) -> pseudoClassStateChanged(WIDE, !shown));
              pseudoClassStateChanged(WIDE, !bar.isVisible());
            }
          }
        });
  }

  private void show() {
    Label picture = new Label(Messages.of("sheet.picture"));
    picture.getStyleClass().add("quiet");
    double width = look.pictureWidthProperty().get() + 2.0;
    picture.setMinWidth(width);
    picture.setPrefWidth(width);
    picture.setMaxWidth(width);
    getChildren().setAll(picture);
    for (Column column : look.shown()) {
      getChildren().add(head(column));
    }
  }

  private Button head(Column column) {
    SheetOrder order = watch.orderProperty().get();
    boolean sorted = order.sorted().filter(column::equals).isPresent();
    String arrow = sorted ? order.falling() ? " \u2193" : " \u2191" : "";
    Button button = new Button(column.label() + arrow);
    button.getStyleClass().add("sheet-column");
    Tips.on(button, Messages.of("sheet.sorts-by", column.label()));
    button.setOnAction(_ -> watch.orderProperty().set(order.sortedBy(column)));
    double wide = look.width(column);
    button.setMinWidth(wide);
    button.setPrefWidth(wide);
    button.setMaxWidth(SheetLayout.grows(column) ? Double.MAX_VALUE : wide);
    if (SheetLayout.grows(column)) {
      HBox.setHgrow(button, Priority.ALWAYS);
    }
    return button;
  }
}
