package dynamorph.shelf;

import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.entry.Version;
import dynamorph.shelf.message.Messages;
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

    /** What people read. */
    public String label() {
      return Messages.of("action." + id());
    }
  }

  public Action {
    versions = Map.copyOf(versions);
  }

  /** What was done, and to what: {@code Put on the shelf: Notice and 2 more}. */
  public String label(Shelf shelf) {
    List<String> names =
        versions.entrySet().stream()
            .map(each ->
                each.getValue().stream()
                    .flatMap(version -> version.kept().stream())
                    .map(Kept::name)
                    .findFirst()
                    .or(() -> shelf.find(each.getKey()).map(Entry::name))
                    .orElse(each.getKey()))
            .sorted()
            .toList();
    return names.size() < 3
        ? Messages.of("action.label", kind.label(), String.join(", ", names))
        : Messages.of("action.label-more", kind.label(), names.getFirst(), names.size() - 1);
  }
}
