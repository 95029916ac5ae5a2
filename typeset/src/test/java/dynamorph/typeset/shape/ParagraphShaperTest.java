package dynamorph.typeset.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.cascade.FontRequest;
import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.Kerning;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.Slant;
import dynamorph.model.value.TateChuYoko;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.TextOrientation;
import dynamorph.typeset.Setting;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ParagraphShaperTest {
  private final ParagraphShaper shaper = new ParagraphShaper(Setting.fonts());

  static ShapeKey.SpanType type(int length, FontRequest wish) {
    return type(length, wish, TextCase.AS_TYPED, "en");
  }

  private static ShapeKey.SpanType type(
      int length, String family, TextCase textCase, String language) {
    return type(length, FontRequest.of(family, 400, Slant.UPRIGHT), textCase, language);
  }

  private static ShapeKey.SpanType type(
      int length, FontRequest wish, TextCase textCase, String language) {
    return new ShapeKey.SpanType(
        length,
        wish,
        false,
        Kerning.AUTOMATIC,
        textCase,
        ScriptPosition.NORMAL,
        FeatureSettings.NONE,
        TextOrientation.MIXED,
        TateChuYoko.NONE,
        language,
        false);
  }

  private ShapedParagraph shape(String text) {
    return shaper.shape(
        new ShapeKey(text, List.of(type(text.length(), "EB Garamond", TextCase.AS_TYPED, "en"))));
  }

  static double width(ShapedParagraph paragraph) {
    double width = 0;
    for (ShapedRun run : paragraph.runs()) {
      for (float advance : run.advances()) {
        width += advance;
      }
    }
    return width;
  }

  @Test
  void ligaturesAreOneCluster() {
    ShapedRun run = shape("office").runs().getFirst();
    assertThat(run.glyphs().length).isLessThan(6);
    assertThat(Arrays.stream(run.starts()).sum()).isLessThan(15);
    assertThat(run.ends()[run.ends().length - 1]).isEqualTo(6);
  }

  @Test
  void spacedLettersFormNoLigatures() {
    ShapeKey.SpanType spaced =
        new ShapeKey.SpanType(
            6,
            FontRequest.of("EB Garamond", 400, Slant.UPRIGHT),
            true,
            Kerning.AUTOMATIC,
            TextCase.AS_TYPED,
            ScriptPosition.NORMAL,
            FeatureSettings.NONE,
            TextOrientation.MIXED,
            TateChuYoko.NONE,
            "en",
            false);
    assertThat(shaper.shape(new ShapeKey("office", List.of(spaced))).runs().getFirst().glyphs())
        .hasSize(6);
  }

  @Test
  void pairsAreKerned() {
    double apart = width(shape("A")) + width(shape("V"));
    assertThat(width(shape("AV"))).isLessThan(apart - 0.01);
  }

  @Test
  void mixedScriptsAreCutIntoRunsOfTheirFaces() {
    ShapedParagraph shaped = shape("Hour \u0633\u0627\u0639\u0629 \u6642\u8a08.");
    assertThat(shaped.runs())
        .extracting(run -> run.face().family(), ShapedRun::level)
        .startsWith(
            org.assertj.core.groups.Tuple.tuple("EB Garamond", 0),
            org.assertj.core.groups.Tuple.tuple("Amiri", 1));
    assertThat(shaped.runs()).extracting(run -> run.face().family()).contains("Noto Sans JP");
    assertThat(shaped.missingGlyphs()).isEmpty();
    assertThat(shaped.rightToLeft()).isFalse();
  }

  @Test
  void arabicLettersJoin() {
    ShapedParagraph joined = shape("\u0633\u0627\u0639\u0629");
    ShapedRun run = joined.runs().getFirst();
    assertThat(run.rightToLeft()).isTrue();
    assertThat(run.starts()[0]).isGreaterThan(run.starts()[run.starts().length - 1]);
    double alone = 0;
    for (String letter : List.of("\u0633", "\u0627", "\u0639", "\u0629")) {
      alone += width(shape(letter));
    }
    assertThat(width(joined)).isNotCloseTo(alone, within(0.05));
    assertThat(joined.rightToLeft()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "Straße, UPPER, de, STRASSE",
    "istanbul, UPPER, tr, \u0130STANBUL",
    "THE HOUR, LOWER, en, the hour",
    "the long hour, TITLE, en, The Long Hour",
    "As Typed, AS_TYPED, en, As Typed"
  })
  void caseIsShownAndTheWordsStay(String typed, TextCase textCase, String language, String shown) {
    List<ShapeKey.SpanType> spans =
        List.of(type(typed.length(), "EB Garamond", textCase, language));
    CaseMapping mapping =
        CaseMapping.of(
            typed, spans, List.of(ShapePlan.of(Setting.fonts(), typed, spans.getFirst())));
    assertThat(mapping.text()).isEqualTo(shown);
    assertThat(mapping.source()[0]).isZero();
    assertThat(mapping.source()[shown.length()]).isEqualTo(typed.length());
    for (int unit = 1; unit <= shown.length(); unit++) {
      assertThat(mapping.source()[unit]).isGreaterThanOrEqualTo(mapping.source()[unit - 1]);
    }
  }

  @Test
  void linesMayBreakWhereUnicodeSays() {
    assertThat(shape("well-known fact\u00A0here").breaks().stream().boxed().toList())
        .containsExactly(5, 11, 20);
    ShapedParagraph forced = shape("one\u2028two");
    assertThat(forced.forced().get(4)).isTrue();
    assertThat(shape("\u6642\u8a08\u3002").breaks().get(1)).isTrue();
    assertThat(shape("\u6642\u8a08\u3002").breaks().get(2)).isFalse();
  }

  @Test
  void missingFontsAndGlyphsAreReported() {
    ShapedParagraph shaped =
        shaper.shape(
            new ShapeKey(
                "a\uD808\uDC00", List.of(type(3, "No Such Face", TextCase.AS_TYPED, "en"))));
    assertThat(shaped.missingFamilies()).containsExactly("No Such Face");
    assertThat(shaped.missingGlyphs()).containsExactly(0x12000);
  }

  @Test
  void anEmptyParagraphHasNoRuns() {
    assertThat(shape("").runs()).isEmpty();
  }
}
