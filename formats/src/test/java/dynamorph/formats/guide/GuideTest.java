package dynamorph.formats.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Pages are read with their places, and found by their words. */
class GuideTest {
  private static final GuidePage PAGE =
      GuideReader.read(
          "lines",
          """
          # Setting lines

          Lines are *set* by `rules`
          of [glue](glue.md#stretch), see [outside](https://example.org/x.md) and [below](#caps-and-dashes).

          ## Caps, and dashes!
          1. First
          2. Second
             - inner

          | what | where |
          | --- | --- |
          | **cap** | end |

          ```
          ./run --fast
            twice
          ```
          """);

  @Test
  void headingsAreSectionsWithAnchors() {
    assertThat(PAGE.title()).isEqualTo("Setting lines");
    assertThat(PAGE.sections())
        .extracting(GuideSection::anchor)
        .containsExactly("setting-lines", "caps-and-dashes");
    assertThat(PAGE.section("caps-and-dashes").orElseThrow().level()).isEqualTo(2);
  }

  @Test
  void wordsKeepTheirLooksAndOnlyLinksWithinTheGuideLead() {
    var runs = ((GuideBlock.Paragraph) PAGE.sections().getFirst().blocks().getFirst()).runs();
    assertThat(GuideRun.text(runs))
        .isEqualTo("Lines are set by rules of glue, see outside and below.");
    assertThat(runs)
        .filteredOn(run -> run.look() != GuideRun.Look.PLAIN)
        .extracting(GuideRun::text)
        .containsExactly("set", "rules");
    assertThat(runs.stream().flatMap(run -> run.link().stream()))
        .containsExactly(
            new GuideLink("glue", Optional.of("stretch")),
            new GuideLink("lines", Optional.of("caps-and-dashes")));
  }

  @Test
  void listsTablesAndCodeAreBlocks() {
    List<GuideBlock> blocks = PAGE.sections().getLast().blocks();
    assertThat(blocks)
        .extracting(GuideBlock::text)
        .containsExactly("First", "Second", "inner", "what where cap end", "./run --fast\n  twice");
    assertThat(blocks.subList(0, 3))
        .extracting(
            block -> ((GuideBlock.Entry) block).mark(), block -> ((GuideBlock.Entry) block).depth())
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("1.", 1),
            org.assertj.core.groups.Tuple.tuple("2.", 1),
            org.assertj.core.groups.Tuple.tuple("•", 2));
  }

  @Test
  void allWordsAreSoughtAndTitlesComeFirst() {
    GuidePage other =
        GuideReader.read(
            "other", "# Other\nA dash, a dash, and one more dash of a line.\n## Dash\nOf line.");
    Guide guide = new Guide(List.of(PAGE, other));
    assertThat(guide.find("DASH line"))
        .extracting(found -> found.place().page() + "#" + found.section().anchor())
        .containsExactly("other#dash", "other#other");
    assertThat(guide.find("dash nowhere")).isEmpty();
    assertThat(guide.find("  ")).isEmpty();
  }

  @Test
  void theExcerptIsAroundWhatWasFound() {
    String text = "word ".repeat(40) + "needle " + "more ".repeat(40);
    Guide guide = new Guide(List.of(GuideReader.read("long", "# Long\n" + text)));
    assertThat(guide.find("needle").getFirst().excerpt())
        .startsWith("… ")
        .endsWith(" …")
        .contains("word needle more")
        .hasSizeLessThan(160);
  }
}
