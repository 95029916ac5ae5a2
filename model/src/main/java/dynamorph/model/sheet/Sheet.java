package dynamorph.model.sheet;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.DominantLook;
import dynamorph.model.edit.Target;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.LayerQuery;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.Grouping;
import dynamorph.model.sheet.view.RowUnit;
import dynamorph.model.sheet.view.SheetOrder;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.TextRange;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Numbers;
import java.text.Collator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * All texts of a project side by side.
 *
 * @param matching those that the query means
 * @param wrong why the query cannot be read; then it means nothing
 * @param unit what has a row of its own
 * @param texts how many rows there are without a query
 */
public record Sheet(
    Project project,
    Cascade cascade,
    RowUnit unit,
    List<Group> groups,
    Set<SheetRow.Key> matching,
    Optional<String> wrong,
    int texts) {
  /**
   * Texts that stand together.
   *
   * @param title what they have in common; empty if there is but one group
   * @param local how many of them have local changes
   */
  public record Group(String title, List<SheetRow> rows, int local) {}

  /** A query has one of these; words to be found have none. */
  private static final java.util.regex.Pattern QUERY =
      java.util.regex.Pattern.compile("^[!(\\s]*[a-z][a-z0-9/-]*\\s*(=|!=|~|!~|<|>).*");

  /** Whether what is asked for is in the language that chooses texts; else it is words. */
  public static boolean isQuery(String asked) {
    return QUERY.matcher(asked).matches();
  }

  /** Lists the texts of a project. */
  public static Sheet of(Project project, SheetOrder order) {
    Cascade cascade = Cascade.of(project);
    List<SheetRow> all = new ArrayList<>();
    for (Artboard board : project.artboards()) {
      for (Layer layer : board.layers()) {
        if (layer.isText() && !layer.isFurtherBox()) {
          all.addAll(SheetRow.of(board, layer, order.unit()));
        }
      }
    }
    String query = order.query().strip();
    Set<SheetRow.Key> matching = new HashSet<>();
    Optional<String> wrong = Optional.empty();
    try {
      matching = query.isEmpty() ? Set.of() : matching(project, cascade, query, all);
    } catch (IllegalArgumentException unreadable) {
      wrong = Optional.of(String.valueOf(unreadable.getMessage()));
    }
    boolean filters = order.onlyMatching() && !query.isEmpty() && wrong.isEmpty();
    Set<SheetRow.Key> meant = matching;
    List<SheetRow> rows =
        filters
            ? all.stream()
                .filter(row -> meant.contains(row.key()))
                .collect(Collectors.toCollection(ArrayList::new))
            : new ArrayList<>(all);
    order
        .sorted()
        .ifPresent(column -> {
          Comparator<SheetRow> rising = comparator(project, cascade, column, rows);
          rows.sort(order.falling() ? rising.reversed() : rising);
        });
    return new Sheet(
        project,
        cascade,
        order.unit(),
        grouped(project, cascade, order.grouping(), rows),
        matching,
        wrong,
        all.size());
  }

  /**
   * The same list with its texts as they are in another state, such as one that is tried: what is
   * tried on must not take texts out of the list that they are looked at in.
   */
  public Sheet showing(Project shown) {
    if (shown == project) {
      return this;
    }
    Map<SheetRow.Key, SheetRow> rows = new HashMap<>();
    for (Artboard board : shown.artboards()) {
      for (Layer layer : board.layers()) {
        if (layer.isText()) {
          SheetRow.of(board, layer, unit).forEach(row -> rows.put(row.key(), row));
        }
      }
    }
    List<Group> changed =
        groups.stream()
            .map(group ->
                new Group(
                    group.title(),
                    group.rows().stream().map(row -> rows.getOrDefault(row.key(), row)).toList(),
                    group.local()))
            .toList();
    return new Sheet(shown, Cascade.of(shown), unit, changed, matching, wrong, texts);
  }

  private static Set<SheetRow.Key> matching(
      Project project, Cascade cascade, String query, List<SheetRow> rows) {
    Predicate<SheetRow> wanted;
    if (isQuery(query)) {
      LayerQuery read = LayerQuery.parse(query);
      wanted = row -> read.fits(project, cascade, row.board(), row.layer(), () -> local(row));
    } else {
      String words = query.toLowerCase(Locale.ROOT);
      wanted =
          row ->
              row.layer().story().text().toLowerCase(Locale.ROOT).contains(words)
                  || row.layer().name().toLowerCase(Locale.ROOT).contains(words);
    }
    return rows.stream().filter(wanted).map(SheetRow::key).collect(Collectors.toSet());
  }

  // --- groups ---------------------------------------------------------------------------------

  private static List<Group> grouped(
      Project project, Cascade cascade, Grouping grouping, List<SheetRow> rows) {
    Function<SheetRow, String> title =
        switch (grouping) {
          case NONE -> _ -> "";
          case STYLE -> row -> styles(project, row);
          case ARTBOARD -> row -> row.board().name();
          case TRACK -> Sheet::track;
          case LOOK -> row -> look(cascade, row.layer());
        };
    Map<String, List<SheetRow>> groups = new LinkedHashMap<>();
    for (SheetRow row : rows) {
      groups.computeIfAbsent(title.apply(row), _ -> new ArrayList<>()).add(row);
    }
    return groups.entrySet().stream()
        .map(entry ->
            new Group(
                entry.getKey(),
                List.copyOf(entry.getValue()),
                (int) entry.getValue().stream().filter(row -> local(row) > 0).count()))
        .toList();
  }

  private static String track(SheetRow row) {
    return row.layer()
        .track()
        .flatMap(id -> row.board().timeline().flatMap(line -> line.track(id)))
        .map(Track::name)
        .map(name -> Messages.of("sheet.in", row.board().name(), name))
        .orElse(row.board().name());
  }

  private static String look(Cascade cascade, Layer layer) {
    PropertySet look = DominantLook.of(cascade, layer);
    return Messages.of(
        "sheet.look",
        Coats.value(look, Properties.FONT_FAMILY.key()),
        Numbers.format(Coats.value(look, Properties.FONT_WEIGHT.key()), 0),
        Numbers.format(Coats.value(look, Properties.SIZE.key()).over(0), 1));
  }

  /**
   * The names of the styles that a text takes as a whole, the last added first; of a part those of
   * its own, or where it has none those of the text around it.
   */
  public static String styles(Project project, SheetRow row) {
    Paragraph first = row.layer().story().paragraphs().getFirst();
    List<StyleId> own =
        switch (row.words().map(Target.Words::range).orElse(null)) {
          case null -> List.of();
          case TextRange range when range.isEmpty() -> first.follows().stream().toList();
          case TextRange _ -> first.spans().getFirst().follows();
        };
    List<StyleId> taken = own.isEmpty() ? project.taken(row.layer()) : own;
    String names =
        taken.reversed().stream()
            .flatMap(id -> project.styles().find(id).stream())
            .map(Style::name)
            .collect(Collectors.joining(", "));
    return names.isEmpty() ? Messages.of("sheet.no-style") : names;
  }

  // --- cells ----------------------------------------------------------------------------------

  /** What stands in a cell. */
  public String text(SheetRow row, Column column) {
    return switch (column) {
      case Column.Fact fact -> text(row, fact);
      case Column.Value(PropertyKey<?> key) -> value(row, key);
    };
  }

  private String text(SheetRow row, Column.Fact fact) {
    return switch (fact) {
      case WORDS -> row.layer().story().text();
      case PLACE -> track(row);
      case TIME -> time(row);
      case STYLES -> styles(project, row);
      case LOCAL -> {
        int count = local(row);
        yield count == 0 ? "" : String.valueOf(count);
      }
    };
  }

  /** How many local changes it has; a part has not those of the text around it. */
  public static int local(SheetRow row) {
    return row.words()
        .map(part -> LocalChanges.countInside(row.layer(), part.isOfParagraphs()))
        .orElseGet(() -> LocalChanges.count(row.layer()));
  }

  private static String time(SheetRow row) {
    Optional<Timeline> line = row.board().timeline();
    return row.layer()
        .timing()
        .flatMap(own -> line.map(timeline -> timeline.codeAt(own.in())))
        .orElse("");
  }

  /** A value as files and fields write it. */
  private <T> String value(SheetRow row, PropertyKey<T> key) {
    T value = Coats.value(DominantLook.of(cascade, row.layer()), key);
    return key.property().type().format(value);
  }

  /** Whether letters of a text have different values for a key. */
  public boolean isMixed(SheetRow row, PropertyKey<?> key) {
    Layer layer = row.layer();
    if (layer.story().paragraphs().size() == 1
        && layer.story().paragraphs().getFirst().spans().size() == 1) {
      return false;
    }
    return layer.story().paragraphs().stream()
            .filter(paragraph -> !paragraph.text().isBlank())
            .flatMap(paragraph ->
                paragraph.spans().stream()
                    .map(span -> cascade.values(layer, paragraph, span).get(key)))
            .distinct()
            .count()
        > 1;
  }

  // --- order ----------------------------------------------------------------------------------

  private static Comparator<SheetRow> comparator(
      Project project, Cascade cascade, Column column, List<SheetRow> rows) {
    return switch (column) {
      case Column.Fact fact ->
          switch (fact) {
            case LOCAL -> Comparator.comparingInt(Sheet::local);
            case TIME ->
                Comparator.comparingLong(
                    row -> row.layer().timing().map(Timing::in).map(in -> in.ticks()).orElse(-1L));
            case WORDS -> byWords(rows, row -> row.layer().story().text());
            case PLACE -> byWords(rows, Sheet::track);
            case STYLES -> byWords(rows, row -> styles(project, row));
          };
      case Column.Value(PropertyKey<?> key) -> byValue(cascade, key, rows);
    };
  }

  /** Words are read once, as comparing them by the rules of a language takes long. */
  private static Comparator<SheetRow> byWords(
      List<SheetRow> rows, Function<SheetRow, String> words) {
    Collator collator = Collator.getInstance(Locale.ENGLISH);
    Map<String, java.text.CollationKey> known = new HashMap<>();
    Map<SheetRow.Key, java.text.CollationKey> keys = new HashMap<>();
    rows.forEach(row ->
        keys.put(row.key(), known.computeIfAbsent(words.apply(row), collator::getCollationKey)));
    return Comparator.comparing(row -> java.util.Objects.requireNonNull(keys.get(row.key())));
  }

  private static <T> Comparator<SheetRow> byValue(
      Cascade cascade, PropertyKey<T> key, List<SheetRow> rows) {
    Map<SheetRow.Key, T> values = new HashMap<>();
    rows.forEach(
        row -> values.put(row.key(), Coats.value(DominantLook.of(cascade, row.layer()), key)));
    return Comparator.comparingDouble(
            (SheetRow row) -> amount(java.util.Objects.requireNonNull(values.get(row.key()))))
        .thenComparing(row ->
            key.property().type().format(java.util.Objects.requireNonNull(values.get(row.key()))));
  }

  private static double amount(Object value) {
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
