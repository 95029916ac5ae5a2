package dynamorph.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.model.IdSource;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.style.AddStyle;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.reach.Reach;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Changes that are looked at first, ways of following, and deviations settled in bulk. */
class PendingTest {
  private static final LayerId WHEEL = new LayerId("label-3-title");
  private static final LayerId BOB = new LayerId("label-5-title");
  private static final LayerId OIL = new LayerId("label-10-title");
  private static final StyleId LABEL = new StyleId("label-title");
  private static final StyleId TAG = new StyleId("tag");
  private final Project demo = LongHour.project();
  private Workspace workspace;

  @BeforeEach
  void open() {
    AtomicInteger count = new AtomicInteger();
    IdSource ids = prefix -> prefix + "-" + count.incrementAndGet();
    workspace = new Workspace(ids, demo);
  }

  private Layer layer(LayerId id) {
    return workspace.project().layer(id).orElseThrow();
  }

  private double size(Project project, LayerId id) {
    return Coats.value(
            Cascade.of(project).values(project.layer(id).orElseThrow()), Properties.SIZE.key())
        .over(0);
  }

  private String notice() {
    return workspace.noticeProperty().get().map(Notice::text).orElse("");
  }

  private void enlarge() {
    workspace.attempts().openDesk(LABEL);
    Style draft = demo.styles().get(LABEL);
    workspace
        .attempts()
        .draft(
            draft.withProperties(draft.properties().with(Properties.SIZE, FontSize.points(96))),
            Optional.empty());
  }

  @Test
  void aReviewShowsAnEditThatIsDoneOnlyWhenItIsCommitted() {
    Review review =
        new Review(
            "Delete",
            new DeleteStyles(new LinkedHashSet<>(List.of(LABEL)), Optional.of(TAG)),
            "Delete");
    assertThat(workspace.attempts().review(review)).isTrue();
    assertThat(workspace.shownProperty().get().styles().find(LABEL)).isEmpty();
    assertThat(workspace.project()).isSameAs(demo);
    workspace.attempts().beforeShownProperty().set(true);
    assertThat(workspace.shownProperty().get()).isSameAs(demo);
    workspace.attempts().beforeShownProperty().set(false);
    workspace.attempts().commitPending();
    assertThat(workspace.project().styles().find(LABEL)).isEmpty();
    assertThat(workspace.attempts().present().review()).isEmpty();
    assertThat(notice()).contains("for 6 texts");
    workspace.undo();
    assertThat(workspace.project()).isEqualTo(demo);
  }

  @Test
  void aReviewOfWhatCannotBeDoneIsRefusedAtOnce() {
    Review impossible =
        new Review(
            "Delete",
            new DeleteStyles(
                new LinkedHashSet<>(List.of(LABEL)), Optional.of(new StyleId("material"))),
            "Delete");
    assertThat(workspace.attempts().review(impossible)).isFalse();
    assertThat(notice()).contains("cannot stand in");
    assertThat(workspace.attempts().present().review()).isEmpty();
  }

  @Test
  void whileSomethingIsPendingNothingElseIsDone() {
    workspace
        .attempts()
        .review(
            new Review(
                "Swatch",
                new SetSwatch(new Swatch("copper", "Copper", Rgba.of(1, 2, 3))),
                "Commit"));
    workspace.select(List.of(WHEEL));
    workspace.following().put(TAG, false, false);
    assertThat(workspace.project()).isSameAs(demo);
    assertThat(notice()).contains("commit or discard it first");
    workspace.attempts().openDesk(TAG);
    assertThat(workspace.attempts().present().desk()).isEmpty();
    workspace.undo();
    assertThat(workspace.attempts().present().review()).as("undo takes the review back").isEmpty();
  }

  @Test
  void thoseHeldBackKeepTheirLookByLocalChanges() {
    enlarge();
    workspace.attempts().heldBackProperty().set(Set.of(OIL));
    assertThat(size(workspace.shownProperty().get(), OIL)).isEqualTo(76);
    assertThat(size(workspace.shownProperty().get(), WHEEL)).isEqualTo(96);
    workspace.attempts().commitPending();
    assertThat(size(workspace.project(), OIL)).isEqualTo(76);
    assertThat(LocalChanges.count(layer(OIL))).isEqualTo(2);
    assertThat(layer(OIL).follows()).containsExactly(LABEL);
    assertThat(notice()).contains("1 text held back by local changes");
    assertThat(workspace.attempts().heldBackProperty().get())
        .as("the next change begins afresh")
        .isEmpty();
  }

  @Test
  void discardingForgetsWhatWasHeldBack() {
    enlarge();
    workspace.attempts().heldBackProperty().set(Set.of(OIL));
    workspace.attempts().discardPending();
    assertThat(workspace.attempts().heldBackProperty().get()).isEmpty();
    assertThat(workspace.shownProperty().get()).isSameAs(demo);
  }

  @Test
  void savingIntoAStyleThatOthersFollowIsLookedAtFirst() {
    workspace.select(List.of(OIL));
    workspace.deviations().saveIntoStyle();
    assertThat(workspace.project()).isSameAs(demo);
    assertThat(workspace.attempts().present().review().orElseThrow().title())
        .isEqualTo("Save into \"Label title\"");
    workspace.attempts().commitPending();
    assertThat(LocalChanges.count(layer(OIL))).isZero();
    assertThat(Reach.between(demo, workspace.project())).doesNotContain(OIL).contains(WHEEL);
  }

  @Test
  void savingIntoAStyleThatNothingElseFollowsIsDoneAtOnce() {
    workspace.select(List.of(new LayerId("web-place")));
    workspace.select(List.of(OIL));
    workspace.deviations().deriveStyle();
    StyleId own = layer(OIL).follows().getLast();
    workspace.apply(
        dynamorph.model.edit.layer.SetValues.of(
            new Target.Layers(List.of(OIL)),
            PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(50))));
    workspace.deviations().saveIntoStyle();
    assertThat(workspace.attempts().present().review()).isEmpty();
    assertThat(workspace.project().styles().get(own).properties().get(Properties.SIZE.key()))
        .contains(FontSize.points(50));
  }

  @Test
  void localChangesAreDroppedByFacetAndOnAllFollowers() {
    workspace.select(List.of(BOB));
    workspace.deviations().drop(Facet.FINISH);
    assertThat(LocalChanges.of(layer(BOB)))
        .extracting(change -> change.key().property().id())
        .containsExactly("size");
    workspace.deviations().dropOnFollowers(LABEL);
    assertThat(LocalChanges.count(layer(OIL))).as("only shown so far").isEqualTo(1);
    workspace.attempts().commitPending();
    assertThat(LocalChanges.count(layer(OIL))).isZero();
    workspace.deviations().dropOnFollowers(LABEL);
    assertThat(notice()).contains("Nothing that follows \"Label title\" has local changes.");
  }

  @Test
  void whatIsNotThereCannotBeMadeAStyleOrCombined() {
    workspace.select(List.of(WHEEL));
    workspace.deviations().deriveStyle();
    assertThat(notice()).contains("nothing here to make a style of");
    workspace.deviations().combine();
    assertThat(notice()).contains("does not follow several");
    assertThat(workspace.project()).isSameAs(demo);
  }

  @Test
  void onlyLocalChangesOfChosenFacetsAreKeptAndThatHoldsForTheSession() {
    workspace.select(List.of(BOB));
    workspace.following().put(TAG, false, false);
    Notice.Offer.Ticks keepOnly =
        workspace.noticeProperty().get().orElseThrow().offers().stream()
            .filter(Notice.Offer.Ticks.class::isInstance)
            .map(Notice.Offer.Ticks.class::cast)
            .findFirst()
            .orElseThrow();
    keepOnly.ticks().stream()
        .filter(tick -> tick.label().equals("Finish"))
        .findFirst()
        .orElseThrow()
        .flip()
        .run();
    assertThat(LocalChanges.of(layer(BOB)))
        .extracting(change -> change.key().property().id())
        .containsExactly("size");
    assertThat(notice()).isEqualTo("Some local changes of this text were dropped.");
    assertThat(workspace.following().applyOptionsProperty().get().keepsLocal())
        .isEqualTo(EnumSet.complementOf(EnumSet.of(Facet.FINISH)));
  }

  @Test
  void aTextStyleIsStampedOnWordsWhenThatIsWanted() {
    workspace.selectionProperty().set(Selection.editing(WHEEL, 0, 10));
    workspace.following().put(TAG, false, true);
    assertThat(layer(WHEEL).follows()).containsExactly(LABEL);
    assertThat(layer(WHEEL).story().paragraphs().getFirst().spans()).hasSize(2);
    assertThat(layer(WHEEL).story().paragraphs().getFirst().spans().getFirst().local().isEmpty())
        .isFalse();
  }

  @Test
  void aCaretMeansTheWholeTextForATextStyle() {
    workspace.selectionProperty().set(Selection.editing(WHEEL, 3, 3));
    workspace.following().put(TAG, false, false);
    assertThat(layer(WHEEL).follows()).containsExactly(TAG);
  }

  @Test
  void aSamplerHoldsEverythingButThePlace() {
    Sample sample = Sample.of(demo, demo.layer(BOB).orElseThrow(), 0);
    Sampling held = new Sampling(sample, Sampling.USUAL, true, false);
    workspace.apply(held.on(new Target.Layers(List.of(WHEEL))));
    assertThat(size(workspace.project(), WHEEL)).isEqualTo(size(demo, BOB));
    assertThat(Cascade.of(workspace.project()).placement(layer(WHEEL)))
        .isEqualTo(Cascade.of(demo).placement(demo.layer(WHEEL).orElseThrow()));
  }

  @Test
  void stylesFromElsewhereComeAtOnceUnlessANameIsTaken() {
    Project other =
        Project.empty("Other")
            .withStyles(
                dynamorph.model.style.StyleBook.of(
                    List.of(
                        Style.text("x", "Foreign", "")
                            .withProperties(PropertySet.EMPTY.with(Properties.TRACKING, 3.0)))));
    workspace.attempts().importStyles(StyleBundle.all(other), styles -> styles);
    assertThat(workspace.project().styles().named("Foreign")).isPresent();
    Project taken =
        other.withStyles(
            dynamorph.model.style.StyleBook.of(
                List.of(Style.text("y", "Tag", "").withProperties(PropertySet.EMPTY))));
    workspace.attempts().importStyles(StyleBundle.all(taken), styles -> styles);
    assertThat(workspace.attempts().present().styleImport()).isPresent();
    assertThat(
            dynamorph.model.edit.importing.ImportStyles.collisions(
                workspace.project(), StyleBundle.all(taken)))
        .hasSize(1);
    workspace.attempts().discardPending();
    assertThat(workspace.attempts().present().styleImport()).isEmpty();
  }

  @Test
  void anUndoThatTakesAStyleAwayEndsItsDeletion() {
    StyleId fresh = new StyleId("fresh");
    workspace.apply(new AddStyle(Style.text("fresh", "Fresh", ""), "Add"));
    workspace.attempts().openDeletion(StyleDeletion.delete(List.of(fresh)));
    workspace.undo();
    assertThat(workspace.project().styles().find(fresh)).isEmpty();
    assertThat(workspace.attempts().present()).isEqualTo(new Attempt.Nothing());
  }

  @Test
  void anUndoThatTakesASwatchAwayClosesIt() {
    workspace.apply(new SetSwatch(new Swatch("fresh", "Fresh", Rgba.BLACK)));
    workspace.attempts().openSwatch("fresh");
    workspace.undo();
    assertThat(workspace.attempts().present()).isEqualTo(new Attempt.Nothing());
  }

  @Test
  void openingAnotherProjectLeavesNothingPending() {
    enlarge();
    workspace.attempts().heldBackProperty().set(Set.of(OIL));
    workspace.view().reachProperty().set(true);
    workspace.open(Project.empty("Fresh"), Optional.empty());
    assertThat(workspace.attempts().present().desk()).isEmpty();
    assertThat(workspace.attempts().heldBackProperty().get()).isEmpty();
    assertThat(workspace.view().reachProperty().get()).isFalse();
  }
}
