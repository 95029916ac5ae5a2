package dynamorph.model.survey;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleBiFunction;

/** Gathers things that are nearly the same around those that are used most. */
final class Gathered {
  private Gathered() {}

  /**
   * The others by the one that they are nearest to.
   *
   * @param mostUsedFirst all of them
   * @param limit distance of what is nearly the same
   * @return those that stay, in order, each with what is nearly the same as it and goes
   */
  static <T> Map<T, List<T>> around(
      List<T> mostUsedFirst, ToDoubleBiFunction<T, T> distance, double limit) {
    Map<T, List<T>> gathered = new LinkedHashMap<>();
    List<T> others = new ArrayList<>();
    for (T one : mostUsedFirst) {
      boolean near =
          gathered.keySet().stream().anyMatch(stays -> distance.applyAsDouble(stays, one) <= limit);
      if (near) {
        others.add(one);
      } else {
        gathered.put(one, new ArrayList<>());
      }
    }
    for (T other : others) {
      Optional<T> nearest =
          gathered.keySet().stream()
              .min(Comparator.comparingDouble(stays -> distance.applyAsDouble(stays, other)));
      nearest.ifPresent(stays -> gathered.getOrDefault(stays, new ArrayList<>()).add(other));
    }
    return gathered;
  }
}
