package dynamorph.model.fill;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedSet;
import java.util.Set;

/**
 * A pattern artboard with the cells of a row in its fields. Paragraphs of which all fields are
 * empty go, and so do texts of which nothing is left.
 *
 * @param problems what could not be filled, a line each
 */
public record FilledArtboard(Artboard artboard, List<String> problems) {
  /** Columns that the fields of a pattern name and a table does not have. */
  public static SequencedSet<String> missing(Artboard pattern, DataTable table) {
    SequencedSet<String> missing = new LinkedHashSet<>(columns(pattern));
    missing.removeIf(column -> column(table, column) >= 0);
    return missing;
  }

  /** The columns that the fields of a pattern name. */
  public static SequencedSet<String> columns(Artboard pattern) {
    SequencedSet<String> columns = new LinkedHashSet<>();
    for (Layer layer : pattern.layers()) {
      for (String words : List.of(layer.name(), layer.story().text())) {
        for (Field field : Field.in(words)) {
          switch (field.kind()) {
            case Field.Kind.Cell(String column, _, _) -> columns.add(column);
            case Field.Kind.If(Condition condition) -> columns.add(condition.column());
            case Field.Kind.StyleOf(String column) -> columns.add(column);
            case Field.Kind.Brace _ -> {}
          }
        }
      }
    }
    return columns;
  }

  private static int column(DataTable table, String wanted) {
    for (int index = 0; index < table.columns().size(); index++) {
      if (table.columns().get(index).strip().equalsIgnoreCase(wanted)) {
        return index;
      }
    }
    return -1;
  }

  /**
   * Fills a pattern.
   *
   * @param id of the artboard that comes of it; those of its layers begin with it
   * @param name of the artboard, with fields; that of the pattern where nothing is left of it
   */
  public static FilledArtboard of(
      Project project,
      Cascade cascade,
      Artboard pattern,
      DataTable table,
      DataTable.Row row,
      ArtboardId id,
      String name) {
    Filling filling = new Filling(project, cascade, table, row);
    String called = filling.plain(name);
    List<Layer> filled = new ArrayList<>();
    Map<LayerId, LayerId> made = new HashMap<>();
    for (Layer layer : pattern.layers()) {
      filling
          .layer(layer)
          .ifPresent(one -> {
            made.put(layer.id(), own(id, layer));
            filled.add(one.withId(own(id, layer)));
          });
    }
    LinkedBoxes links = LinkedBoxes.of(project);
    List<Layer> layers = filled.stream().map(layer -> links.relinked(layer, made)).toList();
    Artboard artboard =
        new Artboard(
            id,
            called.isEmpty() ? pattern.name() : called,
            pattern.width(),
            pattern.height(),
            pattern.unit(),
            pattern.background(),
            pattern.x(),
            pattern.y(),
            pattern.layers().minusAll(pattern.layers()).plusAll(layers),
            pattern.baseStyle(),
            Optional.empty());
    return new FilledArtboard(artboard, filling.problems.stream().toList());
  }

  private static LayerId own(ArtboardId artboard, Layer layer) {
    return new LayerId(artboard.value() + "-" + layer.id().value());
  }

  /** The state of one row. */
  private static final class Filling {
    private final Project project;
    private final Cascade cascade;
    private final DataTable table;
    private final DataTable.Row row;
    private final Set<String> problems = new LinkedHashSet<>();

    Filling(Project project, Cascade cascade, DataTable table, DataTable.Row row) {
      this.project = project;
      this.cascade = cascade;
      this.table = table;
      this.row = row;
    }

    private String cell(String column) {
      int index = FilledArtboard.column(table, column);
      if (index < 0) {
        problems.add(Messages.of("filled-artboard.no-column", column));
        return "";
      }
      return row.cells().get(index).strip();
    }

    Optional<Layer> layer(Layer layer) {
      for (Field field : Field.in(layer.name() + "\n" + layer.story().text())) {
        if (field.kind() instanceof Field.Kind.If(Condition condition)
            && !condition.holds(this::cell)) {
          return Optional.empty();
        }
      }
      Layer named = layer.withName(plain(layer.name()));
      if (!layer.isText()) {
        return Optional.of(named);
      }
      List<StyleId> follows = new ArrayList<>(layer.follows());
      List<Paragraph> paragraphs = new ArrayList<>();
      for (Paragraph paragraph : layer.story().paragraphs()) {
        paragraph(layer, paragraph, follows).ifPresent(paragraphs::add);
      }
      boolean gone = paragraphs.isEmpty() && !layer.story().text().isBlank();
      return gone
          ? Optional.empty()
          : Optional.of(named.withFollows(follows).withStory(new Story(paragraphs)));
    }

    /** A paragraph with its fields filled, unless all of them are empty. */
    private Optional<Paragraph> paragraph(
        Layer layer, Paragraph paragraph, List<StyleId> textStyles) {
      List<Field> fields = Field.in(paragraph.text());
      if (fields.isEmpty()) {
        return Optional.of(paragraph);
      }
      String language = language(layer, paragraph);
      Story story = new Story(List.of(paragraph));
      Optional<StyleId> follows = paragraph.follows();
      boolean cells = false;
      boolean words = false;
      // from the end, so that offsets stay
      for (Field field : fields.reversed()) {
        String text =
            switch (field.kind()) {
              case Field.Kind.Cell cell -> {
                String shown = shown(cell, language);
                cells = true;
                words |= !shown.isEmpty();
                yield shown;
              }
              case Field.Kind.Brace(String brace) -> brace;
              case Field.Kind.If _ -> "";
              case Field.Kind.StyleOf(String column) -> {
                Optional<Style> style = style(column);
                if (style.filter(one -> one.level() == StyleLevel.TEXT).isPresent()) {
                  textStyles.remove(style.get().id());
                  textStyles.add(style.get().id());
                } else if (style.filter(one -> one.level() == StyleLevel.PARAGRAPH).isPresent()) {
                  follows = style.map(Style::id);
                }
                yield "";
              }
            };
        story = story.replace(new TextRange(field.start(), field.end()), text);
      }
      Paragraph filled = story.paragraphs().getFirst().withFollows(follows);
      boolean only = filled.text().isBlank() && !paragraph.text().isBlank();
      return cells && !words || only ? Optional.empty() : Optional.of(filled);
    }

    private String language(Layer layer, Paragraph paragraph) {
      String set = Coats.value(cascade.values(layer, paragraph), Properties.LANGUAGE.key());
      return set.equals(Properties.LANGUAGE.defaultValue()) ? project.language() : set;
    }

    private Optional<Style> style(String column) {
      String name = cell(column);
      if (name.isEmpty()) {
        return Optional.empty();
      }
      Optional<Style> style = project.styles().named(name);
      if (style.isEmpty() || style.get().level() == StyleLevel.CHARACTER) {
        problems.add(Messages.of("filled-artboard.no-style", name));
        return Optional.empty();
      }
      return style;
    }

    private String shown(Field.Kind.Cell field, String language) {
      String cell = cell(field.column());
      if (cell.isEmpty()) {
        return field.otherwise();
      }
      Optional<String> formatted = CellFormat.of(cell, field.format(), language);
      if (formatted.isEmpty()) {
        problems.add(
            Messages.of("filled-artboard.not-of-the-format", field.column(), cell, field.format()));
      }
      return formatted.orElse(cell).replace("\r\n", "\n").replace('\n', '\u2028');
    }

    /** Words without a look, such as names. */
    String plain(String words) {
      StringBuilder filled = new StringBuilder(words);
      for (Field field : Field.in(words).reversed()) {
        String text =
            switch (field.kind()) {
              case Field.Kind.Cell cell -> shown(cell, project.language());
              case Field.Kind.Brace(String brace) -> brace;
              case Field.Kind.If _, Field.Kind.StyleOf _ -> "";
            };
        filled.replace(field.start(), field.end(), text);
      }
      return filled.toString().replace('\u2028', ' ').strip();
    }
  }
}
