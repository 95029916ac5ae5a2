package dynamorph.app.finish;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.inspector.SelectionSubject;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.Length;
import dynamorph.model.value.StrokePosition;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** The stack of a text that follows a style with a rim, and of one that follows nothing. */
class CoatStackTest {
  private static final LayerId TITLE = new LayerId("title");
  private static final LayerId PLAIN = new LayerId("plain");
  private static final Address FILL = Address.coat("fill");
  private static final Address RIM = Address.coat("rim");
  private static final Address CAST = RIM.effect("cast");

  private final Style rimmed =
      Style.text("rimmed", "Rimmed", "")
          .withProperties(
              PropertySet.EMPTY
                  .with(Properties.COAT_KIND.at(RIM), CoatKind.STROKE)
                  .with(Properties.COAT_ORDER.at(RIM), 1.0)
                  .with(Properties.STROKE_WIDTH.at(RIM), Length.em(0.1))
                  .with(Properties.EFFECT_KIND.at(CAST), EffectKind.DROP_SHADOW));
  private final Project project =
      Project.empty("P")
          .withStyles(StyleBook.of(List.of(rimmed)))
          .plus(
              Artboard.empty("a", "A", 300, 200, LengthUnit.POINT)
                  .plus(Layer.of("title", "Title", "Hour").withFollows(List.of(rimmed.id())))
                  .plus(Layer.of("plain", "Plain", "Bell")));
  private final AtomicInteger count = new AtomicInteger();
  private final Workspace workspace =
      new Workspace(prefix -> prefix + "-" + count.incrementAndGet(), project);
  private final CoatStack stack =
      new CoatStack(
          () -> new SelectionSubject(workspace, Cascade.of(workspace.project())),
          workspace.tools().coats(),
          () -> workspace.project().palette());

  private PropertySet values(LayerId id) {
    return Cascade.of(workspace.project()).values(workspace.project().layer(id).orElseThrow());
  }

  private List<String> coats(LayerId id) {
    return Coats.of(values(id), Address.FINISH).stream().map(Address::coat).toList();
  }

  private List<String> effects(LayerId id, Address coat) {
    return Coats.effects(values(id), coat).stream().map(Address::effect).toList();
  }

  private void select(LayerId... ids) {
    workspace.select(List.of(ids));
  }

  @Test
  void withoutASelectionNothingIsAdded() {
    assertThat(stack.addCoat(CoatKind.FILL)).isEmpty();
    assertThat(stack.addPlate()).isEmpty();
    assertThat(workspace.project()).isSameAs(project);
  }

  @Test
  void aNewCoatLiesOnTopUnderAFreeNameAndAStrokeIsSeenAtOnce() {
    select(TITLE);
    assertThat(stack.addCoat(CoatKind.FILL)).contains(Address.coat("fill-2"));
    Address outline = stack.addCoat(CoatKind.STROKE).orElseThrow();
    assertThat(coats(TITLE)).containsExactly("fill", "rim", "fill-2", "outline");
    assertThat(Coats.value(values(TITLE), Properties.STROKE_POSITION.at(outline)))
        .isEqualTo(StrokePosition.OUTSIDE);
    assertThat(Coats.value(values(TITLE), Properties.STROKE_WIDTH.at(outline)).amount())
        .isPositive();
    workspace.undo();
    assertThat(coats(TITLE)).as("each is a step").containsExactly("fill", "rim", "fill-2");
  }

  @Test
  void aPlateIsAnotherHost() {
    select(PLAIN);
    assertThat(stack.addPlate()).contains(Address.plateCoat("ground"));
    assertThat(stack.addPlate()).contains(Address.plateCoat("ground-2"));
    assertThat(Coats.of(values(PLAIN), Address.PLATE)).hasSize(2);
    assertThat(coats(PLAIN)).containsExactly("fill");
  }

  @Test
  void effectsComeAfterTheOthersOfTheirCoat() {
    select(TITLE);
    assertThat(stack.addEffect(RIM, EffectKind.OUTER_GLOW)).isEqualTo(RIM.effect("glow"));
    assertThat(stack.addEffect(RIM, EffectKind.OUTER_GLOW)).isEqualTo(RIM.effect("glow-2"));
    assertThat(effects(TITLE, RIM)).containsExactly("cast", "glow", "glow-2");
    stack.moveEffect(RIM.effect("glow-2"), -2);
    assertThat(effects(TITLE, RIM)).containsExactly("glow-2", "cast", "glow");
    stack.moveEffect(RIM.effect("glow-2"), -1);
    assertThat(effects(TITLE, RIM))
        .as("there is no farther")
        .containsExactly("glow-2", "cast", "glow");
  }

  @Test
  void aDuplicateLiesRightAboveWithAllThatItsOriginalShows() {
    select(TITLE);
    stack.addCoat(CoatKind.FILL);
    Address copy = stack.duplicate(RIM);
    assertThat(coats(TITLE)).containsExactly("fill", "rim", copy.coat(), "fill-2");
    assertThat(Coats.value(values(TITLE), Properties.STROKE_WIDTH.at(copy)))
        .isEqualTo(Length.em(0.1));
    assertThat(effects(TITLE, copy)).containsExactly("cast");
  }

  @Test
  void aCoatIsTakenToAnotherTextAndAnEffectToAnotherCoat() {
    select(TITLE);
    stack.copy(RIM);
    select(PLAIN);
    assertThat(stack.paste(FILL)).contains(RIM);
    assertThat(coats(PLAIN)).containsExactly("fill", "rim");
    assertThat(effects(PLAIN, RIM)).containsExactly("cast");
    stack.copy(CAST);
    assertThat(stack.copied().orElseThrow().isEffect()).isTrue();
    assertThat(stack.paste(FILL)).contains(FILL.effect("cast"));
    assertThat(stack.paste(FILL)).contains(FILL.effect("cast-2"));
    assertThat(effects(PLAIN, FILL)).containsExactly("cast", "cast-2");
  }

  @Test
  void aCoatOfLettersIsPastedOnAPlateToo() {
    select(TITLE);
    stack.copy(RIM);
    Address ground = stack.addPlate().orElseThrow();
    assertThat(stack.paste(ground)).contains(Address.plateCoat("rim"));
    assertThat(Coats.of(values(TITLE), Address.PLATE)).hasSize(2);
    assertThat(effects(TITLE, Address.plateCoat("rim"))).containsExactly("cast");
  }

  @Test
  void withNothingCopiedNothingIsPasted() {
    select(TITLE);
    assertThat(stack.paste(FILL)).isEmpty();
    assertThat(workspace.project()).isSameAs(project);
  }

  @Test
  void coatsChangePlacesAndOnlyTheMovedOneIsChanged() {
    select(TITLE);
    stack.addCoat(CoatKind.FILL);
    stack.move(FILL, 1);
    assertThat(coats(TITLE)).containsExactly("rim", "fill", "fill-2");
    assertThat(stack.isAtEnd(RIM, false)).isTrue();
    assertThat(stack.isAtEnd(RIM, true)).isFalse();
    Project now = workspace.project();
    stack.move(RIM, -1);
    assertThat(workspace.project()).as("it is the lowest already").isSameAs(now);
    stack.place(Address.coat("fill-2"), 0);
    assertThat(coats(TITLE)).containsExactly("fill-2", "rim", "fill");
    assertThat(workspace.project().styles()).isEqualTo(project.styles());
  }

  @Test
  void twoCoatsOfOneOrderMakeRoomForAThird() {
    select(PLAIN);
    PropertySet same =
        PropertySet.EMPTY
            .with(Properties.COAT_KIND.at(Address.coat("a")), CoatKind.FILL)
            .with(Properties.COAT_KIND.at(Address.coat("b")), CoatKind.FILL);
    new SelectionSubject(workspace, Cascade.of(workspace.project()))
        .set(same, java.util.Optional.empty());
    assertThat(coats(PLAIN)).containsExactly("a", "b", "fill");
    stack.place(FILL, 1);
    assertThat(coats(PLAIN)).containsExactly("a", "fill", "b");
  }

  @Test
  void whatIsInheritedIsMarkedAsRemovedAndWhatIsOwnGoesWithoutATrace() {
    select(TITLE);
    stack.remove(RIM);
    assertThat(coats(TITLE)).containsExactly("fill");
    assertThat(
            workspace
                .project()
                .layer(TITLE)
                .orElseThrow()
                .local()
                .get(Properties.COAT_REMOVED.at(RIM)))
        .contains(true);
    workspace.undo();
    Address own = stack.addCoat(CoatKind.STROKE).orElseThrow();
    stack.addEffect(own, EffectKind.BLUR);
    stack.remove(own);
    assertThat(workspace.project()).isEqualTo(project);
  }

  @Test
  void resetTakesBackWhatIsSetHereAndLeavesTheStyle() {
    select(TITLE);
    assertThat(stack.canReset(RIM)).isFalse();
    new SelectionSubject(workspace, Cascade.of(workspace.project()))
        .set(
            PropertySet.EMPTY
                .with(Properties.STROKE_WIDTH.at(RIM), Length.em(0.3))
                .with(Properties.EFFECT_KIND.at(CAST), EffectKind.OUTER_GLOW)
                .with(Properties.COAT_COLOUR.at(FILL), Colour.hex("#ff0000")),
            java.util.Optional.empty());
    assertThat(stack.canReset(RIM)).isTrue();
    stack.reset(RIM);
    assertThat(Coats.value(values(TITLE), Properties.STROKE_WIDTH.at(RIM)))
        .isEqualTo(Length.em(0.1));
    assertThat(Coats.value(values(TITLE), Properties.EFFECT_KIND.at(CAST)))
        .isEqualTo(EffectKind.DROP_SHADOW);
    assertThat(Coats.value(values(TITLE), Properties.COAT_COLOUR.at(FILL)))
        .as("other coats stay")
        .isEqualTo(Colour.hex("#ff0000"));
  }
}
