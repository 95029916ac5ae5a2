package dynamorph.app.sheet;

import dynamorph.app.message.Messages;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.SheetRow;
import dynamorph.model.sheet.view.Column;
import dynamorph.paint.scene.Scene;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A text in its frame of the film, or with what is around it on its artboard. */
final class FrameCard extends VBox {
  private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
  private static final PseudoClass UNMARKED = PseudoClass.getPseudoClass("unmarked");

  private final SheetPane pane;
  private final SheetRow row;
  private final Brackets brackets = new Brackets();

  FrameCard(SheetPane pane, SheetRow row, Sheet sheet) {
    super(4);
    this.pane = pane;
    this.row = row;
    getStyleClass().add("frame-card");
    int width = pane.look().frameWidth();
    int height = pane.look().frameHeight();
    ImageView picture = new ImageView();
    StackPane frame = new StackPane(picture);
    frame.getStyleClass().add("sheet-picture");
    frame.setMinSize(width + 2.0, height + 2.0);
    frame.setMaxSize(width + 2.0, height + 2.0);
    Optional<Scene> scene = pane.scene();
    Optional<Scene.Found> found = pane.found(row);
    if (scene.isPresent() && found.isPresent()) {
      pane.pictures().showInPlace(picture, scene.get(), found.get(), width, height);
    }
    StackPane.setMargin(frame, new Insets(5));
    StackPane marked = new StackPane(frame, brackets);
    getChildren().addAll(marked, words(sheet, width));
    setMinWidth(width + 12.0);
    setMaxWidth(width + 12.0);
    mark();
  }

  SheetRow row() {
    return row;
  }

  private HBox words(Sheet sheet, int width) {
    String time = sheet.text(row, Column.Fact.TIME);
    Label when = new Label(time.isEmpty() ? row.board().name() : time);
    when.getStyleClass().add("quiet");
    when.setMinWidth(time.isEmpty() ? 40 : Region.USE_PREF_SIZE);
    Label said = new Label(row.layer().story().text().lines().findFirst().orElse(""));
    said.setMinWidth(40);
    said.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(said, Priority.ALWAYS);
    HBox line = new HBox(8, said, when);
    int local = LocalChanges.count(row.layer());
    if (local > 0) {
      Label count = new Label(Messages.of("common.local", local));
      count.getStyleClass().add("badge-local");
      count.setMinWidth(Region.USE_PREF_SIZE);
      line.getChildren().add(count);
    }
    line.setAlignment(Pos.BASELINE_LEFT);
    line.setMaxWidth(width + 2.0);
    line.setTranslateX(5);
    return line;
  }

  void mark() {
    pseudoClassStateChanged(SELECTED, pane.isSelected(row));
    pseudoClassStateChanged(UNMARKED, !pane.isMarked(row));
    brackets.setVisible(pane.isSelected(row));
  }
}
