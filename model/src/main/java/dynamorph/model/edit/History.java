package dynamorph.model.edit;

import dynamorph.model.Project;
import java.util.Optional;
import org.pcollections.ConsPStack;
import org.pcollections.PStack;

/**
 * A project with all its earlier and undone states; unlimited, since states share what did not
 * change.
 *
 * @param past steps that can be undone, latest first
 * @param future steps that can be done again, next first
 * @param saved the state that lies on disk, if any
 */
public record History(
    Project present, PStack<Step> past, PStack<Step> future, Optional<Project> saved) {
  /**
   * A step between two states.
   *
   * @param other the state on its far side
   * @param gesture steps of one gesture (a drag, typing in one place) are merged; empty for a step
   *     of its own
   */
  public record Step(String label, Project other, Optional<Object> gesture) {}

  /** A fresh history of a project that lies on disk. */
  public static History opened(Project project) {
    return new History(project, ConsPStack.empty(), ConsPStack.empty(), Optional.of(project));
  }

  /** A fresh history of a project that was never saved. */
  public static History unsaved(Project project) {
    return new History(project, ConsPStack.empty(), ConsPStack.empty(), Optional.empty());
  }

  public History apply(Edit edit) {
    return apply(edit, Optional.empty());
  }

  /**
   * Applies an edit as a step, or as part of the latest step if that belongs to the same gesture.
   *
   * @throws EditRefused if the edit makes no sense; this history is not touched
   */
  public History apply(Edit edit, Optional<Object> gesture) {
    Project after = edit.applyTo(present);
    if (after == present || after.equals(present)) {
      return this;
    }
    boolean merges =
        gesture.isPresent()
            && !past.isEmpty()
            && past.get(0).gesture().equals(gesture)
            && future.isEmpty();
    PStack<Step> steps = merges ? past : past.plus(new Step(edit.label(present), present, gesture));
    return new History(after, steps, ConsPStack.empty(), saved);
  }

  public boolean canUndo() {
    return !past.isEmpty();
  }

  public boolean canRedo() {
    return !future.isEmpty();
  }

  /** The state before the latest step; itself if there is none. */
  public History undo() {
    if (past.isEmpty()) {
      return this;
    }
    Step step = past.get(0);
    return new History(
        step.other(),
        past.minus(0),
        future.plus(new Step(step.label(), present, Optional.empty())),
        saved);
  }

  /** The state that was last undone; itself if there is none. */
  public History redo() {
    if (future.isEmpty()) {
      return this;
    }
    Step step = future.get(0);
    return new History(
        step.other(),
        past.plus(new Step(step.label(), present, Optional.empty())),
        future.minus(0),
        saved);
  }

  /** The state so many steps on, or back below zero; as far as there are any. */
  public History moved(int steps) {
    History history = this;
    for (int step = 0; step < Math.abs(steps); step++) {
      history = steps < 0 ? history.undo() : history.redo();
    }
    return history;
  }

  /** The name of the step that undo takes back. */
  public Optional<String> undoLabel() {
    return past.stream().findFirst().map(Step::label);
  }

  /** The name of the step that redo does again. */
  public Optional<String> redoLabel() {
    return future.stream().findFirst().map(Step::label);
  }

  /** Marks a state as the one on disk. */
  public History savedAs(Project onDisk) {
    return new History(present, past, future, Optional.of(onDisk));
  }

  /** Ends a gesture, so that the next edit is a step of its own. */
  public History sealed() {
    if (past.isEmpty() || past.get(0).gesture().isEmpty()) {
      return this;
    }
    Step latest = past.get(0);
    return new History(
        present,
        past.minus(0).plus(new Step(latest.label(), latest.other(), Optional.empty())),
        future,
        saved);
  }

  public boolean isSaved() {
    return saved.filter(project -> project == present).isPresent();
  }
}
