package dynamorph.formats.svg;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** Counts what of a drawing does not come along. */
final class Told {
  private final Map<NotDrawn, Integer> counts = new EnumMap<>(NotDrawn.class);

  void add(NotDrawn what) {
    counts.merge(what, 1, Integer::sum);
  }

  /** What people are told, a line each. */
  List<String> lines() {
    return counts.entrySet().stream().map(one -> one.getKey().told(one.getValue())).toList();
  }
}
