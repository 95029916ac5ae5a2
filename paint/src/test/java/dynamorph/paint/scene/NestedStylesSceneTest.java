package dynamorph.paint.scene;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.value.NestedStyles;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** Words in nested styles, as they are set in a scene that is kept from edit to edit. */
class NestedStylesSceneTest {
  private static final FontLibrary FONTS = FontLibrary.shipped();
  private static final LayerId TEXT = new LayerId("t");

  @AfterAll
  static void close() {
    FONTS.close();
  }

  private static Project project(String words, String rules) {
    Style bold =
        new Style(
            new StyleId("bold"),
            "Bold",
            "",
            StyleLevel.CHARACTER,
            Optional.empty(),
            PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0),
            "");
    Style body =
        new Style(
            new StyleId("body"),
            "Body",
            "",
            StyleLevel.TEXT,
            Optional.empty(),
            PropertySet.EMPTY.with(Properties.NESTED_STYLES, NestedStyles.parse(rules)),
            "");
    return Project.empty("P")
        .withStyles(StyleBook.of(List.of(bold, body)))
        .plus(
            Artboard.empty("a", "A", 400, 100, LengthUnit.POINT)
                .plus(Layer.of("t", "T", words).withFollows(List.of(new StyleId("body")))));
  }

  /** How many letters of the first line are bold. */
  private static int bold(Scene scene) {
    return scene.find(TEXT).orElseThrow().text().layout().lines().getFirst().runs().stream()
        .filter(run -> run.face().weight() == 700)
        .mapToInt(run -> run.starts().length)
        .sum();
  }

  @Test
  void moreWordsTakeTheStyleWhenTheRuleOrTheWordsChange() {
    SceneMaker maker = new SceneMaker(new Typesetter(FONTS), new LayerPainter());
    Project one = project("The long hour", "bold: 1 word");
    Scene scene = maker.make(one);
    assertThat(bold(scene)).isEqualTo("The".length());
    Project two = project("The long hour", "bold: 2 words");
    assertThat(bold(maker.make(two, scene))).isEqualTo("The long".length());
    Project other =
        one.mapLayers(
            java.util.Set.of(TEXT),
            layer -> layer.withStory(layer.story().replace(layer.story().all(), "Longer hour")));
    assertThat(bold(maker.make(other, scene))).isEqualTo("Longer".length());
  }
}
