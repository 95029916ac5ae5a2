package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.property.Properties;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.typeset.layout.Box;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;

/** Texts are put in order: aligned, snapped, stacked, hidden, locked, and listed. */
class ArrangeJourneyTest extends JourneyTest {
  private static final String TITLE = "entrance-title";
  private static final String SUBTITLE = "entrance-subtitle";
  private static final String NOTICE = "entrance-notice";

  /** So that what is dragged is farther from its neighbours than a drag snaps. */
  private void zoomIn() {
    StageView stage = driver.stage();
    driver.robot().interact(() -> stage.show(List.of(board(TITLE))));
    driver.settle();
  }

  private Artboard board(String id) {
    return driver.project().artboardOf(new LayerId(id)).orElseThrow();
  }

  private Box box(String id) {
    return driver.placed(id).bounds();
  }

  private double baseline(String id) {
    PlacedLayer text = driver.placed(id);
    return text.toArtboard(0, text.layout().lines().getFirst().baseline()).y();
  }

  private void move(String id, double across, double down) {
    driver
        .robot()
        .interact(
            () -> driver.workspace().apply(new MoveLayers(Target.Layers.of(id), across, down)));
    driver.settle();
  }

  private List<String> order() {
    return board(TITLE).layers().stream().map(Layer::id).map(LayerId::value).toList();
  }

  @Test
  void oneTextIsAlignedToTheArtboardAndSeveralToEachOther() {
    move(SUBTITLE, 63, 5);
    move(NOTICE, -120, 11);
    driver.select(SUBTITLE);
    driver.press("arrange-align-left");
    assertThat(box(SUBTITLE).x()).isCloseTo(0, within(0.01));
    driver.press("arrange-align-centre");
    Box middle = box(SUBTITLE);
    assertThat(middle.x() + middle.width() / 2).isCloseTo(board(TITLE).width() / 2, within(0.01));
    driver.select(SUBTITLE, NOTICE);
    double right = Math.max(box(SUBTITLE).right(), box(NOTICE).right());
    driver.press("arrange-align-right");
    assertThat(box(SUBTITLE).right()).isCloseTo(right, within(0.01));
    assertThat(box(NOTICE).right()).isCloseTo(right, within(0.01));
    driver.press("arrange-align-baseline");
    assertThat(baseline(NOTICE)).isCloseTo(baseline(SUBTITLE), within(0.01));
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void gapsAreSaidAndSet() {
    driver.select(TITLE, SUBTITLE, NOTICE);
    driver.press("arrange-distribute-down");
    double above = box(SUBTITLE).y() - box(TITLE).bottom();
    double below = box(NOTICE).y() - box(SUBTITLE).bottom();
    assertThat(above).isCloseTo(below, within(0.01));
    typeInto("gap-down", "40");
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
    assertThat(box(SUBTITLE).y() - box(TITLE).bottom()).isCloseTo(40, within(0.01));
    assertThat(box(NOTICE).y() - box(SUBTITLE).bottom()).isCloseTo(40, within(0.01));
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  /** Drags a text by so many pixels. */
  private void drag(String id, double across, double down) {
    Point2D from = driver.middleOf(id);
    driver.robot().drag(from);
    driver.robot().moveTo(from.add(across / 2, down / 2));
    driver.robot().moveTo(from.add(across, down));
  }

  @Test
  void aDraggedTextSnapsToTheMiddleUnlessSnappingIsOff() {
    Driver.needsADisplay();
    zoomIn();
    move(SUBTITLE, 200, 0);
    driver.select(SUBTITLE);
    double scale = driver.stage().view().scale();
    double pixels = 200 * scale;
    drag(SUBTITLE, -pixels + 3, 0);
    driver.robot().drop();
    driver.settle();
    double width = board(TITLE).width();
    assertThat(box(SUBTITLE).x() + box(SUBTITLE).width() / 2)
        .as("three pixels beside the middle")
        .isCloseTo(width / 2, within(0.01));
    driver.robot().interact(driver.workspace()::undo);
    driver.run("Snapping on or off");
    drag(SUBTITLE, -pixels + 3, 0);
    driver.robot().drop();
    driver.settle();
    assertThat(box(SUBTITLE).x() + box(SUBTITLE).width() / 2)
        .isCloseTo(width / 2 + 3 / scale, within(1.01 / scale));
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aMenuOpensOnATextAndOnWhatLiesBesideIt() {
    Driver.needsADisplay();
    zoomIn();
    driver.robot().clickOn(driver.middleOf(SUBTITLE), MouseButton.SECONDARY);
    assertThat(driver.workspace().selection().contains(new LayerId(SUBTITLE))).isTrue();
    driver.robot().clickOn("Lock");
    driver.settle();
    assertThat(driver.layer(SUBTITLE).state().locked()).isTrue();
    driver.pressText(SUBTITLE);
    assertThat(driver.workspace().selection().isEmpty()).as("it cannot be picked").isTrue();
    var at = driver.onScreen(SUBTITLE);
    driver.robot().clickOn(at.getMinX() - 30, at.getCenterY(), MouseButton.SECONDARY);
    driver.robot().clickOn("Unlock all");
    driver.settle();
    assertThat(driver.layer(SUBTITLE).state().locked()).isFalse();
    driver.robot().clickOn(at.getMinX() - 30, at.getCenterY(), MouseButton.SECONDARY);
    driver.robot().clickOn("Duplicate the artboard");
    driver.settle();
    Artboard copy = driver.project().artboards().getLast();
    assertThat(copy.name()).isEqualTo(board(TITLE).name() + ", copy");
    assertThat(copy.layers()).hasSameSizeAs(board(TITLE).layers());
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void whatIsPastedHereHasItsAnchorThere() {
    Driver.needsADisplay();
    zoomIn();
    driver.select(SUBTITLE);
    driver.run("Copy texts");
    var at = driver.onScreen(SUBTITLE);
    Point2D place = new Point2D(at.getMinX() - 30, at.getCenterY());
    driver.robot().clickOn(place, MouseButton.SECONDARY);
    driver.robot().clickOn("Paste here");
    driver.settle();
    var pasted = driver.onScreen(driver.workspace().selection().layers().getFirst().value());
    assertThat(pasted.getWidth()).isCloseTo(at.getWidth(), within(0.1));
    assertThat(pasted.getCenterX())
        .as("a text anchored at its top")
        .isCloseTo(place.getX(), within(1.5));
    assertThat(pasted.getMinY()).isCloseTo(place.getY(), within(1.5));
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aCopyThatWasMovedIsFollowedByTheNextAtTheSameDistance() {
    driver.select(SUBTITLE);
    driver.run("Duplicate texts");
    LayerId first = driver.workspace().selection().layers().getFirst();
    move(first.value(), 16, 76);
    driver.run("Duplicate texts");
    LayerId second = driver.workspace().selection().layers().getFirst();
    assertThat(box(first.value()).y() - box(SUBTITLE).y()).isCloseTo(100, within(0.01));
    assertThat(box(second.value()).y() - box(first.value()).y()).isCloseTo(100, within(0.01));
    assertThat(box(second.value()).x() - box(first.value()).x()).isCloseTo(40, within(0.01));
  }

  @Test
  void aCornerScalesTheLettersAndTheOppositeOneStays() {
    Driver.needsADisplay();
    zoomIn();
    driver.select(SUBTITLE);
    double size = driver.layout(SUBTITLE).lines().getFirst().ascent();
    Box before = box(SUBTITLE);
    var at = driver.onScreen(SUBTITLE);
    Point2D corner = new Point2D(at.getMaxX() + 4, at.getMaxY() + 4);
    driver.robot().drag(corner);
    driver.robot().moveTo(corner.add(at.getWidth() / 4, at.getHeight() / 4));
    driver.robot().moveTo(corner.add(at.getWidth() / 2, at.getHeight() / 2));
    driver.robot().drop();
    driver.settle();
    assertThat(driver.layout(SUBTITLE).lines().getFirst().ascent())
        .isCloseTo(1.5 * size, within(0.03 * size));
    assertThat(box(SUBTITLE).x()).isCloseTo(before.x(), within(2.0));
    assertThat(box(SUBTITLE).y()).isCloseTo(before.y(), within(2.0));
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project()).as("one step").isEqualTo(demo);
  }

  @Test
  void theKeysOfTheViewAreHeard() {
    StageView stage = driver.stage();
    driver.robot().interact(stage::requestFocus);
    driver.robot().push(KeyCode.CONTROL, KeyCode.DIGIT1);
    driver.settle();
    assertThat(stage.view().scale()).isCloseTo(1, within(1e-6));
    driver.robot().push(KeyCode.CONTROL, KeyCode.DIGIT0);
    driver.settle();
    assertThat(stage.view().scale()).isLessThan(0.5);
    driver.select(SUBTITLE);
    driver.robot().push(KeyCode.CONTROL, KeyCode.DIGIT2);
    driver.settle();
    assertThat(driver.onScreen(SUBTITLE).getWidth()).isGreaterThan(stage.getWidth() * 0.8);
    driver.set(SUBTITLE, Properties.TRACKING, 50.0);
    driver.robot().push(KeyCode.CONTROL, KeyCode.BACK_SPACE);
    driver.settle();
    assertThat(driver.layer(SUBTITLE).local().isEmpty()).as("local changes are dropped").isTrue();
    driver.undoAll();
  }

  @Test
  void anArtboardIsMovedByItsName() {
    Driver.needsADisplay();
    driver.robot().interact(driver.stage()::fitAll);
    driver.settle();
    Artboard before = board(TITLE);
    Point2D corner = onScreen(before);
    driver.robot().drag(corner.add(20, -10));
    driver.robot().moveTo(corner.add(-30, -40));
    driver.robot().moveTo(corner.add(-40, -50));
    driver.robot().drop();
    driver.settle();
    double scale = driver.stage().view().scale();
    assertThat(board(TITLE).x()).isCloseTo(before.x() - 60 / scale, within(7 / scale));
    assertThat(board(TITLE).y()).isCloseTo(before.y() - 40 / scale, within(7 / scale));
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project()).as("one step").isEqualTo(demo);
  }

  private Point2D onScreen(Artboard board) {
    StageView stage = driver.stage();
    return stage.localToScreen(stage.view().toPixelX(board.x()), stage.view().toPixelY(board.y()));
  }

  @Test
  void anyStepIsGoneToFromTheList() {
    driver.select(SUBTITLE);
    driver.robot().interact(driver.stage()::requestFocus);
    for (int step = 0; step < 3; step++) {
      move(SUBTITLE, 10, 0);
    }
    var last = driver.project();
    driver.press("show-steps");
    driver.robot().clickOn("As it was opened");
    driver.settle();
    assertThat(driver.project()).isEqualTo(demo);
    driver.robot().push(KeyCode.UP).push(KeyCode.UP).push(KeyCode.UP).push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.project()).isEqualTo(last);
    driver.robot().push(KeyCode.ESCAPE);
    driver.settle();
    assertThat(driver.isShown("#step-list")).isFalse();
    driver.undoAll();
  }

  @Test
  void theStageIsAloneAndColumnsComeBackWhenTheyAreAskedFor() {
    double width = driver.stage().getWidth();
    driver.robot().interact(driver.stage()::requestFocus);
    driver.robot().push(KeyCode.F11);
    driver.settle();
    assertThat(driver.isShown("#inspector")).isFalse();
    assertThat(driver.stage().getWidth()).isGreaterThan(width + 500);
    driver.select(SUBTITLE);
    driver.run("Keep this look\u2026");
    assertThat(driver.isShown(".keep-pane")).as("what is tried can be settled").isTrue();
    driver.robot().push(KeyCode.ESCAPE);
    driver.settle();
    assertThat(driver.isShown(".keep-pane")).isFalse();
    driver.run("List of layers");
    assertThat(driver.isShown("#layer-list")).isTrue();
    Node edge = driver.node("side-edge");
    driver.robot().drag(edge);
    driver.robot().moveBy(-60, 0);
    driver.robot().drop();
    driver.settle();
    assertThat(driver.node("layers").getBoundsInParent().getWidth()).isGreaterThan(350);
  }

  private Node row(String name) {
    return driver
        .robot()
        .lookup(".layer-cell")
        .match(
            cell -> cell.getAccessibleText() != null && cell.getAccessibleText().startsWith(name))
        .query();
  }

  private void press(String name, String mark) {
    Button button =
        driver.robot().from(row(name)).lookup(".layer-mark").queryAllAs(Button.class).stream()
            .filter(one -> one.getAccessibleText().equals(mark))
            .findFirst()
            .orElseThrow();
    driver.robot().clickOn(button);
    driver.settle();
  }

  @Test
  void layersAreFoundNamedHiddenAndStackedInTheirList() {
    driver.run("List of layers");
    typeInto("find-layer", "tower clock came");
    driver.robot().clickOn(row("Subtitle"));
    driver.settle();
    assertThat(driver.workspace().selection().contains(new LayerId(SUBTITLE))).isTrue();
    press("Subtitle", "Hide");
    assertThat(driver.layer(SUBTITLE).state().hidden()).isTrue();
    assertThat(driver.stage().scene().orElseThrow().find(new LayerId(SUBTITLE))).isEmpty();
    assertThat(text("show-all-layers")).isEqualTo("Show 1 hidden");
    driver.press("show-all-layers");
    assertThat(driver.layer(SUBTITLE).state().hidden()).isFalse();
    driver.robot().doubleClickOn(row("Subtitle"));
    driver.robot().write("What it is about").push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.layer(SUBTITLE).name()).isEqualTo("What it is about");
    typeInto("find-layer", "");
    driver.robot().push(KeyCode.BACK_SPACE);
    driver.settle();
    List<String> before = order();
    driver.select(TITLE);
    driver.robot().push(KeyCode.CONTROL, KeyCode.UP);
    driver.settle();
    assertThat(order().indexOf(TITLE)).isEqualTo(before.indexOf(TITLE) + 1);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aRowIsDraggedOverAnother() {
    Driver.needsADisplay();
    driver.run("List of layers");
    List<String> before = order();
    String top = before.getLast();
    driver.robot().drag(row(driver.layer(TITLE).name()));
    var target = row(driver.layer(top).name());
    var place = target.localToScreen(target.getBoundsInLocal());
    driver.robot().moveTo(place.getCenterX(), place.getMinY() + 20);
    driver.robot().moveTo(place.getCenterX(), place.getMinY() + 5);
    driver.robot().drop();
    driver.settle();
    assertThat(order().getLast()).isEqualTo(TITLE);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }
}
