package dynamorph.model.edit.sheet;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.sheet.SheetRow;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * Changes the words of texts, paragraphs or runs of letters where they stand; what is beside them
 * in their text stays.
 *
 * @param changes what becomes of the words of each row
 * @param verb what is done, such as {@code Edit}
 */
public record ChangeParts(Map<SheetRow, UnaryOperator<Story>> changes, String verb)
    implements Edit {
  public ChangeParts {
    changes = Map.copyOf(changes);
  }

  /** Takes paragraphs or runs of letters out of their texts. */
  public static Edit delete(List<SheetRow> rows) {
    return new Delete(rows);
  }

  @Override
  public Project applyTo(Project before) {
    return before.mapLayers(layers(changes.keySet()), this::change);
  }

  private Layer change(Layer layer) {
    Story story = layer.story();
    for (SheetRow row : lastFirst(changes.keySet(), layer)) {
      TextRange range = row.range(layer);
      Story was = story.slice(range);
      Story now = java.util.Objects.requireNonNull(changes.get(row)).apply(was);
      if (!now.equals(was)) {
        story = row.words().isEmpty() ? now : story.replace(range, now);
      }
    }
    return story.equals(layer.story()) ? layer : layer.withStory(story);
  }

  private static Set<LayerId> layers(java.util.Collection<SheetRow> rows) {
    return rows.stream().map(SheetRow::id).collect(java.util.stream.Collectors.toSet());
  }

  /** Those behind are changed first, so that the places of the others still hold. */
  private static List<SheetRow> lastFirst(java.util.Collection<SheetRow> rows, Layer layer) {
    return rows.stream()
        .filter(row -> row.id().equals(layer.id()))
        .filter(row -> row.key().paragraph() < layer.story().paragraphs().size())
        .sorted(Comparator.comparingInt((SheetRow row) -> row.range(layer).start()).reversed())
        .toList();
  }

  @Override
  public String label(Project before) {
    return Messages.of("replace-stories.text", verb, layers(changes.keySet()).size());
  }

  private record Delete(List<SheetRow> rows) implements Edit {
    @Override
    public Project applyTo(Project before) {
      return before.mapLayers(layers(rows), this::without);
    }

    private Layer without(Layer layer) {
      Story story = layer.story();
      for (SheetRow row : lastFirst(rows, layer)) {
        story = story.replace(withBreak(story, row, row.range(layer)), "");
      }
      return layer.withStory(story);
    }

    /** A paragraph goes with the break behind it, the last one with that before it. */
    private static TextRange withBreak(Story story, SheetRow row, TextRange range) {
      if (row.key().run() >= 0) {
        return range;
      }
      return range.end() < story.length()
          ? new TextRange(range.start(), range.end() + 1)
          : new TextRange(Math.max(0, range.start() - 1), range.end());
    }

    @Override
    public String label(Project before) {
      return Messages.of("change-parts.delete", SheetRow.target(rows).label());
    }
  }
}
