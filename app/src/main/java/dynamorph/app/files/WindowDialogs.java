package dynamorph.app.files;

import dynamorph.app.message.Messages;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Alert;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
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
        chooser.setTitle(Messages.of("window-dialogs.of", question.title(), proposed));
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
