package dynamorph.formats.file;

import dynamorph.formats.message.Messages;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jspecify.annotations.Nullable;

/**
 * The XML parts of a document that is a zip archive. Nothing outside of the archive is ever read,
 * and what grows without end is refused.
 */
public final class XmlParts implements AutoCloseable {
  private static final long LARGEST_PART = 64L << 20;
  private static final int MOST_NODES = 2_000_000;
  private static final int DEEPEST = 200;

  private static final String OPEN_DOCUMENT = "urn:oasis:names:tc:opendocument:xmlns:";

  /** The prefixes of the standards (ECMA-376, transitional and strict). */
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
          Map.entry("http://www.w3.org/1999/xlink", "xlink"),
          Map.entry("http://www.w3.org/XML/1998/namespace", "xml"),
          Map.entry("http://schemas.openxmlformats.org/officeDocument/2006/relationships", "r"),
          Map.entry("http://purl.oclc.org/ooxml/officeDocument/relationships", "r"));

  private final String name;
  private final ZipFile zip;
  private int nodes;

  /**
   * Opens an archive.
   *
   * @throws IOException if it is none
   */
  public XmlParts(Path file) throws IOException {
    this.name = String.valueOf(file.getFileName());
    try {
      this.zip = new ZipFile(file.toFile());
    } catch (java.util.zip.ZipException none) {
      throw new IOException(Messages.of("document.no-archive", name), none);
    }
  }

  /** A part; empty if the archive has none of that name. */
  public Optional<XmlNode> find(String part) throws IOException {
    ZipEntry entry = zip.getEntry(part);
    if (entry == null) {
      return Optional.empty();
    }
    try (InputStream in = new Bounded(zip.getInputStream(entry), name, part)) {
      return Optional.of(read(in, part));
    }
  }

  /** A part that a document cannot be without. */
  public XmlNode part(String part) throws IOException {
    return find(part)
        .orElseThrow(() -> new IOException(Messages.of("document.lacks-a-part", name, part)));
  }

  private XmlNode read(InputStream in, String part) throws IOException {
    XMLInputFactory factory = SafeXml.factory();
    try {
      String text = PlainText.decode(in.readAllBytes());
      XMLStreamReader xml = factory.createXMLStreamReader(new StringReader(text.strip()));
      return tree(xml);
    } catch (XMLStreamException | IllegalArgumentException broken) {
      throw new IOException(Messages.of("document.is-damaged", name, part), broken);
    }
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

  public List<String> names() {
    return zip.stream().map(ZipEntry::getName).toList();
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }

  /** A stream that ends with an error once it has given too much. */
  private static final class Bounded extends java.io.FilterInputStream {
    private final String name;
    private final String part;
    private long left = LARGEST_PART;

    Bounded(InputStream in, String name, String part) {
      super(in);
      this.name = name;
      this.part = part;
    }

    @Override
    public int read() throws IOException {
      int one = super.read();
      count(one < 0 ? 0 : 1);
      return one;
    }

    @Override
    public int read(byte[] bytes, int from, int length) throws IOException {
      int count = super.read(bytes, from, length);
      count(Math.max(count, 0));
      return count;
    }

    private void count(int read) throws IOException {
      left -= read;
      if (left < 0) {
        throw new IOException(
            Messages.of("document.part-is-too-large", name, part, LARGEST_PART >> 20));
      }
    }
  }
}
