package dynamorph.app.styles.column;

import static java.util.Objects.requireNonNull;

import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** The order of the column: by group, with derived styles tucked under what they are based on. */
final class StyleOrder {
  /** A style and how deep it is tucked in. */
  record Entry(Style style, int depth) {}

  private StyleOrder() {}

  /**
   * Groups in the order of their first style; a style whose base is not wanted or in another group
   * stands by itself.
   *
   * @param sort the order within a group and under a base; empty for that of the project
   */
  static Map<String, List<Entry>> of(
      StyleBook styles, Predicate<Style> wanted, Optional<Comparator<Style>> sort) {
    Set<String> groupOrder = new java.util.LinkedHashSet<>();
    List<Style> shown = new ArrayList<>();
    styles.stream()
        .filter(wanted)
        .forEach(style -> {
          groupOrder.add(style.group());
          shown.add(style);
        });
    sort.ifPresent(shown::sort);
    Set<StyleId> ids = new HashSet<>();
    shown.forEach(style -> ids.add(style.id()));
    Map<String, List<Entry>> groups = new LinkedHashMap<>();
    groupOrder.forEach(group -> groups.put(group, new ArrayList<>()));
    for (Style style : shown) {
      boolean tucked =
          style
              .basedOn()
              .flatMap(styles::find)
              .filter(base -> ids.contains(base.id()) && base.group().equals(style.group()))
              .isPresent();
      if (!tucked) {
        add(requireNonNull(groups.get(style.group())), style, 0, shown);
      }
    }
    return groups;
  }

  private static void add(List<Entry> entries, Style style, int depth, List<Style> shown) {
    entries.add(new Entry(style, depth));
    shown.stream()
        .filter(other -> other.basedOn().filter(style.id()::equals).isPresent())
        .filter(other -> other.group().equals(style.group()))
        .forEach(derived -> add(entries, derived, depth + 1, shown));
  }
}
