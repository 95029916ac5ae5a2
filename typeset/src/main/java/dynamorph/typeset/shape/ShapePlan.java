package dynamorph.typeset.shape;

import dynamorph.model.cascade.FontRequest;
import dynamorph.model.value.Kerning;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.TextCase;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.font.FontMatch;
import java.util.Map;
import java.util.TreeMap;

/**
 * What is done with the letters of a span: the face, its features, and what must be made by hand
 * because the face has it not.
 *
 * @param smaller the face of letters that are made small by hand
 * @param features settings by tag
 * @param smallCapitals whether small capitals are made from capitals
 * @param scale share of the size that the whole span is drawn at
 * @param rise how far the whole span stands above the baseline, in em
 * @param kerning how the distance of pairs is evened
 * @param tracked whether letters are spaced out, in scripts whose letters can be
 */
record ShapePlan(
    FontMatch match,
    FontMatch smaller,
    Map<String, Integer> features,
    boolean smallCapitals,
    double scale,
    double rise,
    Kerning kerning,
    boolean tracked) {
  /** Height of capitals that stand for small ones, between x-height and capitals. */
  static final double SMALL_CAPITAL = 0.76;

  private static final double SMALL_FIGURE = 0.62;
  private static final double SUPERSCRIPT_RISE = 0.34;
  private static final double SUBSCRIPT_RISE = -0.14;

  /** Letters made smaller look lighter, so they are taken this much heavier. */
  private static final double HEAVIER = 1.25;

  static ShapePlan of(FontLibrary fonts, String words, ShapeKey.SpanType span) {
    FontMatch match = fonts.match(span.font());
    FontFace face = match.face();
    Map<String, Integer> features = new TreeMap<>();
    if (span.kerning() == Kerning.NONE) {
      features.put("kern", 0);
    }
    boolean synthetic = smallCapitals(span.textCase(), face, features);
    String position =
        switch (span.position()) {
          case NORMAL -> "";
          case SUPERSCRIPT -> "sups";
          case SUBSCRIPT -> "subs";
        };
    boolean real = !position.isEmpty() && face.substitutes(position, words);
    if (real) {
      features.put(position, 1);
    }
    features.putAll(span.features().values());
    boolean small = !position.isEmpty() && !real;
    FontMatch heavier = small || synthetic ? heavier(fonts, span.font()) : match;
    return new ShapePlan(
        small ? heavier : match,
        heavier,
        features,
        synthetic,
        small ? SMALL_FIGURE : 1,
        small ? rise(span.position()) : 0,
        span.kerning(),
        span.tracked());
  }

  /** The settings for letters of a face and script. */
  Map<String, Integer> features(FontFace face, int script) {
    boolean apart = tracked && !JoiningScripts.join(script);
    boolean ownPairs = kerning != Kerning.OPTICAL || !isOptical(face, script);
    if (!apart && ownPairs) {
      return features;
    }
    Map<String, Integer> all = new TreeMap<>();
    if (apart) {
      // letters that are spaced out no longer touch, so they form no ligatures
      all.put("liga", 0);
      all.put("clig", 0);
    }
    if (!ownPairs) {
      all.put("kern", 0);
    }
    all.putAll(features);
    return all;
  }

  /**
   * Whether pairs of a run are kerned by the shapes of their letters. Never in scripts whose
   * letters join or stand on a grid; by itself only where the face has no pairs of its own and
   * gives its letters widths of their own.
   */
  boolean isOptical(FontFace face, int script) {
    return JoiningScripts.standApart(script)
        && switch (kerning) {
          case OPTICAL -> true;
          case AUTOMATIC -> !face.isKerned() && !face.isFixedPitch();
          case METRICS, NONE -> false;
        };
  }

  private static boolean smallCapitals(
      TextCase textCase, FontFace face, Map<String, Integer> features) {
    boolean all = textCase == TextCase.ALL_SMALL_CAPITALS;
    if (!all && textCase != TextCase.SMALL_CAPITALS) {
      return false;
    }
    boolean real = face.has("smcp") && (!all || face.has("c2sc"));
    if (real) {
      features.put("smcp", 1);
      if (all) {
        features.put("c2sc", 1);
      }
    }
    return !real;
  }

  private static double rise(ScriptPosition position) {
    return position == ScriptPosition.SUPERSCRIPT ? SUPERSCRIPT_RISE : SUBSCRIPT_RISE;
  }

  private static FontMatch heavier(FontLibrary fonts, FontRequest wish) {
    return fonts.match(wish.withWeight(wish.weight() * HEAVIER));
  }
}
