package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Address;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.FontSize;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import dynamorph.typeset.layout.TextLayout;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What is kept of coats, planes and edges must never show where it does not belong: whatever was
 * painted before, a look is painted as by someone who remembers nothing.
 */
class KeptPixelsTest {
  private static final int WIDTH = 220;
  private static final int HEIGHT = 110;

  /** A text in a look. */
  private record Set(TextLayout layout, ResolvedLayer look) {}

  private static Set set(String words, PropertySet finish) {
    PropertySet look =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, "Anton")
            .with(Properties.SIZE, FontSize.points(38))
            .overlaidBy(finish);
    Layer layer = Layer.of("t", "t", words).withLocal(look);
    ResolvedLayer resolved = Cascade.of(Project.empty("p")).resolve(layer);
    return new Set(Painting.maker().typesetter().layout(layer.story(), resolved), resolved);
  }

  private static Pixels painted(LayerPainter painter, Set set, float x, float y, float scale) {
    return Pixels.draw(
        WIDTH,
        HEIGHT,
        canvas -> {
          canvas.clear(0xFFE8E2D4);
          canvas.translate(x, y);
          canvas.scale(scale, scale);
          painter.paint(canvas, set.layout, set.look);
        });
  }

  private static PropertySet with(String... settings) {
    PropertySet look = PropertySet.EMPTY;
    for (String setting : settings) {
      String[] parts = setting.split("=");
      look = look.withText(Properties.key(parts[0]), parts[1]);
    }
    return look;
  }

  /** A stack of each kind of coat and effect. */
  private static final PropertySet STACK =
      with(
          "finish/fill/colour=#1f4d3a",
          "finish/fill/deep/kind=inner-glow",
          "finish/fill/deep/colour=#000000",
          "finish/fill/deep/blur=5 pt",
          "finish/rim/kind=stroke",
          "finish/rim/order=1",
          "finish/rim/offset=3 pt",
          "finish/rim/width=4 pt",
          "finish/rim/colour=#8c4a2f",
          "finish/dots/kind=stroke",
          "finish/dots/order=2",
          "finish/dots/offset=3 pt",
          "finish/dots/width=3 pt",
          "finish/dots/cap=round",
          "finish/dots/dashes=0 pt, 7 pt",
          "finish/dots/dash-fit=contour",
          "finish/dots/colour=#ffffff",
          "finish/dots/glow/kind=outer-glow",
          "finish/dots/glow/colour=#ffd9a0",
          "finish/dots/glow/blur=6 pt",
          "finish/dots/far/kind=drop-shadow",
          "finish/dots/far/order=-1",
          "finish/dots/far/blur=9 pt");

  /** One change of each kind to the stack. */
  private static final List<PropertySet> NUDGES =
      List.of(
          with("finish/fill/colour=#2f5d4a"),
          with("finish/fill/deep/blur=7 pt"),
          with("finish/fill/deep/source=centre"),
          with("finish/rim/width=6 pt"),
          with("finish/rim/offset=1 pt"),
          with("finish/rim/join=round"),
          with("finish/rim/shown=false"),
          with("finish/rim/opacity=0.4"),
          with("finish/rim/blend=multiply"),
          with("finish/dots/dashes=0 pt, 11 pt"),
          with("finish/dots/dash-offset=3 pt"),
          with("finish/dots/cap=butt"),
          with("finish/dots/glow/opacity=0.3"),
          with("finish/dots/glow/blur=12 pt"),
          with("finish/dots/glow/spread=2 pt"),
          with("finish/dots/glow/blend=screen"),
          with("finish/dots/glow/knockout=true"),
          with("finish/dots/far/x=6 pt"),
          with("finish/dots/rotation=8"),
          with("finish/dots/copies=3"),
          with("finish/dots/paint=linear"),
          with("finish/dots/paint=pattern"),
          with("finish/whole/cast/kind=drop-shadow"),
          with("finish/fill/edge/kind=bevel"),
          with("finish/dots/soft/kind=blur"));

  @Test
  void aNudgeShowsJustWhatItWouldShowToOneWhoSeesTheLookForTheFirstTime() {
    LayerPainter keeps = new LayerPainter();
    Set before = set("Rag", STACK);
    Pixels first = painted(keeps, before, 30, 20, 1);
    for (PropertySet nudge : NUDGES) {
      Set now = set("Rag", STACK.overlaidBy(nudge));
      Pixels nudged = painted(keeps, now, 30, 20, 1);
      assertThat(nudged.bytes())
          .as("%s", nudge.keys())
          .isEqualTo(painted(new LayerPainter(), now, 30, 20, 1).bytes());
      assertThat(nudged.bytes()).as("%s is seen", nudge.keys()).isNotEqualTo(first.bytes());
      assertThat(painted(keeps, before, 30, 20, 1).bytes())
          .as("and back from %s", nudge.keys())
          .isEqualTo(first.bytes());
    }
  }

  @Test
  void whatIsKnownHoldsWhereverTheTextIsMovedByWholePixels() {
    LayerPainter keeps = new LayerPainter();
    Set set = set("Rag", STACK);
    painted(keeps, set, 30, 20, 1);
    for (float[] at : new float[][] {{31, 20}, {30, 41}, {12, 7}, {-25, 3}, {150, 60}}) {
      assertThat(painted(keeps, set, at[0], at[1], 1).bytes())
          .isEqualTo(painted(new LayerPainter(), set, at[0], at[1], 1).bytes());
    }
  }

  @Test
  void aFractionOfAPixelOrAnotherScaleIsPaintedAnew() {
    LayerPainter keeps = new LayerPainter();
    Set set = set("Rag", STACK);
    Pixels whole = painted(keeps, set, 30, 20, 1);
    for (float[] at :
        new float[][] {{30.5f, 20, 1}, {30, 20.25f, 1}, {30, 20, 1.25f}, {30, 20, 0.4f}}) {
      Pixels moved = painted(keeps, set, at[0], at[1], at[2]);
      assertThat(moved.bytes()).isNotEqualTo(whole.bytes());
      assertThat(moved.bytes())
          .isEqualTo(painted(new LayerPainter(), set, at[0], at[1], at[2]).bytes());
    }
  }

  /** Masks of turned glyphs came out one way now and another way then. */
  @Test
  void turnedLettersArePaintedTheSameEachTime() {
    Set set = set("Rag", STACK.overlaidBy(with("finish/fill/rotation=29")));
    Pixels first = painted(new LayerPainter(), set, 30, 20, 1);
    for (int time = 0; time < 50; time++) {
      assertThat(painted(new LayerPainter(), set, 30, 20, 1).bytes()).isEqualTo(first.bytes());
    }
  }

  @Test
  void anotherTextInTheSameLookIsNotMistakenForIt() {
    LayerPainter keeps = new LayerPainter();
    List<Set> sets = new ArrayList<>();
    for (String words : List.of("Rag", "Rug", "Ragg", "R", "gaR")) {
      sets.add(set(words, STACK));
    }
    for (int round = 0; round < 2; round++) {
      for (Set set : sets) {
        assertThat(painted(keeps, set, 30, 20, 1).bytes())
            .isEqualTo(painted(new LayerPainter(), set, 30, 20, 1).bytes());
      }
    }
  }

  @ParameterizedTest
  @EnumSource(BlendMode.class)
  void aKeptCoatIsMixedWithWhateverLiesBelow(BlendMode mode) {
    PropertySet mixed = STACK.with(Properties.COAT_BLEND.at(Address.coat("dots")), mode);
    Set set = set("Rag", mixed);
    LayerPainter keeps = new LayerPainter();
    for (String ground : List.of("#1f4d3a", "#c8c0ff")) {
      Set other = set("Rag", mixed.overlaidBy(with("finish/fill/colour=" + ground)));
      assertThat(painted(keeps, other, 30, 20, 1).bytes())
          .isEqualTo(painted(new LayerPainter(), other, 30, 20, 1).bytes());
    }
    assertThat(painted(keeps, set, 30, 20, 1).bytes())
        .isEqualTo(painted(new LayerPainter(), set, 30, 20, 1).bytes());
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
  void anySequenceOfLooksIsPaintedAsIfEachWereTheFirst(long seed) {
    RandomProjects random = new RandomProjects(seed);
    LayerPainter keeps = new LayerPainter();
    PropertySet look = STACK;
    for (int step = 0; step < 8; step++) {
      PropertySet change =
          random
              .values(6, Level.SPAN)
              .where(key ->
                  key.property().facet() == Facet.FINISH && !key.property().id().equals("copies"));
      look = look.overlaidBy(change.where(key -> !isSwatch(change, key)));
      Set set = set("Rag", look);
      assertThat(painted(keeps, set, 30, 20, 1).bytes())
          .as("step %d of %d: %s", step, seed, change.keys())
          .isEqualTo(painted(new LayerPainter(), set, 30, 20, 1).bytes());
    }
  }

  private static boolean isSwatch(PropertySet set, dynamorph.model.property.PropertyKey<?> key) {
    return set.get(key).map(value -> value.toString().contains("swatch:")).orElse(false);
  }
}
