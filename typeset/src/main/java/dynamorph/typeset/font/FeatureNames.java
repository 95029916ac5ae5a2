package dynamorph.typeset.font;

import java.util.Map;

/** What the trade calls OpenType features (OpenType layout tag registry). */
public final class FeatureNames {
  private static final Map<String, String> NAMES =
      Map.ofEntries(
          Map.entry("liga", "Standard ligatures"),
          Map.entry("clig", "Contextual ligatures"),
          Map.entry("dlig", "Discretionary ligatures"),
          Map.entry("hlig", "Historical ligatures"),
          Map.entry("hist", "Historical forms"),
          Map.entry("calt", "Contextual alternates"),
          Map.entry("swsh", "Swashes"),
          Map.entry("cswh", "Contextual swashes"),
          Map.entry("salt", "Stylistic alternates"),
          Map.entry("titl", "Titling capitals"),
          Map.entry("smcp", "Small capitals"),
          Map.entry("c2sc", "Small capitals from capitals"),
          Map.entry("pcap", "Petite capitals"),
          Map.entry("c2pc", "Petite capitals from capitals"),
          Map.entry("unic", "Unicase"),
          Map.entry("case", "Case-sensitive forms"),
          Map.entry("cpsp", "Capital spacing"),
          Map.entry("lnum", "Lining figures"),
          Map.entry("onum", "Old-style figures"),
          Map.entry("pnum", "Proportional figures"),
          Map.entry("tnum", "Tabular figures"),
          Map.entry("frac", "Fractions"),
          Map.entry("afrc", "Stacked fractions"),
          Map.entry("numr", "Numerators"),
          Map.entry("dnom", "Denominators"),
          Map.entry("ordn", "Ordinals"),
          Map.entry("zero", "Slashed zero"),
          Map.entry("sups", "Superscript"),
          Map.entry("subs", "Subscript"),
          Map.entry("sinf", "Scientific inferiors"),
          Map.entry("ornm", "Ornaments"),
          Map.entry("kern", "Kerning"),
          Map.entry("nalt", "Annotation forms"),
          Map.entry("ruby", "Ruby forms"),
          Map.entry("vert", "Vertical forms"),
          Map.entry("hwid", "Half widths"),
          Map.entry("fwid", "Full widths"),
          Map.entry("pwid", "Proportional widths"),
          Map.entry("palt", "Proportional alternate widths"),
          Map.entry("jp78", "JIS 1978 forms"),
          Map.entry("trad", "Traditional forms"),
          Map.entry("mgrk", "Mathematical Greek"));

  private FeatureNames() {}

  /**
   * What people call a feature.
   *
   * @param own the name that the font gives it; empty if it gives none
   */
  public static String of(String tag, String own) {
    if (tag.matches("ss\\d\\d")) {
      int number = Integer.parseInt(tag.substring(2));
      return own.isEmpty() ? "Stylistic set " + number : own;
    }
    if (tag.matches("cv\\d\\d")) {
      return own.isEmpty() ? "Character variant " + Integer.parseInt(tag.substring(2)) : own;
    }
    return NAMES.getOrDefault(tag, own.isEmpty() ? tag : own);
  }

  /** Whether a feature is for people to choose, not for the shaper to apply by itself. */
  public static boolean isChosen(String tag) {
    return NAMES.containsKey(tag) || tag.matches("(ss|cv)\\d\\d");
  }
}
