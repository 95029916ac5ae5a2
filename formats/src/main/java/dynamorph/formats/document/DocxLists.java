package dynamorph.formats.document;

import dynamorph.formats.file.XmlNode;
import dynamorph.formats.file.XmlParts;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Length;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.NumberStyle;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The numbering definitions of an Office Open XML document (ECMA-376, part 1, 17.9). */
final class DocxLists {
  /** What stands behind the number of the level itself: {@code .} of {@code %1.}. */
  private static final Pattern AFTER = Pattern.compile("%\\d([^%]*)$");

  /** Levels by the id of the numbering. */
  private final Map<String, Map<Integer, XmlNode>> levels = new HashMap<>();

  DocxLists(XmlParts parts) throws IOException {
    Optional<XmlNode> root = parts.find("word/numbering.xml");
    if (root.isEmpty()) {
      return;
    }
    Map<String, Map<Integer, XmlNode>> abstracts = new HashMap<>();
    root.get()
        .elements()
        .filter(node -> node.name().equals("w:abstractNum"))
        .forEach(node -> abstracts.put(node.get("w:abstractNumId", ""), levels(node)));
    root.get()
        .elements()
        .filter(node -> node.name().equals("w:num"))
        .forEach(node ->
            levels.put(
                node.get("w:numId", ""),
                abstracts.getOrDefault(node.of("w:abstractNumId", "w:val").orElse(""), Map.of())));
  }

  private static Map<Integer, XmlNode> levels(XmlNode definition) {
    Map<Integer, XmlNode> levels = new HashMap<>();
    definition
        .elements()
        .filter(node -> node.name().equals("w:lvl"))
        .forEach(node -> {
          String level = node.get("w:ilvl", "0");
          if (level.matches("\\d")) {
            levels.put(Integer.parseInt(level), node);
          }
        });
    return levels;
  }

  /** A place in a list. */
  record Item(boolean numbered, int level, PropertySet look) {}

  /** What numbering properties say, if the paragraph is part of a list by them. */
  Optional<Item> item(XmlNode paragraphProperties) {
    return paragraphProperties
        .child("w:numPr")
        .flatMap(numbering -> {
          String id = numbering.of("w:numId", "w:val").orElse("0");
          int level = DocxLook.number(numbering, "w:ilvl").orElse(0.0).intValue();
          XmlNode definition = levels.getOrDefault(id, Map.of()).get(Math.clamp(level, 0, 8));
          return id.equals("0") || definition == null
              ? Optional.empty()
              : item(definition, Math.clamp(level, 0, 8));
        });
  }

  /** The same as values. */
  PropertySet look(XmlNode paragraphProperties) {
    return item(paragraphProperties).map(Item::look).orElse(PropertySet.EMPTY);
  }

  private static Optional<Item> item(XmlNode level, int depth) {
    String format = level.of("w:numFmt", "w:val").orElse("decimal");
    if (format.equals("none")) {
      return Optional.empty();
    }
    LookBuilder look = new LookBuilder(PropertySet.EMPTY);
    String text = level.of("w:lvlText", "w:val").orElse("");
    if (format.equals("bullet")) {
      look.set(Properties.LIST, ListKind.BULLETS);
      // marks of symbol fonts stand at places of their own
      if (text.length() == 1 && !isPrivate(text.charAt(0))) {
        look.set(Properties.LIST_MARK, text);
      }
    } else {
      look.set(Properties.LIST, ListKind.NUMBERS)
          .set(
              Properties.LIST_NUMBERS,
              switch (format) {
                case "lowerLetter" -> NumberStyle.LOWER_LETTERS;
                case "upperLetter" -> NumberStyle.UPPER_LETTERS;
                case "lowerRoman" -> NumberStyle.LOWER_ROMAN;
                case "upperRoman" -> NumberStyle.UPPER_ROMAN;
                default -> NumberStyle.DECIMAL;
              });
      Matcher after = AFTER.matcher(text);
      if (after.find()) {
        look.set(Properties.LIST_AFTER, after.group(1));
      }
    }
    look.set(Properties.INDENT_START, Length.em(1.5 * (depth + 1)));
    return Optional.of(new Item(!format.equals("bullet"), depth, look.look()));
  }

  private static boolean isPrivate(char unit) {
    return unit >= '\uE000' && unit <= '\uF8FF';
  }
}
