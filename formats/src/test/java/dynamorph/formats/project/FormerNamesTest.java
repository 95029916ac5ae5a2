package dynamorph.formats.project;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Project;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FrameArea;
import dynamorph.model.value.Length;
import dynamorph.model.value.LineBreaking;
import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A project that was written when properties had other names opens, and is written with these. */
class FormerNamesTest {
  private static final Address RIM = Address.coat("rim");

  @TempDir Path folder;
  private Project project;

  @BeforeEach
  void open() throws IOException, URISyntaxException {
    Path file = Path.of(FormerNamesTest.class.getResource("long-hour-former-names.dmorph").toURI());
    project = ProjectFile.read(file);
  }

  private PropertySet style(String id) {
    return project.styles().get(new StyleId(id)).properties();
  }

  @Test
  void theValuesAreThoseThatWereWritten() {
    PropertySet enamel = style("enamel-title");
    assertThat(enamel.get(Properties.SHADOW_X.at(RIM.effect("cast")))).contains(Length.em(0.045));
    assertThat(enamel.get(Properties.SHADOW_Y.at(RIM.effect("cast")))).contains(Length.em(0.045));
    assertThat(enamel.get(Properties.EFFECT_KIND.at(RIM.effect("edge"))))
        .contains(EffectKind.BEVEL);
    assertThat(enamel.get(Properties.BEVEL_WIDTH.at(RIM.effect("edge"))))
        .contains(Length.em(0.025));
    PropertySet columns = style("column-text");
    assertThat(columns.get(Properties.LINE_BREAKING.key())).contains(LineBreaking.WHOLE_PARAGRAPH);
    assertThat(columns.get(Properties.AVOID_WIDOWS_ORPHANS.key())).contains(true);
    assertThat(columns.get(Properties.GLYPH_SCALING_MINIMUM.key())).contains(98.5);
    assertThat(project.styles().stream())
        .anyMatch(one ->
            one.properties()
                .get(Properties.RELATIVE_TO.key())
                .equals(java.util.Optional.of(FrameArea.TITLE_SAFE)));
  }

  @Test
  void itIsWrittenWithThePresentNames() throws IOException {
    Path written = folder.resolve("now.dmorph");
    ProjectFile.write(project, written);
    assertThat(ProjectFile.read(written)).isEqualTo(project);
    try (ZipFile zip = new ZipFile(written.toFile())) {
      String styles =
          new String(
              zip.getInputStream(zip.getEntry("styles.json")).readAllBytes(),
              StandardCharsets.UTF_8);
      assertThat(styles)
          .contains("\"finish/rim/cast/x\"", "\"bevel\"", "\"line-breaking\"")
          .doesNotContain("cast/across", "raised-edge", "\"breaker\"");
    }
    assertThat(Files.size(written)).isPositive();
  }

  /** Of every kind of place, by the names in the schemas of both times. */
  @ParameterizedTest
  @CsvSource({
    "tab-every, default-tab-stops",
    "hyphenate-row, consecutive-hyphens",
    "hyphen-cost, hyphen-penalty",
    "kern-after, manual-kerning",
    "scale-across, horizontal-scale",
    "finish/rim/turn, finish/rim/rotation",
    "finish/rim/scale-across, finish/rim/scale-x",
    "finish/rim/dash-phase, finish/rim/dash-offset",
    "finish/rim/tile-ground, finish/rim/tile-background",
    "plate/box/last-colour, plate/box/end-colour",
    "finish/rim/angle, finish/rim/angle",
    "finish/rim/edge/angle, finish/rim/edge/azimuth",
    "finish/rim/edge/height, finish/rim/edge/elevation",
    "finish/whole/cast/knocked-out, finish/whole/cast/knockout"
  })
  void eachFormerNameMeansThePresentOne(String former, String present) {
    assertThat(Properties.key(former)).isEqualTo(Properties.key(present));
    assertThat(Properties.key(present)).hasToString(present);
  }
}
