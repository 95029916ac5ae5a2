package dynamorph.model.edit.importing;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.fill.DataTable;
import dynamorph.model.fill.DataTable.Role;
import dynamorph.model.message.Messages;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Makes a title of each row of a table, after a pattern: with its styles and local changes, and its
 * words changed. The words of the pattern that stand in braces, such as {@code {name}}, are those
 * of the column of that name; without braces the columns become its lines, in order.
 *
 * @param pattern a title of the film
 * @param roles what each column is for
 * @param start when the first title is seen, if the table does not tell
 * @param gap between titles of which the table does not tell when they are seen
 * @param prefix of the ids of the titles
 */
public record ImportTitles(
    ArtboardId film,
    LayerId pattern,
    DataTable table,
    List<Role> roles,
    Time start,
    Time gap,
    String prefix)
    implements Edit {
  public ImportTitles {
    roles = List.copyOf(roles);
  }

  /** By the names of the columns. */
  public static List<Role> roles(DataTable table) {
    return table.columns().stream().map(Role::of).toList();
  }

  /**
   * A row and the title that it makes, or why it makes none.
   *
   * @param title empty if it is refused
   * @param why empty if it is not
   */
  public record Made(DataTable.Row row, Optional<Layer> title, String why) {}

  /** What each row makes. */
  public List<Made> made(Project project) {
    Artboard board = board(project);
    Layer model = model(board);
    Timeline line = board.timeline().orElseThrow();
    List<Made> made = new ArrayList<>();
    Time next = start;
    Time usual = model.timing().map(Timing::length).orElse(Time.ofMillis(5000));
    int number = 1;
    for (DataTable.Row row : table.rows()) {
      Made one = made(row, model, line, next, usual, number++);
      made.add(one);
      next = one.title().flatMap(Layer::timing).map(timing -> timing.out().plus(gap)).orElse(next);
    }
    return made;
  }

  private Made made(
      DataTable.Row row, Layer model, Timeline line, Time next, Time usual, int number) {
    List<String> words = new ArrayList<>();
    for (int column = 0; column < roles.size(); column++) {
      if (roles.get(column) == Role.WORDS) {
        words.add(row.cells().get(column));
      }
    }
    if (words.stream().allMatch(String::isBlank)) {
      return new Made(row, Optional.empty(), Messages.of("import-titles.it-has-no-words"));
    }
    try {
      Time in = cell(row, Role.IN, line).orElse(next);
      Time out =
          cell(row, Role.OUT, line).or(() -> length(row).map(in::plus)).orElse(in.plus(usual));
      if (!in.isBefore(out)) {
        return new Made(
            row,
            Optional.empty(),
            Messages.of(
                "import-titles.it-would-be-seen-from-to", line.codeAt(in), line.codeAt(out)));
      }
      String first = words.stream().filter(word -> !word.isBlank()).findFirst().orElseThrow();
      Layer title =
          model
              .withId(new LayerId(prefix + "-" + number))
              .withName(first)
              .withStory(story(model.story(), row, words))
              .withTiming(
                  model
                      .timing()
                      .orElseThrow()
                      .between(line.rate().snap(in), line.rate().snap(out)));
      return new Made(row, Optional.of(title), "");
    } catch (IllegalArgumentException wrong) {
      return new Made(row, Optional.empty(), String.valueOf(wrong.getMessage()));
    }
  }

  private Optional<Time> cell(DataTable.Row row, Role role, Timeline line) {
    int column = roles.indexOf(role);
    return column < 0 || row.cells().get(column).isBlank()
        ? Optional.empty()
        : Optional.of(time(row.cells().get(column), line));
  }

  /** A timecode, or seconds. */
  private static Time time(String text, Timeline line) {
    if (text.matches("\\d{1,7}([.,]\\d{1,9})?")) {
      return Time.ofSeconds(Double.parseDouble(text.replace(',', '.')));
    }
    if (text.matches("\\d{1,3}:\\d{2}:\\d{2}[.,]\\d{1,3}")) {
      String[] parts = text.replace(',', '.').split(":");
      return Time.ofSeconds(
          Integer.parseInt(parts[0]) * 3600
              + Integer.parseInt(parts[1]) * 60
              + Double.parseDouble(parts[2]));
    }
    return line.rate().at(Math.max(0, line.timecode().parse(text) - line.firstFrame()));
  }

  private Optional<Time> length(DataTable.Row row) {
    int column = roles.indexOf(Role.LENGTH);
    if (column < 0 || row.cells().get(column).isBlank()) {
      return Optional.empty();
    }
    String text = row.cells().get(column).replace(',', '.');
    if (!text.matches("\\d{1,6}(\\.\\d{1,6})?")) {
      throw new IllegalArgumentException(
          Messages.of("import-titles.is-no-length-in-seconds", text));
    }
    return Optional.of(Time.ofSeconds(Double.parseDouble(text)));
  }

  private Story story(Story model, DataTable.Row row, List<String> words) {
    if (model.text().matches("(?s).*\\{[^{}]+\\}.*")) {
      return model.mapParagraphs(
          paragraph -> paragraph.mapSpans(span -> span.withText(filled(span.text(), row))));
    }
    List<Paragraph> lines = new ArrayList<>();
    for (int index = 0; index < words.size(); index++) {
      if (words.get(index).isBlank()) {
        continue;
      }
      Paragraph like = model.paragraphs().get(Math.min(index, model.paragraphs().size() - 1));
      Span first = like.spans().getFirst();
      lines.add(like.withSpans(List.of(first.withText(words.get(index)))));
    }
    return new Story(lines);
  }

  private String filled(String text, DataTable.Row row) {
    String filled = text;
    for (int column = 0; column < table.columns().size(); column++) {
      String name = table.columns().get(column).toLowerCase(Locale.ROOT);
      filled =
          filled.replaceAll(
              "(?i)\\{" + java.util.regex.Pattern.quote(name) + "\\}",
              java.util.regex.Matcher.quoteReplacement(row.cells().get(column)));
    }
    return filled;
  }

  private Artboard board(Project project) {
    return project
        .artboard(film)
        .filter(Artboard::isFilm)
        .orElseThrow(() -> new EditRefused(Messages.of("common.the-film-is-no-longer-in")));
  }

  private Layer model(Artboard board) {
    return board
        .layer(pattern)
        .filter(layer -> layer.timing().isPresent() && layer.isText())
        .orElseThrow(
            () -> new EditRefused(Messages.of("import-titles.choose-a-title-of-the-film")));
  }

  @Override
  public Project applyTo(Project before) {
    List<Layer> titles = made(before).stream().flatMap(one -> one.title().stream()).toList();
    if (titles.isEmpty()) {
      throw new EditRefused(Messages.of("import-titles.no-row-of-the-table-makes"));
    }
    Time end =
        titles.stream()
            .map(title -> title.timing().orElseThrow().out())
            .max(Time::compareTo)
            .orElseThrow();
    return before.mapArtboards(board ->
        board.id().equals(film)
            ? board
                .withLayers(board.layers().plusAll(titles))
                .mapTimeline(line -> line.withDuration(Time.max(line.duration(), end)))
            : board);
  }

  @Override
  public String label(Project before) {
    return Messages.of("import-titles.make-title-from-a-table", table.rows().size());
  }
}
