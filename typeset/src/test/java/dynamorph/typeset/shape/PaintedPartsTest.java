package dynamorph.typeset.shape;

import static dynamorph.typeset.shape.ParagraphShaperTest.width;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import dynamorph.model.cascade.FontRequest;
import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.Kerning;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.Slant;
import dynamorph.model.value.TateChuYoko;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.TextOrientation;
import dynamorph.typeset.Setting;
import dynamorph.typeset.font.FontFamily;
import dynamorph.typeset.font.FontLibrary;
import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Letters stay where they are when only their paint changes, and where nothing may move them. */
class PaintedPartsTest {
  private static final String LETTERS = "AVTaovyw.fli, ";

  private final ParagraphShaper shaper = new ParagraphShaper(Setting.fonts());

  private static ShapeKey.SpanType type(int length, String family, boolean joined) {
    return type(length, family, TextCase.AS_TYPED, joined);
  }

  private static ShapeKey.SpanType type(
      int length, String family, TextCase textCase, boolean joined) {
    return new ShapeKey.SpanType(
        length,
        FontRequest.of(family, 400, Slant.UPRIGHT),
        false,
        Kerning.AUTOMATIC,
        textCase,
        ScriptPosition.NORMAL,
        FeatureSettings.NONE,
        TextOrientation.MIXED,
        TateChuYoko.NONE,
        "en",
        joined);
  }

  private ShapedParagraph shape(String text, String family, int... cuts) {
    List<ShapeKey.SpanType> spans = new ArrayList<>();
    int from = 0;
    for (int cut : cuts) {
      spans.add(type(cut - from, family, from > 0));
      from = cut;
    }
    spans.add(type(text.length() - from, family, from > 0));
    return shaper.shape(new ShapeKey(text, spans));
  }

  /** Unit and place of each cluster, in em from the left. */
  private static List<String> places(ShapedParagraph paragraph) {
    List<String> places = new ArrayList<>();
    double pen = 0;
    for (ShapedRun run : paragraph.runs()) {
      for (int cluster = 0; cluster < run.clusterCount(); cluster++) {
        places.add("%d %.4f".formatted(run.starts()[cluster], pen));
        pen += run.advances()[cluster];
      }
    }
    return places;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"Anton", "Barlow Condensed", "Caveat", "EB Garamond", "Fraunces", "Source Sans 3"})
  void colouringAPartOfAWordMovesNoLetter(String family) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(7);
    int cutWords = 0;
    for (int round = 0; round < 300; round++) {
      StringBuilder word = new StringBuilder();
      for (int letter = 0; letter < 3 + random.nextInt(8); letter++) {
        word.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
      }
      int first = 1 + random.nextInt(word.length() - 1);
      int second = first + random.nextInt(word.length() - first + 1);
      ShapedParagraph whole = shape(word.toString(), family);
      boolean torn =
          whole.runs().stream()
              .anyMatch(run -> {
                for (int cluster = 0; cluster < run.clusterCount(); cluster++) {
                  if (inside(first, run, cluster) || inside(second, run, cluster)) {
                    return true;
                  }
                }
                return false;
              });
      if (!torn) {
        cutWords++;
        assertThat(places(shape(word.toString(), family, first, second)))
            .as("%s in %s, cut at %d and %d", word, family, first, second)
            .isEqualTo(places(whole));
      }
    }
    assertThat(cutWords).isGreaterThan(150);
  }

  private static boolean inside(int cut, ShapedRun run, int cluster) {
    return cut > run.starts()[cluster] && cut < run.ends()[cluster];
  }

  @Test
  void eachColourHasItsOwnLetters() {
    ShapedParagraph cut = shape("AVATAR To", "EB Garamond", 1, 8);
    assertThat(cut.runs()).extracting(ShapedRun::span).containsExactly(0, 1, 2);
    assertThat(cut.runs()).extracting(ShapedRun::start).containsExactly(0, 1, 8);
    assertThat(cut.runs()).extracting(ShapedRun::end).containsExactly(1, 8, 9);
  }

  @Test
  void aLigatureOfTwoColoursIsTakenApartAndNoOtherIs() {
    ShapedParagraph cut = shape("office fin", "EB Garamond", 2);
    List<Integer> starts = new ArrayList<>();
    cut.runs()
        .forEach(run -> {
          for (int start : run.starts()) {
            starts.add(start);
          }
        });
    assertThat(starts).as("o f f i c e, fi stays one").containsExactly(0, 1, 2, 3, 4, 5, 6, 7, 9);
  }

  @Test
  void lettersOfRightToLeftTextStayInTheirOrder() {
    ShapedParagraph whole = shape("\u0628\u064A\u062A \u0628\u0627\u0628", "Amiri");
    ShapedParagraph cut = shape("\u0628\u064A\u062A \u0628\u0627\u0628", "Amiri", 2);
    assertThat(cut.runs()).extracting(ShapedRun::span).containsExactly(0, 1);
    assertThat(cut.runs().getFirst().start()).isZero();
    assertThat(cut.runs().getFirst().end()).isEqualTo(2);
    assertThat(width(cut)).isEqualTo(width(whole), within(1e-6));
    int glyphs = cut.runs().stream().mapToInt(run -> run.glyphs().length).sum();
    assertThat(glyphs).isEqualTo(whole.runs().getFirst().glyphs().length);
  }

  @Test
  void hanStaysOnItsGrid() {
    assertThat(
            width(
                shape(
                    "\u5C55\u89A7\u4F1A\u6642\u8A08\u5854\u6642\u8A08\u5854\u5C55",
                    "Noto Sans JP")))
        .isEqualTo(10, within(1e-6));
  }

  @ParameterizedTest
  @ValueSource(strings = {"WWWWWWWWWW", "iiiiiiiiii", "AV.To,11i"})
  void lettersOfOnePitchAreNotKerned(String letters) {
    FontLibrary fonts = FontLibrary.installed();
    String family = "DejaVu Sans Mono";
    assumeThat(fonts.families()).extracting(FontFamily::name).contains(family);
    // the font says 1233 of 2048 units for every letter
    assertThat(
            width(
                new ParagraphShaper(fonts)
                    .shape(new ShapeKey(letters, List.of(type(letters.length(), family, false))))))
        .isEqualTo(letters.length() * 1233 / 2048.0, within(1e-5));
  }

  @Test
  void figuresOfOneWidthStandInColumns() {
    ShapeKey.SpanType optical =
        new ShapeKey.SpanType(
            7,
            FontRequest.of("Source Sans 3", 400, Slant.UPRIGHT),
            false,
            Kerning.OPTICAL,
            TextCase.AS_TYPED,
            ScriptPosition.NORMAL,
            new FeatureSettings(new java.util.TreeMap<>(java.util.Map.of("tnum", 1))),
            TextOrientation.MIXED,
            TateChuYoko.NONE,
            "en",
            false);
    double ones = width(shaper.shape(new ShapeKey("1.111.1", List.of(optical))));
    double fours = width(shaper.shape(new ShapeKey("4.474.7", List.of(optical))));
    assertThat(ones).isEqualTo(fours, within(1e-6));
  }

  @ParameterizedTest
  @CsvSource({
    "TITLE, hello world, 2",
    "LOWER, \u039F\u0394\u039F\u03A3, 3",
    "UPPER, stra\u00DFe, 4"
  })
  void aColouredPartIsWrittenAsTheWholeWordAsks(TextCase textCase, String word, int cut) {
    ShapeKey.SpanType whole = type(word.length(), "EB Garamond", textCase, false);
    ShapeKey.SpanType first = type(cut, "EB Garamond", textCase, false);
    ShapeKey.SpanType second = type(word.length() - cut, "EB Garamond", textCase, true);
    assertThat(glyphs(new ShapeKey(word, List.of(first, second))))
        .isEqualTo(glyphs(new ShapeKey(word, List.of(whole))));
  }

  private List<Short> glyphs(ShapeKey key) {
    List<Short> glyphs = new ArrayList<>();
    for (ShapedRun run : shaper.shape(key).runs()) {
      for (short glyph : run.glyphs()) {
        glyphs.add(glyph);
      }
    }
    return glyphs;
  }
}
