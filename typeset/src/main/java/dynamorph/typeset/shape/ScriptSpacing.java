package dynamorph.typeset.shape;

import com.ibm.icu.lang.UScript;
import java.util.List;

/**
 * Sets East Asian letters a little apart from Latin, Greek and Cyrillic ones and from figures (JIS
 * X 4051 and CSS Text 4 call for an eighth to a quarter of an em).
 */
final class ScriptSpacing {
  private static final float GAP = 0.125f;

  private ScriptSpacing() {}

  static List<ShapedRun> added(List<ShapedRun> runs, String text) {
    return runs.stream().map(run -> added(run, text)).toList();
  }

  private static ShapedRun added(ShapedRun run, String text) {
    float[] advances = run.advances().clone();
    for (int cluster = 0; cluster < advances.length; cluster++) {
      int end = run.ends()[cluster];
      if (end > 0
          && end < text.length()
          && meets(text.codePointBefore(end), text.codePointAt(end))) {
        advances[cluster] += GAP;
      }
    }
    return run.withAdvances(advances);
  }

  private static boolean meets(int one, int other) {
    return isEastAsian(one) && isAlphabetic(other) || isAlphabetic(one) && isEastAsian(other);
  }

  /** Whether a letter is an ideograph or kana. */
  static boolean isEastAsian(int codePoint) {
    if (codePoint < 0x2E80) {
      return false;
    }
    int script = UScript.getScript(codePoint);
    return script == UScript.HAN || script == UScript.HIRAGANA || script == UScript.KATAKANA;
  }

  private static boolean isAlphabetic(int codePoint) {
    if (Character.isDigit(codePoint)) {
      return true;
    }
    int script = UScript.getScript(codePoint);
    return script == UScript.LATIN || script == UScript.GREEK || script == UScript.CYRILLIC;
  }
}
