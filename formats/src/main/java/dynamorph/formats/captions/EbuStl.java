package dynamorph.formats.captions;

import dynamorph.model.timeline.FrameRate;
import java.nio.charset.Charset;
import java.nio.charset.CharsetEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What is fixed of subtitle data exchange files (EBU Tech 3264-E, 1991). */
final class EbuStl {
  /** The block in front. */
  static final int HEAD = 1024;

  /** A block of text and timing. */
  static final int BLOCK = 128;

  /** Where the words of a block begin. */
  static final int TEXT = 16;

  static final int ITALIC_ON = 0x80;
  static final int ITALIC_OFF = 0x81;
  static final int UNDERLINE_ON = 0x82;
  static final int UNDERLINE_OFF = 0x83;
  static final int NEW_LINE = 0x8A;
  static final int UNUSED = 0x8F;
  static final int END_BOX = 0x0A;
  static final int START_BOX = 0x0B;
  static final int DOUBLE_HEIGHT = 0x0D;
  static final int LAST_BLOCK = 0xFF;
  static final int USER_DATA = 0xFE;

  /** Colours of letters by their codes: black, red, green, yellow, blue, magenta, cyan, white. */
  static final ColourCodes COLOURS = ColourCodes.of(0, 1, 2, 3, 4, 5, 6, 7);

  static final int WHITE = 7;

  /** Languages by their codes (appendix 3). */
  static final Map<String, String> LANGUAGES = languages();

  private EbuStl() {}

  private static Map<String, String> languages() {
    String first =
        "sq br ca hr cy cs da de en es eo et eu fo fr fy ga gd gl is it se la lv lb lt hu mt nl no"
            + " oc pl pt ro rm sr sk sl fi sv tr nl-BE wa";
    Map<String, String> languages = new TreeMap<>();
    int code = 1;
    for (String tag : first.split(" ")) {
      languages.put("%02X".formatted(code++), tag);
    }
    languages.putAll(
        Map.of(
            "7E", "ar", "77", "bg", "75", "zh", "70", "el", "6C", "he", "6B", "hi", "69", "ja",
            "65", "ko", "56", "ru"));
    return Map.copyOf(languages);
  }

  /** Whether bytes are such a file: its ninth to eleventh letters say so. */
  static boolean isOne(byte[] bytes) {
    return bytes.length >= HEAD && ascii(bytes, 3, 8).matches("STL\\d\\d\\.\\d\\d");
  }

  static String ascii(byte[] bytes, int from, int length) {
    return new String(bytes, from, length, StandardCharsets.ISO_8859_1).strip();
  }

  /** The two rates that there are. */
  static Optional<FrameRate> rate(String format) {
    return switch (format) {
      case "STL25.01" -> Optional.of(FrameRate.PAL);
      case "STL30.01" -> Optional.of(new FrameRate(30, 1));
      default -> Optional.empty();
    };
  }

  /** An alphabet that words are in. */
  enum Alphabet {
    LATIN("00", Optional.empty()),
    CYRILLIC("01", Optional.of("ISO-8859-5")),
    ARABIC("02", Optional.of("ISO-8859-6")),
    GREEK("03", Optional.of("ISO-8859-7")),
    HEBREW("04", Optional.of("ISO-8859-8"));

    private final String code;
    private final Optional<Charset> charset;

    Alphabet(String code, Optional<String> charset) {
      this.code = code;
      this.charset = charset.map(Charset::forName);
    }

    String code() {
      return code;
    }

    /** That of a head; Latin where it says nothing that is known. */
    static Alphabet of(String code) {
      for (Alphabet one : values()) {
        if (one.code.equals(code)) {
          return one;
        }
      }
      return LATIN;
    }

    String decoded(byte[] bytes) {
      return charset.map(set -> new String(bytes, set)).orElseGet(() -> Iso6937.decoded(bytes));
    }

    /** The bytes of a letter; empty if the alphabet does not have it. */
    byte[] encoded(int letter) {
      if (charset.isEmpty()) {
        return Iso6937.encoded(letter);
      }
      String text = Character.toString(letter);
      CharsetEncoder encoder = charset.get().newEncoder();
      return encoder.canEncode(text) ? text.getBytes(charset.get()) : new byte[0];
    }
  }
}
