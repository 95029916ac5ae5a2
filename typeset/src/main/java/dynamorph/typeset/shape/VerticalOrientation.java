package dynamorph.typeset.shape;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import dynamorph.model.value.TateChuYoko;
import dynamorph.model.value.TextOrientation;
import dynamorph.typeset.font.FontFace;
import java.util.List;

/**
 * How the letters of a vertical line stand (UAX #50 by ICU; CSS Writing Modes 4, 5.1), and which of
 * them stand across it in the room of one (9.1 there, tate-chu-yoko).
 */
final class VerticalOrientation {
  private VerticalOrientation() {}

  /**
   * How a letter stands.
   *
   * @param face that draws it: signs that want another form in vertical lines are turned where a
   *     font has none
   */
  static GlyphOrientation of(
      int codePoint, TextOrientation wanted, FontFace face, int script, int level) {
    // letters that join, and those that run to the left, only make words when they are turned
    if (wanted == TextOrientation.SIDEWAYS || JoiningScripts.join(script) || (level & 1) == 1) {
      return GlyphOrientation.SIDEWAYS;
    }
    if (wanted == TextOrientation.UPRIGHT) {
      return GlyphOrientation.UPRIGHT;
    }
    boolean upright =
        switch (UCharacter.getIntPropertyValue(codePoint, UProperty.VERTICAL_ORIENTATION)) {
          case UCharacter.VerticalOrientation.UPRIGHT,
              UCharacter.VerticalOrientation.TRANSFORMED_UPRIGHT ->
              true;
          case UCharacter.VerticalOrientation.TRANSFORMED_ROTATED ->
              face.hasVerticalForm(codePoint);
          default -> false;
        };
    return upright ? GlyphOrientation.UPRIGHT : GlyphOrientation.SIDEWAYS;
  }

  /** For each unit of the shown text the end of the group that it is set across with; else 0. */
  static int[] groups(CaseMapping shown, List<ShapeKey.SpanType> spans) {
    int[] ends = new int[shown.text().length()];
    int from = 0;
    for (int span = 0; span < spans.size(); span++) {
      int to = shown.spanEnds()[span];
      group(shown.text(), from, to, spans.get(span).combined(), ends);
      from = to;
    }
    return ends;
  }

  private static void group(String text, int from, int to, TateChuYoko combined, int[] ends) {
    int at = from;
    while (combined != TateChuYoko.NONE && at < to) {
      int end = at;
      while (end < to && belongs(text.charAt(end), combined)) {
        end++;
      }
      if (end > at && (combined == TateChuYoko.ALL || end - at <= combined.digits())) {
        java.util.Arrays.fill(ends, at, end, end);
      }
      at = Math.max(end, at + 1);
    }
  }

  /** Spaces and ends of lines part groups. */
  private static boolean belongs(char unit, TateChuYoko combined) {
    return combined == TateChuYoko.ALL
        ? !Character.isWhitespace(unit) && unit != '\u0085'
        : unit >= '0' && unit <= '9';
  }
}
