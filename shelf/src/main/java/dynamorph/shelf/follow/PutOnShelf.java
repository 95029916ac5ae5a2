package dynamorph.shelf.follow;

import dynamorph.formats.file.Sha256;
import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.property.Properties;
import dynamorph.model.style.NamedReferences;
import dynamorph.model.style.Origin;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.message.Messages;
import dynamorph.typeset.font.DamagedFontException;
import dynamorph.typeset.font.FontLibrary;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.random.RandomGenerator;

/**
 * Puts styles and swatches of a project on a shelf, with what they need: bases, swatches, images.
 * One that came from there gets a new version of what the project changed; what the shelf changed
 * since stays there. Something that is on the shelf already and only needed is left as it is.
 *
 * @param change of the shelf
 * @param styles where each style of the project is there
 * @param swatches where each swatch is there
 */
public record PutOnShelf(
    Change change,
    Map<StyleId, String> styles,
    Map<String, String> swatches,
    SortedSet<String> withheld) {
  private static final int DIGITS = 0x1000000;

  /** Which of what the project changed goes on the shelf. */
  @FunctionalInterface
  public interface Wanted {
    /** All of it. */
    Wanted ALL = (_, _) -> true;

    boolean wants(String entry, Part part);
  }

  public PutOnShelf {
    styles = Map.copyOf(styles);
    swatches = Map.copyOf(swatches);
  }

  /**
   * What putting these on the shelf does.
   *
   * @param wantedStyles styles that are put though they are there already
   * @param wantedSwatches swatches likewise
   * @param parts which of what the project changed goes there
   * @param random for the ids of new entries
   */
  public static PutOnShelf of(
      Project project,
      Shelf shelf,
      Collection<StyleId> wantedStyles,
      Collection<String> wantedSwatches,
      Wanted parts,
      RandomGenerator random) {
    return new Putting(project, shelf, parts, random).run(wantedStyles, wantedSwatches);
  }

  /** The same with everything that the project changed. */
  public static PutOnShelf of(
      Project project, Shelf shelf, Collection<StyleId> wanted, RandomGenerator random) {
    return of(project, shelf, wanted, List.of(), Wanted.ALL, random);
  }

  /** What the project is to know afterwards: where its styles are now, and in which version. */
  public Edit linked(Shelf after) {
    return new Link(after, styles, swatches);
  }

  /** Remembers in the project what its styles and swatches are on a shelf. */
  private record Link(Shelf shelf, Map<StyleId, String> styles, Map<String, String> swatches)
      implements Edit {
    @Override
    public Project applyTo(Project before) {
      Project project = before;
      for (Map.Entry<StyleId, String> each : styles.entrySet()) {
        Optional<Origin> origin = shelf.find(each.getValue()).map(shelf::origin);
        Optional<Style> style = project.styles().find(each.getKey());
        if (style.isPresent() && origin.isPresent()) {
          project = project.withStyles(project.styles().with(style.get().withOrigin(origin)));
        }
      }
      for (Map.Entry<String, String> each : swatches.entrySet()) {
        Optional<Origin> origin = shelf.find(each.getValue()).map(shelf::origin);
        Optional<Swatch> swatch = project.palette().find(each.getKey());
        if (swatch.isPresent() && origin.isPresent()) {
          project = project.withPalette(project.palette().with(swatch.get().withOrigin(origin)));
        }
      }
      return project;
    }

    @Override
    public String label(Project before) {
      return Messages.of("put-on-shelf.label", styles.size() + swatches.size());
    }
  }

  /** The state of one run. */
  private static final class Putting {
    private final Project project;
    private final Shelf shelf;
    private final Wanted parts;
    private final RandomGenerator random;
    private final Terms terms;
    private final Map<String, Optional<Kept>> contents = new LinkedHashMap<>();
    private final Map<String, byte[]> files = new LinkedHashMap<>();
    private final Map<StyleId, String> styles = new LinkedHashMap<>();
    private final Map<String, String> swatches = new LinkedHashMap<>();
    private final Map<Object, Update> updates = new LinkedHashMap<>();
    private final SortedSet<String> withheld = new TreeSet<>();
    private boolean isNew;

    Putting(Project project, Shelf shelf, Wanted parts, RandomGenerator random) {
      this.project = project;
      this.shelf = shelf;
      this.parts = parts;
      this.random = random;
      this.terms = new Terms(project, shelf.id());
      for (Update update : Updates.of(project, shelf)) {
        switch (update.mine()) {
          case Update.Thing.OfStyle(Style style) -> updates.put(style.id(), update);
          case Update.Thing.OfSwatch(Swatch swatch) -> updates.put(swatch.id(), update);
        }
      }
    }

    PutOnShelf run(Collection<StyleId> wantedStyles, Collection<String> wantedSwatches) {
      StyleBundle bundle = StyleBundle.of(project, wantedStyles, List.of());
      Set<Swatch> needed = new LinkedHashSet<>(bundle.swatches());
      wantedSwatches.forEach(id -> project.palette().find(id).ifPresent(needed::add));
      needed.forEach(swatch -> put(swatch, wantedSwatches.contains(swatch.id())));
      bundle.styles().forEach(style -> put(style, wantedStyles.contains(style.id()), bundle));
      Change change =
          new Change(
              isNew ? Action.Kind.PUT : Action.Kind.UPDATE, "", contents, files, Optional.empty());
      return new PutOnShelf(change, styles, swatches, withheld);
    }

    private void put(Swatch swatch, boolean wanted) {
      Update update = updates.get(swatch.id());
      if (update == null || update.isDeleted()) {
        Optional<Kept.OfSwatch> same =
            shelf.swatches().stream()
                .filter(one ->
                    one.name().equalsIgnoreCase(swatch.name())
                        && one.swatch().colour().equals(swatch.colour()))
                .findFirst();
        String entry =
            update != null
                ? update.entry().id()
                : same.map(Kept::id).orElseGet(() -> free(swatch.name(), "swatch"));
        if (same.isEmpty() || update != null) {
          contents.put(
              entry,
              Optional.of(new Kept.OfSwatch(new Swatch(entry, swatch.name(), swatch.colour()))));
          isNew = true;
        }
        terms.linkSwatch(swatch.id(), entry);
        swatches.put(swatch.id(), entry);
      } else if (wanted
          && shelf.kept(update.entry().id()).orElse(null) instanceof Kept.OfSwatch there) {
        Swatch mine = there.swatch();
        for (Update.Difference difference : update.toPut()) {
          if (difference.part() instanceof Part.OfSwatch part
              && parts.wants(update.entry().id(), part)) {
            mine = part.taken(mine, swatch);
          }
        }
        change(update.entry(), new Kept.OfSwatch(mine, there.tags()));
        swatches.put(swatch.id(), update.entry().id());
      }
    }

    private void change(Entry entry, Kept kept) {
      if (!entry.kept().equals(Optional.of(kept))) {
        contents.put(entry.id(), Optional.of(kept));
      }
    }

    private void put(Style style, boolean wanted, StyleBundle bundle) {
      Update update = updates.get(style.id());
      Optional<Kept.OfStyle> same = update == null ? alike(style) : Optional.empty();
      if (same.isPresent()) {
        terms.link(style.id(), same.get().id());
        styles.put(style.id(), same.get().id());
      } else if (update == null || update.isDeleted()) {
        String entry = update != null ? update.entry().id() : free(style.name(), "style");
        terms.link(style.id(), entry);
        contents.put(
            entry,
            Optional.of(
                new Kept.OfStyle(
                    terms.onShelf(style, entry), new TreeSet<>(), files(style, bundle))));
        styles.put(style.id(), entry);
        isNew = true;
      } else if (wanted
          && shelf.kept(update.entry().id()).orElse(null) instanceof Kept.OfStyle there) {
        Style mine = terms.onShelf(style, update.entry().id());
        Style put = there.style();
        for (Part part : Part.of(mine, put)) {
          // a base or swatch that is put along has a name there only now
          Update.Difference difference = difference(update, part, mine, put);
          if (difference.isMine() && parts.wants(update.entry().id(), part)) {
            put = Part.taken(put, mine, part);
          }
        }
        SortedMap<String, String> brought = new TreeMap<>(there.assets());
        brought.putAll(files(style, bundle));
        change(update.entry(), new Kept.OfStyle(put, there.tags(), brought));
        styles.put(style.id(), update.entry().id());
      }
    }

    /** What is there already under the same name and looks the same. */
    private Optional<Kept.OfStyle> alike(Style style) {
      return shelf.styles().stream()
          .filter(one -> one.name().equalsIgnoreCase(style.name()))
          .filter(one -> one.style().level() == style.level())
          .filter(one -> {
            Style there = terms.onShelf(style, one.id());
            return there.properties().equals(one.style().properties())
                && there.basedOn().equals(one.style().basedOn());
          })
          .findFirst();
    }

    private static Update.Difference difference(
        Update update, Part part, Style mine, Style theirs) {
      Optional<Style> taken =
          update
              .taken()
              .flatMap(version -> version.kept())
              .filter(Kept.OfStyle.class::isInstance)
              .map(kept -> ((Kept.OfStyle) kept).style());
      Object own = Part.said(mine, part);
      return new Update.Difference(
          part,
          taken.map(style -> Part.said(style, part)).orElse(own),
          own,
          Part.said(theirs, part),
          taken.isPresent());
    }

    private SortedMap<String, String> files(Style style, StyleBundle bundle) {
      Set<String> images = NamedReferences.in(List.of(style.properties())).images();
      SortedMap<String, String> named = new TreeMap<>();
      for (Asset asset : bundle.assets()) {
        if (asset.isImage() && images.contains(asset.shortName())) {
          String hash = Sha256.hex(asset.bytes());
          named.put(asset.name(), hash);
          files.put(hash, asset.bytes());
        }
      }
      style
          .properties()
          .get(Properties.FONT_FAMILY.key())
          .ifPresent(family -> addFonts(family, bundle, named));
      return named;
    }

    /** The fonts that the project brought for a family, where their maker allows it. */
    private void addFonts(String family, StyleBundle bundle, SortedMap<String, String> named) {
      for (Asset asset : bundle.assets()) {
        if (!asset.isFont() || !isOf(family, asset)) {
          continue;
        }
        if (FontLibrary.mayBeEmbedded(asset.name(), asset.bytes())) {
          String hash = Sha256.hex(asset.bytes());
          named.put(asset.name(), hash);
          files.put(hash, asset.bytes());
        } else {
          withheld.add(family);
        }
      }
    }

    private static boolean isOf(String family, Asset asset) {
      try {
        return FontLibrary.familyOf(asset.name(), asset.bytes()).equalsIgnoreCase(family);
      } catch (DamagedFontException damaged) {
        return false;
      }
    }

    private String free(String name, String otherwise) {
      String stem = StyleId.stem(name, otherwise);
      Set<String> taken = new HashSet<>(contents.keySet());
      while (true) {
        String id = stem + "-" + String.format("%06x", random.nextInt(DIGITS));
        if (taken.add(id) && shelf.find(id).isEmpty()) {
          return id;
        }
      }
    }
  }
}
