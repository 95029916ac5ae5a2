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
 * @param optical whether pairs are kerned by the shapes of their letters
 */
record ShapePlan(
    FontMatch match,
    FontMatch smaller,
    Map<String, Integer> features,
    boolean smallCapitals,
    double scale,
    double rise,
    boolean optical) {
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
    if (span.tracked()) {
      // letters that are spaced out no longer touch, so they form no ligatures
      features.put("liga", 0);
      features.put("clig", 0);
    }
    boolean optical =
        span.kerning() == Kerning.OPTICAL
            || span.kerning() == Kerning.AUTOMATIC && !face.isKerned();
    if (optical || span.kerning() == Kerning.NONE) {
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
        optical);
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
