package dynamorph.formats.document;

import dynamorph.formats.file.XmlNode;
import dynamorph.formats.file.XmlParts;
import dynamorph.formats.message.Messages;
import dynamorph.model.document.Role;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Slant;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Reads the words and styles of OpenDocument texts (ODF 1.3, part 3). */
final class OdtReader {
  private final DocumentBuilder into;
  private final OdtStyles styles;
  private final PropertySet language;
  private final List<XmlNode> textBoxes = new ArrayList<>();

  /** More spaces in a row than anybody sets. */
  private static final int MOST_SPACES = 1000;

  private OdtReader(OdtStyles styles, String name) {
    this.into = new DocumentBuilder(name);
    this.styles = styles;
    this.language =
        styles
            .language()
            .map(tag -> PropertySet.EMPTY.with(Properties.LANGUAGE, tag))
            .orElse(PropertySet.EMPTY);
  }

  static WrittenDocument read(Path file) throws IOException {
    String name = String.valueOf(file.getFileName());
    try (XmlParts parts = new XmlParts(file)) {
      if (parts
          .find("META-INF/manifest.xml")
          .filter(manifest -> manifest.all("manifest:encryption-data").findAny().isPresent())
          .isPresent()) {
        throw new IOException(Messages.of("document.is-encrypted", name));
      }
      XmlNode content = parts.part("content.xml");
      OdtReader reader = new OdtReader(new OdtStyles(parts.find("styles.xml"), content), name);
      XmlNode text =
          content
              .child("office:body")
              .flatMap(body -> body.child("office:text"))
              .orElseThrow(() -> new IOException(Messages.of("document.no-text-document", name)));
      reader.blocks(text);
      return reader.into.build();
    }
  }

  // --- blocks

  private void blocks(XmlNode parent) throws IOException {
    for (XmlNode node : parent.elements().toList()) {
      switch (node.name()) {
        case "text:p", "text:h" -> paragraph(node, Optional.empty());
        case "text:list" -> list(node, node.get("text:style-name", ""), 0);
        case "text:section", "text:index-body" -> blocks(node);
        case "table:table" -> table(node);
        case "text:table-of-content",
            "text:illustration-index",
            "text:table-index",
            "text:alphabetical-index",
            "text:bibliography" ->
            into.omit(Omitted.CONTENTS);
        case "text:tracked-changes" -> {
          if (node.all("text:deletion").findAny().isPresent()) {
            into.omit(Omitted.DELETED_TEXT);
          }
        }
        case "draw:frame", "draw:g", "draw:custom-shape" -> drawn(node);
        default -> {}
      }
      while (!textBoxes.isEmpty()) {
        into.omit(Omitted.TEXT_BOX);
        blocks(textBoxes.removeFirst());
      }
    }
  }

  private void list(XmlNode list, String style, int level) throws IOException {
    for (XmlNode item : list.elements().toList()) {
      boolean first = true;
      for (XmlNode node : item.elements().toList()) {
        switch (node.name()) {
          case "text:p", "text:h" -> {
            boolean marked = first && item.name().equals("text:list-item");
            paragraph(node, marked ? Optional.of(styles.item(style, level)) : Optional.empty());
            first = false;
          }
          case "text:list" -> list(node, node.get("text:style-name", style), level + 1);
          default -> {}
        }
      }
    }
  }

  private void paragraph(XmlNode node, Optional<DocxLists.Item> item) throws IOException {
    Role role =
        node.name().equals("text:h")
            ? Role.heading(level(node.get("text:outline-level", "1")))
            : Role.BODY;
    OdtStyles.Said said = styles.paragraph(node.get("text:style-name"), role, into);
    String style = said.key().orElseThrow();
    PropertySet direct = said.direct();
    if (item.isPresent() && !role.isHeading() && !styles.listed(style, into)) {
      style = into.list(item.get().numbered(), item.get().level(), item.get().look());
      direct = direct.where(key -> !key.property().id().startsWith("indent"));
    }
    into.begin(style, direct.overlaidBy(language));
    PropertySet around = into.style(said.key().orElseThrow()).orElseThrow().look();
    inline(node, around.overlaidBy(said.direct()), List.of(), PropertySet.EMPTY);
    into.trimEnd();
    into.end();
  }

  private static int level(String text) {
    return text.matches("\\d{1,2}") ? Integer.parseInt(text) : 1;
  }

  private void table(XmlNode table) throws IOException {
    into.omit(Omitted.TABLE);
    String style = into.standard(Role.TABLE);
    for (XmlNode row : below(table, Set.of("table:table-row"), Set.of("table:table"))) {
      into.begin(style, PropertySet.EMPTY);
      boolean first = true;
      for (XmlNode cell : below(row, Set.of("table:table-cell"), Set.of())) {
        if (!first) {
          into.words("\t", List.of(), PropertySet.EMPTY);
        }
        first = false;
        for (XmlNode paragraph : below(cell, Set.of("text:p", "text:h"), Set.of())) {
          if (!into.endsWithSpace()) {
            into.words(" ", List.of(), PropertySet.EMPTY);
          }
          inline(paragraph, PropertySet.EMPTY, List.of(), PropertySet.EMPTY);
        }
      }
      into.end();
    }
  }

  /** The nearest elements of some names below another, in order; not those below closed ones. */
  private static List<XmlNode> below(XmlNode parent, Set<String> wanted, Set<String> closed) {
    List<XmlNode> found = new ArrayList<>();
    for (XmlNode node : parent.elements().toList()) {
      if (wanted.contains(node.name())) {
        found.add(node);
      } else if (!closed.contains(node.name())) {
        found.addAll(below(node, wanted, closed));
      }
    }
    return found;
  }

  // --- words

  private void inline(XmlNode parent, PropertySet around, List<String> named, PropertySet direct)
      throws IOException {
    for (Object child : parent.children()) {
      if (child instanceof XmlNode node) {
        inlineNode(node, around, named, direct);
      } else {
        words(String.valueOf(child), named, direct);
      }
    }
  }

  /** White is one space (ODF 1.3, part 3, 6.1.2). */
  private void words(String text, List<String> named, PropertySet direct) throws IOException {
    String plain = text.replaceAll("[ \\t\\r\\n]+", " ");
    if (plain.startsWith(" ") && into.endsWithSpace()) {
      plain = plain.substring(1);
    }
    into.words(plain, named, direct);
  }

  private void inlineNode(XmlNode node, PropertySet around, List<String> named, PropertySet direct)
      throws IOException {
    switch (node.name()) {
      case "text:span" -> span(node, around, named, direct);
      case "text:a" -> {
        into.omit(Omitted.LINK_ADDRESS);
        List<String> linked = new ArrayList<>(named);
        linked.add(into.standard(Role.LINK));
        inline(node, around, linked, direct);
      }
      case "text:s" -> {
        String count = node.get("text:c", "1");
        int spaces = count.matches("\\d{1,9}") ? Integer.parseInt(count) : 1;
        into.words(" ".repeat(Math.clamp(spaces, 1, MOST_SPACES)), named, direct);
      }
      case "text:tab" -> into.words("\t", named, direct);
      case "text:line-break" -> into.words("\u2028", named, direct);
      case "text:note" -> into.omit(Omitted.NOTE);
      case "office:annotation" -> into.omit(Omitted.COMMENT);
      case "text:ruby" -> ruby(node, named, direct);
      case "draw:frame", "draw:g", "draw:custom-shape" -> drawn(node);
      case "text:change",
          "text:change-start",
          "text:change-end",
          "office:annotation-end",
          "text:bookmark",
          "text:soft-page-break",
          "text:alphabetical-index-mark" -> {}
      // fields show what they stand for
      default -> inline(node, around, named, direct);
    }
  }

  private void span(XmlNode node, PropertySet around, List<String> named, PropertySet direct)
      throws IOException {
    OdtStyles.Said said = styles.words(node.get("text:style-name"), around, into);
    List<String> styled = new ArrayList<>(named);
    said.key().ifPresent(styled::add);
    PropertySet own = said.direct();
    boolean bold =
        own.get(Properties.FONT_WEIGHT.key())
            .filter(weight -> weight >= LookBuilder.BOLDISH)
            .isPresent();
    if (bold) {
      styled.add(into.standard(Role.STRONG));
      own = own.without(Properties.FONT_WEIGHT.key());
    }
    if (own.get(Properties.SLANT.key()).filter(slant -> slant == Slant.ITALIC).isPresent()) {
      styled.add(into.standard(Role.EMPHASIS));
      own = own.without(Properties.SLANT.key());
    }
    inline(node, around.overlaidBy(said.direct()), styled, direct.overlaidBy(own));
  }

  private void ruby(XmlNode node, List<String> named, PropertySet direct) throws IOException {
    String base = node.child("text:ruby-base").map(XmlNode::text).orElse("");
    String over = node.child("text:ruby-text").map(XmlNode::text).orElse("");
    into.words(base, named, direct, over);
  }

  /** A drawing is a picture, or has words in a box. */
  private void drawn(XmlNode drawing) {
    Optional<XmlNode> box = drawing.all("draw:text-box").findFirst();
    if (box.isPresent()) {
      textBoxes.add(box.get());
    } else {
      into.omit(Omitted.PICTURE);
    }
  }
}
