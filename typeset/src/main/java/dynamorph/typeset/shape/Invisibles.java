package dynamorph.typeset.shape;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import java.util.List;

/**
 * Characters that draw nothing, whatever a font has for them: controls, separators of lines and
 * paragraphs, and the default-ignorable ones (UAX #44), fillers among them.
 */
final class Invisibles {
  /** Default-ignorable characters that shapers hide and give no width; of one unit and of two. */
  private static final String HIDDEN = "\u200B";

  private static final String HIDDEN_PAIR = "\uDB40\uDC01";

  private Invisibles() {}

  static boolean isInvisible(int codePoint) {
    if (codePoint >= 0x20 && codePoint < 0x7F) {
      return false;
    }
    return isControlOrSeparator(codePoint)
        || UCharacter.hasBinaryProperty(codePoint, UProperty.DEFAULT_IGNORABLE_CODE_POINT);
  }

  private static boolean isControlOrSeparator(int codePoint) {
    return Character.isISOControl(codePoint) || codePoint == 0x2028 || codePoint == 0x2029;
  }

  /**
   * Letters that stand for nothing where a syllable lacks a part. The shaper takes them for
   * letters, so a font without them would show its sign for what is missing.
   */
  private static boolean isFiller(int codePoint) {
    return codePoint == 0x115F || codePoint == 0x1160 || codePoint == 0x3164 || codePoint == 0xFFA0;
  }

  /** Controls of shorthand, which shapers take for letters too. */
  private static boolean isShorthandControl(int codePoint) {
    return codePoint >= 0x1BCA0 && codePoint <= 0x1BCA3;
  }

  /** Marks that choose forms; without a base the shaper would show one. */
  private static boolean isIgnorableMark(int codePoint) {
    return codePoint >= 0x034F
        && Character.getType(codePoint) == Character.NON_SPACING_MARK
        && UCharacter.hasBinaryProperty(codePoint, UProperty.DEFAULT_IGNORABLE_CODE_POINT);
  }

  /**
   * The text that is given to the shaper: what it would look up in the font, although nothing is to
   * be seen, is something that it hides. Other default-ignorable characters stay, since they join
   * and choose forms.
   */
  static String forShaping(String text, List<Itemizer.Item> items) {
    StringBuilder changed = null;
    boolean onBase = false;
    int at = 0;
    for (Itemizer.Item item : items) {
      while (at < item.end()) {
        int codePoint = text.codePointAt(at);
        int next = at + Character.charCount(codePoint);
        boolean control = isControlOrSeparator(codePoint);
        boolean unknown =
            isFiller(codePoint) || isIgnorableMark(codePoint) || isShorthandControl(codePoint);
        if (control || unknown && (!onBase || !item.face().covers(codePoint))) {
          changed = changed == null ? new StringBuilder(text) : changed;
          changed.replace(at, next, next - at == 1 ? HIDDEN : HIDDEN_PAIR);
        }
        onBase = !control && (onBase || !isInvisible(codePoint));
        at = next;
      }
    }
    return changed == null ? text : changed.toString();
  }
}
