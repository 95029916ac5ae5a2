package dynamorph.shelf.order;

import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.survey.StyleSimilarity;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Looks of a shelf that are the same or nearly so.
 *
 * @param looks two or more
 * @param differences what differs slightly between some of them; empty if nothing does
 */
public record NearLooks(List<Kept.OfStyle> looks, List<PropertyKey<?>> differences) {
  public NearLooks {
    looks = List.copyOf(looks);
    differences = List.copyOf(differences);
  }

  /** What is compared: looks of one level in one family, as others are never nearly the same. */
  private record Kind(Object level, String family) {}

  /** All groups of such looks, as the shelf has them in order. */
  public static List<NearLooks> in(Shelf shelf) {
    Project drawn = shelf.asProject();
    Cascade cascade = Cascade.of(drawn);
    Map<Kind, List<Kept.OfStyle>> kinds = new LinkedHashMap<>();
    for (Kept.OfStyle look : shelf.styles()) {
      PropertySet values =
          drawn.styles().find(look.style().id()).map(cascade::values).orElse(PropertySet.EMPTY);
      String family = values.get(Properties.FONT_FAMILY.key()).orElse("");
      kinds
          .computeIfAbsent(new Kind(look.style().level(), family), _ -> new ArrayList<>())
          .add(look);
    }
    List<NearLooks> near = new ArrayList<>();
    kinds.values().stream()
        .filter(kind -> kind.size() > 1)
        .forEach(kind -> near.addAll(of(drawn, kind)));
    return near;
  }

  private static Collection<NearLooks> of(Project drawn, List<Kept.OfStyle> kind) {
    Map<StyleId, Kept.OfStyle> looks = new LinkedHashMap<>();
    Set<Style> needed = new LinkedHashSet<>();
    for (Kept.OfStyle look : kind) {
      looks.put(look.style().id(), look);
      needed.addAll(drawn.styles().chain(look.style().id()));
    }
    Project some = drawn.withStyles(StyleBook.of(needed));
    Map<StyleId, Set<StyleId>> groups = new LinkedHashMap<>();
    Map<StyleId, Set<PropertyKey<?>>> differing = new LinkedHashMap<>();
    for (StyleId id : looks.keySet()) {
      Style style = some.styles().get(id);
      for (StyleSimilarity.Alike alike : StyleSimilarity.of(some, style)) {
        if (looks.containsKey(alike.style().id())) {
          join(groups, id, alike.style().id());
          differing.computeIfAbsent(id, _ -> new LinkedHashSet<>()).addAll(alike.differences());
        }
      }
    }
    List<NearLooks> near = new ArrayList<>();
    for (Set<StyleId> group : new LinkedHashSet<>(groups.values())) {
      Set<PropertyKey<?>> keys = new LinkedHashSet<>();
      group.forEach(id -> keys.addAll(differing.getOrDefault(id, Set.of())));
      near.add(
          new NearLooks(
              looks.entrySet().stream()
                  .filter(each -> group.contains(each.getKey()))
                  .map(Map.Entry::getValue)
                  .toList(),
              List.copyOf(keys)));
    }
    return near;
  }

  private static void join(Map<StyleId, Set<StyleId>> groups, StyleId one, StyleId other) {
    Set<StyleId> joined = new LinkedHashSet<>(List.of(one, other));
    joined.addAll(groups.getOrDefault(one, Set.of()));
    joined.addAll(groups.getOrDefault(other, Set.of()));
    joined.forEach(id -> groups.put(id, joined));
  }
}
