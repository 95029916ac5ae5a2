package dynamorph.typeset.font;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.value.Slant;
import dynamorph.typeset.harfbuzz.HarfBuzzFont;
import dynamorph.typeset.harfbuzz.HarfBuzzShaper;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What fonts say of themselves. */
class FontFaceTest {
  // of each test its own: what another has read would hide what this one asks for
  private final FontLibrary fonts = FontLibrary.shipped();

  @AfterEach
  void close() {
    fonts.close();
  }

  private FontFace face(String family) {
    return fonts.match(family, 400, Slant.UPRIGHT).face();
  }

  private static byte[] bytes(String file) throws IOException {
    try (InputStream stream =
        FontLibrary.class.getResourceAsStream("/dynamorph/typeset/fonts/" + file)) {
      return stream.readAllBytes();
    }
  }

  @Test
  void featuresCarryTheNamesOfTheFont() {
    FontFace garamond = face("EB Garamond");
    assertThat(garamond.has("smcp")).isTrue();
    assertThat(garamond.has("zzzz")).isFalse();
    assertThat(garamond.features()).containsKeys("onum", "liga", "dlig", "ss01");
    assertThat(garamond.features().get("smcp")).as("nothing to name").isEmpty();
    assertThat(face("Source Sans 3").features())
        .containsEntry("ss01", "Serifed I (\u25B2 i)")
        .containsEntry("zero", "");
  }

  @ParameterizedTest
  @CsvSource({
    "smcp, '', Small capitals",
    "onum, '', Old-style figures",
    "ss03, '', Stylistic set 3",
    "ss03, Open forms, Open forms",
    "cv12, '', Character variant 12",
    "qqqq, '', qqqq"
  })
  void featuresAreCalledByTheirTradeNames(String tag, String own, String name) {
    assertThat(FeatureNames.of(tag, own)).isEqualTo(name);
  }

  @ParameterizedTest
  @ValueSource(strings = {"mark", "ccmp", "init", "locl", "mkmk"})
  void whatScriptsNeedIsNoChoice(String tag) {
    assertThat(FeatureNames.isChosen(tag)).isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"smcp", "onum", "liga", "ss20", "cv07", "frac", "swsh"})
  void whatPeopleChooseIsOffered(String tag) {
    assertThat(FeatureNames.isChosen(tag)).isTrue();
  }

  @ParameterizedTest
  @ValueSource(strings = {"smcp", "onum", "liga", "dlig", "frac"})
  void aFeatureIsShownOnLettersThatItChanges(String tag) {
    FontFace garamond = face("EB Garamond");
    String example = garamond.example(tag).orElseThrow();
    assertThat(garamond.glyphs(example, tag, 1)).isNotEqualTo(garamond.glyphs(example, tag, 0));
    assertThat(garamond.example("zzzz")).isEmpty();
  }

  @Test
  void aFeatureServesWordsOnlyWholly() {
    FontFace garamond = face("EB Garamond");
    assertThat(garamond.substitutes("smcp", "abc")).isTrue();
    assertThat(garamond.substitutes("smcp", "abc \u6642")).isFalse();
    assertThat(garamond.substitutes("zzzz", "abc")).isFalse();
  }

  @Test
  void linesStandWhereTheFontSays() {
    for (FontFamily family : fonts.families()) {
      FontFace.LineMetrics lines = face(family.name()).lines();
      assertThat(lines.underline()).as(family.name()).isBetween(-0.6, 0.05);
      assertThat(lines.underlineWidth()).as(family.name()).isBetween(0.01, 0.15);
      assertThat(lines.strike()).as(family.name()).isBetween(0.15, 0.7);
      assertThat(lines.strikeWidth()).as(family.name()).isBetween(0.01, 0.15);
    }
  }

  @Test
  void axesHaveARangeAndPlacesHaveNames() {
    FontFace fraunces = face("Fraunces");
    for (HarfBuzzFont.Axis axis : fraunces.axes()) {
      assertThat(axis.tag()).hasSize(4);
      assertThat(axis.name()).isNotBlank();
      assertThat(axis.normal()).isBetween(axis.least(), axis.most());
    }
    assertThat(fraunces.instances()).isNotEmpty();
    for (HarfBuzzFont.Instance instance : fraunces.instances()) {
      assertThat(instance.name()).isNotBlank();
      assertThat(instance.place()).hasSameSizeAs(fraunces.axes());
      for (HarfBuzzFont.Axis axis : fraunces.axes()) {
        assertThat(instance.place().get(axis.tag())).isBetween(axis.least(), axis.most());
      }
    }
    assertThat(face("Anton").axes()).isEmpty();
    assertThat(face("Anton").instances()).isEmpty();
  }

  /** HarfBuzz and Skia must draw from the same place, or glyphs and advances part ways. */
  @ParameterizedTest
  @CsvSource({"100", "400", "650", "900"})
  void advancesOfAVariableFontEqualThoseItIsDrawnWith(double weight) {
    FontFace face = fonts.match("Fraunces", weight, Slant.UPRIGHT).face();
    double units = face.shaping().unitsPerEm();
    try (var font = face.font(1000)) {
      for (char letter : "Hamburgefonstiv&4".toCharArray()) {
        short glyph = (short) face.glyph(letter);
        assertThat(face.shaping().advance(face.glyph(letter)) / units)
            .as("%s at %s", letter, weight)
            .isCloseTo(font.getWidths(new short[] {glyph})[0] / 1000, within(0.002));
      }
    }
  }

  @Test
  void aFontIsPutAtAPlaceOnItsAxes() throws IOException {
    byte[] fraunces = bytes(variableFile());
    try (HarfBuzzFont thin = new HarfBuzzFont(fraunces, 0, Map.of("wght", 100.0));
        HarfBuzzFont black = new HarfBuzzFont(fraunces, 0, Map.of("wght", 900.0));
        HarfBuzzFont beyond = new HarfBuzzFont(fraunces, 0, Map.of("wght", 5000.0))) {
      int n = thin.glyph('n');
      assertThat(n).isPositive().isEqualTo(black.glyph('n'));
      assertThat(black.advance(n)).isGreaterThan(thin.advance(n));
      assertThat(beyond.advance(n)).as("held at the end of the axis").isEqualTo(black.advance(n));
      assertThat(thin.metric("xhgt")).isPresent();
    }
  }

  private static String variableFile() throws IOException {
    String index = new String(bytes("index.txt"), java.nio.charset.StandardCharsets.UTF_8);
    return index
        .lines()
        .filter(line -> line.toLowerCase(java.util.Locale.ROOT).contains("fraunces"))
        .map(line -> line.substring(line.lastIndexOf('|') + 1).strip())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void noFontAtAllHasNoGlyphs() {
    try (HarfBuzzFont none = new HarfBuzzFont("no font".getBytes(), 0, Map.of())) {
      assertThat(none.glyph('a')).isZero();
      assertThat(none.features()).isEmpty();
      assertThat(none.hasTable("GSUB")).isFalse();
    }
  }

  private static List<Integer> clusters(FontFace face, String words, boolean leftwards) {
    List<Integer> clusters = new ArrayList<>();
    try (HarfBuzzShaper shaper = new HarfBuzzShaper()) {
      shaper.text(words);
      shaper.shape(
          face.shaping(),
          0,
          words.length(),
          leftwards
              ? HarfBuzzShaper.Direction.RIGHT_TO_LEFT
              : HarfBuzzShaper.Direction.LEFT_TO_RIGHT,
          leftwards ? "Arab" : "Latn",
          leftwards ? "ar" : "en",
          List.of(),
          (count, infos, _) -> {
            for (int glyph = 0; glyph < count; glyph++) {
              clusters.add(infos[glyph * HarfBuzzShaper.STRIDE + 2]);
            }
          });
    }
    return clusters;
  }

  @Test
  void glyphsComeInVisualOrderWithTheirClusters() {
    assertThat(clusters(face("EB Garamond"), "abc", false)).containsExactly(0, 1, 2);
    assertThat(clusters(face("Amiri"), "\u0628\u0627\u0628", true))
        .isSortedAccordingTo(java.util.Comparator.reverseOrder());
  }

  /**
   * Words are shaped one by one only where the space has no part in any feature; here that is
   * checked against shaping words and spaces together.
   */
  @ParameterizedTest
  @ValueSource(strings = {"EB Garamond", "Source Sans 3", "Anton", "Caveat", "Fraunces"})
  void aSpaceThatTakesNoPartChangesNothing(String family) {
    FontFace face = face(family);
    if (face.featuresOfSpace().contains("kern")) {
      return;
    }
    for (String pair : List.of("T o", "A V", "f i", "L T", "y .")) {
      assertThat(advance(face, pair))
          .as("%s: %s", family, pair)
          .isEqualTo(
              advance(face, pair.substring(0, 1))
                  + advance(face, " ")
                  + advance(face, pair.substring(2)));
    }
  }

  private static int advance(FontFace face, String words) {
    int[] sum = {0};
    try (HarfBuzzShaper shaper = new HarfBuzzShaper()) {
      shaper.text(words);
      shaper.shape(
          face.shaping(),
          0,
          words.length(),
          HarfBuzzShaper.Direction.LEFT_TO_RIGHT,
          "Latn",
          "en",
          List.of(),
          (count, _, positions) -> {
            for (int glyph = 0; glyph < count; glyph++) {
              sum[0] += positions[glyph * HarfBuzzShaper.STRIDE];
            }
          });
    }
    return sum[0];
  }

  @Test
  void bytesThatAreNoFontAreNamed() {
    assertThatThrownBy(() -> FontLibrary.familyOf("Bell.otf", new byte[] {1, 2, 3}))
        .isInstanceOf(DamagedFontException.class)
        .hasMessageContaining("Bell.otf");
  }
}
