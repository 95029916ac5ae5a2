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
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

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
    return project(styles().stream().map(Kept.OfStyle::style).toList());
  }

  private Project project(List<Style> styles) {
    List<Swatch> swatches = swatches().stream().map(Kept.OfSwatch::swatch).toList();
    return Project.empty(name)
        .withPalette(new Palette(swatches))
        .withStyles(book(styles))
        .withAssets(assets(styles));
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
    Project all = asProject();
    List<StyleId> styles =
        wanted.stream()
            .flatMap(one -> kept(one).stream())
            .filter(Kept.OfStyle.class::isInstance)
            .map(one -> new StyleId(one.id()))
            .toList();
    StyleBundle needed = StyleBundle.of(all, styles, List.of());
    Set<Swatch> swatches = new java.util.LinkedHashSet<>(needed.swatches());
    wanted.forEach(one -> all.palette().find(one).ifPresent(swatches::add));
    Set<String> names = new HashSet<>();
    for (Style style : needed.styles()) {
      if (kept(style.id().value()).orElse(null) instanceof Kept.OfStyle kept) {
        names.addAll(kept.assets().keySet());
      }
    }
    return new StyleBundle(
        needed.styles().stream().map(this::withOrigin).toList(),
        swatches.stream().map(this::withOrigin).toList(),
        all.assets().stream().filter(asset -> names.contains(asset.name())).toList());
  }

  private Style withOrigin(Style style) {
    return style.withOrigin(find(style.id().value()).map(this::origin));
  }

  private Swatch withOrigin(Swatch swatch) {
    return swatch.withOrigin(find(swatch.id()).map(this::origin));
  }

  /** Whether an action can be undone: it is none that was undone, or that undoes another. */
  public boolean canUndo(Action action) {
    return action.undoes().isEmpty()
        && actions.stream().noneMatch(other -> other.undoes().equals(Optional.of(action.id())));
  }

  /** A version that an entry had. */
  public Optional<Version> version(Origin origin) {
    return origin.shelf().equals(id)
        ? find(origin.entry()).flatMap(entry -> entry.find(origin.version()))
        : Optional.empty();
  }
}
