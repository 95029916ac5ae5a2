package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.value.FontSize;
import java.util.Set;

/**
 * Takes away local changes that change nothing: those equal to what would be inherited without
 * them.
 */
public final class Tidy {
  private final Cascade cascade;

  private Tidy(Cascade cascade) {
    this.cascade = cascade;
  }

  public static Project layers(Project project, Set<LayerId> ids) {
    Tidy tidy = new Tidy(Cascade.of(project));
    return project.mapLayers(ids, tidy::layer);
  }

  private Layer layer(Layer layer) {
    Layer tidied = layer;
    if (!layer.local().isEmpty()) {
      PropertySet inherited = cascade.values(layer.withLocal(PropertySet.EMPTY));
      tidied = layer.withLocal(different(layer.local(), inherited));
    }
    Layer outer = tidied;
    return tidied.withStory(tidied.story().mapParagraphs(paragraph -> paragraph(outer, paragraph)));
  }

  private Paragraph paragraph(Layer layer, Paragraph paragraph) {
    Paragraph tidied = paragraph;
    if (!paragraph.local().isEmpty()) {
      PropertySet inherited = cascade.values(layer, paragraph.withLocal(PropertySet.EMPTY));
      tidied = paragraph.withLocal(different(paragraph.local(), inherited));
    }
    if (tidied.spans().stream().allMatch(span -> span.local().isEmpty())) {
      return tidied;
    }
    // words in a nested style inherit from that
    Paragraph outer = tidied;
    return tidied.withSpans(
        KeptLook.pieces(cascade.dressed(layer, tidied), tidied).stream()
            .map(piece -> tidied(layer, outer, piece))
            .toList());
  }

  private Span tidied(Layer layer, Paragraph paragraph, KeptLook.Piece piece) {
    PropertySet inherited =
        cascade.values(layer, paragraph, piece.was().withLocal(PropertySet.EMPTY));
    return piece.now().withLocal(different(piece.now().local(), inherited));
  }

  private static PropertySet different(PropertySet local, PropertySet inherited) {
    return local.where(key -> differs(key, local, inherited));
  }

  private static <T> boolean differs(PropertyKey<T> key, PropertySet local, PropertySet inherited) {
    T value = local.get(key).orElseThrow();
    boolean neverPlain =
        value instanceof FontSize.Times(double factor) && factor != 1
            || value instanceof FontSize.Plus(double points) && points != 0;
    boolean relativeOne = value instanceof FontSize.Times || value instanceof FontSize.Plus;
    if (neverPlain) {
      return true;
    }
    if (key.isKind() && !inherited.has(key)) {
      return true;
    }
    return !relativeOne && !Coats.value(inherited, key).equals(value);
  }
}
