package dynamorph.model.reach;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.TextRange;
import dynamorph.model.text.WordQuery;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Finds words in all the texts of a project. */
public final class WordSearch {
  /** A place where the words stand. */
  public record Hit(LayerId layer, TextRange range) {}

  private WordSearch() {}

  /**
   * The places where words stand, in project order.
   *
   * @param style only in text that follows this style, or one based on it
   */
  public static List<Hit> hits(Project project, WordQuery query, Optional<StyleId> style) {
    List<Hit> hits = new ArrayList<>();
    project
        .layers()
        .forEach(layer -> {
          for (TextRange range : query.in(layer.story().text())) {
            if (style.isEmpty() || follows(project, layer, range, style.get())) {
              hits.add(new Hit(layer.id(), range));
            }
          }
        });
    return hits;
  }

  /** The texts, and parts of texts, that follow a style, whatever their words. */
  public static List<Hit> following(Project project, StyleId style) {
    List<Hit> hits = new ArrayList<>();
    project
        .layers()
        .forEach(layer -> {
          if (project.taken(layer).stream().anyMatch(id -> isOrComesFrom(project, id, style))) {
            hits.add(new Hit(layer.id(), layer.story().all()));
          } else {
            addParts(project, layer, style, hits);
          }
        });
    return hits;
  }

  private static void addParts(Project project, Layer layer, StyleId style, List<Hit> hits) {
    int start = 0;
    for (Paragraph paragraph : layer.story().paragraphs()) {
      boolean whole =
          paragraph.follows().filter(id -> isOrComesFrom(project, id, style)).isPresent();
      if (whole) {
        hits.add(new Hit(layer.id(), new TextRange(start, start + paragraph.length())));
      }
      int from = start;
      for (Span span : paragraph.spans()) {
        boolean part =
            !whole && span.follows().stream().anyMatch(id -> isOrComesFrom(project, id, style));
        if (part) {
          hits.add(new Hit(layer.id(), new TextRange(from, from + span.length())));
        }
        from += span.length();
      }
      start += paragraph.length() + 1;
    }
  }

  private static boolean follows(Project project, Layer layer, TextRange range, StyleId style) {
    return following(project, layer, style).stream()
        .anyMatch(hit -> hit.range().start() <= range.start() && hit.range().end() >= range.end());
  }

  private static List<Hit> following(Project project, Layer layer, StyleId style) {
    List<Hit> hits = new ArrayList<>();
    if (project.taken(layer).stream().anyMatch(id -> isOrComesFrom(project, id, style))) {
      hits.add(new Hit(layer.id(), layer.story().all()));
    }
    addParts(project, layer, style, hits);
    return hits;
  }

  private static boolean isOrComesFrom(Project project, StyleId followed, StyleId style) {
    return project.styles().chain(followed).stream().anyMatch(own -> own.id().equals(style));
  }
}
