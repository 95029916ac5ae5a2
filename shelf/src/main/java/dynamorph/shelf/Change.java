package dynamorph.shelf;

import dynamorph.formats.file.Sha256;
import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.style.NamedReferences;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.entry.Version;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/**
 * What is to be done to a shelf: what becomes of which entry.
 *
 * @param contents by entry; empty for what is to be deleted
 * @param files images and fonts that come along, by their hash
 * @param undoes the action that this takes back
 */
public record Change(
    Action.Kind kind,
    String note,
    Map<String, Optional<Kept>> contents,
    Map<String, byte[]> files,
    Optional<String> undoes) {
  public Change {
    contents = Map.copyOf(contents);
    files = Map.copyOf(files);
  }

  private static Change of(Action.Kind kind, Map<String, Optional<Kept>> contents) {
    return new Change(kind, "", contents, Map.of(), Optional.empty());
  }

  public Change withNote(String changed) {
    return new Change(kind, changed, contents, files, undoes);
  }

  /**
   * Does to the shelf what an edit does to the styles and swatches of a project: whatever can be
   * done there can be done here.
   *
   * @throws dynamorph.model.edit.EditRefused if it makes no sense
   */
  public static Change of(Shelf shelf, Action.Kind kind, Edit edit) {
    Project before = shelf.withoutFiles();
    Project after = edit.applyTo(before);
    Map<String, Optional<Kept>> contents = new LinkedHashMap<>();
    Map<String, byte[]> files = new LinkedHashMap<>();
    Map<String, String> hashes = new TreeMap<>();
    shelf.styles().forEach(kept -> hashes.putAll(kept.assets()));
    for (Asset asset : after.assets()) {
      String hash = Sha256.hex(asset.bytes());
      hashes.put(asset.name(), hash);
      files.put(hash, asset.bytes());
    }
    for (Style style : after.styles().list()) {
      String id = style.id().value();
      if (!before.styles().find(style.id()).equals(Optional.of(style))) {
        contents.put(id, Optional.of(changed(shelf, style, hashes)));
      }
    }
    for (Swatch swatch : after.palette().swatches()) {
      if (!before.palette().find(swatch.id()).equals(Optional.of(swatch))) {
        SortedSet<String> tags = shelf.kept(swatch.id()).map(Kept::tags).orElseGet(TreeSet::new);
        contents.put(swatch.id(), Optional.of(new Kept.OfSwatch(swatch, tags)));
      }
    }
    before.styles().stream()
        .filter(style -> after.styles().find(style.id()).isEmpty())
        .forEach(style -> contents.put(style.id().value(), Optional.empty()));
    before.palette().swatches().stream()
        .filter(swatch -> after.palette().find(swatch.id()).isEmpty())
        .forEach(swatch -> contents.put(swatch.id(), Optional.empty()));
    return new Change(kind, "", contents, files, Optional.empty());
  }

  private static Kept changed(Shelf shelf, Style style, Map<String, String> hashes) {
    return switch (shelf.kept(style.id().value()).orElse(null)) {
      case Kept.OfStyle there -> there.withStyle(style);
      case null, default -> new Kept.OfStyle(style, new TreeSet<>(), namedIn(style, hashes));
    };
  }

  private static SortedMap<String, String> namedIn(Style style, Map<String, String> hashes) {
    SortedMap<String, String> named = new TreeMap<>();
    var images = NamedReferences.in(List.of(style.properties())).images();
    hashes.forEach((name, hash) -> {
      if (images.contains(name.substring(name.lastIndexOf('/') + 1))) {
        named.put(name, hash);
      }
    });
    return named;
  }

  /** Changes the tags of entries. */
  public static Change tag(
      Shelf shelf, Collection<String> entries, UnaryOperator<SortedSet<String>> tags) {
    Map<String, Optional<Kept>> contents = new LinkedHashMap<>();
    for (String id : entries) {
      shelf
          .kept(id)
          .ifPresent(kept -> {
            Kept tagged = kept.withTags(tags.apply(new TreeSet<>(kept.tags())));
            if (!tagged.equals(kept)) {
              contents.put(id, Optional.of(tagged));
            }
          });
    }
    return of(Action.Kind.TAG, contents);
  }

  /**
   * Brings an entry back to how it was.
   *
   * @throws IllegalArgumentException if it never was so
   */
  public static Change restore(Shelf shelf, String entry, String version) {
    Version earlier =
        shelf
            .find(entry)
            .flatMap(one -> one.find(version))
            .orElseThrow(() -> new IllegalArgumentException(entry + " " + version));
    return of(
        Action.Kind.RESTORE,
        earlier.kept().equals(shelf.kept(entry)) ? Map.of() : Map.of(entry, earlier.kept()));
  }

  /** Takes back what an action did. What was done to the same values since stays. */
  public static Change undo(Shelf shelf, Action action) {
    Map<String, Optional<Kept>> contents = new LinkedHashMap<>();
    action
        .versions()
        .forEach((id, made) ->
            shelf
                .find(id)
                .ifPresent(entry -> {
                  Version last = made.getLast();
                  Optional<Kept> before = before(entry, made.getFirst());
                  Kept.Merge merge = Kept.merge(last.kept(), entry.kept(), before);
                  // what came into being with the action goes with it
                  Optional<Kept> now =
                      before.isEmpty() && entry.kept().equals(last.kept()) ? before : merge.kept();
                  if (!now.equals(entry.kept())) {
                    contents.put(id, now);
                  }
                }));
    return new Change(Action.Kind.UNDO, "", contents, Map.of(), Optional.of(action.id()));
  }

  private static Optional<Kept> before(Entry entry, Version made) {
    return made.parents().stream()
        .map(entry::find)
        .flatMap(Optional::stream)
        .max(Version.BY_TIME)
        .flatMap(Version::kept);
  }

  /** The names of what it is about, those that will be gone by what they were called. */
  public List<String> names(Shelf shelf) {
    return contents.entrySet().stream()
        .map(each ->
            each.getValue()
                .map(Kept::name)
                .or(() -> shelf.find(each.getKey()).map(Entry::name))
                .orElse(each.getKey()))
        .filter(Objects::nonNull)
        .sorted()
        .toList();
  }
}
