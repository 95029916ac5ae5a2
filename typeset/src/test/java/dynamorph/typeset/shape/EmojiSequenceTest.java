package dynamorph.typeset.shape;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.UnicodeSet;
import dynamorph.model.cascade.FontRequest;
import dynamorph.model.value.ScriptFonts;
import dynamorph.model.value.Slant;
import dynamorph.typeset.font.ColourFont;
import dynamorph.typeset.font.FontLibrary;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** UTS #51 and the fonts of its sequences. */
class EmojiSequenceTest {
  /** All sequences that are recommended for interchange, as ICU knows them. */
  @Test
  void everyRecommendedSequenceIsOne() {
    int many = 0;
    for (String sequence : new UnicodeSet("[:RGI_Emoji:]").freeze()) {
      EmojiSequence found = EmojiSequence.at(sequence + "x", 0).orElseThrow();
      assertThat(found.end()).as(sequence).isEqualTo(sequence.length());
      assertThat(found.colourful()).as(sequence).isTrue();
      many++;
    }
    assertThat(many).isGreaterThan(3000);
  }

  @ParameterizedTest
  @ValueSource(strings = {"a", "3", "#", "3x", "\u00A9", "\u2764", "\u2764x", "\u4E2D", "\u200D"})
  void lettersAndSignsThatAreTextByThemselvesAreNone(String text) {
    assertThat(EmojiSequence.at(text, 0)).isEmpty();
  }

  @Test
  void aSelectorChooses() {
    assertThat(EmojiSequence.at("\u2764\uFE0F", 0).orElseThrow().colourful()).isTrue();
    assertThat(EmojiSequence.at("\u2764\uFE0E", 0).orElseThrow().colourful()).isFalse();
    assertThat(EmojiSequence.at("\u26A1\uFE0E", 0).orElseThrow().colourful()).isFalse();
    assertThat(EmojiSequence.at("\u26A1", 0).orElseThrow().colourful()).isTrue();
  }

  /** Runs with their family and what they draw, as letters of the font they were made of. */
  private static String drawn(String text, String family, ScriptFonts chains) {
    try (FontLibrary fonts = FontLibrary.forProject(List.of(ColourFont.asset()))) {
      FontRequest plain = FontRequest.of(family, 400, Slant.UPRIGHT);
      FontRequest wish =
          new FontRequest(family, 400, plain.width(), plain.slant(), plain.axes(), false, chains);
      ShapedParagraph shaped =
          new ParagraphShaper(fonts)
              .shape(new ShapeKey(text, List.of(ParagraphShaperTest.type(text.length(), wish))));
      Map<Integer, String> letters =
          "ABCDEFHT3-"
              .chars()
              .boxed()
              .collect(
                  Collectors.toMap(
                      fonts.match("Caveat", 400, Slant.UPRIGHT).face()::glyph,
                      Character::toString));
      return shaped.runs().stream()
          .map(run -> {
            StringBuilder glyphs = new StringBuilder(run.face().family()).append(':');
            for (short glyph : run.glyphs()) {
              glyphs.append(
                  run.face().isColourful() ? letters.getOrDefault(glyph & 0xFFFF, "") : "?");
            }
            return glyphs.toString();
          })
          .collect(Collectors.joining(" "));
    }
  }

  @ParameterizedTest
  @CsvSource({
    "'\uD83D\uDC69\u200D\uD83D\uDCBB', Test Colours:C",
    "'\uD83C\uDDE9\uD83C\uDDEA', Test Colours:F",
    "'3\uFE0F\u20E3', Test Colours:3",
    "'\u2764\uFE0F', Test Colours:H",
    "'\uD83D\uDC69\uD83C\uDFFD', Test Colours:AT",
    "'3', Anton:?"
  })
  void aSequenceIsDrawnByOneFontWithColours(String text, String expected) {
    assertThat(drawn(text, "Anton", ScriptFonts.NONE)).isEqualTo(expected);
  }

  /** Text style asks for a font without colours, even where the chosen one has the sign. */
  @Test
  void textStyleIsDrawnWithoutColours() {
    String figure = "3\uFE0E";
    assertThat(drawn(figure, "Test Colours", ScriptFonts.NONE)).isEqualTo("Source Sans 3:??");
    assertThat(drawn(figure, "Test Colours", ScriptFonts.parse("Zsym: Amiri")))
        .isEqualTo("Amiri:??");
  }

  @Test
  void aTextAroundKeepsItsFont() {
    assertThat(drawn("a\u2764\uFE0Fb", "Anton", ScriptFonts.NONE))
        .isEqualTo("Anton:? Test Colours:H Anton:?");
  }
}
