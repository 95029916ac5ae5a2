package dynamorph.model.sheet;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.DominantLook;
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
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.Numbers;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
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
 * @param unit what has a row of its own
 * @param all every row in the order of the project
 * @param matches how many the query means
 * @param meant those that it means, where others are listed too
 * @param wrong why the query cannot be read; then it means nothing
 */
public record Sheet(
    Project project,
    Cascade cascade,
    RowUnit unit,
    List<SheetRow> all,
    List<Group> groups,
    int matches,
    Optional<Set<SheetRow.Key>> meant,
    Optional<String> wrong) {
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
    return of(project, order, Optional.empty());
  }

  /**
   * Lists the texts of a project. What is known of artboards and looks that stayed is used again.
   *
   * @param earlier a list of it as it was
   */
  public static Sheet of(Project project, SheetOrder order, Optional<Sheet> earlier) {
    Cascade cascade =
        earlier.map(known -> known.cascade.follow(project)).orElseGet(() -> Cascade.of(project));
    List<SheetRow> all =
        all(project, order.unit(), earlier.filter(known -> known.unit == order.unit()));
    String query = order.query().strip();
    List<SheetRow> matching = List.of();
    Optional<String> wrong = Optional.empty();
    try {
      matching = query.isEmpty() ? List.of() : matching(project, cascade, query, all);
    } catch (IllegalArgumentException unreadable) {
      wrong = Optional.of(String.valueOf(unreadable.getMessage()));
    }
    boolean asked = !query.isEmpty() && wrong.isEmpty();
    List<SheetRow> rows = asked && order.onlyMatching() ? matching : all;
    List<SheetRow> listed = rows;
    List<SheetRow> sorted =
        order
            .sorted()
            .map(column -> new SheetSorting(project, cascade, order.falling()).by(column, listed))
            .orElse(listed);
    return new Sheet(
        project,
        cascade,
        order.unit(),
        all,
        grouped(project, cascade, order.grouping(), sorted),
        matching.size(),
        asked && !order.onlyMatching()
            ? Optional.of(matching.stream().map(SheetRow::key).collect(Collectors.toSet()))
            : Optional.empty(),
        wrong);
  }

  /** How many rows there are without a query. */
  public int texts() {
    return all.size();
  }

  /** Whether a row that is listed is what the query means; all are if there is none. */
  public boolean isMeant(SheetRow row) {
    return meant.isEmpty() || meant.get().contains(row.key());
  }

  private static List<SheetRow> all(Project project, RowUnit unit, Optional<Sheet> earlier) {
    if (earlier.isPresent() && earlier.get().project == project) {
      return earlier.get().all;
    }
    Map<Artboard, List<SheetRow>> known = new IdentityHashMap<>();
    earlier.ifPresent(sheet ->
        sheet.all.forEach(
            row -> known.computeIfAbsent(row.board(), _ -> new ArrayList<>()).add(row)));
    List<SheetRow> all = new ArrayList<>();
    for (Artboard board : project.artboards()) {
      List<SheetRow> rows = known.get(board);
      if (rows == null) {
        rows = new ArrayList<>();
        for (Layer layer : board.layers()) {
          if (layer.isText() && !layer.isFurtherBox()) {
            rows.addAll(SheetRow.of(board, layer, unit));
          }
        }
      }
      all.addAll(rows);
    }
    return Collections.unmodifiableList(all);
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
    return new Sheet(shown, cascade.follow(shown), unit, all, changed, matches, meant, wrong);
  }

  private static List<SheetRow> matching(
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
    return rows.parallelStream().filter(wanted).toList();
  }

  // --- groups ---------------------------------------------------------------------------------

  private static List<Group> grouped(
      Project project, Cascade cascade, Grouping grouping, List<SheetRow> rows) {
    Function<SheetRow, String> title =
        switch (grouping) {
          case NONE -> _ -> "";
          case STYLE -> new StyleNames(project)::of;
          case ARTBOARD -> row -> row.board().name();
          case TRACK -> Sheet::track;
          case LOOK -> {
            // thousands of texts have few looks
            Map<PropertySet, String> known = new IdentityHashMap<>();
            yield row -> known.computeIfAbsent(DominantLook.of(cascade, row.layer()), Sheet::look);
          }
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
                (int) entry.getValue().stream().filter(Sheet::isLocal).count()))
        .toList();
  }

  static String track(SheetRow row) {
    return row.layer()
        .track()
        .flatMap(id -> row.board().timeline().flatMap(line -> line.track(id)))
        .map(Track::name)
        .map(name -> Messages.of("sheet.in", row.board().name(), name))
        .orElse(row.board().name());
  }

  private static String look(PropertySet look) {
    return Messages.of(
        "sheet.look",
        Coats.value(look, Properties.FONT_FAMILY.key()),
        Numbers.format(Coats.value(look, Properties.FONT_WEIGHT.key()), 0),
        Numbers.format(Coats.value(look, Properties.SIZE.key()).over(0), 1));
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
      case STYLES -> new StyleNames(project).of(row);
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

  private static boolean isLocal(SheetRow row) {
    return row.words().isEmpty() ? LocalChanges.isAny(row.layer()) : local(row) > 0;
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
}
