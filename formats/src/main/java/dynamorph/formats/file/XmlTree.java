package dynamorph.formats.file;

import dynamorph.formats.message.Messages;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jspecify.annotations.Nullable;

/** XML as trees of elements; what grows without end, over all that one reads, is refused. */
public final class XmlTree {
  private static final int MOST_NODES = 2_000_000;
  private static final int DEEPEST = 200;

  private static final String OPEN_DOCUMENT = "urn:oasis:names:tc:opendocument:xmlns:";

  /** The prefixes of the standards (ECMA-376, transitional and strict; XLIFF 2). */
  private static final Map<String, String> PREFIXES =
      Map.ofEntries(
          Map.entry("http://schemas.openxmlformats.org/wordprocessingml/2006/main", "w"),
          Map.entry("http://purl.oclc.org/ooxml/wordprocessingml/main", "w"),
          Map.entry("http://schemas.openxmlformats.org/drawingml/2006/main", "a"),
          Map.entry("http://purl.oclc.org/ooxml/drawingml/main", "a"),
          Map.entry("http://schemas.openxmlformats.org/spreadsheetml/2006/main", "x"),
          Map.entry("http://purl.oclc.org/ooxml/spreadsheetml/main", "x"),
          Map.entry("http://schemas.openxmlformats.org/markup-compatibility/2006", "mc"),
          Map.entry("http://schemas.openxmlformats.org/officeDocument/2006/math", "m"),
          Map.entry("urn:oasis:names:tc:xliff:document:2.0", "xliff"),
          Map.entry("urn:oasis:names:tc:xliff:document:2.2", "xliff"),
          Map.entry("http://www.w3.org/1999/xlink", "xlink"),
          Map.entry("http://www.w3.org/XML/1998/namespace", "xml"),
          Map.entry("http://schemas.openxmlformats.org/officeDocument/2006/relationships", "r"),
          Map.entry("http://purl.oclc.org/ooxml/officeDocument/relationships", "r"));

  private final String name;
  private int nodes;

  /**
   * Begins to read.
   *
   * @param name of the file, for what people are told
   */
  public XmlTree(String name) {
    this.name = name;
  }

  /**
   * Reads a text.
   *
   * @throws XMLStreamException if it is no XML
   * @throws IOException if it has more elements, or more of them within each other, than there is
   *     room for
   */
  public XmlNode read(String text) throws XMLStreamException, IOException {
    return tree(SafeXml.factory().createXMLStreamReader(new StringReader(text.strip())));
  }

  private XmlNode tree(XMLStreamReader xml) throws XMLStreamException, IOException {
    Deque<XmlNode> open = new ArrayDeque<>();
    XmlNode root = null;
    while (xml.hasNext()) {
      switch (xml.next()) {
        case XMLStreamConstants.START_ELEMENT -> {
          if (++nodes > MOST_NODES || open.size() >= DEEPEST) {
            throw new IOException(Messages.of("document.grows-without-end", name));
          }
          XmlNode node =
              new XmlNode(
                  named(xml.getNamespaceURI(), xml.getPrefix(), xml.getLocalName()),
                  attributes(xml),
                  new ArrayList<>(2));
          if (open.isEmpty()) {
            root = node;
          } else {
            open.getFirst().children().add(node);
          }
          open.push(node);
        }
        case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA, XMLStreamConstants.SPACE -> {
          if (!open.isEmpty()) {
            open.getFirst().children().add(xml.getText());
          }
        }
        case XMLStreamConstants.END_ELEMENT -> open.pop();
        default -> {}
      }
    }
    if (root == null) {
      throw new XMLStreamException("no element");
    }
    return root;
  }

  private static Map<String, String> attributes(XMLStreamReader xml) {
    int count = xml.getAttributeCount();
    if (count == 0) {
      return Map.of();
    }
    Map<String, String> attributes = HashMap.newHashMap(count);
    for (int index = 0; index < count; index++) {
      attributes.put(
          named(
              xml.getAttributeNamespace(index),
              xml.getAttributePrefix(index),
              xml.getAttributeLocalName(index)),
          xml.getAttributeValue(index));
    }
    return attributes;
  }

  private static String named(@Nullable String space, @Nullable String prefix, String local) {
    if (space == null || space.isEmpty()) {
      return local;
    }
    if (space.startsWith(OPEN_DOCUMENT)) {
      String kind = space.substring(OPEN_DOCUMENT.length());
      int end = kind.indexOf(':');
      String short_ = end < 0 ? kind : kind.substring(0, end);
      return (short_.equals("xsl-fo-compatible")
              ? "fo"
              : short_.equals("svg-compatible")
                  ? "svg"
                  : short_.equals("drawing") ? "draw" : short_)
          + ":"
          + local;
    }
    String known = PREFIXES.get(space);
    return (known != null ? known : prefix == null || prefix.isEmpty() ? "other" : prefix)
        + ":"
        + local;
  }
}
