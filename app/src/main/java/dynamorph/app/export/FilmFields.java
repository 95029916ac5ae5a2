package dynamorph.app.export;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.value.Expression;
import dynamorph.model.value.Numbers;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** How large films come out, and what they have beside their pictures. */
final class FilmFields extends VBox {
  private static final int NUMBER_WIDTH = 76;
  private static final double LEAST_SCALE = 0.25;
  private static final double MOST_SCALE = 4;
  private static final double[] USUAL = {25, 50, 100, 200};

  private final TextField scale = new TextField();
  private final CheckBox sound = new CheckBox(Messages.of("film-fields.sound"));
  private final CheckBox captions = new CheckBox(Messages.of("film-fields.captions-as-text"));
  private final ComboBox<String> chapters = new ComboBox<>();
  private final List<ToggleButton> usual = new ArrayList<>();
  private Runnable changed = () -> {};
  private boolean isShowing;

  FilmFields() {
    super(10);
    managedProperty().bind(visibleProperty());
    scale.setId("export-scale");
    scale.setPrefWidth(NUMBER_WIDTH);
    scale.setMinWidth(NUMBER_WIDTH);
    scale.setAccessibleText(Messages.of("film-fields.scale"));
    Tips.on(scale, Messages.of("film-fields.of-the-size"));
    sound.setId("export-sound");
    Tips.on(sound, Messages.of("film-fields.of-the-footage"));
    captions.setId("export-captions");
    Tips.on(captions, Messages.of("film-fields.shown-on-request"));
    chapters.setId("export-chapters");
    chapters.setAccessibleText(Messages.of("film-fields.chapters"));
    Tips.on(chapters, Messages.of("film-fields.begin-with-titles"));
    chapters.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(chapters, Priority.ALWAYS);
    getChildren()
        .addAll(
            ExportSettings.row(
                Messages.of("film-fields.scale"), scale, Controls.gap(), usualScales()),
            ExportSettings.row("", sound),
            ExportSettings.row("", captions),
            ExportSettings.row(Messages.of("film-fields.chapters"), chapters));
    offerChapters(List.of());
    scale.textProperty().addListener((_, _, _) -> tell());
    Controls.onTyped(scale, this::tidy);
    sound.selectedProperty().addListener((_, _, _) -> tell());
    captions.selectedProperty().addListener((_, _, _) -> tell());
    chapters.valueProperty().addListener((_, _, _) -> tell());
  }

  private Node usualScales() {
    HBox row = new HBox();
    row.getStyleClass().add("segments");
    for (double percent : USUAL) {
      ToggleButton choose = new ToggleButton(Numbers.format(percent) + " %");
      choose.setId("export-scale-" + Numbers.format(percent));
      choose.setOnAction(_ -> scale.setText(choose.getText()));
      usual.add(choose);
      row.getChildren().add(choose);
    }
    return row;
  }

  /** Is told when something else is chosen. */
  void changed(Runnable listener) {
    changed = listener;
  }

  private void tell() {
    if (!isShowing) {
      usual.forEach(one -> one.setSelected(one.getText().equals(scale.getText())));
      changed.run();
    }
  }

  /** Tracks of titles, each of which can be chosen. */
  void offerChapters(List<String> tracks) {
    String chosen = chapters.getValue();
    isShowing = true;
    List<String> offered = new ArrayList<>(List.of(none()));
    offered.addAll(tracks);
    if (chosen != null && !offered.contains(chosen)) {
      offered.add(chosen);
    }
    chapters.getItems().setAll(offered);
    chapters.setValue(chosen == null ? none() : chosen);
    isShowing = false;
  }

  private static String none() {
    return Messages.of("film-fields.no-chapters");
  }

  void show(double factor, ExportPreset.Film film) {
    isShowing = true;
    scale.setText(percent(factor));
    sound.setSelected(film.sound());
    captions.setSelected(film.captions());
    if (!film.chapters().isEmpty() && !chapters.getItems().contains(film.chapters())) {
      chapters.getItems().add(film.chapters());
    }
    chapters.setValue(film.chapters().isEmpty() ? none() : film.chapters());
    isShowing = false;
    usual.forEach(one -> one.setSelected(one.getText().equals(scale.getText())));
  }

  private static String percent(double factor) {
    return Numbers.format(factor * 100, 2) + " %";
  }

  /** Shows what was understood. */
  private void tidy() {
    try {
      scale.setText(percent(scale()));
    } catch (IllegalArgumentException nonsense) {
      changed.run();
    }
  }

  /**
   * Pixels per point.
   *
   * @throws IllegalArgumentException if the field makes no sense
   */
  double scale() {
    double factor = Expression.evaluate(scale.getText().replace("%", "")) / 100;
    if (!(factor >= LEAST_SCALE && factor <= MOST_SCALE)) {
      throw new IllegalArgumentException(
          Messages.of("film-fields.scale-expected", percent(LEAST_SCALE), percent(MOST_SCALE)));
    }
    return factor;
  }

  ExportPreset.Film told() {
    String chosen = chapters.getValue();
    return new ExportPreset.Film(
        sound.isSelected(),
        captions.isSelected(),
        chosen == null || chosen.equals(none()) ? "" : chosen);
  }
}
