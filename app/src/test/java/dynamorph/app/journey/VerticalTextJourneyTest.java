package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.app.session.Selection;
import dynamorph.model.property.Properties;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.value.WritingMode;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.TextLayout;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Vertical text is written, and made of horizontal text. */
class VerticalTextJourneyTest extends JourneyTest {
  private static final String BANNER = "banner-text";

  private int caret() {
    return driver.workspace().selection().cursor().map(Selection.Cursor::caret).orElseThrow();
  }

  private Box box(int offset) {
    return driver.layout(BANNER).caretAt(offset).box();
  }

  @Test
  void arrowKeysLeadDownTheLineAndToTheNextOne() {
    String text = driver.layer(BANNER).story().text();
    int month = text.indexOf('\u6708');
    driver.edit(BANNER, month, month);
    driver.robot().push(KeyCode.DOWN);
    assertThat(caret()).isEqualTo(month + 1);
    assertThat(box(caret()).y()).isGreaterThan(box(month).y());
    driver.robot().push(KeyCode.UP);
    assertThat(caret()).isEqualTo(month);
    driver.robot().push(KeyCode.LEFT);
    driver.settle();
    int next = caret();
    assertThat(next).as("in the second paragraph").isGreaterThan(text.indexOf('\n'));
    assertThat(box(next).x()).isLessThan(box(month).x());
    assertThat(box(next).y()).isCloseTo(box(month).y(), within(30.0));
    driver.robot().push(KeyCode.RIGHT);
    driver.settle();
    assertThat(caret()).as("and back to where it came from").isEqualTo(month);
    driver.robot().write("x").push(KeyCode.HOME).press(KeyCode.SHIFT).push(KeyCode.END);
    driver.robot().release(KeyCode.SHIFT);
    driver.robot().write("12");
    driver.settle();
    assertThat(driver.layer(BANNER).story().text()).startsWith("12\n");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aLabelIsTurnedIntoVerticalTextAndBack() {
    String label = "languages-japanese";
    driver.select(label);
    TextLayout before = driver.layout(label);
    assertThat(before.axes().isVertical()).isFalse();
    driver.choose("writing-mode", WritingMode.VERTICAL_RIGHT_TO_LEFT);
    TextLayout after = driver.layout(label);
    assertThat(after.axes().isVertical()).isTrue();
    assertThat(after.box()).as("its box stays").isEqualTo(before.box());
    Box first = after.lines().getFirst().box();
    assertThat(first.right()).as("begins on the right").isCloseTo(after.width(), within(0.1));
    assertThat(driver.value(label, Properties.WRITING_MODE))
        .isEqualTo(WritingMode.VERTICAL_RIGHT_TO_LEFT);
    assertThat(LocalChanges.count(driver.layer(label))).as("a local change").isEqualTo(1);
    driver.undoAll();
    assertThat(driver.layout(label).lines()).hasSameSizeAs(before.lines());
    assertThat(driver.project()).isEqualTo(demo);
  }
}
