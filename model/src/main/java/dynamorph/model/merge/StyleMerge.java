package dynamorph.model.merge;

import dynamorph.model.merge.ThreeWay.Place;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import java.util.List;

/**
 * Puts together what two people made of one style or swatch, by value. Where they collide, mine
 * stays.
 *
 * @param conflicts what both changed otherwise; the same whoever is mine
 */
public record StyleMerge<T>(T merged, List<Conflict> conflicts) {
  /**
   * Merges two changes of a style.
   *
   * @param base what both began with
   */
  public static StyleMerge<Style> of(Style base, Style mine, Style theirs) {
    ThreeWay merge = new ThreeWay();
    Style merged = new Items(merge).merge(base, mine, theirs);
    return new StyleMerge<>(merged, merge.conflicts());
  }

  /** Merges two changes of a swatch. */
  public static StyleMerge<Swatch> of(Swatch base, Swatch mine, Swatch theirs) {
    ThreeWay merge = new ThreeWay();
    Place at = new Place(Conflict.Kind.SWATCH, mine.name());
    Swatch merged =
        new Swatch(
            mine.id(),
            merge.value(base.name(), mine.name(), theirs.name(), at.field("name")),
            merge.value(base.colour(), mine.colour(), theirs.colour(), at.field("colour")),
            merge.value(base.origin(), mine.origin(), theirs.origin(), at.field("shelf")));
    return new StyleMerge<>(merged, merge.conflicts());
  }

  record Items(ThreeWay merge) implements ThreeWay.Items<Style> {
    @Override
    public Place place(Style style) {
      return new Place(Conflict.Kind.STYLE, style.name());
    }

    @Override
    public Style merge(Style base, Style mine, Style theirs) {
      Place at = place(mine);
      return new Style(
          mine.id(),
          merge.value(base.name(), mine.name(), theirs.name(), at.field("name")),
          merge.value(base.group(), mine.group(), theirs.group(), at.field("group")),
          merge.value(base.level(), mine.level(), theirs.level(), at.field("level")),
          merge.value(base.basedOn(), mine.basedOn(), theirs.basedOn(), at.field("based-on")),
          merge.properties(base.properties(), mine.properties(), theirs.properties(), at),
          merge.value(base.sample(), mine.sample(), theirs.sample(), at.field("sample")),
          merge.value(base.label(), mine.label(), theirs.label(), at.field("label")),
          merge.value(base.note(), mine.note(), theirs.note(), at.field("note")),
          merge.value(base.origin(), mine.origin(), theirs.origin(), at.field("shelf")));
    }
  }
}
