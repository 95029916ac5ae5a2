package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.paint.Painting;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where plates lie, from the lines that they are behind. */
class PlateGeometryTest {
  private static final PropertySet PLATE =
      with(PropertySet.EMPTY, "plate/ground/kind=fill", "plate-padding=0 pt");

  private static PropertySet with(PropertySet look, String... settings) {
    PropertySet changed = look;
    for (String setting : settings) {
      String[] parts = setting.split("=");
      changed = changed.withText(Properties.key(parts[0]), parts[1]);
    }
    return changed;
  }

  private record Plated(TextLayout layout, List<List<Box>> runs) {
    Box only() {
      assertThat(runs).hasSize(1);
      assertThat(runs.getFirst()).hasSize(1);
      return runs.getFirst().getFirst();
    }
  }

  private static Plated plated(String words, PropertySet look) {
    Layer layer = Layer.of("t", "t", words).withLocal(look);
    ResolvedLayer resolved = Cascade.of(Project.empty("p")).resolve(layer);
    TextLayout layout = Painting.maker().typesetter().layout(layer.story(), resolved);
    return new Plated(layout, PlateGeometry.runs(layout, resolved));
  }

  @Test
  void eachSideHasItsOwnPadding() {
    Plated bare = plated("Hour", PLATE);
    Box padded = plated("Hour", with(PLATE, "plate-padding=1 pt, 2 pt, 3 pt, 4 pt")).only();
    Box content = bare.layout.content();
    assertThat(bare.only()).isEqualTo(content);
    assertThat(padded.y()).isCloseTo(content.y() - 1, within(1e-9));
    assertThat(padded.right()).isCloseTo(content.right() + 2, within(1e-9));
    assertThat(padded.bottom()).isCloseTo(content.bottom() + 3, within(1e-9));
    assertThat(padded.x()).isCloseTo(content.x() - 4, within(1e-9));
  }

  @Test
  void paddingInEmGrowsWithTheText() {
    Box small = plated("Hour", with(PLATE, "plate-padding=0.5 em", "size=10 pt")).only();
    Box large = plated("Hour", with(PLATE, "plate-padding=0.5 em", "size=30 pt")).only();
    assertThat(large.width()).isCloseTo(3 * small.width(), within(0.01));
    assertThat(large.height()).isCloseTo(3 * small.height(), within(0.01));
  }

  @ParameterizedTest
  @CsvSource({"left, 0", "start, 0", "justified, 0", "centre, 0.5", "right, 1", "end, 1"})
  void aPlateIsWidenedOnTheRaggedSide(String alignment, double before) {
    PropertySet aligned = with(PLATE, "alignment=" + alignment);
    Box own = plated("Hour", aligned).only();
    Box wide = plated("Hour", with(aligned, "plate-minimum-width=300 pt")).only();
    assertThat(wide.width()).isCloseTo(300, within(1e-9));
    double missing = 300 - own.width();
    assertThat(own.x() - wide.x()).isCloseTo(before * missing, within(1e-6));
    Box enough = plated("Hour", with(aligned, "plate-minimum-width=1 pt")).only();
    assertThat(enough).isEqualTo(own);
  }

  @ParameterizedTest
  @CsvSource({"start, 1", "end, 0"})
  void rightToLeftTheStartIsOnTheRight(String alignment, double before) {
    PropertySet aligned = with(PLATE, "alignment=" + alignment);
    String words = "\u0633\u0627\u0639\u0629";
    Box own = plated(words, aligned).only();
    Box wide = plated(words, with(aligned, "plate-minimum-width=300 pt")).only();
    assertThat(own.x() - wide.x()).isCloseTo(before * (300 - own.width()), within(1e-6));
  }

  @Test
  void platesOfLinesThatTouchAreOneAndOthersAreNot() {
    PropertySet lines = with(PLATE, "plate-extent=line", "size=20 pt");
    String words = "Long hour\nBell\n\nBrass";
    Plated apart = plated(words, with(lines, "leading=60 pt"));
    assertThat(apart.runs).as("a line without words has no plate").hasSize(3);
    Plated joined = plated(words, with(lines, "leading=60 pt", "plate-padding=20 pt, 0 pt"));
    assertThat(joined.runs).hasSize(2);
    assertThat(joined.runs.getFirst()).hasSize(2);
    List<Box> boxes = joined.runs.getFirst();
    List<Line> set = joined.layout.shownLines();
    assertThat(boxes.get(0).width()).isCloseTo(set.get(0).width(), within(1e-9));
    assertThat(boxes.get(1).width()).isCloseTo(set.get(1).width(), within(1e-9));
  }

  @Test
  void aParagraphHasOnePlateHoweverManyLines() {
    PropertySet boxed = with(PLATE, "plate-extent=paragraph", "size=20 pt", "leading=20 pt");
    Layer layer =
        Layer.of("t", "t", "one two three four five six\nseven eight")
            .withLocal(boxed)
            .withFrame(with(PropertySet.EMPTY, "box=grow", "box-width=80"));
    ResolvedLayer resolved = Cascade.of(Project.empty("p")).resolve(layer);
    TextLayout layout = Painting.maker().typesetter().layout(layer.story(), resolved);
    assertThat(layout.shownLines().size()).isGreaterThan(3);
    List<Box> all = PlateGeometry.runs(layout, resolved).stream().flatMap(List::stream).toList();
    assertThat(all).hasSize(2);
    for (Line line : layout.shownLines()) {
      Box behind = all.get(line.paragraph());
      assertThat(behind.contains(line.left(), line.baseline())).isTrue();
    }
  }

  @Test
  void withoutCoatsThereIsNoPlate() {
    Layer layer =
        Layer.of("t", "t", "Hour").withLocal(with(PropertySet.EMPTY, "plate-radius=9 pt"));
    ResolvedLayer resolved = Cascade.of(Project.empty("p")).resolve(layer);
    TextLayout layout = Painting.maker().typesetter().layout(layer.story(), resolved);
    assertThat(LayerPainter.plateBox(layout, resolved)).isEmpty();
  }
}
