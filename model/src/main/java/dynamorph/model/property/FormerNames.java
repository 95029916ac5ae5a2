package dynamorph.model.property;

import dynamorph.model.property.Property.Part;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.SpreadMethod;
import java.util.Map;

/** Names that properties had in files of earlier versions; they are still read. */
final class FormerNames {
  private static final Map<String, String> TEXT =
      Map.ofEntries(
          Map.entry("scale-across", "horizontal-scale"),
          Map.entry("scale-down", "vertical-scale"),
          Map.entry("kern-after", "manual-kerning"),
          Map.entry("letter-position", "script-position"),
          Map.entry("breaker", "line-breaking"),
          Map.entry("keep-last-word", "avoid-short-last-lines"),
          Map.entry("keep-lines", "avoid-widows-orphans"),
          Map.entry("word-space-least", "word-spacing-minimum"),
          Map.entry("word-space-best", "word-spacing-optimum"),
          Map.entry("word-space-most", "word-spacing-maximum"),
          Map.entry("letter-space-least", "letter-spacing-minimum"),
          Map.entry("letter-space-best", "letter-spacing-optimum"),
          Map.entry("letter-space-most", "letter-spacing-maximum"),
          Map.entry("glyph-scale-least", "glyph-scaling-minimum"),
          Map.entry("glyph-scale-best", "glyph-scaling-optimum"),
          Map.entry("glyph-scale-most", "glyph-scaling-maximum"),
          Map.entry("hyphenate-row", "consecutive-hyphens"),
          Map.entry("hyphen-cost", "hyphen-penalty"),
          Map.entry("tab-every", "default-tab-stops"),
          Map.entry("area", "relative-to"),
          Map.entry("line-shift", "decoration-offset"),
          Map.entry("line-width", "decoration-thickness"),
          Map.entry("line-skips-ink", "decoration-skip-ink"),
          Map.entry("line-own-colour", "decoration-own-colour"),
          Map.entry("line-colour", "decoration-colour"),
          Map.entry("plate-around", "plate-extent"),
          Map.entry("plate-least-width", "plate-minimum-width"));

  private static final Map<String, String> COAT =
      Map.ofEntries(
          Map.entry("mixing", "interpolation"),
          Map.entry("across", "translate-x"),
          Map.entry("down", "translate-y"),
          Map.entry("scale-across", "scale-x"),
          Map.entry("scale-down", "scale-y"),
          Map.entry("turn", "rotation"),
          Map.entry("about", "transform-origin"),
          Map.entry("centre-across", "centre-x"),
          Map.entry("centre-down", "centre-y"),
          Map.entry("tile-across", "tile-x"),
          Map.entry("tile-down", "tile-y"),
          Map.entry("tile-ground", "tile-background"),
          Map.entry("step-across", "step-x"),
          Map.entry("step-down", "step-y"),
          Map.entry("step-turn", "step-rotation"),
          Map.entry("last-colour", "end-colour"),
          Map.entry("last-opacity", "end-opacity"),
          Map.entry("dash-phase", "dash-offset"));

  private static final Map<String, String> EFFECT =
      Map.ofEntries(
          Map.entry("across", "x"),
          Map.entry("down", "y"),
          Map.entry("knocked-out", "knockout"),
          Map.entry("from", "source"),
          Map.entry("angle", "azimuth"),
          Map.entry("height", "elevation"),
          Map.entry("edge-width", "bevel-width"),
          Map.entry("light-colour", "highlight-colour"),
          Map.entry("light-blend", "highlight-blend"));

  private FormerNames() {}

  /** The present name of a property that had this one, or the name itself. */
  static String present(Part part, String id) {
    return switch (part) {
      case TEXT -> TEXT.getOrDefault(id, id);
      case COAT -> COAT.getOrDefault(id, id);
      case EFFECT -> EFFECT.getOrDefault(id, id);
    };
  }

  /** The present name of a choice that had this one, or the name itself. */
  static String presentChoice(Class<?> type, String name) {
    if (type == EffectKind.class && name.equals("raised-edge")) {
      return "bevel";
    }
    if (type == SpreadMethod.class) {
      return name.equals("once") ? "pad" : name.equals("mirror") ? "reflect" : name;
    }
    return name;
  }
}
