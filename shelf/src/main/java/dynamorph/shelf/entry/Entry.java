package dynamorph.shelf.entry;

import dynamorph.model.merge.Conflict;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * A style or swatch of a shelf with all its versions. Entries only grow: those of two machines are
 * put together as the union of their versions, and where that leaves several newest ones, these are
 * merged by value, on every machine alike. So nothing that anybody wrote is ever overwritten.
 */
public final class Entry {
  private final String id;

  /** Parents before what was made from them, else by time. */
  private final Map<String, Version> versions;

  private final Head head;

  /**
   * How an entry is now.
   *
   * @param version the newest one, or what the newest ones are together
   * @param conflicts what they say differently; the latest of them stands
   */
  public record Head(Version version, List<Conflict> conflicts) {
    public Optional<Kept> kept() {
      return version.kept();
    }
  }

  private Entry(String id, Map<String, Version> versions) {
    this.id = id;
    this.versions = versions;
    this.head = joined(newest());
  }

  /**
   * An entry with these versions.
   *
   * @throws IllegalArgumentException if there are none
   */
  public static Entry of(String id, Collection<Version> versions) {
    if (versions.isEmpty()) {
      throw new IllegalArgumentException(id);
    }
    Map<String, Version> all = new TreeMap<>();
    versions.forEach(version -> all.put(version.id(), version));
    return new Entry(id, ordered(all));
  }

  private static Map<String, Version> ordered(Map<String, Version> all) {
    Map<String, Version> ordered = new LinkedHashMap<>();
    List<Version> open = new ArrayList<>(all.values());
    open.sort(Version.BY_TIME);
    while (!open.isEmpty()) {
      Version next =
          open.stream()
              .filter(version ->
                  version.parents().stream()
                      .noneMatch(parent -> all.containsKey(parent) && !ordered.containsKey(parent)))
              .findFirst()
              // parents in a circle cannot be hashed; this is for what is damaged
              .orElseGet(open::getFirst);
      open.remove(next);
      ordered.put(next.id(), next);
    }
    return ordered;
  }

  public String id() {
    return id;
  }

  public Head head() {
    return head;
  }

  /** What it is now; empty if it is deleted. */
  public Optional<Kept> kept() {
    return head.kept();
  }

  public String name() {
    return kept()
        .or(() -> versions().reversed().stream().flatMap(one -> one.kept().stream()).findFirst())
        .map(Kept::name)
        .orElse(id);
  }

  /** Parents first, else by time. */
  public List<Version> versions() {
    return List.copyOf(versions.values());
  }

  public boolean has(String version) {
    return versions.containsKey(version);
  }

  /** A version of it, or the one that its newest ones are together. */
  public Optional<Version> find(String version) {
    return Optional.ofNullable(versions.get(version))
        .or(() -> Optional.of(head.version()).filter(one -> one.id().equals(version)));
  }

  /** The versions that nothing was made from yet, in the order of their time. */
  public List<Version> newest() {
    Set<String> parents = new HashSet<>();
    versions.values().forEach(version -> parents.addAll(version.parents()));
    return versions.values().stream()
        .filter(version -> !parents.contains(version.id()))
        .sorted(Version.BY_TIME)
        .toList();
  }

  /** With further versions; this one if all are there. */
  public Entry with(Collection<Version> more) {
    if (more.stream().allMatch(version -> versions.containsKey(version.id()))) {
      return this;
    }
    List<Version> all = new ArrayList<>(versions.values());
    more.stream().filter(version -> !versions.containsKey(version.id())).forEach(all::add);
    return of(id, all);
  }

  /**
   * What it takes to make a new version from how it is now: nothing where there is one newest
   * version, else the one that they are together.
   */
  public List<Version> settled() {
    return has(head.version().id()) ? List.of() : List.of(head.version());
  }

  private Head joined(List<Version> newest) {
    Version latest = newest.getLast();
    if (newest.size() == 1) {
      return new Head(latest, List.of());
    }
    Optional<Kept> kept = latest.kept();
    Set<String> behind = new HashSet<>(before(latest));
    List<Conflict> conflicts = new ArrayList<>();
    for (Version other : newest.subList(0, newest.size() - 1).reversed()) {
      Set<String> known = before(other);
      Optional<Kept> base =
          versions.values().stream()
              .filter(version -> behind.contains(version.id()) && known.contains(version.id()))
              .reduce((_, later) -> later)
              .flatMap(Version::kept);
      Kept.Merge merge = Kept.merge(base, kept, other.kept());
      kept = merge.kept();
      conflicts.addAll(merge.conflicts());
      behind.addAll(known);
    }
    List<String> parents = newest.stream().map(Version::id).toList();
    return new Head(Version.of(parents, latest.time(), "", "", kept), List.copyOf(conflicts));
  }

  /** A version and all that it was made from. */
  private Set<String> before(Version version) {
    Set<String> seen = new HashSet<>();
    Deque<String> open = new ArrayDeque<>(List.of(version.id()));
    while (!open.isEmpty()) {
      String next = open.pop();
      if (seen.add(next) && versions.containsKey(next)) {
        open.addAll(Objects.requireNonNull(versions.get(next)).parents());
      }
    }
    return seen;
  }

  /** Whether one version was made from another, however far. */
  public boolean isBefore(String earlier, String later) {
    return find(later).map(this::before).filter(all -> all.contains(earlier)).isPresent();
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Entry entry
        && entry.id.equals(id)
        && entry.versions.keySet().equals(versions.keySet());
  }

  @Override
  public int hashCode() {
    return Objects.hash(id, versions.keySet());
  }

  @Override
  public String toString() {
    return name() + " (" + versions.size() + ")";
  }
}
