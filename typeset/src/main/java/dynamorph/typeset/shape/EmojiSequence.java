package dynamorph.typeset.shape;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import java.util.Optional;
import java.util.function.IntPredicate;

/**
 * Signs that are seen as one emoji, or as one sign that is no emoji although it could be: with skin
 * tones, as keycaps and flags, joined by ZWJ, or chosen by a variation selector (UTS #51, 1.4.9 and
 * 2.2).
 *
 * @param end one past its last unit
 * @param colourful whether it is shown as an emoji rather than as text
 * @param signs its code points that are to be seen
 */
record EmojiSequence(int end, boolean colourful, int[] signs) {
  private static final int TEXT_STYLE = 0xFE0E;
  private static final int EMOJI_STYLE = 0xFE0F;
  private static final int KEYCAP = 0x20E3;
  private static final int JOINER = 0x200D;

  /**
   * What begins at a unit; empty for letters, and for a sign alone that is no emoji by itself.
   *
   * @param text well-formed
   */
  static Optional<EmojiSequence> at(String text, int at) {
    int first = text.codePointAt(at);
    int second = codePoint(text, at + Character.charCount(first));
    // letters and figures, by far the most of what is asked
    boolean figure = first < 0xA9 && second != EMOJI_STYLE && second != TEXT_STYLE;
    if (figure || !UCharacter.hasBinaryProperty(first, UProperty.EMOJI)) {
      return Optional.empty();
    }
    int end = element(text, at);
    while (codePoint(text, end) == JOINER && isEmoji(codePoint(text, end + 1))) {
      end = element(text, end + 1);
    }
    boolean single = end == at + Character.charCount(first);
    boolean pictorial = UCharacter.hasBinaryProperty(first, UProperty.EMOJI_PRESENTATION);
    if (single && !pictorial) {
      return Optional.empty();
    }
    int[] signs = text.substring(at, end).codePoints().filter(EmojiSequence::isSeen).toArray();
    return Optional.of(new EmojiSequence(end, second != TEXT_STYLE, signs));
  }

  /** Where one element of a joined sequence ends. */
  private static int element(String text, int at) {
    int first = text.codePointAt(at);
    int end = at + Character.charCount(first);
    int next = codePoint(text, end);
    if (is(first, UProperty.REGIONAL_INDICATOR)) {
      return is(next, UProperty.REGIONAL_INDICATOR) ? end + Character.charCount(next) : end;
    }
    if (is(next, UProperty.EMOJI_MODIFIER) && is(first, UProperty.EMOJI_MODIFIER_BASE)) {
      return end + Character.charCount(next);
    }
    if (next == EMOJI_STYLE || next == TEXT_STYLE) {
      return codePoint(text, end + 1) == KEYCAP ? end + 2 : end + 1;
    }
    return past(text, end, EmojiSequence::isTag);
  }

  private static int past(String text, int from, IntPredicate of) {
    int end = from;
    while (of.test(codePoint(text, end))) {
      end += Character.charCount(text.codePointAt(end));
    }
    return end;
  }

  private static boolean isTag(int codePoint) {
    return codePoint >= 0xE0020 && codePoint <= 0xE007F;
  }

  private static boolean isEmoji(int codePoint) {
    return codePoint >= 0xA9 && is(codePoint, UProperty.EMOJI);
  }

  /** Selectors, joiners and tags are not drawn, and a keycap is often part of its figure alone. */
  private static boolean isSeen(int codePoint) {
    return codePoint != KEYCAP && !is(codePoint, UProperty.DEFAULT_IGNORABLE_CODE_POINT);
  }

  private static boolean is(int codePoint, int property) {
    return codePoint >= 0 && UCharacter.hasBinaryProperty(codePoint, property);
  }

  /** The code point at a unit; -1 behind the end. */
  private static int codePoint(String text, int at) {
    return at < text.length() ? text.codePointAt(at) : -1;
  }
}
