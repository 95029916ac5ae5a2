package dynamorph.model.cascade;

import dynamorph.model.Layer;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What most letters of a text look like, wherever that is set. */
public final class DominantLook {
  private DominantLook() {}

  /** The complete values that most letters of a text have; of two as frequent, the first. */
  public static PropertySet of(Cascade cascade, Layer layer) {
    return most(cascade, layer, layer.story().paragraphs());
  }

  /** The complete values that most letters of a paragraph of the layer have. */
  public static PropertySet of(Cascade cascade, Layer layer, Paragraph paragraph) {
    return most(cascade, layer, List.of(paragraph));
  }

  private static PropertySet most(Cascade cascade, Layer layer, List<Paragraph> paragraphs) {
    Paragraph first = paragraphs.getFirst();
    if (paragraphs.size() == 1 && first.spans().size() == 1) {
      return cascade.values(layer, first, first.spans().getFirst());
    }
    Map<PropertySet, Integer> letters = new LinkedHashMap<>();
    for (Paragraph paragraph : paragraphs) {
      for (Span span : paragraph.spans()) {
        letters.merge(
            cascade.values(layer, paragraph, span), span.text().strip().length(), Integer::sum);
      }
    }
    PropertySet best = letters.keySet().iterator().next();
    int most = -1;
    for (Map.Entry<PropertySet, Integer> entry : letters.entrySet()) {
      if (entry.getValue() > most) {
        best = entry.getKey();
        most = entry.getValue();
      }
    }
    return best;
  }
}
