package dynamorph.formats.journal;

import dynamorph.model.Project;
import dynamorph.model.edit.History;
import dynamorph.model.style.Style;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.pcollections.ConsPStack;
import org.pcollections.PStack;

/**
 * All that would be lost: a project with its history, its file, and the style on the desk.
 *
 * @param draft the style on the desk as it is edited, if it differs from the project's
 */
public record Moment(History history, Optional<Path> file, Optional<Style> draft) {
  /**
   * A state of a history.
   *
   * @param label what led to it; empty for the first
   */
  record State(String label, Project project) {}

  /** Every state, first to last, those that were undone too. */
  List<State> states() {
    List<History.Step> past = new ArrayList<>(history.past()).reversed();
    List<State> states = new ArrayList<>();
    String label = "";
    for (History.Step step : past) {
      states.add(new State(label, step.other()));
      label = step.label();
    }
    states.add(new State(label, history.present()));
    for (History.Step step : history.future()) {
      states.add(new State(step.label(), step.other()));
    }
    return states;
  }

  /** Whether anything of it is in no file. */
  public boolean isUnsaved() {
    boolean untouched = history.past().isEmpty() && history.future().isEmpty();
    return draft.isPresent() || (!untouched && !history.isSaved());
  }

  /** Whether nothing has changed since; states are compared by what they are, not by what is in. */
  boolean isSame(Moment earlier) {
    return earlier.history == history && earlier.file.equals(file) && earlier.draft.equals(draft);
  }

  /** The index of the present state. */
  int at() {
    return history.past().size();
  }

  /**
   * A history out of its states.
   *
   * @param at index of the present one
   * @param saved the one on disk, if any
   */
  static History history(List<State> states, int at, Optional<Project> saved) {
    PStack<History.Step> past = ConsPStack.empty();
    for (int index = 0; index < at; index++) {
      past = past.plus(step(states.get(index + 1).label(), states.get(index)));
    }
    PStack<History.Step> future = ConsPStack.empty();
    for (int index = states.size() - 1; index > at; index--) {
      future = future.plus(step(states.get(index).label(), states.get(index)));
    }
    return new History(states.get(at).project(), past, future, saved);
  }

  private static History.Step step(String label, State other) {
    return new History.Step(label, other.project(), Optional.empty());
  }
}
