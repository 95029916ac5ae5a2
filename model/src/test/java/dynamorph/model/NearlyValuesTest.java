package dynamorph.model;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.reach.LayerQuery;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.value.ColourText;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Texts that are nearly values, from files and from hands: each is read, or refused with a reason
 * and nothing else.
 */
@Timeout(60)
class NearlyValuesTest {
  private static final List<String> PIECES =
      List.of(
          "",
          " ",
          ",",
          ";",
          ":",
          "/",
          "-",
          "+",
          ".",
          "%",
          "#",
          "(",
          ")",
          "\"",
          "'",
          "\\",
          "*",
          "=",
          "0",
          "1",
          "-1",
          "1.5",
          ".5",
          "1.2.3",
          "1e9",
          "1e999",
          "NaN",
          "Infinity",
          "-0",
          "99999999999999999999",
          "pt",
          "em",
          "px",
          "mm",
          "\u00d7",
          "auto",
          "swatch:",
          "#12345",
          "#123456",
          "oklch",
          "hsb",
          "linear",
          "left",
          "liga",
          "wght",
          "ss01",
          "latn",
          "\u0000",
          "\ud800",
          "\u2028",
          "\u0660",
          "follows",
          "AND",
          "size>",
          "\ufeff");

  private static final List<String> TEXTS = texts();

  /** Every piece alone, and many together at random. */
  private static List<String> texts() {
    List<String> texts = new ArrayList<>(PIECES);
    SplittableRandom random = new SplittableRandom(7);
    for (int index = 0; index < 60; index++) {
      StringBuilder text = new StringBuilder();
      for (int length = 2 + random.nextInt(7); length > 0; length--) {
        text.append(PIECES.get(random.nextInt(PIECES.size())));
        if (random.nextInt(3) == 0) {
          text.append(' ');
        }
      }
      texts.add(text.toString());
    }
    for (String piece : PIECES) {
      texts.add(piece.repeat(1_000));
    }
    return texts;
  }

  private static void assertReadOrRefused(Consumer<String> reader) {
    for (String text : TEXTS) {
      try {
        reader.accept(text);
      } catch (IllegalArgumentException refused) {
        assertThat(refused.getMessage())
            .as("why \u201c%s\u201d is refused", text.substring(0, Math.min(60, text.length())))
            .isNotBlank()
            .doesNotContain("For input string", "out of bounds", "Infinite or NaN");
      } catch (RuntimeException other) {
        throw new AssertionError(
            "\u201c" + text.substring(0, Math.min(60, text.length())) + "\u201d", other);
      }
    }
  }

  static Stream<Property<?>> properties() {
    return Properties.all().stream();
  }

  @ParameterizedTest
  @MethodSource("properties")
  void valuesOfEveryProperty(Property<?> property) {
    assertReadOrRefused(text -> property.type().decode(text));
  }

  @Test
  void numbersOfEveryProperty() {
    for (Property<?> property : Properties.all()) {
      for (double number :
          new double[] {
            0, -0.0, 1e300, -1e300, Double.MIN_VALUE, Double.NaN, Double.POSITIVE_INFINITY
          }) {
        try {
          property.type().decode(number);
        } catch (IllegalArgumentException refused) {
          assertThat(refused.getMessage()).isNotBlank();
        }
      }
    }
  }

  @Test
  void pathsOfProperties() {
    assertReadOrRefused(Properties::key);
    assertReadOrRefused(text -> {
      PropertyKey<?> key = Properties.key("finish/" + text + "/width");
      assertThat(key.path()).isNotBlank();
    });
  }

  @Test
  void queriesColoursAndTimes() {
    assertReadOrRefused(LayerQuery::parse);
    assertReadOrRefused(ColourText::parse);
    assertReadOrRefused(FrameRate::parse);
    Timeline line = Timeline.of(FrameRate.PAL, Time.ofSeconds(60));
    assertReadOrRefused(line::timeOf);
    assertReadOrRefused(text -> new Timecode(FrameRate.NTSC, true).parse(text));
  }
}
