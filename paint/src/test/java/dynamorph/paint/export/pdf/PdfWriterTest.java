package dynamorph.paint.export.pdf;

import static dynamorph.paint.Painting.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Painting;
import dynamorph.paint.artwork.Artwork;
import dynamorph.paint.export.ArtboardArtwork;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.awt.geom.GeneralPath;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDCIDFontType0;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Artboards as documents: what is read in them, and what another program draws from them. */
class PdfWriterTest {
  private static final ZonedDateTime THEN = ZonedDateTime.parse("2026-01-02T03:04:05Z");
  private static final double SCALE = 3;

  private static Scene.Board board(Project project, SceneMaker maker) {
    return maker.make(project).boards().getFirst();
  }

  private static byte[] pdf(Scene.Board board, ExportPreset.Document trim) {
    return PdfWriter.write(
        List.of(
            new PdfPage(
                board.artboard().name(),
                ArtboardArtwork.of(board, Optional.of(board.background()), true, SCALE))),
        new PdfSettings("P", "en", trim, THEN));
  }

  private static byte[] pdf(Layer... layers) {
    return pdf(board(Painting.project(layers), Painting.maker()), ExportPreset.Document.PLAIN);
  }

  private static Layer set(String words, String... settings) {
    PropertySet local = PropertySet.EMPTY.with(Properties.FONT_FAMILY, "EB Garamond");
    for (String setting : settings) {
      String[] parts = setting.split("=");
      local = local.withText(Properties.key(parts[0]), parts[1]);
    }
    return text("t", words, local);
  }

  private static String read(byte[] pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(document).strip();
    }
  }

  private static BufferedImage drawn(byte[] pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFRenderer(document).renderImage(0, (float) SCALE);
    }
  }

  /** The mean difference of a channel, from 0 to 255, edges and all. */
  private static double difference(Layer layer) throws IOException {
    Scene.Board board = board(Painting.project(layer), Painting.maker());
    BufferedImage own =
        ImageIO.read(
            new ByteArrayInputStream(new ArtboardPicture(new LayerPainter()).png(board, SCALE)));
    BufferedImage other = drawn(pdf(board, ExportPreset.Document.PLAIN));
    double sum = 0;
    for (int y = 0; y < own.getHeight(); y++) {
      for (int x = 0; x < own.getWidth(); x++) {
        sum += Math.abs((own.getRGB(x, y) & 0xFF) - (other.getRGB(x, y) & 0xFF));
      }
    }
    return sum / own.getWidth() / own.getHeight();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"Office fjord, Quixotic", "1743 · ½ — “so”", "Ὥρα χρόνου", "Часы", "naïve façade"})
  void wordsAreReadAsTheyWereTyped(String words) throws IOException {
    assertThat(read(pdf(set(words, "size=14 pt")))).isEqualTo(words);
  }

  @Test
  void lettersThatHaveOtherGlyphsAreReadAsTyped() throws IOException {
    byte[] pdf =
        pdf(
            set(
                "Waffle 1492 and 2/3",
                "size=14 pt",
                "font-features=smcp=1, onum=1, frac=1, dlig=1"));
    assertThat(read(pdf)).isEqualTo("Waffle 1492 and 2/3");
  }

  @Test
  void verticalWordsAreReadDownTheirLines() throws IOException {
    String words = "\u9577\u304412\u6642\u3001Hour";
    byte[] pdf =
        pdf(
            set(
                words,
                "font-family=Noto Sans JP",
                "size=10 pt",
                "tate-chu-yoko=two-digits",
                "writing-mode=vertical-right-to-left"));
    // letters that stand below each other are lines to the reader
    assertThat(read(pdf).replaceAll("\\s", "")).isEqualTo(words);
    Layer layer =
        set(
            words,
            "font-family=Noto Sans JP",
            "size=12 pt",
            "shear=15",
            "writing-mode=vertical-right-to-left");
    assertThat(difference(layer)).isLessThan(0.6);
  }

  @Test
  void numbersOfAListAndHyphensAreRead() throws IOException {
    Layer list =
        set("Winding", "size=12 pt", "list=numbers", "box=grow", "box-width=120")
            .withStory(Story.of(Paragraph.of("Stop the strike"), Paragraph.of("Wind the train")));
    assertThat(read(pdf(list)).lines().map(String::strip))
        .containsExactly("1. Stop the strike", "2. Wind the train");
    Layer hyphenated =
        set("unquestionably so", "size=20 pt", "hyphenate=true", "box=grow", "box-width=70");
    assertThat(read(pdf(hyphenated)).replace("\u00AD", "").replaceAll("\\s", ""))
        .isEqualTo("unquestionablyso");
    assertThat(read(pdf(hyphenated))).contains("\u00AD");
  }

  @Test
  void wordsThatAreAreasAreReadToo() throws IOException {
    byte[] pdf = pdf(set("Enamel", "finish/fill/paint=linear"));
    assertThat(read(pdf)).isEqualTo("Enamel");
    assertThat(outlines(pdf)).as("they are drawn as areas, not twice").isEmpty();
    assertThat(outlines(pdf(set("Enamel")))).as("plain ones are drawn as letters").isNotEmpty();
  }

  /** The contours of all letters that the fonts of a page have. */
  private static List<GeneralPath> outlines(byte[] pdf) throws IOException {
    List<GeneralPath> outlines = new ArrayList<>();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      PDResources resources = document.getPage(0).getResources();
      for (COSName name : resources.getXObjectNames()) {
        PDResources own = ((PDFormXObject) resources.getXObject(name)).getResources();
        for (COSName font : own.getFontNames()) {
          PDType0Font letters = (PDType0Font) own.getFont(font);
          var program = (PDCIDFontType0) letters.getDescendantFont();
          for (int code = 0; code < 200; code++) {
            GeneralPath path = program.getPath(code);
            if (!path.getBounds2D().isEmpty()) {
              outlines.add(path);
            }
          }
        }
      }
    }
    return outlines;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "kerning=optical",
        "tracking=120",
        "horizontal-scale=140 %",
        "shear=20",
        "rotation=24",
        "baseline-shift=6 pt",
        "font-family=Fraunces",
        "font-family=Anton",
        "writing-mode=vertical-right-to-left",
        "writing-mode=vertical-left-to-right",
        "underline=true",
        "font-features=smcp=1",
        "finish/fill/colour=#a03020"
      })
  void anotherProgramDrawsLettersWhereTheyStand(String setting) throws IOException {
    String[] parts = setting.split("=", 2);
    Layer plain = set("AVATARS fly", "size=30 pt");
    Layer layer =
        parts[0].equals("rotation")
            ? plain.withFrame(plain.frame().withText(Properties.key("rotation"), parts[1]))
            : plain.withLocal(plain.local().withText(Properties.key(parts[0]), parts[1]));
    assertThat(difference(layer)).isLessThan(0.6);
  }

  @Test
  void contoursAreThoseOfTheFont() throws IOException {
    // the H of Anton, 1000 units an em as in the font itself: hmtx and glyf say so
    byte[] pdf = pdf(set("H", "font-family=Anton"));
    Rectangle2D box = outlines(pdf).getFirst().getBounds2D();
    var face =
        FontLibrary.shipped().match("Anton", 400, dynamorph.model.value.Slant.UPRIGHT).face();
    try (var font = face.font(1000);
        var path = font.getPath((short) face.glyph('H'))) {
      var wanted = path.computeTightBounds();
      assertThat(box.getMinX()).isCloseTo(wanted.getLeft(), within(0.01));
      assertThat(box.getMaxX()).isCloseTo(wanted.getRight(), within(0.01));
      assertThat(box.getMaxY()).isCloseTo(-wanted.getTop(), within(0.01));
    }
  }

  @Test
  void pagesHaveTheirTrimAndBleed() throws IOException {
    Scene.Board board = board(Painting.project(set("Hour")), Painting.maker());
    byte[] pdf = pdf(board, new ExportPreset.Document(false, 9, true));
    try (PDDocument document = Loader.loadPDF(pdf)) {
      PDPage page = document.getPage(0);
      // an artboard of 200 × 100; outside of the bleed a gap of 6 and marks of 18
      assertBox(page.getMediaBox(), 0, 0, 266, 166);
      assertBox(page.getBleedBox(), 24, 24, 218, 118);
      assertBox(page.getTrimBox(), 33, 33, 200, 100);
      BufferedImage drawn = new PDFRenderer(document).renderImage(0, 4);
      assertThat(drawn.getRGB(4 * 10, 4 * 33) & 0xFF)
          .as("a mark beside the corner")
          .isLessThan(250);
      assertThat(drawn.getRGB(4 * 10, 4 * 36) & 0xFF).as("nothing but it").isEqualTo(255);
    }
  }

  private static void assertBox(PDRectangle box, double x, double y, double width, double height) {
    assertThat(box.getLowerLeftX()).isCloseTo((float) x, within(0.01f));
    assertThat(box.getLowerLeftY()).isCloseTo((float) y, within(0.01f));
    assertThat(box.getWidth()).isCloseTo((float) width, within(0.01f));
    assertThat(box.getHeight()).isCloseTo((float) height, within(0.01f));
  }

  @Test
  void theBackgroundGoesOnIntoTheBleed() throws IOException {
    Project red =
        Project.empty("P")
            .plus(
                Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                    .withBackground(dynamorph.model.value.Colour.of(Rgba.parse("#cc0000"))));
    byte[] pdf = pdf(board(red, Painting.maker()), new ExportPreset.Document(false, 10, false));
    BufferedImage drawn = drawn(pdf);
    assertThat(drawn.getRGB(2, 2) & 0xFFFFFF).isEqualTo(0xCC0000);
    assertThat(drawn.getWidth()).isEqualTo(360);
  }

  @Test
  void aPageThatIsTooLargeCountsInLargerUnits() throws IOException {
    Project wide =
        Project.empty("P").plus(Artboard.empty("a", "A", 20_000, 1000, LengthUnit.POINT));
    try (PDDocument document =
        Loader.loadPDF(pdf(board(wide, Painting.maker()), ExportPreset.Document.PLAIN))) {
      PDPage page = document.getPage(0);
      assertThat(page.getUserUnit()).isEqualTo(2);
      assertThat(page.getMediaBox().getWidth()).isEqualTo(10_000);
    }
  }

  @Test
  void aFontThatMustNotBeEmbeddedLendsNoOutlines() throws IOException {
    byte[] font;
    try (InputStream shipped =
        FontLibrary.class.getResourceAsStream("fonts/anton/Anton_400Regular.ttf")) {
      font = shipped == null ? anton() : shipped.readAllBytes();
    }
    restrict(font);
    Asset asset = new Asset("fonts/Anton.ttf", font);
    Project project = Painting.project(set("Hour", "font-family=Anton")).withAssets(List.of(asset));
    try (FontLibrary fonts = FontLibrary.forProject(project.assets())) {
      SceneMaker maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
      byte[] pdf = pdf(board(project, maker), ExportPreset.Document.PLAIN);
      assertThat(outlines(pdf)).isEmpty();
      assertThat(read(pdf)).isEqualTo("Hour");
      assertThat(drawn(pdf).getRGB(75, 100)).as("its letters are areas").isNotEqualTo(-1);
    }
  }

  private static byte[] anton() throws IOException {
    return java.nio.file.Files.readAllBytes(
        java.nio.file.Path.of(
            "../typeset/src/main/resources/dynamorph/typeset/fonts/anton/Anton_400Regular.ttf"));
  }

  /** Sets fsType of OS/2 to 2, which forbids to embed the font. */
  private static void restrict(byte[] font) {
    ByteBuffer bytes = ByteBuffer.wrap(font);
    for (int table = 0; table < bytes.getShort(4); table++) {
      int record = 12 + 16 * table;
      if (bytes.getInt(record) == 0x4F532F32) {
        bytes.putShort(bytes.getInt(record + 8) + 8, (short) 2);
      }
    }
  }

  @Test
  void theSameIsWrittenAgain() {
    Layer layer = set("Hour", "finish/fill/cast/kind=drop-shadow");
    byte[] once = pdf(layer);
    assertThat(pdf(layer)).isEqualTo(once);
    assertThat(PdfWriter.made(once).map(ZonedDateTime::toInstant)).contains(THEN.toInstant());
    assertThat(PdfWriter.made(new byte[] {1, 2, 3})).isEmpty();
    for (String zone : List.of("Asia/Kolkata", "America/St_Johns", "Europe/Berlin")) {
      byte[] pdf = empty(THEN.withZoneSameInstant(ZoneId.of(zone)));
      assertThat(empty(PdfWriter.made(pdf).orElseThrow())).as(zone).isEqualTo(pdf);
    }
  }

  private static byte[] empty(ZonedDateTime made) {
    return PdfWriter.write(
        List.of(new PdfPage("A", new Artwork(10, 10, Optional.empty(), List.of()))),
        new PdfSettings("P", "en", ExportPreset.Document.PLAIN, made));
  }

  @Test
  void aModeThatPdfHasNotMakesOnePictureThatIsStillRead() throws IOException {
    Layer layer = set("Light", "finish/fill/blend=plus-lighter").withFrame(set("x").frame());
    Scene.Board board = board(Painting.project(layer), Painting.maker());
    assertThat(PdfWriter.canMix(ArtboardArtwork.of(board, Optional.empty(), true, 1))).isFalse();
    assertThat(read(flattened(board, Optional.empty()))).isEqualTo("Light");
    Optional<Rgba> dark = Optional.of(Rgba.parse("#203040"));
    assertThat(drawn(flattened(board, dark)).getRGB(2, 2) & 0xFFFFFF).isEqualTo(0x203040);
    assertThat(drawn(flattened(board, Optional.empty())).getRGB(2, 2) & 0xFFFFFF)
        .as("paper, where the background is left out")
        .isEqualTo(0xFFFFFF);
  }

  private static byte[] flattened(Scene.Board board, Optional<Rgba> ground) {
    return PdfWriter.write(
        List.of(
            new PdfPage(
                "A", ArtboardArtwork.flattened(board, ground, new LayerPainter(), "why", 1))),
        new PdfSettings("P", "en", ExportPreset.Document.PLAIN, THEN));
  }
}
