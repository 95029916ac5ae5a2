package dynamorph.formats.project;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiPredicate;

/**
 * How one list becomes another: runs of items that others take the place of.
 *
 * @param runs by place, none touching another
 */
record ListDifference<T>(List<Run<T>> runs) {
  /**
   * A run of items that changed.
   *
   * @param at index of its first item in the list before
   * @param removed how many items of the list before are gone
   * @param added what stands there now
   */
  record Run<T>(int at, int removed, List<T> added) {}

  /**
   * The difference of two lists. What stands unchanged before and behind all changes is left out,
   * and so is what lies between changes of single items.
   */
  static <T> ListDifference<T> of(List<T> before, List<T> after, BiPredicate<T, T> same) {
    List<T> from = new ArrayList<>(before);
    List<T> to = new ArrayList<>(after);
    int most = Math.min(from.size(), to.size());
    int head = 0;
    while (head < most && same.test(from.get(head), to.get(head))) {
      head++;
    }
    int tail = 0;
    while (tail < most - head
        && same.test(from.get(from.size() - 1 - tail), to.get(to.size() - 1 - tail))) {
      tail++;
    }
    int gone = from.size() - head - tail;
    int come = to.size() - head - tail;
    if (gone != come) {
      return new ListDifference<>(
          List.of(new Run<>(head, gone, List.copyOf(to.subList(head, head + come)))));
    }
    return new ListDifference<>(changes(from, to, head, head + gone, same));
  }

  private static <T> List<Run<T>> changes(
      List<T> from, List<T> to, int first, int end, BiPredicate<T, T> same) {
    List<Run<T>> runs = new ArrayList<>();
    int start = first;
    while (start < end) {
      int next = start;
      while (next < end && !same.test(from.get(next), to.get(next))) {
        next++;
      }
      if (next > start) {
        runs.add(new Run<>(start, next - start, List.copyOf(to.subList(start, next))));
      }
      start = next + 1;
    }
    return runs;
  }

  /**
   * The list after, out of the list before.
   *
   * @throws IllegalArgumentException if that list is not the one that the difference was made from
   */
  List<T> applyTo(List<T> before) {
    List<T> from = new ArrayList<>(before);
    List<T> after = new ArrayList<>();
    int taken = 0;
    for (Run<T> run : runs) {
      // as long numbers, since sums of hostile ones leave the range of whole ones
      if (run.at < taken || run.removed < 0 || (long) run.at + run.removed > from.size()) {
        throw new IllegalArgumentException(run.at + " + " + run.removed + " / " + from.size());
      }
      after.addAll(from.subList(taken, run.at));
      after.addAll(run.added);
      taken = run.at + run.removed;
    }
    after.addAll(from.subList(taken, from.size()));
    return after;
  }

  boolean isEmpty() {
    return runs.isEmpty();
  }
}
