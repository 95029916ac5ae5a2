package dynamorph.app.film.action;

import dynamorph.app.message.Messages;
import dynamorph.model.timeline.CaptionRules;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import dynamorph.model.value.Numbers;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonType;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceDialog;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Dialog;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.stage.Window;
import javafx.util.StringConverter;

/** Questions about films. What is wrong is said in the dialog, which stays open. */
public final class FilmDialogs {
  private FilmDialogs() {}

  static Optional<FilmSettings> settings(Window owner, String title, FilmSettings start) {
    TextField name = new TextField(start.name());
    TextField width = new TextField(Numbers.format(start.width()));
    TextField height = new TextField(Numbers.format(start.height()));
    ComboBox<FrameRate> rate = rateBox(start.timecode().rate());
    CheckBox drop = new CheckBox(Messages.of("film-dialogs.drop-frame-timecode"));
    drop.setSelected(start.timecode().drop());
    Runnable dropPossible =
        () -> {
          drop.setDisable(!rate.getValue().canDropFrames());
          drop.setSelected(drop.isSelected() && rate.getValue().canDropFrames());
        };
    rate.valueProperty().addListener((_, _, _) -> dropPossible.run());
    dropPossible.run();
    TextField first = new TextField(start.timecode().format(start.firstFrame()));
    TextField seconds = new TextField(Numbers.format(start.duration().seconds(), 3));
    Supplier<FilmSettings> read =
        () -> {
          Timecode timecode = new Timecode(rate.getValue(), drop.isSelected());
          double across = number(width, Messages.of("film-dialogs.width-pixels"));
          double down = number(height, Messages.of("film-dialogs.height-pixels"));
          if (across < 16 || down < 16 || across > 16_384 || down > 16_384) {
            throw new IllegalArgumentException(Messages.of("film-dialogs.a-frame-has-16-to-16384"));
          }
          return new FilmSettings(
              name.getText().isBlank() ? start.name() : name.getText().strip(),
              across,
              down,
              timecode,
              first.getText().isBlank() ? 0 : timecode.parse(first.getText()),
              Time.ofSeconds(number(seconds, Messages.of("film-dialogs.duration-seconds"))));
        };
    return ask(
        owner,
        title,
        read,
        List.of(
            row(Messages.of("common.name"), name),
            row(Messages.of("film-dialogs.width-pixels"), width),
            row(Messages.of("film-dialogs.height-pixels"), height),
            row(Messages.of("film-dialogs.frame-rate"), rate),
            row("", drop),
            row(Messages.of("film-dialogs.first-timecode"), first),
            row(Messages.of("film-dialogs.duration-seconds"), seconds)));
  }

  static Optional<CaptionRules> rules(Window owner, CaptionRules start) {
    TextField lines = new TextField(String.valueOf(start.lines()));
    TextField length = new TextField(String.valueOf(start.lineLength()));
    TextField speed = new TextField(Numbers.format(start.readingSpeed()));
    TextField shortest = new TextField(Numbers.format(start.shortest().seconds(), 3));
    TextField longest = new TextField(Numbers.format(start.longest().seconds(), 3));
    TextField gap = new TextField(Numbers.format(start.gap().seconds(), 3));
    return ask(
        owner,
        Messages.of("film-dialogs.rules-for-captions"),
        () ->
            new CaptionRules(
                (int) number(lines, Messages.of("film-dialogs.maximum-lines")),
                (int) number(length, Messages.of("film-dialogs.maximum-characters-per-line")),
                number(speed, Messages.of("film-dialogs.maximum-characters-per-second")),
                Time.ofSeconds(
                    number(shortest, Messages.of("film-dialogs.minimum-duration-seconds"))),
                Time.ofSeconds(
                    number(longest, Messages.of("film-dialogs.maximum-duration-seconds"))),
                Time.ofSeconds(number(gap, Messages.of("film-dialogs.minimum-gap-seconds")))),
        List.of(
            row(Messages.of("film-dialogs.maximum-lines"), lines),
            row(Messages.of("film-dialogs.maximum-characters-per-line"), length),
            row(Messages.of("film-dialogs.maximum-characters-per-second"), speed),
            row(Messages.of("film-dialogs.minimum-duration-seconds"), shortest),
            row(Messages.of("film-dialogs.maximum-duration-seconds"), longest),
            row(Messages.of("film-dialogs.minimum-gap-seconds"), gap)));
  }

  /** From which rate of frames to which. */
  static Optional<Map.Entry<FrameRate, FrameRate>> rates(Window owner, FrameRate own) {
    ComboBox<FrameRate> from = rateBox(own);
    ComboBox<FrameRate> to = rateBox(own);
    return ask(
        owner,
        Messages.of("film-dialogs.conform-to-another-frame-rate"),
        () -> Map.entry(from.getValue(), to.getValue()),
        List.of(
            row(Messages.of("film-dialogs.made-for"), from),
            row(Messages.of("film-dialogs.shown-at"), to)));
  }

  static Optional<String> choice(Window owner, String title, List<String> choices) {
    ChoiceDialog<String> dialog = new ChoiceDialog<>(choices.getFirst(), choices);
    dialog.initOwner(owner);
    dialog.setTitle(title);
    dialog.setHeaderText(null);
    dialog.setGraphic(null);
    dialog.setContentText(title);
    return dialog.showAndWait();
  }

  private record Row(String label, Node field) {}

  private static Row row(String label, Node field) {
    return new Row(label, field);
  }

  private static double number(TextField field, String what) {
    try {
      return Double.parseDouble(field.getText().strip().replace(',', '.'));
    } catch (NumberFormatException wrong) {
      throw new IllegalArgumentException(
          Messages.of("film-dialogs.is-no-number-for", field.getText(), what), wrong);
    }
  }

  private static ComboBox<FrameRate> rateBox(FrameRate start) {
    ComboBox<FrameRate> box = new ComboBox<>();
    box.getItems().setAll(FrameRate.USUAL);
    if (!box.getItems().contains(start)) {
      box.getItems().add(start);
    }
    box.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(FrameRate rate) {
            return rate == null ? "" : rate.words();
          }

          @Override
          public FrameRate fromString(String text) {
            return FrameRate.parse(text);
          }
        });
    box.setValue(start);
    return box;
  }

  private static <T> Optional<T> ask(Window owner, String title, Supplier<T> read, List<Row> rows) {
    GridPane grid = new GridPane(10, 8);
    grid.setPadding(new Insets(16));
    for (int index = 0; index < rows.size(); index++) {
      grid.addRow(index, new Label(rows.get(index).label()), rows.get(index).field());
    }
    Label wrong = new Label();
    wrong.getStyleClass().add("problem-text");
    wrong.setWrapText(true);
    wrong.setMaxWidth(320);
    grid.add(wrong, 0, rows.size(), 2, 1);
    Dialog<T> dialog = new Dialog<>();
    dialog.initOwner(owner);
    dialog.setTitle(title);
    dialog.getDialogPane().setContent(grid);
    dialog.getDialogPane().getButtonTypes().addAll(ButtonType.CANCEL, ButtonType.OK);
    Button take = (Button) dialog.getDialogPane().lookupButton(ButtonType.OK);
    take.addEventFilter(
        javafx.event.ActionEvent.ACTION,
        event -> {
          try {
            var _ = read.get();
          } catch (IllegalArgumentException problem) {
            wrong.setText(Messages.reason(problem));
            dialog.getDialogPane().getScene().getWindow().sizeToScene();
            event.consume();
          }
        });
    dialog.setResultConverter(button -> button == ButtonType.OK ? read.get() : null);
    return dialog.showAndWait();
  }
}
