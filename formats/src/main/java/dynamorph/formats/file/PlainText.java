package dynamorph.formats.file;

import com.ibm.icu.text.CharsetDetector;
import com.ibm.icu.text.CharsetMatch;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Finds out in which encoding bytes are written, and what they say. */
public final class PlainText {
  private PlainText() {}

  /**
   * What bytes say.
   *
   * @param guessed the encoding, if only their letters make it likely; empty if it is sure
   */
  public record Decoded(String text, Optional<Charset> guessed) {}

  /**
   * The text of a file: by its byte order mark, as UTF-8 if it is, as UTF-16 if every other byte is
   * zero, else in the encoding that its letters make likely.
   */
  public static String decode(byte[] bytes) {
    return decoded(bytes).text;
  }

  /** As {@link #decode}, and whether that was a guess. */
  public static Decoded decoded(byte[] bytes) {
    String unicode = unicode(bytes);
    if (unicode != null) {
      return new Decoded(unicode, Optional.empty());
    }
    Charset likely = likely(bytes);
    return new Decoded(text(bytes, 0, likely), Optional.of(likely));
  }

  private static @Nullable String unicode(byte[] bytes) {
    if (starts(bytes, 0xFF, 0xFE, 0, 0)) {
      return text(bytes, 4, Charset.forName("UTF-32LE"));
    }
    if (starts(bytes, 0, 0, 0xFE, 0xFF)) {
      return text(bytes, 4, Charset.forName("UTF-32BE"));
    }
    if (starts(bytes, 0xEF, 0xBB, 0xBF)) {
      return text(bytes, 3, StandardCharsets.UTF_8);
    }
    if (starts(bytes, 0xFF, 0xFE)) {
      return text(bytes, 2, StandardCharsets.UTF_16LE);
    }
    if (starts(bytes, 0xFE, 0xFF)) {
      return text(bytes, 2, StandardCharsets.UTF_16BE);
    }
    int zerosAtEven = zeros(bytes, 0);
    int zerosAtOdd = zeros(bytes, 1);
    int enough = Math.min(bytes.length, 4000) / 6;
    if (bytes.length > 8 && zerosAtOdd > enough && zerosAtEven < zerosAtOdd / 4) {
      return text(bytes, 0, StandardCharsets.UTF_16LE);
    }
    if (bytes.length > 8 && zerosAtEven > enough && zerosAtOdd < zerosAtEven / 4) {
      return text(bytes, 0, StandardCharsets.UTF_16BE);
    }
    try {
      return StandardCharsets.UTF_8
          .newDecoder()
          .onMalformedInput(CodingErrorAction.REPORT)
          .decode(ByteBuffer.wrap(bytes))
          .toString();
    } catch (CharacterCodingException notUtf8) {
      return null;
    }
  }

  /** Of the single-byte encodings the one that the detector holds for likely. */
  private static Charset likely(byte[] bytes) {
    CharsetDetector detector = new CharsetDetector();
    detector.setText(bytes.length > 100_000 ? java.util.Arrays.copyOf(bytes, 100_000) : bytes);
    for (CharsetMatch match : detector.detectAll()) {
      if (Charset.isSupported(match.getName()) && !match.getName().startsWith("UTF")) {
        return Charset.forName(match.getName());
      }
    }
    return StandardCharsets.ISO_8859_1;
  }

  private static boolean starts(byte[] bytes, int... mark) {
    if (bytes.length < mark.length) {
      return false;
    }
    for (int index = 0; index < mark.length; index++) {
      if ((bytes[index] & 0xFF) != mark[index]) {
        return false;
      }
    }
    return true;
  }

  private static int zeros(byte[] bytes, int from) {
    int count = 0;
    for (int index = from; index < Math.min(bytes.length, 4000); index += 2) {
      count += bytes[index] == 0 ? 1 : 0;
    }
    return count;
  }

  private static String text(byte[] bytes, int from, Charset charset) {
    return new String(bytes, from, bytes.length - from, charset);
  }

  /** Lines, however they end. */
  public static List<String> lines(String text) {
    return List.of(text.split("\r\n|\r|\n", -1));
  }
}
