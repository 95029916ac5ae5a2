package dynamorph.formats.document;

import dynamorph.formats.file.XmlNode;
import dynamorph.model.document.Role;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Length;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.NumberStyle;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The named and the automatic styles of an OpenDocument text, with all they inherit. */
final class OdtStyles {
  /** Styles that are based on each other, at most. */
  private static final int LONGEST_CHAIN = 100;

  /** A style as the file has it. */
  private record Raw(XmlNode node, boolean named) {}

  private final Map<String, Raw> paragraphs = new HashMap<>();
  private final Map<String, Raw> texts = new HashMap<>();
  private final Map<String, XmlNode> lists = new HashMap<>();
  private final Map<String, PropertySet> looks = new HashMap<>();
  private final OdtLook look;
  private PropertySet defaults = PropertySet.EMPTY;

  /**
   * @param styles root of the part with the named styles
   * @param content root of the part with the words
   */
  OdtStyles(Optional<XmlNode> styles, XmlNode content) {
    Map<String, String> faces = new HashMap<>();
    styles.ifPresent(root -> addFaces(root, faces));
    addFaces(content, faces);
    this.look = new OdtLook(faces);
    styles.flatMap(root -> root.child("office:styles")).ifPresent(named -> add(named, true));
    content.child("office:automatic-styles").ifPresent(automatic -> add(automatic, false));
  }

  private static void addFaces(XmlNode root, Map<String, String> faces) {
    root.child("office:font-face-decls").stream()
        .flatMap(XmlNode::elements)
        .forEach(face ->
            faces.put(
                face.get("style:name", ""),
                face.get("svg:font-family", face.get("style:name", "")).replaceAll("['\"]", "")));
  }

  private void add(XmlNode group, boolean named) {
    group
        .elements()
        .forEach(node -> {
          String name = node.get("style:name", "");
          switch (node.name()) {
            case "style:default-style" -> {
              if (node.get("style:family", "").equals("paragraph")) {
                defaults = look.of(node, PropertySet.EMPTY);
              }
            }
            case "style:style" -> {
              Map<String, Raw> family =
                  switch (node.get("style:family", "")) {
                    case "paragraph" -> paragraphs;
                    case "text" -> texts;
                    default -> new HashMap<>();
                  };
              // automatic styles of one name count in their own part
              family.put(name, new Raw(node, named));
            }
            case "text:list-style" -> lists.put(name, node);
            default -> {}
          }
        });
  }

  Optional<String> language() {
    return defaults.get(Properties.LANGUAGE.key());
  }

  /**
   * What is said of a paragraph or of words.
   *
   * @param key of the named style; empty if there is none
   * @param direct what was set by hand
   */
  record Said(Optional<String> key, PropertySet direct) {}

  /** The style of a paragraph, and what was set by hand. */
  Said paragraph(@Nullable String name, Role role, DocumentBuilder into) {
    Raw raw = name == null ? null : paragraphs.get(name);
    if (raw == null) {
      return new Said(Optional.of(into.standard(role)), PropertySet.EMPTY);
    }
    if (raw.named) {
      return new Said(
          Optional.of(added(Objects.requireNonNull(name), true, role, into)), PropertySet.EMPTY);
    }
    String parent = raw.node.get("style:parent-style-name");
    Said above =
        parent == null || !isNamed(paragraphs, parent)
            ? new Said(Optional.of(into.standard(role)), PropertySet.EMPTY)
            : paragraph(parent, role, into);
    PropertySet inherited =
        parent == null ? defaults : lookOf(parent, true, 0).overlaidBy(above.direct);
    return new Said(above.key, above.direct.overlaidBy(differing(raw, inherited)));
  }

  /** The style of words, and what was set by hand. */
  Said words(@Nullable String name, PropertySet around, DocumentBuilder into) {
    Raw raw = name == null ? null : texts.get(name);
    if (raw == null) {
      return new Said(Optional.empty(), PropertySet.EMPTY);
    }
    if (raw.named) {
      return new Said(
          Optional.of(added(Objects.requireNonNull(name), false, Role.OTHER_WORDS, into)),
          PropertySet.EMPTY);
    }
    String parent = raw.node.get("style:parent-style-name");
    Said above =
        parent == null || !isNamed(texts, parent)
            ? new Said(Optional.empty(), PropertySet.EMPTY)
            : words(parent, around, into);
    return new Said(above.key, above.direct.overlaidBy(differing(raw, around)));
  }

  private PropertySet differing(Raw raw, PropertySet inherited) {
    PropertySet own = look.of(raw.node, inherited);
    return own.where(key -> !own.get(key).equals(inherited.get(key)));
  }

  private String added(String name, boolean paragraph, Role wanted, DocumentBuilder into) {
    Map<String, Raw> family = paragraph ? paragraphs : texts;
    Optional<String> next = Optional.of(name);
    Role role = wanted;
    while (next.isPresent() && into.style(key(next.get(), paragraph)).isEmpty()) {
      String one = next.get();
      Raw raw = Objects.requireNonNull(family.get(one), one);
      Optional<String> parent =
          Optional.ofNullable(raw.node.get("style:parent-style-name"))
              .filter(above ->
                  !above.equals(one) && !above.equals("Standard") && isNamed(family, above));
      into.add(
          new WrittenStyle(
              key(one, paragraph),
              shown(one, raw),
              role(raw.node, one, paragraph, role),
              parent.map(above -> key(above, paragraph)),
              lookOf(one, paragraph, 0)));
      next = parent;
      role = paragraph ? Role.OTHER : wanted;
    }
    return key(name, paragraph);
  }

  private static boolean isNamed(Map<String, Raw> family, String name) {
    Raw raw = family.get(name);
    return raw != null && raw.named;
  }

  private String key(String name, boolean paragraph) {
    Raw raw = Objects.requireNonNull((paragraph ? paragraphs : texts).get(name), name);
    return (paragraph ? "paragraph:" : "character:") + shown(name, raw);
  }

  private static String shown(String name, Raw raw) {
    return raw.node.get("style:display-name", name.replace("_20_", " "));
  }

  /** All values of a named style, those of its bases and of the document included. */
  private PropertySet lookOf(String name, boolean paragraph, int depth) {
    String id = (paragraph ? "p " : "t ") + name;
    PropertySet known = looks.get(id);
    if (known != null) {
      return known;
    }
    Raw raw = (paragraph ? paragraphs : texts).get(name);
    if (raw == null || depth > LONGEST_CHAIN) {
      return paragraph ? defaults : PropertySet.EMPTY;
    }
    // a base that leads back to here counts for nothing
    looks.put(id, PropertySet.EMPTY);
    String parent = raw.node.get("style:parent-style-name");
    PropertySet inherited =
        parent == null
            ? paragraph ? defaults : PropertySet.EMPTY
            : lookOf(parent, paragraph, depth + 1);
    PropertySet all = inherited.overlaidBy(look.of(raw.node, inherited));
    String list = raw.node.get("style:list-style-name", "");
    if (paragraph && !list.isEmpty() && !outlined(raw.node)) {
      all = all.overlaidBy(item(list, 0).look());
    }
    PropertySet own = all.where(key -> !key.equals(Properties.LANGUAGE.key()));
    looks.put(id, own);
    return own;
  }

  private static boolean outlined(XmlNode style) {
    return style.get("style:default-outline-level", "").matches("[1-9]\\d*");
  }

  private static Role role(XmlNode style, String name, boolean paragraph, Role wanted) {
    if (!paragraph) {
      return switch (name) {
        case "Strong_20_Emphasis" -> Role.STRONG;
        case "Emphasis" -> Role.EMPHASIS;
        case "Internet_20_link", "Internet_20_Link", "Visited_20_Internet_20_Link" -> Role.LINK;
        case "Source_20_Text" -> Role.CODE;
        default -> Role.OTHER_WORDS;
      };
    }
    String level = style.get("style:default-outline-level", "");
    if (level.matches("[1-9]\\d?")) {
      return Role.heading(Integer.parseInt(level));
    }
    if (wanted.isHeading()) {
      return wanted;
    }
    return switch (name) {
      case "Title" -> Role.TITLE;
      case "Subtitle" -> Role.SUBTITLE;
      case "Standard", "Text_20_body", "First_20_line_20_indent" -> Role.BODY;
      case "Quotations" -> Role.QUOTATION;
      case "Preformatted_20_Text" -> Role.PREFORMATTED;
      case "Caption", "Illustration", "Figure" -> Role.CAPTION;
      default ->
          name.toLowerCase(Locale.ROOT).startsWith("list_20_")
              ? Role.BULLETED_LIST
              : name.toLowerCase(Locale.ROOT).startsWith("numbering_20_")
                  ? Role.NUMBERED_LIST
                  : Role.OTHER;
    };
  }

  /** Whether a paragraph style makes a list by itself. */
  boolean listed(String key, DocumentBuilder into) {
    return into.style(key).filter(style -> style.look().has(Properties.LIST.key())).isPresent();
  }

  /** What a list style says of a level. */
  DocxLists.Item item(String list, int level) {
    Optional<XmlNode> definition =
        Optional.ofNullable(lists.get(list)).stream()
            .flatMap(XmlNode::elements)
            .filter(node -> node.get("text:level", "").equals(String.valueOf(level + 1)))
            .findFirst();
    boolean numbered =
        definition.filter(node -> node.name().equals("text:list-level-style-number")).isPresent();
    LookBuilder made =
        new LookBuilder(PropertySet.EMPTY)
            .set(Properties.LIST, numbered ? ListKind.NUMBERS : ListKind.BULLETS)
            .set(Properties.INDENT_START, Length.em(1.5 * (level + 1)));
    definition.ifPresent(node -> {
      if (numbered) {
        made.set(
                Properties.LIST_NUMBERS,
                switch (node.get("style:num-format", "1")) {
                  case "a" -> NumberStyle.LOWER_LETTERS;
                  case "A" -> NumberStyle.UPPER_LETTERS;
                  case "i" -> NumberStyle.LOWER_ROMAN;
                  case "I" -> NumberStyle.UPPER_ROMAN;
                  default -> NumberStyle.DECIMAL;
                })
            .set(Properties.LIST_AFTER, node.get("style:num-suffix", "."));
      } else {
        String mark = node.get("text:bullet-char", "");
        if (mark.length() == 1 && !(mark.charAt(0) >= '\uE000' && mark.charAt(0) <= '\uF8FF')) {
          made.set(Properties.LIST_MARK, mark);
        }
      }
    });
    return new DocxLists.Item(numbered, level, made.look());
  }
}
