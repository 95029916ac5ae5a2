package dynamorph.formats.document;

import dynamorph.formats.file.XmlNode;
import dynamorph.formats.file.XmlParts;
import dynamorph.model.document.Role;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import java.io.IOException;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** The styles of an Office Open XML document (ECMA-376, part 1, 17.7), with all they inherit. */
final class DocxStyles {
  /** Styles that are based on each other, at most. */
  private static final int LONGEST_CHAIN = 100;

  private static final Pattern HEADING = Pattern.compile("heading (\\d)");

  /** A style as the file has it. */
  private record Raw(XmlNode node, String name, boolean paragraph, Optional<String> basedOn) {}

  private final Map<String, Raw> raw = new LinkedHashMap<>();
  private final Map<String, PropertySet> looks = new HashMap<>();
  private final DocxLook look;
  private final DocxLists lists;
  private PropertySet defaults = PropertySet.EMPTY;
  private @Nullable String plainParagraph;

  DocxStyles(XmlParts parts, DocxLook look, DocxLists lists) throws IOException {
    this.look = look;
    this.lists = lists;
    Optional<XmlNode> styles = parts.find("word/styles.xml");
    styles
        .flatMap(root -> root.child("w:docDefaults"))
        .ifPresent(given -> {
          PropertySet run =
              given
                  .child("w:rPrDefault")
                  .flatMap(one -> one.child("w:rPr"))
                  .map(one -> look.run(one, PropertySet.EMPTY))
                  .orElse(PropertySet.EMPTY);
          PropertySet paragraph =
              given
                  .child("w:pPrDefault")
                  .flatMap(one -> one.child("w:pPr"))
                  .map(look::paragraph)
                  .orElse(PropertySet.EMPTY);
          defaults = run.overlaidBy(paragraph);
        });
    styles.stream()
        .flatMap(XmlNode::elements)
        .filter(node -> node.name().equals("w:style"))
        .forEach(this::add);
  }

  private void add(XmlNode node) {
    String id = node.get("w:styleId");
    String type = node.get("w:type", "paragraph");
    if (id == null || !(type.equals("paragraph") || type.equals("character"))) {
      return;
    }
    boolean paragraph = type.equals("paragraph");
    raw.putIfAbsent(
        id,
        new Raw(
            node, node.of("w:name", "w:val").orElse(id), paragraph, node.of("w:basedOn", "w:val")));
    if (paragraph && node.get("w:default", "0").matches("1|true|on")) {
      plainParagraph = id;
    }
  }

  /** The language of the document as a whole. */
  Optional<String> language() {
    return defaults.get(Properties.LANGUAGE.key());
  }

  /** Key of the paragraph style of an id; of the plain one if there is none of that id. */
  String paragraph(@Nullable String id, DocumentBuilder into) {
    String wanted = id != null && isParagraph(id) ? id : plainParagraph;
    if (wanted == null || !isParagraph(wanted)) {
      return into.standard(Role.BODY);
    }
    return added(wanted, into);
  }

  private boolean isParagraph(String id) {
    Raw style = raw.get(id);
    return style != null && style.paragraph;
  }

  /** Key of the character style of an id. */
  Optional<String> character(String id, DocumentBuilder into) {
    Raw style = raw.get(id);
    if (style == null || style.paragraph || style.node.get("w:default") != null) {
      return Optional.empty();
    }
    return Optional.of(added(id, into));
  }

  private String added(String id, DocumentBuilder into) {
    Optional<String> next = Optional.of(id);
    while (next.isPresent() && into.style(key(next.get())).isEmpty()) {
      String one = next.get();
      Raw style = found(one);
      Optional<String> base =
          style.basedOn.filter(parent ->
              raw.containsKey(parent)
                  && found(parent).paragraph == style.paragraph
                  && !parent.equals(one)
                  && found(parent).node.get("w:default") == null);
      into.add(
          new WrittenStyle(
              key(one), called(style.name), role(style), base.map(this::key), lookOf(one, 0)));
      next = base;
    }
    return key(id);
  }

  private Raw found(String id) {
    return Objects.requireNonNull(raw.get(id), id);
  }

  private String key(String id) {
    Raw style = found(id);
    return (style.paragraph ? "paragraph:" : "character:") + style.name;
  }

  /** Built-in names are in small letters. */
  private static String called(String name) {
    return name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
  }

  /** All values of a style of an id, those of its bases and of the document included. */
  private PropertySet lookOf(String id, int depth) {
    PropertySet known = looks.get(id);
    if (known != null) {
      return known;
    }
    Raw style = raw.get(id);
    if (style == null || depth > LONGEST_CHAIN) {
      return PropertySet.EMPTY;
    }
    // a base that leads back to here counts for nothing
    looks.put(id, PropertySet.EMPTY);
    PropertySet inherited =
        style
            .basedOn
            .filter(parent -> isParagraph(parent) == style.paragraph)
            .map(parent -> lookOf(parent, depth + 1))
            .filter(one -> !one.isEmpty())
            .orElse(style.paragraph ? defaults : PropertySet.EMPTY);
    PropertySet all = inherited;
    Optional<XmlNode> paragraph = style.node.child("w:pPr");
    if (paragraph.isPresent()) {
      all = all.overlaidBy(look.paragraph(paragraph.get()));
      all = all.overlaidBy(lists.look(paragraph.get()));
    }
    Optional<XmlNode> run = style.node.child("w:rPr");
    if (run.isPresent()) {
      all = all.overlaidBy(look.run(run.get(), all));
    }
    PropertySet own = all.where(key -> !key.equals(Properties.LANGUAGE.key()));
    looks.put(id, own);
    return own;
  }

  private static Role role(Raw style) {
    String name = style.name.toLowerCase(Locale.ROOT);
    if (!style.paragraph) {
      return switch (name) {
        case "strong", "intense emphasis" -> Role.STRONG;
        case "emphasis", "subtle emphasis" -> Role.EMPHASIS;
        case "hyperlink", "internet link", "followedhyperlink" -> Role.LINK;
        case "html code", "source text" -> Role.CODE;
        default -> Role.OTHER_WORDS;
      };
    }
    Matcher heading = HEADING.matcher(name);
    if (heading.matches()) {
      return Role.heading(Integer.parseInt(heading.group(1)));
    }
    Optional<Double> outline =
        style.node.child("w:pPr").flatMap(one -> DocxLook.number(one, "w:outlineLvl"));
    if (outline.isPresent() && outline.get() < 9) {
      return Role.heading(outline.get().intValue() + 1);
    }
    return switch (name) {
      case "title" -> Role.TITLE;
      case "subtitle" -> Role.SUBTITLE;
      case "normal", "body text", "text body", "default", "standard", "normal (web)" -> Role.BODY;
      case "quote", "intense quote", "quotations", "block text" -> Role.QUOTATION;
      case "caption" -> Role.CAPTION;
      case "html preformatted", "plain text", "preformatted text" -> Role.PREFORMATTED;
      default ->
          name.startsWith("list bullet")
              ? Role.BULLETED_LIST
              : name.startsWith("list number") ? Role.NUMBERED_LIST : Role.OTHER;
    };
  }

  /** Names that say that a paragraph belongs to a table of contents. */
  static boolean isContents(XmlNode paragraphProperties) {
    return paragraphProperties
        .of("w:pStyle", "w:val")
        .filter(id -> id.matches("(?i)toc\\d|TOCHeading|TableofFigures"))
        .isPresent();
  }
}
