package dynamorph.typeset.font;

import dynamorph.typeset.message.Messages;
import java.util.Map;

/** What the trade calls OpenType features (OpenType layout tag registry). */
public final class FeatureNames {
  private static final Map<String, String> NAMES =
      Map.ofEntries(
          Map.entry("liga", Messages.of("feature-names.standard-ligatures")),
          Map.entry("clig", Messages.of("feature-names.contextual-ligatures")),
          Map.entry("dlig", Messages.of("feature-names.discretionary-ligatures")),
          Map.entry("hlig", Messages.of("feature-names.historical-ligatures")),
          Map.entry("hist", Messages.of("feature-names.historical-forms")),
          Map.entry("calt", Messages.of("feature-names.contextual-alternates")),
          Map.entry("swsh", Messages.of("feature-names.swashes")),
          Map.entry("cswh", Messages.of("feature-names.contextual-swashes")),
          Map.entry("salt", Messages.of("feature-names.stylistic-alternates")),
          Map.entry("titl", Messages.of("feature-names.titling-capitals")),
          Map.entry("smcp", Messages.of("feature-names.small-capitals")),
          Map.entry("c2sc", Messages.of("feature-names.small-capitals-from-capitals")),
          Map.entry("pcap", Messages.of("feature-names.petite-capitals")),
          Map.entry("c2pc", Messages.of("feature-names.petite-capitals-from-capitals")),
          Map.entry("unic", Messages.of("feature-names.unicase")),
          Map.entry("case", Messages.of("feature-names.case-sensitive-forms")),
          Map.entry("cpsp", Messages.of("feature-names.capital-spacing")),
          Map.entry("lnum", Messages.of("feature-names.lining-figures")),
          Map.entry("onum", Messages.of("feature-names.old-style-figures")),
          Map.entry("pnum", Messages.of("feature-names.proportional-figures")),
          Map.entry("tnum", Messages.of("feature-names.tabular-figures")),
          Map.entry("frac", Messages.of("feature-names.fractions")),
          Map.entry("afrc", Messages.of("feature-names.stacked-fractions")),
          Map.entry("numr", Messages.of("feature-names.numerators")),
          Map.entry("dnom", Messages.of("feature-names.denominators")),
          Map.entry("ordn", Messages.of("feature-names.ordinals")),
          Map.entry("zero", Messages.of("feature-names.slashed-zero")),
          Map.entry("sups", Messages.of("feature-names.superscript")),
          Map.entry("subs", Messages.of("feature-names.subscript")),
          Map.entry("sinf", Messages.of("feature-names.scientific-inferiors")),
          Map.entry("ornm", Messages.of("feature-names.ornaments")),
          Map.entry("kern", Messages.of("feature-names.kerning")),
          Map.entry("nalt", Messages.of("feature-names.annotation-forms")),
          Map.entry("ruby", Messages.of("feature-names.ruby-forms")),
          Map.entry("vert", Messages.of("feature-names.vertical-forms")),
          Map.entry("hwid", Messages.of("feature-names.half-widths")),
          Map.entry("fwid", Messages.of("feature-names.full-widths")),
          Map.entry("pwid", Messages.of("feature-names.proportional-widths")),
          Map.entry("palt", Messages.of("feature-names.proportional-alternate-widths")),
          Map.entry("jp78", "JIS 1978 forms"),
          Map.entry("trad", Messages.of("feature-names.traditional-forms")),
          Map.entry("mgrk", Messages.of("feature-names.mathematical-greek")));

  private FeatureNames() {}

  /**
   * What people call a feature.
   *
   * @param own the name that the font gives it; empty if it gives none
   */
  public static String of(String tag, String own) {
    if (tag.matches("ss\\d\\d")) {
      int number = Integer.parseInt(tag.substring(2));
      return own.isEmpty() ? Messages.of("feature-names.stylistic-set", number) : own;
    }
    if (tag.matches("cv\\d\\d")) {
      return own.isEmpty()
          ? Messages.of("feature-names.character-variant", Integer.parseInt(tag.substring(2)))
          : own;
    }
    return NAMES.getOrDefault(tag, own.isEmpty() ? tag : own);
  }

  /** Whether a feature is for people to choose, not for the shaper to apply by itself. */
  public static boolean isChosen(String tag) {
    return NAMES.containsKey(tag) || tag.matches("(ss|cv)\\d\\d");
  }
}
