package dynamorph.typeset.layout;

import static dynamorph.typeset.LayoutAssert.assertThatLayout;
import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.property.Facet;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FontSize;
import dynamorph.typeset.Setting;
import dynamorph.typeset.compose.GlyphRun;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever is set, and whatever is typed: every letter has its place, and nothing breaks. */
class RandomSettingsTest {
  private static final List<String> PIECES =
      List.of(
          "the hour ",
          "extraordinary ",
          "\u201Cwound,\u201D ",
          "1743\u20131967 ",
          "well-kept ",
          "\u0627\u0644\u0633\u0627\u0639\u0629 ",
          "\u05E9\u05E2\u05D5\u05DF ",
          "\u6642\u8A08\u306F\u3001",
          "\uD83D\uDD70\uFE0F ",
          "e\u0301\u0323 ",
          "\t",
          "\u2028",
          "\u00AD",
          "\u00A0",
          "  ",
          "ffi ",
          "\uD800",
          "\u0378",
          "x",
          "Stra\u00DFe ",
          "\u200B",
          "\u202Eabc\u202C ");

  private final RandomProjects random = new RandomProjects(23);

  private Story story() {
    List<Paragraph> paragraphs = new ArrayList<>();
    int count = 1 + random.number(3);
    for (int paragraph = 0; paragraph < count; paragraph++) {
      List<Span> spans = new ArrayList<>();
      int parts = 1 + random.number(3);
      for (int span = 0; span < parts; span++) {
        StringBuilder words = new StringBuilder();
        int pieces = random.number(8);
        for (int piece = 0; piece < pieces; piece++) {
          words.append(random.pick(PIECES));
        }
        spans.add(Span.of(words.toString()).withLocal(values(3, Level.SPAN)));
      }
      paragraphs.add(
          Paragraph.of(spans.toArray(Span[]::new)).withLocal(values(4, Level.PARAGRAPH)));
    }
    return new Story(paragraphs);
  }

  /** Some values, of a size that a test can set in a moment. */
  private PropertySet values(int count, Level level) {
    PropertySet values =
        random.values(count, level).where(key -> key.property().facet() != Facet.FINISH);
    return values.has(Properties.SIZE.key())
        ? values.with(Properties.SIZE, FontSize.points(6 + random.number(30)))
        : values;
  }

  private Setting setting() {
    PropertySet layer =
        values(6, Level.LAYER)
            .with(Properties.SIZE, FontSize.points(8 + random.number(20)))
            .with(Properties.BOX, random.pick(List.of(BoxFit.values())))
            .with(Properties.BOX_WIDTH, (double) random.number(400))
            .with(Properties.BOX_HEIGHT, (double) random.number(300));
    return new Setting(story(), layer);
  }

  @Test
  void everyLetterHasItsPlace() {
    for (int round = 0; round < 250; round++) {
      Setting setting = setting();
      assertThatLayout(setting).isWhole();
      for (Line line : setting.layout().lines()) {
        assertThat(line.width()).isFinite();
        assertThat(line.baseline()).isFinite();
        for (GlyphRun run : line.runs()) {
          for (int glyph = 0; glyph < run.glyphs().length; glyph++) {
            assertThat(run.x()[glyph]).isFinite();
            assertThat(run.y()[glyph]).isFinite();
          }
        }
      }
    }
  }

  @Test
  void theCaretStandsSomewhereAtEveryOffset() {
    for (int round = 0; round < 60; round++) {
      Setting setting = setting();
      TextLayout layout = setting.layout();
      int length = setting.story().length();
      for (int offset = 0; offset <= length; offset++) {
        Caret caret = layout.caretAt(offset);
        assertThat(caret.along()).isFinite();
        assertThat(caret.bottom()).isGreaterThanOrEqualTo(caret.top());
        int found = layout.offsetAt(caret.along(), (caret.top() + caret.bottom()) / 2);
        assertThat(found).isBetween(0, length);
      }
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {60, 140, 300})
  void aLineIsTooWideOnlyIfItIsReported(double width) {
    for (int round = 0; round < 80; round++) {
      Setting setting =
          new Setting(story(), PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(14)))
              .inBox(width)
              .with(Properties.ALIGNMENT, random.pick(List.of(Alignment.values())));
      TextLayout layout = setting.layout();
      boolean wide =
          layout.lines().stream().anyMatch(line -> line.width() > layout.width() * 1.02 + 30);
      if (wide) {
        assertThat(layout.overset()).isPresent();
        assertThat(layout.overset().orElseThrow().tooWide()).isTrue();
      }
    }
  }

  @Test
  void theSameIsSetTheSameByAnotherTypesetter() {
    Typesetter other = new Typesetter(Setting.fonts());
    for (int round = 0; round < 40; round++) {
      Setting setting = setting();
      TextLayout one = setting.layout();
      TextLayout two = other.layout(setting.story(), setting.look());
      assertThat(two.lines()).hasSameSizeAs(one.lines());
      for (int line = 0; line < one.lines().size(); line++) {
        assertThat(two.lines().get(line).baseline()).isEqualTo(one.lines().get(line).baseline());
        assertThat(two.lines().get(line).width()).isEqualTo(one.lines().get(line).width());
        assertThat(two.lines().get(line).start()).isEqualTo(one.lines().get(line).start());
      }
    }
  }
}
