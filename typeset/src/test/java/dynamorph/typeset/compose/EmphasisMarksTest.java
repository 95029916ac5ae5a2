package dynamorph.typeset.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.EmphasisMark;
import dynamorph.model.value.Leading;
import dynamorph.model.value.WritingMode;
import dynamorph.typeset.Setting;
import dynamorph.typeset.layout.Line;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class EmphasisMarksTest {
  private static final double SIZE = 20;

  private static Setting stressed(String text, EmphasisMark mark) {
    return stressed(Span.of(text), mark);
  }

  private static Setting stressed(Span span, EmphasisMark mark) {
    PropertySet local = PropertySet.EMPTY.with(Properties.EMPHASIS_MARK, mark);
    return Setting.of(Story.of(Paragraph.of(span.withLocal(local), Span.of("\u6642"))))
        .with(Properties.FONT_FAMILY, "Noto Sans JP")
        .with(Properties.LANGUAGE, "ja");
  }

  private static List<GlyphRun> marks(Setting setting) {
    Line line = setting.layout().lines().getFirst();
    return line.runs().stream().filter(run -> run.size() == SIZE / 2).toList();
  }

  /** Where the middle of a mark's contours lies: along the line, and below the baseline. */
  private static double[] middle(GlyphRun mark) {
    double[] ink = mark.face().ink(mark.glyphs()[0] & 0xFFFF);
    double across = (ink[0] + ink[2]) / 2 * mark.size();
    double down = (ink[1] + ink[3]) / 2 * mark.size();
    return mark.upright()
        ? new double[] {mark.x()[0] + down, mark.y()[0] - across}
        : new double[] {mark.x()[0] + across, mark.y()[0] + down};
  }

  /** In the middle of a half square that stands on the letter's, 0.88 em up; none over the stop. */
  @Test
  void eachLetterHasOneOverItsMiddle() {
    List<GlyphRun> marks = marks(stressed("\u9577\u3002\u3044", EmphasisMark.CIRCLE));
    assertThat(marks).hasSize(2);
    assertThat(middle(marks.get(0))[0]).isCloseTo(SIZE / 2, within(0.01));
    assertThat(middle(marks.get(1))[0]).isCloseTo(2.5 * SIZE, within(0.01));
    assertThat(marks)
        .allSatisfy(mark -> assertThat(middle(mark)[1]).isCloseTo(-1.13 * SIZE, within(0.01)));
  }

  @Test
  void wordsAndSignsTakeThemAndPunctuationDoesNot() {
    assertThat(marks(stressed("a b, c! %&", EmphasisMark.DOT))).hasSize(5);
  }

  @Test
  void lettersThatAreReadHaveTheirRuby() {
    Setting read = stressed(Span.of("\u6642").withRuby("\u3068"), EmphasisMark.CIRCLE);
    // the ruby alone
    assertThat(marks(read)).hasSize(1);
    assertThat(marks(read).getFirst().words()).isEqualTo("\u3068");
  }

  @Test
  void theyStandOnTheRightInVerticalLinesAndUnderChinese() {
    Setting vertical =
        stressed("\u6642", EmphasisMark.CIRCLE)
            .with(Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT);
    GlyphRun mark = marks(vertical).getFirst();
    // its square lies from 10 to 20 points right of the middle
    assertThat(middle(mark)[0]).isCloseTo(SIZE / 2, within(0.01));
    assertThat(middle(mark)[1]).isCloseTo(-0.75 * SIZE, within(0.01));
    GlyphRun below =
        marks(stressed("\u6642", EmphasisMark.DOT).with(Properties.LANGUAGE, "zh-Hans")).getFirst();
    assertThat(middle(below)[1]).isCloseTo(0.37 * SIZE, within(0.01));
    assertThat(middle(marks(vertical.with(Properties.LANGUAGE, "zh-Hans")).getFirst())[1])
        .as("on the right in vertical Chinese too")
        .isCloseTo(-0.75 * SIZE, within(0.01));
  }

  /** Lines make room: 0.88 em of the letter, half an em of the mark, 0.12 em of the line before. */
  @Test
  void linesKeepTheDistanceThatMarksNeed() {
    Setting tight =
        Setting.of("\u6642\n\u6642")
            .with(Properties.FONT_FAMILY, "Noto Sans JP")
            .with(Properties.LANGUAGE, "ja")
            .with(Properties.LEADING, new Leading.Absolute(SIZE));
    List<Line> lines = tight.with(Properties.EMPHASIS_MARK, EmphasisMark.DOT).layout().lines();
    assertThat(lines.get(1).baseline() - lines.get(0).baseline())
        .isCloseTo(1.5 * SIZE, within(0.01));
  }

  @ParameterizedTest
  @EnumSource(EmphasisMark.class)
  void everyMarkIsDrawnByAShippedFont(EmphasisMark mark) {
    Line line = stressed("\u6642", mark).layout().lines().getFirst();
    List<GlyphRun> drawn = line.runs().stream().filter(run -> run.starts().length == 0).toList();
    assertThat(drawn).hasSize(mark == EmphasisMark.NONE ? 0 : 1);
    assertThat(drawn).allSatisfy(run -> assertThat(run.glyphs()[0]).isNotZero());
  }

  /** Few fonts have sesame dots; a comma of the right size stands in, in the same place. */
  @Test
  void aSesameDotIsMadeOfACommaWhereAFontHasNone() {
    Line line = stressed("\u6642", EmphasisMark.SESAME).layout().lines().getFirst();
    GlyphRun dot =
        line.runs().stream().filter(run -> run.starts().length == 0).findFirst().orElseThrow();
    double[] ink = dot.face().ink(dot.glyphs()[0] & 0xFFFF);
    assertThat((ink[3] - ink[1]) * dot.size()).isCloseTo(0.27 * SIZE, within(0.01));
    assertThat(middle(dot)[0]).isCloseTo(SIZE / 2, within(0.01));
    assertThat(middle(dot)[1]).isCloseTo(-1.13 * SIZE, within(0.01));
  }
}
