package dynamorph.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.model.IdSource;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.property.Properties;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.TextRange;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The logic of the window, without a toolkit. */
class WorkspaceTest {
  private static final LayerId BELL = new LayerId("label-6-title");
  private static final LayerId BOB = new LayerId("label-5-title");
  private static final StyleId TAG = new StyleId("tag");
  private final Project demo = LongHour.project();
  private Workspace workspace;

  @BeforeEach
  void open() {
    workspace = new Workspace(IdSource.random(RandomGenerator.of("L64X128MixRandom")), demo);
  }

  private String notice() {
    return workspace.noticeProperty().get().map(Notice::text).orElse("");
  }

  private Runnable offer(String label) {
    return workspace.noticeProperty().get().orElseThrow().offers().stream()
        .filter(offer -> offer.label().equals(label))
        .map(Notice.Offer.Press.class::cast)
        .map(Notice.Offer.Press::run)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void followingTellsAndCanBeUndone() {
    workspace.select(List.of(BELL));
    workspace.following().put(TAG, false, false);
    assertThat(workspace.project().layer(BELL).orElseThrow().follows()).containsExactly(TAG);
    assertThat(workspace.pickedStyleProperty().get()).contains(TAG);
    workspace.undo();
    assertThat(workspace.project()).isEqualTo(demo);
    workspace.redo();
    assertThat(workspace.project().layer(BELL).orElseThrow().follows()).containsExactly(TAG);
  }

  @Test
  void localChangesAreKeptUntilThePersonChoosesOtherwiseForTheSession() {
    workspace.select(List.of(BOB));
    workspace.following().put(TAG, false, false);
    assertThat(notice()).isEqualTo("This text has local changes; they are kept.");
    assertThat(LocalChanges.count(workspace.project().layer(BOB).orElseThrow())).isPositive();
    offer("Drop").run();
    assertThat(LocalChanges.count(workspace.project().layer(BOB).orElseThrow())).isZero();
    assertThat(notice()).isEqualTo("Local changes of this text were dropped.");
    workspace.undo();
    assertThat(workspace.project()).isEqualTo(demo);
    workspace.following().put(TAG, false, false);
    assertThat(LocalChanges.count(workspace.project().layer(BOB).orElseThrow())).isZero();
    assertThat(notice()).isEqualTo("Local changes of this text were dropped.");
  }

  @Test
  void aPreviewShowsWithoutChangingAnything() {
    List<Project> shown = new ArrayList<>();
    workspace.shownProperty().addListener((_, _, now) -> shown.add(now));
    workspace.select(List.of(BELL));
    workspace.previewFollowing(TAG);
    assertThat(workspace.shownProperty().get().layer(BELL).orElseThrow().follows())
        .containsExactly(TAG);
    assertThat(workspace.project()).isSameAs(demo);
    assertThat(workspace.historyProperty().get().canUndo()).isFalse();
    workspace.endPreview();
    assertThat(workspace.shownProperty().get()).isSameAs(demo);
    assertThat(shown).hasSize(2);
  }

  @Test
  void aPreviewThatMakesNoSenseShowsTheProject() {
    workspace.selectionProperty().set(Selection.editing(BELL, 0, 4));
    workspace.previewFollowing(TAG);
    assertThat(workspace.shownProperty().get()).isSameAs(demo);
  }

  @Test
  void aTextStyleOnWordsIsRefusedWithAnOffer() {
    workspace.selectionProperty().set(Selection.editing(BELL, 0, 4));
    workspace.following().put(TAG, false, false);
    assertThat(notice()).contains("text style");
    assertThat(workspace.project()).isSameAs(demo);
    offer("Put it on the whole text").run();
    assertThat(workspace.project().layer(BELL).orElseThrow().follows()).containsExactly(TAG);
  }

  @Test
  void theDeskShowsItsDraftAndLeavesTheSelection() {
    workspace.select(List.of(BELL));
    workspace.attempts().openDesk(TAG);
    assertThat(workspace.selection().layers()).containsExactly(BELL);
    Style draft = workspace.project().styles().get(TAG);
    workspace
        .attempts()
        .draft(
            draft.withProperties(draft.properties().with(Properties.TRACKING, 99.0)),
            Optional.empty());
    assertThat(workspace.project()).isSameAs(demo);
    assertThat(
            workspace
                .shownProperty()
                .get()
                .styles()
                .get(TAG)
                .properties()
                .get(Properties.TRACKING.key()))
        .contains(99.0);
    workspace.attempts().beforeShownProperty().set(true);
    assertThat(workspace.shownProperty().get()).isSameAs(demo);
    workspace.attempts().beforeShownProperty().set(false);
    workspace.attempts().commitPending();
    assertThat(workspace.project().styles().get(TAG).properties().get(Properties.TRACKING.key()))
        .contains(99.0);
    assertThat(notice()).isEqualTo("\"Tag\" changed for 1 text.");
    assertThat(workspace.historyProperty().get().undoLabel()).contains("Edit style \"Tag\"");
  }

  @Test
  void undoOnTheDeskGoesThroughItsDrafts() {
    workspace.attempts().openDesk(TAG);
    Style draft = workspace.project().styles().get(TAG);
    workspace.attempts().draft(draft.withName("One"), Optional.empty());
    workspace.attempts().draft(draft.withName("Two"), Optional.of("drag"));
    workspace.attempts().draft(draft.withName("Three"), Optional.of("drag"));
    workspace.undo();
    assertThat(workspace.attempts().present().desk().orElseThrow().draft().name()).isEqualTo("One");
    workspace.redo();
    assertThat(workspace.attempts().present().desk().orElseThrow().draft().name())
        .isEqualTo("Three");
    workspace.undo();
    workspace.undo();
    assertThat(workspace.attempts().present().desk().orElseThrow().isChanged()).isFalse();
    workspace.attempts().discardPending();
    assertThat(workspace.project()).isSameAs(demo);
    assertThat(workspace.shownProperty().get()).isSameAs(demo);
  }

  @Test
  void whileADraftHasChangesNothingElseIsEdited() {
    workspace.attempts().openDesk(TAG);
    Style draft = workspace.project().styles().get(TAG);
    workspace.attempts().draft(draft.withName("Other"), Optional.empty());
    assertThat(workspace.apply(new ArrangeLayers.Rename(BELL, "x"))).isFalse();
    assertThat(notice()).contains("commit or discard it first");
    workspace.attempts().openDesk(new StyleId("notice"));
    assertThat(workspace.attempts().present().desk().orElseThrow().original().id()).isEqualTo(TAG);
    workspace.attempts().discardPending();
    workspace.attempts().openDesk(new StyleId("notice"));
    workspace.attempts().openDesk(TAG);
    assertThat(workspace.attempts().present().desk().orElseThrow().original().id()).isEqualTo(TAG);
  }

  @Test
  void aDraftThatCannotBeCommittedStaysOnTheDesk() {
    workspace.attempts().openDesk(new StyleId("label-title"));
    Style draft = workspace.project().styles().get(new StyleId("label-title"));
    workspace
        .attempts()
        .draft(draft.withBasedOn(Optional.of(new StyleId("label-title-loan"))), Optional.empty());
    assertThat(workspace.shownProperty().get()).isSameAs(demo);
    workspace.attempts().commitPending();
    assertThat(workspace.attempts().present().desk()).isPresent();
    assertThat(notice()).contains("circle");
    assertThat(workspace.project()).isSameAs(demo);
  }

  @Test
  void theSelectionForgetsWhatIsGone() {
    workspace.select(List.of(BELL, BOB));
    workspace.apply(new ArrangeLayers.Delete(Set.of(BELL)));
    assertThat(workspace.selection().layers()).containsExactly(BOB);
    workspace.selectionProperty().set(Selection.editing(BOB, 3, 12));
    workspace.apply(EditText.plain(BOB, new TextRange(2, 12), ""));
    assertThat(workspace.selection().cursor().orElseThrow().range()).isEqualTo(TextRange.caret(2));
    workspace.apply(new ArrangeLayers.Delete(Set.of(BOB)));
    assertThat(workspace.selection().isEmpty()).isTrue();
  }

  @Test
  void editsOfOneGestureAreOneStep() {
    Target target = Target.Layers.of("label-6-title");
    for (double value = 1; value < 20; value++) {
      workspace.apply(
          SetValues.of(target, Properties.TRACKING.key(), value), Optional.of("nudging"));
    }
    workspace.endGesture();
    workspace.apply(SetValues.of(target, Properties.TRACKING.key(), 50.0), Optional.of("nudging"));
    workspace.undo();
    assertThat(workspace.project().layer(BELL).orElseThrow().local().get(Properties.TRACKING.key()))
        .contains(19.0);
    workspace.undo();
    assertThat(workspace.project()).isEqualTo(demo);
  }

  @Test
  void anotherProjectBeginsAfresh() {
    workspace.select(List.of(BELL));
    workspace.attempts().openDesk(TAG);
    Project other = Project.empty("Other");
    workspace.open(other, Optional.of(Path.of("other.dmorph")));
    assertThat(workspace.selection().isEmpty()).isTrue();
    assertThat(workspace.attempts().present().desk()).isEmpty();
    assertThat(workspace.historyProperty().get().isSaved()).isTrue();
    assertThat(workspace.shownProperty().get()).isSameAs(other);
    assertThat(workspace.fileProperty().get()).contains(Path.of("other.dmorph"));
    assertThat(workspace.openedProperty().get()).isEqualTo(1);
  }

  @Test
  void savingMarksThatStateOnly() {
    workspace.apply(new ArrangeLayers.Rename(BELL, "Bell"));
    Project saved = workspace.project();
    workspace.apply(new ArrangeLayers.Rename(BELL, "Bells"));
    workspace.saved(saved, Path.of("x.dmorph"));
    assertThat(workspace.historyProperty().get().isSaved()).isFalse();
    workspace.undo();
    assertThat(workspace.historyProperty().get().isSaved()).isTrue();
  }

  @Test
  void selectionsAreToggledAndJoined() {
    Selection one = Selection.of(List.of(BELL));
    assertThat(one.toggled(BOB).layers()).containsExactly(BELL, BOB);
    assertThat(one.toggled(BELL).isEmpty()).isTrue();
    assertThat(one.with(List.of(BOB, BELL)).layers()).containsExactly(BELL, BOB);
    assertThat(one.target()).isEqualTo(Target.Layers.of("label-6-title"));
    assertThat(Selection.editing(BELL, 5, 2).target())
        .isEqualTo(new Target.Words(BELL, new TextRange(2, 5)));
  }
}
