package dynamorph.shelf.entry;

import dynamorph.formats.file.Sha256;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A state that an entry of a shelf had. Versions are never changed; their ids are hashes of what
 * they say, so that the same one is known wherever it turns up, and a damaged one is noticed.
 *
 * @param id 16 hexadecimal digits
 * @param parents the versions it was made from; several where changes of two sides came together
 * @param time in milliseconds
 * @param author who made it; empty if nobody did, as when two sides are put together
 * @param note what the author said of it
 * @param kept empty from where it was deleted
 */
public record Version(
    String id,
    List<String> parents,
    Instant time,
    String author,
    String note,
    Optional<Kept> kept) {
  private static final int DIGITS = 16;

  /** Old ones first; the same everywhere. */
  public static final Comparator<Version> BY_TIME =
      Comparator.comparing(Version::time).thenComparing(Version::id);

  public Version {
    parents = List.copyOf(parents);
  }

  /** A version with the id that belongs to it. */
  public static Version of(
      List<String> parents, Instant time, String author, String note, Optional<Kept> kept) {
    Instant millis = time.truncatedTo(ChronoUnit.MILLIS);
    List<String> sorted = parents.stream().sorted().toList();
    Version named = new Version("", sorted, millis, author, note, kept);
    return new Version(hash(named), sorted, millis, author, note, kept);
  }

  /** Whether its id is that of what it says. */
  public boolean isSound() {
    return id.equals(hash(this));
  }

  private static String hash(Version version) {
    return Sha256.hex(EntryJson.canonical(version)).substring(0, DIGITS);
  }
}
