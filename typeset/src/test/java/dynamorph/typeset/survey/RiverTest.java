package dynamorph.typeset.survey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.property.Properties;
import dynamorph.typeset.Setting;
import dynamorph.typeset.layout.TextLayout;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Lines of one letter each, so that spaces stand below each other where the counts are alike. */
class RiverTest {
  /**
   * As wide as a word space may be here; the shipped faces have spaces of about a fifth of an em.
   */
  private static final double ANY = 0.1;

  /** Lines by the letters of their words: {@code 3 4} is {@code nnn nnnn}. */
  private static String words(String lines) {
    return Arrays.stream(lines.split(","))
        .map(line ->
            Arrays.stream(line.strip().split(" "))
                .map(count -> "n".repeat(Integer.parseInt(count)))
                .collect(Collectors.joining(" ")))
        .collect(Collectors.joining("\u2028"));
  }

  private static List<River> rivers(String lines, int least, double width) {
    String words = words(lines);
    TextLayout layout = Setting.of(words).with(Properties.FONT_FAMILY, "Source Sans 3").layout();
    return River.in(layout.lines(), words, least, width);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        // below each other through four lines
        "3 4, 3 2, 3 5, 3 3; 0-3",
        // three lines are no river yet
        "3 4, 3 2, 3 5; none",
        // one line without the space parts it
        "3 4, 3 2, 7, 3 5, 3 3; none",
        // it begins where the spaces do
        "5 2, 3 4, 3 2, 3 5, 3 3, 8; 1-4",
        // of two side by side the longer
        "3 3 3, 3 3 2, 3 3 4, 3 3, 3 1, 9; 0-4",
        // two below each other
        "3 4, 3 2, 3 5, 3 3, 9, 1 4, 1 2, 1 5, 1 3; 0-3 5-8",
      })
  void spacesBelowEachOtherFlow(String lines, String expected) {
    String found =
        rivers(lines, 4, ANY).stream()
            .map(river -> river.first() + "-" + river.last())
            .collect(Collectors.joining(" "));
    assertThat(found.isEmpty() ? "none" : found).isEqualTo(expected);
  }

  @Test
  void narrowSpacesAreNone() {
    assertThat(rivers("3 4, 3 2, 3 5, 3 3", 4, 1)).isEmpty();
    assertThat(rivers("3 4, 3 2, 3 5, 3 3", 3, ANY)).singleElement().isEqualTo(new River(0, 3));
  }
}
