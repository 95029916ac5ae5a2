package dynamorph.app.tour;

import dynamorph.app.session.Desk;
import dynamorph.app.tour.TourStep.Moment;
import dynamorph.model.style.StyleId;
import java.util.Optional;

/**
 * How far somebody is on the tour.
 *
 * @param at how many steps are done
 * @param begin how things stood when the step began
 * @param style that was kept, or opened, on the way
 */
record Tour(int at, Moment begin, Optional<StyleId> style) {
  static final int STEPS = TourStep.values().length;

  static Tour from(Moment begin) {
    return new Tour(0, begin, Optional.empty());
  }

  boolean isDone() {
    return at >= STEPS;
  }

  /** What is to be done; nothing once all is. */
  Optional<TourStep> step() {
    return isDone() ? Optional.empty() : Optional.of(TourStep.values()[at]);
  }

  /** The tour after something happened. */
  Tour seeing(Moment now) {
    Optional<TourStep> step = step();
    if (step.isEmpty()) {
      return this;
    }
    if (step.get().isDone(begin, now, style)) {
      return new Tour(at + 1, now, named(step.get(), now));
    }
    if (at > TourStep.KEEP.ordinal() && now.style(style).isEmpty()) {
      // what was kept was undone or deleted
      return new Tour(TourStep.KEEP.ordinal(), now, Optional.empty());
    }
    boolean left = at > TourStep.EDIT.ordinal() && now.desk().isEmpty();
    // who discards what was tried opens the style again
    return left ? new Tour(TourStep.EDIT.ordinal(), now, style) : this;
  }

  private Optional<StyleId> named(TourStep step, Moment now) {
    return switch (step) {
      case KEEP -> now.newStyle(begin);
      case EDIT -> now.desk().map(Desk::original).map(original -> original.id());
      default -> style;
    };
  }
}
