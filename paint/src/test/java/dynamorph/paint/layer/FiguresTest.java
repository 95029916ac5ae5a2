package dynamorph.paint.layer;

import static dynamorph.paint.Painting.count;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokePosition;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Surface;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Shapes and pictures of 80 by 40 points, by the area they cover. */
class FiguresTest {
  private static final Rgba RED = Rgba.of(255, 0, 0);
  private static final Address RIM = Address.coat("rim");
  private static final PropertySet FRAME =
      PropertySet.EMPTY
          .with(Properties.POSITION_X, 60.0)
          .with(Properties.POSITION_Y, 30.0)
          .with(Properties.BOX_WIDTH, 80.0)
          .with(Properties.BOX_HEIGHT, 40.0);

  private static Layer shape(Shape shape, PropertySet look) {
    return Layer.of("f", "F", shape).withFrame(FRAME).withLocal(look);
  }

  private static final PropertySet FILLED =
      PropertySet.EMPTY.with(Properties.COAT_COLOUR.at(Painting.FILL), Colour.of(RED));

  private static double area(Shape shape, PropertySet look) {
    Pixels pixels = Painting.stage(Painting.project(shape(shape, look)), 4);
    double share = 0;
    for (int y = 0; y < pixels.height(); y++) {
      for (int x = 0; x < pixels.width(); x++) {
        share += 1 - (pixels.argb(x, y) & 0xFF) / 255.0;
      }
    }
    return share / 16;
  }

  static Stream<Arguments> areas() {
    return Stream.of(
        Arguments.of(Shape.Rectangle.SHARP, 80 * 40.0),
        Arguments.of(new Shape.Rectangle(BoxLengths.parse("10 pt")), 80 * 40 - (4 - Math.PI) * 100),
        Arguments.of(new Shape.Ellipse(), Math.PI * 40 * 20),
        Arguments.of(new Shape.Polygon(4, 0), 80 * 40 / 2.0),
        Arguments.of(new Shape.Polygon(4, 0.5), 80 * 40 / 4.0),
        Arguments.of(new Shape.Drawn("M0 0L10 0L0 10Z", 10, 10), 80 * 40 / 2.0),
        Arguments.of(new Shape.Drawn("M0 0 L", 10, 10), 0.0),
        Arguments.of(new Shape.Line(false), 0.0));
  }

  @ParameterizedTest
  @MethodSource("areas")
  void aShapeFillsItsBox(Shape shape, double area) {
    assertThat(area(shape, FILLED)).isCloseTo(area, within(4.0));
  }

  @Test
  void alongALineAStrokeLiesInTheMiddleWhateverItsSide() {
    PropertySet stroke =
        PropertySet.EMPTY
            .with(Properties.COAT_SHOWN.at(Painting.FILL), false)
            .with(Properties.COAT_KIND.at(RIM), CoatKind.STROKE)
            .with(Properties.COAT_COLOUR.at(RIM), Colour.of(RED))
            .with(Properties.STROKE_WIDTH.at(RIM), Length.points(3))
            .with(Properties.STROKE_POSITION.at(RIM), StrokePosition.OUTSIDE);
    double length = Math.hypot(80, 40);
    assertThat(area(new Shape.Line(true), stroke)).isCloseTo(3 * length, within(6.0));
  }

  @Test
  void aShapeAndALetterShareAFinishWithShadowAndRivets() {
    PropertySet look =
        FILLED
            .withText(Properties.key("finish/rim/kind"), "stroke")
            .withText(Properties.key("finish/rim/position"), "outside")
            .withText(Properties.key("finish/rim/width"), "2 pt")
            .withText(Properties.key("finish/rim/colour"), "#ff0000");
    assertThat(area(Shape.Rectangle.SHARP, look)).isCloseTo(84 * 44, within(4.0));
  }

  @Test
  void aPictureFillsItsBoxAndIsCutInTheMiddle() {
    byte[] png;
    try (Surface surface = Surface.makeRasterN32Premul(20, 40)) {
      surface.getCanvas().clear(RED.argb());
      png = EncoderPNG.encode(surface.makeImageSnapshot()).getBytes();
    }
    PropertySet bare = PropertySet.EMPTY.with(Properties.COAT_SHOWN.at(Painting.FILL), false);
    Project project =
        Painting.project(shape(new Shape.Picture("red.png"), bare))
            .withAssets(List.of(new Asset("images/red.png", png)));
    assertThat(count(Painting.stage(project, 1), RED)).isEqualTo(80 * 40);
    Project without = Painting.project(shape(new Shape.Picture("gone.png"), bare));
    assertThat(count(Painting.stage(without, 1), RED)).isZero();
  }
}
