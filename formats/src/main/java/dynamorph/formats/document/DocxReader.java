package dynamorph.formats.document;

import dynamorph.formats.file.XmlNode;
import dynamorph.formats.file.XmlParts;
import dynamorph.model.document.Role;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Slant;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Reads the words and styles of Office Open XML documents (ECMA-376, part 1, WordprocessingML). Its
 * XML is read directly: what is wanted are the resolved looks of styles, which libraries for it do
 * not compute, and limits that hold for all readers.
 */
final class DocxReader {
  private final DocumentBuilder into;
  private final DocxStyles styles;
  private final DocxLook look;
  private final DocxLists lists;
  private final XmlNode body;

  /** That of the document as a whole. */
  private final PropertySet language;

  /** Parts of a field that says what to show: 0 outside, 1 in the instruction, 2 in the result. */
  private int field;

  private int fieldDepth;
  private final List<XmlNode> textBoxes = new ArrayList<>();

  private DocxReader(XmlParts parts, String name) throws IOException {
    this.into = new DocumentBuilder(name);
    this.look = new DocxLook(themeFonts(parts));
    this.lists = new DocxLists(parts);
    this.styles = new DocxStyles(parts, look, lists);
    this.language =
        styles
            .language()
            .map(tag -> PropertySet.EMPTY.with(Properties.LANGUAGE, tag))
            .orElse(PropertySet.EMPTY);
    this.body =
        parts
            .part("word/document.xml")
            .child("w:body")
            .orElseGet(() -> new XmlNode("w:body", Map.of(), List.of()));
  }

  static WrittenDocument read(Path file) throws IOException {
    try (XmlParts parts = new XmlParts(file)) {
      DocxReader reader = new DocxReader(parts, String.valueOf(file.getFileName()));
      reader.blocks(reader.body);
      return reader.into.build();
    }
  }

  private static Map<String, String> themeFonts(XmlParts parts) throws IOException {
    Map<String, String> fonts = new HashMap<>();
    Optional<XmlNode> scheme =
        parts.find("word/theme/theme1.xml").flatMap(root -> root.all("a:fontScheme").findFirst());
    for (String kind : List.of("major", "minor")) {
      scheme
          .flatMap(one -> one.child("a:" + kind + "Font"))
          .flatMap(one -> one.of("a:latin", "typeface"))
          .filter(family -> !family.isBlank())
          .ifPresent(family -> fonts.put(kind, family));
    }
    return fonts;
  }

  // --- blocks

  private void blocks(XmlNode parent) throws IOException {
    for (XmlNode node : parent.elements().toList()) {
      switch (node.name()) {
        case "w:p" -> paragraph(node);
        case "w:tbl" -> table(node);
        case "w:sdt" -> {
          if (isContents(node)) {
            into.omit(Omitted.CONTENTS);
          } else {
            Optional<XmlNode> content = node.child("w:sdtContent");
            if (content.isPresent()) {
              blocks(content.get());
            }
          }
        }
        case "w:ins", "w:moveTo", "w:customXml", "w:smartTag" -> blocks(node);
        case "w:del", "w:moveFrom" -> into.omit(Omitted.DELETED_TEXT);
        default -> {}
      }
    }
  }

  private static boolean isContents(XmlNode block) {
    return block
        .child("w:sdtPr")
        .flatMap(one -> one.child("w:docPartObj"))
        .flatMap(one -> one.of("w:docPartGallery", "w:val"))
        .filter("Table of Contents"::equals)
        .isPresent();
  }

  private void paragraph(XmlNode node) throws IOException {
    Optional<XmlNode> properties = node.child("w:pPr");
    if (properties.filter(DocxStyles::isContents).isPresent()) {
      into.omit(Omitted.CONTENTS);
      return;
    }
    String id = properties.flatMap(one -> one.of("w:pStyle", "w:val")).orElse(null);
    String style = styles.paragraph(id, into);
    PropertySet inherited = into.style(style).orElseThrow().look();
    PropertySet direct = PropertySet.EMPTY;
    if (properties.isPresent()) {
      direct = look.paragraph(properties.get());
      Optional<DocxLists.Item> item = lists.item(properties.get());
      boolean own = inherited.has(Properties.LIST.key());
      if (item.isPresent() && !own && !into.style(style).orElseThrow().role().isHeading()) {
        style = into.list(item.get().numbered(), item.get().level(), item.get().look());
        direct = direct.where(key -> !key.property().id().startsWith("indent"));
      }
    }
    into.begin(style, differing(direct, inherited).overlaidBy(language));
    runs(node, inherited, List.of());
    into.end();
    while (!textBoxes.isEmpty()) {
      into.omit(Omitted.TEXT_BOX);
      blocks(textBoxes.removeFirst());
    }
  }

  private static PropertySet differing(PropertySet direct, PropertySet inherited) {
    return direct.where(key -> !direct.get(key).equals(inherited.get(key)));
  }

  private void table(XmlNode table) throws IOException {
    into.omit(Omitted.TABLE);
    String style = into.standard(Role.TABLE);
    for (XmlNode row : within(table, "w:tr")) {
      into.begin(style, PropertySet.EMPTY);
      boolean first = true;
      for (XmlNode cell : within(row, "w:tc")) {
        if (!first) {
          into.words("\t", List.of(), PropertySet.EMPTY);
        }
        first = false;
        cell(cell);
      }
      into.end();
    }
  }

  /** Rows or cells, those in content controls too, but none of tables within. */
  private static List<XmlNode> within(XmlNode parent, String wanted) {
    List<XmlNode> found = new ArrayList<>();
    for (XmlNode node : parent.elements().toList()) {
      switch (node.name()) {
        case String name when name.equals(wanted) -> found.add(node);
        case "w:sdt", "w:sdtContent", "w:customXml", "w:ins" -> found.addAll(within(node, wanted));
        default -> {}
      }
    }
    return found;
  }

  /** The words of a cell, however many paragraphs it has. */
  private void cell(XmlNode cell) throws IOException {
    boolean first = true;
    for (XmlNode node : cell.elements().toList()) {
      switch (node.name()) {
        case "w:p" -> {
          if (!first) {
            into.words(" ", List.of(), PropertySet.EMPTY);
          }
          first = false;
          runs(node, PropertySet.EMPTY, List.of());
        }
        case "w:tbl" -> {
          for (XmlNode inner : node.all("w:tc").toList()) {
            if (!into.endsWithSpace()) {
              into.words(" ", List.of(), PropertySet.EMPTY);
            }
            cell(inner);
          }
        }
        case "w:sdt" -> {
          Optional<XmlNode> content = node.child("w:sdtContent");
          if (content.isPresent()) {
            cell(content.get());
          }
        }
        default -> {}
      }
    }
  }

  // --- words

  private void runs(XmlNode parent, PropertySet inherited, List<String> around) throws IOException {
    for (XmlNode node : parent.elements().toList()) {
      switch (node.name()) {
        case "w:r" -> run(node, inherited, around);
        case "w:hyperlink" -> {
          into.omit(Omitted.LINK_ADDRESS);
          runs(node, inherited, List.of(into.standard(Role.LINK)));
        }
        case "w:ins", "w:moveTo", "w:smartTag", "w:fldSimple", "w:customXml", "w:dir", "w:bdo" ->
            runs(node, inherited, around);
        case "w:sdt" -> {
          Optional<XmlNode> content = node.child("w:sdtContent");
          if (content.isPresent()) {
            runs(content.get(), inherited, around);
          }
        }
        case "w:del", "w:moveFrom" -> into.omit(Omitted.DELETED_TEXT);
        case "m:oMath", "m:oMathPara" -> into.omit(Omitted.FORMULA);
        case "w:commentRangeStart" -> into.omit(Omitted.COMMENT);
        default -> {}
      }
    }
  }

  private void run(XmlNode run, PropertySet inherited, List<String> around) throws IOException {
    Optional<XmlNode> properties = run.child("w:rPr");
    if (properties.flatMap(one -> DocxLook.toggle(one, "w:vanish")).orElse(false)) {
      into.omit(Omitted.HIDDEN_TEXT);
      return;
    }
    List<String> named = new ArrayList<>(around);
    PropertySet direct = PropertySet.EMPTY;
    if (properties.isPresent()) {
      PropertySet base = inherited;
      Optional<String> style =
          properties.get().of("w:rStyle", "w:val").flatMap(id -> styles.character(id, into));
      if (style.isPresent()) {
        if (into.style(style.get()).orElseThrow().role() == Role.LINK) {
          named.removeAll(around);
        }
        named.add(style.get());
        base = base.overlaidBy(into.style(style.get()).orElseThrow().look());
      }
      direct = differing(look.run(properties.get(), base), base);
      direct = stressed(direct, base, named);
      properties.get().child("w:highlight").ifPresent(_ -> into.omit(Omitted.HIGHLIGHT));
    }
    content(run, named, differing(direct, language), inherited);
  }

  /** Words that are made bold or italic by hand stand out as strong ones or stressed ones do. */
  private PropertySet stressed(PropertySet direct, PropertySet base, List<String> named) {
    PropertySet left = direct;
    boolean bold =
        direct
            .get(Properties.FONT_WEIGHT.key())
            .filter(weight -> weight >= LookBuilder.BOLDISH)
            .isPresent();
    if (bold
        && base.get(Properties.FONT_WEIGHT.key()).orElse(LookBuilder.REGULAR)
            < LookBuilder.BOLDISH) {
      named.add(into.standard(Role.STRONG));
      left = left.without(Properties.FONT_WEIGHT.key());
    }
    if (direct.get(Properties.SLANT.key()).filter(slant -> slant == Slant.ITALIC).isPresent()) {
      named.add(into.standard(Role.EMPHASIS));
      left = left.without(Properties.SLANT.key());
    }
    return left;
  }

  private void content(XmlNode run, List<String> named, PropertySet direct, PropertySet inherited)
      throws IOException {
    for (XmlNode node : run.elements().toList()) {
      if (node.name().equals("w:fldChar")) {
        switch (node.get("w:fldCharType", "")) {
          case "begin" -> {
            fieldDepth++;
            field = 1;
          }
          case "separate" -> field = 2;
          default -> {
            fieldDepth = Math.max(0, fieldDepth - 1);
            field = fieldDepth == 0 ? 0 : 2;
          }
        }
        continue;
      }
      if (field == 1) {
        continue;
      }
      switch (node.name()) {
        case "w:t" -> into.words(node.text(), named, direct);
        case "w:tab", "w:ptab" -> into.words("\t", named, direct);
        case "w:br" -> {
          if (node.get("w:type", "textWrapping").equals("textWrapping")) {
            into.words("\u2028", named, direct);
          }
        }
        case "w:cr" -> into.words("\u2028", named, direct);
        case "w:noBreakHyphen" -> into.words("\u2011", named, direct);
        case "w:softHyphen" -> into.words("\u00AD", named, direct);
        case "w:sym" -> into.omit(Omitted.SYMBOL);
        case "w:footnoteReference", "w:endnoteReference" -> into.omit(Omitted.NOTE);
        case "w:ruby" -> ruby(node, named, direct, inherited);
        case "mc:AlternateContent" -> {
          Optional<XmlNode> choice = node.elements().findFirst();
          choice.ifPresent(this::drawn);
        }
        case "w:drawing", "w:pict", "w:object" -> drawn(node);
        default -> {}
      }
    }
  }

  /** A drawing is a picture, or has words in a box. */
  private void drawn(XmlNode drawing) {
    List<XmlNode> boxes = drawing.all("w:txbxContent").toList();
    if (boxes.isEmpty()) {
      into.omit(Omitted.PICTURE);
    } else {
      textBoxes.add(boxes.getFirst());
    }
  }

  private void ruby(XmlNode node, List<String> named, PropertySet direct, PropertySet inherited)
      throws IOException {
    String over =
        node.child("w:rt").stream()
            .flatMap(one -> one.all("w:t"))
            .map(XmlNode::text)
            .reduce("", String::concat);
    String base =
        node.child("w:rubyBase").stream()
            .flatMap(one -> one.all("w:t"))
            .map(XmlNode::text)
            .reduce("", String::concat);
    into.words(base, named, direct, over);
  }
}
