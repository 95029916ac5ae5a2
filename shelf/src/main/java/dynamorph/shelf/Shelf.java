package dynamorph.shelf;

import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.style.Origin;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.entry.Version;
import dynamorph.shelf.message.Messages;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.random.RandomGenerator;
import java.util.regex.Pattern;

/**
 * A shelf at one moment; a value that does not change.
 *
 * @param id tells it from other shelves, wherever it lies
 * @param name what people call it
 * @param entries by their ids, deleted ones too
 * @param actions what was done to it lately, old ones first
 * @param problems files in it that cannot be read, with the reason
 * @param images what is kept of images and fonts, by their hash; empty where the file is missing
 */
public record Shelf(
    String id,
    String name,
    Map<String, Entry> entries,
    List<Action> actions,
    List<String> problems,
    Function<String, Optional<byte[]>> images) {
  /** What can be the name of a file everywhere. */
  public static final Pattern ID = Pattern.compile("[A-Za-z0-9][A-Za-z0-9_-]*");

  private static final Comparator<Style> BY_GROUP_AND_NAME =
      Comparator.comparing((Style style) -> style.group().toLowerCase(Locale.ROOT))
          .thenComparing(style -> style.name().toLowerCase(Locale.ROOT))
          .thenComparing(Style::id);

  public Shelf {
    entries = Map.copyOf(entries);
    actions = List.copyOf(actions);
    problems = List.copyOf(problems);
  }

  public Optional<Entry> find(String entry) {
    return Optional.ofNullable(entries.get(entry));
  }

  /** What an entry is now; empty if it is not there or deleted. */
  public Optional<Kept> kept(String entry) {
    return find(entry).flatMap(Entry::kept);
  }

  /** The styles that are there, by group and name. */
  public List<Kept.OfStyle> styles() {
    return all(Kept.OfStyle.class).stream()
        .sorted(Comparator.comparing(Kept.OfStyle::style, BY_GROUP_AND_NAME))
        .toList();
  }

  /** The swatches that are there, by name. */
  public List<Kept.OfSwatch> swatches() {
    return all(Kept.OfSwatch.class).stream()
        .sorted(Comparator.comparing(Kept::name).thenComparing(Kept::id))
        .toList();
  }

  private <T extends Kept> List<T> all(Class<T> kind) {
    return entries.values().stream()
        .flatMap(entry -> entry.kept().stream())
        .filter(kind::isInstance)
        .map(kind::cast)
        .toList();
  }

  /** The first style of this name, or the one with this id. */
  public Optional<Kept.OfStyle> named(String name) {
    return styles().stream()
        .filter(one -> one.name().equalsIgnoreCase(name.strip()))
        .findFirst()
        .or(() -> styles().stream().filter(one -> one.id().equals(name.strip())).findFirst());
  }

  /** Where an entry comes from, for a project that takes it as it is now. */
  public Origin origin(Entry entry) {
    return new Origin(id, entry.id(), entry.head().version().id());
  }

  /**
   * The shelf as a project without artboards, in which its styles can be drawn and edited. A base
   * that is missing is left out; the ids are those of the entries.
   */
  public Project asProject() {
    Project plain = withoutFiles();
    return plain.withAssets(assets(plain.styles().list()));
  }

  /** The same without images and fonts, which may be large. */
  Project withoutFiles() {
    return Project.empty(name)
        .withPalette(palette())
        .withStyles(book(styles().stream().map(Kept.OfStyle::style).toList()));
  }

  /** The swatches as the palette of a project. */
  public Palette palette() {
    return new Palette(swatches().stream().map(Kept.OfSwatch::swatch).toList());
  }

  /** Styles with the bases that are there; a circle, which two machines can make, is cut. */
  private static StyleBook book(List<Style> styles) {
    Map<StyleId, Style> byId = new LinkedHashMap<>();
    styles.forEach(style -> byId.put(style.id(), style));
    List<Style> sound = new ArrayList<>();
    for (Style style : styles) {
      Set<StyleId> seen = new HashSet<>(Set.of(style.id()));
      Optional<StyleId> at = style.basedOn();
      while (at.isPresent() && byId.containsKey(at.get()) && seen.add(at.get())) {
        at = byId.get(at.get()).basedOn();
      }
      boolean isCircle = at.filter(seen::contains).isPresent();
      boolean isThere = style.basedOn().filter(byId::containsKey).isPresent();
      sound.add(isThere && !isCircle ? style : style.withBasedOn(Optional.empty()));
    }
    return StyleBook.of(sound);
  }

  private List<Asset> assets(Collection<Style> styles) {
    Map<String, Asset> assets = new LinkedHashMap<>();
    for (Style style : styles) {
      if (kept(style.id().value()).orElse(null) instanceof Kept.OfStyle kept) {
        kept.assets()
            .forEach((name, hash) ->
                images.apply(hash).ifPresent(bytes -> assets.put(name, new Asset(name, bytes))));
      }
    }
    return List.copyOf(assets.values());
  }

  /**
   * Styles and swatches to take into a project, with what they need and the origin of each.
   * Swatches come along where a style is painted with them.
   *
   * @param wanted ids of entries; what is not there is left out
   */
  public StyleBundle bundle(Collection<String> wanted) {
    Project all = withoutFiles();
    List<StyleId> styles =
        wanted.stream()
            .flatMap(one -> kept(one).stream())
            .filter(Kept.OfStyle.class::isInstance)
            .map(one -> new StyleId(one.id()))
            .toList();
    StyleBundle needed = StyleBundle.of(all, styles, List.of());
    Set<Swatch> swatches = new LinkedHashSet<>(needed.swatches());
    wanted.forEach(one -> all.palette().find(one).ifPresent(swatches::add));
    return new StyleBundle(
        needed.styles().stream().map(this::withOrigin).toList(),
        swatches.stream().map(this::withOrigin).toList(),
        assets(needed.styles()));
  }

  private Style withOrigin(Style style) {
    return style.withOrigin(find(style.id().value()).map(this::origin));
  }

  private Swatch withOrigin(Swatch swatch) {
    return swatch.withOrigin(find(swatch.id()).map(this::origin));
  }

  /** A shelf with nothing on it. */
  public static Shelf empty(String id, String name) {
    return new Shelf(id, name, Map.of(), List.of(), List.of(), _ -> Optional.empty());
  }

  /**
   * What a change does to this shelf, as an action; empty if nothing.
   *
   * @param seen the shelf as the person saw it; what others did since stays
   * @param now the time of the new versions, or just after that of the ones they are made from,
   *     since the clocks of machines differ
   * @throws IllegalArgumentException if the id of a new entry cannot be the name of a file
   */
  public Optional<Action> action(
      Change change, Shelf seen, Instant now, String author, RandomGenerator random) {
    Instant time = now.truncatedTo(ChronoUnit.MILLIS);
    for (String id : change.contents().keySet()) {
      for (Entry entry : find(id).stream().toList()) {
        Instant last = entry.head().version().time();
        time = time.isAfter(last) ? time : last.plusMillis(1);
      }
    }
    Map<String, List<Version>> versions = new LinkedHashMap<>();
    for (Map.Entry<String, Optional<Kept>> each : change.contents().entrySet()) {
      if (!ID.matcher(each.getKey()).matches()) {
        throw new IllegalArgumentException(Messages.of("shelf-folder.not-an-id", each.getKey()));
      }
      Optional<Entry> entry = seen.find(each.getKey());
      if (entry.isPresent() && entry.get().kept().equals(each.getValue())
          || entry.isEmpty() && each.getValue().isEmpty()) {
        continue;
      }
      List<Version> made = new ArrayList<>(entry.map(Entry::settled).orElse(List.of()));
      List<String> parents = entry.map(one -> List.of(one.head().version().id())).orElse(List.of());
      made.add(Version.of(parents, time, author, change.note(), each.getValue()));
      versions.put(each.getKey(), made);
    }
    return versions.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Action(
                HexFormat.of().toHexDigits(random.nextLong()),
                time,
                author,
                change.kind(),
                versions,
                change.undoes()));
  }

  /** The shelf with an action done to it. */
  public Shelf with(Action action) {
    Map<String, Entry> changed = new HashMap<>(entries);
    action.versions().forEach((id, versions) -> put(changed, id, versions));
    List<Action> all = new ArrayList<>(actions);
    all.add(action);
    return new Shelf(id, name, changed, all, problems, images);
  }

  /** Puts versions to those of an entry. */
  public static void put(Map<String, Entry> entries, String id, List<Version> versions) {
    entries.merge(id, Entry.of(id, versions), (there, _) -> there.with(versions));
  }

  /** Whether an action can be undone: it is none that was undone, or that undoes another. */
  public boolean canUndo(Action action) {
    return action.undoes().isEmpty()
        && actions.stream().noneMatch(other -> other.undoes().equals(Optional.of(action.id())));
  }
}
