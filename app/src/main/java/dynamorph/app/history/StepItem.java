package dynamorph.app.history;

import dynamorph.app.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.edit.History;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A state of the project that can be gone to.
 *
 * @param label of the step that made it
 * @param steps from the present one, back below zero
 * @param state the project as it was or will be
 * @param before the state before it; none for the oldest
 * @param saved whether it lies in the file
 */
record StepItem(String label, int steps, Project state, Optional<Project> before, boolean saved) {
  /** All states, the latest first. */
  static List<StepItem> of(History history) {
    List<String> labels = new ArrayList<>();
    List<Project> states = new ArrayList<>();
    history
        .past()
        .reversed()
        .forEach(step -> {
          states.add(step.other());
          labels.add(step.label());
        });
    int present = states.size();
    states.add(history.present());
    history
        .future()
        .forEach(step -> {
          states.add(step.other());
          labels.add(step.label());
        });
    List<StepItem> items = new ArrayList<>();
    for (int index = states.size() - 1; index >= 0; index--) {
      Project state = states.get(index);
      items.add(
          new StepItem(
              index == 0 ? Messages.of("steps-pane.as-opened") : labels.get(index - 1),
              index - present,
              state,
              index == 0 ? Optional.empty() : Optional.of(states.get(index - 1)),
              history.saved().filter(saved -> saved == state).isPresent()));
    }
    return items;
  }

  boolean isPresent() {
    return steps == 0;
  }

  /** The artboards that the step changed; none if it changed styles or what else is everywhere. */
  List<Artboard> changed() {
    return before.stream()
        .flatMap(was ->
            state.artboards().stream()
                .filter(board -> was.artboard(board.id()).filter(old -> old == board).isEmpty()))
        .toList();
  }

  /** What a picture shows of it. */
  Optional<Artboard> shown() {
    return changed().stream()
        .findFirst()
        .or(() -> state.still().findFirst())
        .or(() -> state.artboards().stream().findFirst());
  }
}
