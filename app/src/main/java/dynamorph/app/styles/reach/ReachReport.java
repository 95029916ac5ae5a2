package dynamorph.app.styles.reach;

import dynamorph.model.LayerId;
import dynamorph.paint.reach.Problem;
import dynamorph.paint.reach.ReachedText;
import java.util.List;
import java.util.function.Predicate;

/**
 * What a style or a pending change reaches, as far as it has been looked at.
 *
 * @param title the style, or what is about to be done
 * @param comparing whether there is a change, so that before and after are shown
 * @param lookedAt how many of the entries have been painted and looked at
 */
public record ReachReport(
    String title, boolean comparing, List<Entry> entries, int lookedAt, int total) {
  public ReachReport {
    entries = List.copyOf(entries);
  }

  /**
   * One text.
   *
   * @param local how many local changes it has
   * @param heldBack whether the change leaves it out
   */
  public record Entry(ReachedText text, int local, boolean heldBack) {
    public LayerId id() {
      return text.id();
    }

    /** Whether it is a further box of a text, which is one with its first. */
    public boolean isFurtherBox() {
      return !text.after().text().text().equals(id());
    }

    /** Whether it is overset, new or not. */
    public boolean isOverset() {
      return text.has(Problem.Kind.OVERSET);
    }

    /** Another count of lines alone is worth telling, but nothing is wrong with it. */
    public boolean isTroubled() {
      return text.problems().stream().anyMatch(problem -> problem.kind() != Problem.Kind.LINES);
    }
  }

  public long count(Predicate<Entry> which) {
    return entries.stream().filter(which).count();
  }

  /** How many would have a problem of this kind that they do not have now. */
  public long newly(Problem.Kind kind) {
    return count(entry ->
        !entry.heldBack()
            && entry.text().problems().stream()
                .anyMatch(problem -> problem.kind() == kind && problem.isNew()));
  }

  public boolean isComplete() {
    return lookedAt == total;
  }
}
