package dynamorph.model.survey.hidden;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.AdoptStyles;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.LooksOf;
import dynamorph.model.random.MessyProjects;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Length;
import dynamorph.model.value.Slant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.pcollections.TreePVector;

class HiddenStylesTest {
  private static Layer text(String id, String words, double size) {
    return Layer.of(id, id, words)
        .withLocal(
            PropertySet.EMPTY
                .with(Properties.FONT_FAMILY, "EB Garamond")
                .with(Properties.SIZE, FontSize.points(size)));
  }

  private static Project of(Layer... layers) {
    Artboard board =
        Artboard.empty("a", "Panel", 800, 800, LengthUnit.POINT)
            .withLayers(TreePVector.from(List.of(layers)));
    return Project.empty("P").plus(board);
  }

  private static List<HiddenStyle> found(Project project) {
    return HiddenStyles.of(project).within(Tolerance.USUAL);
  }

  private static Set<String> ids(List<Target.Words> members) {
    Set<String> ids = new HashSet<>();
    members.forEach(member -> ids.add(member.layer().value()));
    return ids;
  }

  static AdoptStyles adoption(List<HiddenStyle> styles) {
    return new AdoptStyles(
        styles.stream()
            .map(one -> new AdoptStyles.Adoption(one.style(), Set.copyOf(one.members()), Set.of()))
            .toList());
  }

  @Test
  void textsThatLookAlikeAreAStyleAndOneThatIsLargerIsAnOutlier() {
    Project project =
        of(
            text("1", "kept in the drawer", 24),
            text("2", "found behind the wheel", 24),
            text("3", "lent by a neighbour", 24),
            text("4", "the door card", 24.4),
            text("5", "written in ink", 27));
    List<HiddenStyle> found = found(project);
    assertThat(found).hasSize(1);
    HiddenStyle style = found.getFirst();
    assertThat(style.style().level()).isEqualTo(StyleLevel.TEXT);
    assertThat(style.style().properties().get(Properties.SIZE.key())).contains(FontSize.points(24));
    assertThat(ids(style.equal())).containsExactlyInAnyOrder("1", "2", "3");
    assertThat(style.near())
        .singleElement()
        .satisfies(one ->
            assertThat(one.differences())
                .containsOnlyKeys(Properties.SIZE.key())
                .containsValue(FontSize.points(24.4)));
    assertThat(style.outliers())
        .singleElement()
        .satisfies(one -> assertThat(one.member().layer().value()).isEqualTo("5"));
    // three of five
    assertThat(style.purity()).isEqualTo(0.6);
  }

  @Test
  void aHeadingIsAMultipleOfTheBody() {
    String long1 = "The clock was wound by hand every eighth day. ".repeat(4);
    Project project =
        of(
            text("b1", long1, 10),
            text("b2", long1, 10),
            text("b3", long1, 10),
            text("h1", "The drawer", 16),
            text("h2", "The wheel", 16),
            text("h3", "The bell", 16));
    List<HiddenStyle> found = found(project);
    HiddenStyle heading =
        found.stream().filter(one -> ids(one.equal()).contains("h1")).findFirst().orElseThrow();
    HiddenStyle body =
        found.stream().filter(one -> ids(one.equal()).contains("b1")).findFirst().orElseThrow();
    assertThat(body.style().name()).isEqualTo("Body");
    assertThat(heading.style().name()).isEqualTo("Heading");
    assertThat(heading.style().basedOn()).contains(body.style().id());
    assertThat(heading.style().properties().get(Properties.SIZE.key()))
        .contains(new FontSize.Times(1.6));
    assertThat(heading.beside()).containsExactly(body.style());
  }

  @Test
  void wordsAndParagraphsInAnotherLookAreStylesOfTheirOwnLevel() {
    List<Layer> layers = new ArrayList<>();
    for (int index = 0; index < 3; index++) {
      PropertySet italic = PropertySet.EMPTY.with(Properties.SLANT, Slant.ITALIC);
      Paragraph heading =
          Paragraph.of("The wheel")
              .withLocal(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(20)));
      Paragraph body =
          Paragraph.of(
              Span.of("It was turned by a "),
              Span.of("verge").withLocal(italic),
              Span.of(" until the bell struck."));
      layers.add(text("t" + index, "", 12).withStory(Story.of(heading, body)));
    }
    List<HiddenStyle> found = found(of(layers.toArray(new Layer[0])));
    assertThat(found)
        .extracting(one -> one.style().level())
        .containsExactlyInAnyOrder(StyleLevel.TEXT, StyleLevel.PARAGRAPH, StyleLevel.CHARACTER);
    HiddenStyle words =
        found.stream()
            .filter(one -> one.style().level() == StyleLevel.CHARACTER)
            .findFirst()
            .orElseThrow();
    assertThat(words.style().properties())
        .isEqualTo(PropertySet.EMPTY.with(Properties.SLANT, Slant.ITALIC));
    assertThat(words.style().name()).isEqualTo("Italic words");
    Project adopted = adoption(found).applyTo(of(layers.toArray(new Layer[0])));
    assertThat(adopted.layers().mapToInt(LocalChanges::count).sum()).isZero();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
  void theStylesThatAMessWasMadeOfAreFoundAgain(long seed) {
    MessyProjects.Messy messy = new MessyProjects(seed, seed % 3 / 2.0).project(200, 12);
    List<HiddenStyle> found =
        found(messy.project()).stream()
            .filter(one -> one.style().level() == StyleLevel.TEXT)
            .toList();
    // pairs of texts that were put together, and that belong together
    long right = 0;
    long together = 0;
    for (HiddenStyle style : found) {
      List<Integer> made =
          style.members().stream()
              .map(member -> messy.styleOf().get(member.layer().value()))
              .toList();
      together += pairs(made.size());
      right +=
          made.stream().distinct().mapToLong(one -> pairs(Collections.frequency(made, one))).sum();
    }
    Map<Integer, Integer> sizes = new HashMap<>();
    messy.styleOf().values().forEach(style -> sizes.merge(style, 1, Integer::sum));
    long belong = sizes.values().stream().mapToLong(HiddenStylesTest::pairs).sum();
    assertThat(right / (double) together).as("precision").isGreaterThanOrEqualTo(0.95);
    assertThat(right / (double) belong).as("recall").isGreaterThanOrEqualTo(0.95);
  }

  private static long pairs(int count) {
    return (long) count * (count - 1) / 2;
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void theOrderOfLayersPlaysNoPart(long seed) {
    Project project = new MessyProjects(seed, 1).project(120, 8).project();
    Artboard board = project.artboards().getFirst();
    List<Layer> shuffled = new ArrayList<>(board.layers());
    Collections.shuffle(shuffled, new Random(seed));
    Project other =
        project.withArtboards(TreePVector.singleton(board.withLayers(TreePVector.from(shuffled))));
    assertThat(plain(found(other))).isEqualTo(plain(found(project)));
  }

  /** A style and who would follow it, whatever the order of these is. */
  private static List<Object> plain(List<HiddenStyle> found) {
    return found.stream()
        .<Object>map(one ->
            List.of(
                one.style(),
                Set.copyOf(one.equal()),
                Set.copyOf(one.near()),
                Set.copyOf(one.outliers())))
        .toList();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void adoptingChangesNoLook(long seed) {
    Project messy = new MessyProjects(seed, 1).project(80, 6).project();
    assertLooksKept(messy, found(messy));
    assertThat(adoption(found(messy)).applyTo(messy).styles().list()).isNotEmpty();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
  void adoptingChangesNoLookOfAnyProject(long seed) {
    Project any = new RandomProjects(seed).project();
    assertLooksKept(any, HiddenStyles.of(any).within(Tolerance.ofStep(3), 1));
  }

  private static void assertLooksKept(Project before, List<HiddenStyle> found) {
    Project after = adoption(found).applyTo(before);
    assertThat(LooksOf.looks(after)).isEqualTo(LooksOf.looks(before));
    found.forEach(
        style -> assertThat(after.styles().find(style.style().id())).contains(style.style()));
  }

  @Test
  void whatWasSetOnWordsAloneFollowsWithoutLocalChanges() {
    List<Layer> layers = new ArrayList<>();
    for (int index = 0; index < 4; index++) {
      PropertySet look = text("x", "x", 24).local();
      layers.add(
          Layer.of("t" + index, "t", "")
              .withStory(
                  Story.of(
                      Paragraph.of(Span.of("kept in the drawer").withLocal(look))
                          .withLocal(
                              PropertySet.EMPTY.with(Properties.SPACE_AFTER, Length.em(1))))));
    }
    Project project = of(layers.toArray(new Layer[0]));
    Project adopted = adoption(found(project)).applyTo(project);
    assertThat(LooksOf.looks(adopted)).isEqualTo(LooksOf.looks(project));
    // space after went by the size of plain text, 12 pt, and still comes to that
    assertThat(
            adopted.layers().map(layer -> layer.story().paragraphs().getFirst().local()).distinct())
        .containsExactly(PropertySet.EMPTY.with(Properties.SPACE_AFTER, Length.points(12)));
    assertThat(adopted.layers().map(Layer::local).distinct()).containsExactly(PropertySet.EMPTY);
  }

  @Test
  void namesInAnyScriptMakeIds() {
    Style heading =
        Style.text("h", "\u00dcberschrift", "")
            .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(30)));
    Style clock =
        Style.text("c", "\u6642\u8a08", "")
            .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(18)));
    List<Layer> layers = new ArrayList<>();
    for (int index = 0; index < 6; index++) {
      layers.add(
          Layer.of("t" + index, "t", "Winding day")
              .withFollows(List.of(index < 3 ? heading.id() : clock.id()))
              .withLocal(PropertySet.EMPTY.with(Properties.SLANT, Slant.ITALIC)));
    }
    Project project =
        of(layers.toArray(new Layer[0])).withStyles(StyleBook.of(List.of(heading, clock)));
    List<HiddenStyle> found = found(project);
    assertThat(found)
        .extracting(one -> one.style().name())
        .containsExactlyInAnyOrder("\u00dcberschrift, changed", "\u6642\u8a08, changed");
    Project adopted = adoption(found).applyTo(project);
    assertThat(LooksOf.looks(adopted)).isEqualTo(LooksOf.looks(project));
    assertThat(adopted.layers().mapToInt(LocalChanges::count).sum()).isZero();
  }

  @Test
  void snappingMakesAPieceEqual() {
    Project project =
        of(
            text("1", "kept in the drawer", 24),
            text("2", "found behind the wheel", 24),
            text("3", "lent by a neighbour", 24),
            text("5", "written in ink", 27));
    HiddenStyle style = found(project).getFirst();
    Set<Target.Words> all = Set.copyOf(style.all());
    Target.Words far = style.outliers().getFirst().member();
    Project kept =
        new AdoptStyles(List.of(new AdoptStyles.Adoption(style.style(), all, Set.of())))
            .applyTo(project);
    Project snapped =
        new AdoptStyles(List.of(new AdoptStyles.Adoption(style.style(), all, Set.of(far))))
            .applyTo(project);
    Layer before = kept.layer(far.layer()).orElseThrow();
    Layer after = snapped.layer(far.layer()).orElseThrow();
    assertThat(before.local().get(Properties.SIZE.key())).contains(FontSize.points(27));
    assertThat(after.local().isEmpty()).isTrue();
    assertThat(after.follows()).containsExactly(style.style().id());
  }

  @Test
  void whatFollowsAStyleWithoutChangesHidesNothing() {
    Project messy = new MessyProjects(3, 0).project(60, 5).project();
    Project tidy = adoption(found(messy)).applyTo(messy);
    assertThat(found(tidy)).isEmpty();
  }
}
