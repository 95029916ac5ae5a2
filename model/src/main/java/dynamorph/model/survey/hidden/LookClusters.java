package dynamorph.model.survey.hidden;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * Gathers pieces of text whose looks are near each other. The look with the most texts near it is
 * taken as a centre with all of them, then the next of those left, and so on. No step asks where a
 * text stands, so that the order of layers plays no part.
 */
final class LookClusters {
  /** In one look: what it is, and who has it. */
  private static final class Seen {
    private final PropertySet look;
    private final double[] at;
    private final List<TextPiece> pieces = new ArrayList<>();
    private int near;

    Seen(PropertySet look, double[] at) {
      this.look = look;
      this.at = at;
    }

    /** The size, by which looks are swept through; of those that set none, 0. */
    double size() {
      return look.get(SIZE).map(size -> size.over(0)).orElse(0.0);
    }
  }

  private static final PropertyKey<FontSize> SIZE = Properties.SIZE.key();

  /**
   * Pieces that look alike.
   *
   * @param centre the look that they are taken to mean
   * @param followed what they all follow at their level already
   */
  record Cluster(
      StyleLevel level, List<StyleId> followed, PropertySet centre, List<TextPiece> pieces) {}

  private record Kind(StyleLevel level, List<StyleId> followed, Object category) {}

  private final Function<Colour, Rgba> painted;
  private final Tolerance tolerance;

  private LookClusters(Function<Colour, Rgba> painted, Tolerance tolerance) {
    this.painted = painted;
    this.tolerance = tolerance;
  }

  /**
   * All clusters, in no order that means anything.
   *
   * @param painted the colour that a colour is painted with
   */
  static List<Cluster> of(
      Collection<TextPiece> pieces, Function<Colour, Rgba> painted, Tolerance tolerance) {
    Map<PropertySet, Object> categories = new HashMap<>();
    Map<Kind, Map<PropertySet, List<TextPiece>>> kinds = new HashMap<>();
    for (TextPiece piece : pieces) {
      Object category = categories.computeIfAbsent(piece.look(), LookSpace::category);
      kinds
          .computeIfAbsent(
              new Kind(piece.level(), piece.follows(), category), _ -> new LinkedHashMap<>())
          .computeIfAbsent(piece.look(), _ -> new ArrayList<>())
          .add(piece);
    }
    LookClusters clusters = new LookClusters(painted, tolerance);
    List<Cluster> found = new ArrayList<>();
    kinds.forEach((kind, looks) -> found.addAll(clusters.in(kind, looks)));
    return found;
  }

  private List<Cluster> in(Kind kind, Map<PropertySet, List<TextPiece>> looks) {
    LookSpace space = new LookSpace(looks.keySet().iterator().next(), painted);
    List<Seen> seen = new ArrayList<>();
    looks.forEach((look, pieces) -> {
      Seen one = new Seen(look, space.coordinates(look));
      one.pieces.addAll(pieces);
      seen.add(one);
    });
    space.compareOnly(seen.stream().map(one -> one.at).toList());
    seen.sort(Comparator.comparingDouble(Seen::size));
    return gathered(seen, neighbours(space, seen)).stream()
        .map(own ->
            new Cluster(
                kind.level(),
                kind.followed(),
                centre(own),
                own.stream().flatMap(one -> one.pieces.stream()).toList()))
        .toList();
  }

  /** For each look those near it, itself too; swept through by size, so that few are compared. */
  private List<Set<Integer>> neighbours(LookSpace space, List<Seen> seen) {
    List<Set<Integer>> near = new ArrayList<>();
    seen.forEach(_ -> near.add(new HashSet<>()));
    for (int index = 0; index < seen.size(); index++) {
      Seen one = seen.get(index);
      near.get(index).add(index);
      one.near += one.pieces.size();
      double most = one.size() / (1 - tolerance.share());
      for (int next = index + 1; next < seen.size() && seen.get(next).size() <= most; next++) {
        Seen other = seen.get(next);
        if (space.isNear(one.at, other.at, tolerance)) {
          near.get(index).add(next);
          near.get(next).add(index);
          one.near += other.pieces.size();
          other.near += one.pieces.size();
        }
      }
    }
    return near;
  }

  private static List<List<Seen>> gathered(List<Seen> seen, List<Set<Integer>> near) {
    List<Integer> order = new ArrayList<>();
    for (int index = 0; index < seen.size(); index++) {
      order.add(index);
    }
    order.sort(Comparator.comparing(seen::get, MOST_FIRST));
    boolean[] taken = new boolean[seen.size()];
    List<List<Seen>> gathered = new ArrayList<>();
    for (int centre : order) {
      List<Seen> around = new ArrayList<>();
      for (int index : taken[centre] ? Set.<Integer>of() : near.get(centre)) {
        if (!taken[index]) {
          taken[index] = true;
          around.add(seen.get(index));
        }
      }
      if (!around.isEmpty()) {
        gathered.add(around);
      }
    }
    return gathered;
  }

  /** What looks are told apart by at last is what they are, and never where they were found. */
  private static final Comparator<Seen> MOST_FIRST =
      Comparator.comparingInt((Seen one) -> -one.near)
          .thenComparingInt(one -> -one.pieces.size())
          .thenComparingDouble(Seen::size)
          .thenComparing((one, other) -> Arrays.compare(one.at, other.at))
          .thenComparing(one -> one.look.toString());

  /** For each key the value that most have; where none has a majority, the one in the middle. */
  private static PropertySet centre(List<Seen> members) {
    PropertySet centre = members.getFirst().look;
    if (members.size() == 1) {
      return centre;
    }
    for (PropertyKey<?> key : centre.keys()) {
      centre = withCommon(centre, key, members);
    }
    return centre;
  }

  private static <T> PropertySet withCommon(
      PropertySet centre, PropertyKey<T> key, List<Seen> members) {
    Map<T, Integer> counts = new LinkedHashMap<>();
    for (Seen member : members) {
      counts.merge(member.look.get(key).orElseThrow(), member.pieces.size(), Integer::sum);
    }
    if (counts.size() == 1) {
      return centre;
    }
    int most = counts.values().stream().mapToInt(Integer::intValue).max().orElseThrow();
    List<T> common =
        counts.entrySet().stream()
            .filter(entry -> entry.getValue() == most)
            .map(Map.Entry::getKey)
            .sorted(Comparator.comparing(LookClusters::amount).thenComparing(Object::toString))
            .toList();
    return centre.with(key, common.get((common.size() - 1) / 2));
  }

  private static double amount(Object value) {
    return switch (value) {
      case Double number -> number;
      case FontSize size -> size.over(0);
      case dynamorph.model.value.Length length -> length.amount();
      default -> 0;
    };
  }
}
