package dynamorph.formats.svg;

import dynamorph.formats.css.StyleSheet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Element;
import org.jsoup.select.Selector;

/**
 * What is declared for the elements of a drawing: by attributes, over them by its style sheets in
 * the order of their specificity (CSS Selectors 3, 9), over them by its {@code style}.
 */
final class SvgCascade {
  private static final int MOST_RULES = 5_000;

  private static final Pattern IDS = Pattern.compile("#[\\w-]");
  private static final Pattern CLASSES = Pattern.compile("[.\\[][\\w-]");
  private static final Pattern TYPES = Pattern.compile("(?:^|[\\s>+~])[a-zA-Z]");

  private record Declared(int specificity, String declarations) {}

  private final Map<Element, List<Declared>> declared = new IdentityHashMap<>();

  /** Reads the style sheets that stand in a drawing. */
  SvgCascade(Element root, Told told) {
    int count = 0;
    for (Element sheet : root.select("style")) {
      for (StyleSheet.Rule rule : StyleSheet.rules(sheet.wholeText() + sheet.data())) {
        for (String selector : rule.selectors()) {
          if (selector.strip().startsWith("@font-face")) {
            told.add(NotDrawn.FONT);
          } else if (count < MOST_RULES) {
            count++;
            declare(root, selector.strip(), rule.declarations());
          }
        }
      }
    }
    declared.values().forEach(list -> list.sort(Comparator.comparingInt(Declared::specificity)));
  }

  private void declare(Element root, String selector, String declarations) {
    // what is only seen under the pointer is not seen on a page
    if (selector.isEmpty() || selector.startsWith("@") || selector.contains(":")) {
      return;
    }
    try {
      Declared one = new Declared(specificity(selector), declarations);
      for (Element element : root.select(selector)) {
        declared.computeIfAbsent(element, _ -> new ArrayList<>(2)).add(one);
      }
    } catch (Selector.SelectorParseException | IllegalArgumentException unknown) {
      // browsers pass over selectors that they do not know, too
      return;
    }
  }

  private static int specificity(String selector) {
    return 10_000 * count(IDS, selector) + 100 * count(CLASSES, selector) + count(TYPES, selector);
  }

  private static int count(Pattern pattern, String text) {
    return (int) pattern.matcher(text).results().count();
  }

  /** The declarations for an element, by the name of the property. */
  Map<String, String> of(Element element) {
    Map<String, String> all = new HashMap<>();
    for (Attribute attribute : element.attributes()) {
      String name = attribute.getKey();
      if (!name.equals("style") && !name.equals("class")) {
        all.put(name, attribute.getValue().strip());
      }
    }
    declared.getOrDefault(element, List.of()).forEach(one -> put(all, one.declarations()));
    put(all, element.attr("style"));
    return all;
  }

  private static void put(Map<String, String> all, String declarations) {
    for (String declaration : declarations.split(";")) {
      int colon = declaration.indexOf(':');
      if (colon > 0) {
        all.put(
            declaration.substring(0, colon).strip().toLowerCase(Locale.ROOT),
            declaration.substring(colon + 1).replace("!important", "").strip());
      }
    }
  }
}
