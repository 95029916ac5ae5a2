package dynamorph.formats.svg;

import java.util.ArrayList;
import java.util.List;
import org.jsoup.nodes.Element;

/**
 * A gradient with what it takes over from others.
 *
 * @param chain itself first, then those that it refers to
 */
record SvgGradient(List<Element> chain) {
  private static final int LONGEST = 20;

  static SvgGradient of(Element gradient, SvgIndex index) {
    List<Element> chain = new ArrayList<>();
    Element next = gradient;
    while (next != null && chain.size() < LONGEST && !chain.contains(next)) {
      chain.add(next);
      next = index.referred(next).orElse(null);
    }
    return new SvgGradient(chain);
  }

  String get(String attribute, String otherwise) {
    return chain.stream()
        .filter(one -> one.hasAttr(attribute))
        .map(one -> one.attr(attribute).strip())
        .findFirst()
        .orElse(otherwise);
  }

  /** A coordinate, as a number or a percentage. */
  double number(String attribute, double otherwise) {
    String said = get(attribute, "");
    return SvgNumbers.share(said).or(() -> SvgNumbers.length(said, 1, 1)).orElse(otherwise);
  }

  List<Element> stops() {
    return chain.stream()
        .map(one ->
            one.children().stream().filter(stop -> SvgIndex.name(stop).equals("stop")).toList())
        .filter(stops -> !stops.isEmpty())
        .findFirst()
        .orElse(List.of());
  }
}
