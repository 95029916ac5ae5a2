package dynamorph.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.model.IdSource;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.style.Follow;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.reach.Reach;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Deviations made styles, stacks made one, and local changes dropped wherever they are. */
class DeviationsTest {
  private static final LayerId WHEEL = new LayerId("label-3-title");
  private static final LayerId CRANK = new LayerId("label-7-title");
  private static final LayerId BELL = new LayerId("label-8-title");
  private static final LayerId BOB = new LayerId("label-5-title");
  private static final LayerId OIL = new LayerId("label-10-title");
  private static final StyleId LABEL = new StyleId("label-title");
  private static final StyleId TAG = new StyleId("tag");
  private final Project demo = LongHour.project();
  private Workspace workspace;
  private Deviations deviations;

  @BeforeEach
  void open() {
    AtomicInteger count = new AtomicInteger();
    IdSource ids = prefix -> prefix + "-" + count.incrementAndGet();
    workspace = new Workspace(ids, demo);
    deviations = workspace.deviations();
  }

  private Layer layer(LayerId id) {
    return workspace.project().layer(id).orElseThrow();
  }

  private String notice() {
    return workspace.noticeProperty().get().map(Notice::text).orElse("");
  }

  private Project spaceOut(LayerId... layers) {
    workspace.apply(
        SetValues.of(
            new Target.Layers(List.of(layers)), PropertySet.EMPTY.with(Properties.TRACKING, 35.0)));
    return workspace.project();
  }

  @Test
  void oneDeviationBecomesAStyleThatAllWhoDeviateSoFollow() {
    Project before = spaceOut(WHEEL, CRANK, BELL);
    workspace.select(List.of(WHEEL));
    deviations.deriveStyle();
    StyleId made = workspace.pickedStyleProperty().get().orElseThrow();
    Style derived = workspace.project().styles().get(made);
    assertThat(derived.name()).isEqualTo("Label title, own tracking");
    assertThat(derived.basedOn()).contains(LABEL);
    for (LayerId id : List.of(WHEEL, CRANK, BELL)) {
      assertThat(layer(id).follows()).containsExactly(made);
      assertThat(LocalChanges.count(layer(id))).isZero();
    }
    assertThat(Reach.between(before, workspace.project())).as("nothing looks different").isEmpty();
    assertThat(notice()).contains("followed by 3 texts that deviate alike");
    workspace.undo();
    assertThat(workspace.project()).isEqualTo(before);
  }

  @Test
  void withSeveralSelectedOnlyThoseMoveToTheStyle() {
    spaceOut(WHEEL, CRANK, BELL);
    workspace.select(List.of(WHEEL, BELL));
    deviations.deriveStyle();
    StyleId made = workspace.pickedStyleProperty().get().orElseThrow();
    assertThat(layer(BELL).follows()).containsExactly(made);
    assertThat(layer(CRANK).follows()).containsExactly(LABEL);
    assertThat(LocalChanges.count(layer(CRANK))).isEqualTo(1);
  }

  @Test
  void aSecondStyleOfTheSameKindGetsANameOfItsOwn() {
    spaceOut(WHEEL);
    workspace.select(List.of(WHEEL));
    deviations.deriveStyle();
    workspace.apply(
        SetValues.of(
            new Target.Layers(List.of(CRANK)), PropertySet.EMPTY.with(Properties.TRACKING, 70.0)));
    workspace.select(List.of(CRANK));
    deviations.deriveStyle();
    assertThat(workspace.project().styles().stream().map(Style::name)).doesNotHaveDuplicates();
    assertThat(layer(CRANK).follows()).isNotEqualTo(layer(WHEEL).follows());
  }

  @Test
  void aStackBecomesOneStyleForAllThatStackItSo() {
    workspace.apply(Follow.onTop(new Target.Layers(List.of(WHEEL, CRANK)), TAG));
    Project stacked = workspace.project();
    workspace.select(List.of(WHEEL));
    deviations.combine();
    StyleId one = workspace.pickedStyleProperty().get().orElseThrow();
    assertThat(workspace.project().styles().get(one).name()).isEqualTo("Label title with Tag");
    assertThat(layer(WHEEL).follows()).containsExactly(one);
    assertThat(layer(CRANK).follows()).as("it was not selected").containsExactly(one);
    assertThat(layer(BELL).follows()).containsExactly(LABEL);
    assertThat(Reach.between(stacked, workspace.project())).isEmpty();
    assertThat(notice()).contains("stands for 2 styles on 2 texts.");
  }

  @Test
  void localChangesOfAllFollowersAreShownBeforeTheyGo() {
    workspace.select(List.of(WHEEL));
    deviations.dropOnAllFollowers();
    Review review = workspace.attempts().present().review().orElseThrow();
    assertThat(review.title()).contains("what follows \"Label title\"");
    assertThat(LocalChanges.count(layer(OIL))).isPositive();
    workspace.attempts().commitPending();
    assertThat(LocalChanges.count(layer(OIL))).isZero();
    assertThat(layer(BOB))
        .as("it follows a derived style, not this one")
        .isEqualTo(demo.layer(BOB).orElseThrow());
    workspace.undo();
    assertThat(workspace.project()).as("one step").isEqualTo(demo);
  }

  @Test
  void whatReachesNothingElseIsDoneAtOnceAndCanBeTakenBack() {
    workspace.select(List.of(WHEEL));
    deviations.doOrReview(
        SetValues.of(
            new Target.Layers(List.of(WHEEL)), PropertySet.EMPTY.with(Properties.TRACKING, 5.0)),
        "Title",
        "Do it",
        "Done.");
    assertThat(workspace.attempts().present().review()).isEmpty();
    assertThat(notice()).isEqualTo("Done.");
    deviations.doOrReview(
        Follow.replacing(new Target.Layers(List.of(CRANK)), TAG), "Title", "Do it", "Done.");
    assertThat(workspace.attempts().present().review().orElseThrow().commitLabel())
        .isEqualTo("Do it, change 1 more text");
  }

  @Test
  void clearedTextIsPlainAndItsWordsStay() {
    workspace.select(List.of(BOB));
    deviations.clearFormatting();
    assertThat(layer(BOB).follows()).isEmpty();
    assertThat(LocalChanges.count(layer(BOB))).isZero();
    assertThat(layer(BOB).story().text()).isEqualTo(demo.layer(BOB).orElseThrow().story().text());
  }
}
