package dynamorph.paint.reach;

import dynamorph.model.LayerId;
import dynamorph.paint.scene.Scene;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A text that a change reaches.
 *
 * @param before as it was, if it was there
 * @param after as it would be
 * @param problems worst first, new ones before old
 * @param change how much of it is seen to change: 0 for nothing to 1 for all
 */
public record ReachedText(
    Optional<Scene.Found> before, Scene.Found after, List<Problem> problems, double change) {
  /** New problems first, then old ones, then those that change most. */
  public static final Comparator<ReachedText> MOST_URGENT =
      Comparator.comparingInt(ReachedText::urgency)
          .thenComparing(Comparator.comparingDouble(ReachedText::change).reversed());

  public ReachedText {
    problems = List.copyOf(problems);
  }

  public LayerId id() {
    return after.text().layer().id();
  }

  public boolean has(Problem.Kind kind) {
    return problems.stream().anyMatch(problem -> problem.kind() == kind);
  }

  public boolean hasNewProblem() {
    return problems.stream().anyMatch(Problem::isNew);
  }

  private int urgency() {
    return problems.isEmpty()
        ? Integer.MAX_VALUE
        : problems.stream()
            .mapToInt(problem ->
                problem.kind().ordinal() + (problem.isNew() ? 0 : Problem.Kind.values().length))
            .min()
            .orElseThrow();
  }
}
