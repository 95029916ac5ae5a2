package dynamorph.model.sheet;

import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.DominantLook;
import dynamorph.model.message.WordOrder;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.timeline.Timing;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * Puts rows in the order of a column. What is compared is worked out once for each row, on all
 * processors; rows that are alike stay in the order that they had.
 */
final class SheetSorting {
  private final Project project;
  private final Cascade cascade;
  private final boolean falling;

  SheetSorting(Project project, Cascade cascade, boolean falling) {
    this.project = project;
    this.cascade = cascade;
    this.falling = falling;
  }

  private record Keyed<O>(O key, List<SheetRow> rows) {}

  /** A value as a number, and as words where numbers are alike. */
  private record Amount(double amount, String words) implements Comparable<Amount> {
    private static final Comparator<Amount> RISING =
        Comparator.comparingDouble(Amount::amount).thenComparing(Amount::words);

    @Override
    public int compareTo(Amount other) {
      return RISING.compare(this, other);
    }
  }

  List<SheetRow> by(Column column, List<SheetRow> rows) {
    return switch (column) {
      case Column.Fact fact ->
          switch (fact) {
            case LOCAL -> by(rows, Sheet::local);
            case TIME ->
                by(
                    rows,
                    row -> row.layer().timing().map(Timing::in).map(in -> in.ticks()).orElse(-1L));
            case WORDS -> byWords(rows, row -> row.layer().story().text());
            case PLACE -> byWords(rows, Sheet::track);
            case STYLES -> byWords(rows, new StyleNames(project)::of);
          };
      case Column.Value(PropertyKey<?> key) -> byValue(rows, key);
    };
  }

  private <K extends Comparable<? super K>> List<SheetRow> by(
      List<SheetRow> rows, Function<SheetRow, K> key) {
    return by(rows, key, Function.identity());
  }

  /**
   * Thousands of rows have few keys: only these are compared.
   *
   * @param order what keys are compared by
   */
  private <K, O extends Comparable<? super O>> List<SheetRow> by(
      List<SheetRow> rows, Function<SheetRow, K> key, Function<K, O> order) {
    List<K> keys = rows.parallelStream().map(key).toList();
    Map<K, List<SheetRow>> alike = new LinkedHashMap<>();
    for (int index = 0; index < rows.size(); index++) {
      alike.computeIfAbsent(keys.get(index), _ -> new ArrayList<>(2)).add(rows.get(index));
    }
    @SuppressWarnings("unchecked")
    Keyed<O>[] keyed =
        alike.entrySet().parallelStream()
            .map(entry -> new Keyed<>(order.apply(entry.getKey()), entry.getValue()))
            .toArray(size -> (Keyed<O>[]) new Keyed<?>[size]);
    Comparator<Keyed<O>> rising = Comparator.comparing(Keyed::key);
    Arrays.parallelSort(keyed, falling ? rising.reversed() : rising);
    List<SheetRow> sorted = new ArrayList<>(rows.size());
    for (Keyed<O> one : keyed) {
      sorted.addAll(one.rows());
    }
    return Collections.unmodifiableList(sorted);
  }

  /** Words are read once, as comparing them by the rules of a language takes long. */
  private List<SheetRow> byWords(List<SheetRow> rows, Function<SheetRow, String> words) {
    return by(rows, words, WordOrder::key);
  }

  private <T> List<SheetRow> byValue(List<SheetRow> rows, PropertyKey<T> key) {
    Map<PropertySet, Amount> known = Collections.synchronizedMap(new IdentityHashMap<>());
    return by(
        rows,
        row ->
            known.computeIfAbsent(
                DominantLook.of(cascade, row.layer()),
                look -> amount(key, Coats.value(look, key))));
  }

  private static <T> Amount amount(PropertyKey<T> key, T value) {
    return new Amount(number(value), key.property().type().format(value));
  }

  private static double number(Object value) {
    return switch (value) {
      case Double number -> number;
      case FontSize size -> size.over(0);
      case Length length -> length.amount();
      case Leading.Absolute leading -> leading.points();
      case Leading.Relative leading -> leading.share();
      case Boolean flag -> flag ? 1 : 0;
      default -> 0;
    };
  }
}
