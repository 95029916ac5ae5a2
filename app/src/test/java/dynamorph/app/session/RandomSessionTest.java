package dynamorph.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.IdSource;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Level;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.timeline.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Anything in any order, against a simple model: a list of states with a place in it. {@code
 * -Dsession.actions=100000} for a long run.
 */
class RandomSessionTest {
  private static final int ACTIONS = Integer.getInteger("session.actions", 1_500);

  private SplittableRandom random;
  private RandomProjects values;
  private Workspace workspace;

  /** The states that undo and redo go through, and which of them is the present one. */
  private final List<Project> states = new ArrayList<>();

  private int at;

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void everyStepIsUndoneAndDoneAgain(long seed) {
    random = new SplittableRandom(seed);
    values = new RandomProjects(seed);
    Project first = new RandomProjects(seed).project();
    workspace = new Workspace(IdSource.random(RandomGenerator.of("L64X128MixRandom")), first);
    states.add(first);
    for (int action = 0; action < ACTIONS; action++) {
      String done = act();
      follow(done);
      check(done);
    }
    workspace.attempts().discardPending();
    if (workspace.attempts().present().isPending()) {
      workspace.attempts().discardPending();
    }
    settle();
    while (workspace.historyProperty().get().canUndo()) {
      workspace.undo();
      assertThat(workspace.project()).isSameAs(states.get(--at));
    }
    assertThat(at).isZero();
    while (workspace.historyProperty().get().canRedo()) {
      workspace.redo();
      assertThat(workspace.project()).isSameAs(states.get(++at));
    }
    assertThat(at).isEqualTo(states.size() - 1);
  }

  private void settle() {
    for (int tries = 0; tries < 3 && workspace.attempts().present().isPending(); tries++) {
      workspace.attempts().discardPending();
    }
    workspace.endGesture();
  }

  /** Brings the model to where the session is, by what an action may do. */
  private void follow(String done) {
    Project now = workspace.project();
    if (now == states.get(at)) {
      return;
    }
    switch (done) {
      case "undo" -> assertThat(now).as(done).isSameAs(states.get(--at));
      case "redo" -> assertThat(now).as(done).isSameAs(states.get(++at));
      default -> {
        states.subList(at + 1, states.size()).clear();
        if (workspace.historyProperty().get().past().size() > at) {
          states.add(now);
          at++;
        } else {
          // part of the gesture before
          states.set(at, now);
        }
      }
    }
  }

  private void check(String done) {
    var history = workspace.historyProperty().get();
    assertThat(history.past()).as(done).hasSize(at);
    assertThat(history.future()).as(done).hasSize(states.size() - 1 - at);
    assertThat(workspace.selection().layers())
        .as(done)
        .allMatch(id -> workspace.project().layer(id).isPresent());
    assertThat(workspace.shownProperty().get().artboards()).as(done).isNotEmpty();
    if (!workspace.attempts().present().isPending() && done.equals("end preview")) {
      assertThat(workspace.shownProperty().get()).as(done).isSameAs(workspace.project());
    }
  }

  private String act() {
    Attempts attempts = workspace.attempts();
    switch (random.nextInt(24)) {
      case 0, 1, 2 -> {
        workspace.undo();
        return "undo";
      }
      case 3 -> {
        workspace.redo();
        return "redo";
      }
      case 4, 5 -> select();
      case 6 -> workspace.following().put(style(), random.nextBoolean(), random.nextBoolean());
      case 7 -> set(Optional.empty());
      case 8 -> set(Optional.of("drag " + random.nextInt(2)));
      case 9 -> workspace.endGesture();
      case 10 -> attempts.openDesk(style());
      case 11, 12 -> attempts.present().desk().ifPresent(desk -> draft(desk.draft()));
      case 13 -> attempts.commitPending();
      case 14 -> attempts.discardPending();
      case 15 -> attempts.openDeletion(StyleDeletion.delete(List.of(style())));
      case 16 ->
          workspace.project().palette().swatches().stream()
              .map(Swatch::id)
              .findFirst()
              .ifPresent(attempts::openSwatch);
      case 17 -> {
        attempts.openKeeping();
        attempts.closeKeeping();
      }
      case 18 -> workspace.deviations().drop();
      case 19 -> workspace.deviations().saveIntoStyle();
      case 20 -> workspace.previewFollowing(style());
      case 21 -> {
        workspace.endPreview();
        return "end preview";
      }
      case 22 -> {
        workspace.playback().open();
        workspace.playback().seek(Time.ofMillis(random.nextInt(5000)));
      }
      default -> {
        workspace.playback().close();
        workspace.deviations().deriveStyle();
      }
    }
    return "other";
  }

  private void select() {
    List<LayerId> layers =
        workspace.project().layers().map(Layer::id).filter(_ -> random.nextInt(4) == 0).toList();
    workspace.select(layers);
  }

  private StyleId style() {
    List<Style> styles = workspace.project().styles().list();
    return styles.get(random.nextInt(styles.size())).id();
  }

  private void set(Optional<Object> gesture) {
    List<LayerId> layers = List.copyOf(workspace.selection().layers());
    if (!layers.isEmpty()) {
      Edit edit = SetValues.of(new Target.Layers(layers), some(Level.LAYER));
      workspace.apply(edit, gesture);
    }
  }

  private PropertySet some(Level level) {
    return values.values(3, level).where(key -> key.property().facet() != Facet.PLACEMENT);
  }

  private void draft(Style draft) {
    workspace
        .attempts()
        .draft(
            draft.withProperties(draft.properties().overlaidBy(some(Level.LAYER))),
            random.nextBoolean() ? Optional.of("slider") : Optional.empty());
  }
}
