package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.session.Selection;
import dynamorph.model.LayerId;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.property.Properties;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.typeset.layout.TextLayout;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** A text flows through several boxes: they are linked, written in, styled and parted. */
class FlowJourneyTest extends JourneyTest {
  private static final String LEFT = "panel-3-text";
  private static final String RIGHT = "panel-3-text-2";

  private String words() {
    return driver.layer(LEFT).story().text();
  }

  /** Where the second box begins. */
  private int cut() {
    return driver.layout(LEFT).rest().orElseThrow();
  }

  private int caret() {
    return driver.workspace().selection().cursor().map(Selection.Cursor::caret).orElseThrow();
  }

  private List<String> boxes() {
    return LinkedBoxes.of(driver.project()).chain(new LayerId(LEFT)).stream()
        .map(LayerId::value)
        .toList();
  }

  @Test
  void wordsAreWrittenInAllBoxesAsInOne() {
    int cut = cut();
    driver.edit(LEFT, cut, cut);
    int lines = driver.layout(LEFT).lines().size();
    driver.robot().push(KeyCode.UP);
    driver.settle();
    TextLayout left = driver.layout(LEFT);
    assertThat(left.lineAt(caret())).as("the last line of the box before").isEqualTo(lines - 1);
    driver.robot().push(KeyCode.DOWN);
    driver.settle();
    assertThat(caret()).as("and back").isEqualTo(cut);
    driver.robot().push(KeyCode.LEFT);
    assertThat(caret()).as("the paragraph before ends there").isEqualTo(cut - 1);
    driver.robot().push(KeyCode.RIGHT);
    assertThat(caret()).isEqualTo(cut);
    driver.robot().write("Tock. ");
    driver.settle();
    assertThat(words().substring(cut)).startsWith("Tock. \u201CNobody");
    assertThat(driver.layer(RIGHT).story().text()).as("kept in the first").isEmpty();
    driver.robot().press(KeyCode.SHIFT).push(KeyCode.UP).push(KeyCode.UP).release(KeyCode.SHIFT);
    driver.settle();
    driver.robot().push(KeyCode.DELETE);
    driver.settle();
    assertThat(cut()).as("taken from both boxes").isNotEqualTo(cut + 6);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void twoClicksInALaterBoxEditTheText() {
    driver.robot().interact(() -> driver.stage().show(List.of(board())));
    driver.settle();
    driver.robot().doubleClickOn(driver.middleOf(RIGHT));
    driver.settle();
    Selection.Cursor cursor = driver.workspace().selection().cursor().orElseThrow();
    assertThat(cursor.layer().value()).isEqualTo(LEFT);
    assertThat(cursor.caret()).as("at the words that show there").isGreaterThanOrEqualTo(cut());
    driver.robot().push(KeyCode.ESCAPE);
  }

  private dynamorph.model.Artboard board() {
    return driver.project().artboardOf(new LayerId(LEFT)).orElseThrow();
  }

  @Test
  void whatFindsNoRoomFlowsOnInANewBox() {
    driver.robot().interact(() -> driver.stage().show(List.of(board())));
    driver.set(RIGHT, Properties.BOX_HEIGHT, 300.0);
    assertThat(driver.layout(LEFT).overset()).as("overset only at the end").isEmpty();
    assertThat(driver.layout(RIGHT).overset()).isPresent();
    var bounds = driver.onScreen(RIGHT);
    driver.robot().clickOn(bounds.getMaxX() - 12, bounds.getMaxY() + 7);
    driver.settle();
    driver.robot().clickOn("Let the box grow with its text");
    driver.settle();
    assertThat(driver.layout(RIGHT).overset()).isEmpty();
    assertThat(boxes()).hasSize(2);
    driver.undoAll();
    driver.set(RIGHT, Properties.BOX_HEIGHT, 300.0).select(RIGHT).run("Flow on in a new box");
    assertThat(boxes()).hasSize(3).startsWith(LEFT, RIGHT);
    String third = boxes().getLast();
    assertThat(driver.workspace().selection().layers()).containsExactly(new LayerId(third));
    assertThat(driver.layout(RIGHT).overset()).isEmpty();
    int from = driver.layout(RIGHT).rest().orElseThrow();
    assertThat(driver.layout(third).lines().getFirst().start()).isEqualTo(from);
    driver.run("End the flow at this box");
    assertThat(boxes()).containsExactly(LEFT, RIGHT);
    assertThat(driver.layer(third).story().text()).isEqualTo(demoWords().substring(from));
    assertThat(words()).isEqualTo(demoWords().substring(0, from));
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  /** Waves were drawn below the box, where the words would have stood. */
  @Test
  void wordsThatFindNoRoomAreNotMarked() {
    driver.robot().interact(() -> driver.stage().show(List.of(board())));
    int end = words().length();
    String wrong = " Qwzxkrr".repeat(4);
    driver
        .robot()
        .interact(() ->
            driver
                .workspace()
                .apply(EditText.plain(new LayerId(LEFT), new TextRange(end, end), wrong)));
    driver.select();
    driver.waitFor("the words are checked", () -> driver.spelling().isIdle() && waves() > 20);
    driver.set(RIGHT, Properties.BOX_HEIGHT, 300.0);
    driver.waitFor("the words are checked", () -> driver.spelling().isIdle());
    assertThat(driver.layout(RIGHT).overset()).isPresent();
    assertThat(waves()).isZero();
    driver.undoAll();
  }

  /** Pixels of misspelt words below the middle of the second box as it was. */
  private int waves() {
    return WaitForAsyncUtils.waitForAsyncFx(
        5000,
        () -> {
          WritableImage picture = driver.stage().snapshot(null, null);
          var bounds = driver.stage().screenToLocal(driver.onScreen(RIGHT));
          double scale = bounds.getWidth() / 596;
          int count = 0;
          for (int y = (int) (bounds.getMinY() + 400 * scale); y < picture.getHeight(); y++) {
            for (int x = (int) bounds.getMinX(); x < bounds.getMaxX(); x++) {
              count += isPlum(new Rgba(picture.getPixelReader().getArgb(x, y))) ? 1 : 0;
            }
          }
          return count;
        });
  }

  private static boolean isPlum(Rgba seen) {
    return seen.red() - seen.green() > 30 && seen.blue() - seen.green() > 15;
  }

  private String demoWords() {
    return demo.layer(new LayerId(LEFT)).orElseThrow().story().text();
  }

  @Test
  void theLookIsThatOfTheTextAndThePlaceThatOfTheBox() {
    driver.select(RIGHT);
    driver.choose("box", BoxFit.GROW);
    assertThat(driver.layer(RIGHT).frame().get(Properties.BOX.key())).hasValue(BoxFit.GROW);
    assertThat(driver.layer(LEFT).frame().get(Properties.BOX.key())).hasValue(BoxFit.FIXED);
    driver.robot().clickOn(driver.reveal("#inspector #size")).write("30 pt").push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.value(LEFT, Properties.SIZE)).isEqualTo(FontSize.points(30));
    assertThat(driver.layer(RIGHT).local().isEmpty()).as("nothing of its own").isTrue();
    driver.select(RIGHT).run("Copy the look").select("languages-four").run("Paste the look");
    assertThat(driver.value("languages-four", Properties.SIZE)).isEqualTo(FontSize.points(30));
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aChangeReachesAllBoxesAndLeavesThemOutTogether() {
    driver
        .robot()
        .interact(
            () -> driver.workspace().attempts().openDesk(driver.styleNamed("Column opening")));
    driver.settle();
    driver.robot().clickOn("#style-desk #size").write("44 pt").push(KeyCode.ENTER);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.R);
    driver.settle();
    driver.waitFor(
        "both boxes are looked at",
        () -> driver.robot().lookup("#reach-view .thumbnail").queryAll().size() == 2);
    List<Node> tiles = List.copyOf(driver.robot().lookup("#reach-view .thumbnail").queryAll());
    driver.robot().clickOn(tiles.getLast()).push(KeyCode.X);
    driver.settle();
    assertThat(driver.workspace().attempts().heldBackProperty().get())
        .as("the text, whichever box was chosen")
        .containsExactly(new LayerId(LEFT));
    driver.robot().push(KeyCode.ESCAPE);
    driver.robot().interact(driver.workspace().attempts()::discardPending);
    driver.settle();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void textsAreLinkedAndCopiesStayLinked() {
    driver.select("languages-four", "panel-2-text").run("Link the boxes");
    List<LayerId> linked = LinkedBoxes.of(driver.project()).chain(new LayerId("languages-four"));
    assertThat(linked).hasSize(2);
    assertThat(driver.notice()).isEqualTo("The text flows through 2 boxes now.");
    driver.undoAll();
    driver.select(LEFT, RIGHT).run("Duplicate texts");
    List<LayerId> copies = List.copyOf(driver.workspace().selection().layers());
    assertThat(LinkedBoxes.of(driver.project()).chain(copies.getFirst())).isEqualTo(copies);
    driver.select(LEFT).run("Delete texts");
    assertThat(driver.layer(RIGHT).story().text()).as("words stay").isEqualTo(demoWords());
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }
}
