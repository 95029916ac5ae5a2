package dynamorph.app.sheet;

import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.ValueType;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.SheetView;
import java.util.List;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** How a sheet is seen: its columns, how large its pictures are, rows or frames. */
final class SheetLayout {
  private final ObservableList<Column> columns =
      FXCollections.observableArrayList(SheetView.USUAL.columns());
  private final IntegerProperty pictureWidth =
      new SimpleIntegerProperty(SheetView.USUAL.pictureWidth());
  private final BooleanProperty inFrames = new SimpleBooleanProperty();

  ObservableList<Column> columns() {
    return columns;
  }

  IntegerProperty pictureWidthProperty() {
    return pictureWidth;
  }

  /** Whether texts are shown where they stand instead of as rows. */
  BooleanProperty inFramesProperty() {
    return inFrames;
  }

  /** Of a picture in a row, whose height goes with its width. */
  int pictureHeight() {
    return Math.max(34, pictureWidth.get() * 9 / 20);
  }

  /** Of a picture of a frame. */
  int frameWidth() {
    int across = across();
    return (int) ((room.get() - ROW_ROOM + CARD_GAP) / across - CARD_GAP - CARD_ROOM);
  }

  int frameHeight() {
    return frameWidth() * 9 / 16;
  }

  /** Of the room between pictures in frames. */
  static final double CARD_GAP = 12;

  /** What a card has around its picture. */
  private static final double CARD_ROOM = 12;

  /** What a row has around its columns. */
  private static final double ROW_ROOM = 38;

  private static final double COLUMN_GAP = 8;

  private final DoubleProperty room = new SimpleDoubleProperty(700);

  /** How wide the list is. */
  DoubleProperty roomProperty() {
    return room;
  }

  /** How many frames stand beside each other. */
  int across() {
    int least = Math.max(140, pictureWidth.get() * 2);
    return (int) Math.max(1, (room.get() - ROW_ROOM + CARD_GAP) / (least + CARD_ROOM + CARD_GAP));
  }

  /** Columns narrower than this are read as a whole or not at all. */
  private static final double NARROW = 70;

  /**
   * Where columns get less than this share of what they want, the place is told by groups alone.
   */
  private static final double CROWDED = 0.6;

  /** The columns that there is room for. */
  List<Column> shown() {
    return share(columns) >= CROWDED
        ? List.copyOf(columns)
        : columns.stream().filter(column -> column != Column.Fact.PLACE).toList();
  }

  /** How wide a column is; where there is little room wide ones are narrower. */
  double width(Column column) {
    double wish = wish(column);
    return wish <= NARROW ? wish : Math.floor(wish * share(shown()));
  }

  private double share(List<Column> among) {
    double fixed = pictureWidth.get() + ROW_ROOM;
    double wanted = 0;
    for (Column one : among) {
      double wish = wish(one);
      fixed += COLUMN_GAP + (wish <= NARROW ? wish : 0);
      wanted += wish <= NARROW ? 0 : wish;
    }
    return wanted == 0 ? 1 : Math.clamp((room.get() - fixed) / wanted, 0.35, 1);
  }

  private static double wish(Column column) {
    return switch (column) {
      case Column.Fact fact ->
          switch (fact) {
            case WORDS -> 120;
            case PLACE -> 112;
            case TIME -> 88;
            case STYLES -> 132;
            case LOCAL -> 52;
          };
      case Column.Value(PropertyKey<?> key) ->
          key.property().facet() == Facet.TYPEFACE
                  && !(key.property().type() instanceof ValueType.Number)
                  && !key.path().equals("size")
              ? 116
              : 66;
    };
  }

  /** Whether a column grows with the window. */
  static boolean grows(Column column) {
    return column == Column.Fact.WORDS;
  }

  /** Columns that can be had, beside those for values. */
  static List<Column> facts() {
    return List.of(Column.Fact.values());
  }
}
