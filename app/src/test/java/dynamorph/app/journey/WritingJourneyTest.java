package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.session.Selection;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.RubyBase;
import dynamorph.model.text.Span;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Words come from the keyboard and from other programs, and go there again. */
class WritingJourneyTest extends JourneyTest {
  private static final String TEXT = "label-6-text";

  private String words() {
    return driver.layer(TEXT).story().text();
  }

  private List<Span> spans() {
    return driver.layer(TEXT).story().paragraphs().getFirst().spans();
  }

  private Selection.Cursor cursor() {
    return driver.workspace().selection().cursor().orElseThrow();
  }

  private void clip(String plain, String html) {
    driver
        .robot()
        .interact(() -> {
          ClipboardContent content = new ClipboardContent();
          content.putString(plain);
          content.putHtml(html);
          Clipboard.getSystemClipboard().setContent(content);
        });
  }

  private Clipboard clipboard(AtomicReference<String> plain, AtomicReference<String> html) {
    AtomicReference<Clipboard> clipboard = new AtomicReference<>();
    driver
        .robot()
        .interact(() -> {
          clipboard.set(Clipboard.getSystemClipboard());
          plain.set(clipboard.get().getString());
          html.set(clipboard.get().getHtml());
        });
    return clipboard.get();
  }

  @Test
  void wordsFromAnotherProgramKeepTheirEmphasisAndTakeTheLookOfThePlace() {
    driver.edit(TEXT, 0, 0);
    clip(
        "very loud indeed",
        "<p><b>very</b> <span style='font-family:Bodewell; font-size:90px; color:red'>loud</span>"
            + " <i>indeed</i></p>");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.V);
    driver.settle();
    assertThat(words()).startsWith("very loud indeed");
    assertThat(spans().getFirst().text()).isEqualTo("very");
    assertThat(spans().getFirst().local().get(Properties.FONT_WEIGHT.key())).contains(700.0);
    assertThat(spans())
        .as("foreign fonts, sizes and colours stay outside")
        .allSatisfy(span -> {
          assertThat(span.local().get(Properties.FONT_FAMILY.key())).isEmpty();
          assertThat(span.local().get(Properties.SIZE.key())).isEmpty();
        });
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    assertThat(driver.project()).as("one step").isEqualTo(demo);
  }

  @Test
  void wordsArePastedPlainIfWanted() {
    driver.edit(TEXT, 0, 0);
    clip("loud\r\nbell", "<p><b>loud</b></p><p>bell</p>");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.V);
    driver.settle();
    assertThat(words()).startsWith("loud\nbell");
    assertThat(spans().getFirst().local()).isEqualTo(PropertySet.EMPTY);
  }

  @Test
  void wordsAreCopiedAsHtmlAndPlain() {
    driver.edit(TEXT, 0, 4);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.C);
    AtomicReference<String> plain = new AtomicReference<>();
    AtomicReference<String> html = new AtomicReference<>();
    assertThat(clipboard(plain, html)).isNotNull();
    assertThat(plain.get()).isEqualTo(words().substring(0, 4));
    assertThat(html.get()).contains(words().substring(0, 4)).contains("font-family");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.X);
    driver.settle();
    assertThat(words())
        .isEqualTo(demo.layer(new LayerId(TEXT)).orElseThrow().story().text().substring(4));
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.V);
    driver.settle();
    assertThat(words()).isEqualTo(demo.layer(new LayerId(TEXT)).orElseThrow().story().text());
  }

  @Test
  void straightMarksBecomeThoseOfTheLanguage() {
    driver.edit(TEXT, 0, words().length());
    driver.robot().write("\"it's\"");
    driver.settle();
    assertThat(words()).isEqualTo("\u201Cit\u2019s\u201D");
    driver.run("Typographic quotes while typing");
    driver.edit(TEXT, 0, words().length());
    driver.robot().write("\"it's\"");
    driver.settle();
    assertThat(words()).isEqualTo("\"it's\"");
  }

  @Test
  void wordsAreDeletedWholeAndTabsAreTyped() {
    driver.edit(TEXT, 0, words().length());
    driver.robot().write("oil the great wheel");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.BACK_SPACE);
    assertThat(words()).isEqualTo("oil the great ");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.LEFT);
    assertThat(cursor().caret()).isEqualTo(8);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.DELETE);
    assertThat(words().strip()).isEqualTo("oil the");
    driver.robot().push(KeyCode.HOME).push(KeyCode.TAB);
    assertThat(words()).as("a tab, and not the next control").startsWith("\toil");
    driver.robot().push(KeyCode.END).push(KeyCode.SHIFT, KeyCode.ENTER).write("x");
    driver.settle();
    assertThat(words()).endsWith("\u2028x");
    assertThat(driver.layer(TEXT).story().paragraphs()).hasSize(1);
  }

  @Test
  void aPairIsKernedByHandInOneStep() {
    driver.edit("entrance-title", 1, 1);
    double before = width("entrance-title");
    driver.run("Kern the pair wider");
    driver.run("Kern the pair wider");
    assertThat(width("entrance-title")).isGreaterThan(before);
    driver.run("Kern the pair tighter");
    driver.run("Kern the pair tighter");
    assertThat(width("entrance-title"))
        .isCloseTo(before, org.assertj.core.api.Assertions.within(0.01));
    assertThat(driver.project()).as("nothing is left of it").isEqualTo(demo);
    driver.edit("entrance-title", 0, 0);
    driver.run("Kern the pair wider");
    assertThat(driver.project()).isEqualTo(demo);
    assertThat(driver.notice()).contains("between two letters");
  }

  private double width(String id) {
    return driver.layout(id).lines().getFirst().width();
  }

  @Test
  void hiddenLettersAreShownOnDemand() {
    driver.edit(TEXT, 0, 0);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.ALT, KeyCode.H);
    driver.settle();
    assertThat(driver.workspace().view().hiddenCharactersProperty().get()).isTrue();
    assertThat(driver.project()).as("the words are as they were").isEqualTo(demo);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.ALT, KeyCode.H);
    assertThat(driver.workspace().view().hiddenCharactersProperty().get()).isFalse();
  }

  @Test
  void rareSignsAreInsertedByName() {
    driver.edit(TEXT, 1, 1);
    driver.run("Insert a soft hyphen");
    driver.run("Insert a no-break space");
    assertThat(words().substring(1, 3)).isEqualTo("\u00AD\u00A0");
    driver.robot().interact(() -> driver.workspace().select(List.of()));
    driver.run("Insert a soft hyphen");
    assertThat(driver.notice()).contains("Put the caret into a text first");
  }

  @Test
  void theNextMisspeltWordIsFoundAcrossTexts() {
    driver.edit(TEXT, 0, 4);
    driver.robot().write("Kasst");
    driver.edit("entrance-subtitle", 0, 3);
    driver.robot().write("Hwel");
    driver.settle();
    driver.waitFor("the words are checked", () -> driver.spelling().isIdle());
    driver.robot().interact(() -> driver.workspace().select(List.of()));
    for (String expected : List.of("entrance-subtitle", TEXT)) {
      for (int more = 0; more < 40; more++) {
        driver.run("Next misspelt word");
        driver.waitFor("the words are checked", () -> driver.spelling().isIdle());
        Optional<Selection.Cursor> found = driver.workspace().selection().cursor();
        if (found.filter(at -> at.layer().value().equals(expected)).isPresent()) {
          break;
        }
      }
      assertThat(cursor().layer().value()).isEqualTo(expected);
      assertThat(driver.layer(expected).story().text(cursor().range())).isIn("Hwel", "Kasst");
    }
  }

  @Test
  void lettersGetARubyThatIsSeenWhileItIsTyped() {
    Project demo = driver.project();
    driver.edit("entrance-title", 0, 3);
    driver.run("Add ruby\u2026");
    driver.robot().write("d");
    driver.settle();
    assertThat(rubies()).containsExactly("d");
    driver.robot().write("i");
    driver.settle();
    assertThat(rubies()).containsExactly("di");
    driver.robot().push(KeyCode.ENTER);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    assertThat(driver.project()).as("one step").isEqualTo(demo);
    driver.edit("entrance-title", 0, 3);
    driver.run("Add ruby\u2026");
    driver.robot().write("x").push(KeyCode.ESCAPE);
    assertThat(rubies()).as("taken back").isEmpty();
    driver.robot().interact(() -> driver.workspace().select(List.of()));
    driver.run("Add ruby\u2026");
    assertThat(driver.notice()).contains("Select the letters");
  }

  private List<String> rubies() {
    return driver.layer("entrance-title").story().paragraphs().getFirst().rubyBases().stream()
        .map(RubyBase::ruby)
        .toList();
  }
}
