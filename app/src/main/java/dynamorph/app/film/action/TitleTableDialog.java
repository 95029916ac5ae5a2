package dynamorph.app.film.action;

import dynamorph.app.message.Messages;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.ImportTitles;
import dynamorph.model.fill.DataTable;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.ButtonType;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Dialog;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.Window;
import javafx.util.StringConverter;

/** Asks what the columns of a table are for, and shows what each row will make. */
final class TitleTableDialog {
  private TitleTableDialog() {}

  static Optional<ImportTitles> ask(
      Window owner, Project project, Timeline line, ImportTitles start) {
    List<ComboBox<DataTable.Role>> roles = new ArrayList<>();
    GridPane columns = new GridPane(8, 6);
    for (int column = 0; column < start.table().columns().size(); column++) {
      ComboBox<DataTable.Role> box = new ComboBox<>();
      box.getItems().setAll(DataTable.Role.values());
      box.setConverter(converter());
      box.setValue(start.roles().get(column));
      roles.add(box);
      columns.addRow(column, new Label(start.table().columns().get(column)), box);
    }
    TextField begin = new TextField(line.codeAt(start.start()));
    TextField gap = new TextField("0");
    ListView<String> preview = new ListView<>();
    preview.setId("table-preview");
    preview.setPrefSize(460, 220);
    Label sum = new Label();
    sum.getStyleClass().add("quiet");
    ImportTitles[] now = {start};
    Runnable show =
        () -> {
          now[0] = read(start, line, roles, begin, gap);
          List<ImportTitles.Made> made = now[0].made(project);
          preview.setItems(
              FXCollections.observableArrayList(
                  made.stream().map(one -> words(one, line)).toList()));
          long good = made.stream().filter(one -> one.title().isPresent()).count();
          sum.setText(Messages.of("title-table-dialog.of-rows-make-a-title", good, made.size()));
        };
    roles.forEach(box -> box.valueProperty().addListener((_, _, _) -> show.run()));
    begin.textProperty().addListener((_, _, _) -> show.run());
    gap.textProperty().addListener((_, _, _) -> show.run());
    show.run();
    HBox times =
        new HBox(
            8,
            new Label(Messages.of("title-table-dialog.first-in-point")),
            begin,
            new Label(Messages.of("title-table-dialog.seconds-between")),
            gap);
    times.setAlignment(Pos.CENTER_LEFT);
    VBox content =
        new VBox(
            10,
            new Label(Messages.of("title-table-dialog.what-are-the-columns-for")),
            columns,
            times,
            preview,
            sum);
    content.setPadding(new Insets(16));
    Dialog<ImportTitles> dialog = new Dialog<>();
    dialog.initOwner(owner);
    dialog.setTitle(Messages.of("title-table-dialog.titles-from-a-table"));
    dialog.getDialogPane().setContent(content);
    dialog.getDialogPane().getButtonTypes().addAll(ButtonType.CANCEL, ButtonType.OK);
    dialog.setResultConverter(button -> button == ButtonType.OK ? now[0] : null);
    return dialog.showAndWait();
  }

  private static ImportTitles read(
      ImportTitles start,
      Timeline line,
      List<ComboBox<DataTable.Role>> roles,
      TextField begin,
      TextField gap) {
    Time from = start.start();
    Time between = start.gap();
    try {
      from = line.timeOf(begin.getText());
      between = Time.ofSeconds(Double.parseDouble(gap.getText().replace(',', '.')));
    } catch (IllegalArgumentException stillTyping) {
      // what was there before counts until it can be read
    }
    return new ImportTitles(
        start.film(),
        start.pattern(),
        start.table(),
        roles.stream().map(ComboBox::getValue).toList(),
        from,
        between,
        start.prefix());
  }

  private static String words(ImportTitles.Made made, Timeline line) {
    return made.title()
        .map(title ->
            line.codeAt(title.timing().orElseThrow().in())
                + "  "
                + title.story().text().replaceAll("[\\n\\u2028]+", " \u00b7 "))
        .orElse(Messages.of("title-table-dialog.line-is-refused", made.row().line(), made.why()));
  }

  private static StringConverter<DataTable.Role> converter() {
    return new StringConverter<>() {
      @Override
      public String toString(DataTable.Role role) {
        return role == null
            ? ""
            : switch (role) {
              case IN -> Messages.of("title-table-dialog.in-point");
              case OUT -> Messages.of("title-table-dialog.out-point");
              case LENGTH -> Messages.of("title-table-dialog.duration-in-seconds");
              case WORDS -> Messages.of("title-table-dialog.words");
            };
      }

      @Override
      public DataTable.Role fromString(String text) {
        throw new UnsupportedOperationException("roles are chosen, not typed");
      }
    };
  }
}
