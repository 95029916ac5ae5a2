package dynamorph.paint.export;

import static dynamorph.paint.Painting.text;
import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import dynamorph.paint.artwork.Artwork;
import dynamorph.paint.export.pdf.PdfPage;
import dynamorph.paint.export.pdf.PdfSettings;
import dynamorph.paint.export.pdf.PdfWriter;
import dynamorph.typeset.layout.TextLayout;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** One look on the stage, as a picture, and drawn by another program from the PDF. */
class SpecimenSheetTest {
  private static final double SCALE = 2;

  /** Looks that have every kind of mark between them. */
  private static final Map<String, String> LOOKS =
      Map.ofEntries(
          Map.entry("plain", "finish/fill/colour=#2255aa"),
          Map.entry(
              "rim",
              "finish/rim/kind=stroke;finish/rim/width=3 pt;finish/rim/position=outside;finish/rim/"
                  + "order=-1;finish/rim/colour=#cc6600;finish/rim/opacity=0.5"),
          Map.entry(
              "dots",
              "finish/rim/kind=stroke;finish/rim/width=3 pt;finish/rim/dashes=0 pt, 7 pt;finish/rim/"
                  + "cap=round;finish/rim/dash-fit=contour;finish/rim/offset=5 pt"),
          Map.entry(
              "linear",
              "finish/fill/paint=linear;finish/fill/stops=#ff3300 0%, #ffe08a 40%, #0033aa 100%"
                  + ";finish/fill/angle=60"),
          Map.entry(
              "fading", "finish/fill/paint=linear;finish/fill/stops=#ff3300 0%, #0033aa 100% / 0%"),
          Map.entry(
              "repeated",
              "finish/fill/paint=linear;finish/fill/repeat=mirror;finish/fill/gradient-scale=30"),
          Map.entry(
              "radial",
              "finish/fill/paint=radial;finish/fill/stops=#ffffff 0%, #aa3300 100%;finish/fill/"
                  + "repeat=repeat;finish/fill/gradient-scale=40;finish/fill/gradient-offset=30"),
          Map.entry(
              "together",
              "finish/whole/opacity=0.5;finish/fill/colour=#2255aa;finish/rim/kind=stroke"
                  + ";finish/rim/width=6 pt;finish/rim/order=1;finish/rim/colour=#cc6600"),
          Map.entry(
              "focal",
              "finish/fill/paint=radial;finish/fill/stops=#ffffff 0%, #aa3300 60%, #2244aa 100%"
                  + " / 40%;finish/fill/radial-shape=circle;finish/fill/aspect=60"
                  + ";finish/fill/gradient-rotation=25;finish/fill/focal-x=40"
                  + ";finish/fill/focal-y=-30;finish/fill/repeat=repeat"
                  + ";finish/fill/gradient-scale=60"),
          Map.entry(
              "by-glyph",
              "finish/fill/paint=linear;finish/fill/fit=glyph;finish/fill/stops=#ff3300 0%, #0033aa"
                  + " 100%"),
          Map.entry(
              "pattern",
              "finish/fill/paint=pattern;finish/fill/tile=checks;finish/fill/tile-size=9 pt"
                  + ";finish/fill/tile-background=#ffee88;finish/fill/tile-angle=30"),
          Map.entry(
              "long-shadow",
              "finish/cast/kind=fill;finish/cast/order=-1;finish/cast/copies=12;finish/cast/"
                  + "step-x=1 pt;finish/cast/step-y=1 pt;finish/cast/colours-stepped=true;"
                  + "finish/cast/colour=#884422;finish/cast/end-colour=#ffffff"));

  private static final Map<String, String> RASTERISED =
      Map.of(
          "shadow", "finish/fill/cast/kind=drop-shadow;finish/fill/cast/blur=6 pt",
          "raised", "finish/fill/edge/kind=bevel;finish/fill/colour=#b87333",
          "conic", "finish/fill/paint=conic",
          "grain", "finish/fill/paint=pattern;finish/fill/tile=grain",
          "masked",
              "finish/whole/mask=linear;finish/whole/angle=0;finish/fill/colour=#aa3300"
                  + ";finish/whole/opacity=0.8",
          "whole", "finish/whole/cast/kind=outer-glow;finish/whole/cast/colour=#ff8800");

  private static SpecimenSheet sheet(String settings) {
    PropertySet look =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, "Anton")
            .with(Properties.SIZE, FontSize.points(60));
    for (String setting : settings.split(";")) {
      String[] parts = setting.split("=");
      look = look.withText(Properties.key(parts[0]), parts[1]);
    }
    return sheet(look);
  }

  private static SpecimenSheet sheet(PropertySet look) {
    Layer layer = text("t", "Rag", look);
    ResolvedLayer resolved = Cascade.of(Project.empty("p")).resolve(layer);
    TextLayout layout = Painting.maker().typesetter().layout(layer.story(), resolved);
    return new SpecimenSheet(layout, resolved, Optional.of(Rgba.WHITE), false, 12, SCALE);
  }

  private static BufferedImage image(byte[] png) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(png));
  }

  private static byte[] pdf(Artwork artwork) {
    return PdfWriter.write(
        List.of(new PdfPage("sheet", artwork)),
        new PdfSettings(
            "sheet",
            "en",
            ExportPreset.Document.PLAIN,
            ZonedDateTime.parse("2026-01-02T03:04:05Z")));
  }

  private static BufferedImage drawnByAnother(byte[] pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFRenderer(document).renderImage(0, (float) SCALE);
    }
  }

  /**
   * The mean difference of channels, from 0 to 255, where neither picture has an edge: there two
   * programs share a pixel out in their own ways.
   */
  private static double difference(BufferedImage one, BufferedImage other) {
    assertThat(other.getWidth()).isEqualTo(one.getWidth());
    assertThat(other.getHeight()).isEqualTo(one.getHeight());
    double sum = 0;
    int count = 0;
    for (int y = 1; y + 1 < one.getHeight(); y++) {
      for (int x = 1; x + 1 < one.getWidth(); x++) {
        if (!isEdge(one, x, y) && !isEdge(other, x, y)) {
          for (int shift = 0; shift < 24; shift += 8) {
            sum +=
                Math.abs((one.getRGB(x, y) >> shift & 0xFF) - (other.getRGB(x, y) >> shift & 0xFF));
            count++;
          }
        }
      }
    }
    assertThat(count).isGreaterThan(one.getWidth() * one.getHeight());
    return sum / count;
  }

  private static boolean isEdge(BufferedImage image, int x, int y) {
    for (int shift = 0; shift < 24; shift += 8) {
      int least = 255;
      int most = 0;
      for (int dy = -1; dy <= 1; dy++) {
        for (int dx = -1; dx <= 1; dx++) {
          int value = image.getRGB(x + dx, y + dy) >> shift & 0xFF;
          least = Math.min(least, value);
          most = Math.max(most, value);
        }
      }
      if (most - least > 24) {
        return true;
      }
    }
    return false;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "plain",
        "rim",
        "dots",
        "linear",
        "fading",
        "repeated",
        "radial",
        "focal",
        "together",
        "by-glyph",
        "pattern",
        "long-shadow"
      })
  void whatCanBeToldAsAreasIsSharpAndLooksTheSame(String name) throws IOException {
    SpecimenSheet sheet = sheet(LOOKS.get(name));
    assertThat(sheet.artwork().pictures()).isEmpty();
    assertThat(difference(image(sheet.png()), drawnByAnother(pdf(sheet.artwork())))).isLessThan(1);
    assertThat(new String(SvgWriter.write(sheet.artwork()), StandardCharsets.UTF_8))
        .startsWith("<?xml")
        .contains("<path")
        .doesNotContain("<image");
  }

  /** The circle of a radial gradient is one of radius 1, which its transform makes an ellipse. */
  @Test
  void aFocalPointIsToldInSvg() throws IOException {
    String svg =
        new String(SvgWriter.write(sheet(LOOKS.get("focal")).artwork()), StandardCharsets.UTF_8);
    assertThat(svg).contains("cx=\"0\" cy=\"0\" r=\"1\"", "fx=\"0.4\" fy=\"-0.3\" fr=\"0\"");
  }

  @ParameterizedTest
  @ValueSource(strings = {"shadow", "raised", "conic", "grain", "masked", "whole"})
  void whatCannotIsKeptAsPixelsAndListed(String name) throws IOException {
    SpecimenSheet sheet = sheet(RASTERISED.get(name));
    assertThat(sheet.artwork().pictures()).hasSize(1);
    assertThat(difference(image(sheet.png()), drawnByAnother(pdf(sheet.artwork())))).isLessThan(1);
    assertThat(new String(SvgWriter.write(sheet.artwork()), StandardCharsets.UTF_8))
        .contains("<image");
  }

  @ParameterizedTest
  @EnumSource(value = BlendMode.class, mode = EnumSource.Mode.EXCLUDE, names = "PLUS_LIGHTER")
  void coatsMixInTheFileAsTheyDoOnTheStage(BlendMode mode) throws IOException {
    Address over = Address.coat("over");
    PropertySet look =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, "Anton")
            .with(Properties.SIZE, FontSize.points(60))
            .with(Properties.COAT_COLOUR.at(Painting.FILL), Colour.hex("#c86432"))
            .with(Properties.COAT_KIND.at(over), CoatKind.FILL)
            .with(Properties.COAT_ORDER.at(over), 1.0)
            .with(Properties.COAT_COLOUR.at(over), Colour.hex("#4696b4"))
            .with(Properties.COAT_OPACITY.at(over), 0.8)
            .with(Properties.COAT_BLEND.at(over), mode);
    SpecimenSheet sheet = sheet(look);
    assertThat(difference(image(sheet.png()), drawnByAnother(pdf(sheet.artwork())))).isLessThan(1);
  }

  @Test
  void aBlendModeThatPdfLacksMakesOnePictureOfEverything() {
    SpecimenSheet sheet = sheet("finish/fill/blend=plus-lighter");
    assertThat(PdfWriter.canMix(sheet.artwork())).isFalse();
    var flattened = sheet.flattened("it is so");
    assertThat(PdfWriter.canMix(flattened)).isTrue();
    assertThat(flattened.pictures()).containsExactly("everything, since it is so");
  }

  @Test
  void theStageShowsTheSamePixels() throws IOException {
    PropertySet look =
        PropertySet.EMPTY
            .withText(Properties.key("finish/rim/kind"), "stroke")
            .withText(Properties.key("finish/rim/colour"), "#cc6600")
            .withText(Properties.key("finish/fill/cast/kind"), "drop-shadow");
    Layer layer =
        text("t", "Rag", look)
            .withFrame(
                PropertySet.EMPTY
                    .with(Properties.POSITION_X, 20.0)
                    .with(Properties.POSITION_Y, 20.0));
    Pixels stage = Painting.stage(Painting.project(layer), SCALE);
    BufferedImage specimen = image(sheet(look).png());
    SpecimenSheet sheet = sheet(look);
    double sum = 0;
    int count = 0;
    for (int y = 0; y < specimen.getHeight(); y++) {
      for (int x = 0; x < specimen.getWidth(); x++) {
        int atX = x + (int) Math.round((20 + sheet.left()) * SCALE);
        int atY = y + (int) Math.round((20 + sheet.top()) * SCALE);
        if (atX >= 0 && atY >= 0 && atX < stage.width() && atY < stage.height()) {
          sum += Math.abs((stage.argb(atX, atY) & 0xFF) - (specimen.getRGB(x, y) & 0xFF));
          count++;
        }
      }
    }
    assertThat(count).isGreaterThan(10_000);
    assertThat(sum / count).isLessThan(1);
  }

  @Test
  void anImageOfTheProjectIsATileOfTheFile() throws IOException {
    BufferedImage half = new BufferedImage(16, 16, BufferedImage.TYPE_INT_ARGB);
    for (int y = 0; y < 16; y++) {
      for (int x = 0; x < 16; x++) {
        half.setRGB(x, y, x < 8 ? 0xFFCC2200 : 0xFF0022CC);
      }
    }
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(half, "png", png);
    Asset asset = new Asset("images/half.png", png.toByteArray());
    PropertySet look =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, "Anton")
            .with(Properties.SIZE, FontSize.points(60))
            .withText(Properties.key("finish/fill/paint"), "pattern")
            .withText(Properties.key("finish/fill/tile"), "image")
            .withText(Properties.key("finish/fill/tile-size"), "16 pt")
            .withText(Properties.key("finish/fill/tile-image"), "half.png");
    Layer layer = text("t", "Rag", look);
    Project project = Project.empty("p").withAssets(List.of(asset));
    ResolvedLayer resolved = Cascade.of(project).resolve(layer);
    TextLayout layout = Painting.maker().typesetter().layout(layer.story(), resolved);
    SpecimenSheet sheet =
        new SpecimenSheet(layout, resolved, Optional.of(Rgba.WHITE), false, 12, SCALE);
    assertThat(difference(image(sheet.png()), drawnByAnother(pdf(sheet.artwork())))).isLessThan(1);
    assertThat(sheet.artwork().pictures()).isEmpty();
  }
}
