package dynamorph.model.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.style.Follow;
import dynamorph.model.property.Properties;
import dynamorph.model.style.StyleId;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Steps, gestures, and what counts as saved. */
class HistoryTest {
  private static final Target.Layers ONE = Target.Layers.of("one");
  private static final Optional<Object> DRAG = Optional.of("drag");
  private final Project project =
      Project.empty("P")
          .plus(
              Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                  .plus(Layer.of("one", "One", "x")));
  private final History opened = History.opened(project);

  private static Edit tracked(double tracking) {
    return SetValues.of(ONE, Properties.TRACKING.key(), tracking);
  }

  @Test
  void stepsOfOneGestureAreUndoneTogether() {
    History dragged =
        opened.apply(tracked(1), DRAG).apply(tracked(2), DRAG).apply(tracked(3), DRAG);
    assertThat(dragged.past()).hasSize(1);
    assertThat(dragged.undo().present()).isEqualTo(project);
    assertThat(dragged.undo().redo().present()).isEqualTo(dragged.present());
  }

  @Test
  void anotherGestureASealAndAnUndoEndOne() {
    History one = opened.apply(tracked(1), DRAG);
    assertThat(one.apply(tracked(2), Optional.of("other")).past()).hasSize(2);
    assertThat(one.apply(tracked(2)).past()).hasSize(2);
    assertThat(one.sealed().apply(tracked(2), DRAG).past()).hasSize(2);
    History undone = one.apply(tracked(2), Optional.of("other")).undo();
    assertThat(undone.apply(tracked(4), DRAG).past())
        .as("not merged into what is before")
        .hasSize(2);
  }

  @Test
  void whatChangesNothingIsNoStep() {
    History one = opened.apply(tracked(1));
    assertThat(one.apply(tracked(1))).isSameAs(one);
    assertThat(one.undo().apply(DropLocal.all(ONE)).canRedo())
        .as("nor does it lose what could be done again")
        .isTrue();
  }

  @Test
  void aNewStepLosesWhatWasUndone() {
    History branched = opened.apply(tracked(1)).apply(tracked(2)).undo().apply(tracked(9));
    assertThat(branched.canRedo()).isFalse();
    assertThat(branched.past()).hasSize(2);
  }

  @Test
  void stepsAreNamedBothWays() {
    History one =
        opened.apply(tracked(1)).apply(new ArrangeLayers.Rename(new LayerId("one"), "Two"));
    String renamed = one.undoLabel().orElseThrow();
    assertThat(one.undo().redoLabel()).contains(renamed);
    assertThat(one.undo().undoLabel()).isPresent().isNotEqualTo(Optional.of(renamed));
    assertThat(opened.undoLabel()).isEmpty();
    assertThat(opened.undo()).isSameAs(opened);
    assertThat(opened.redo()).isSameAs(opened);
  }

  @Test
  void aRefusedEditLeavesTheHistory() {
    History one = opened.apply(tracked(1));
    assertThatThrownBy(() -> one.apply(Follow.replacing(ONE, new StyleId("gone"))))
        .isInstanceOf(EditRefused.class);
    assertThat(one.undo().present()).isEqualTo(project);
  }

  @Test
  void savedIsWhereTheFileWasWrittenUntilOneComesBackToIt() {
    History changed = opened.apply(tracked(1));
    assertThat(opened.isSaved()).isTrue();
    assertThat(changed.isSaved()).isFalse();
    assertThat(changed.undo().isSaved()).isTrue();
    History saved = changed.savedAs(changed.present());
    assertThat(saved.isSaved()).isTrue();
    assertThat(saved.undo().isSaved()).isFalse();
    assertThat(saved.undo().redo().isSaved()).isTrue();
    assertThat(History.unsaved(project).isSaved()).isFalse();
  }
}
