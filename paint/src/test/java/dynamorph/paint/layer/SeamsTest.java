package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Layer;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Length;
import dynamorph.model.value.StrokePosition;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A fill and the stroke outside of it have the letter edge in common. In one colour and one opacity
 * they look like one area: along the edge no pixel differs from those at both sides.
 */
class SeamsTest {
  private static final Address RIM = Address.coat("rim");

  @ParameterizedTest
  @CsvSource({
    "1, 1, 0.5",
    "1, 1, 1",
    "1, 1, 2.7",
    "1, 1, 8",
    "-1, 1, 1",
    "-1, 1, 2.7",
    "1, 0.5, 1",
    "1, 0.5, 2.7",
    "-1, 0.5, 1",
    "-1, 0.5, 2.7",
    "1, 0.2, 4"
  })
  void aStrokeOutsideOfAFillOfItsColourLeavesNoLine(double order, double opacity, double scale) {
    PropertySet look =
        PropertySet.EMPTY
            .with(Properties.COAT_OPACITY.at(Painting.FILL), opacity)
            .with(Properties.COAT_KIND.at(RIM), CoatKind.STROKE)
            .with(Properties.COAT_COLOUR.at(RIM), Colour.hex("#000000"))
            .with(Properties.COAT_ORDER.at(RIM), order)
            .with(Properties.COAT_OPACITY.at(RIM), opacity)
            .with(Properties.STROKE_WIDTH.at(RIM), Length.points(3))
            .with(Properties.STROKE_POSITION.at(RIM), StrokePosition.OUTSIDE);
    Layer letter = Painting.text("o", "O/S", look);
    Pixels both = Painting.stage(Painting.project(letter), scale);
    Pixels expected = grown(opacity, scale);
    int inside = (int) Math.round(255 * (1 - opacity));
    int worst = 0;
    int compared = 0;
    for (int y = 0; y < both.height(); y++) {
      for (int x = 0; x < both.width(); x++) {
        // well inside of the outer edge of the stroke
        if (Math.abs((expected.argb(x, y) & 0xFF) - inside) <= 1) {
          worst = Math.max(worst, Math.abs((both.argb(x, y) & 0xFF) - inside));
          compared++;
        }
      }
    }
    assertThat(compared).isPositive();
    // small letters are masks on quarters of a pixel, strokes are exact
    assertThat(worst).as("largest difference of a pixel, of 255").isLessThanOrEqualTo(8);
  }

  /** A fill that reaches beyond the letter edge, but not as far as the stroke. */
  private static Pixels grown(double opacity, double scale) {
    PropertySet look =
        PropertySet.EMPTY
            .with(Properties.COAT_OPACITY.at(Painting.FILL), opacity)
            .with(Properties.COAT_OFFSET.at(Painting.FILL), Length.points(1.5));
    return Painting.stage(Painting.project(Painting.text("o", "O/S", look)), scale);
  }
}
