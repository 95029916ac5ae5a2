package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.app.session.Selection;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Placement;
import dynamorph.model.property.Properties;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.TabStops;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.VerticalAlignment;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.typeset.layout.Line;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Paragraphs are set by the inspector and the style desk, and words found in all of them. */
class ParagraphsJourneyTest extends JourneyTest {
  private static final String PANEL = "panel-3-text";
  private static final String TEXT = "label-6-text";

  private void write(String id, String text) {
    TextField field = (TextField) driver.reveal("#inspector #" + id);
    driver.robot().clickOn(field);
    driver.robot().interact(field::selectAll);
    driver.robot().write(text).push(KeyCode.ENTER);
    driver.settle();
  }

  private Placement.Inside inside() {
    return Cascade.of(driver.project()).resolve(driver.layer(PANEL)).placement().inside();
  }

  private List<Double> columns() {
    return driver.layout(PANEL).lines().stream()
        .filter(line -> line.start() > 60)
        .map(line -> Math.rint(line.left() / 100))
        .distinct()
        .toList();
  }

  @Test
  void columnsTheirGutterAndTheirFootAreSet() {
    driver.select(PANEL);
    double top = driver.layout(PANEL).lines().getFirst().baseline();
    driver.open("fold-columns");
    write("columns", "3");
    assertThat(columns()).hasSizeGreaterThanOrEqualTo(2);
    assertThat(inside().columns()).isEqualTo(3);
    write("gutter", "40+10");
    assertThat(inside().gutter()).as("arithmetic").isEqualTo(50);
    driver.undoAll();
    driver.choose("vertical-alignment", VerticalAlignment.BOTTOM);
    assertThat(driver.layout(PANEL).lines().getFirst().baseline()).isGreaterThanOrEqualTo(top);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void tabsAreSetAndTheirLeadersFillTheWay() {
    driver.edit(TEXT, 0, driver.layer(TEXT).story().length());
    driver.robot().write("a").push(KeyCode.TAB).write("b");
    driver.robot().interact(() -> driver.workspace().select(List.of(driver.layer(TEXT).id())));
    driver.settle();
    driver.open("fold-tab-stops");
    write("tab-stops", "120 end '.'");
    assertThat(driver.value(TEXT, Properties.TAB_STOPS)).isEqualTo(TabStops.parse("120 end '.'"));
    Line line = driver.layout(TEXT).lines().getFirst();
    assertThat(line.width()).isCloseTo(120, within(2.0));
  }

  @Test
  void aTabStopThatMakesNoSenseIsSaidAndLeavesThingsAsTheyAre() {
    driver.select(TEXT);
    driver.open("fold-tab-stops");
    write("tab-stops", "sideways 4");
    assertThat(driver.project()).isEqualTo(demo);
    assertThat(driver.notice() + fieldErrors()).isNotBlank();
  }

  private String fieldErrors() {
    return driver.robot().lookup("#inspector .invalid").queryAll().isEmpty() ? "" : "invalid";
  }

  @Test
  void paragraphsOfASelectionBecomeAList() {
    driver.edit(TEXT, 0, driver.layer(TEXT).story().length());
    driver.robot().write("oil").push(KeyCode.ENTER).write("wind").push(KeyCode.ENTER);
    driver.robot().write("listen");
    driver.settle();
    // the last two of three
    driver.edit(TEXT, 5, driver.layer(TEXT).story().length());
    driver.open("fold-list");
    ToggleButton chip = (ToggleButton) driver.reveal("#inspector #fold-list");
    assertThat(chip.getGraphic()).isNull();
    driver.choose("list", ListKind.NUMBERS);
    assertThat(chip.getGraphic()).as("something in it is set").isNotNull();
    List<Line> lines = driver.layout(TEXT).lines();
    assertThat(lines).hasSize(3);
    assertThat(driver.layer(TEXT).story().paragraphs())
        .extracting(paragraph -> paragraph.local().get(Properties.LIST.key()))
        .containsExactly(
            Optional.empty(), Optional.of(ListKind.NUMBERS), Optional.of(ListKind.NUMBERS));
  }

  /** Which words are in a nested style is changed at the desk, and seen before it is committed. */
  @Test
  void wordsTakeANestedStyle() {
    StyleId opening = driver.styleNamed("Column opening");
    driver.robot().interact(() -> driver.workspace().attempts().openDesk(opening));
    driver.settle();
    assertThat(smallCapitals()).isEqualTo("The great wheel");
    driver.robot().clickOn(driver.reveal("#style-desk #find-property")).write("nested");
    driver.settle();
    TextField count = (TextField) driver.reveal("#style-desk #nested-signs-0");
    driver.robot().doubleClickOn(count).write("5").push(KeyCode.ENTER);
    driver.waitFor("the draft shows", () -> smallCapitals().equals("The great wheel turns once"));
    driver.waitFor(
        "what it reaches is told",
        () -> reach().contains("this change") && reach().contains("1 text"));
    driver.robot().interact(driver.workspace().attempts()::commitPending);
    driver.settle();
    assertThat(driver.layer(PANEL).story().paragraphs().getFirst().spans()).hasSize(1);
  }

  /** Enter behind a paragraph begins one in the style that comes next; undo takes it back. */
  @Test
  void enterGoesOnInTheNextStyle() {
    int end = driver.layer(PANEL).story().rangeOf(0).end();
    driver.edit(PANEL, end, end);
    driver.robot().push(KeyCode.ENTER).write("Then");
    driver.settle();
    assertThat(driver.layer(PANEL).story().paragraphs())
        .extracting(paragraph -> paragraph.follows().orElseThrow().value())
        .startsWith("column-opening", "column-text", "column-text", "column-text", "steps");
    assertThat(driver.layer(PANEL).story().paragraphs().get(1).text()).isEqualTo("Then");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  private String reach() {
    return driver.robot().lookup("#reach .label").queryAllAs(Label.class).stream()
        .map(Label::getText)
        .collect(Collectors.joining(" "));
  }

  /** The words of the panel that are set as small capitals. */
  private String smallCapitals() {
    PlacedLayer text = driver.placed(PANEL);
    var spans = text.story().paragraphs().getFirst().spans();
    var looks = text.look().paragraphs().getFirst().spans();
    return IntStream.range(0, spans.size())
        .filter(span -> looks.get(span).type().forms().textCase() == TextCase.SMALL_CAPITALS)
        .mapToObj(span -> spans.get(span).text())
        .collect(Collectors.joining());
  }

  /** The desk shows a style's paragraph settings live on all that follow it, and commits them. */
  @Test
  void theStyleDeskSetsParagraphsOfAllFollowers() {
    StyleId column = driver.styleNamed("Column text");
    int lines = driver.layout(PANEL).lines().size();
    driver.robot().interact(() -> driver.workspace().attempts().openDesk(column));
    driver.settle();
    TextField indent = (TextField) driver.reveal("#style-desk #indent-start");
    driver.robot().clickOn(indent);
    driver.robot().interact(indent::selectAll);
    driver.robot().write("180").push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.workspace().project()).as("not yet").isEqualTo(demo);
    driver.waitFor("the stage shows the draft", () -> driver.layout(PANEL).lines().size() > lines);
    driver.robot().interact(driver.workspace().attempts()::commitPending);
    driver.settle();
    assertThat(driver.value(PANEL, 1, Properties.INDENT_START).toString()).startsWith("180");
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void wordsAreFoundOnlyInTextOfAStyleAndReplacedOneByOne() {
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.F);
    driver.robot().write("the");
    driver.settle();
    ListView<?> found = driver.robot().lookup("#find-list").query();
    int everywhere = found.getItems().size();
    ComboBox<Optional<?>> style = driver.robot().lookup("#find-style").query();
    driver
        .robot()
        .interact(() ->
            style.setValue(
                style.getItems().stream()
                    .filter(one -> one.toString().contains("Label text"))
                    .findFirst()
                    .orElseThrow()));
    driver.settle();
    int inLabels = found.getItems().size();
    assertThat(inLabels).isPositive().isLessThan(everywhere);
    Node words = driver.node("find-words");
    driver.robot().clickOn(words).push(KeyCode.ENTER);
    driver.settle();
    Selection.Cursor first = driver.workspace().selection().cursor().orElseThrow();
    assertThat(driver.layer(first.layer().value()).story().text(first.range()))
        .isEqualToIgnoringCase("the");
    driver.robot().clickOn("#find-replacement").write("this").push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.layer(first.layer().value()).story().text().substring(first.range().start()))
        .startsWith("this");
    assertThat(found.getItems()).hasSize(inLabels - 1);
    driver.robot().clickOn(words).push(KeyCode.SHIFT, KeyCode.ENTER);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
    driver.robot().clickOn(words);
    driver.robot().interact(((TextField) words)::clear);
    driver.settle();
    assertThat(found.getItems()).as("all text of the style").isNotEmpty();
  }
}
