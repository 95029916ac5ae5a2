package dynamorph.formats.document;

import dynamorph.formats.css.CssLook;
import dynamorph.formats.css.StyleSheet;
import dynamorph.model.document.Role;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleLevel;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * The style sheets within a page, as far as they speak of elements and classes one by one: {@code
 * h1}, {@code .lead}, {@code p.lead}. A class becomes a style of its name.
 */
final class HtmlStyles {
  private static final Pattern SIMPLE = Pattern.compile("([a-zA-Z][a-zA-Z0-9]*)?(?:\\.([\\w-]+))?");

  private static final Pattern HIDDEN = Pattern.compile("(?i)(?:^|[;\\s])display\\s*:\\s*none");

  /** Declarations by selector, in the order of the sheet. */
  private final Map<String, String> rules = new LinkedHashMap<>();

  private final Map<String, PropertySet> looks = new HashMap<>();

  HtmlStyles(Document page) {
    for (Element sheet : page.getElementsByTag("style")) {
      for (StyleSheet.Rule rule : StyleSheet.rules(sheet.data())) {
        for (String selector : rule.selectors()) {
          String plain = selector.strip();
          Matcher simple = SIMPLE.matcher(plain);
          if (!plain.isEmpty() && simple.matches()) {
            rules.merge(plain, rule.declarations(), (one, other) -> one + ";" + other);
          }
        }
      }
    }
  }

  /** Whether an element is not shown. */
  boolean isHidden(Element element) {
    return element.hasAttr("hidden")
        || HIDDEN.matcher(element.attr("style")).find()
        || Stream.concat(
                Stream.of(element.normalName()),
                element.classNames().stream()
                    .flatMap(one -> Stream.of("." + one, element.normalName() + "." + one)))
            .map(selector -> rules.getOrDefault(selector, ""))
            .anyMatch(declarations -> HIDDEN.matcher(declarations).find());
  }

  private PropertySet look(PropertySet start, String tag, Optional<String> name) {
    List<String> selectors = new ArrayList<>(List.of("body", tag));
    name.ifPresent(one -> {
      selectors.add("." + one);
      selectors.add(tag + "." + one);
    });
    PropertySet look = start;
    for (String selector : selectors) {
      String declarations = rules.get(selector);
      if (declarations != null) {
        look = CssLook.with(look, declarations);
      }
    }
    return look;
  }

  /** The class of an element that its style is called after: the first that a sheet speaks of. */
  private Optional<String> named(Element element) {
    String tag = element.normalName();
    List<String> classes = List.copyOf(element.classNames());
    return classes.stream()
        .filter(one -> rules.containsKey("." + one) || rules.containsKey(tag + "." + one))
        .findFirst();
  }

  /** Key of the style of a block. */
  String paragraph(Element element, Role role, DocumentBuilder into) {
    Optional<String> name = named(element);
    // whatever holds plain words is a paragraph
    String tag = role == Role.BODY ? "p" : element.normalName();
    String base = role.name().toLowerCase(Locale.ROOT);
    String key = name.map(one -> "paragraph:" + one).orElse("role:" + base);
    if (into.style(key).isEmpty()) {
      PropertySet look =
          looks.computeIfAbsent(
              tag + "." + name.orElse(""), _ -> look(DocumentBuilder.look(role), tag, name));
      into.add(
          new WrittenStyle(
              key,
              name.map(HtmlStyles::spoken).orElse(role.label()),
              // a class of its own is more than plain paragraphs have
              name.isPresent() && role == Role.BODY ? Role.OTHER : role,
              Optional.empty(),
              look.where(property -> StyleLevel.PARAGRAPH.carries(property.property()))));
    }
    return key;
  }

  /** Key of the style of words that have a class. */
  Optional<String> words(Element element, DocumentBuilder into) {
    return named(element)
        .map(name -> {
          String key = "character:" + name;
          PropertySet look = PropertySet.EMPTY;
          for (String selector : List.of("." + name, element.normalName() + "." + name)) {
            look = CssLook.with(look, rules.getOrDefault(selector, ""));
          }
          into.add(
              new WrittenStyle(
                  key,
                  spoken(name),
                  Role.OTHER_WORDS,
                  Optional.empty(),
                  look.where(property -> StyleLevel.CHARACTER.carries(property.property()))));
          return key;
        });
  }

  /** {@code lead-text} as people would write it. */
  private static String spoken(String name) {
    String words = name.replaceAll("[-_]+", " ").strip();
    return words.isEmpty()
        ? name
        : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }
}
