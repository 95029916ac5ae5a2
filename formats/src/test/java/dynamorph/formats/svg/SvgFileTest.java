package dynamorph.formats.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.document.WrittenParagraph;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.document.drawing.WrittenDrawing;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.FillRule;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.RadialShape;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What drawings say, and what comes of it; the figures are worked out by hand. */
class SvgFileTest {
  private static final Address FILL = Address.coat("fill");
  private static final Address STROKE = Address.coat("stroke");

  private static WrittenDrawing read(String svg) throws IOException {
    return SvgFile.read(svg.getBytes(StandardCharsets.UTF_8), "card.svg");
  }

  /** A drawing of 400 by 200 pixels. */
  private static WrittenDrawing inside(String elements) throws IOException {
    return read(
        "<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink'"
            + " width='400' height='200'>"
            + elements
            + "</svg>");
  }

  private static Layer shape(String elements) throws IOException {
    return shapes(inside(elements)).getFirst();
  }

  private static List<Layer> shapes(WrittenDrawing drawing) {
    return drawing.items().stream()
        .filter(WrittenDrawing.Form.class::isInstance)
        .map(one -> ((WrittenDrawing.Form) one).layer())
        .toList();
  }

  private static List<WrittenDrawing.Text> texts(WrittenDrawing drawing) {
    return drawing.items().stream()
        .filter(WrittenDrawing.Text.class::isInstance)
        .map(WrittenDrawing.Text.class::cast)
        .toList();
  }

  private static <T> T of(PropertySet set, PropertyKey<T> key) {
    return set.get(key).orElseThrow(() -> new AssertionError(key + " in " + set));
  }

  private static <T> T of(PropertySet set, Property<T> property) {
    return of(set, property.key());
  }

  private static void stands(Layer layer, double x, double y, double width, double height) {
    assertThat(of(layer.frame(), Properties.POSITION_X)).as("x").isCloseTo(x, within(0.01));
    assertThat(of(layer.frame(), Properties.POSITION_Y)).as("y").isCloseTo(y, within(0.01));
    assertThat(of(layer.frame(), Properties.BOX_WIDTH)).as("width").isCloseTo(width, within(0.01));
    assertThat(of(layer.frame(), Properties.BOX_HEIGHT))
        .as("height")
        .isCloseTo(height, within(0.01));
  }

  // --- sizes

  @ParameterizedTest
  @CsvSource({
    // 210 mm are 595.28 pt; the scale is 595.28 / 840
    "width='210mm' height='148mm' viewBox='0 0 840 592', 595.28, 419.53, MILLIMETRE, 70.87",
    // a pixel is a point of a screen artboard
    "width='1080' height='1080', 1080, 1080, PIXEL, 100",
    "viewBox='0 0 300 100', 300, 100, PIXEL, 100",
    // an inch of 96 pixels without a view box
    "width='4in' height='2in', 288, 144, INCH, 75",
    // the higher box is fitted into the middle: a third of it, from 100 / 3 on
    "width='200' height='100' viewBox='0 0 300 300', 200, 100, PIXEL, 33.33",
    "width='100%' viewBox='0 0 300 100', 300, 100, PIXEL, 100"
  })
  void sizesAreThoseOfTheDrawing(
      String attributes, double width, double height, LengthUnit unit, double hundred)
      throws IOException {
    WrittenDrawing drawing = read("<svg " + attributes + "><rect width='100' height='10'/></svg>");
    assertThat(drawing.width()).isCloseTo(width, within(0.01));
    assertThat(drawing.height()).isCloseTo(height, within(0.01));
    assertThat(drawing.unit()).isEqualTo(unit);
    assertThat(of(shapes(drawing).getFirst().frame(), Properties.BOX_WIDTH))
        .isCloseTo(hundred, within(0.01));
  }

  // --- shapes

  @Test
  void shapesKeepTheirKindAndArePlacedThroughAllTransforms() throws IOException {
    Layer box =
        shape(
            "<g transform='translate(10 20) scale(2)'><rect x='5' y='5' width='30' height='10' rx='3'/></g>");
    assertThat(box.shape().orElseThrow()).hasToString("Rectangle[corners=6 pt]");
    stands(box, 20, 30, 60, 20);
    Layer turned = shape("<rect width='30' height='10' transform='translate(100 50) rotate(90)'/>");
    assertThat(of(turned.frame(), Properties.ROTATION)).isEqualTo(90);
    stands(turned, 100, 50, 30, 10);
    Layer sheared = shape("<rect width='20' height='10' transform='skewX(45)'/>");
    assertThat(sheared.shape().orElseThrow()).isInstanceOf(Shape.Drawn.class);
    stands(sheared, 0, 0, 30, 10);
    stands(shape("<circle cx='50%' cy='50%' r='25'/>"), 175, 75, 50, 50);
    stands(shape("<polygon points='10,10 40,10 25,30'/>"), 10, 10, 30, 20);
    stands(shape("<line x1='5' y1='8' x2='25' y2='8' stroke='red'/>"), 5, 8, 20, 0);
  }

  @Test
  void whatIsUsedAgainComesAgainAndSymbolsHaveTheirOwnBox() throws IOException {
    List<Layer> shapes =
        shapes(
            inside(
                "<symbol id='s' viewBox='0 0 10 10'><rect width='10' height='5'/></symbol>"
                    + "<defs><path id='p' d='M0 0h10v10z'/></defs>"
                    + "<use href='#p' x='20' y='30'/><use xlink:href='#p' transform='scale(3)'/>"
                    + "<use href='#s' x='100' y='10' width='60' height='40'/>"));
    assertThat(shapes).hasSize(3);
    stands(shapes.get(0), 20, 30, 10, 10);
    stands(shapes.get(1), 0, 0, 30, 30);
    // forty of sixty wide, in the middle
    stands(shapes.get(2), 110, 10, 40, 20);
  }

  @Test
  void rulesOfFillingAndClipsHold() throws IOException {
    Shape.Drawn ring =
        (Shape.Drawn)
            shape("<path fill-rule='evenodd' d='M0 0h30v30h-30zM10 10h10v10h-10z'/>")
                .shape()
                .orElseThrow();
    assertThat(ring.inside()).isEqualTo(FillRule.EVENODD);
    Layer clipped =
        shape(
            "<clipPath id='c'><circle cx='50' cy='50' r='20'/></clipPath>"
                + "<g clip-path='url(#c)'><rect x='50' y='0' width='100' height='100'/></g>");
    // the right half of the circle
    stands(clipped, 50, 30, 20, 40);
    WrittenDrawing stroked =
        inside(
            "<clipPath id='c'><rect width='5' height='5'/></clipPath>"
                + "<rect clip-path='url(#c)' width='50' height='50' stroke='red'/>");
    assertThat(stroked.words().remarks()).containsExactly("1 clip is left out.");
  }

  // --- paint

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "fill='#c60'|#cc6600",
        "style='fill:rgb(10,20,30)'|#0a141e",
        // CSS Color 4: green is hsl(120 100% 25%), and the hue of 0.5 turn is cyan
        "style='fill:hsl(120 100% 25%)'|#008000",
        "style='fill:hsl(0.5turn, 100%, 50%)'|#00ffff",
        "fill='currentColor' color='teal'|#008080",
        "fill='url(#missing) navy'|#000080",
        "class='b'|#0000ff",
        "class='b' id='x'|#ffff00",
        "class='b' style='fill:lime'|#00ff00",
        "|#000000"
      })
  void coloursComeFromWhereTheCascadeSays(String attributes, String colour) throws IOException {
    Layer layer =
        shape(
            "<style>/* no .b{fill:red} */ #x { fill: yellow } .b { fill: blue } rect:hover { fill: red }"
                + " @media screen { .none { fill: red } }</style><rect "
                + (attributes == null ? "" : attributes)
                + " width='9' height='9'/>");
    assertThat(of(layer.local(), Properties.COAT_COLOUR.at(FILL))).isEqualTo(Colour.hex(colour));
  }

  @Test
  void opacitiesMultiplyAndNothingIsNoCoat() throws IOException {
    Layer layer =
        shape(
            "<g opacity='.5'><rect fill-opacity='50%' opacity='.8' stroke='none' width='9' height='9'/></g>");
    assertThat(of(layer.local(), Properties.COAT_OPACITY.at(FILL))).isEqualTo(0.2);
    Layer outline = shape("<rect fill='none' stroke='red' width='9' height='9'/>");
    assertThat(of(outline.local(), Properties.COAT_REMOVED.at(FILL))).isTrue();
    assertThat(inside("<rect fill='none' width='9' height='9'/><circle r='3'/>").items())
        .as("what is painted with nothing is not there")
        .hasSize(1);
  }

  @Test
  void strokesGrowWithTheirScale() throws IOException {
    PropertySet look =
        shape(
                "<g transform='scale(2)'><path d='M0 0h10' stroke='red' stroke-width='3' stroke-linecap='round'"
                    + " stroke-linejoin='bevel' stroke-dasharray='4 1' stroke-dashoffset='2' paint-order='stroke'/></g>")
            .local();
    assertThat(of(look, Properties.STROKE_WIDTH.at(STROKE))).isEqualTo(Length.points(6));
    assertThat(of(look, Properties.DASHES.at(STROKE))).hasToString("8 pt, 2 pt");
    assertThat(of(look, Properties.DASH_OFFSET.at(STROKE))).isEqualTo(Length.points(4));
    assertThat(of(look, Properties.COAT_ORDER.at(STROKE))).isEqualTo(-1);
    PropertySet relative =
        shape("<path d='M0 0h9' font-size='10' stroke='red' stroke-width='.2em'/>").local();
    assertThat(of(relative, Properties.STROKE_WIDTH.at(STROKE))).isEqualTo(Length.points(2));
  }

  @Test
  void linearGradientsAreTheSameInTheirBoxes() throws IOException {
    String stops = "<stop stop-color='red'/><stop offset='1' stop-color='blue'/>";
    PropertySet corner =
        shape(
                "<linearGradient id='g' x2='1' y2='1'>"
                    + stops
                    + "</linearGradient><rect width='200' height='100' fill='url(#g)'/>")
            .local();
    assertThat(of(corner, Properties.COAT_PAINT.at(FILL))).isEqualTo(PaintKind.LINEAR);
    // colours change by (1/400, 1/200) a pixel: at atan 2, over 400 / sqrt 5 = 178.9, which is
    // 200 cos + 100 sin, so all of it
    assertThat(of(corner, Properties.GRADIENT_ANGLE.at(FILL))).isCloseTo(63.435, within(0.001));
    assertThat(of(corner, Properties.GRADIENT_SCALE.at(FILL))).isCloseTo(100, within(0.01));
    assertThat(of(corner, Properties.GRADIENT_X.at(FILL))).isCloseTo(50, within(0.01));
    PropertySet absolute =
        shape(
                "<linearGradient id='g' gradientUnits='userSpaceOnUse' x1='100' x2='150' href='#h'/>"
                    + "<linearGradient id='h' spreadMethod='repeat'>"
                    + stops
                    + "</linearGradient><rect x='100' width='200' height='50' fill='url(#g)'/>")
            .local();
    // a quarter of the width, whose middle is an eighth in
    assertThat(of(absolute, Properties.GRADIENT_SCALE.at(FILL))).isCloseTo(25, within(0.01));
    assertThat(of(absolute, Properties.GRADIENT_X.at(FILL))).isCloseTo(12.5, within(0.01));
    assertThat(of(absolute, Properties.GRADIENT_REPEAT.at(FILL))).hasToString("REPEAT");
  }

  /** An ellipse of 40 by 20 around (100, 50), turned by 30 degrees. */
  private static String turnedGradient(String circles) {
    return "<radialGradient id='g' gradientUnits='userSpaceOnUse' cx='0' cy='0' "
        + circles
        + " gradientTransform='translate(100 50) rotate(30) scale(2 1)'>"
        + "<stop stop-color='red'/><stop offset='1' stop-color='blue'/></radialGradient>"
        + "<rect width='200' height='100' fill='url(#g)'/>";
  }

  private static void assertTurned(PropertySet look) {
    assertThat(of(look, Properties.COAT_PAINT.at(FILL))).isEqualTo(PaintKind.RADIAL);
    assertThat(of(look, Properties.RADIAL_SHAPE.at(FILL))).isEqualTo(RadialShape.CIRCLE);
    // of 100, half of the longer side
    assertThat(of(look, Properties.GRADIENT_SCALE.at(FILL))).isCloseTo(40, within(0.01));
    assertThat(of(look, Properties.RADIAL_ASPECT.at(FILL))).isCloseTo(50, within(0.01));
    assertThat(of(look, Properties.RADIAL_ROTATION.at(FILL))).isCloseTo(30, within(0.01));
  }

  @Test
  void radialGradientsAreTurnedAndStartAtTheirFocalPoints() throws IOException {
    PropertySet focal = shape(turnedGradient("r='20' fx='10'")).local();
    assertTurned(focal);
    assertThat(of(focal, Properties.GRADIENT_X.at(FILL))).isCloseTo(50, within(0.01));
    assertThat(of(focal, Properties.GRADIENT_Y.at(FILL))).isCloseTo(50, within(0.01));
    assertThat(of(focal, Properties.FOCAL_X.at(FILL))).isCloseTo(50, within(0.01));
    assertThat(of(focal, Properties.FOCAL_Y.at(FILL))).isCloseTo(0, within(0.01));
    // the stops begin on a circle of half the length: everything is half a length farther out
    PropertySet ring = shape(turnedGradient("r='30' fr='10'")).local();
    assertTurned(ring);
    assertThat(of(ring, Properties.GRADIENT_OFFSET.at(FILL))).isCloseTo(50, within(0.01));
    assertThat(ring.has(Properties.FOCAL_X.at(FILL))).isFalse();
    // from (9, 0), 10 wide, to (0, 0), 30 wide: the middles move by -9 in a length of 20
    PropertySet both = shape(turnedGradient("r='30' fx='9' fr='10'")).local();
    assertTurned(both);
    assertThat(of(both, Properties.FOCAL_X.at(FILL))).isCloseTo(45, within(0.01));
    // at 20 wide it is 4.5 to the right, which is 9 points along the turned axis
    assertThat(of(both, Properties.GRADIENT_X.at(FILL)))
        .isCloseTo((100 + 9 * Math.sqrt(3) / 2) / 2, within(0.01));
    assertThat(of(both, Properties.GRADIENT_Y.at(FILL))).isCloseTo(54.5, within(0.01));
  }

  /** Opacity of an element is that of its fill and its stroke together. */
  @Test
  void fillAndStrokeAreOneGroup() throws IOException {
    PropertySet both =
        shape(
                "<rect width='9' height='9' stroke='red' opacity='.5' stroke-opacity='.4'"
                    + " style='mix-blend-mode:multiply'/>")
            .local();
    Address all = Address.whole(Address.FINISH);
    assertThat(of(both, Properties.COAT_OPACITY.at(all))).isEqualTo(0.5);
    assertThat(of(both, Properties.COAT_BLEND.at(all))).isEqualTo(BlendMode.MULTIPLY);
    assertThat(of(both, Properties.COAT_OPACITY.at(STROKE))).isEqualTo(0.4);
    assertThat(of(both, Properties.COAT_OPACITY.at(FILL))).isEqualTo(1);
    PropertySet line =
        shape("<rect width='9' height='9' fill='none' stroke='red' opacity='.5'/>").local();
    assertThat(of(line, Properties.COAT_OPACITY.at(STROKE))).isEqualTo(0.5);
    assertThat(line.has(Properties.COAT_OPACITY.at(all))).isFalse();
  }

  @Test
  void anEllipseOfTheBoxIsPlain() throws IOException {
    PropertySet plain =
        shape(
                "<radialGradient id='g' r='0.4'><stop stop-color='red'/><stop offset='1'"
                    + " stop-color='blue'/></radialGradient>"
                    + "<rect width='200' height='100' fill='url(#g)'/>")
            .local();
    assertThat(of(plain, Properties.GRADIENT_SCALE.at(FILL))).isCloseTo(80, within(0.01));
    assertThat(plain.has(Properties.RADIAL_SHAPE.at(FILL))).isFalse();
    assertThat(plain.has(Properties.RADIAL_ROTATION.at(FILL))).isFalse();
  }

  @Test
  void stopsThatFadeAreMixedAsDrawingsMixThem() throws IOException {
    GradientStops stops =
        of(
            shape(
                    "<radialGradient id='g'><stop stop-color='#f00'/><stop offset='1' stop-color='#00f'"
                        + " stop-opacity='0'/></radialGradient><circle r='9' fill='url(#g)'/>")
                .local(),
            Properties.GRADIENT_STOPS.at(FILL));
    GradientStops.Stop middle =
        stops.stops().stream().filter(stop -> stop.position() == 0.5).findFirst().orElseThrow();
    assertThat(middle.colour()).isEqualTo(Colour.hex("#800080"));
    assertThat(middle.opacity()).isEqualTo(0.5);
  }

  /** Of two deviations the larger is the blur, and the other is in percent of it. */
  @Test
  void blursOfTwoAmountsAreDirected() throws IOException {
    PropertySet streak =
        shape(
                "<filter id='f'><feGaussianBlur stdDeviation='0 4'/></filter>"
                    + "<rect width='9' height='9' filter='url(#f)'/>")
            .local();
    Address blur = Address.whole(Address.FINISH).effect("blur");
    assertThat(of(streak, Properties.SHADOW_BLUR.at(blur))).isEqualTo(Length.points(8));
    assertThat(of(streak, Properties.BLUR_ASPECT.at(blur))).isZero();
    assertThat(of(streak, Properties.BLUR_ANGLE.at(blur))).isEqualTo(90);
    PropertySet wide =
        shape(
                "<filter id='f'><feDropShadow stdDeviation='4,1' dx='0' dy='0'/></filter>"
                    + "<rect width='9' height='9' filter='url(#f)'/>")
            .local();
    Address shadow = Address.whole(Address.FINISH).effect("shadow");
    assertThat(of(wide, Properties.SHADOW_BLUR.at(shadow))).isEqualTo(Length.points(8));
    assertThat(of(wide, Properties.BLUR_ASPECT.at(shadow))).isEqualTo(25);
    assertThat(of(wide, Properties.BLUR_ANGLE.at(shadow))).isZero();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<filter id='f'><feDropShadow dx='1' dy='2' stdDeviation='3' flood-color='red'/></filter>"
            + "<rect width='9' height='9' filter='url(#f)'/>",
        "<rect width='9' height='9' style='filter:drop-shadow(1px 2px 3px rgb(255, 0, 0))'/>",
        "<filter id='f'><feOffset dx='1' dy='2'/><feGaussianBlur stdDeviation='3'/>"
            + "<feFlood flood-color='red'/><feComposite operator='in'/>"
            + "<feMerge><feMergeNode/><feMergeNode in='SourceGraphic'/></feMerge></filter>"
            + "<rect width='9' height='9' filter='url(#f)'/>"
      })
  void shadowsAreEffects(String elements) throws IOException {
    PropertySet look = shape(elements).local();
    Address shadow = Address.whole(Address.FINISH).effect("shadow");
    assertThat(of(look, Properties.EFFECT_KIND.at(shadow))).isEqualTo(EffectKind.DROP_SHADOW);
    assertThat(of(look, Properties.SHADOW_X.at(shadow))).isEqualTo(Length.points(1));
    assertThat(of(look, Properties.SHADOW_Y.at(shadow))).isEqualTo(Length.points(2));
    // a blur is two deviations
    assertThat(of(look, Properties.SHADOW_BLUR.at(shadow))).isEqualTo(Length.points(6));
    assertThat(of(look, Properties.EFFECT_COLOUR.at(shadow))).isEqualTo(Colour.hex("#ff0000"));
  }

  // --- texts

  @Test
  void linesBelowEachOtherAreOneText() throws IOException {
    WrittenDrawing drawing =
        inside(
            "<text class='lead' font-size='20'><tspan x='10' y='30'>one  two</tspan>\n"
                + "<tspan x='10' dy='26'>three</tspan><tspan x='10' dy='26'>four</tspan>"
                + "<tspan x='200' y='30'>elsewhere</tspan></text>");
    List<WrittenDrawing.Text> texts = texts(drawing);
    assertThat(texts).hasSize(2);
    WrittenParagraph lines = drawing.words().paragraphs().get(0);
    assertThat(lines.text()).isEqualTo("one two\u2028three\u2028four");
    WrittenStyle style = drawing.words().style(lines.style()).orElseThrow();
    assertThat(style.name()).isEqualTo("Lead");
    assertThat(of(style.look(), Properties.LEADING)).isEqualTo(new Leading.Relative(1.3));
    assertThat(drawing.words().paragraphs().get(1).style()).isEqualTo(lines.style());
    assertThat(texts.get(1).x()).isEqualTo(200);
    assertThat(texts.get(1).y()).isEqualTo(30);
  }

  @Test
  void wordsInALineKeepWhatIsTheirs() throws IOException {
    WrittenDrawing drawing =
        inside(
            "<text x='5' y='9' font-size='10' fill='navy'>H<tspan dy='3' font-size='60%'>2</tspan>"
                + "<tspan dy='-3'>O and </tspan><tspan fill='red' font-weight='bold'>fire</tspan></text>");
    List<String> spans =
        drawing.words().paragraphs().getFirst().spans().stream()
            .map(span -> span.text() + " " + span.local())
            .toList();
    assertThat(spans.get(0)).isEqualTo("H {}");
    assertThat(spans.get(1)).contains("2 ").contains("size=6 pt").contains("baseline-shift=-3 pt");
    assertThat(spans.get(2)).isEqualTo("O and  {}");
    assertThat(spans.get(3)).contains("colour=#ff0000").contains("font-weight=700");
  }

  @Test
  void looksThatAreEqualAreOneStyleAndClassesNameThem() throws IOException {
    WrittenDrawing drawing =
        inside(
            "<style>.st0{font:italic 12px 'EB Garamond', serif}.cardTitle{font-size:30px}</style>"
                + "<text class='st0' y='10'>a</text><text class='st0' x='9' y='40'>b</text>"
                + "<text class='cardTitle' y='80'>c</text>"
                + "<text class='cardTitle' y='120' fill='red'>d</text>"
                + "<text font-size='24' text-anchor='middle' x='200' y='90'>e</text>");
    assertThat(drawing.words().used())
        .extracting(used -> used.style().name() + " " + used.count() + " " + used.style().isNamed())
        .containsExactly(
            "EB Garamond italic 12 2 false",
            "Card Title 1 true",
            "Card Title 2 1 true",
            "Plain 24 1 false");
    WrittenStyle centred = drawing.words().used().get(3).style();
    assertThat(of(centred.look(), Properties.ALIGNMENT)).isEqualTo(Alignment.CENTRE);
    assertThat(texts(drawing).get(4).across()).isEqualTo(0.5);
  }

  @Test
  void lettersAreTurnedStretchedAndSheared() throws IOException {
    WrittenDrawing drawing =
        inside(
            "<text font-size='10' transform='translate(50 60) rotate(-90) scale(3 2)'>up</text>");
    WrittenDrawing.Text text = texts(drawing).getFirst();
    assertThat(text.rotation()).isEqualTo(-90);
    assertThat(text.x()).isEqualTo(50);
    PropertySet look = drawing.words().styles().getFirst().look();
    assertThat(of(look, Properties.SIZE)).isEqualTo(FontSize.points(20));
    assertThat(of(look, Properties.HORIZONTAL_SCALE)).isEqualTo(150);
    PropertySet leaning =
        inside("<text transform='skewX(-12)'>it</text>").words().styles().getFirst().look();
    assertThat(of(leaning, Properties.SHEAR)).as("to the right").isEqualTo(12);
  }

  @ParameterizedTest
  @CsvSource({
    "SourceSans3-SemiBoldIt, Source Sans 3, 600, ITALIC",
    "EBGaramond-Regular, EB Garamond, 400, UPRIGHT",
    "Arial-BoldItalicMT, Arial, 700, ITALIC",
    "RobotoCondensed-ExtraLight, Roboto Condensed, 200, UPRIGHT",
    "IBM Plex Sans, IBM Plex Sans, 400, UPRIGHT",
    "Noto-Nastaliq, Noto-Nastaliq, 400, UPRIGHT"
  })
  void facesByTheirPostScriptNamesAreFamiliesAndWeights(
      String written, String family, double weight, String slant) throws IOException {
    PropertySet look =
        inside("<text font-family='%s, sans-serif'>a</text>".formatted(written))
            .words()
            .styles()
            .getFirst()
            .look();
    assertThat(of(look, Properties.FONT_FAMILY)).isEqualTo(family);
    assertThat(of(look, Properties.FONT_WEIGHT)).isEqualTo(weight);
    assertThat(of(look, Properties.SLANT)).hasToString(slant);
  }

  // --- what does not come

  @Test
  void whatStaysBehindIsTold() throws IOException {
    assertThat(
            inside(
                    "<rect width='9' height='9'/><g display='none'><text>a</text></g>"
                        + "<image href='photo.jpg' width='9' height='9'/>"
                        + "<rect width='9' height='9' fill='url(#p)'/><pattern id='p'/>"
                        + "<rect width='9' height='9' mask='url(#m)'/>"
                        + "<text x='1 2 3'>abc</text>"
                        + "<path id='w' d='M5 50h90'/><text><textPath href='#w'>way</textPath></text>"
                        + "<foreignObject/>"
                        + "<path d='M 1 2 L nonsense'/>")
                .words()
                .remarks())
        .containsExactlyInAnyOrder(
            "1 hidden element stays behind.",
            "1 image that lies in another file stays behind: place it by itself.",
            "1 text on a path is set straight, from the beginning of its path.",
            "1 text placed its letters one by one; they stand as its font sets them.",
            "1 mask is left out.",
            "1 pattern is left out.",
            "1 part that is no drawing stays behind.",
            "1 path cannot be read and stays behind.");
  }

  @Test
  void nothingOutsideIsReadAndNothingGrowsWithoutEnd() {
    assertThatThrownBy(() -> read("<html><p>no drawing</p></html>"))
        .isInstanceOf(IOException.class)
        .hasMessage("card.svg is no SVG drawing.");
    assertThatThrownBy(() -> inside("")).hasMessageContaining("shows nothing");
    assertThatThrownBy(() -> read("<svg width='1e6' height='9'><rect width='9' height='9'/></svg>"))
        .hasMessageContaining("1000000");
    assertThatThrownBy(
            () -> read("<svg viewBox='0 0 9 9'>" + "<g>".repeat(5000) + "<path d='M0 0h9'/>"))
        .hasMessageContaining("too many within each other");
  }

  @Test
  @Timeout(20)
  void copiesOfCopiesAreRefused() {
    assertThatThrownBy(() -> inside(bomb("<rect width='1' height='1'/>")))
        .hasMessageContaining("20000");
    assertThatThrownBy(() -> inside(bomb(""))).as("nothing, often").hasMessageContaining("20000");
    assertThatThrownBy(() -> inside("<g id='a'><use href='#a'/></g>"))
        .isInstanceOf(IOException.class);
  }

  /** Forty groups, each with the one before twice. */
  private static String bomb(String inside) {
    StringBuilder bomb = new StringBuilder("<g id='a0'>" + inside + "</g>");
    for (int level = 1; level < 40; level++) {
      bomb.append("<g id='a").append(level).append("'>");
      bomb.append("<use href='#a%d'/><use href='#a%d'/></g>".formatted(level - 1, level - 1));
    }
    return bomb.toString();
  }

  @Test
  void entitiesOfOtherFilesStayClosed() throws IOException {
    WrittenDrawing drawing =
        read(
            "<?xml version='1.0'?><!DOCTYPE svg [<!ENTITY e SYSTEM 'file:///etc/hostname'>]>"
                + "<svg viewBox='0 0 9 9'><text>a&e;b</text></svg>");
    assertThat(drawing.words().paragraphs().getFirst().text()).isEqualTo("a&e;b");
  }

  @Test
  void compressedDrawingsAreDrawingsAndTornOnesAreTold() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (GZIPOutputStream out = new GZIPOutputStream(bytes)) {
      out.write("<svg viewBox='0 0 9 9'><circle r='3'/></svg>".getBytes(StandardCharsets.UTF_8));
    }
    assertThat(SvgFile.read(bytes.toByteArray(), "c.svgz").items()).hasSize(1);
    byte[] torn = Arrays.copyOf(bytes.toByteArray(), bytes.size() - 12);
    assertThatThrownBy(() -> SvgFile.read(torn, "c.svgz"))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("ends too early");
  }
}
