package dynamorph.typeset.shape;

import com.ibm.icu.lang.UScript;
import java.util.Set;

/**
 * How the letters of a script stand to each other: joined (Unicode Core Specification, "Cursive
 * joining"), on their own with widths of their own, or otherwise.
 */
public final class JoiningScripts {
  private static final Set<Integer> JOINED =
      Set.of(
          UScript.ARABIC,
          UScript.SYRIAC,
          UScript.MONGOLIAN,
          UScript.NKO,
          UScript.MANDAIC,
          UScript.MANICHAEAN,
          UScript.PSALTER_PAHLAVI,
          UScript.PHAGS_PA,
          UScript.ADLAM,
          UScript.HANIFI_ROHINGYA,
          UScript.SOGDIAN,
          UScript.OLD_UYGHUR,
          UScript.CHORASMIAN);

  private static final Set<Integer> APART =
      Set.of(
          UScript.LATIN,
          UScript.GREEK,
          UScript.CYRILLIC,
          UScript.ARMENIAN,
          UScript.GEORGIAN,
          UScript.HEBREW,
          UScript.CHEROKEE,
          UScript.COPTIC,
          UScript.GOTHIC,
          UScript.RUNIC,
          UScript.TIFINAGH);

  private JoiningScripts() {}

  /** Whether any letters of a text join. */
  public static boolean anyJoin(String text) {
    // below lie Latin, Greek, Cyrillic, Armenian and Hebrew
    return text.codePoints()
        .filter(letter -> letter >= 0x600)
        .anyMatch(letter -> join(UScript.getScript(letter)));
  }

  /** Whether letters join, so that space between them would tear words apart. */
  static boolean join(int script) {
    return JOINED.contains(script);
  }

  /** Whether letters stand apart and have widths of their own, so that pairs can be kerned. */
  static boolean standApart(int script) {
    return APART.contains(script);
  }
}
