package dynamorph.app.journey;

import dynamorph.app.MainWindow;
import dynamorph.app.action.Action;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.files.UserFolder;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.app.theme.Theme;
import dynamorph.formats.project.KitAbout;
import dynamorph.model.IdSource;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Rgba;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.TextLayout;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DialogPane;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.PixelReader;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.Assumptions;
import org.testfx.api.FxRobot;
import org.testfx.robot.Motion;
import org.testfx.util.WaitForAsyncUtils;

/** Drives the real window as a person would, and waits until what was done shows. */
final class Driver {
  private static final int PATIENCE_SECONDS = 20;

  private final Hand robot = new Hand();
  private final MainWindow window;
  private final Answers answers;

  /** What the person answers when a dialog asks. */
  static final class Answers implements Dialogs {
    private Optional<Path> file = Optional.empty();

    private boolean agrees = true;
    private Elsewhere elsewhere = Elsewhere.CANCEL;
    private List<String> told = List.of();

    /** Whether consequences are taken. */
    void agree(boolean wanted) {
      agrees = wanted;
    }

    /** What is done with a file that somebody else changed. */
    void elsewhere(Elsewhere wanted) {
      elsewhere = wanted;
    }

    /** The consequences that were told last. */
    List<String> told() {
      return told;
    }

    private boolean agreeing(List<String> consequences) {
      told = consequences;
      return agrees;
    }

    void file(Path chosen) {
      file = Optional.of(chosen);
    }

    @Override
    public Optional<Path> choose(FileQuestion question, String proposed) {
      return file;
    }

    @Override
    public boolean agrees(String question, List<String> consequences, String verb) {
      return agreeing(consequences);
    }

    @Override
    public Elsewhere askAboutElsewhere(String file, List<String> changes, boolean merges) {
      told = changes;
      return elsewhere;
    }

    @Override
    public Optional<KitAbout> askAboutKit(KitAbout proposed) {
      return Optional.of(new KitAbout("Dessa Okafor", "CC BY 4.0", "For walls", Optional.empty()));
    }

    @Override
    public Unsaved askAboutChanges(String project) {
      return Unsaved.LEAVE;
    }
  }

  private Driver(MainWindow window, Answers answers) {
    this.window = window;
    this.answers = answers;
  }

  /** The window of the journey before; left open, every journey would keep its window. */
  private static Optional<MainWindow> before = Optional.empty();

  /** Opens the window; on the interface thread. */
  static Driver open(Stage stage, Project project, Path userFolder) {
    before.ifPresent(MainWindow::close);
    Theme.loadFonts();
    UserFolder user = new UserFolder(userFolder);
    user.setWelcomed();
    Answers answers = new Answers();
    AtomicInteger count = new AtomicInteger();
    IdSource counting = prefix -> prefix + "-" + count.incrementAndGet();
    Workspace workspace = new Workspace(counting, project);
    MainWindow window = new MainWindow(workspace, answers, user, Theme.CHALK, studio(project));
    before = Optional.of(window);
    stage.setScene(window.scene());
    // the stage is that of the journey before, which may have made it small
    stage.sizeToScene();
    stage.setX(0);
    stage.setY(0);
    stage.show();
    stage.requestFocus();
    return new Driver(window, answers);
  }

  /** What is set and drawn depends on values alone, so that journeys share it. */
  private static Studio studio(Project project) {
    Studio known = studio.filter(one -> one.fits(project)).orElseGet(() -> Studio.of(project));
    if (studio.isEmpty()) {
      known.askMachineForFonts();
    }
    studio = Optional.of(known);
    return known;
  }

  private static Optional<Studio> studio = Optional.empty();

  /**
   * Passes over a journey on JavaFX's headless platform, whose robot sends no drags and which fails
   * on menus that reach beyond its 1000 by 1000 pixels. Under Xvfb and on a display all journeys
   * run.
   */
  static void needsADisplay() {
    Assumptions.assumeFalse(
        "Headless".equals(System.getProperty("glass.platform")),
        "drags and context menus need a display or Xvfb");
  }

  FxRobot robot() {
    return robot;
  }

  MainWindow window() {
    return window;
  }

  Workspace workspace() {
    return window.workspace();
  }

  Answers answers() {
    return answers;
  }

  List<Action> actions() {
    return window.actions().all();
  }

  dynamorph.app.artboards.stage.StageView stage() {
    return window.stage();
  }

  dynamorph.app.artboards.text.spelling.SpellingService spelling() {
    return window.spelling();
  }

  /** The middle of the right side of a text's box, on the screen. */
  Point2D sideOf(String id) {
    Scene.Found found = window.stage().scene().orElseThrow().find(new LayerId(id)).orElseThrow();
    Box box = found.text().layout().box();
    var place = found.text().toArtboard(box.right(), box.height() / 2);
    return window
        .stage()
        .localToScreen(
            window.stage().view().toPixelX(found.board().artboard().x() + place.x()) + 4,
            window.stage().view().toPixelY(found.board().artboard().y() + place.y()));
  }

  Project project() {
    return workspace().project();
  }

  Layer layer(String id) {
    return project().layer(new LayerId(id)).orElseThrow();
  }

  StyleId styleNamed(String name) {
    return project().styles().named(name).orElseThrow().id();
  }

  /** Waits for something to become true. */
  void waitFor(String what, Callable<Boolean> condition) {
    try {
      WaitForAsyncUtils.waitFor(PATIENCE_SECONDS, TimeUnit.SECONDS, condition);
    } catch (TimeoutException never) {
      throw new AssertionError("waited in vain until " + what, never);
    }
    WaitForAsyncUtils.waitForFxEvents(1);
  }

  /** Waits until the stage shows the project as it is, and what lies beside it is there. */
  Driver settle() {
    WaitForAsyncUtils.waitForFxEvents(2);
    waitFor(
        "the stage shows the project",
        () ->
            WaitForAsyncUtils.asyncFx(() -> window.isWhole() && window.stage().isUpToDate()).get());
    return this;
  }

  Node node(String id) {
    return robot.lookup("#" + id).query();
  }

  Driver press(String id) {
    robot.clickOn(reveal("#" + id));
    return settle();
  }

  /** Scrolls until what a query finds can be seen. */
  Node reveal(String query) {
    return reveal(
        robot.lookup(query).queryAll().stream()
            .filter(Driver::isInTheOpen)
            .findFirst()
            .orElseThrow());
  }

  /** Scrolls until a node can be seen. */
  Node reveal(Node node) {
    robot.interact(() -> {
      for (Node outer = node.getParent(); outer != null; outer = outer.getParent()) {
        if (outer instanceof ScrollPane scroll) {
          var content = scroll.getContent();
          var place = content.sceneToLocal(node.localToScene(node.getBoundsInLocal()));
          double more =
              content.getBoundsInLocal().getHeight() - scroll.getViewportBounds().getHeight();
          double top = place.getCenterY() - scroll.getViewportBounds().getHeight() / 2;
          scroll.setVvalue(more <= 0 ? 0 : Math.clamp(top / more, 0, 1));
          scroll.layout();
        }
      }
    });
    robot.interact(() -> {});
    return node;
  }

  /** Whether what a query finds is there to be seen. */
  boolean isShown(String query) {
    return robot.lookup(query).queryAll().stream().anyMatch(Driver::isInTheOpen);
  }

  private static boolean isInTheOpen(Node node) {
    for (Node outer = node; outer != null; outer = outer.getParent()) {
      if (!outer.isVisible()) {
        return false;
      }
    }
    return true;
  }

  /** Where a text stands on the screen. */
  javafx.geometry.Bounds onScreen(String id) {
    Box box = inStage(id);
    return window
        .stage()
        .localToScreen(
            new javafx.geometry.BoundingBox(box.x(), box.y(), box.width(), box.height()));
  }

  private Box inStage(String id) {
    Scene.Found found = window.stage().scene().orElseThrow().find(new LayerId(id)).orElseThrow();
    return window
        .stage()
        .view()
        .toPixels(
            found
                .text()
                .bounds()
                .moved(found.board().artboard().x(), found.board().artboard().y()));
  }

  /** The middle of a text on the screen. */
  Point2D middleOf(String id) {
    var bounds = onScreen(id);
    return new Point2D(bounds.getCenterX(), bounds.getCenterY());
  }

  Driver pressText(String id) {
    robot.clickOn(middleOf(id));
    return settle();
  }

  /** Clicks several times at a place, as fast as for a double-click. */
  Driver clickTimes(int times, Point2D place) {
    robot.clickTimes(times, robot.point(place), Motion.DEFAULT);
    return settle();
  }

  /** Drags a frame around texts. */
  Driver marquee(String first, String last) {
    var from = onScreen(first);
    var to = onScreen(last);
    robot.drag(new Point2D(from.getMinX() - 16, from.getMinY() - 12));
    robot.dropTo(new Point2D(to.getMaxX() + 1, to.getMaxY() - 2));
    return settle();
  }

  /** How many pixels of a text on the stage have a colour, give or take a little. */
  int pixels(String id, Rgba colour) {
    Box box = inStage(id);
    return WaitForAsyncUtils.waitForAsyncFx(
        5000,
        () -> {
          PixelReader reader =
              window.stage().frameProperty().get().orElseThrow().image().getPixelReader();
          int count = 0;
          for (int y = (int) box.y(); y < box.bottom(); y++) {
            for (int x = (int) box.x(); x < box.right(); x++) {
              count += near(reader.getArgb(x, y), colour) ? 1 : 0;
            }
          }
          return count;
        });
  }

  private static boolean near(int argb, Rgba colour) {
    Rgba seen = new Rgba(argb);
    return Math.abs(seen.red() - colour.red()) < 12
        && Math.abs(seen.green() - colour.green()) < 12
        && Math.abs(seen.blue() - colour.blue()) < 12;
  }

  /** Undoes everything there is to undo. */
  Driver undoAll() {
    while (workspace().historyProperty().get().canUndo()) {
      robot.interact(workspace()::undo);
    }
    return settle();
  }

  /** How a text is set on the stage. */
  TextLayout layout(String id) {
    return placed(id).layout();
  }

  /** A text where it stands on the stage. */
  PlacedLayer placed(String id) {
    return window.stage().scene().orElseThrow().find(new LayerId(id)).orElseThrow().text();
  }

  /** What the first paragraph of a text has. */
  <T> T value(String id, Property<T> property) {
    return value(id, 0, property);
  }

  <T> T value(String id, int index, Property<T> property) {
    Layer layer = layer(id);
    var paragraph = layer.story().paragraphs().get(index);
    return Cascade.of(project())
        .values(layer, paragraph, paragraph.spans().getFirst())
        .get(property.key())
        .orElseThrow();
  }

  Driver select(String... ids) {
    List<LayerId> layers = Stream.of(ids).map(LayerId::new).toList();
    robot.interact(() -> workspace().select(layers));
    return settle();
  }

  /** Puts caret and selection into a text. */
  Driver edit(String id, int from, int to) {
    robot.interact(() -> {
      workspace().selectionProperty().set(Selection.editing(new LayerId(id), from, to));
      window.stage().requestFocus();
    });
    return settle();
  }

  /** Gives a text a value of its own. */
  <T> Driver set(String id, Property<T> property, T value) {
    SetValues change =
        new SetValues(
            Target.Layers.of(id), PropertySet.EMPTY.with(property, value), property.label());
    robot.interact(() -> workspace().apply(change));
    return settle();
  }

  /** Opens a fold of the inspector. */
  Driver open(String fold) {
    robot.clickOn(reveal("#inspector #" + fold));
    return settle();
  }

  /** Chooses from a box of the inspector. */
  <T> Driver choose(String id, T value) {
    Node node = reveal("#inspector #" + id);
    robot.interact(() -> choose((ComboBox<?>) node, value));
    return settle();
  }

  @SuppressWarnings("unchecked") // the box of a property holds its values
  private static <T> void choose(ComboBox<?> box, T value) {
    ((ComboBox<T>) box).setValue(value);
  }

  /** Runs an action by its name. */
  Driver run(String action) {
    robot.interact(() ->
        actions().stream()
            .filter(one -> one.name().equals(action))
            .findFirst()
            .orElseThrow()
            .run());
    return settle();
  }

  /** Presses what a notice offers. */
  Driver offer(String label) {
    robot.clickOn(
        robot
            .lookup("#notice .hyperlink")
            .match(node ->
                node instanceof javafx.scene.control.Hyperlink link && link.getText().equals(label))
            .<javafx.scene.Node>query());
    return settle();
  }

  String notice() {
    return workspace().noticeProperty().get().map(told -> told.text()).orElse("");
  }

  void close() {
    robot.interact(window::close);
  }

  /** The dialog that is open, once it is. */
  DialogPane dialog() {
    waitFor("a dialog is open", () -> openDialog().isPresent());
    return openDialog().orElseThrow();
  }

  static Optional<DialogPane> openDialog() {
    return Window.getWindows().stream()
        .filter(Window::isShowing)
        .map(window -> window.getScene().getRoot())
        .filter(DialogPane.class::isInstance)
        .map(DialogPane.class::cast)
        .findFirst();
  }
}
