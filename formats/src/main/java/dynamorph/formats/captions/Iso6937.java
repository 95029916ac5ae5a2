package dynamorph.formats.captions;

import java.text.Normalizer;
import java.util.HashMap;
import java.util.Map;

/**
 * The Latin alphabet of ISO 6937 as EBU Tech 3264 (appendix 2) takes it: letters with a mark are
 * the mark, then the letter.
 */
final class Iso6937 {
  /** From 0xA0; a space where nothing is. */
  private static final String UPPER =
      "\u00a0\u00a1\u00a2\u00a3$\u00a5 \u00a7\u00a4\u2018\u201c\u00ab\u2190\u2191\u2192\u2193"
          + "\u00b0\u00b1\u00b2\u00b3\u00d7\u00b5\u00b6\u00b7\u00f7\u2019\u201d\u00bb\u00bc\u00bd\u00be\u00bf"
          + "                "
          + "\u2014\u00b9\u00ae\u00a9\u2122\u266a\u00ac\u00a6    \u215b\u215c\u215d\u215e"
          + "\u2126\u00c6\u0110\u00aa\u0126 \u0132\u013f\u0141\u00d8\u0152\u00ba\u00de\u0166\u014a\u0149"
          + "\u0138\u00e6\u0111\u00f0\u0127\u0131\u0133\u0140\u0142\u00f8\u0153\u00df\u00fe\u0167\u014b\u00ad";

  private static final int UPPER_FROM = 0xA0;

  /** Combining marks from 0xC0; a space where nothing is. */
  private static final String MARKS =
      " \u0300\u0301\u0302\u0303\u0304\u0306\u0307\u0308 \u030a\u0327 \u030b\u0328\u030c";

  private static final int MARKS_FROM = 0xC0;

  private static final Map<Character, Integer> BYTES = new HashMap<>();

  private static final Map<Character, Integer> MARK_BYTES = new HashMap<>();

  static {
    for (int at = 0x20; at < 0x7F; at++) {
      BYTES.put((char) at, at);
    }
    for (int at = 0; at < UPPER.length(); at++) {
      if (UPPER.charAt(at) != ' ') {
        BYTES.put(UPPER.charAt(at), UPPER_FROM + at);
      }
    }
    for (int at = 0; at < MARKS.length(); at++) {
      if (MARKS.charAt(at) != ' ') {
        MARK_BYTES.put(MARKS.charAt(at), MARKS_FROM + at);
      }
    }
    BYTES.put('\u03a9', 0xE0);
    BYTES.put('\u2013', (int) '-');
    BYTES.put('\u2015', 0xD0);
    BYTES.put('\u00d0', 0xE2);
    BYTES.put('\u03bc', 0xB5);
  }

  private Iso6937() {}

  /** The letters that bytes stand for; a mark without a letter is left out. */
  static String decoded(byte[] bytes) {
    StringBuilder text = new StringBuilder();
    char mark = 0;
    for (byte one : bytes) {
      int at = Byte.toUnsignedInt(one);
      boolean isMark = at >= MARKS_FROM && at < MARKS_FROM + MARKS.length();
      if (isMark) {
        char found = MARKS.charAt(at - MARKS_FROM);
        mark = found == ' ' ? 0 : found;
        continue;
      }
      char letter = at < UPPER_FROM ? (char) at : UPPER.charAt(at - UPPER_FROM);
      text.append(letter);
      if (mark != 0 && letter != ' ') {
        text.append(mark);
      }
      mark = 0;
    }
    return Normalizer.normalize(text, Normalizer.Form.NFC);
  }

  /** The bytes of a letter; empty if the alphabet does not have it. */
  static byte[] encoded(int letter) {
    Integer alone = letter <= Character.MAX_VALUE ? BYTES.get((char) letter) : null;
    if (alone != null) {
      return new byte[] {alone.byteValue()};
    }
    String parts = Normalizer.normalize(Character.toString(letter), Normalizer.Form.NFD);
    if (parts.length() != 2 || !Character.isLetter(parts.charAt(0))) {
      return new byte[0];
    }
    Integer base = BYTES.get(parts.charAt(0));
    Integer mark = MARK_BYTES.get(parts.charAt(1));
    return base == null || mark == null
        ? new byte[0]
        : new byte[] {mark.byteValue(), base.byteValue()};
  }
}
