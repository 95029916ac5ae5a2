package dynamorph.model.sheet;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.sheet.view.RowUnit;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A text, or a part of one, with the artboard or film that it stands on.
 *
 * @param layer the text; of a part the text as if it had only these words
 * @param words where the part stands in the text, as edits name it: letters, or a paragraph as an
 *     empty range at its start; empty for a whole text
 */
public record SheetRow(Artboard board, Layer layer, Key key, Optional<Target.Words> words) {
  /**
   * Which row it is.
   *
   * @param paragraph index; -1 for a whole text
   * @param run index within the paragraph; -1 for a whole paragraph
   */
  public record Key(LayerId layer, int paragraph, int run) {
    /** That of a whole text. */
    public static Key of(LayerId layer) {
      return new Key(layer, -1, -1);
    }
  }

  /** A whole text. */
  public SheetRow(Artboard board, Layer layer) {
    this(board, layer, Key.of(layer.id()), Optional.empty());
  }

  public LayerId id() {
    return layer.id();
  }

  /** The letters of the text that this row is about. */
  public TextRange range(Layer whole) {
    return words
        .map(part -> part.range().isEmpty() ? whole.story().rangeOf(key.paragraph()) : part.range())
        .orElseGet(() -> whole.story().all());
  }

  /** What edits of some rows are about. */
  public static Target target(List<SheetRow> rows) {
    List<Target.Words> parts = rows.stream().flatMap(row -> row.words().stream()).toList();
    return parts.isEmpty()
        ? new Target.Layers(rows.stream().map(SheetRow::id).toList())
        : new Target.Passages(parts);
  }

  /** The rows of a text; paragraphs and runs without letters have none. */
  static List<SheetRow> of(Artboard board, Layer layer, RowUnit unit) {
    return switch (unit) {
      case TEXT -> List.of(new SheetRow(board, layer));
      case PARAGRAPH -> paragraphs(board, layer);
      case RUN -> runs(board, layer);
    };
  }

  private static List<SheetRow> paragraphs(Artboard board, Layer layer) {
    List<SheetRow> rows = new ArrayList<>();
    int at = 0;
    for (int index = 0; index < layer.story().paragraphs().size(); index++) {
      Paragraph paragraph = layer.story().paragraphs().get(index);
      if (!paragraph.text().isBlank()) {
        rows.add(
            part(board, layer, new Key(layer.id(), index, -1), new TextRange(at, at), paragraph));
      }
      at += paragraph.length() + 1;
    }
    return rows;
  }

  private static List<SheetRow> runs(Artboard board, Layer layer) {
    List<SheetRow> rows = new ArrayList<>();
    int at = 0;
    for (int index = 0; index < layer.story().paragraphs().size(); index++) {
      Paragraph paragraph = layer.story().paragraphs().get(index);
      for (int run = 0; run < paragraph.spans().size(); run++) {
        Span span = paragraph.spans().get(run);
        if (!span.text().isBlank()) {
          rows.add(
              part(
                  board,
                  layer,
                  new Key(layer.id(), index, run),
                  new TextRange(at, at + span.length()),
                  paragraph.withSpans(List.of(span))));
        }
        at += span.length();
      }
      at++;
    }
    return rows;
  }

  private static SheetRow part(
      Artboard board, Layer layer, Key key, TextRange range, Paragraph words) {
    return new SheetRow(
        board,
        layer.withStory(new Story(List.of(words))),
        key,
        Optional.of(new Target.Words(layer.id(), range)));
  }
}
