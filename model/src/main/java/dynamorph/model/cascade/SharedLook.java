package dynamorph.model.cascade;

import dynamorph.model.property.PropertySet;
import java.util.List;

/**
 * What layers that have the same sources share: everything about their looks but where they stand.
 *
 * @param own the complete values of the layer itself
 */
public record SharedLook(
    PropertySet own, Plate plate, List<ResolvedLayer.ResolvedParagraph> paragraphs) {
  public SharedLook {
    paragraphs = List.copyOf(paragraphs);
  }
}
