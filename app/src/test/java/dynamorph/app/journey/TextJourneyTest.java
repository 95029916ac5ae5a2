package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.session.Selection;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.text.Span;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Colour;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Words are written and changed where they stand. */
class TextJourneyTest extends JourneyTest {

  private String words(String id) {
    return driver.layer(id).story().text();
  }

  private Selection.Cursor cursor() {
    return driver.workspace().selection().cursor().orElseThrow();
  }

  @Test
  void typingSelectingDeletingAndUndoing() {
    driver.robot().doubleClickOn(driver.middleOf("entrance-subtitle"));
    driver.settle();
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.A).write("back to time");
    driver.settle();
    assertThat(words("entrance-subtitle")).isEqualTo("back to time");
    driver.robot().push(KeyCode.HOME).write("and ");
    assertThat(words("entrance-subtitle")).isEqualTo("and back to time");
    driver.robot().push(KeyCode.END).push(KeyCode.SHORTCUT, KeyCode.BACK_SPACE);
    assertThat(words("entrance-subtitle")).isEqualTo("and back to ");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    assertThat(words("entrance-subtitle")).isEqualTo("and back to time");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
    driver.robot().push(KeyCode.ESCAPE);
    assertThat(driver.workspace().selection().cursor()).isEmpty();
    assertThat(driver.workspace().selection().layers()).hasSize(1);
  }

  @Test
  void oneRunOfTypingIsOneStep() {
    driver.robot().doubleClickOn(driver.middleOf("entrance-subtitle"));
    driver.settle();
    driver.robot().push(KeyCode.END).write(" again");
    assertThat(words("entrance-subtitle")).endsWith("time again");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void selectedWordsGetAColourOfTheirOwn() {
    driver.robot().doubleClickOn(driver.middleOf("label-6-title"));
    driver.settle();
    driver.robot().push(KeyCode.HOME).press(KeyCode.SHIFT);
    for (int unit = 0; unit < 4; unit++) {
      driver.robot().push(KeyCode.RIGHT);
    }
    driver.robot().release(KeyCode.SHIFT);
    assertThat(cursor().range().length()).isEqualTo(4);
    driver.robot().clickOn(driver.reveal("#inspector #finish-fill-colour"));
    driver
        .robot()
        .clickOn(
            driver
                .robot()
                .lookup(".colour-popup .swatch-button")
                .nth(2)
                .<javafx.scene.Node>query());
    driver.settle();
    Layer layer = driver.layer("label-6-title");
    assertThat(layer.story().paragraphs().getFirst().spans())
        .extracting(Span::text)
        .containsExactly("Bell", ", founded in Halm");
    assertThat(
            layer
                .story()
                .paragraphs()
                .getFirst()
                .spans()
                .getFirst()
                .local()
                .get(Properties.COAT_COLOUR.at(Address.coat("fill"))))
        .contains(Colour.swatch("copper"));
  }

  @Test
  void wordsAreCopiedWithTheirLook() {
    driver.robot().doubleClickOn(driver.middleOf("label-3-material"));
    driver.settle();
    driver
        .robot()
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .push(KeyCode.SHORTCUT, KeyCode.C)
        .push(KeyCode.ESCAPE);
    driver.robot().doubleClickOn(driver.middleOf("label-6-title"));
    driver.settle();
    driver.robot().push(KeyCode.END).push(KeyCode.SHORTCUT, KeyCode.V);
    driver.settle();
    assertThat(words("label-6-title")).isEqualTo("Bell, founded in Halmgilt brass, steel");
    assertThat(
            driver
                .layer("label-6-title")
                .story()
                .paragraphs()
                .getFirst()
                .spans()
                .getLast()
                .follows())
        .extracting(Object::toString)
        .containsExactly("material");
  }

  @Test
  void aNewTextIsSetInABoxAndItsParagraphsSplit() {
    driver.press("tool-text");
    Point2D corner = driver.middleOf("web-title").add(-50, 22);
    driver.robot().drag(corner).dropTo(corner.add(100, 14));
    driver.settle();
    driver.robot().write("one").push(KeyCode.ENTER).write("two");
    driver.settle();
    Layer fresh = driver.project().artboard(new ArtboardId("web")).orElseThrow().layers().getLast();
    assertThat(fresh.story().text()).isEqualTo("one\ntwo");
    assertThat(fresh.frame().get(Properties.BOX_WIDTH.key()).orElseThrow()).isGreaterThan(200);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void textsAreMovedByDraggingAndByArrows() {
    Driver.needsADisplay();
    driver.pressText("web-open");
    double before = y("web-open");
    Point2D middle = driver.middleOf("web-open");
    driver.robot().drag(middle).moveBy(0, -10).dropBy(0, -20);
    driver.settle();
    assertThat(y("web-open")).isLessThan(before - 60);
    assertThat(driver.workspace().historyProperty().get().undoLabel()).contains("Move 1 text");
    double moved = y("web-open");
    driver.robot().push(KeyCode.DOWN).push(KeyCode.DOWN).push(KeyCode.SHIFT, KeyCode.DOWN);
    assertThat(y("web-open")).isEqualTo(moved + 12);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    assertThat(y("web-open")).isEqualTo(moved);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    assertThat(driver.project()).isEqualTo(demo);
  }

  private double y(String id) {
    return driver.layer(id).frame().get(Properties.POSITION_Y.key()).orElseThrow();
  }

  @Test
  void aWordAndAParagraphAreSelectedByPressingAgain() {
    driver.robot().doubleClickOn(driver.middleOf("entrance-subtitle"));
    driver.settle();
    driver.robot().doubleClickOn(driver.middleOf("entrance-subtitle"));
    driver.settle();
    int word = cursor().range().length();
    assertThat(word).isBetween(1, 8);
    // three in a row, with nothing to wait for in between: a slow machine would make it two and one
    Point2D place = driver.middleOf("entrance-subtitle");
    driver.robot().doubleClickOn(place).clickOn();
    driver.settle();
    assertThat(cursor().range().length()).isGreaterThan(word);
  }

  /** A flag, a family and a letter with an accent are each one step of the caret. */
  @Test
  void theCaretStandsBetweenLettersNotInside() {
    String letters = "a\uD83C\uDDEB\uD83C\uDDEEe\u0301\uD83D\uDC68\u200D\uD83D\uDC67b";
    driver
        .robot()
        .interact(() ->
            driver
                .workspace()
                .apply(EditText.plain(new LayerId("web-open"), new TextRange(0, 14), letters)));
    driver
        .robot()
        .interact(() ->
            driver
                .workspace()
                .selectionProperty()
                .set(Selection.editing(new LayerId("web-open"), 0, 0)));
    driver.settle();
    driver.robot().interact(() -> driver.node("stage").requestFocus());
    List<Integer> stops = new ArrayList<>();
    for (int step = 0; step < 5; step++) {
      driver.robot().push(KeyCode.RIGHT);
      stops.add(cursor().caret());
    }
    assertThat(stops).containsExactly(1, 5, 7, 12, 13);
    driver.robot().push(KeyCode.LEFT).push(KeyCode.BACK_SPACE);
    assertThat(words("web-open")).isEqualTo("a\uD83C\uDDEB\uD83C\uDDEEe\u0301b");
    driver.robot().push(KeyCode.BACK_SPACE);
    assertThat(words("web-open")).isEqualTo("a\uD83C\uDDEB\uD83C\uDDEEb");
  }

  /**
   * In a right-to-left paragraph the left arrow goes forwards, and up and down keep the place on
   * the line.
   */
  @Test
  void arrowsFollowTheDirectionOfTheParagraph() {
    String text = "\u0633\u0627\u0639\u0629\nhour";
    driver
        .robot()
        .interact(() ->
            driver
                .workspace()
                .apply(EditText.plain(new LayerId("web-open"), new TextRange(0, 14), text)));
    driver
        .robot()
        .interact(() ->
            driver
                .workspace()
                .selectionProperty()
                .set(Selection.editing(new LayerId("web-open"), 0, 0)));
    driver.settle();
    driver.robot().interact(() -> driver.node("stage").requestFocus());
    driver.robot().push(KeyCode.LEFT).push(KeyCode.LEFT);
    assertThat(cursor().caret()).isEqualTo(2);
    driver.robot().push(KeyCode.RIGHT);
    assertThat(cursor().caret()).isEqualTo(1);
    driver.robot().push(KeyCode.DOWN);
    assertThat(cursor().caret()).isBetween(5, 9);
    driver.robot().push(KeyCode.HOME);
    assertThat(cursor().caret()).isEqualTo(5);
    driver.robot().push(KeyCode.RIGHT);
    assertThat(cursor().caret()).isEqualTo(6);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.HOME);
    assertThat(cursor().caret()).isZero();
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.END);
    assertThat(cursor().caret()).isEqualTo(9);
  }
}
