package dynamorph.formats.document;

import dynamorph.formats.file.Incoming;
import dynamorph.formats.file.PlainText;
import dynamorph.formats.file.XmlParts;
import dynamorph.formats.message.Messages;
import dynamorph.model.document.WrittenDocument;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/** Documents with their styles, whatever format they are in. */
public final class DocumentFile {
  /** What files of documents end with. */
  public static final List<String> ENDINGS =
      List.of(".docx", ".odt", ".html", ".htm", ".md", ".markdown", ".rtf", ".txt");

  private static final long LARGEST = 512L << 20;
  private static final long LARGEST_TEXT = 64L << 20;

  private DocumentFile() {}

  /** Whether a file is one by its name. */
  public static boolean isDocument(Path file) {
    String name = name(file);
    return ENDINGS.stream().anyMatch(name::endsWith);
  }

  private static String name(Path file) {
    return String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
  }

  /**
   * Reads a document: by what it begins with, then by its name.
   *
   * @throws IOException saying what is wrong, if it is missing, too large, damaged, has no words or
   *     is no document that can be read
   */
  public static WrittenDocument read(Path file) throws IOException {
    String shown = String.valueOf(file.getFileName());
    Incoming.check(file, LARGEST);
    return switch (kind(file)) {
      case "zip" -> zipped(file);
      case "rtf" -> RtfReader.read(Incoming.bytes(file, LARGEST_TEXT), shown);
      case "compound" ->
          throw new IOException(
              Messages.of(
                  name(file).endsWith(".docx")
                      ? "document.is-encrypted"
                      : "document.is-of-an-older-format",
                  shown));
      case "pdf" -> throw new IOException(Messages.of("document.is-a-pdf", shown));
      default -> text(PlainText.decode(Incoming.bytes(file, LARGEST_TEXT)), name(file), shown);
    };
  }

  private static String kind(Path file) throws IOException {
    byte[] first;
    try (InputStream in = Files.newInputStream(file)) {
      first = in.readNBytes(8);
    }
    String start = new String(first, StandardCharsets.ISO_8859_1);
    if (start.startsWith("PK\u0003\u0004")) {
      return "zip";
    }
    if (start.startsWith("{\\rtf")) {
      return "rtf";
    }
    // the compound files that word processors wrote before 2007, and still write with a password
    if (start.startsWith("\u00D0\u00CF\u0011\u00E0")) {
      return "compound";
    }
    return start.startsWith("%PDF") ? "pdf" : "text";
  }

  private static WrittenDocument zipped(Path file) throws IOException {
    List<String> parts;
    try (XmlParts zip = new XmlParts(file)) {
      parts = zip.names();
    }
    if (parts.contains("word/document.xml")) {
      return DocxReader.read(file);
    }
    if (parts.contains("content.xml")) {
      return OdtReader.read(file);
    }
    throw new IOException(
        Messages.of("document.no-text-document", String.valueOf(file.getFileName())));
  }

  private static WrittenDocument text(String text, String name, String shown) throws IOException {
    if (name.endsWith(".html") || name.endsWith(".htm") || looksLikeHtml(text)) {
      return HtmlReader.read(text, shown);
    }
    if (name.endsWith(".md") || name.endsWith(".markdown")) {
      return MarkdownReader.read(text, shown);
    }
    if (text.indexOf('\0') >= 0) {
      throw new IOException(Messages.of("document.no-text-document", shown));
    }
    return PlainReader.read(text, shown);
  }

  private static boolean looksLikeHtml(String text) {
    String start = text.substring(0, Math.min(text.length(), 200)).strip().toLowerCase(Locale.ROOT);
    return start.startsWith("<!doctype html") || start.startsWith("<html");
  }
}
