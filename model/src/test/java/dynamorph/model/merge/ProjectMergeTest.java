package dynamorph.model.merge;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.text.Story;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ProjectMergeTest {
  private static final Style HEAD = Style.text("head", "Heading", "");
  private static final Style BODY = Style.text("body", "Body", "");
  private static final Project BASE =
      Project.empty("Base")
          .withPalette(new Palette(List.of(swatch("red"), swatch("blue"))))
          .withStyles(StyleBook.of(List.of(HEAD, BODY)))
          .plus(
              Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                  .plus(Layer.of("one", "One", "first"))
                  .plus(Layer.of("two", "Two", "second")))
          .plus(Artboard.empty("b", "B", 100, 100, LengthUnit.POINT));

  private static Swatch swatch(String id) {
    return new Swatch(id, id, Rgba.BLACK);
  }

  private static Project layer(Project project, String id, UnaryOperator<Layer> change) {
    return project.mapLayers(layer -> layer.id().value().equals(id) ? change.apply(layer) : layer);
  }

  private static Project style(Project project, String id, UnaryOperator<Style> change) {
    return project.withStyles(
        project.styles().with(change.apply(project.styles().get(new StyleId(id)))));
  }

  private static Project board(Project project, String id, UnaryOperator<Artboard> change) {
    return project.mapArtboards(
        board -> board.id().value().equals(id) ? change.apply(board) : board);
  }

  private static Project merged(Project mine, Project theirs) {
    ProjectMerge merge = ProjectMerge.of(BASE, mine, theirs);
    assertThat(merge.conflicts()).isEmpty();
    return merge.project();
  }

  private static UnaryOperator<Layer> tracked(double value) {
    return layer -> layer.withLocal(layer.local().with(Properties.TRACKING, value));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void withoutChangesOfTheOtherOneTheProjectIsThatOfTheOne(long seed) {
    Project base = new RandomProjects(seed).project();
    Project other = new RandomProjects(seed + 100).project();
    assertThat(ProjectMerge.of(base, other, base)).isEqualTo(new ProjectMerge(other, List.of()));
    assertThat(ProjectMerge.of(base, base, other)).isEqualTo(new ProjectMerge(other, List.of()));
    assertThat(ProjectMerge.of(base, other, other)).isEqualTo(new ProjectMerge(other, List.of()));
  }

  /** Each changes every second value of every layer. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void changesOfDifferentValuesAreAllThere(long seed) {
    Project base = new RandomProjects(seed).project();
    UnaryOperator<Project> first = project -> project.mapLayers(tracked(seed));
    UnaryOperator<Project> second =
        project ->
            project.mapLayers(
                layer -> layer.withLocal(layer.local().with(Properties.HORIZONTAL_SCALE, 3.0)));
    ProjectMerge merge = ProjectMerge.of(base, first.apply(base), second.apply(base));
    assertThat(merge.conflicts()).isEmpty();
    assertThat(merge.project()).isEqualTo(first.apply(second.apply(base)));
  }

  @Test
  void wordsOfOneAndAStyleOfTheOther() {
    Project mine = layer(BASE, "one", layer -> layer.withStory(Story.of("mine")));
    Project theirs = style(BASE, "head", style -> style.withNote("theirs"));
    Project both = merged(mine, theirs);
    assertThat(both.layer(new LayerId("one")).orElseThrow().story().text()).isEqualTo("mine");
    assertThat(both.styles().get(HEAD.id()).note()).isEqualTo("theirs");
    assertThat(merged(theirs, mine)).isEqualTo(both);
  }

  @Test
  void theSameValueChangedByBothCollidesAndStaysMine() {
    Project mine = layer(BASE, "one", tracked(5));
    Project theirs =
        layer(layer(BASE, "one", tracked(9)), "one", layer -> layer.withName("theirs"));
    ProjectMerge merge = ProjectMerge.of(BASE, mine, theirs);
    assertThat(merge.conflicts())
        .containsExactly(
            new Conflict(
                Conflict.Kind.TEXT, "One", new Conflict.Part.Value(Properties.TRACKING.key())));
    Layer one = merge.project().layer(new LayerId("one")).orElseThrow();
    assertThat(one.local()).isEqualTo(PropertySet.EMPTY.with(Properties.TRACKING, 5.0));
    assertThat(one.name()).as("taken all the same").isEqualTo("theirs");
  }

  @Test
  void theSameChangeByBothIsNoCollision() {
    Project both = layer(BASE, "one", tracked(5));
    assertThat(merged(both, layer(BASE, "one", tracked(5)))).isEqualTo(both);
  }

  @Test
  void aValueThatOneDroppedIsGone() {
    Project base = layer(BASE, "one", tracked(5));
    Project mine = layer(base, "two", tracked(1));
    ProjectMerge merge = ProjectMerge.of(base, mine, BASE);
    assertThat(merge.conflicts()).isEmpty();
    assertThat(merge.project()).isEqualTo(layer(BASE, "two", tracked(1)));
  }

  @Test
  void whatIsNewOnBothSidesIsThereInBothOrders() {
    Project mine = board(BASE, "a", board -> board.plus(Layer.of("mine", "Mine", "m")));
    Project theirs =
        board(
            BASE,
            "a",
            board -> {
              List<Layer> layers = new java.util.ArrayList<>(board.layers());
              layers.add(1, Layer.of("theirs", "Theirs", "t"));
              return board.withLayers(layers);
            });
    assertThat(merged(mine, theirs).layers().map(layer -> layer.id().value()))
        .containsExactly("one", "theirs", "two", "mine");
  }

  @Test
  void theirOrderIsTakenWhereMineIsAsBefore() {
    Project theirs = board(BASE, "a", board -> board.withLayers(board.layers().reversed()));
    Project mine = layer(BASE, "two", tracked(2));
    assertThat(merged(mine, theirs).layers().map(layer -> layer.id().value()))
        .containsExactly("two", "one");
    assertThat(merged(theirs, mine).layers().map(layer -> layer.id().value()))
        .containsExactly("two", "one");
  }

  @Test
  void whatOneTookAwayIsGoneUnlessTheOtherChangedIt() {
    Project without = board(BASE, "a", board -> board.withLayers(board.layers().minus(0)));
    assertThat(merged(without, layer(BASE, "two", tracked(2))).layers()).hasSize(1);
    assertThat(merged(layer(BASE, "two", tracked(2)), without).layers()).hasSize(1);

    Project changed = layer(BASE, "one", tracked(2));
    for (ProjectMerge merge :
        List.of(ProjectMerge.of(BASE, without, changed), ProjectMerge.of(BASE, changed, without))) {
      assertThat(merge.conflicts())
          .containsExactly(new Conflict(Conflict.Kind.TEXT, "One", new Conflict.Part.Whole()));
      assertThat(merge.project().layer(new LayerId("one")).orElseThrow().local().isEmpty())
          .isFalse();
    }
  }

  /** A layer that both moved, to different artboards, is there once. */
  @Test
  void aLayerIsNeverThereTwice() {
    Project base = BASE.plus(Artboard.empty("c", "C", 100, 100, LengthUnit.POINT));
    Layer one = base.layer(new LayerId("one")).orElseThrow();
    UnaryOperator<Project> taken =
        project -> board(project, "a", board -> board.withLayers(board.layers().minus(one)));
    Project mine = board(taken.apply(base), "b", board -> board.plus(one));
    Project theirs = board(taken.apply(base), "c", board -> board.plus(one));
    Project both = ProjectMerge.of(base, mine, theirs).project();
    assertThat(both.artboardOf(one.id()).orElseThrow().id().value()).isEqualTo("b");
    assertThat(both.layers().filter(layer -> layer.id().equals(one.id()))).hasSize(1);
  }

  @Test
  void whatOneTookAwayAndTheOtherUsesStays() {
    Project mine =
        BASE.withStyles(BASE.styles().without(HEAD.id()))
            .withPalette(BASE.palette().without("red"));
    Project theirs =
        layer(
            style(
                BASE,
                "body",
                style ->
                    style.withProperties(
                        PropertySet.EMPTY.with(
                            Properties.COAT_COLOUR.at(
                                dynamorph.model.property.Address.coat("fill")),
                            dynamorph.model.value.Colour.swatch("red")))),
            "one",
            layer -> layer.withFollows(List.of(HEAD.id())));
    for (ProjectMerge merge :
        List.of(ProjectMerge.of(BASE, mine, theirs), ProjectMerge.of(BASE, theirs, mine))) {
      assertThat(merge.project().styles().find(HEAD.id())).contains(HEAD);
      assertThat(merge.project().palette().find("red")).isPresent();
    }
  }

  @Test
  void exportPresetsOfBothAreThere() {
    ExportPreset png = ExportPreset.of(ExportFormat.PNG);
    ExportPreset pdf = ExportPreset.of(ExportFormat.PDF);
    Project both = merged(BASE.withExports(List.of(png)), BASE.withExports(List.of(pdf)));
    assertThat(both.exports()).containsExactlyInAnyOrder(png, pdf);
  }

  @Test
  void namesSwatchesAndWordsAreMergedToo() {
    Project mine =
        BASE.withName("Mine")
            .withWords(new TreeSet<>(List.of("Halm")))
            .withPalette(BASE.palette().with(swatch("green")));
    Project theirs =
        BASE.withWords(new TreeSet<>(List.of("Oostvoort")))
            .withPalette(BASE.palette().with(new Swatch("red", "Ruby", Rgba.BLACK)));
    Project both = merged(mine, theirs);
    assertThat(both.name()).isEqualTo("Mine");
    assertThat(both.words()).containsExactly("Halm", "Oostvoort");
    assertThat(both.palette().swatches())
        .extracting(Swatch::name)
        .containsExactly("Ruby", "blue", "green");
  }
}
