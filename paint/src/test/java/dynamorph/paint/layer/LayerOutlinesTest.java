package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Painting;
import dynamorph.paint.artwork.Mark;
import dynamorph.typeset.layout.TextLayout;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Bare geometry, on a square of 100 points. */
class LayerOutlinesTest {
  private static final LayerOutlines.Colours COLOURS = LayerOutlines.Colours.on(Rgba.WHITE);

  private static List<Mark> marks(String... settings) {
    PropertySet look = PropertySet.EMPTY;
    for (String setting : settings) {
      String[] parts = setting.split("=");
      look = look.withText(Properties.key(parts[0]), parts[1]);
    }
    Layer layer =
        Layer.of("f", "f", Shape.Rectangle.SHARP)
            .withFrame(
                PropertySet.EMPTY
                    .with(Properties.BOX_WIDTH, 100.0)
                    .with(Properties.BOX_HEIGHT, 100.0))
            .withLocal(look);
    ResolvedLayer resolved = Cascade.of(Project.empty("p")).resolve(layer).inBox();
    TextLayout layout = Painting.maker().typesetter().layout(layer.story(), resolved);
    return LayerOutlines.marks(layout, resolved, COLOURS, 2);
  }

  private static List<Mark.Hairline> lines(List<Mark> marks, Rgba colour) {
    return marks.stream()
        .filter(Mark.Hairline.class::isInstance)
        .map(Mark.Hairline.class::cast)
        .filter(line -> line.colour().equals(colour))
        .toList();
  }

  @Test
  void linesAreOnePixelWideAtTheScaleAskedFor() {
    List<Mark.Hairline> contours = lines(marks(), COLOURS.contour());
    assertThat(contours).hasSize(1);
    assertThat(contours.getFirst().width()).isEqualTo(0.5);
    assertThat(contours.getFirst().path().computeTightBounds().getWidth())
        .isCloseTo(100f, within(1e-3f));
  }

  @Test
  void aMovedFillAndBothSidesOfAStrokeAreEdges() {
    List<Mark> marks =
        marks(
            "finish/fill/offset=5 pt",
            "finish/rim/kind=stroke",
            "finish/rim/width=4 pt",
            "finish/rim/offset=10 pt");
    assertThat(lines(marks, COLOURS.edge()))
        .extracting(line -> (double) line.path().computeTightBounds().getWidth())
        .usingElementComparator((one, other) -> Math.abs(one - other) < 0.01 ? 0 : 1)
        .containsExactlyInAnyOrder(110.0, 124.0, 116.0);
  }

  @Test
  void eachDashHasItsMiddleMarkedOnTheLineItLiesOn() {
    List<Mark> marks =
        marks(
            "finish/rim/kind=stroke",
            "finish/rim/dashes=0 pt, 10 pt",
            "finish/rim/dash-fit=contour",
            "finish/rim/width=2 pt");
    List<Mark.Area> dots =
        marks.stream().filter(Mark.Area.class::isInstance).map(Mark.Area.class::cast).toList();
    assertThat(dots).as("400 points around, a dot every ten").hasSize(40);
    for (Mark.Area dot : dots) {
      var box = dot.path().computeTightBounds();
      double x = (box.getLeft() + box.getRight()) / 2;
      double y = (box.getTop() + box.getBottom()) / 2;
      double off =
          Math.min(
              Math.min(Math.abs(x), Math.abs(x - 100)), Math.min(Math.abs(y), Math.abs(y - 100)));
      assertThat(off).isLessThan(0.01);
    }
    assertThat(lines(marks, COLOURS.dash())).hasSize(1);
  }

  @Test
  void coloursCanBeToldApartOnWhateverTheyLie() {
    for (Rgba ground : List.of(Rgba.WHITE, Rgba.BLACK, Rgba.parse("#1f4a37"))) {
      LayerOutlines.Colours colours = LayerOutlines.Colours.on(ground);
      for (Rgba colour : List.of(colours.contour(), colours.edge(), colours.dash())) {
        assertThat(colour.contrast(ground)).isGreaterThan(3);
      }
    }
  }
}
