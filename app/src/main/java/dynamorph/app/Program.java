package dynamorph.app;

import dynamorph.app.files.UserFolder;
import dynamorph.app.files.WindowDialogs;
import dynamorph.app.files.recovery.Unexpected;
import dynamorph.app.session.Workspace;
import dynamorph.app.theme.Theme;
import dynamorph.app.window.Logo;
import dynamorph.app.window.WindowTitle;
import dynamorph.demo.MuseumShelf;
import dynamorph.model.IdSource;
import dynamorph.shelf.projects.ProjectIndex;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.logging.FileHandler;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;
import java.util.random.RandomGenerator;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;
import org.jspecify.annotations.Nullable;

/** The program with its window, as the arguments of {@link Main} ask for it. */
public class Program extends Application {
  /** Where the looks of the demo lie within the folder of the person. */
  static final String DEMO = "demo";

  /** What was asked for when the program started. */
  record Start(
      boolean demo, boolean training, Optional<Path> file, Optional<Path> screenshot, String view) {
    static Start of(List<String> arguments) {
      boolean training = arguments.equals(List.of("training"));
      boolean demo = training || arguments.contains("demo");
      Optional<Path> screenshot = option(arguments, "--screenshot").map(Path::of);
      String view = option(arguments, "--view").orElse(ScreenshotView.names().getFirst());
      Optional<Path> file =
          demo || arguments.size() < 2 ? Optional.empty() : Optional.of(Path.of(arguments.get(1)));
      return new Start(demo, training, file, screenshot, view);
    }

    private static Optional<String> option(List<String> arguments, String name) {
      int index = arguments.indexOf(name);
      if (index >= 0 && index + 1 < arguments.size()) {
        return Optional.of(arguments.get(index + 1));
      }
      return arguments.stream()
          .filter(argument -> argument.startsWith(name + "="))
          .map(argument -> argument.substring(name.length() + 1))
          .findFirst();
    }
  }

  private @Nullable MainWindow main;

  @Override
  public void start(Stage window) {
    Start start = Start.of(getParameters().getRaw());
    if (start.screenshot.isPresent() && !ScreenshotView.names().contains(start.view)) {
      System.err.println(
          "dynamorph: no view is called \""
              + start.view
              + "\"; there are: "
              + String.join(", ", ScreenshotView.names()));
      Platform.exit();
      System.exit(2);
    }
    boolean nobody = start.training || start.screenshot.isPresent();
    UserFolder user = nobody ? settledUser() : UserFolder.standard();
    startLog(user);
    Theme.loadFonts();
    HeadStart ahead = HeadStart.of(getParameters().getRaw());
    Workspace workspace =
        new Workspace(IdSource.random(RandomGenerator.getDefault()), ahead.project());
    // the looks of the demo are not those of the person
    UserFolder own = start.demo ? user.withShelfOfItsOwn(DEMO) : user;
    MainWindow opened =
        new MainWindow(workspace, new WindowDialogs(window), own, Theme.CHALK, ahead.studio());
    ahead.studio().askMachineForFonts();
    if (start.demo) {
      prepareDemo(opened, own);
    }
    main = opened;
    Thread.setDefaultUncaughtExceptionHandler(
        new Unexpected(
            opened.actions()::latest,
            notice -> Platform.runLater(() -> workspace.tell(notice)),
            opened.files()::saveAs,
            InstantSource.system()));
    start.file.ifPresentOrElse(
        opened.files()::open,
        () -> {
          if (!start.demo) {
            opened.showStart();
          }
        });
    window.setScene(opened.scene());
    window.titleProperty().bind(WindowTitle.of(workspace));
    window
        .focusedProperty()
        .addListener((_, _, focused) -> {
          if (focused) {
            opened.files().lookAtFile();
          }
        });
    window.setOnCloseRequest(event -> {
      event.consume();
      opened.files().afterSettlingChanges(Platform::exit);
    });
    start.screenshot.ifPresent(file -> ScreenshotView.take(opened, start.view, file));
    if (start.training) {
      TrainingRun.start(opened);
    }
    window.show();
    shown(opened);
    // nothing waits for it
    Platform.runLater(() -> window.getIcons().add(Logo.icon()));
  }

  /** Called when the window is shown and has not drawn its artboards yet; for measuring. */
  protected void shown(MainWindow window) {}

  @Override
  public void stop() {
    if (main != null) {
      main.close();
    }
  }

  /** Lets the shelf of the demo be written before it is read for the first time. */
  static void prepareDemo(MainWindow window, UserFolder user) {
    window
        .shelf()
        .before(() ->
            MuseumShelf.writeIfMissing(
                user.shelf(), user.projects(), new ProjectIndex(user.projectIndex())));
  }

  /**
   * Pictures and training runs show the window of somebody who has closed the welcome, and leave
   * the folder of whoever asks for them alone.
   */
  private static UserFolder settledUser() {
    try {
      UserFolder user = new UserFolder(Files.createTempDirectory("dynamorph"));
      user.setWelcomed();
      return user;
    } catch (IOException noFolder) {
      return UserFolder.standard();
    }
  }

  private static void startLog(UserFolder user) {
    try {
      Files.createDirectories(user.folder());
      FileHandler handler = new FileHandler(user.log().toString(), 1 << 20, 3, true);
      handler.setFormatter(new SimpleFormatter());
      Logger root = Logger.getLogger("dynamorph");
      root.addHandler(handler);
      root.setLevel(Level.INFO);
    } catch (IOException noLog) {
      System.err.println("dynamorph: no log can be written in " + user.folder());
    }
  }
}
