package dynamorph.typeset.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.ListKind;
import dynamorph.typeset.Setting;
import dynamorph.typeset.layout.Line;
import org.junit.jupiter.api.Test;

/** Letters that are scaled, hang or stand as ornaments, measured by hand. */
class ScaledLettersTest {
  private static Setting numbered(String words) {
    return Setting.of(words).with(Properties.LIST, ListKind.NUMBERS);
  }

  private static GlyphRun marker(Setting setting) {
    return setting.layout().lines().getFirst().runs().getFirst();
  }

  /** Three times as wide and one and a half times as high: the stretch is two. */
  @Test
  void theNumberOfAListIsScaledWithItsLetters() {
    GlyphRun plain = marker(numbered("x"));
    GlyphRun scaled =
        marker(
            numbered("x")
                .with(Properties.HORIZONTAL_SCALE, 300.0)
                .with(Properties.VERTICAL_SCALE, 150.0));
    assertThat(plain.size()).isEqualTo(20);
    assertThat(scaled.size()).isEqualTo(30, within(1e-9));
    assertThat(scaled.stretch()).isEqualTo(2, within(1e-9));
    double digit = plain.x()[1] - plain.x()[0];
    assertThat(digit).isPositive();
    assertThat(scaled.x()[1] - scaled.x()[0]).isEqualTo((float) (3 * digit), within(0.01f));
  }

  @Test
  void rubyIsHalfAsLargeAndScaledToo() {
    Setting ruby =
        Setting.of(Story.of(Paragraph.of(Span.of("\u6642\u6642").withRuby("\u3068\u304d"))))
            .with(Properties.FONT_FAMILY, "Noto Sans JP")
            .with(Properties.HORIZONTAL_SCALE, 300.0)
            .with(Properties.VERTICAL_SCALE, 150.0);
    GlyphRun small =
        ruby.layout().lines().getFirst().runs().stream()
            .filter(run -> run.starts().length == 0)
            .findFirst()
            .orElseThrow();
    assertThat(small.size()).isEqualTo(15, within(1e-9));
    assertThat(small.stretch()).isEqualTo(2, within(1e-9));
  }

  /** Lines grow with the height of their letters; what is raised raises them. */
  @Test
  void linesAreAsHighAsTheirLetters() {
    Line plain = Setting.of("x").layout().lines().getFirst();
    Line high = Setting.of("x").with(Properties.VERTICAL_SCALE, 150.0).layout().lines().getFirst();
    assertThat(high.ascent()).isEqualTo(1.5 * plain.ascent(), within(1e-6));
    assertThat(high.descent()).isEqualTo(1.5 * plain.descent(), within(1e-6));
    Line wide =
        Setting.of("x").with(Properties.HORIZONTAL_SCALE, 150.0).layout().lines().getFirst();
    assertThat(wide.ascent()).isEqualTo(plain.ascent(), within(1e-6));
  }

  private static GlyphRun centred(String words) {
    return Setting.of(words)
        .inBox(200)
        .with(Properties.ALIGNMENT, Alignment.CENTRE)
        .with(Properties.HANG_START, 100.0)
        .with(Properties.HANG_END, 100.0)
        .layout()
        .lines()
        .getFirst()
        .runs()
        .getFirst();
  }

  /** A quotation mark that hangs wholly leaves the words beside it in the middle. */
  @Test
  void whatHangsAtOneSideLeavesTheRestInTheMiddle() {
    GlyphRun before = centred("\u201cclock");
    int last = before.right().length - 1;
    assertThat((before.left()[1] + before.right()[last]) / 2).isEqualTo(100, within(0.01f));
    GlyphRun behind = centred("clock\u201d");
    assertThat((behind.left()[0] + behind.right()[last - 1]) / 2).isEqualTo(100, within(0.01f));
  }
}
