package dynamorph.model.edit.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Length;
import dynamorph.model.value.ListKind;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Boxes that a text flows through are put together, taken apart and taken away. */
class LinkBoxesTest {
  private static final PropertySet LARGE =
      PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(40));

  private static Layer text(String id, String words) {
    return Layer.of(id, id, words);
  }

  /** Texts a to e on an artboard, f on another. */
  private static Project project() {
    Artboard one = Artboard.empty("one", "One", 600, 600, LengthUnit.POINT);
    for (String id : List.of("a", "b", "c", "d", "e")) {
      one = one.plus(text(id, "words of " + id));
    }
    return Project.empty("p")
        .plus(one)
        .plus(
            Artboard.empty("two", "Two", 600, 600, LengthUnit.POINT).plus(text("f", "words of f")));
  }

  private static Project link(Project project, String... boxes) {
    return new LinkBoxes(
            Arrays.stream(boxes).map(id -> new LinkBoxes.Box(new LayerId(id), 200, 80)).toList())
        .applyTo(project);
  }

  private static String chain(Project project, String box) {
    return String.join(
        "", LinkedBoxes.of(project).chain(new LayerId(box)).stream().map(LayerId::value).toList());
  }

  private static Layer layer(Project project, String id) {
    return project.layer(new LayerId(id)).orElseThrow();
  }

  private static String words(Project project, String id) {
    return layer(project, id).story().text();
  }

  @Test
  void theFirstTakesTheWordsOfAll() {
    Project linked = link(project(), "b", "a", "f");
    assertThat(chain(linked, "a")).isEqualTo("baf");
    assertThat(words(linked, "b")).isEqualTo("words of b\nwords of a\nwords of f");
    assertThat(words(linked, "a")).isEmpty();
    assertThat(LinkedBoxes.of(linked).continues(new LayerId("f"))).isTrue();
  }

  @Test
  void boxesAreMadeOfPoints() {
    Project linked = link(project(), "a", "b");
    for (String id : List.of("a", "b")) {
      PropertySet values = Cascade.of(linked).values(layer(linked, id));
      assertThat(values.get(Properties.BOX.key())).hasValue(BoxFit.FIXED);
      assertThat(values.get(Properties.BOX_WIDTH.key())).hasValue(200.0);
      assertThat(values.get(Properties.BOX_HEIGHT.key())).hasValue(80.0);
    }
  }

  @Test
  void theLastBoxMayGoOnGrowing() {
    PropertySet growing =
        PropertySet.EMPTY.with(Properties.BOX, BoxFit.GROW).with(Properties.BOX_WIDTH, 333.0);
    Project before = project().mapLayers(layer -> layer.withFrame(growing));
    Project linked = link(before, "a", "b");
    PropertySet first = Cascade.of(linked).values(layer(linked, "a"));
    assertThat(first.get(Properties.BOX.key())).hasValue(BoxFit.FIXED);
    assertThat(first.get(Properties.BOX_WIDTH.key())).as("stays").hasValue(333.0);
    assertThat(layer(linked, "b").frame()).isEqualTo(growing);
  }

  @Test
  void boxesAreInsertedMovedAndTakenFromOtherTexts() {
    Project three = link(project(), "a", "b", "c");
    assertThat(chain(link(three, "a", "d"), "a")).as("behind the first").isEqualTo("adbc");
    assertThat(chain(link(three, "c", "a"), "a")).as("the first comes last").isEqualTo("bca");
    Project moved = link(three, "b", "a");
    assertThat(words(moved, "b")).as("words go along").startsWith("words of a\nwords of b");
    Project taken = link(three, "d", "b");
    assertThat(chain(taken, "d")).isEqualTo("db");
    assertThat(chain(taken, "a")).as("closes up").isEqualTo("ac");
    Project whole = link(link(three, "d", "e"), "c", "d");
    assertThat(chain(whole, "a")).as("brings its further boxes").isEqualTo("abcde");
    assertThat(words(whole, "a")).endsWith("words of c\nwords of d\nwords of e");
  }

  @Test
  void whatCannotFlowIsRefused() {
    Project shaped =
        project()
            .mapArtboards(
                board -> board.plus(Layer.of("s" + board.id().value(), "S", new Shape.Ellipse())));
    assertThatThrownBy(() -> link(shaped, "a", "sone"))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("shape");
    assertThatThrownBy(() -> link(project(), "a")).isInstanceOf(EditRefused.class);
    assertThatThrownBy(() -> link(project(), "a", "gone")).isInstanceOf(EditRefused.class);
    Project locked = new ArrangeLayers.Lock(Set.of(new LayerId("b")), true).applyTo(project());
    assertThatThrownBy(() -> link(locked, "a", "b"))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("locked");
  }

  @Test
  void wordsStayWhenBoxesGo() {
    Project look = project().mapLayers(Set.of(new LayerId("a")), layer -> layer.withLocal(LARGE));
    Project linked = link(look, "a", "b", "f");
    Project first = new ArrangeLayers.Delete(Set.of(new LayerId("a"))).applyTo(linked);
    assertThat(chain(first, "b")).isEqualTo("bf");
    assertThat(words(first, "b")).isEqualTo(words(linked, "a"));
    assertThat(layer(first, "b").local()).as("with their look").isEqualTo(LARGE);
    Project middle = new ArrangeLayers.Delete(Set.of(new LayerId("b"))).applyTo(linked);
    assertThat(chain(middle, "a")).isEqualTo("af");
    Project board = new ArrangeArtboards.Delete(new ArtboardId("one")).applyTo(linked);
    assertThat(words(board, "f")).isEqualTo(words(linked, "a"));
    assertThat(layer(board, "f").continues()).isEmpty();
  }

  @Test
  void theFlowEndsBeforeABoxWhichKeepsItsWords() {
    Project linked = link(project(), "a", "b", "c");
    // "words of a" has 10 units, its break one
    Project ended = new UnlinkBox(new LayerId("b"), 11).applyTo(linked);
    assertThat(words(ended, "a")).isEqualTo("words of a");
    assertThat(words(ended, "b")).isEqualTo("words of b\nwords of c");
    assertThat(chain(ended, "c")).isEqualTo("bc");
    Project empty = new UnlinkBox(new LayerId("c"), Integer.MAX_VALUE).applyTo(linked);
    assertThat(words(empty, "c")).isEmpty();
    assertThat(words(empty, "a")).isEqualTo(words(linked, "a"));
  }

  @Test
  void whatIsCutInsideOfAParagraphBeginsWithoutAnIndent() {
    Project indented =
        project()
            .mapLayers(
                Set.of(new LayerId("a")),
                layer ->
                    layer.withLocal(
                        LARGE
                            .with(Properties.INDENT_FIRST, Length.points(12))
                            .with(Properties.DROP_LINES, 3.0)));
    Project ended = new UnlinkBox(new LayerId("b"), 6).applyTo(link(indented, "a", "b"));
    assertThat(words(ended, "a")).isEqualTo("words ");
    assertThat(words(ended, "b")).isEqualTo("of a\nwords of b");
    Layer rest = layer(ended, "b");
    Cascade cascade = Cascade.of(ended);
    assertThat(
            cascade
                .values(rest, rest.story().paragraphs().get(0))
                .get(Properties.INDENT_FIRST.key()))
        .hasValue(Length.points(0));
    assertThat(
            cascade
                .values(rest, rest.story().paragraphs().get(1))
                .get(Properties.INDENT_FIRST.key()))
        .as("the next paragraph is one as before")
        .hasValue(Length.points(12));
    assertThat(rest.local().get(Properties.SIZE.key())).hasValue(FontSize.points(40));
  }

  @Test
  void theNumbersOfAListCountOnBehindTheCut() {
    PropertySet numbered = PropertySet.EMPTY.with(Properties.LIST, ListKind.NUMBERS);
    Project listed =
        link(project(), "a", "b", "c")
            .mapLayers(Set.of(new LayerId("a")), layer -> layer.withLocal(numbered));
    // the second of three begins at 11; inside of it the third is the next that has a number
    Project before = new UnlinkBox(new LayerId("b"), 11).applyTo(listed);
    Project inside = new UnlinkBox(new LayerId("b"), 14).applyTo(listed);
    assertThat(starts(before)).containsExactly(2.0, 2.0);
    assertThat(starts(inside)).containsExactly(1.0, 3.0);
    assertThat(starts(new UnlinkBox(new LayerId("b"), 4).applyTo(listed)))
        .as("the first goes on without a number")
        .containsExactly(1.0, 2.0, 2.0);
  }

  private static List<Double> starts(Project project) {
    Layer rest = layer(project, "b");
    return rest.story().paragraphs().stream()
        .map(paragraph ->
            Cascade.of(project)
                .values(rest, paragraph)
                .get(Properties.LIST_START.key())
                .orElseThrow())
        .toList();
  }

  @Test
  void linksThatLeadNowhereDoNotCount() {
    Project before = project();
    assertThat(chain(continuing(before, "b", "gone"), "b")).isEqualTo("b");
    assertThat(chain(continuing(before, "b", "b"), "b")).isEqualTo("b");
    Project round = continuing(continuing(before, "a", "b"), "b", "a");
    assertThat(chain(round, "a")).as("round and round").isEqualTo("a");
    Project two = continuing(continuing(before, "b", "a"), "c", "a");
    assertThat(chain(two, "a")).as("the lower one").isEqualTo("ab");
    Project worded =
        before.mapLayers(
            Set.of(new LayerId("b")), layer -> layer.withContinues(Optional.of(new LayerId("a"))));
    assertThat(chain(worded, "a")).as("it has words of its own").isEqualTo("a");
  }

  private static Project continuing(Project project, String box, String before) {
    return project.mapLayers(
        Set.of(new LayerId(box)),
        layer -> text(box, "").withContinues(Optional.of(new LayerId(before))));
  }
}
