package dynamorph.formats.file;

import dynamorph.formats.message.Messages;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLStreamException;

/**
 * The XML parts of a document that is a zip archive. Nothing outside of the archive is ever read,
 * and what grows without end is refused.
 */
public final class XmlParts implements AutoCloseable {
  private static final long LARGEST_PART = 64L << 20;
  private final String name;
  private final ZipFile zip;
  private final XmlTree tree;

  /**
   * Opens an archive.
   *
   * @throws IOException if it is none
   */
  public XmlParts(Path file) throws IOException {
    this.name = String.valueOf(file.getFileName());
    this.tree = new XmlTree(name);
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
    try {
      return tree.read(PlainText.decode(in.readAllBytes()));
    } catch (XMLStreamException | IllegalArgumentException broken) {
      throw new IOException(Messages.of("document.is-damaged", name, part), broken);
    }
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
