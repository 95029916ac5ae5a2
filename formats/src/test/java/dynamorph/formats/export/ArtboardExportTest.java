package dynamorph.formats.export;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.export.FileNamePattern;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Artboards on disk: which files, what is in them, what is written again. */
class ArtboardExportTest {
  private static final FontLibrary FONTS = FontLibrary.shipped();

  @TempDir private Path folder;

  private static Artboard board(String id, String name, String words) {
    return Artboard.empty(id, name, 40, 20, LengthUnit.POINT)
        .withBackground(Colour.of(Rgba.parse("#204080")))
        .plus(Layer.of(id + "-t", "Text", words));
  }

  private static Project project() {
    return Project.empty("Hours")
        .plus(board("a", "Label", "one"))
        .plus(board("b", "label", "two"))
        .plus(board("c", "Label", "three"));
  }

  private static ArtboardExport export(Project project, ExportPreset preset) {
    LayerPainter painter = new LayerPainter();
    return new ArtboardExport(
        new SceneMaker(new Typesetter(FONTS), painter).make(project), painter, preset, false);
  }

  private ExportOutcome write(Project project, ExportPreset preset) throws IOException {
    return export(project, preset).write(project.artboards(), folder, _ -> {}, () -> false);
  }

  private static ExportPreset preset(
      ExportFormat format, double resolution, boolean background, String name, boolean apart) {
    return new ExportPreset(
        "P",
        format,
        resolution,
        90,
        background,
        new FileNamePattern(name),
        new ExportPreset.Document(apart, 0, false));
  }

  private List<String> names() throws IOException {
    try (var files = Files.list(folder)) {
      return files.map(file -> file.getFileName().toString()).sorted().toList();
    }
  }

  @Test
  void noFileIsWrittenOverAnotherOfTheSameExport() throws IOException {
    write(project(), preset(ExportFormat.PNG, 72, true, "{artboard}", true));
    assertThat(names()).containsExactly("Label 3.png", "Label.png", "label 2.png");
  }

  @Test
  void fieldsAreFilled() throws IOException {
    write(
        project(),
        preset(ExportFormat.PNG, 144, true, "{project} {number} {size} {resolution}", true));
    assertThat(names())
        .containsExactly(
            "Hours 01 80x40 144.png", "Hours 02 80x40 144.png", "Hours 03 80x40 144.png");
  }

  @Test
  void allArtboardsArePagesOfOneDocument() throws IOException {
    write(project(), preset(ExportFormat.PDF, 72, true, "{artboard}", false));
    assertThat(names()).containsExactly("Hours.pdf");
    try (PDDocument document = Loader.loadPDF(folder.resolve("Hours.pdf").toFile())) {
      assertThat(document.getNumberOfPages()).isEqualTo(3);
    }
    write(project(), preset(ExportFormat.PDF, 72, true, "{artboard}", true));
    assertThat(names()).containsExactly("Hours.pdf", "Label 3.pdf", "Label.pdf", "label 2.pdf");
  }

  @ParameterizedTest
  @EnumSource(names = {"PNG", "JPEG", "WEBP", "PDF", "SVG"})
  void whatDidNotChangeIsNotWrittenAgain(ExportFormat format) throws IOException {
    ExportPreset preset = preset(format, 72, true, "{artboard}", true);
    assertThat(write(project(), preset).written()).hasSize(3);
    ExportOutcome again = write(project(), preset);
    assertThat(again.written()).isEmpty();
    assertThat(again.unchanged()).hasSize(3);
    Project changed =
        project().mapArtboards(own -> own.name().equals("label") ? board("b", "label", "2") : own);
    ExportOutcome third = write(changed, preset);
    assertThat(third.written()).extracting(Path::getFileName).asString().contains("label 2");
    assertThat(third.written()).hasSize(1);
    assertThat(third.unchanged()).hasSize(2);
  }

  @Test
  void picturesHaveTheirSizeColourAndResolution() throws IOException {
    Project one = Project.empty("P").plus(board("a", "A", ""));
    write(one, preset(ExportFormat.PNG, 144, true, "{artboard}", true));
    write(one, preset(ExportFormat.JPEG, 144, true, "{artboard}", true));
    write(one, preset(ExportFormat.WEBP, 144, true, "{artboard}", true));
    BufferedImage png = ImageIO.read(folder.resolve("A.png").toFile());
    assertThat(png.getWidth()).isEqualTo(80);
    assertThat(png.getHeight()).isEqualTo(40);
    assertThat(png.getRGB(3, 3)).isEqualTo(0xFF204080);
    byte[] bytes = Files.readAllBytes(folder.resolve("A.png"));
    int at = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("pHYs");
    // 144 pixels an inch are 5669 a metre
    assertThat(ByteBuffer.wrap(bytes, at + 4, 4).getInt()).isEqualTo(5669);
    BufferedImage jpeg = ImageIO.read(folder.resolve("A.jpg").toFile());
    assertThat(jpeg.getRGB(40, 20) & 0xFF).isBetween(0x78, 0x88);
    byte[] head = Files.readAllBytes(folder.resolve("A.jpg"));
    assertThat(head[13]).isEqualTo((byte) 1);
    assertThat(ByteBuffer.wrap(head, 14, 2).getShort()).isEqualTo((short) 144);
    assertThat(
            new String(
                Files.readAllBytes(folder.resolve("A.webp")), 8, 4, StandardCharsets.US_ASCII))
        .isEqualTo("WEBP");
  }

  @Test
  void withoutItsBackgroundAPictureIsTransparent() throws IOException {
    Project one = Project.empty("P").plus(board("a", "A", ""));
    write(one, preset(ExportFormat.PNG, 72, false, "{artboard}", true));
    assertThat(ImageIO.read(folder.resolve("A.png").toFile()).getRGB(3, 3)).isZero();
    write(one, preset(ExportFormat.SVG, 72, false, "{artboard}", true));
    assertThat(folder.resolve("A.svg")).content().doesNotContain("<rect");
    write(one, preset(ExportFormat.SVG, 72, true, "{artboard}", true));
    assertThat(folder.resolve("A.svg")).content().contains("<rect").contains("#204080");
  }

  @Test
  void vectorsSayWhatIsReadAndWhatIsCalledHow() throws IOException {
    write(project(), preset(ExportFormat.SVG, 72, true, "{artboard}", true));
    assertThat(folder.resolve("Label.svg"))
        .content()
        .contains("aria-label=\"one\"")
        .contains("id=\"layer-text-");
  }

  @Test
  void itCanBeStoppedBetweenArtboards() throws IOException {
    List<Integer> done = new ArrayList<>();
    Project project = project();
    ExportOutcome outcome =
        export(project, preset(ExportFormat.PNG, 72, true, "{artboard}", true))
            .write(project.artboards(), folder, done::add, () -> done.size() == 2);
    assertThat(outcome.complete()).isFalse();
    assertThat(done).containsExactly(1, 2);
    assertThat(names()).hasSize(2);
  }

  @Test
  void itTellsWhatIsNotAsItShouldBe() throws IOException {
    Layer tight =
        Layer.of("t", "Notice", "far too many words")
            .withLocal(
                PropertySet.EMPTY
                    .with(Properties.FONT_FAMILY, "Nowhere Grotesk")
                    .withText(Properties.key("box"), "fixed")
                    .withText(Properties.key("box-width"), "20")
                    .withText(Properties.key("box-height"), "5"));
    Layer shade =
        Layer.of("s", "Shade", "x")
            .withLocal(
                PropertySet.EMPTY.withText(Properties.key("finish/fill/cast/kind"), "drop-shadow"));
    Project project = Project.empty("P").plus(board("a", "A", "x").plus(tight).plus(shade));
    assertThat(write(project, preset(ExportFormat.PDF, 72, true, "x", false)).remarks())
        .extracting(ExportOutcome.Remark::toString)
        .containsExactlyInAnyOrder(
            "A: \"Notice\" does not fit its box",
            "A: the font \"Nowhere Grotesk\" is not on this machine; another stands in",
            "A: rasterised: drop shadow of a fill of the letters");
  }

  @Test
  void aFileThatCannotBeWrittenIsNamedAndTheRestIsLeft() throws IOException {
    Files.createDirectory(folder.resolve("Label.png"));
    Files.writeString(folder.resolve("Label.png").resolve("mine.txt"), "mine");
    assertThatThrownBy(
            () -> write(project(), preset(ExportFormat.PNG, 72, true, "{artboard}", true)))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("Label.png");
    assertThat(folder.resolve("Label.png").resolve("mine.txt")).hasContent("mine");
  }

  @Test
  void aPictureThatIsTooLargeIsRefusedWithItsSize() {
    Project huge =
        Project.empty("P").plus(Artboard.empty("a", "A", 20_000, 20_000, LengthUnit.POINT));
    assertThatThrownBy(() -> write(huge, preset(ExportFormat.PNG, 72, true, "x", true)))
        .hasMessageContainingAll("\"A\"", "20000 × 20000 pixels", "256 million is the most");
  }
}
