package dynamorph.typeset.layout;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.ListKind;
import dynamorph.typeset.Setting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What finds no room in a box goes on in the next. */
class FlowingTextTest {
  private static final double LEADING = 20;
  private final Typesetter typesetter = Setting.typesetter();

  /** A box with room for so many lines. */
  private static Setting lines(Setting text, double width, int lines) {
    return text.with(Properties.LEADING, new Leading.Absolute(LEADING))
        .inBox(width, (lines - 1) * LEADING + 30);
  }

  private List<TextLayout> flow(List<Setting> boxes) {
    List<TextLayout> flow = new ArrayList<>();
    int from = 0;
    for (Setting box : boxes) {
      boolean onward = flow.size() + 1 < boxes.size();
      TextLayout layout = typesetter.layout(box.story(), box.look(), from, onward);
      flow.add(layout);
      from = layout.rest().orElse(Integer.MAX_VALUE);
    }
    return flow;
  }

  /** The lines of some boxes of a width in this order, each told by its first letter. */
  private String told(Setting text, int... lines) {
    List<Setting> boxes = Arrays.stream(lines).mapToObj(room -> lines(text, 300, room)).toList();
    StringBuilder told = new StringBuilder();
    for (TextLayout layout : flow(boxes)) {
      told.append(told.isEmpty() ? "" : "|");
      layout.shownLines().stream()
          .filter(line -> line.end() > line.start())
          .forEach(line -> told.append(text.story().text().charAt(line.start())));
      layout.overset().ifPresent(overset -> told.append('+').append(overset.hiddenLines()));
    }
    return told.toString();
  }

  /** Paragraphs whose lines are their letters; capitals are of a kind. */
  private static Setting paragraphs(Property<Boolean> kept, String... paragraphs) {
    return Setting.of(
        new Story(
            Arrays.stream(paragraphs)
                .map(text ->
                    Paragraph.of(String.join("\u2028", text.split("")))
                        .withLocal(
                            Character.isUpperCase(text.charAt(0))
                                ? PropertySet.EMPTY.with(kept, true)
                                : PropertySet.EMPTY))
                .toList()));
  }

  @Test
  void linesGoOnFromBoxToBox() {
    Setting text = paragraphs(Properties.KEEP_WITH_NEXT, "abc", "de");
    assertThat(told(text, 2, 2, 2)).isEqualTo("ab|cd|e");
    assertThat(told(text, 3, 2)).as("a box that ends with a paragraph").isEqualTo("abc|de");
    assertThat(told(text, 9, 2)).as("nothing is left for the second").isEqualTo("abcde|");
    assertThat(told(text, 1, 2)).as("overset only at the end").isEqualTo("a|bc+2");
  }

  @Test
  void whatBelongsTogetherGoesOnTogether() {
    assertThat(told(paragraphs(Properties.KEEP_WITH_NEXT, "aa", "H", "bb"), 3, 5))
        .isEqualTo("aa|Hbb");
    assertThat(told(paragraphs(Properties.KEEP_LINES_TOGETHER, "aa", "BB"), 3, 5))
        .isEqualTo("aa|BB");
    assertThat(told(paragraphs(Properties.BREAK_BEFORE, "a", "B", "c"), 9, 9)).isEqualTo("a|Bc");
    // a box is never left empty for this
    assertThat(told(paragraphs(Properties.KEEP_LINES_TOGETHER, "BBBB"), 3, 5)).isEqualTo("BBB|B");
  }

  @Test
  void aDropCapitalIsNotPartedFromItsLines() {
    Setting text =
        paragraphs(Properties.KEEP_WITH_NEXT, "aa", "bcde").with(Properties.DROP_LINES, 3.0);
    assertThat(told(text, 5, 5)).as("two of three lines would stay").isEqualTo("aa|bcde");
  }

  @Test
  void whatGoesOnIsNoNewParagraph() {
    Setting text =
        Setting.of("a\u2028b\u2028c\u2028d\ne")
            .with(Properties.INDENT_FIRST, Length.points(30))
            .with(Properties.LIST, ListKind.BULLETS);
    List<TextLayout> flow = flow(List.of(lines(text, 300, 2), lines(text, 300, 4)));
    List<Line> second = flow.get(1).lines();
    assertThat(second.get(0).left()).as("no first line").isZero();
    assertThat(second.get(0).runs()).as("no mark").allMatch(run -> run.starts().length > 0);
    assertThat(second.get(2).runs()).as("a mark").anyMatch(run -> run.starts().length == 0);
    assertThat(second.get(2).left()).as("a paragraph begins").isGreaterThan(30);
    assertThat(second.get(2).paragraph()).isEqualTo(1);
  }

  @Test
  void aListCountsOnOverBoxes() {
    Setting text = Setting.of("a\nb\nc").with(Properties.LIST, ListKind.NUMBERS);
    List<TextLayout> alone = flow(List.of(lines(text, 300, 9)));
    List<TextLayout> flow = flow(List.of(lines(text, 300, 2), lines(text, 300, 2)));
    assertThat(flow.get(1).lines().getFirst().runs().getFirst().glyphs())
        .as("the number of the third")
        .isEqualTo(alone.getFirst().lines().get(2).runs().getFirst().glyphs());
  }

  @Test
  void theForcedLineEndThatEndsAParagraphLeavesItsEmptyLineToTheNextBox() {
    Setting text = Setting.of("a\u2028\nb");
    List<TextLayout> flow = flow(List.of(lines(text, 300, 1), lines(text, 300, 3)));
    assertThat(flow.get(0).rest()).hasValue(2);
    assertThat(flow.get(1).lines()).extracting(Line::start).containsExactly(2, 3);
  }

  @Test
  void aWordIsTooWideForTheBoxThatItStandsIn() {
    Setting text = Setting.of("a\u2028b\u2028Donaudampfschifffahrtsgesellschaft");
    List<TextLayout> flow = flow(List.of(lines(text, 100, 2), lines(text, 100, 2)));
    assertThat(flow.get(0).overset()).as("it stands in the next").isEmpty();
    assertThat(flow.get(1).overset().orElseThrow().tooWide()).isTrue();
  }

  @Test
  void aGrowingBoxKeepsAll() {
    Setting text = Setting.of("a\nb\nc");
    TextLayout layout = typesetter.layout(text.story(), text.inBox(100).look(), 0, true);
    assertThat(layout.rest()).isEmpty();
    assertThat(layout.lines()).hasSize(3);
  }

  private static final List<String> PIECES =
      List.of(
          "the hour ",
          "extraordinarily ",
          "\u0627\u0644\u0633\u0627\u0639\u0629 ",
          "\u6642\u8A08\u306F\u3001",
          "\u2028",
          "\t",
          "\n",
          "ffi ",
          "Stra\u00DFe ");

  /** Whatever flows: each unit stands in one box, in order, and a caret is found in that. */
  @ParameterizedTest
  @EnumSource(LineBreaking.class)
  void everyUnitStandsInOneBox(LineBreaking breaking) {
    Random random = new Random(41);
    for (int round = 0; round < 60; round++) {
      StringBuilder words = new StringBuilder("x");
      for (int piece = 0; piece < 80; piece++) {
        words.append(PIECES.get(random.nextInt(PIECES.size())));
      }
      Setting text =
          Setting.of(words.toString())
              .with(Properties.LINE_BREAKING, breaking)
              .with(Properties.HYPHENATE, random.nextBoolean())
              .with(Properties.DROP_LINES, random.nextBoolean() ? 2.0 : 1.0);
      List<Setting> boxes = new ArrayList<>();
      for (int box = 0; box < 6; box++) {
        boxes.add(
            lines(text, 120 + random.nextInt(200), 1 + random.nextInt(6))
                .with(Properties.COLUMNS, 1.0 + random.nextInt(2)));
      }
      List<TextLayout> flow = flow(boxes);
      int at = 0;
      for (TextLayout layout : flow) {
        for (Line line : layout.lines()) {
          assertThat(line.start()).as("%s in %s", line, words).isEqualTo(at);
          at = line.end() + (line.endsParagraph() && line.end() < words.length() ? 1 : 0);
        }
      }
      assertThat(at).isEqualTo(words.length());
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3})
  void theWordsOfABoxAreBrokenForItsOwnWidth(int columns) {
    String words = "The clock of the tower was wound by hand until the year it stopped. ".repeat(6);
    Setting text = Setting.of(words.strip()).with(Properties.COLUMNS, (double) columns);
    List<TextLayout> flow = flow(List.of(lines(text, 400, 2), lines(text, 700, 30)));
    int from = flow.get(0).rest().orElseThrow();
    // the rest alone, as a text of its own, has the same lines
    Setting rest =
        Setting.of(words.strip().substring(from)).with(Properties.COLUMNS, (double) columns);
    TextLayout alone = lines(rest, 700, 30).layout();
    assertThat(flow.get(1).lines().stream().map(line -> line.end() - from).toList())
        .isEqualTo(alone.lines().stream().map(Line::end).toList());
  }

  @Test
  void aBoxThatIsLastMayShrink() {
    Setting text = Setting.of("one two three four five six seven eight nine ten eleven twelve");
    Setting small = lines(text, 100, 2).with(Properties.BOX, BoxFit.SHRINK);
    List<TextLayout> flow = flow(List.of(small, small));
    assertThat(flow.get(0).scale()).isEqualTo(1);
    assertThat(flow.get(1).scale()).isLessThan(1);
    assertThat(flow.get(1).overset()).isEmpty();
  }
}
