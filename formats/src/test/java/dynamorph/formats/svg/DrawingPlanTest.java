package dynamorph.formats.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.formats.document.DocumentPlan;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.IdSource;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.document.DirectFormatting;
import dynamorph.model.document.Mapped;
import dynamorph.model.document.StyleMapping;
import dynamorph.model.document.drawing.WrittenDrawing;
import dynamorph.model.document.mapping.MappedDocument;
import dynamorph.model.document.mapping.MappingProposal;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.value.FontSize;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.PlanePoint;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.Typesetter;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** What comes to stand on an artboard of a drawing, and what its looks become. */
class DrawingPlanTest {
  private static final FontLibrary FONTS = FontLibrary.shipped();
  private static final SceneMaker MAKER = new SceneMaker(new Typesetter(FONTS), new LayerPainter());

  private static final AtomicInteger COUNT = new AtomicInteger();

  @AfterAll
  static void close() {
    FONTS.close();
  }

  private static DocumentPlan plan(
      Project project, WrittenDrawing drawing, StyleMapping mapping, Optional<ArtboardId> onto) {
    IdSource ids = prefix -> prefix + "-" + COUNT.incrementAndGet();
    return DrawingPlan.of(
        new MappedDocument(project, drawing.words(), mapping.withDirect(DirectFormatting.ALL)),
        drawing,
        onto,
        MAKER,
        ids);
  }

  private static WrittenDrawing card() throws IOException {
    try (InputStream in = DrawingPlanTest.class.getResourceAsStream("opening-card.svg")) {
      return SvgFile.read(in.readAllBytes(), "opening-card.svg");
    }
  }

  private static WrittenDrawing read(String elements) throws IOException {
    String svg = "<svg viewBox='0 0 400 200'>" + elements + "</svg>";
    return SvgFile.read(svg.getBytes(StandardCharsets.UTF_8), "card.svg");
  }

  private static Project after(Project project, WrittenDrawing drawing) {
    return plan(project, drawing, MappingProposal.of(project, drawing.words()), Optional.empty())
        .edit()
        .applyTo(project);
  }

  /** Where something of a line of a text lies on its artboard. */
  private static PlanePoint place(Project project, String name, int line, double across) {
    Scene scene = MAKER.make(project);
    Layer layer = project.layers().filter(one -> one.name().equals(name)).findFirst().orElseThrow();
    PlacedLayer placed = scene.find(layer.id()).orElseThrow().text();
    Line set = placed.layout().lines().get(line);
    double along = set.left() + set.width() * across;
    return placed.toArtboard(
        set.axes().x(along, set.baseline()), set.axes().y(along, set.baseline()));
  }

  private static void lies(PlanePoint place, double x, double y) {
    assertThat(place.x()).as("x").isCloseTo(x, within(0.05));
    assertThat(place.y()).as("y").isCloseTo(y, within(0.05));
  }

  /** The middle of vertical lines lies at x; they begin, are centred or end at y. */
  @Test
  void verticalTextsStandWhereTheDrawingHasThem() throws IOException {
    String attributes =
        " font-family='Noto Sans JP' font-size='20' style='writing-mode:vertical-rl'";
    Project after =
        after(
            Project.empty("P"),
            read(
                "<text x='300' y='20'"
                    + attributes
                    + ">\u6642\u9593<tspan x='270' y='20'>\u9577\u3044\u6642</tspan></text>"
                    + "<text x='100' y='190' text-anchor='end'"
                    + attributes
                    + ">\u5854 12</text>"));
    String lines = "\u6642\u9593\u2028\u9577\u3044\u6642";
    Layer first =
        after.layers().filter(one -> one.story().text().equals(lines)).findFirst().orElseThrow();
    lies(place(after, first.name(), 0, 0), 300, 20);
    lies(place(after, first.name(), 1, 1), 270, 80);
    lies(place(after, "\u5854 12", 0, 1), 100, 190);
    Scene scene = MAKER.make(after);
    assertThat(scene.find(first.id()).orElseThrow().text().layout().axes().isVertical()).isTrue();
  }

  @Test
  void textsStandOnTheBaselinesOfTheDrawing() throws IOException {
    Project after = after(Project.empty("P"), card());
    // 840 units are 210 mm, a unit so many points
    double unit = 210 * 72 / 25.4 / 840;
    lies(place(after, "The clock strikes", 0, 0), 60 * unit, 120 * unit);
    lies(place(after, "Admits two", 0, 0.5), 170.243 * unit, 511.996 * unit);
    lies(place(after, "QUARTER BELL MUSEUM", 0, 0), 812 * unit, 556 * unit);
    String lines = "For thirty years the tower was silent. O\u2026";
    lies(place(after, lines, 0, 0), 60 * unit, 258 * unit);
    lies(place(after, lines, 2, 0), 60 * unit, (258 + 2 * 28) * unit);
  }

  @Test
  void anArtboardOfItsSizeComesWithItsTitle() throws IOException {
    Project after = after(Project.empty("P"), card());
    Artboard board = after.artboards().getLast();
    assertThat(board.name()).isEqualTo("Opening night");
    assertThat(board.unit()).isEqualTo(LengthUnit.MILLIMETRE);
    assertThat(board.layers()).hasSize(24);
    assertThat(board.layers().getFirst().name()).as("what lies lowest").isEqualTo("paper");
    assertThat(after.styles().list())
        .extracting(Style::name, Style::level)
        .contains(
            org.assertj.core.api.Assertions.tuple("Headline", StyleLevel.TEXT),
            org.assertj.core.api.Assertions.tuple("Running text", StyleLevel.TEXT),
            org.assertj.core.api.Assertions.tuple("Small print", StyleLevel.TEXT),
            org.assertj.core.api.Assertions.tuple("EB Garamond italic 12", StyleLevel.TEXT));
    Layer once =
        board.layers().stream()
            .filter(one -> one.name().equals("Admits two"))
            .findFirst()
            .orElseThrow();
    assertThat(once.follows()).as("a look without a name that is used once").isEmpty();
    assertThat(once.local().get(Properties.FONT_FAMILY.key())).contains("Anton");
    Project again = after(after, card());
    assertThat(again.artboards().getLast().name()).isEqualTo("Opening night 2");
    assertThat(again.styles().size())
        .as("what was imported before is remembered")
        .isEqualTo(after.styles().size());
  }

  @Test
  void onAnArtboardItStandsInTheMiddleAboveWhatIsThere() throws IOException {
    Project project =
        Project.empty("P")
            .plus(
                Artboard.empty("wall", "Wall", 1000, 600, LengthUnit.POINT)
                    .withLayers(List.of(Layer.of("old", "Old", "old"))));
    WrittenDrawing drawing =
        read("<rect width='400' height='200'/><text x='10' y='20' font-size='10'>new</text>");
    Project after =
        plan(
                project,
                drawing,
                MappingProposal.of(project, drawing.words()),
                Optional.of(new ArtboardId("wall")))
            .edit()
            .applyTo(project);
    assertThat(after.artboards()).hasSize(1);
    assertThat(after.layers().map(Layer::name)).containsExactly("Old", "Rectangle", "new");
    lies(place(after, "new", 0, 0), 310, 220);
  }

  @Test
  void aStyleThatLooksTheSameIsFollowedAndOneThatIsOnlyCalledSoIsNot() throws IOException {
    String text = "<text class='label' y='30' font-family='Anton' font-size='%d'>one</text>";
    Style label =
        after(Project.empty("P"), read(text.formatted(24))).styles().named("Label").orElseThrow();
    Project project =
        Project.empty("P")
            .withStyles(
                StyleBook.of(List.of(label.withName("Shield").withId(new StyleId("shield")))));
    StyleMapping same = MappingProposal.of(project, read(text.formatted(24)).words());
    assertThat(same.of("class:Label")).isEqualTo(new Mapped.Follow(new StyleId("shield")));
    Project other =
        Project.empty("P")
            .withStyles(
                StyleBook.of(
                    List.of(
                        label.withProperties(
                            label.properties().with(Properties.SIZE, FontSize.points(90))))));
    StyleMapping proposed = MappingProposal.of(other, read(text.formatted(24)).words());
    assertThat(proposed.of("class:Label")).isEqualTo(new Mapped.NewStyle("Label"));
  }

  @Test
  void imagesTravelWithTheProjectOnce() throws IOException {
    String image =
        "<image width='20' height='20' href='data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAIAAAACCAIAAAD91Jpz"
            + "AAAAFklEQVR4nGP8z8DAwMDAxMDAwMDAAAANHQEDasKb6QAAAABJRU5ErkJggg=='/>";
    WrittenDrawing drawing =
        read(
            image
                + "<g transform='translate(50)'>"
                + image
                + "</g><clipPath id='c'><circle cx='10' cy='10' r='8'/></clipPath>"
                + "<g clip-path='url(#c)'>"
                + image
                + "</g>");
    Project after = after(after(Project.empty("P"), drawing), drawing);
    assertThat(after.assets()).hasSize(1);
    assertThat(after.assets().getFirst().name()).startsWith("images/card-").endsWith(".png");
    assertThat(after.layers().map(layer -> layer.shape().orElseThrow().name()))
        .containsExactly("Image", "Image", "Path", "Image", "Image", "Path");
  }

  /** Red above, blue below; turned by a quarter it is blue at the left. */
  @Test
  void anImageThatShowsThroughIsTurnedWithItsPlace() throws IOException {
    BufferedImage two = new BufferedImage(20, 20, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < 20; y++) {
      for (int x = 0; x < 20; x++) {
        two.setRGB(x, y, y < 10 ? 0xFF0000 : 0x0000FF);
      }
    }
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(two, "png", png);
    Project after =
        after(
            Project.empty("P"),
            read(
                "<rect width='400' height='200' fill='#fff'/>"
                    + "<image opacity='.5' width='100' height='100' transform='translate(200 50) rotate(90)'"
                    + " href='data:image/png;base64,"
                    + Base64.getEncoder().encodeToString(png.toByteArray())
                    + "'/>"));
    Scene.Board board = MAKER.make(after).boards().getLast();
    BufferedImage seen =
        ImageIO.read(
            new ByteArrayInputStream(new ArtboardPicture(new LayerPainter()).png(board, 1)));
    assertThat(seen.getRGB(125, 100) & 0xFF).as("blue of the left").isGreaterThan(250);
    assertThat(seen.getRGB(125, 100) >> 16 & 0xFF).as("half").isBetween(126, 129);
    assertThat(seen.getRGB(175, 100) >> 16 & 0xFF).as("red of the right").isGreaterThan(250);
    assertThat(seen.getRGB(175, 100) & 0xFF).as("half").isBetween(126, 129);
  }

  /** A hole, an even gradient and what is cut, at places whose colours the drawing says. */
  @Test
  void pixelsAreThoseThatTheDrawingSays() throws IOException {
    Project after =
        after(
            Project.empty("P"),
            read(
                "<rect width='400' height='200' fill='#fff'/>"
                    + "<path fill='#00f' fill-rule='evenodd' d='M10 10h100v100h-100zM40 40h40v40h-40z'/>"
                    + "<linearGradient id='g'><stop stop-color='#000'/><stop offset='1' stop-color='#fff'/>"
                    + "</linearGradient><rect x='150' y='10' width='100' height='100' fill='url(#g)'/>"
                    + "<clipPath id='c'><rect x='300' y='10' width='50' height='50'/></clipPath>"
                    + "<circle clip-path='url(#c)' cx='350' cy='60' r='50' fill='#f00'/>"));
    Scene.Board board = MAKER.make(after).boards().getLast();
    BufferedImage seen =
        ImageIO.read(
            new ByteArrayInputStream(new ArtboardPicture(new LayerPainter()).png(board, 1)));
    assertThat(seen.getRGB(20, 20)).as("the frame").isEqualTo(0xFF0000FF);
    assertThat(seen.getRGB(60, 60)).as("its hole").isEqualTo(0xFFFFFFFF);
    assertThat(seen.getRGB(200, 60) & 0xFF).as("the middle").isBetween(126, 130);
    assertThat(seen.getRGB(175, 60) & 0xFF).as("a quarter").isBetween(62, 66);
    assertThat(seen.getRGB(340, 50)).as("the quarter that is left").isEqualTo(0xFFFF0000);
    assertThat(seen.getRGB(360, 50)).as("beside the clip").isEqualTo(0xFFFFFFFF);
  }
}
