package dynamorph.app.styles;

import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
   */
  static Map<String, List<Entry>> of(StyleBook styles, Predicate<Style> wanted) {
    List<Style> shown = styles.stream().filter(wanted).toList();
    Set<StyleId> ids = new HashSet<>();
    shown.forEach(style -> ids.add(style.id()));
    Map<String, List<Entry>> groups = new LinkedHashMap<>();
    for (Style style : shown) {
      boolean tucked =
          style
              .basedOn()
              .flatMap(styles::find)
              .filter(base -> ids.contains(base.id()) && base.group().equals(style.group()))
              .isPresent();
      if (!tucked) {
        add(groups.computeIfAbsent(style.group(), _ -> new ArrayList<>()), style, 0, shown);
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
