package dynamorph.model.export;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Project;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.History;
import dynamorph.model.edit.export.DeleteExportPreset;
import dynamorph.model.edit.export.KeepExportPreset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How artboards become files. */
class ExportPresetTest {
  private static final ExportPreset PNG = ExportPreset.of(ExportFormat.PNG);

  private static ExportPreset of(ExportFormat format, double resolution, int quality) {
    return new ExportPreset(
        "A",
        format,
        resolution,
        quality,
        format != ExportFormat.JPEG,
        FileNamePattern.ARTBOARD,
        ExportPreset.Document.PLAIN);
  }

  @Test
  void aPointIsAPixelAt72() {
    assertThat(of(ExportFormat.PNG, 72, 90).scale()).isEqualTo(1);
    assertThat(of(ExportFormat.PNG, 300, 90).scale()).isEqualTo(300 / 72.0);
  }

  @ParameterizedTest
  @CsvSource({"17.9, 90", "2400.1, 90", "NaN, 90", "72, 0", "72, 101"})
  void whatMakesNoSenseIsRefused(double resolution, int quality) {
    assertThatThrownBy(() -> of(ExportFormat.PNG, resolution, quality))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("expected");
  }

  @Test
  void jpegHasNoTransparency() {
    assertThatThrownBy(() -> of(ExportFormat.JPEG, 72, 90)).hasMessageContaining("transparency");
  }

  @Test
  void bleedHasBounds() {
    assertThat(new ExportPreset.Document(true, 144, true).bleed()).isEqualTo(144);
    for (double wrong : new double[] {-0.1, 144.1, Double.NaN}) {
      assertThatThrownBy(() -> new ExportPreset.Document(true, wrong, true))
          .hasMessageContaining("0 to 144");
    }
  }

  @ParameterizedTest
  @CsvSource({"jpg, JPEG", "JPEG, JPEG", "webp, WEBP", "Pdf, PDF"})
  void formatsAreKnownByIdAndEnding(String text, ExportFormat format) {
    assertThat(ExportFormat.of(text)).isEqualTo(format);
  }

  @Test
  void anUnknownFormatNamesTheKnown() {
    assertThatThrownBy(() -> ExportFormat.of("bmp")).hasMessageContaining("png, jpeg, webp, pdf");
  }

  private static String named(String pattern, String artboard) {
    return new FileNamePattern(pattern)
        .name(Map.of(FileNamePattern.ARTBOARD_NAME, artboard, FileNamePattern.NUMBER, "07"));
  }

  @ParameterizedTest
  @CsvSource({
    "{artboard}, Panel 2, Panel 2",
    "{number}-{artboard}, Panel, 07-Panel",
    "{ Artboard }, Panel, Panel",
    "{artboard}, 'a/b\\c:d*e?', a-b-c-d-e-",
    "{artboard}, ..., -",
    "{artboard}, .hidden, hidden",
    "{artboard}, 'end. ', end",
    "{artboard}, CON, CON-",
    "{artboard}, com1.txt, com1.txt-",
    "{artboard}, $1, $1"
  })
  void namesAreTakenByAnyFileSystem(String pattern, String artboard, String name) {
    assertThat(named(pattern, artboard)).isEqualTo(name);
  }

  @Test
  void longNamesAreCutBetweenLetters() {
    String cut = named("{artboard}", "時".repeat(300));
    assertThat(cut.getBytes(StandardCharsets.UTF_8).length).isBetween(190, 200);
    assertThat(cut).matches("時+");
    assertThat(named("{artboard}", "🕰".repeat(300))).matches("(🕰)+");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "  ", "{layer}", "{artboard} {nummer}"})
  void patternsThatMeanNothingAreRefused(String pattern) {
    assertThatThrownBy(() -> new FileNamePattern(pattern))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aPresetIsKeptChangedAndDeleted() {
    History history = History.opened(Project.empty("P")).apply(new KeepExportPreset(PNG));
    assertThat(history.present().exports()).containsExactly(PNG);
    ExportPreset changed = of(ExportFormat.PDF, 300, 90).withName(PNG.name());
    history = history.apply(new KeepExportPreset(changed));
    assertThat(history.present().exports()).containsExactly(changed);
    assertThat(history.undo().present().exports()).containsExactly(PNG);
    history = history.apply(new DeleteExportPreset(PNG.name()));
    assertThat(history.present().exports()).isEmpty();
    Project without = history.present();
    assertThatThrownBy(() -> new DeleteExportPreset("PNG").applyTo(without))
        .isInstanceOf(EditRefused.class);
  }

  @Test
  void noTwoHaveOneName() {
    assertThatThrownBy(() ->
            Project.empty("P")
                .withExports(List.of(PNG, of(ExportFormat.PDF, 72, 1).withName("PNG"))))
        .hasMessageContaining("same name");
  }
}
