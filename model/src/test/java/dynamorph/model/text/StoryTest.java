package dynamorph.model.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.text.SetRuby;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class StoryTest {
  private static final PropertySet HEAVY = PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 900.0);
  private static final StyleId HEADING = new StyleId("heading");

  /** "The <heavy>long</heavy> hour" as a heading, then "strikes". */
  private static Story story() {
    return Story.of(
        Paragraph.of(Span.of("The "), Span.of("long").withLocal(HEAVY), Span.of(" hour"))
            .withFollows(Optional.of(HEADING)),
        Paragraph.of("strikes"));
  }

  @ParameterizedTest
  @CsvSource({"one, 1", "one|two, 2", "one|, 2", "||, 3", "'', 1"})
  void eachLineIsAParagraph(String lines, int paragraphs) {
    Story story = Story.of(lines.replace('|', '\n'));
    assertThat(story.paragraphs()).hasSize(paragraphs);
    assertThat(story.text()).isEqualTo(lines.replace('|', '\n'));
    assertThat(Story.of(lines.replace("|", "\r\n")).text()).isEqualTo(story.text());
  }

  @ParameterizedTest
  @CsvSource({
    "0, 0, x, xThe long hour|strikes",
    "4, 8, short, The short hour|strikes",
    "13, 14, ' ', The long hour strikes",
    "8, 8, |, The long| hour|strikes",
    "21, 21, !, The long hour|strikes!",
    "0, 21, '', ''"
  })
  void wordsAreReplaced(int from, int to, String put, String result) {
    Story changed = story().replace(new TextRange(from, to), put.replace('|', '\n'));
    assertThat(changed.text()).isEqualTo(result.replace('|', '\n'));
  }

  @Test
  void typedWordsTakeTheLookBeforeThem() {
    Story inside = story().replace(TextRange.caret(8), "er");
    assertThat(inside.paragraphs().getFirst().spans().get(1))
        .isEqualTo(Span.of("longer").withLocal(HEAVY));
    Story atStart = story().replace(TextRange.caret(0), "O ");
    assertThat(atStart.paragraphs().getFirst().spans().getFirst().local())
        .isEqualTo(PropertySet.EMPTY);
    Story over = story().replace(new TextRange(4, 8), "brief");
    assertThat(over.paragraphs().getFirst().spans().get(1))
        .isEqualTo(Span.of("brief").withLocal(HEAVY));
  }

  @Test
  void aParagraphThatIsSplitGivesItsStyleToBoth() {
    Story split = story().replace(TextRange.caret(8), "\n");
    assertThat(split.paragraphs()).hasSize(3);
    assertThat(split.paragraphs().get(1).follows()).contains(HEADING);
    assertThat(split.paragraphs().get(2).follows()).isEmpty();
  }

  @Test
  void deletingABreakKeepsTheFirstParagraphsStyle() {
    Story joined = story().replace(new TextRange(13, 14), "");
    assertThat(joined.paragraphs())
        .singleElement()
        .extracting(Paragraph::follows)
        .isEqualTo(Optional.of(HEADING));
  }

  @Test
  void anEmptiedTextKeepsTheLookItHad() {
    Story heavy = Story.of(Paragraph.of(Span.of("x").withLocal(HEAVY)));
    Story emptied = heavy.replace(new TextRange(0, 1), "");
    Story retyped = emptied.replace(TextRange.caret(0), "new");
    assertThat(retyped.paragraphs().getFirst().spans().getFirst().local()).isEqualTo(HEAVY);
  }

  @Test
  void aRangeOfSpansIsChangedAndNeighboursMerge() {
    Story all = story().mapSpans(new TextRange(2, 13), span -> span.withLocal(HEAVY));
    assertThat(all.paragraphs().getFirst().spans())
        .extracting(Span::text)
        .containsExactly("Th", "e long hour");
    Story back = all.mapSpans(all.all(), span -> span.withLocal(PropertySet.EMPTY));
    assertThat(back.paragraphs().getFirst().spans()).hasSize(1);
  }

  @Test
  void aCaretChangesNoSpan() {
    assertThat(story().mapSpans(TextRange.caret(5), span -> span.withLocal(HEAVY)))
        .isEqualTo(story());
  }

  @Test
  void aSlicePutBackIsTheSameStory() {
    Story story = story();
    for (int from = 0; from <= story.length(); from++) {
      for (int to = from; to <= story.length(); to++) {
        TextRange range = new TextRange(from, to);
        Story slice = story.slice(range);
        assertThat(slice.text()).isEqualTo(story.text().substring(from, to));
        assertThat(story.replace(range, slice).text()).isEqualTo(story.text());
      }
    }
  }

  @Test
  void pastedWordsBringTheirLook() {
    Story fragment = story().slice(new TextRange(4, 8));
    Story pasted = Story.of("ab").replace(TextRange.caret(1), fragment);
    assertThat(pasted.paragraphs().getFirst().spans())
        .containsExactly(Span.of("a"), Span.of("long").withLocal(HEAVY), Span.of("b"));
  }

  @Test
  void offsetsFindTheirParagraph() {
    Story story = story();
    assertThat(story.paragraphAt(13)).isZero();
    assertThat(story.paragraphAt(14)).isEqualTo(1);
    assertThat(story.startOf(1)).isEqualTo(14);
    assertThat(story.rangeOf(1)).isEqualTo(new TextRange(14, 21));
    assertThat(story.length()).isEqualTo(story.text().length());
  }

  @Test
  void badRangesAndSpansAreRefused() {
    assertThatThrownBy(() -> new TextRange(3, 2)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> Span.of("a\nb")).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Story(List.of())).isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void randomEditsAgreeWithAPlainString(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Story story = story();
    StringBuilder plain = new StringBuilder(story.text());
    for (int step = 0; step < 200; step++) {
      TextRange range =
          TextRange.between(random.number(plain.length() + 1), random.number(plain.length() + 1));
      String put = random.pick(List.of("", "a", "two words", "\n", "x\ny"));
      story = random.chance() ? story.replace(range, put) : story.replace(range, Story.of(put));
      plain.replace(range.start(), range.end(), put);
      assertThat(story.text()).isEqualTo(plain.toString());
      assertThat(story.paragraphs()).allSatisfy(StoryTest::assertNormal);
    }
  }

  private static void assertNormal(Paragraph paragraph) {
    for (int index = 1; index < paragraph.spans().size(); index++) {
      assertThat(paragraph.spans().get(index).looksLike(paragraph.spans().get(index - 1)))
          .isFalse();
    }
    assertThat(
            paragraph.spans().size() == 1
                || paragraph.spans().stream().noneMatch(span -> span.length() == 0))
        .isTrue();
  }

  @Test
  void wordsInsideABaseAreReadWithItAndOthersAreNot() {
    Story story = Story.of(Paragraph.of(Span.of("a"), Span.of("bcd").withRuby("r"), Span.of("e")));
    assertThat(rubyOf(story.replace(TextRange.caret(2), "X"))).isEqualTo("bXcd r");
    assertThat(rubyOf(story.replace(TextRange.caret(4), "X"))).isEqualTo("bcd r");
    assertThat(rubyOf(story.replace(TextRange.caret(1), "X"))).isEqualTo("bcd r");
    assertThat(rubyOf(story.replace(new TextRange(2, 3), ""))).isEqualTo("bd r");
    assertThat(story.replace(new TextRange(1, 4), "X").paragraphs().getFirst().rubyBases())
        .as("other words are read in another way")
        .isEmpty();
  }

  private static String rubyOf(Story story) {
    RubyBase base = story.paragraphs().getFirst().rubyBases().getFirst();
    return story.text().substring(base.start(), base.end()) + " " + base.ruby();
  }

  @Test
  void aRubyIsPutOverWholeBases() {
    Project project =
        Project.empty("P")
            .plus(
                Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                    .plus(
                        Layer.of("t", "T", "")
                            .withStory(
                                Story.of(
                                    Paragraph.of(Span.of("ab"), Span.of("cd").withRuby("r"))))));
    LayerId text = new LayerId("t");
    Project changed = new SetRuby(text, new TextRange(1, 3), " n  m ").applyTo(project);
    assertThat(rubyOf(changed.layer(text).orElseThrow().story())).isEqualTo("bcd n m");
    Project cleared = new SetRuby(text, TextRange.caret(2), "").applyTo(changed);
    assertThat(cleared.layer(text).orElseThrow().story()).isEqualTo(Story.of("abcd"));
    assertThatThrownBy(() -> new SetRuby(text, TextRange.caret(0), "x").applyTo(project))
        .isInstanceOf(EditRefused.class);
  }
}
