package dynamorph.model.survey.hidden;

import static java.util.Objects.requireNonNull;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.survey.hidden.TextPiece.Kind;
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
import org.jspecify.annotations.Nullable;

/**
 * Gathers pieces of text whose looks are near each other. The look with the most texts near it is
 * taken as a centre with all of them, then the next of those left, and so on. No step asks where a
 * text stands, so that the order of layers plays no part.
 *
 * <p>What was compared is remembered: when it is asked again for pieces of which most are the same,
 * only the looks that came are compared with the others. To be asked by one thread at a time.
 */
final class LookClusters {
  private static final PropertyKey<FontSize> SIZE = Properties.SIZE.key();

  /** When more than this share of all looks came, all are compared again. */
  private static final double MANY = 0.1;

  /** Pieces that look alike. The same pieces gathered again are the same cluster. */
  static final class Cluster {
    private final Kind kind;
    private final PropertySet centre;
    private final List<TextPiece> pieces;
    private final int letters;
    private final Function<Colour, Rgba> painted;
    private @Nullable ClusterNotes notes;
    private @Nullable String described;

    Cluster(Kind kind, PropertySet centre, List<TextPiece> pieces, Function<Colour, Rgba> painted) {
      this.kind = kind;
      this.centre = centre;
      this.pieces = pieces;
      this.letters = pieces.stream().mapToInt(TextPiece::letters).sum();
      this.painted = painted;
    }

    StyleLevel level() {
      return kind.level();
    }

    /** What all pieces follow at their level already. */
    List<StyleId> followed() {
      return kind.followed();
    }

    /** The look that they are taken to mean. */
    PropertySet centre() {
      return centre;
    }

    List<TextPiece> pieces() {
      return pieces;
    }

    /** By what clusters are ordered that have nothing else to be told apart by. */
    String described() {
      String known = described;
      if (known == null) {
        known = centre.toString();
        described = known;
      }
      return known;
    }

    /** How many letters they have together. */
    int letters() {
      return letters;
    }

    ClusterNotes notes() {
      ClusterNotes known = notes;
      if (known == null) {
        known = new ClusterNotes(centre, pieces, painted);
        notes = known;
      }
      return known;
    }
  }

  private final Function<Colour, Rgba> painted;
  private Tolerance tolerance = Tolerance.NONE;
  private Map<Kind, Compared> known = new HashMap<>();

  /**
   * @param painted the colour that a colour is painted with, always the same
   */
  LookClusters(Function<Colour, Rgba> painted) {
    this.painted = painted;
  }

  /** All clusters, in no order that means anything. */
  List<Cluster> of(Collection<TextPiece> pieces, Tolerance within) {
    if (!within.equals(tolerance)) {
      known = Map.of();
      tolerance = within;
    }
    Map<Kind, Map<PropertySet, List<TextPiece>>> kinds = new LinkedHashMap<>();
    for (TextPiece piece : pieces) {
      kinds
          .computeIfAbsent(piece.kind(), _ -> new LinkedHashMap<>())
          .computeIfAbsent(piece.look(), _ -> new ArrayList<>())
          .add(piece);
    }
    Map<Kind, Compared> now = new LinkedHashMap<>();
    kinds.keySet().forEach(kind -> now.put(kind, known.getOrDefault(kind, new Compared(kind))));
    now.entrySet().parallelStream()
        .forEach(entry -> entry.getValue().become(requireNonNull(kinds.get(entry.getKey()))));
    List<Cluster> found = new ArrayList<>();
    now.values().forEach(compared -> found.addAll(compared.clusters));
    found.parallelStream().forEach(Cluster::notes);
    known = now;
    return found;
  }

  /** In one look: what it is, and who has it. */
  private static final class Seen {
    private final PropertySet look;
    private final double[] at;
    private final Set<Seen> near = new HashSet<>(Set.of(this));
    private List<TextPiece> pieces;
    private int piecesNear;

    Seen(PropertySet look, double[] at, List<TextPiece> pieces) {
      this.look = look;
      this.at = at;
      this.pieces = pieces;
    }

    /** The size, by which looks are swept through; of those that set none, 0. */
    double size() {
      return look.get(SIZE).map(size -> size.over(0)).orElse(0.0);
    }
  }

  /** What looks are told apart by at last is what they are, and never where they were found. */
  private static final Comparator<Seen> BY_LOOK =
      Comparator.comparingDouble(Seen::size)
          .thenComparing((one, other) -> Arrays.compare(one.at, other.at))
          .thenComparing(one -> one.look.toString());

  private static final Comparator<Seen> MOST_FIRST =
      Comparator.comparingInt((Seen one) -> -one.piecesNear)
          .thenComparingInt(one -> -one.pieces.size())
          .thenComparing(BY_LOOK);

  /** The looks of one kind, and which are near which. */
  private final class Compared {
    private final Kind kind;
    private Map<PropertySet, Seen> seen = new LinkedHashMap<>();
    private List<Cluster> clusters = List.of();

    /** The clusters by those whose looks they are of. */
    private Map<Set<Seen>, Cluster> bySeen = new HashMap<>();

    Compared(Kind kind) {
      this.kind = kind;
    }

    /** Takes these looks with these pieces instead of those before. */
    void become(Map<PropertySet, List<TextPiece>> looks) {
      LookSpace space = new LookSpace(looks.keySet().iterator().next(), painted);
      Set<Seen> changed = new HashSet<>();
      List<Seen> came = new ArrayList<>();
      Map<PropertySet, Seen> now = new LinkedHashMap<>();
      looks.forEach((look, pieces) -> {
        Seen one = seen.remove(look);
        if (one == null) {
          one = new Seen(look, space.coordinates(look), pieces);
          came.add(one);
        } else if (!areSame(one.pieces, pieces)) {
          one.pieces = pieces;
          changed.add(one);
        }
        now.put(look, one);
      });
      boolean same = seen.isEmpty() && came.isEmpty() && changed.isEmpty();
      for (Seen gone : seen.values()) {
        gone.near.remove(gone);
        gone.near.forEach(one -> one.near.remove(gone));
      }
      seen = now;
      if (!same) {
        compare(space, came);
        gather(changed);
      }
    }

    private static boolean areSame(List<TextPiece> one, List<TextPiece> other) {
      if (one.size() != other.size()) {
        return false;
      }
      for (int index = 0; index < one.size(); index++) {
        if (one.get(index) != other.get(index)) {
          return false;
        }
      }
      return true;
    }

    private void compare(LookSpace space, List<Seen> came) {
      if (came.size() > MANY * seen.size()) {
        space.compareOnly(seen.values().stream().map(one -> one.at).toList());
        sweep(space);
      } else {
        came.forEach(one -> seen.values().forEach(other -> compare(space, one, other)));
      }
      for (Seen one : seen.values()) {
        one.piecesNear = one.near.stream().mapToInt(other -> other.pieces.size()).sum();
      }
    }

    /** Goes through all by size, so that few are compared. */
    private void sweep(LookSpace space) {
      List<Seen> bySize =
          seen.values().stream().sorted(Comparator.comparingDouble(Seen::size)).toList();
      for (int index = 0; index < bySize.size(); index++) {
        Seen one = bySize.get(index);
        double most = one.size() / (1 - tolerance.share());
        for (int next = index + 1;
            next < bySize.size() && bySize.get(next).size() <= most;
            next++) {
          compare(space, one, bySize.get(next));
        }
      }
    }

    private void compare(LookSpace space, Seen one, Seen other) {
      if (space.isNear(one.at, other.at, tolerance)) {
        one.near.add(other);
        other.near.add(one);
      }
    }

    /**
     * Takes the largest first.
     *
     * @param changed those that have other pieces than before
     */
    private void gather(Set<Seen> changed) {
      Map<Set<Seen>, Cluster> earlier = bySeen;
      Set<Seen> taken = new HashSet<>();
      bySeen = new LinkedHashMap<>();
      for (Seen centre : seen.values().stream().sorted(MOST_FIRST).toList()) {
        if (!taken.contains(centre)) {
          Set<Seen> around = new HashSet<>(centre.near);
          around.removeAll(taken);
          taken.addAll(around);
          Cluster known = earlier.get(around);
          boolean same = known != null && around.stream().noneMatch(changed::contains);
          bySeen.put(around, same ? known : cluster(around));
        }
      }
      clusters = List.copyOf(bySeen.values());
    }

    private Cluster cluster(Set<Seen> around) {
      List<Seen> members = around.stream().sorted(BY_LOOK).toList();
      return new Cluster(
          kind,
          centre(members),
          members.stream().flatMap(one -> one.pieces.stream()).toList(),
          painted);
    }
  }

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
