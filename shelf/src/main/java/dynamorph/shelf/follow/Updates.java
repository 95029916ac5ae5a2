package dynamorph.shelf.follow;

import dynamorph.model.Project;
import dynamorph.model.style.Origin;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.entry.Version;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** Compares what a project has from a shelf with the shelf: by value, against what was taken. */
public final class Updates {
  private Updates() {}

  /** Everything that the project has from the shelf, in the order of the project; swatches last. */
  public static List<Update> of(Project project, Shelf shelf) {
    Terms terms = new Terms(project, shelf.id());
    List<Update> updates = new ArrayList<>();
    for (Style style : project.styles().list()) {
      origin(style.origin(), shelf)
          .flatMap(
              origin -> shelf.find(origin.entry()).map(entry -> of(style, origin, entry, terms)))
          .ifPresent(updates::add);
    }
    for (Swatch swatch : project.palette().swatches()) {
      origin(swatch.origin(), shelf)
          .flatMap(origin -> shelf.find(origin.entry()).map(entry -> of(swatch, origin, entry)))
          .ifPresent(updates::add);
    }
    return List.copyOf(updates);
  }

  /** Those in which the shelf is newer. */
  public static List<Update> newer(Project project, Shelf shelf) {
    return of(project, shelf).stream().filter(Update::isNewer).toList();
  }

  private static Optional<Origin> origin(Optional<Origin> origin, Shelf shelf) {
    return origin.filter(one -> one.shelf().equals(shelf.id()));
  }

  private static Update of(Style style, Origin origin, Entry entry, Terms terms) {
    Style mine = terms.onShelf(style, entry.id());
    Optional<Version> taken =
        taken(origin, entry, kept -> style(kept).filter(mine::equals).isPresent());
    Version newest = entry.head().version();
    List<Update.Difference> differences = new ArrayList<>();
    if (newest.kept().orElse(null) instanceof Kept.OfStyle(Style now, var _, var _)) {
      Optional<Style> before = taken.flatMap(Version::kept).flatMap(Updates::style);
      for (Part part : Part.of(mine, now, before.orElse(mine))) {
        add(
            differences,
            part,
            before.map(one -> Part.said(one, part)),
            Part.said(mine, part),
            Part.said(now, part));
      }
    }
    return new Update(new Update.Thing.OfStyle(style), entry, taken, newest, differences);
  }

  /**
   * The version that the project is compared with: the one it took, or a later one that is just
   * what the project has, however it came by it.
   */
  private static Optional<Version> taken(Origin origin, Entry entry, Predicate<Kept> isMine) {
    return entry.versions().reversed().stream()
        .filter(version -> version.kept().filter(isMine).isPresent())
        .filter(version -> entry.isBefore(origin.version(), version.id()))
        .findFirst()
        .or(() -> entry.find(origin.version()));
  }

  private static Optional<Style> style(Kept kept) {
    return kept instanceof Kept.OfStyle style ? Optional.of(style.style()) : Optional.empty();
  }

  private static Update of(Swatch swatch, Origin origin, Entry entry) {
    Optional<Version> taken =
        taken(
            origin,
            entry,
            kept ->
                kept instanceof Kept.OfSwatch(Swatch there, var _)
                    && there.name().equals(swatch.name())
                    && there.colour().equals(swatch.colour()));
    Version newest = entry.head().version();
    List<Update.Difference> differences = new ArrayList<>();
    if (newest.kept().orElse(null) instanceof Kept.OfSwatch(Swatch now, var _)) {
      Optional<Swatch> before =
          taken
              .flatMap(Version::kept)
              .filter(Kept.OfSwatch.class::isInstance)
              .map(kept -> ((Kept.OfSwatch) kept).swatch());
      for (Part.OfSwatch part : Part.OfSwatch.values()) {
        add(differences, part, before.map(part::of), part.of(swatch), part.of(now));
      }
    }
    return new Update(new Update.Thing.OfSwatch(swatch), entry, taken, newest, differences);
  }

  private static void add(
      List<Update.Difference> differences,
      Part part,
      Optional<Object> before,
      Object mine,
      Object shelf) {
    if (!mine.equals(shelf)) {
      differences.add(
          new Update.Difference(part, before.orElse(mine), mine, shelf, before.isPresent()));
    }
  }
}
