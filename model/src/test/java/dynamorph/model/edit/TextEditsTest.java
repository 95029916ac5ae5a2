package dynamorph.model.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Placement;
import dynamorph.model.edit.layer.ResizeBox;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.text.FillWithPlaceholder;
import dynamorph.model.edit.text.KernPair;
import dynamorph.model.edit.text.LearnWord;
import dynamorph.model.edit.text.ReplaceFont;
import dynamorph.model.edit.text.ReplaceWords;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.FontUse;
import dynamorph.model.reach.WordSearch;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.WordQuery;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.WritingMode;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class TextEditsTest {
  private static final StyleId LABEL = new StyleId("label");
  private static final PropertySet GARAMOND =
      PropertySet.EMPTY.with(Properties.FONT_FAMILY, "EB Garamond");

  private final Project project =
      Project.empty("t")
          .withStyles(
              StyleBook.of(List.of(Style.text("label", "Label", "").withProperties(GARAMOND))))
          .plus(
              Artboard.empty("a", "A", 500, 400, LengthUnit.POINT)
                  .plus(Layer.of("one", "One", "The hour, the Hours of the hour"))
                  .plus(Layer.of("two", "Two", "An hour more").withFollows(List.of(LABEL)))
                  .plus(
                      Layer.of("three", "Three", "")
                          .withStory(
                              Story.of(
                                  Paragraph.of(
                                      Span.of("half an "), Span.of("hour").withLocal(GARAMOND)))))
                  .plus(
                      Layer.of("box", "Box", "in a box")
                          .withFrame(
                              PropertySet.EMPTY
                                  .with(Properties.BOX, BoxFit.FIXED)
                                  .with(Properties.BOX_WIDTH, 100.0)
                                  .with(Properties.BOX_HEIGHT, 50.0))));

  @ParameterizedTest
  @CsvSource({
    "hour, false, false, 5",
    "hour, true, false, 4",
    "hour, false, true, 4",
    "Hours, true, true, 1",
    "minute, false, false, 0"
  })
  void wordsAreFoundInAllTexts(String words, boolean matchCase, boolean whole, int count) {
    assertThat(WordSearch.hits(project, new WordQuery(words, matchCase, whole), Optional.empty()))
        .hasSize(count);
  }

  @Test
  void wordsAreFoundOnlyInTextThatFollowsAStyle() {
    assertThat(WordSearch.hits(project, new WordQuery("hour", false, false), Optional.of(LABEL)))
        .extracting(hit -> hit.layer().value())
        .containsExactly("two");
    assertThat(WordSearch.following(project, LABEL)).hasSize(1);
  }

  @Test
  void replacedWordsTakeTheLookOfThoseBefore() {
    List<WordSearch.Hit> hits =
        WordSearch.hits(project, new WordQuery("hour", true, true), Optional.empty());
    Project after = new ReplaceWords(hits, "quarter of it").applyTo(project);
    assertThat(text(after, "one")).isEqualTo("The quarter of it, the Hours of the quarter of it");
    assertThat(text(after, "two")).isEqualTo("An quarter of it more");
    List<Span> spans =
        after.layer(new LayerId("three")).orElseThrow().story().paragraphs().getFirst().spans();
    assertThat(spans).hasSize(2);
    assertThat(spans.getLast()).isEqualTo(Span.of("quarter of it").withLocal(GARAMOND));
  }

  private static String text(Project project, String id) {
    return project.layer(new LayerId(id)).orElseThrow().story().text();
  }

  @Test
  void aFontIsReplacedWhereverItIsAskedFor() {
    assertThat(FontUse.of(project).of("eb garamond").styles()).containsExactly(LABEL);
    assertThat(FontUse.of(project).of("EB Garamond").layers())
        .containsExactly(new LayerId("three"));
    Project after = new ReplaceFont("EB Garamond", "Anton").applyTo(project);
    assertThat(FontUse.of(after).families()).containsExactly("Anton");
    assertThat(new ReplaceFont("Anton", "EB Garamond").applyTo(after)).isEqualTo(project);
  }

  @ParameterizedTest
  @EnumSource(Anchor.class)
  void theOtherSidesOfABoxStayWhereTheyAre(Anchor anchor) {
    Project anchored =
        SetValues.of(
                new Target.Layers(List.of(new LayerId("box"))),
                PropertySet.EMPTY.with(Properties.ANCHOR, anchor))
            .applyTo(project);
    double left = left(anchored);
    double top = top(anchored);
    Project wider = new ResizeBox(new LayerId("box"), 1, 1, 30, 20, 100, 50).applyTo(anchored);
    assertThat(placement(wider).width()).isEqualTo(130);
    assertThat(placement(wider).height()).isEqualTo(70);
    assertThat(left(wider)).isEqualTo(left, within(1e-9));
    assertThat(top(wider)).isEqualTo(top, within(1e-9));
    Project moved = new ResizeBox(new LayerId("box"), -1, 0, 25, 0, 100, 70).applyTo(wider);
    assertThat(placement(moved).width()).isEqualTo(105);
    assertThat(left(moved)).isEqualTo(left + 25, within(1e-9));
    assertThat(placement(moved).height()).isEqualTo(70);
  }

  private static Placement placement(Project project) {
    return Cascade.of(project).resolve(project.layer(new LayerId("box")).orElseThrow()).placement();
  }

  private static double left(Project project) {
    Placement placement = placement(project);
    return placement.anchorX(500) - placement.anchor().across() * placement.width();
  }

  private static double top(Project project) {
    Placement placement = placement(project);
    return placement.anchorY(400) - placement.anchor().down() * placement.height();
  }

  /** Lines of vertical text are as long as their box is high, and it grows across. */
  @Test
  void aGrowingBoxOfVerticalTextIsGivenTheLengthOfItsLines() {
    Project vertical =
        SetValues.of(
                new Target.Layers(List.of(new LayerId("box"))),
                PropertySet.EMPTY
                    .with(Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT)
                    .with(Properties.BOX, BoxFit.GROW)
                    .with(Properties.BOX_HEIGHT, 80.0))
            .applyTo(project);
    // it shows 60 wide
    Project longer = new ResizeBox(new LayerId("box"), 0, 1, 0, 20, 60, 80).applyTo(vertical);
    assertThat(placement(longer).height()).isEqualTo(100);
    assertThat(placement(longer).fit()).isEqualTo(BoxFit.GROW);
    Project wider = new ResizeBox(new LayerId("box"), 1, 0, 15, 0, 60, 80).applyTo(vertical);
    assertThat(placement(wider).width()).isEqualTo(75);
    assertThat(placement(wider).fit()).isEqualTo(BoxFit.FIXED);
    assertThat(placement(wider).height()).isEqualTo(80);
  }

  @Test
  void aBoxIsNeverTurnedInsideOutAndAPointHasNoSides() {
    Project narrow = new ResizeBox(new LayerId("box"), 1, 0, -900, 0, 100, 50).applyTo(project);
    assertThat(placement(narrow).width()).isEqualTo(1);
    assertThatThrownBy(
            () -> new ResizeBox(new LayerId("one"), 1, 0, 5, 0, 100, 50).applyTo(project))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("box");
  }

  @Test
  void placeholderSetsTheLanguageOnlyWhereItDiffers() {
    FillWithPlaceholder.Filling filling =
        new FillWithPlaceholder.Filling(new LayerId("one"), "neue W\u00F6rter");
    Project after = new FillWithPlaceholder(List.of(filling), "de").applyTo(project);
    Layer layer = after.layer(new LayerId("one")).orElseThrow();
    assertThat(layer.story().text()).isEqualTo("neue W\u00F6rter");
    assertThat(layer.local().get(Properties.LANGUAGE.key())).contains("de");
    Project same = new FillWithPlaceholder(List.of(filling), "en-GB").applyTo(project);
    assertThat(same.layer(new LayerId("one")).orElseThrow().local()).isEqualTo(PropertySet.EMPTY);
  }

  @Test
  void theProjectLearnsWordsAndForgetsThem() {
    Project after = new LearnWord("Oostvoort", true).applyTo(project);
    assertThat(after.words()).containsExactly("Oostvoort");
    assertThat(new LearnWord("Oostvoort", true).applyTo(after)).isSameAs(after);
    assertThat(new LearnWord("Oostvoort", false).applyTo(after)).isEqualTo(project);
  }

  @Test
  void aPairIsKernedBetweenItsLetters() {
    Project once = new KernPair(new LayerId("two"), 4, -10).applyTo(project);
    Project twice = new KernPair(new LayerId("two"), 4, -10).applyTo(once);
    Span letter =
        twice
            .layer(new LayerId("two"))
            .orElseThrow()
            .story()
            .paragraphs()
            .getFirst()
            .spans()
            .get(1);
    assertThat(letter.text()).isEqualTo("h");
    assertThat(letter.local().get(Properties.MANUAL_KERNING.key())).contains(-20.0);
    assertThat(new KernPair(new LayerId("two"), 0, -10).applyTo(project)).isSameAs(project);
  }
}
