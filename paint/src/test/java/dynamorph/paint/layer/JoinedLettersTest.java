package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What joins stays in one piece of ink, however long the join is made. */
class JoinedLettersTest {
  private static Ink painted(String word, String tracking) {
    return PropertyMeaning.painted(
        word,
        PropertyMeaning.set(
            "font-family",
            "Amiri",
            "size",
            "40 pt",
            "position-x",
            "20",
            "position-y",
            "20",
            "tracking",
            tracking));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "\u0633\u0644\u0645",
        "\u0645\u062D\u0645\u062F",
        "\u0639\u0644\u064A\u0643\u0645",
        "\u0628\u064A\u062A",
        "\u0644\u0645\u062D\u0647",
        "\u062A\u0643\u062A\u0628",
        "\u0635\u0628\u0631",
        "\u0641\u0642\u0637",
        "\u0647\u062C\u0645\u0629",
        "\u0634\u0652\u0645\u064E\u0633",
        "\u0644\u0644\u0647",
        "\u0628\u0628\u0628\u0628"
      })
  void aJoinIsNotTorn(String word) {
    Ink plain = painted(word, "0");
    Ink wide = painted(word, "150");
    assertThat(wide.pieces()).hasSameSizeAs(plain.pieces());
    // the line of the join is as dark where it was lengthened as anywhere
    Ink piece = wide.pieces().getFirst();
    for (double x = piece.left() + 2; x < piece.right() - 3; x += 0.5) {
      assertThat(wide.within(x, 0, x + 0.5, wide.bottom() + 1).amount())
          .as("at %s", x)
          .isGreaterThan(0.4);
    }
  }
}
