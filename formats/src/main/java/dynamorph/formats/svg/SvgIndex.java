package dynamorph.formats.svg;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jsoup.nodes.Element;

/** The elements of a drawing that others refer to, by their ids. */
final class SvgIndex {
  private final Map<String, Element> byId = new HashMap<>();

  SvgIndex(Element root) {
    root.getAllElements()
        .forEach(element -> {
          if (element.hasAttr("id")) {
            byId.putIfAbsent(element.attr("id"), element);
          }
        });
  }

  Optional<Element> find(String id) {
    return Optional.ofNullable(byId.get(id.strip()));
  }

  /** What an element refers to by its {@code href}; only what stands in the same drawing. */
  Optional<Element> referred(Element element) {
    String href = href(element);
    return href.startsWith("#") ? find(href.substring(1)) : Optional.empty();
  }

  static String href(Element element) {
    return (element.hasAttr("href") ? element.attr("href") : element.attr("xlink:href")).strip();
  }

  /** The name of an element without a prefix. */
  static String name(Element element) {
    String name = element.tagName();
    return name.startsWith("svg:") ? name.substring(4) : name;
  }
}
