package dynamorph.app.field;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.field.ValueEditor.Shown;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.NestedStyles;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.Scene;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

/** What is typed, nudged and dragged in fields, and what comes of it. */
@ExtendWith(ApplicationExtension.class)
class EditorsTest {
  private final Editors editors = new Editors(new Surroundings());
  private final List<Object> set = new ArrayList<>();
  private final List<Object> gestures = new ArrayList<>();
  private final List<String> refused = new ArrayList<>();
  private TextField elsewhere;
  private VBox root;
  private FxRobot robot;

  private static final class Surroundings implements Editors.Surroundings {
    @Override
    public Families families() {
      return null; // no family is chosen here
    }

    @Override
    public List<Integer> weights(Optional<String> family) {
      return List.of(400, 600, 850);
    }

    @Override
    public Face face() {
      return new Face() {
        @Override
        public Optional<dynamorph.typeset.font.FontFace> current() {
          return Optional.empty();
        }

        @Override
        public void show(
            javafx.scene.image.ImageView view,
            String letters,
            dynamorph.model.property.PropertySet over,
            int width,
            int height) {}
      };
    }

    @Override
    public Palette palette() {
      return Palette.EMPTY;
    }

    @Override
    public String keepSwatch(Rgba colour) {
      return "kept";
    }

    @Override
    public List<Rgba> recentColours() {
      return List.of();
    }

    @Override
    public void usedColour(Rgba colour) {}

    @Override
    public Optional<Rgba> background() {
      return Optional.of(Rgba.WHITE);
    }

    @Override
    public List<String> images() {
      return List.of();
    }

    @Override
    public List<Style> styles(StyleLevel level) {
      return Stream.of("speaker", "figures")
          .map(id ->
              new Style(
                  new StyleId(id),
                  id.toUpperCase(Locale.ROOT),
                  "",
                  level,
                  Optional.empty(),
                  PropertySet.EMPTY,
                  ""))
          .toList();
    }
  }

  @Start
  void start(Stage stage) {
    elsewhere = new TextField();
    root = new VBox(elsewhere);
    stage.setScene(new Scene(root, 300, 200));
    stage.setX(0);
    stage.setY(0);
    stage.show();
    stage.requestFocus();
  }

  @BeforeEach
  void keepRobot(FxRobot given) {
    robot = given;
  }

  private <T> ValueEditor<T> editor(PropertyKey<T> key, T value) {
    ValueEditor<T> editor =
        editors.editor(
            key.property(),
            new ValueEditor.Sink<>() {
              @Override
              public void set(T changed, Optional<Object> gesture) {
                set.add(changed);
                gesture.ifPresent(gestures::add);
              }

              @Override
              public void refuse(String why) {
                refused.add(why);
              }
            });
    robot.interact(() -> {
      root.getChildren().setAll(editor.node(), elsewhere);
      editor.show(new Shown<>(key, Optional.of(value), Optional.of(value)));
    });
    return editor;
  }

  /** Rules are shown again after each step, as the inspector does. */
  private ValueEditor<NestedStyles> nested(String rules) {
    return editor(Properties.NESTED_STYLES.key(), NestedStyles.parse(rules));
  }

  private void choose(String box, String words) {
    robot.clickOn(box).clickOn(words);
  }

  @Test
  void nestedStylesAreAddedMovedAndTakenAway() {
    nested("none");
    robot.clickOn("#nested-add");
    nested("speaker: 3 words; figures: every number; skip 1 letter");
    robot.clickOn("#nested-up-1");
    robot.clickOn("#nested-remove-0");
    assertThat(set)
        .extracting(Object::toString)
        .containsExactly(
            "speaker: 3 words",
            "figures: every number; speaker: 3 words; skip 1 letter",
            "figures: every number; skip 1 letter");
  }

  @Test
  void nestedStylesAndTheirWordsAreChosen() {
    nested("speaker: 3 words");
    choose("#nested-style-0", "FIGURES");
    nested("speaker: 3 words");
    choose("#nested-words-0", "sentences");
    nested("speaker: 3 words");
    choose("#nested-words-0", "all up to");
    nested("speaker: up to \":\"");
    robot.doubleClickOn("#nested-signs-0").write("/ ").push(KeyCode.ENTER);
    assertThat(set)
        .extracting(Object::toString)
        .containsExactly(
            "figures: 3 words",
            "speaker: 3 sentences",
            "speaker: up to \":\"",
            "speaker: up to \"/ \"");
  }

  @Test
  void aCountThatIsNoneIsRefusedAndSaysWhichAre() {
    nested("speaker: 3 words");
    robot.doubleClickOn("#nested-signs-0").write("none").push(KeyCode.ENTER);
    assertThat(set).isEmpty();
    assertThat(refused).singleElement().asString().contains("10").contains("none");
    TextField signs = robot.lookup("#nested-signs-0").queryAs(TextField.class);
    assertThat(signs.getText()).isEqualTo("3");
  }

  /** More rules than a file may have are not offered. */
  @Test
  void noMoreRulesThanCanBeKept() {
    String rules =
        IntStream.range(0, NestedStyles.MOST_RULES)
            .mapToObj(_ -> "speaker: 1 word")
            .collect(Collectors.joining("; "));
    nested(rules);
    assertThat(robot.lookup("#nested-add").query().isDisabled()).isTrue();
    nested("speaker: 1 word");
    assertThat(robot.lookup("#nested-add").query().isDisabled()).isFalse();
  }

  @Test
  void aPatternThatIsNoneIsRefused() {
    nested("speaker: matching \"[0-9]+\"");
    robot
        .clickOn("#nested-signs-0")
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write("(")
        .push(KeyCode.ENTER);
    assertThat(set).isEmpty();
    assertThat(refused).singleElement().asString().contains("pattern");
    TextField signs = robot.lookup("#nested-signs-0").queryAs(TextField.class);
    assertThat(signs.getText()).isEqualTo("[0-9]+");
  }

  private void type(ValueEditor<?> editor, String text) {
    robot.clickOn(editor.node()).push(KeyCode.SHORTCUT, KeyCode.A).write(text).push(KeyCode.ENTER);
  }

  private static String text(ValueEditor<?> editor) {
    return ((TextField) editor.node()).getText();
  }

  @Test
  void sizesAreTyped() {
    ValueEditor<FontSize> size = editor(Properties.SIZE.key(), FontSize.points(20));
    isTyped(size, "24", "24 pt");
    isTyped(size, "12*1.5", "18 pt");
    isTyped(size, "x1.2", "×1.2");
    isTyped(size, "150 %", "×1.5");
    isTyped(size, "+2", "+2 pt");
    isTyped(size, "10 mm", "28.346457 pt");
    assertThat(gestures).isEmpty();
  }

  @Test
  void lengthsAreTyped() {
    ValueEditor<Length> width =
        editor(Properties.STROKE_WIDTH.at(Address.coat("rim")), Length.points(1));
    isTyped(width, "3", "3 pt");
    isTyped(width, "1 mm", "2.834646 pt");
    isTyped(width, "0.1 em", "0.1 em");
    isTyped(width, "(1+2)*2", "6 pt");
    isTyped(width, "2*0.05em", "0.1 em");
  }

  private void isTyped(ValueEditor<?> editor, String typed, String expected) {
    set.clear();
    type(editor, typed);
    assertThat(set).as(typed).singleElement().hasToString(expected);
  }

  @Test
  void shareIsShownInPercent() {
    ValueEditor<Double> editor = editor(Properties.COAT_OPACITY.at(Address.coat("fill")), 0.4);
    assertThat(text(editor)).isEqualTo("40 %");
    type(editor, "55");
    assertThat(set).containsExactly(0.55);
  }

  @Test
  void arrowsNudgeInOneGesture() {
    ValueEditor<FontSize> editor = editor(Properties.SIZE.key(), FontSize.points(20));
    robot
        .clickOn(editor.node())
        .push(KeyCode.UP)
        .push(KeyCode.DOWN)
        .push(KeyCode.SHIFT, KeyCode.UP)
        .push(KeyCode.ALT, KeyCode.DOWN);
    assertThat(set)
        .extracting(Object::toString)
        .containsExactly("21 pt", "19 pt", "30 pt", "19.9 pt");
    assertThat(gestures.stream().distinct()).hasSize(1);
  }

  @Test
  void relativeValuesAreNudgedAsTheyAre() {
    ValueEditor<FontSize> size = editor(Properties.SIZE.key(), new FontSize.Times(1.5));
    robot.clickOn(size.node()).push(KeyCode.UP);
    ValueEditor<Leading> leading = editor(Properties.LEADING.key(), Leading.AUTOMATIC);
    robot.clickOn(leading.node()).push(KeyCode.UP);
    ValueEditor<Length> width =
        editor(Properties.STROKE_WIDTH.at(Address.coat("rim")), Length.em(0.02));
    robot.clickOn(width.node()).push(KeyCode.UP);
    assertThat(set).extracting(Object::toString).containsExactly("\u00d71.55", "121 %", "0.03 em");
  }

  @Test
  void nudgingStopsAtTheEndOfTheRange() {
    ValueEditor<Double> weight = editor(Properties.TRACKING.key(), -1000.0);
    robot.clickOn(weight.node()).push(KeyCode.DOWN);
    assertThat(set).allMatch(value -> value.equals(-1000.0));
    assertThat(refused).isEmpty();
  }

  @Test
  void nonsenseIsRefusedAndTheOldValueShowsAgain() {
    ValueEditor<Double> editor = editor(Properties.TRACKING.key(), 12.0);
    type(editor, "wide");
    assertThat(set).isEmpty();
    assertThat(refused).singleElement().asString().contains("cannot work out \"wide\"");
    assertThat(text(editor)).isEqualTo("12");
    type(editor, "99999");
    assertThat(refused).hasSize(2);
  }

  @Test
  void leavingTheFieldSetsWhatWasTypedAndEscapeDoesNot() {
    ValueEditor<Double> editor = editor(Properties.TRACKING.key(), 12.0);
    robot.clickOn(editor.node()).push(KeyCode.SHORTCUT, KeyCode.A).write("30").push(KeyCode.ESCAPE);
    robot.clickOn(elsewhere);
    assertThat(set).isEmpty();
    robot.clickOn(editor.node()).push(KeyCode.SHORTCUT, KeyCode.A).write("30");
    robot.clickOn(elsewhere);
    assertThat(set).containsExactly(30.0);
  }

  @Test
  void severalValuesAreShownAsMixed() {
    ValueEditor<Double> editor = editor(Properties.TRACKING.key(), 12.0);
    robot.interact(() ->
        editor.show(new Shown<>(Properties.TRACKING.key(), Optional.empty(), Optional.empty())));
    assertThat(text(editor)).isEmpty();
    assertThat(((TextField) editor.node()).getPromptText()).isEqualTo("mixed");
    type(editor, "5");
    assertThat(set).containsExactly(5.0);
  }

  @Test
  @SuppressWarnings("unchecked")
  void weightsAreChosenByNameAndOddOnesShowTheirNumber() {
    ValueEditor<Double> editor = editor(Properties.FONT_WEIGHT.key(), 437.0);
    ComboBox<Double> box = (ComboBox<Double>) editor.node();
    assertThat(box.getConverter().toString(437.0)).isEqualTo("437");
    assertThat(box.getConverter().toString(600.0)).isEqualTo("Semi bold");
    robot.interact(box::show);
    assertThat(box.getItems()).containsExactly(400.0, 600.0, 850.0);
    assertThat(set).as("opening the list sets nothing").isEmpty();
    robot.interact(() -> box.setValue(600.0));
    assertThat(set).containsExactly(600.0);
  }
}
