package dynamorph.app.files;

import dynamorph.formats.project.KitFile;
import dynamorph.formats.project.ProjectFile;
import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Asks with the system's own dialogs. */
public final class WindowDialogs implements Dialogs {
  private final Window owner;

  public WindowDialogs(Window owner) {
    this.owner = owner;
  }

  @Override
  public Optional<Path> open() {
    return path(
        chooser("Open a project", "Dynamorph projects", "*" + ProjectFile.ENDING)
            .showOpenDialog(owner));
  }

  @Override
  public Optional<Path> saveProject(String proposed) {
    FileChooser chooser =
        chooser("Save the project", "Dynamorph projects", "*" + ProjectFile.ENDING);
    chooser.setInitialFileName(proposed);
    return path(chooser.showSaveDialog(owner)).map(file -> withEnding(file, ProjectFile.ENDING));
  }

  @Override
  public Optional<Path> savePicture(String proposed) {
    FileChooser chooser = chooser("Export the artboard", "PNG pictures", "*.png");
    chooser.setInitialFileName(proposed);
    return path(chooser.showSaveDialog(owner)).map(file -> withEnding(file, ".png"));
  }

  @Override
  public Optional<Path> openFont() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Take a font into the project");
    chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Fonts", "*.ttf", "*.otf"));
    return path(chooser.showOpenDialog(owner));
  }

  @Override
  public Optional<Path> openImage() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Choose an image");
    chooser
        .getExtensionFilters()
        .add(
            new FileChooser.ExtensionFilter(
                "Images", "*.png", "*.jpg", "*.jpeg", "*.webp", "*.gif"));
    return path(chooser.showOpenDialog(owner));
  }

  @Override
  public Optional<Path> openStyles() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Take in styles");
    chooser
        .getExtensionFilters()
        .add(
            new FileChooser.ExtensionFilter(
                "Kits and projects", "*" + KitFile.ENDING, "*" + ProjectFile.ENDING));
    return path(chooser.showOpenDialog(owner));
  }

  @Override
  public Optional<Path> saveKit(String proposed) {
    FileChooser chooser = chooser("Save styles as a kit", "Kits", "*" + KitFile.ENDING);
    chooser.setInitialFileName(proposed);
    return path(chooser.showSaveDialog(owner)).map(file -> withEnding(file, KitFile.ENDING));
  }

  @Override
  public Optional<Path> openCaptions() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Take in captions");
    chooser
        .getExtensionFilters()
        .add(
            new FileChooser.ExtensionFilter(
                "Captions", "*.srt", "*.vtt", "*.ttml", "*.xml", "*.dfxp", "*.itt"));
    return path(chooser.showOpenDialog(owner));
  }

  @Override
  public Optional<Path> saveCaptions(String proposed) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Export captions");
    chooser
        .getExtensionFilters()
        .addAll(
            new FileChooser.ExtensionFilter("WebVTT", "*.vtt"),
            new FileChooser.ExtensionFilter("SubRip", "*.srt"),
            new FileChooser.ExtensionFilter("TTML", "*.ttml"));
    chooser.setInitialFileName(proposed);
    return path(chooser.showSaveDialog(owner))
        .map(file -> file.getFileName().toString().contains(".") ? file : withEnding(file, ".vtt"));
  }

  @Override
  public Optional<Path> openTable() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Choose a table");
    chooser
        .getExtensionFilters()
        .add(new FileChooser.ExtensionFilter("Tables", "*.csv", "*.tsv", "*.txt"));
    return path(chooser.showOpenDialog(owner));
  }

  @Override
  public Optional<Path> saveFrames(String proposed) {
    javafx.stage.DirectoryChooser chooser = new javafx.stage.DirectoryChooser();
    chooser.setTitle("A folder for the frames of " + proposed);
    return path(chooser.showDialog(owner));
  }

  @Override
  public Unsaved askAboutChanges(String project) {
    ButtonType save = new ButtonType("Save", ButtonBar.ButtonData.YES);
    ButtonType leave = new ButtonType("Don\u2019t save", ButtonBar.ButtonData.NO);
    Alert alert =
        new Alert(
            Alert.AlertType.CONFIRMATION,
            "\u201c" + project + "\u201d has changes that are not saved.",
            save,
            leave,
            ButtonType.CANCEL);
    alert.initOwner(owner);
    alert.setHeaderText(null);
    ButtonType answer = alert.showAndWait().orElse(ButtonType.CANCEL);
    return answer == save ? Unsaved.SAVE : answer == leave ? Unsaved.LEAVE : Unsaved.CANCEL;
  }

  private static FileChooser chooser(String title, String what, String pattern) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(title);
    chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(what, pattern));
    return chooser;
  }

  private static Optional<Path> path(File file) {
    return Optional.ofNullable(file).map(File::toPath);
  }

  private static Path withEnding(Path file, String ending) {
    String name = file.getFileName().toString();
    return name.endsWith(ending) ? file : file.resolveSibling(name + ending);
  }
}
