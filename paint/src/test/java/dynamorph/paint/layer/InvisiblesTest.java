package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import dynamorph.model.Layer;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import dynamorph.typeset.font.FontFamily;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.TextLayout;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Controls, separators, fillers and default-ignorable characters (UAX #44) draw nothing. */
class InvisiblesTest {
  /** So many at once that a text of them takes the room of a line. */
  private static final int AT_ONCE = 40;

  static Stream<String> families() {
    try (FontLibrary fonts = FontLibrary.shipped()) {
      return fonts.families().stream().map(FontFamily::name).toList().stream();
    }
  }

  private static IntStream invisible() {
    return IntStream.rangeClosed(0, 0xE0FFF)
        .filter(point ->
            UCharacter.hasBinaryProperty(point, UProperty.DEFAULT_IGNORABLE_CODE_POINT)
                || Character.isISOControl(point)
                || point == 0x2028)
        // the unassigned ones of the last plane are all alike
        .filter(point -> point < 0xE0200 || point % 97 == 0)
        // these two end paragraphs, which are kept apart
        .filter(point -> point != '\n' && point != '\r');
  }

  @ParameterizedTest
  @MethodSource("families")
  void nothingOfThemIsPaintedOrMissing(String family) {
    List<String> texts = new ArrayList<>();
    StringBuilder text = new StringBuilder();
    invisible()
        .forEach(point -> {
          text.appendCodePoint(point);
          if (text.codePointCount(0, text.length()) == AT_ONCE) {
            texts.add(text.toString());
            text.setLength(0);
          }
        });
    texts.add(text.toString());
    for (String words : texts) {
      for (int point : words.codePoints().toArray()) {
        String own = Character.toString(point);
        TextLayout layout = layout(family, own);
        assertThat(layout.missingGlyphs()).as("missing in %s", family).isEmpty();
      }
      List<String> seen =
          isBlank(family, words)
              ? List.of()
              : words
                  .codePoints()
                  .mapToObj(Character::toString)
                  .filter(one -> !isBlank(family, one))
                  .flatMap(one -> names(one).stream())
                  .toList();
      assertThat(seen).as("seen in %s", family).isEmpty();
    }
  }

  private static boolean isBlank(String family, String words) {
    Pixels pixels = Painting.stage(Painting.project(Painting.text("a", words, look(family))), 1);
    return Painting.count(pixels, Rgba.of(255, 255, 255)) == 200 * 100;
  }

  private static PropertySet look(String family) {
    return PropertySet.EMPTY
        .with(Properties.FONT_FAMILY, family)
        .with(Properties.SIZE, FontSize.points(20));
  }

  private static TextLayout layout(String family, String words) {
    Layer layer = Painting.text("a", words, look(family));
    return Painting.maker()
        .typesetter()
        .layout(layer.story(), Cascade.of(Painting.project(layer)).resolve(layer));
  }

  private static List<String> names(String words) {
    return words.codePoints().mapToObj(point -> "U+%04X".formatted(point)).toList();
  }
}
