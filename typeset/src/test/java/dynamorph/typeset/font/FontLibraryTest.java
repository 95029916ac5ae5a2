package dynamorph.typeset.font;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Asset;
import dynamorph.model.cascade.FontRequest;
import dynamorph.model.value.AxisSettings;
import dynamorph.model.value.ScriptFonts;
import dynamorph.model.value.Slant;
import dynamorph.typeset.Setting;
import dynamorph.typeset.harfbuzz.HarfBuzzFont;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class FontLibraryTest {
  // of each test its own: what another has read would hide what this one asks for
  private final FontLibrary fonts = FontLibrary.shipped();

  @AfterEach
  void close() {
    fonts.close();
  }

  @ParameterizedTest
  @CsvSource({
    "Source Sans 3, 400, UPRIGHT, Source Sans 3 400, false",
    "source sans 3, 650, UPRIGHT, Source Sans 3 700, false",
    "Source Sans 3, 450, UPRIGHT, Source Sans 3 400, false",
    "Source Sans 3, 500, UPRIGHT, Source Sans 3 400, false",
    "Source Sans 3, 1, UPRIGHT, Source Sans 3 300, false",
    "Barlow Condensed, 1000, UPRIGHT, Barlow Condensed 800, false",
    "EB Garamond, 400, ITALIC, EB Garamond 400 italic, false",
    "Anton, 700, ITALIC, Anton 400, true"
  })
  void theNearestCutIsFound(
      String family, double weight, Slant slant, String face, boolean slanted) {
    FontMatch match = fonts.match(family, weight, slant);
    assertThat(match.face()).hasToString(face);
    assertThat(match.slanted()).isEqualTo(slanted);
    assertThat(match.substituted()).isFalse();
  }

  @Test
  void aMissingFamilyIsSubstitutedAndSaid() {
    FontMatch match = fonts.match("No Such Face", 700, Slant.UPRIGHT);
    assertThat(match.substituted()).isTrue();
    assertThat(match.face()).hasToString("Source Sans 3 700");
    assertThat(fonts.has("No Such Face")).isFalse();
    assertThat(fonts.has("EB Garamond")).isTrue();
  }

  static List<FontFamily> shipped() {
    return Setting.fonts().families();
  }

  @ParameterizedTest
  @MethodSource("shipped")
  void everyShippedFontLoadsUnderItsName(FontFamily family) {
    for (int weight : family.weights()) {
      FontFace face = fonts.match(family.name(), weight, Slant.UPRIGHT).face();
      assertThat(face.family()).isEqualTo(family.name());
      assertThat(face.typeface().getFamilyName())
          .startsWith(family.name().split(" (?=Semi|Extra|Medium|Light)")[0]);
      assertThat(face.weight()).isEqualTo(weight);
      assertThat(face.ascent()).isBetween(0.5, 2.0);
      assertThat(face.covers('A')).isTrue();
    }
  }

  @Test
  void theShippedFontsServeTheRolesOfTheDemo() {
    assertThat(shipped())
        .extracting(FontFamily::name)
        .contains(
            "EB Garamond",
            "Source Sans 3",
            "Anton",
            "Barlow Condensed",
            "Caveat",
            "Amiri",
            "Noto Sans JP");
  }

  @Test
  void aVariableFontIsTakenAtItsPlace() {
    assertThat(fonts.weights("Fraunces")).startsWith(100).endsWith(900).hasSize(9);
    FontFace light = fonts.match("Fraunces", 200, Slant.UPRIGHT).face();
    FontFace heavy = fonts.match("Fraunces", 850, Slant.UPRIGHT).face();
    assertThat(light.weight()).isEqualTo(200);
    assertThat(heavy.shaping().advance(heavy.glyph('n')))
        .isGreaterThan(light.shaping().advance(light.glyph('n')));
    assertThat(light.axes())
        .extracting(HarfBuzzFont.Axis::tag)
        .contains("wght", "opsz", "SOFT", "WONK");
    FontRequest soft =
        new FontRequest(
            "Fraunces",
            400,
            100,
            Slant.UPRIGHT,
            AxisSettings.parse("SOFT=900, opsz=9"),
            false,
            ScriptFonts.NONE);
    assertThat(fonts.match(soft).face())
        .isNotSameAs(fonts.match("Fraunces", 400, Slant.UPRIGHT).face());
    assertThat(fonts.match(soft)).isSameAs(fonts.match(soft));
    assertThat(fonts.facts("Fraunces").variable()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "EB Garamond, SERIF",
    "Source Sans 3, SANS_SERIF",
    "Anton, SANS_SERIF",
    "Fraunces, SERIF",
    "Caveat, HANDWRITTEN"
  })
  void familiesAreSortedByTheShapeOfTheirLetters(String family, FontTraits.FontClass kind) {
    assertThat(fonts.facts(family).fontClass()).isEqualTo(kind);
    assertThat(fonts.facts(family).scripts()).contains(FontTraits.FontScript.LATIN);
  }

  @Test
  void scriptsAreThoseItHasLettersFor() {
    assertThat(fonts.facts("Amiri").scripts())
        .contains(FontTraits.FontScript.ARABIC, FontTraits.FontScript.LATIN)
        .doesNotContain(FontTraits.FontScript.THAI, FontTraits.FontScript.JAPANESE);
    assertThat(fonts.facts("Noto Sans JP").scripts())
        .contains(FontTraits.FontScript.JAPANESE)
        .doesNotContain(FontTraits.FontScript.ARABIC);
    assertThat(fonts.facts("EB Garamond").scripts())
        .contains(FontTraits.FontScript.GREEK, FontTraits.FontScript.CYRILLIC)
        .doesNotContain(FontTraits.FontScript.HEBREW);
    assertThat(fonts.facts("EB Garamond").features()).contains("smcp").doesNotContain("mark");
    assertThat(fonts.facts("EB Garamond").variable()).isFalse();
  }

  @Test
  void weightsAreThoseOfItsCutsOrOfItsAxis() {
    assertThat(fonts.weights("barlow condensed")).containsExactly(400, 500, 600, 700, 800);
    // the axis of Fraunces goes from 100 to 900
    assertThat(fonts.weights("Fraunces"))
        .containsExactly(100, 200, 300, 400, 500, 600, 700, 800, 900);
    assertThat(fonts.weights("No Such Face")).hasSize(9);
    FontFamily anton =
        fonts.families().stream()
            .filter(family -> family.name().equals("Anton"))
            .findFirst()
            .orElseThrow();
    assertThat(anton.weights()).containsExactly(400);
    assertThat(anton.hasItalic()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"0633, Amiri", "3042, Noto Sans JP", "6642, Noto Sans JP"})
  void lackingGlyphsComeFromAFallback(String hex, String family) {
    FontFace garamond = fonts.match("EB Garamond", 400, Slant.UPRIGHT).face();
    int codePoint = Integer.parseInt(hex, 16);
    assertThat(garamond.covers(codePoint)).isFalse();
    FontRequest wish = FontRequest.of("EB Garamond", 400, Slant.UPRIGHT);
    assertThat(fonts.fallback(codePoint, wish, "Zyyy")).map(FontFace::family).contains(family);
  }

  @Test
  void aGlyphThatNobodyHasIsNotFound() {
    FontRequest wish = FontRequest.of("EB Garamond", 400, Slant.UPRIGHT);
    assertThat(fonts.fallback(0x12000, wish, "Xsux")).isEmpty();
  }

  /** CSS Fonts 4, 5.3: what is asked for, not what the first family happens to have. */
  @Test
  void whatIsWishedIsHandedOnToFallbacks() {
    FontRequest wish = FontRequest.of("Anton", 900, Slant.ITALIC);
    assertThat(fonts.match(wish).face().weight()).isEqualTo(400);
    FontFace russian = fonts.fallback('\u0416', wish, "Cyrl").orElseThrow();
    assertThat(russian.family()).isEqualTo("Source Sans 3");
    assertThat(russian.slant()).isEqualTo(Slant.ITALIC);
    assertThat(fonts.fallback(0x3042, wish, "Hira").orElseThrow().weight()).isEqualTo(700);
  }

  @Test
  void aProjectsOwnFontComesFirst() throws IOException {
    Asset own = new Asset("fonts/Own.ttf", shippedBytes());
    try (FontLibrary library =
        FontLibrary.forProject(List.of(own, new Asset("notes/readme.txt", new byte[0])))) {
      assertThat(library.families())
          .filteredOn(family -> family.name().equals("Anton"))
          .singleElement()
          .extracting(FontFamily::origin)
          .isEqualTo(FontFamily.Origin.PROJECT);
      assertThat(library.match("Anton", 400, Slant.UPRIGHT).substituted()).isFalse();
    }
    assertThat(FontLibrary.familyOf("Own.ttf", shippedBytes())).isEqualTo("Anton");
  }

  private static byte[] shippedBytes() throws IOException {
    try (InputStream stream =
        FontLibraryTest.class.getResourceAsStream(
            "/dynamorph/typeset/fonts/anton/Anton_400Regular.ttf")) {
      return stream.readAllBytes();
    }
  }

  @Test
  void damagedFontsAreNamed() {
    Asset empty = new Asset("fonts/Bell.ttf", new byte[0]);
    Asset garbage = new Asset("fonts/Anton.ttf", "no font at all".getBytes());
    try (FontLibrary library = FontLibrary.forProject(List.of(empty, garbage))) {
      assertThat(library.damaged())
          .extracting(Throwable::getMessage)
          .containsExactly(
              "assets/fonts/Bell.ttf: the font is empty (0 bytes)",
              "assets/fonts/Anton.ttf: this is not a font that can be read");
      assertThat(library.match("Anton", 400, Slant.UPRIGHT).substituted())
          .as("the shipped one is there")
          .isFalse();
    }
  }
}
