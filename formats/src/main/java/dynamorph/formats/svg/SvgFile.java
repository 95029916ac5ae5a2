package dynamorph.formats.svg;

import dynamorph.formats.file.Incoming;
import dynamorph.formats.file.PlainText;
import dynamorph.formats.message.Messages;
import dynamorph.model.document.drawing.WrittenDrawing;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.zip.GZIPInputStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;

/** Drawings as files. Nothing outside of the file is ever read. */
public final class SvgFile {
  /** What files of drawings end with; the second is compressed. */
  public static final List<String> ENDINGS = List.of(".svg", ".svgz");

  private static final long LARGEST = 64L << 20;

  private SvgFile() {}

  /** Whether a file is one by its name. */
  public static boolean isDrawing(Path file) {
    String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    return ENDINGS.stream().anyMatch(name::endsWith);
  }

  /**
   * Reads a drawing.
   *
   * @throws IOException saying what is wrong, if it is missing, too large, damaged, shows nothing
   *     or is none
   */
  public static WrittenDrawing read(Path file) throws IOException {
    String shown = String.valueOf(file.getFileName());
    return read(Incoming.bytes(file, LARGEST), shown);
  }

  /** Reads a drawing from the bytes of its file. */
  static WrittenDrawing read(byte[] bytes, String shown) throws IOException {
    String text = PlainText.decode(unpacked(bytes, shown));
    Document document = Jsoup.parse(text, "", Parser.xmlParser());
    Element root =
        document.children().stream()
            .filter(one -> SvgIndex.name(one).equals("svg"))
            .findFirst()
            .orElseThrow(() -> new IOException(Messages.of("svg.is-none", shown)));
    return SvgReader.read(root, shown);
  }

  private static byte[] unpacked(byte[] bytes, String shown) throws IOException {
    if (bytes.length < 2 || bytes[0] != 0x1f || (bytes[1] & 0xff) != 0x8b) {
      return bytes;
    }
    try (InputStream in = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
      byte[] unpacked = in.readNBytes((int) LARGEST + 1);
      if (unpacked.length > LARGEST) {
        throw Incoming.tooLarge(shown, LARGEST);
      }
      return unpacked;
    } catch (java.util.zip.ZipException | java.io.EOFException damaged) {
      throw new IOException(Messages.of("svg.is-damaged", shown), damaged);
    }
  }
}
