package dynamorph.shelf;

import dynamorph.shelf.entry.Version;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Something that was done to a shelf, as one step that can be undone.
 *
 * @param versions what it made of each entry
 * @param undoes the action that it takes back
 */
public record Action(
    String id,
    Instant time,
    String author,
    Kind kind,
    Map<String, List<Version>> versions,
    Optional<String> undoes) {
  /** What sort of thing was done. */
  public enum Kind {
    PUT,
    UPDATE,
    RENAME,
    REGROUP,
    TAG,
    CHANGE,
    MERGE,
    DELETE,
    RESTORE,
    IMPORT,
    UNDO;

    public String id() {
      return name().toLowerCase(java.util.Locale.ROOT);
    }
  }

  public Action {
    versions = Map.copyOf(versions);
  }
}
