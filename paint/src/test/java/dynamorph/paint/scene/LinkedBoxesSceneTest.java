package dynamorph.paint.scene;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.Reach;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.view.SheetOrder;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.CaretPlace;
import dynamorph.typeset.layout.Typesetter;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** A text of eight lines that flows through three boxes on two artboards, two lines in each. */
class LinkedBoxesSceneTest {
  private static final FontLibrary FONTS = FontLibrary.shipped();
  private static final StyleId BODY = new StyleId("body");

  private final SceneMaker maker = new SceneMaker(new Typesetter(FONTS), new LayerPainter());
  private final Project project = project();
  private final Scene scene = maker.make(project);

  @AfterAll
  static void close() {
    FONTS.close();
  }

  private static Layer box(String id, String words) {
    return Layer.of(id, id, words)
        .withFrame(
            PropertySet.EMPTY
                .with(Properties.BOX, BoxFit.FIXED)
                .with(Properties.BOX_WIDTH, 200.0)
                .with(Properties.BOX_HEIGHT, 48.0));
  }

  private static Layer further(String id, String before) {
    return box(id, "").withContinues(Optional.of(new LayerId(before)));
  }

  private static Project project() {
    Style body =
        Style.text("body", "Body", "")
            .withProperties(
                PropertySet.EMPTY
                    .with(Properties.SIZE, FontSize.points(16))
                    .with(Properties.LEADING, new Leading.Absolute(20)));
    return Project.empty("P")
        .withStyles(StyleBook.of(List.of(body)))
        .plus(
            Artboard.empty("one", "One", 400, 400, LengthUnit.POINT)
                .plus(box("a", "1\n2\n3\n4\n5\n6\n7\n8").withFollows(List.of(BODY)))
                .plus(further("b", "a"))
                .plus(box("alone", "alone")))
        .plus(Artboard.empty("two", "Two", 400, 400, LengthUnit.POINT).plus(further("c", "b")));
  }

  private static PlacedLayer text(Scene scene, String id) {
    return scene.find(new LayerId(id)).orElseThrow().text();
  }

  @Test
  void eachBoxShowsItsWordsAndTheLastTellsWhatIsLeft() {
    assertThat(text(scene, "a").words()).isEqualTo("1\n2");
    assertThat(text(scene, "b").words()).isEqualTo("3\n4");
    assertThat(text(scene, "c").words()).as("on another artboard").isEqualTo("5\n6");
    assertThat(text(scene, "c").layout().overset().orElseThrow().hiddenLines()).isEqualTo(2);
    assertThat(text(scene, "b").layout().overset()).isEmpty();
    assertThat(text(scene, "c").look().paragraphs())
        .as("in the look of the text")
        .isEqualTo(text(scene, "a").look().paragraphs());
  }

  @Test
  void aPlaceInTheWordsShowsInOneBox() {
    // "1\n2\n" has four units
    assertThat(shownIn(3, false)).isEqualTo("a");
    assertThat(shownIn(4, false)).isEqualTo("b");
    assertThat(shownIn(4, true)).as("behind the last letter").isEqualTo("a");
    assertThat(shownIn(15, false)).as("overset words are nearest to the last").isEqualTo("c");
  }

  private String shownIn(int offset, boolean trailing) {
    return scene
        .showing(new LayerId("b"), new CaretPlace(offset, trailing))
        .map(found -> found.text().layer().id().value())
        .orElseThrow();
  }

  @Test
  void whatIsTypedInOneFlowsToTheOthersAndTheRestIsShared() {
    Project typed = EditText.plain(new LayerId("a"), new TextRange(0, 0), "0\n").applyTo(project);
    Scene after = maker.make(typed, scene);
    assertThat(text(after, "a").words()).isEqualTo("0\n1");
    assertThat(text(after, "c").words()).isEqualTo("4\n5");
    assertThat(text(after, "alone")).as("another text").isSameAs(text(scene, "alone"));
    Scene same = maker.make(project.withName("Q"), scene);
    assertThat(text(same, "c")).as("nothing of it changed").isSameAs(text(scene, "c"));
    assertThat(same.boards()).isEqualTo(scene.boards());
  }

  @Test
  void aHigherBoxMovesTheWordsOfTheNextArtboard() {
    Project higher =
        project.mapLayers(
            Set.of(new LayerId("b")),
            layer -> layer.withFrame(layer.frame().with(Properties.BOX_HEIGHT, 88.0)));
    Scene after = maker.make(higher, scene);
    assertThat(text(after, "b").words()).isEqualTo("3\n4\n5\n6");
    assertThat(text(after, "c").words()).isEqualTo("7\n8");
    assertThat(text(after, "a").layout()).isSameAs(text(scene, "a").layout());
  }

  @Test
  void aHiddenBoxKeepsItsWordsAndADeletedOneLeavesThem() {
    Set<LayerId> middle = Set.of(new LayerId("b"));
    Scene hidden = maker.make(new ArrangeLayers.Hide(middle, true).applyTo(project), scene);
    assertThat(hidden.find(new LayerId("b"))).isEmpty();
    assertThat(text(hidden, "c").words()).isEqualTo("5\n6");
    Scene deleted = maker.make(new ArrangeLayers.Delete(middle).applyTo(project), hidden);
    assertThat(text(deleted, "c").words()).isEqualTo("3\n4");
    Scene alone =
        maker.make(
            new ArrangeLayers.Delete(Set.of(new LayerId("b"), new LayerId("c"))).applyTo(project),
            scene);
    assertThat(text(alone, "a").layout().overset()).as("the only box").isPresent();
  }

  private int rows() {
    return Sheet.of(project, SheetOrder.USUAL).groups().stream()
        .mapToInt(group -> group.rows().size())
        .sum();
  }

  @Test
  void itIsOneTextWithManyPlaces() {
    assertThat(Followers.of(project).count(BODY).all()).isEqualTo(1);
    assertThat(rows()).isEqualTo(2);
    Project larger =
        project.withStyles(
            project
                .styles()
                .with(
                    project
                        .styles()
                        .get(BODY)
                        .withProperties(
                            PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(17)))));
    assertThat(Reach.between(project, larger))
        .as("it changes in all of them")
        .extracting(LayerId::value)
        .containsExactly("a", "b", "c");
    assertThat(Reach.between(project, project.withName("Q"))).isEmpty();
  }
}
