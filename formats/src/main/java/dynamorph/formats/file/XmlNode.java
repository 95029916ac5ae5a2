package dynamorph.formats.file;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * An element of a document's XML.
 *
 * @param name with the prefix that the standard uses, whatever the file uses
 * @param attributes by such names
 * @param children elements and {@link String}s
 */
public record XmlNode(String name, Map<String, String> attributes, List<Object> children) {
  public @Nullable String get(String attribute) {
    return attributes.get(attribute);
  }

  public String get(String attribute, String otherwise) {
    return attributes.getOrDefault(attribute, otherwise);
  }

  public Stream<XmlNode> elements() {
    return children.stream().filter(XmlNode.class::isInstance).map(XmlNode.class::cast);
  }

  public Optional<XmlNode> child(String wanted) {
    return elements().filter(one -> one.name.equals(wanted)).findFirst();
  }

  /** An attribute of a child. */
  public Optional<String> of(String child, String attribute) {
    return child(child).map(one -> one.get(attribute));
  }

  /** All elements of a name below it, in order. Trees are never deeper than methods can call. */
  public Stream<XmlNode> all(String wanted) {
    return elements()
        .flatMap(one ->
            one.name.equals(wanted)
                ? Stream.concat(Stream.of(one), one.all(wanted))
                : one.all(wanted));
  }

  /** All words below it. */
  public String text() {
    StringBuilder text = new StringBuilder();
    for (Object child : children) {
      switch (child) {
        case XmlNode node -> text.append(node.text());
        default -> text.append(child);
      }
    }
    return text.toString();
  }
}
