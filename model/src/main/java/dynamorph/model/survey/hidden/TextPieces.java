package dynamorph.model.survey.hidden;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.DominantLook;
import dynamorph.model.edit.Target;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Takes the texts of a project apart into pieces of one look: what most letters of a text have is
 * the look of the text, a paragraph in another look is a piece of its own, and so are words in a
 * look other than their paragraph's.
 */
final class TextPieces {
  /** What words say, or where a pair of letters stands, is no look. */
  private static final Set<Property<?>> NO_LOOK =
      Set.of(Properties.LANGUAGE, Properties.MANUAL_KERNING);

  private final Project project;
  private final Cascade cascade;
  private final Map<PropertySet, Map<StyleLevel, PropertySet>> carried = new HashMap<>();

  TextPieces(Project project) {
    this.project = project;
    this.cascade = Cascade.of(project);
  }

  /** What the values were worked out with, which knows them all now. */
  Cascade cascade() {
    return cascade;
  }

  /** All pieces of the project. */
  List<TextPiece> all() {
    List<TextPiece> pieces = new ArrayList<>();
    project.layers().filter(TextPieces::hasWords).forEach(layer -> pieces.addAll(of(layer)));
    return pieces;
  }

  static boolean hasWords(Layer layer) {
    return layer.isText() && !layer.story().text().isBlank();
  }

  /** The pieces of one text. */
  List<TextPiece> of(Layer layer) {
    List<StyleId> taken = project.taken(layer);
    boolean plain = !layer.story().followsInside() && !layer.story().deviatesInside();
    if (plain && layer.local().isEmpty() && !taken.isEmpty()) {
      return List.of();
    }
    PropertySet whole = DominantLook.of(cascade, layer);
    List<TextPiece> pieces = new ArrayList<>();
    boolean followsSomething = !taken.isEmpty() || layer.story().followsInside();
    if (!followsSomething || !look(whole, StyleLevel.TEXT).equals(followedLook(layer))) {
      pieces.add(
          new TextPiece(
              StyleLevel.TEXT,
              new Target.Words(layer.id(), layer.story().all()),
              taken,
              look(whole, StyleLevel.TEXT),
              layer.story().length()));
    }
    if (!plain) {
      addInner(layer, whole, pieces);
    }
    return pieces;
  }

  /** What most letters would have without anything set by hand. */
  private PropertySet followedLook(Layer layer) {
    Layer bare =
        layer
            .withLocal(PropertySet.EMPTY)
            .withStory(
                layer
                    .story()
                    .mapParagraphs(paragraph ->
                        paragraph
                            .withLocal(PropertySet.EMPTY)
                            .mapSpans(span -> span.withLocal(PropertySet.EMPTY))));
    return look(DominantLook.of(cascade, bare), StyleLevel.TEXT);
  }

  private void addInner(Layer layer, PropertySet whole, List<TextPiece> pieces) {
    int at = 0;
    for (Paragraph paragraph : layer.story().paragraphs()) {
      int end = at + paragraph.length();
      if (!paragraph.text().isBlank()) {
        PropertySet own = DominantLook.of(cascade, layer, paragraph);
        PropertySet look = look(own, StyleLevel.PARAGRAPH);
        boolean differs = !look.equals(look(whole, StyleLevel.PARAGRAPH));
        if (differs && paragraph.follows().isEmpty() && isSetByHand(paragraph)) {
          pieces.add(
              new TextPiece(
                  StyleLevel.PARAGRAPH,
                  new Target.Words(layer.id(), new TextRange(at, end)),
                  List.of(),
                  look,
                  end - at));
        }
        addSpans(layer, paragraph, own, at, pieces);
      }
      at = end + 1;
    }
  }

  /** What a paragraph has from its text alone hides nothing. */
  private static boolean isSetByHand(Paragraph paragraph) {
    return !paragraph.local().isEmpty()
        || paragraph.spans().stream().anyMatch(span -> !span.local().isEmpty());
  }

  private void addSpans(
      Layer layer, Paragraph paragraph, PropertySet own, int start, List<TextPiece> pieces) {
    int at = start;
    for (Span span : paragraph.spans()) {
      int end = at + span.length();
      boolean byHand = !span.local().isEmpty() && span.follows().isEmpty();
      if (byHand && !span.text().isBlank()) {
        PropertySet look = look(cascade.values(layer, paragraph, span), StyleLevel.CHARACTER);
        PropertySet outer = look(own, StyleLevel.CHARACTER);
        PropertySet differing = look.where(key -> !look.get(key).equals(outer.get(key)));
        if (!differing.isEmpty()) {
          pieces.add(
              new TextPiece(
                  StyleLevel.CHARACTER,
                  new Target.Words(layer.id(), new TextRange(at, end)),
                  List.of(),
                  differing,
                  end - at));
        }
      }
      at = end;
    }
  }

  /** The values of a look that a style of the level can carry. */
  private PropertySet look(PropertySet values, StyleLevel level) {
    return carried
        .computeIfAbsent(values, _ -> new HashMap<>())
        .computeIfAbsent(level, wanted -> values.where(key -> isLook(key, wanted)));
  }

  static boolean isLook(PropertyKey<?> key, StyleLevel level) {
    return key.countsOn(level.level())
        && key.property().facet() != Facet.PLACEMENT
        && !NO_LOOK.contains(key.property());
  }
}
