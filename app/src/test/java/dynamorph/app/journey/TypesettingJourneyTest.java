package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.session.Selection;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.StylisticSets;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** One piece of text is made right. */
class TypesettingJourneyTest extends JourneyTest {
  private Selection.Cursor cursor() {
    return driver.workspace().selection().cursor().orElseThrow();
  }

  @Test
  void textOfBothDirectionsIsEditedAsTheEyeSeesIt() {
    String id = "languages-four";
    String text = driver.layer(id).story().text();
    int arabic = text.indexOf('\u0627');
    driver.edit(id, arabic - 2, arabic - 2);
    double x = driver.layout(id).caretAt(cursor().caret()).along();
    for (int step = 0; step < 5; step++) {
      driver.robot().push(KeyCode.RIGHT);
      Line line = driver.layout(id).lines().get(driver.layout(id).lineAt(cursor().caret()));
      double moved =
          driver
              .layout(id)
              .caretAt(
                  new dynamorph.typeset.layout.CaretPlace(cursor().caret(), cursor().trailing()))
              .along();
      assertThat(moved).as("step " + step + " on " + line.start()).isGreaterThan(x);
      x = moved;
    }
    assertThat(cursor().caret()).as("inside the Arabic word").isGreaterThan(arabic);
    driver.robot().push(KeyCode.HOME).press(KeyCode.SHIFT).push(KeyCode.END);
    driver.robot().release(KeyCode.SHIFT);
    assertThat(driver.layout(id).selection(cursor().range())).isNotEmpty();
    driver.edit(id, arabic + 6, arabic + 6);
    driver.robot().push(KeyCode.BACK_SPACE);
    driver.settle();
    assertThat(driver.layer(id).story().text())
        .isEqualTo(text.substring(0, arabic + 5) + text.substring(arabic + 6));
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void threePressesSelectALineAndFourAParagraph() {
    driver.robot().interact(() -> driver.workspace().select(List.of(new LayerId("label-3-text"))));
    driver.robot().interact(driver.stage()::fitSelection);
    driver.settle();
    driver.clickTimes(3, driver.middleOf("label-3-text"));
    String text = driver.layer("label-3-text").story().text();
    assertThat(cursor().range().length()).isBetween(10, text.length() - 1);
    driver.clickTimes(4, driver.middleOf("label-3-text"));
    assertThat(cursor().range().length()).isEqualTo(text.length());
  }

  @Test
  void aColumnIsJustified() {
    driver.robot().interact(() -> driver.workspace().select(List.of(new LayerId("label-6-text"))));
    driver.settle();
    driver.choose("alignment", Alignment.JUSTIFIED);
    driver.open("fold-line-breaking");
    driver.choose("line-breaking", LineBreaking.WHOLE_PARAGRAPH);
    driver.open("fold-hyphenate");
    driver.robot().clickOn(driver.reveal("#inspector #hyphenate"));
    driver.settle();
    assertThat(driver.value("label-6-text", Properties.HYPHENATE)).isTrue();
    TextLayout layout = driver.layout("label-6-text");
    for (Line line : layout.lines()) {
      if (!line.endsParagraph()) {
        assertThat(line.width())
            .isEqualTo(layout.width(), org.assertj.core.api.Assertions.within(0.05));
      }
    }
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void featuresOfTheFontAreChosenAndAPropertyIsFoundByItsName() {
    driver.robot().interact(() -> driver.workspace().select(List.of(new LayerId("label-6-text"))));
    driver.settle();
    driver.open("fold-ligatures");
    driver.robot().clickOn(driver.reveal("#inspector #feature-ss01"));
    driver.settle();
    assertThat(driver.value("label-6-text", Properties.STYLISTIC_SETS))
        .isEqualTo(StylisticSets.parse("1"));
    assertThat(driver.robot().lookup("#inspector #feature-ss19").queryAll())
        .as("only what the font has is offered")
        .isEmpty();
    TextField search = driver.robot().lookup("#inspector #find-property").query();
    driver.robot().clickOn(driver.reveal(search)).write("discretionary");
    driver.settle();
    CheckBox rare = (CheckBox) driver.reveal("#inspector #discretionary-ligatures");
    driver.robot().clickOn(rare);
    driver.settle();
    assertThat(driver.value("label-6-text", Properties.LIGATURES_RARE)).isTrue();
    assertThat(driver.isShown("#inspector #tracking"))
        .as("what does not go by the name is out of the way")
        .isFalse();
    assertThat(driver.isShown("#inspector #no-property-found")).isFalse();
    driver.robot().clickOn(driver.reveal(search)).write("zz");
    driver.settle();
    assertThat(driver.isShown("#inspector #no-property-found")).isTrue();
  }

  @Test
  void aMissingFontIsFoundAndReplacedEverywhere() {
    StyleId label = new StyleId("label-title");
    driver.robot().interact(() -> driver.workspace().apply(new ChangeStyle(foreign(label))));
    driver.settle();
    driver.run("Fonts in this project");
    assertThat(driver.robot().lookup(".attention").queryAllAs(javafx.scene.control.Label.class))
        .anyMatch(state -> state.getText().contains("not on this machine"));
    driver.robot().clickOn("#replace-font-halmer-grotesk");
    driver.robot().clickOn("#font-search").write("anton");
    driver.waitFor(
        "the family is found",
        () -> driver.robot().lookup("#font-list").<ListView<?>>query().getItems().size() == 1);
    driver.robot().push(KeyCode.ENTER);
    driver.robot().clickOn("#replace-font-sure");
    driver.settle();
    assertThat(driver.project().styles().get(label).properties().get(Properties.FONT_FAMILY.key()))
        .contains("Anton");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aMisspeltWordIsMarkedCorrectedAndAnotherLearnt() {
    Driver.needsADisplay();
    driver.edit("label-6-text", 0, 4);
    driver.robot().write("Kast");
    driver.settle();
    driver.waitFor(
        "the words are checked",
        () -> driver.spelling().isIdle() && !misspelt("label-6-text").isEmpty());
    assertThat(misspelt("label-6-text")).contains("Kast");
    driver.edit("label-6-text", 2, 2);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.PERIOD);
    driver.waitFor(
        "words are proposed", () -> !driver.robot().lookup(".suggestion").queryAll().isEmpty());
    driver.robot().clickOn(driver.robot().lookup(".suggestion").nth(0).<Node>query());
    driver.settle();
    assertThat(driver.layer("label-6-text").story().text()).doesNotStartWith("Kast");
    driver.edit("entrance-subtitle", 0, 3);
    driver.robot().write("Oostvort");
    driver.settle();
    driver.waitFor(
        "the words are checked",
        () -> driver.spelling().isIdle() && misspelt("entrance-subtitle").contains("Oostvort"));
    driver.edit("entrance-subtitle", 2, 2);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.PERIOD);
    driver.waitFor(
        "the word can be learnt",
        () -> !driver.robot().lookup("Add to the words of the project").queryAll().isEmpty());
    driver.robot().clickOn("Add to the words of the project");
    driver.settle();
    assertThat(driver.project().words()).contains("Oostvort");
    assertThat(misspelt("entrance-subtitle")).doesNotContain("Oostvort");
  }

  private dynamorph.model.style.Style foreign(StyleId id) {
    var style = driver.project().styles().get(id);
    return style.withProperties(style.properties().with(Properties.FONT_FAMILY, "Halmer Grotesk"));
  }

  private List<String> misspelt(String id) {
    Layer layer = driver.layer(id);
    var look = Cascade.of(driver.project()).resolve(layer);
    return driver.spelling().misspelt(layer.story(), look).stream()
        .map(dynamorph.app.artboards.text.spelling.SpellingService.Misspelt::word)
        .toList();
  }

  @Test
  void wordsAreFoundAndReplacedInTheWholeProject() {
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.F);
    driver.robot().write("hour");
    driver.settle();
    ListView<?> found = driver.robot().lookup("#find-list").query();
    int places = found.getItems().size();
    assertThat(places).isGreaterThan(4);
    driver.robot().clickOn("#find-replacement").write("day");
    driver.press("replace-all");
    assertThat(driver.layer("entrance-title").story().text()).isEqualTo("The Long day");
    assertThat(driver.notice()).contains("Replaced in " + places + " places");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
    driver.robot().clickOn("#find-words").push(KeyCode.ESCAPE);
    assertThat(driver.robot().lookup("#find-pane").<Node>query().isVisible()).isFalse();
  }

  @Test
  void aBoxIsMadeNarrowerByItsSideAndItsTextFlowsAnew() {
    Driver.needsADisplay();
    driver.robot().interact(() -> driver.workspace().select(List.of(new LayerId("panel-2-text"))));
    driver.robot().interact(driver.stage()::fitSelection);
    driver.settle();
    int lines = driver.layout("panel-2-text").lines().size();
    double width = driver.layout("panel-2-text").width();
    var side = driver.sideOf("panel-2-text");
    driver.robot().drag(side).moveBy(-60, 0).dropBy(-60, 0);
    driver.settle();
    assertThat(driver.layout("panel-2-text").width()).isLessThan(width - 50);
    assertThat(driver.layout("panel-2-text").lines().size()).isGreaterThan(lines);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    assertThat(driver.project()).as("one step").isEqualTo(demo);
  }

  @Test
  void placeholderTextFillsABox() {
    driver.robot().interact(() -> driver.workspace().select(List.of(new LayerId("panel-3-text"))));
    driver.run("Fill with placeholder text, Greek");
    TextLayout last = driver.layout("panel-3-text-2");
    assertThat(last.overset()).isEmpty();
    assertThat(last.lines()).as("filled to the end").hasSizeGreaterThan(12);
    assertThat(driver.value("panel-3-text", Properties.LANGUAGE)).isEqualTo("el");
  }
}
