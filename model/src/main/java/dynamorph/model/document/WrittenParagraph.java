package dynamorph.model.document;

import dynamorph.model.property.PropertySet;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A paragraph of a document.
 *
 * @param style key of its paragraph style
 * @param local what was set by hand besides
 * @param spans its words; none for an empty paragraph
 */
public record WrittenParagraph(String style, PropertySet local, List<WrittenSpan> spans) {
  public WrittenParagraph {
    spans = List.copyOf(spans);
  }

  public String text() {
    return spans.stream().map(WrittenSpan::text).collect(Collectors.joining());
  }

  public boolean isEmpty() {
    return text().isBlank();
  }
}
