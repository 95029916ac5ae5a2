package dynamorph.shelf.entry;

import dynamorph.model.merge.Conflict;
import dynamorph.model.merge.StyleMerge;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * A style or a swatch as a shelf keeps it. Its id is that of the entry; bases and swatches are
 * named by the ids of their entries; it has no origin, since this is where it comes from.
 */
public sealed interface Kept {
  String id();

  String name();

  /** Words to find it by. */
  SortedSet<String> tags();

  Kept withTags(SortedSet<String> changed);

  /**
   * A style.
   *
   * @param assets hashes (SHA-256, hexadecimal) of the images it is painted with and the fonts it
   *     brings, by their names in a project
   */
  record OfStyle(Style style, SortedSet<String> tags, SortedMap<String, String> assets)
      implements Kept {
    public OfStyle {
      style = style.withOrigin(Optional.empty());
      tags = Collections.unmodifiableSortedSet(new TreeSet<>(tags));
      assets = Collections.unmodifiableSortedMap(new TreeMap<>(assets));
    }

    public OfStyle(Style style) {
      this(style, new TreeSet<>(), new TreeMap<>());
    }

    @Override
    public String id() {
      return style.id().value();
    }

    @Override
    public String name() {
      return style.name();
    }

    public OfStyle withStyle(Style changed) {
      return new OfStyle(changed, tags, assets);
    }

    @Override
    public OfStyle withTags(SortedSet<String> changed) {
      return new OfStyle(style, changed, assets);
    }
  }

  /** A swatch. */
  record OfSwatch(Swatch swatch, SortedSet<String> tags) implements Kept {
    public OfSwatch {
      swatch = swatch.withOrigin(Optional.empty());
      tags = Collections.unmodifiableSortedSet(new TreeSet<>(tags));
    }

    public OfSwatch(Swatch swatch) {
      this(swatch, new TreeSet<>());
    }

    @Override
    public String id() {
      return swatch.id();
    }

    @Override
    public String name() {
      return swatch.name();
    }

    @Override
    public OfSwatch withTags(SortedSet<String> changed) {
      return new OfSwatch(swatch, changed);
    }
  }

  /**
   * Two sides put together.
   *
   * @param kept empty if it is deleted
   * @param conflicts what both changed otherwise; mine stands there
   */
  record Merge(Optional<Kept> kept, List<Conflict> conflicts) {}

  /**
   * Puts two changes together by value (three-way merge). What one side deleted while the other
   * changed it stays.
   *
   * @param base what both began with; empty if they have nothing in common
   */
  static Merge merge(Optional<Kept> base, Optional<Kept> mine, Optional<Kept> theirs) {
    if (mine.equals(theirs) || theirs.equals(base)) {
      return new Merge(mine, List.of());
    }
    if (mine.equals(base)) {
      return new Merge(theirs, List.of());
    }
    if (mine.isEmpty() || theirs.isEmpty()) {
      Kept left = mine.or(() -> theirs).orElseThrow();
      return new Merge(Optional.of(left), List.of(whole(left)));
    }
    return switch (mine.get()) {
      case OfStyle own
          when theirs.get() instanceof OfStyle other
              && base.orElse(null) instanceof OfStyle before ->
          styles(before, own, other);
      case OfSwatch own
          when theirs.get() instanceof OfSwatch other
              && base.orElse(null) instanceof OfSwatch before ->
          swatches(before, own, other);
      case Kept own -> new Merge(mine, List.of(whole(own)));
    };
  }

  private static Conflict whole(Kept kept) {
    Conflict.Kind kind = kept instanceof OfStyle ? Conflict.Kind.STYLE : Conflict.Kind.SWATCH;
    return new Conflict(kind, kept.name(), new Conflict.Part.Whole());
  }

  private static Merge styles(OfStyle base, OfStyle mine, OfStyle theirs) {
    StyleMerge<Style> merge = StyleMerge.of(base.style(), mine.style(), theirs.style());
    List<Conflict> conflicts = new ArrayList<>(merge.conflicts());
    SortedMap<String, String> assets = new TreeMap<>(mine.assets());
    SortedSet<String> names = new TreeSet<>(theirs.assets().keySet());
    names.addAll(base.assets().keySet());
    for (String name : names) {
      String before = base.assets().get(name);
      String own = mine.assets().get(name);
      String other = theirs.assets().get(name);
      if (Objects.equals(own, other) || Objects.equals(other, before)) {
        continue;
      }
      if (Objects.equals(own, before)) {
        if (other == null) {
          assets.remove(name);
        } else {
          assets.put(name, other);
        }
      } else {
        conflicts.add(new Conflict(Conflict.Kind.FILE, mine.name(), new Conflict.Part.Field(name)));
      }
    }
    SortedSet<String> tags = tags(base.tags(), mine.tags(), theirs.tags());
    return new Merge(Optional.of(new OfStyle(merge.merged(), tags, assets)), conflicts);
  }

  private static Merge swatches(OfSwatch base, OfSwatch mine, OfSwatch theirs) {
    StyleMerge<Swatch> merge = StyleMerge.of(base.swatch(), mine.swatch(), theirs.swatch());
    SortedSet<String> tags = tags(base.tags(), mine.tags(), theirs.tags());
    return new Merge(Optional.of(new OfSwatch(merge.merged(), tags)), merge.conflicts());
  }

  private static SortedSet<String> tags(
      SortedSet<String> base, SortedSet<String> mine, SortedSet<String> theirs) {
    SortedSet<String> tags = new TreeSet<>(mine);
    tags.addAll(theirs);
    tags.removeIf(tag -> base.contains(tag) && !(mine.contains(tag) && theirs.contains(tag)));
    return tags;
  }
}
