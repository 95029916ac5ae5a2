package dynamorph.cli.export;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.model.Project;
import dynamorph.model.export.ExportPreset;
import dynamorph.paint.export.ArtboardArtwork;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.export.pdf.PdfPage;
import dynamorph.paint.export.pdf.PdfSettings;
import dynamorph.paint.export.pdf.PdfWriter;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.flavours.PDFAFlavour;
import org.verapdf.pdfa.results.ValidationResult;

/** The demo as a document, judged by another program. */
class PdfStandardsTest {
  private static byte[] pdf;

  @BeforeAll
  static void export() throws Exception {
    Project project = LongHour.project();
    List<PdfPage> pages = new ArrayList<>();
    try (FontLibrary fonts = FontLibrary.forProject(project.assets())) {
      Scene scene = new SceneMaker(new Typesetter(fonts), new LayerPainter()).make(project);
      for (Scene.Board board : scene.boards()) {
        if (!board.artboard().isFilm()) {
          pages.add(
              new PdfPage(
                  board.artboard().name(),
                  ArtboardArtwork.of(board, java.util.Optional.of(board.background()), true, 1)));
          Files.write(
              Path.of("/tmp/pdf/" + board.artboard().id().value() + ".png"),
              new ArtboardPicture(new LayerPainter()).png(board, 0.5));
          Files.write(
              Path.of("/tmp/pdf/" + board.artboard().id().value() + ".svg"),
              dynamorph.paint.export.SvgWriter.write(
                  ArtboardArtwork.of(board, java.util.Optional.of(board.background()), false, 1)));
        }
      }
      long at = System.nanoTime();
      pdf =
          PdfWriter.write(
              pages,
              new PdfSettings(
                  project.name(),
                  "en",
                  ExportPreset.Document.PLAIN,
                  ZonedDateTime.parse("2026-01-02T03:04:05Z")));
      System.out.println("PDF " + (System.nanoTime() - at) / 1e6);
    }
    Files.write(Path.of("/tmp/pdf/demo.pdf"), pdf);
    VeraGreenfieldFoundryProvider.initialise();
  }

  @ParameterizedTest
  @EnumSource(
      value = PDFAFlavour.class,
      names = {"PDFA_3_A", "PDFUA_1"})
  void followsTheStandard(PDFAFlavour flavour) throws Exception {
    try (var parser =
            Foundries.defaultInstance().createParser(new ByteArrayInputStream(pdf), flavour);
        var validator = Foundries.defaultInstance().createValidator(flavour, false)) {
      ValidationResult result = validator.validate(parser);
      assertThat(result.getTestAssertions()).isEmpty();
    }
  }
}
