package dynamorph.typeset;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.typeset.compose.GlyphRun;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import java.util.ArrayList;
import java.util.List;

/** Assertions in the words of typesetting. */
public final class LayoutAssert {
  private final TextLayout layout;
  private final String text;

  private LayoutAssert(TextLayout layout, String text) {
    this.layout = layout;
    this.text = text;
  }

  public static LayoutAssert assertThatLayout(Setting setting) {
    return new LayoutAssert(setting.layout(), setting.story().text());
  }

  /** The words of each line, without spaces at its end. */
  public LayoutAssert hasLines(String... lines) {
    assertThat(
            layout.lines().stream()
                .map(line -> text.substring(line.start(), line.end()).stripTrailing()))
        .containsExactly(lines);
    return this;
  }

  /** The units of a line from left to right, as they stand on the page. */
  public LayoutAssert readsFromLeft(int line, String visual) {
    StringBuilder shown = new StringBuilder();
    int from = layout.lines().get(line).paragraphStart();
    for (GlyphRun run : layout.lines().get(line).runs()) {
      for (int cluster = 0; cluster < run.starts().length; cluster++) {
        shown.append(text, from + run.starts()[cluster], from + run.ends()[cluster]);
      }
    }
    assertThat(shown).hasToString(visual);
    return this;
  }

  /** No letter ends before it begins, as long as none is drawn closer than it is wide. */
  public LayoutAssert runsForward() {
    for (Line line : layout.lines()) {
      for (GlyphRun run : line.runs()) {
        for (int cluster = 0; cluster < run.starts().length; cluster++) {
          assertThat(run.right()[cluster]).isGreaterThanOrEqualTo(run.left()[cluster] - 1e-3f);
        }
      }
    }
    return this;
  }

  /**
   * Every unit of the story is placed once, in an unbroken row of lines, and glyphs are where
   * clusters are.
   */
  public LayoutAssert isWhole() {
    List<Integer> covered = new ArrayList<>();
    int expectedStart = 0;
    for (Line line : layout.lines()) {
      assertThat(line.start()).isEqualTo(expectedStart);
      expectedStart = line.endsParagraph() ? line.end() + 1 : line.end();
      for (GlyphRun run : line.runs()) {
        assertThat(run.x()).hasSameSizeAs(run.glyphs());
        for (int cluster = 0; cluster < run.starts().length; cluster++) {
          for (int unit = run.starts()[cluster]; unit < run.ends()[cluster]; unit++) {
            covered.add(line.paragraphStart() + unit);
          }
        }
      }
    }
    List<Integer> all = new ArrayList<>();
    for (int unit = 0; unit < text.length(); unit++) {
      if (text.charAt(unit) != '\n') {
        all.add(unit);
      }
    }
    assertThat(covered.stream().sorted().toList()).isEqualTo(all);
    assertThat(expectedStart).isEqualTo(text.length() + 1);
    return this;
  }
}
