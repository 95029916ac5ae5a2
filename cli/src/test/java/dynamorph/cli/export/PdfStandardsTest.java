package dynamorph.cli.export;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.formats.export.ArtboardExport;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.export.FileNamePattern;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.FileInputStream;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.flavours.PDFAFlavour;
import org.verapdf.pdfa.results.TestAssertion;
import org.verapdf.pdfa.results.ValidationResult;

/** The demo as documents, judged by a program that knows the standards. */
class PdfStandardsTest {
  @TempDir private static Path folder;

  private static Path whole;
  private static Path trimmed;

  @BeforeAll
  static void export() throws Exception {
    Project project = LongHour.project();
    List<Artboard> all = project.still().toList();
    List<Artboard> entrance = all.subList(0, 1);
    LayerPainter painter = new LayerPainter();
    try (FontLibrary fonts = FontLibrary.forProject(project.assets())) {
      var scene = new SceneMaker(new Typesetter(fonts), painter).make(project);
      whole =
          new ArtboardExport(scene, painter, preset("whole", ExportPreset.Document.PLAIN), false)
              .write(all, folder, _ -> {}, () -> false)
              .written()
              .getFirst();
      var print = new ExportPreset.Document(false, 8.5, true);
      trimmed =
          new ArtboardExport(scene, painter, preset("trimmed", print), false)
              .write(entrance, folder, _ -> {}, () -> false)
              .written()
              .getFirst();
    }
    VeraGreenfieldFoundryProvider.initialise();
  }

  private static ExportPreset preset(String name, ExportPreset.Document document) {
    return new ExportPreset(
        name, ExportFormat.PDF, 36, 90, true, new FileNamePattern(name), document);
  }

  @ParameterizedTest
  @EnumSource(names = {"PDFA_3_A", "PDFUA_1"})
  void documentsKeepToTheStandard(PDFAFlavour flavour) throws Exception {
    for (Path file : List.of(whole, trimmed)) {
      try (var parser =
              Foundries.defaultInstance()
                  .createParser(new FileInputStream(file.toFile()), flavour);
          var validator = Foundries.defaultInstance().createValidator(flavour, false)) {
        ValidationResult result = validator.validate(parser);
        assertThat(result.getTestAssertions().stream().map(TestAssertion::getMessage)).isEmpty();
        assertThat(result.isCompliant()).isTrue();
      }
    }
  }

  /** Every word of the demo can be found in its document, artboard by artboard. */
  @Test
  void everyWordIsRead() throws Exception {
    List<Artboard> all = LongHour.project().still().toList();
    try (PDDocument document = Loader.loadPDF(whole.toFile())) {
      assertThat(document.getNumberOfPages()).isEqualTo(all.size());
      for (int page = 0; page < all.size(); page++) {
        PDFTextStripper stripper = new PDFTextStripper();
        stripper.setStartPage(page + 1);
        stripper.setEndPage(page + 1);
        // the other program takes wide tracking for spaces
        String read = stripper.getText(document).replaceAll("[\\s\u00AD]+", "");
        List<String> typed =
            all.get(page).layers().stream().flatMap(layer -> words(layer.story().text())).toList();
        assertThat(read).as(all.get(page).name()).contains(typed);
      }
    }
  }

  private static final Pattern WORD = Pattern.compile("[\\p{IsLatin}\\p{IsGreek}]+|\\p{IsHan}+");

  /**
   * Words that are written from left to right or downwards; the other program turns round what is
   * not. Of Japanese those in ideographs, since readings stand between the others.
   */
  private static Stream<String> words(String text) {
    return WORD.matcher(text).results().map(MatchResult::group).filter(word -> word.length() > 1);
  }
}
