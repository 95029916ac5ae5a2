package dynamorph.formats.captions;

import java.text.Normalizer;
import java.util.HashMap;
import java.util.Map;

/**
 * What is fixed of closed captions on line 21 (CEA-608-E, CTA-608-E): words of two bytes, each of
 * seven bits and odd parity, one word a frame; a page of 15 rows of 32 cells.
 */
final class Cea608 {
  static final int ROWS = 15;
  static final int COLUMNS = 32;

  /** The page begins so many hundredths of the frame from its edges (the title safe area). */
  static final double EDGE = 10;

  /** Hundredths of the frame that all rows or columns take. */
  static final double PAGE = 80;

  // miscellaneous control codes, by their second byte
  static final int RESUME_CAPTION_LOADING = 0x20;
  static final int BACKSPACE = 0x21;
  static final int DELETE_TO_END_OF_ROW = 0x24;
  static final int ROLL_UP_2 = 0x25;
  static final int ROLL_UP_4 = 0x27;
  static final int RESUME_DIRECT_CAPTIONING = 0x29;
  static final int TEXT_RESTART = 0x2A;
  static final int RESUME_TEXT_DISPLAY = 0x2B;
  static final int ERASE_DISPLAYED_MEMORY = 0x2C;
  static final int CARRIAGE_RETURN = 0x2D;
  static final int ERASE_NON_DISPLAYED_MEMORY = 0x2E;
  static final int END_OF_CAPTION = 0x2F;

  /** The first byte of them, in the first channel. */
  static final int MISCELLANEOUS = 0x14;

  static final int MID_ROW = 0x11;
  static final int TAB_OFFSET = 0x17;

  /** The first code for italics, behind the seven colours. */
  static final int ITALICS = 7;

  /** Colours of letters by their codes: white, green, blue, cyan, red, yellow, magenta. */
  static final ColourCodes COLOURS = ColourCodes.of(7, 2, 4, 6, 1, 3, 5);

  /** What the letters of a row look like. */
  record Pen(int colour, boolean italic, boolean underline) {
    static final Pen PLAIN = new Pen(0, false, false);

    /** After a code among the rows, or at the beginning of one; its lowest bit underlines. */
    Pen after(int code) {
      int kind = code >> 1 & 7;
      boolean under = (code & 1) != 0;
      return kind == ITALICS ? new Pen(colour, true, under) : new Pen(kind, false, under);
    }
  }

  /** Letters from 0x20 to 0x7F. */
  private static final String BASIC =
      " !\"#$%&\u2019()\u00e1+,-./0123456789:;<=>?@ABCDEFGHIJKLMNOPQRSTUVWXYZ[\u00e9]\u00ed\u00f3"
          + "\u00faabcdefghijklmnopqrstuvwxyz\u00e7\u00f7\u00d1\u00f1\u2588";

  /** Special letters: 0x11, then from 0x30. */
  private static final String SPECIAL =
      "\u00ae\u00b0\u00bd\u00bf\u2122\u00a2\u00a3\u266a\u00e0\u00a0\u00e8\u00e2\u00ea\u00ee\u00f4\u00fb";

  /** Letters that take the place of the one before them: 0x12, then from 0x20. */
  private static final String SPANISH_AND_FRENCH =
      "\u00c1\u00c9\u00d3\u00da\u00dc\u00fc\u2018\u00a1*'\u2014\u00a9\u2120\u2022\u201c\u201d"
          + "\u00c0\u00c2\u00c7\u00c8\u00ca\u00cb\u00eb\u00ce\u00cf\u00ef\u00d4\u00d9\u00f9\u00db\u00ab\u00bb";

  /** The same: 0x13, then from 0x20. */
  private static final String PORTUGUESE_AND_GERMAN =
      "\u00c3\u00e3\u00cd\u00cc\u00ec\u00d2\u00f2\u00d5\u00f5{}\\^_|~"
          + "\u00c4\u00e4\u00d6\u00f6\u00df\u00a5\u00a4\u00a6\u00c5\u00e5\u00d8\u00f8\u250c\u2510\u2514\u2518";

  /** First bytes of codes that go to a row, by row from 1; the bit behind says which of two. */
  private static final int[] ROW_CODES = {
    0x1100, 0x1120, 0x1200, 0x1220, 0x1500, 0x1520, 0x1600, 0x1620, 0x1700, 0x1720, 0x1000, 0x1300,
    0x1320, 0x1400, 0x1420
  };

  /** Words for letters that are no basic ones: a basic letter before them, then the code. */
  private static final Map<Integer, Integer> CODES = codes();

  private Cea608() {}

  private static Map<Integer, Integer> codes() {
    Map<Integer, Integer> codes = new HashMap<>();
    String[] tables = {PORTUGUESE_AND_GERMAN, SPANISH_AND_FRENCH};
    for (int table = 0; table < tables.length; table++) {
      for (int index = 0; index < tables[table].length(); index++) {
        codes.put((int) tables[table].charAt(index), (0x13 - table) << 8 | 0x20 + index);
      }
    }
    for (int index = 0; index < SPECIAL.length(); index++) {
      codes.put((int) SPECIAL.charAt(index), 0x1130 + index);
    }
    return Map.copyOf(codes);
  }

  /** A byte of seven bits with its parity. */
  static int withParity(int seven) {
    return Integer.bitCount(seven & 0x7F) % 2 == 0 ? seven | 0x80 : seven & 0x7F;
  }

  /** A word as files write it, in four digits. */
  static String written(int word) {
    return "%02x%02x".formatted(withParity(word >> 8), withParity(word & 0x7F));
  }

  /** The letter of a byte from 0x20 to 0x7F. */
  static char letter(int code) {
    return BASIC.charAt(code - 0x20);
  }

  /** The special or extended letter of a word, without its channel. */
  static char letter(int first, int second) {
    return switch (first) {
      case 0x11 -> SPECIAL.charAt(second - 0x30);
      case 0x12 -> SPANISH_AND_FRENCH.charAt(second - 0x20);
      default -> PORTUGUESE_AND_GERMAN.charAt(second - 0x20);
    };
  }

  /** The byte of a basic letter, or −1. */
  static int basic(int letter) {
    int index = letter == '\'' ? 0x07 : BASIC.indexOf(letter);
    return index < 0 || letter > 0xFFFF ? -1 : index + 0x20;
  }

  /** The word of a special or extended letter, or −1. */
  static int code(int letter) {
    return CODES.getOrDefault(letter, -1);
  }

  /** Whether a word takes the place of the letter before it. */
  static boolean replaces(int word) {
    return word >> 8 == 0x12 || word >> 8 == 0x13;
  }

  /** A letter that stands for another which there is no code for; empty if there is none. */
  static String instead(int letter) {
    String known =
        switch (letter) {
          case 0x2026 -> "...";
          case 0x2014, 0x2013, 0x2212, 0x2010, 0x2011 -> "-";
          case 0x201c, 0x201d -> "\"";
          case 0x2018 -> "\u2019";
          case 0x201e -> "\u201d";
          case 0x201a -> ",";
          case 0x2039 -> "<";
          case 0x203a -> ">";
          case 0x266b, 0x266c -> "\u266a";
          case 0x266d -> "b";
          case 0x266f -> "#";
          case 0x0152 -> "OE";
          case 0x0153 -> "oe";
          case 0x00c6 -> "AE";
          case 0x00e6 -> "ae";
          default -> "";
        };
    if (!known.isEmpty()) {
      return known;
    }
    String plain = Normalizer.normalize(Character.toString(letter), Normalizer.Form.NFD);
    int first = plain.codePointAt(0);
    return basic(first) >= 0 && first != letter ? Character.toString(first) : "";
  }

  /**
   * The code that goes to a row and a cell.
   *
   * @param row from 1
   * @param indent in cells, a multiple of 4 to 28
   */
  static int address(int row, int indent) {
    return ROW_CODES[row - 1] | 0x50 | indent / 4 << 1;
  }

  /** The code that goes to the first cell of a row with a look; colours win over italics. */
  static int address(int row, Pen pen) {
    return ROW_CODES[row - 1] | 0x40 | kind(pen) << 1 | (pen.underline() ? 1 : 0);
  }

  /** The code among letters for a look; colours win over italics. */
  static int midRow(Pen pen) {
    return MID_ROW << 8 | 0x20 | kind(pen) << 1 | (pen.underline() ? 1 : 0);
  }

  /** The code among letters that makes them italic, in the colour that they have. */
  static int italics(Pen pen) {
    return MID_ROW << 8 | 0x20 | ITALICS << 1 | (pen.underline() ? 1 : 0);
  }

  private static int kind(Pen pen) {
    return pen.colour() == 0 && pen.italic() ? ITALICS : pen.colour();
  }

  /** The row that a code goes to, from 1. */
  static int row(int first, int second) {
    int wanted = first << 8 | second & 0x20;
    for (int index = 0; index < ROW_CODES.length; index++) {
      if (ROW_CODES[index] == wanted) {
        return index + 1;
      }
    }
    return 11; // 0x10 has one row only
  }
}
