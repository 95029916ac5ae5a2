package dynamorph.typeset.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.value.TabStops;
import dynamorph.typeset.Setting;
import org.junit.jupiter.api.Test;

/** What fills the way to a tab stop, counted by hand. */
class LeadersTest {
  private static double width(String words) {
    return Setting.of(words).layout().lines().getFirst().width();
  }

  /** The letters of the leader, which no caret stands in. */
  private static GlyphRun leader(Setting setting) {
    return setting.layout().lines().getFirst().runs().stream()
        .filter(run -> run.starts().length == 0)
        .findFirst()
        .orElseThrow();
  }

  private static Setting tabbed(String stops) {
    return Setting.of("Bell\t12").with(Properties.TAB_STOPS, TabStops.parse(stops));
  }

  /** Dots of all lines stand below each other: at whole multiples of their width. */
  @Test
  void leadersStandAtMultiplesOfTheirWidth() {
    double dot = width(".");
    double from = width("Bell");
    double to = 200 - width("12");
    int first = (int) Math.ceil(from / dot);
    int count = (int) Math.floor(to / dot) - first;
    GlyphRun dots = leader(tabbed("200 end '.'"));
    assertThat(dots.glyphs()).hasSize(count);
    for (int index = 0; index < count; index++) {
      assertThat(dots.x()[index]).isEqualTo((float) ((first + index) * dot), within(0.01f));
      assertThat(dots.y()[index]).isZero();
    }
    assertThat(dots.size()).isEqualTo(20);
    assertThat(dots.stretch()).isEqualTo(1);
  }

  @Test
  void aLeaderOfSeveralLettersIsRepeatedAsAWhole() {
    double both = width("-.");
    GlyphRun pairs = leader(tabbed("200 end '-.'"));
    assertThat(pairs.glyphs().length % 2).isZero();
    assertThat(pairs.glyphs().length).isGreaterThan(8);
    for (int index = 0; index + 2 < pairs.glyphs().length; index += 2) {
      assertThat(pairs.glyphs()[index + 2]).isEqualTo(pairs.glyphs()[index]);
      assertThat(pairs.x()[index + 2] - pairs.x()[index]).isEqualTo((float) both, within(0.01f));
      assertThat(pairs.x()[index + 1] - pairs.x()[index])
          .isEqualTo((float) width("-"), within(0.01f));
    }
  }

  /** Twice as wide and half as high again: the dots are, and so are the ways between them. */
  @Test
  void leadersAreScaledAsTheirLetters() {
    GlyphRun dots =
        leader(
            tabbed("400 end '.'")
                .with(Properties.HORIZONTAL_SCALE, 300.0)
                .with(Properties.VERTICAL_SCALE, 150.0));
    assertThat(dots.size()).isEqualTo(30, within(1e-9));
    assertThat(dots.stretch()).isEqualTo(2, within(1e-9));
    assertThat(dots.x()[1] - dots.x()[0]).isEqualTo((float) (3 * width(".")), within(0.01f));
  }

  @Test
  void thereIsNoLeaderWhereThereIsNoRoomForOne() {
    double from = width("Bell");
    double stop = from + width("12") + width(".") / 4;
    assertThat(leader(tabbed(stop + " end '.'")).glyphs()).isEmpty();
  }
}
