package dynamorph.app.sheet;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.reach.LayerQuery;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.Grouping;
import dynamorph.model.sheet.view.RowUnit;
import dynamorph.model.sheet.view.SheetOrder;
import dynamorph.model.sheet.view.SheetView;
import java.util.function.UnaryOperator;
import javafx.animation.PauseTransition;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** What is listed in a sheet, in which groups and columns, and how large. */
final class SheetHead extends VBox {
  /** A query is read when typing rests. */
  private static final Duration REST = Duration.millis(180);

  private final SheetWatch watch;
  private final SheetLayout look;
  private final TextField query = new TextField();
  private final Label count = new Label();
  private final Label wrong = new Label();
  private final CheckBox only = new CheckBox(Messages.of("sheet.only-these"));
  private final MenuButton columns = new MenuButton(Messages.of("sheet.columns"));
  private final SheetViews views;

  SheetHead(Workspace workspace, SheetWatch watch, SheetLayout look, MenuButton words) {
    super(8);
    this.watch = watch;
    this.look = look;
    this.views = new SheetViews(workspace, this::view, this::show);
    getStyleClass().add("sheet-head");
    HBox first =
        new HBox(8, units(), label(Messages.of("sheet.group-by")), grouping(), queryField(), only);
    first.setAlignment(Pos.CENTER_LEFT);
    HBox left = new HBox(8, label(Messages.of("sheet.view")), views, shown(), size());
    left.setAlignment(Pos.CENTER_LEFT);
    HBox right = new HBox(8, words, columns, Controls.help("survey#all-texts-side-by-side"));
    right.setAlignment(Pos.CENTER_LEFT);
    // where there is little room these go on below
    FlowPane second = new FlowPane(16, 8, left, right);
    second.setRowValignment(VPos.CENTER);
    wrong.getStyleClass().add("problem-text");
    wrong.setWrapText(true);
    wrong.managedProperty().bind(wrong.visibleProperty());
    wrong.setVisible(false);
    getChildren().addAll(first, wrong, second);
    columns.setId("sheet-columns");
    columns.setMinWidth(Region.USE_PREF_SIZE);
    columns.setOnShowing(_ -> fillColumns());
    fillColumns();
    watch.sheetProperty().addListener((_, _, sheet) -> sheet.ifPresent(this::tell));
    watch
        .orderProperty()
        .addListener((_, _, order) -> {
          only.setSelected(order.onlyMatching());
          views.update();
        });
    look.columns().addListener((ListChangeListener<Column>) _ -> views.update());
    look.inFramesProperty().addListener((_, _, _) -> views.update());
    look.pictureWidthProperty().addListener((_, _, _) -> views.update());
    views.update();
  }

  /** How the sheet is seen. */
  private SheetView view() {
    return new SheetView(
        "",
        watch.orderProperty().get(),
        look.columns(),
        look.inFramesProperty().get(),
        look.pictureWidthProperty().get());
  }

  private void show(SheetView view) {
    look.inFramesProperty().set(view.inFrames());
    look.pictureWidthProperty().set(view.pictureWidth());
    look.columns().setAll(view.columns());
    query.setText(view.order().query());
    watch.orderProperty().set(view.order());
  }

  /** Lets a view be seen that the project keeps. */
  void open(SheetView view) {
    views.open(view);
  }

  private static Label label(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("quiet");
    label.setMinWidth(Region.USE_PREF_SIZE);
    return label;
  }

  private void change(UnaryOperator<SheetOrder> changed) {
    watch.orderProperty().set(changed.apply(watch.orderProperty().get()));
  }

  private ComboBox<Grouping> grouping() {
    ComboBox<Grouping> box = Controls.choice(Grouping::label);
    box.setId("sheet-grouping");
    box.setAccessibleText(Messages.of("sheet.group-by"));
    box.getItems().addAll(Grouping.values());
    box.setValue(watch.orderProperty().get().grouping());
    box.valueProperty().addListener((_, _, now) -> change(order -> order.withGrouping(now)));
    watch.orderProperty().addListener((_, _, order) -> box.setValue(order.grouping()));
    box.setMinWidth(96);
    return box;
  }

  /** In frames whole texts are seen. */
  private ComboBox<RowUnit> units() {
    ComboBox<RowUnit> box = Controls.choice(RowUnit::label);
    box.setId("sheet-unit");
    box.setAccessibleText(Messages.of("sheet.list"));
    Tips.on(box, Messages.of("sheet.list-help"));
    box.getItems().addAll(RowUnit.values());
    box.setValue(watch.orderProperty().get().unit());
    box.valueProperty().addListener((_, _, now) -> change(order -> order.withUnit(now)));
    watch.orderProperty().addListener((_, _, order) -> box.setValue(order.unit()));
    look.inFramesProperty()
        .addListener((_, _, framed) -> {
          box.setDisable(framed);
          if (framed) {
            box.setValue(RowUnit.TEXT);
          }
        });
    box.setMinWidth(84);
    box.setPrefWidth(112);
    return box;
  }

  private HBox queryField() {
    query.setId("sheet-query");
    query.setPromptText(Messages.of("sheet.words-or-a-query"));
    query.setAccessibleText(Messages.of("sheet.words-or-a-query"));
    Tips.on(query, help());
    HBox.setHgrow(query, Priority.ALWAYS);
    query.setMinWidth(60);
    PauseTransition rest = new PauseTransition(REST);
    rest.setOnFinished(_ -> change(order -> order.withQuery(query.getText())));
    query.textProperty().addListener((_, _, _) -> rest.playFromStart());
    query.setOnKeyPressed(event -> {
      if (event.getCode() == KeyCode.ESCAPE && !query.getText().isEmpty()) {
        query.clear();
        event.consume();
      }
    });
    new QueryCompletion(query, watch).install();
    count.setId("sheet-query-count");
    count.getStyleClass().add("quiet");
    count.setMinWidth(Region.USE_PREF_SIZE);
    only.setSelected(watch.orderProperty().get().onlyMatching());
    only.setMinWidth(Region.USE_PREF_SIZE);
    only.setId("sheet-only");
    Tips.on(only, Messages.of("sheet.leaves-out-what-does-not-match"));
    only.selectedProperty()
        .addListener((_, _, now) -> change(order -> order.withOnlyMatching(now)));
    HBox box = new HBox(8, query, count);
    box.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(box, Priority.ALWAYS);
    return box;
  }

  private static String help() {
    StringBuilder help = new StringBuilder(Messages.of("sheet.query-help"));
    for (LayerQuery.Field field : LayerQuery.Field.values()) {
      help.append("\n")
          .append(field.name().toLowerCase(java.util.Locale.ROOT))
          .append(": ")
          .append(field.help());
    }
    return help.toString();
  }

  /** Asks for texts in the language that chooses them. */
  void ask(String wanted) {
    query.setText(wanted);
    change(order -> order.withQuery(wanted));
  }

  /** Puts the caret where texts are looked for. */
  void find() {
    query.requestFocus();
    query.selectAll();
  }

  private HBox shown() {
    ToggleGroup group = new ToggleGroup();
    ToggleButton rows = view(Messages.of("sheet.rows"), "sheet-rows", group);
    ToggleButton frames = view(Messages.of("sheet.in-frames"), "sheet-frames", group);
    rows.setSelected(!look.inFramesProperty().get());
    frames.setSelected(look.inFramesProperty().get());
    rows.setOnAction(_ -> look.inFramesProperty().set(false));
    frames.setOnAction(_ -> look.inFramesProperty().set(true));
    look.inFramesProperty()
        .addListener((_, _, framed) -> {
          rows.setSelected(!framed);
          frames.setSelected(framed);
        });
    HBox bar = new HBox(rows, frames);
    bar.getStyleClass().add("views");
    bar.setMaxHeight(Region.USE_PREF_SIZE);
    bar.setMinWidth(Region.USE_PREF_SIZE);
    return bar;
  }

  private static ToggleButton view(String label, String id, ToggleGroup group) {
    ToggleButton button = new ToggleButton(label);
    button.getStyleClass().add("view");
    button.setId(id);
    // one of the two is always chosen
    button.addEventFilter(
        javafx.scene.input.MouseEvent.MOUSE_PRESSED,
        event -> {
          if (button.isSelected()) {
            event.consume();
          }
        });
    button.setToggleGroup(group);
    return button;
  }

  private HBox size() {
    Slider slider =
        new Slider(SheetView.SMALLEST, SheetView.LARGEST, look.pictureWidthProperty().get());
    slider.setId("sheet-size");
    slider.setPrefWidth(84);
    slider.setMinWidth(50);
    slider.setAccessibleText(Messages.of("sheet.picture-size"));
    Tips.on(slider, Messages.of("sheet.picture-size"));
    slider
        .valueProperty()
        .addListener((_, _, now) ->
            // whole steps, so that pictures are not drawn at every size on the way
            look.pictureWidthProperty().set((int) Math.rint(now.doubleValue() / 16) * 16));
    look.pictureWidthProperty()
        .addListener((_, _, now) -> {
          if (!slider.isValueChanging()) {
            slider.setValue(now.intValue());
          }
        });
    FontIcon picture = new FontIcon(Feather.IMAGE);
    picture.getStyleClass().add("sheet-size-icon");
    HBox box = new HBox(6, picture, slider);
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  private void fillColumns() {
    columns.getItems().clear();
    for (Column fact : SheetLayout.facts()) {
      columns.getItems().add(item(fact));
    }
    columns.getItems().add(new javafx.scene.control.SeparatorMenuItem());
    for (Facet facet : Facet.values()) {
      Menu menu = new Menu(facet.label());
      for (Property<?> property : Properties.all()) {
        if (property.facet() == facet && property.part() == Property.Part.TEXT) {
          menu.getItems().add(item(new Column.Value(property.key())));
        }
      }
      if (!menu.getItems().isEmpty()) {
        columns.getItems().add(menu);
      }
    }
  }

  private MenuItem item(Column column) {
    CheckMenuItem item = new CheckMenuItem(column.label());
    item.setSelected(look.columns().contains(column));
    item.setOnAction(_ -> {
      if (item.isSelected()) {
        look.columns().add(column);
      } else {
        look.columns().remove(column);
      }
    });
    return item;
  }

  private void tell(Sheet sheet) {
    boolean asked = !query.getText().isBlank();
    count.setText(asked ? Messages.of("sheet.match", sheet.matches()) : "");
    wrong.setVisible(sheet.wrong().isPresent());
    wrong.setText(sheet.wrong().orElse(""));
  }
}
