package dynamorph.typeset.shape;

import java.util.List;

/**
 * Signs of East Asian text that fill half of their square and leave the rest white: brackets, full
 * stops, commas. Where two meet, and at the ends of lines, that white is too much (W3C,
 * Requirements for Japanese Text Layout, 3.1.2 to 3.1.5; Requirements for Chinese Text Layout,
 * 3.1.6; CSS Text 4, 8.5).
 */
public final class FullWidthSigns {
  /** What of its square a sign leaves white, in em. */
  public static final double WHITE = 0.5;

  /** What is narrower than this is no full-width sign of its font, in em. */
  private static final double LEAST = 0.95;

  private static final String OPENING =
      "\u2018\u201C\uFF08\u3014\uFF3B\uFF5B\u3008\u300A\u300C\u300E\u3010\u2985\uFF5F\u3018\u3016\u301D";
  private static final String CLOSING =
      "\u2019\u201D\uFF09\u3015\uFF3D\uFF5D\u3009\u300B\u300D\u300F\u3011\u2986\uFF60\u3019\u3017\u301F";
  private static final String STOPS = "\u3001\u3002\uFF0C\uFF0E";
  private static final String MIDDLE = "\u30FB\uFF1A\uFF1B\u3000";

  private static final String FULL_STOPS = "\u3002\uFF0E";
  private static final int IDEOGRAPHIC_SPACE = 0x3000;

  private FullWidthSigns() {}

  /** Whether the white of a sign lies before it. */
  public static boolean isWhiteBefore(int codePoint) {
    return OPENING.indexOf(codePoint) >= 0;
  }

  /** Whether the white of a sign lies behind it; full stops are centred in traditional Chinese. */
  public static boolean isWhiteBehind(int codePoint, String language) {
    return CLOSING.indexOf(codePoint) >= 0
        || STOPS.indexOf(codePoint) >= 0 && !isTraditionalChinese(language);
  }

  private static boolean isTraditionalChinese(String language) {
    return language.startsWith("zh")
        && (language.contains("Hant") || language.contains("TW") || language.contains("HK"));
  }

  /**
   * What of the white of a sign a tight line may take away, in em: all of a bracket's and a
   * comma's, and of a middle dot's at either side, but nothing of a full stop's (JLREQ 3.8.3, after
   * JIS X 4051).
   *
   * @param advance of the sign as it was shaped, in parts of its em
   */
  public static double reducible(int codePoint, String language, double advance) {
    if (advance < LEAST || FULL_STOPS.indexOf(codePoint) >= 0) {
      return 0;
    }
    return isWhiteBefore(codePoint) || isWhiteBehind(codePoint, language) || isDot(codePoint)
        ? WHITE
        : 0;
  }

  /** Which part of the white that is taken away lay before the sign. */
  public static double shareBefore(int codePoint) {
    return isWhiteBefore(codePoint) ? 1 : isDot(codePoint) ? 0.5 : 0;
  }

  private static boolean isDot(int codePoint) {
    return codePoint != IDEOGRAPHIC_SPACE && MIDDLE.indexOf(codePoint) >= 0;
  }

  /** Without the white between signs that meet. */
  static List<ShapedRun> trimmed(List<ShapedRun> runs, ShapeKey key) {
    boolean any =
        key.text()
            .chars()
            .anyMatch(unit -> unit >= 0x2018 && (isWhiteBefore(unit) || isWhiteBehind(unit, "")));
    return any ? runs.stream().map(run -> trimmed(run, key)).toList() : runs;
  }

  private static ShapedRun trimmed(ShapedRun run, ShapeKey key) {
    String language = key.spans().get(run.span()).language();
    float[] advances = run.advances().clone();
    float[] x = run.x().clone();
    float white = (float) (WHITE * run.scale());
    for (int cluster = 0; cluster < advances.length && !run.rightToLeft(); cluster++) {
      int start = run.starts()[cluster];
      int end = run.ends()[cluster];
      if (end == start || advances[cluster] < LEAST * run.scale()) {
        continue;
      }
      int sign = key.text().codePointAt(start);
      if (isWhiteBehind(sign, language) && end < key.text().length()) {
        int next = key.text().codePointAt(end);
        advances[cluster] -= meets(next) ? white : 0;
      } else if (isWhiteBefore(sign) && start > 0) {
        int before = key.text().codePointBefore(start);
        if (isWhiteBefore(before) || MIDDLE.indexOf(before) >= 0) {
          advances[cluster] -= white;
          for (int glyph = run.clusters()[cluster]; glyph < run.clusters()[cluster + 1]; glyph++) {
            x[glyph] -= white;
          }
        }
      }
    }
    return run.withAdvances(advances, x);
  }

  private static boolean meets(int next) {
    return OPENING.indexOf(next) >= 0
        || CLOSING.indexOf(next) >= 0
        || STOPS.indexOf(next) >= 0
        || MIDDLE.indexOf(next) >= 0;
  }
}
