package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.LayerId;
import dynamorph.model.property.Properties;
import dynamorph.model.value.TextCase;
import dynamorph.typeset.font.FontFamily;
import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A family is found, chosen and tuned. */
class FontsJourneyTest extends JourneyTest {
  private static final String TEXT = "label-6-text";

  @BeforeEach
  void select() {
    driver.select(TEXT);
  }

  private void openChooser() {
    driver.robot().clickOn(driver.reveal("#inspector #font-family"));
    driver.waitFor("families are listed", () -> !families().isEmpty());
  }

  private List<String> families() {
    return driver.robot().lookup("#font-list").<ListView<FontFamily>>query().getItems().stream()
        .map(FontFamily::name)
        .toList();
  }

  private void filter(String id, String value) {
    ComboBox<String> box = driver.robot().lookup("#" + id).query();
    driver.robot().interact(() -> box.setValue(value));
  }

  private String family() {
    return driver.value(TEXT, Properties.FONT_FAMILY);
  }

  @Test
  void aFamilyIsFoundByNameAndTakenByTheKeyboard() {
    openChooser();
    driver.robot().write("cave");
    driver.waitFor("one is left", () -> families().equals(List.of("Caveat")));
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
    assertThat(family()).isEqualTo("Caveat");
    openChooser();
    driver.robot().clickOn("Recent");
    assertThat(families()).as("chosen lately").first().isEqualTo("Caveat");
    driver.robot().push(KeyCode.ESCAPE);
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void familiesAreNarrowedByWhatTheyAreFor() {
    openChooser();
    filter("font-script", "arabic");
    driver.waitFor(
        "fonts are read", () -> families().contains("Amiri") && !families().contains("Anton"));
    filter("font-script", "any");
    filter("font-class", "handwritten");
    driver.waitFor(
        "by class", () -> families().contains("Caveat") && !families().contains("Amiri"));
    filter("font-class", "any");
    filter("font-feature", "small capitals");
    driver.waitFor(
        "by feature", () -> families().contains("EB Garamond") && !families().contains("Caveat"));
    filter("font-feature", "any");
    driver.robot().clickOn("Variable");
    driver.waitFor(
        "variable", () -> families().contains("Fraunces") && !families().contains("Anton"));
    driver.robot().clickOn("Variable");
    driver.robot().clickOn("In this project");
    driver.waitFor("used", () -> families().contains("EB Garamond"));
    assertThat(families()).doesNotContain("Fraunces");
    driver.robot().write("nothing is called so");
    driver.waitFor("none", () -> families().isEmpty());
    assertThat(driver.isShown("#font-list")).isTrue();
    driver.robot().push(KeyCode.ESCAPE);
    assertThat(driver.project()).as("looking changes nothing").isEqualTo(demo);
  }

  @Test
  void aVariableFontIsTunedOnItsAxesInOneStepADrag() {
    driver.set(TEXT, Properties.FONT_FAMILY, "Fraunces");
    driver.open("fold-font-width");
    Slider soft = (Slider) driver.reveal("#inspector #axis-SOFT");
    assertThat(soft.getMin()).isZero();
    assertThat(soft.getMax()).isEqualTo(100);
    driver
        .robot()
        .interact(() -> {
          soft.setValueChanging(true);
          soft.setValue(40);
          soft.setValue(72.04);
          soft.setValueChanging(false);
        });
    driver.settle();
    assertThat(driver.value(TEXT, Properties.FONT_AXES).values()).containsEntry("SOFT", 72.0);
    driver.robot().interact(driver.workspace()::undo);
    driver.settle();
    assertThat(driver.value(TEXT, Properties.FONT_AXES).values()).isEmpty();
    driver.robot().clickOn(driver.reveal("#inspector #axis-instances"));
    driver.robot().clickOn("SemiBold");
    driver.settle();
    assertThat(driver.value(TEXT, Properties.FONT_AXES).values()).containsEntry("wght", 600.0);
  }

  @Test
  void itSaysWhetherSmallCapitalsAreTheFontsOwn() {
    driver.set(TEXT, Properties.FONT_FAMILY, "EB Garamond");
    driver.set(TEXT, Properties.CASE, TextCase.SMALL_CAPITALS);
    Label hint = (Label) driver.reveal("#inspector #hint-case");
    String own = hint.getText();
    assertThat(own).isNotBlank();
    driver.set(TEXT, Properties.FONT_FAMILY, "Caveat");
    driver.waitFor("the hint is another", () -> !hint.getText().equals(own));
    assertThat(hint.getText()).isNotBlank();
  }

  @Test
  void fontsOfTheProjectAreListedWithTheirUse() {
    driver.run("Fonts in this project");
    assertThat(driver.isShown("#fonts-pane")).isTrue();
    List<String> shown =
        driver.robot().lookup("#fonts-pane .label").queryAllAs(Label.class).stream()
            .map(Label::getText)
            .toList();
    assertThat(shown).contains("EB Garamond", "Amiri", "Noto Sans JP");
    assertThat(shown).noneMatch(text -> text.contains("not on this machine"));
    driver.set(TEXT, Properties.FONT_FAMILY, "Quarterbell Sans");
    driver.waitFor(
        "the pane follows",
        () ->
            driver.robot().lookup("#fonts-pane .label").queryAllAs(Label.class).stream()
                .anyMatch(label -> label.getText().equals("Quarterbell Sans")));
  }

  @Test
  void severalTextsGetAFamilyAtOnce() {
    driver.select(TEXT, "entrance-title");
    openChooser();
    driver.robot().write("barlow").push(KeyCode.ENTER);
    driver.settle();
    for (String id : List.of(TEXT, "entrance-title")) {
      assertThat(driver.value(id, Properties.FONT_FAMILY)).isEqualTo("Barlow Condensed");
    }
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project()).as("one step").isEqualTo(demo);
    assertThat(driver.workspace().selection().layers())
        .containsExactlyInAnyOrder(new LayerId(TEXT), new LayerId("entrance-title"));
  }
}
