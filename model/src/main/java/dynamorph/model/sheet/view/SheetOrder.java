package dynamorph.model.sheet.view;

import dynamorph.model.property.Properties;
import java.util.List;
import java.util.Optional;

/**
 * How a sheet lists texts.
 *
 * @param unit what has a row of its own
 * @param sorted the column that they are sorted by; in the order of the project if empty
 * @param falling whether the largest comes first
 * @param query which texts are meant: in the language that chooses texts, or words that they have;
 *     empty for all
 * @param onlyMatching whether the others are left out instead of only unmarked
 */
public record SheetOrder(
    RowUnit unit,
    Grouping grouping,
    Optional<Column> sorted,
    boolean falling,
    String query,
    boolean onlyMatching) {
  /** As a sheet begins. */
  public static final SheetOrder USUAL =
      new SheetOrder(RowUnit.TEXT, Grouping.STYLE, Optional.empty(), false, "", true);

  /** The columns that a sheet begins with. */
  public static final List<Column> COLUMNS =
      List.of(
          Column.Fact.WORDS,
          Column.Fact.PLACE,
          Column.Fact.STYLES,
          new Column.Value(Properties.FONT_FAMILY.key()),
          new Column.Value(Properties.SIZE.key()));

  public SheetOrder withUnit(RowUnit changed) {
    return new SheetOrder(changed, grouping, sorted, falling, query, onlyMatching);
  }

  public SheetOrder withGrouping(Grouping changed) {
    return new SheetOrder(unit, changed, sorted, falling, query, onlyMatching);
  }

  /** Sorted by a column: rising at first, falling when asked again, then not any more. */
  public SheetOrder sortedBy(Column column) {
    boolean again = sorted.filter(column::equals).isPresent();
    return again && falling
        ? new SheetOrder(unit, grouping, Optional.empty(), false, query, onlyMatching)
        : new SheetOrder(unit, grouping, Optional.of(column), again, query, onlyMatching);
  }

  public SheetOrder withQuery(String changed) {
    return new SheetOrder(unit, grouping, sorted, falling, changed, onlyMatching);
  }

  public SheetOrder withOnlyMatching(boolean changed) {
    return new SheetOrder(unit, grouping, sorted, falling, query, changed);
  }
}
