package dynamorph.app.files;

import dynamorph.app.message.Messages;
import dynamorph.formats.project.KitAbout;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.control.Alert;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.scene.control.Dialog;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Asks with the system's own dialogs. */
public final class WindowDialogs implements Dialogs {
  private final Window owner;

  public WindowDialogs(Window owner) {
    this.owner = owner;
  }

  @Override
  public Optional<Path> choose(FileQuestion question, String proposed) {
    return switch (question.way()) {
      case OPEN -> path(chooser(question).showOpenDialog(owner));
      case SAVE -> {
        FileChooser chooser = chooser(question);
        chooser.setInitialFileName(proposed);
        yield path(chooser.showSaveDialog(owner))
            .map(file ->
                file.resolveSibling(
                    question.ended(file.getFileName().toString(), chosen(question, chooser))));
      }
      case FOLDER -> {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(
            proposed.isEmpty()
                ? question.title()
                : Messages.of("window-dialogs.of", question.title(), proposed));
        yield path(chooser.showDialog(owner));
      }
    };
  }

  @Override
  public Unsaved askAboutChanges(String project) {
    ButtonType save = new ButtonType(Messages.of("common.save"), ButtonBar.ButtonData.YES);
    ButtonType leave =
        new ButtonType(Messages.of("window-dialogs.don-t-save"), ButtonBar.ButtonData.NO);
    Alert alert =
        new Alert(
            Alert.AlertType.CONFIRMATION,
            Messages.of("window-dialogs.has-changes-that-are-not-saved", project),
            save,
            leave,
            ButtonType.CANCEL);
    alert.initOwner(owner);
    alert.setHeaderText(null);
    ButtonType answer = alert.showAndWait().orElse(ButtonType.CANCEL);
    return answer == save ? Unsaved.SAVE : answer == leave ? Unsaved.LEAVE : Unsaved.CANCEL;
  }

  @Override
  public Elsewhere askAboutElsewhere(String file, List<String> changes, boolean merges) {
    ButtonType merge = new ButtonType(Messages.of("elsewhere.merge"), ButtonBar.ButtonData.YES);
    ButtonType reload = new ButtonType(Messages.of("elsewhere.reload"), ButtonBar.ButtonData.OTHER);
    ButtonType saveAs =
        new ButtonType(Messages.of("elsewhere.save-as"), ButtonBar.ButtonData.OTHER);
    Alert alert = new Alert(Alert.AlertType.CONFIRMATION, String.join("\n", changes));
    alert.getButtonTypes().setAll(merge, reload, saveAs, ButtonType.CANCEL);
    if (!merges) {
      alert.getButtonTypes().remove(merge);
    }
    alert.initOwner(owner);
    alert.setTitle(file);
    alert.setHeaderText(Messages.of("elsewhere.was-changed", file));
    alert.setGraphic(null);
    alert.getDialogPane().setPrefWidth(520);
    // what loses nothing is what Enter does
    if (alert.getDialogPane().lookupButton(merges ? merge : saveAs) instanceof Button first) {
      first.setDefaultButton(true);
    }
    ButtonType answer = alert.showAndWait().orElse(ButtonType.CANCEL);
    if (answer == merge) {
      return Elsewhere.MERGE;
    }
    if (answer == reload) {
      return Elsewhere.RELOAD;
    }
    return answer == saveAs ? Elsewhere.SAVE_AS : Elsewhere.CANCEL;
  }

  @Override
  public boolean agrees(String question, List<String> consequences, String verb) {
    ButtonType go = new ButtonType(verb, ButtonBar.ButtonData.YES);
    Alert alert =
        new Alert(
            Alert.AlertType.CONFIRMATION, String.join("\n", consequences), go, ButtonType.CANCEL);
    alert.initOwner(owner);
    alert.setHeaderText(question);
    alert.setGraphic(null);
    alert.getDialogPane().setPrefWidth(460);
    return alert.showAndWait().filter(go::equals).isPresent();
  }

  @Override
  public Optional<KitAbout> askAboutKit(KitAbout proposed) {
    TextField author = new TextField(proposed.author());
    TextField licence = new TextField(proposed.licence());
    TextArea description = new TextArea(proposed.description());
    licence.setPromptText(Messages.of("window-dialogs.such-as-a-licence"));
    description.setPrefRowCount(4);
    description.setWrapText(true);
    GridPane grid = new GridPane(8, 8);
    grid.setPadding(new Insets(16));
    grid.addRow(0, new Label(Messages.of("window-dialogs.author")), author);
    grid.addRow(1, new Label(Messages.of("window-dialogs.licence")), licence);
    grid.addRow(2, new Label(Messages.of("window-dialogs.what-it-is-for")), description);
    ButtonType save =
        new ButtonType(Messages.of("window-dialogs.save-kit"), ButtonBar.ButtonData.OK_DONE);
    Dialog<ButtonType> dialog = new Dialog<>();
    dialog.initOwner(owner);
    dialog.setTitle(Messages.of("window-dialogs.about-the-kit"));
    dialog.getDialogPane().setContent(grid);
    dialog.getDialogPane().getStylesheets().setAll(owner.getScene().getStylesheets());
    dialog.getDialogPane().getButtonTypes().addAll(save, ButtonType.CANCEL);
    author.requestFocus();
    return dialog
        .showAndWait()
        .filter(save::equals)
        .map(_ ->
            new KitAbout(
                author.getText(), licence.getText(), description.getText(), Optional.empty()));
  }

  private static FileChooser chooser(FileQuestion question) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(question.title());
    for (FileQuestion.Kind kind : question.kinds()) {
      List<String> patterns =
          kind.endings().stream().map(ending -> ending.isEmpty() ? "*.*" : "*" + ending).toList();
      chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(kind.name(), patterns));
    }
    return chooser;
  }

  private static FileQuestion.Kind chosen(FileQuestion question, FileChooser chooser) {
    int at = chooser.getExtensionFilters().indexOf(chooser.getSelectedExtensionFilter());
    return question.kinds().get(Math.max(0, at));
  }

  private static Optional<Path> path(File file) {
    return Optional.ofNullable(file).map(File::toPath);
  }
}
