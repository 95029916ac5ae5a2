package dynamorph.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.demo.LongHour;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.text.TextRange;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What is selected, and what becomes of it when the project changes under it. */
class SelectionTest {
  private static final LayerId BELL = new LayerId("label-6-title");
  private static final LayerId BOB = new LayerId("label-5-title");
  private static final LayerId OPEN = new LayerId("web-open");
  private final Project demo = LongHour.project();

  @Test
  void layersKeepTheOrderInWhichTheyWereChosen() {
    Selection selection = Selection.of(List.of(BOB, BELL)).with(List.of(OPEN, BOB));
    assertThat(selection.layers()).containsExactly(BOB, BELL, OPEN);
    assertThat(selection.toggled(BOB).layers()).containsExactly(BELL, OPEN);
    assertThat(selection.toggled(BOB).toggled(BOB).layers()).containsExactly(BELL, OPEN, BOB);
    assertThatThrownBy(() -> selection.layers().clear())
        .isInstanceOf(UnsupportedOperationException.class);
  }

  @Test
  void theTargetIsTheLayersOrTheWords() {
    assertThat(Selection.of(List.of(BOB)).target()).isEqualTo(new Target.Layers(List.of(BOB)));
    assertThat(Selection.editing(BELL, 4, 1).target())
        .as("whichever way they were selected")
        .isEqualTo(new Target.Words(BELL, new TextRange(1, 4)));
  }

  @Test
  void whatIsGoneIsNoLongerSelected() {
    Project without = new ArrangeLayers.Delete(Set.of(BOB)).applyTo(demo);
    assertThat(Selection.of(List.of(BOB, BELL)).within(without).layers()).containsExactly(BELL);
    assertThat(Selection.editing(BOB, 0, 2).within(without)).isEqualTo(Selection.NONE);
    Selection untouched = Selection.of(List.of(BELL));
    assertThat(untouched.within(without)).isSameAs(untouched);
  }

  @Test
  void aCaretStaysWithinItsText() {
    int length = demo.layer(BELL).orElseThrow().story().length();
    Selection atEnd = Selection.editing(BELL, 0, length);
    assertThat(atEnd.within(demo)).isSameAs(atEnd);
    Project shorter = EditText.plain(BELL, new TextRange(2, length), "").applyTo(demo);
    Selection.Cursor cursor = atEnd.within(shorter).cursor().orElseThrow();
    assertThat(cursor.anchor()).isZero();
    assertThat(cursor.caret()).isEqualTo(2);
    assertThat(cursor.trailing()).isFalse();
  }

  @Test
  void choosingLayersEndsEditing() {
    Selection editing = Selection.editing(BELL, 1, 1);
    assertThat(editing.layers()).containsExactly(BELL);
    assertThat(editing.toggled(BOB).cursor()).isEmpty();
    assertThat(editing.with(List.of(BOB)).cursor()).isEqualTo(Optional.empty());
    assertThat(editing.contains(BELL)).isTrue();
    assertThat(Selection.NONE.isEmpty()).isTrue();
  }
}
