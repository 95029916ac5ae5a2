package dynamorph.app.inspector;

import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.typeset.font.FontFace;
import java.util.List;
import java.util.Map;

/** Which features of a font a property asks for. */
public final class FeatureRows {
  private static final Map<Property<?>, List<String>> TAGS =
      Map.of(
          Properties.LIGATURES, List.of("liga"),
          Properties.LIGATURES_RARE, List.of("dlig"),
          Properties.LIGATURES_OLD, List.of("hlig", "hist"),
          Properties.CONTEXTUAL, List.of("calt"),
          Properties.SWASHES, List.of("swsh"),
          Properties.FIGURE_STYLE, List.of("onum", "lnum"),
          Properties.FIGURE_WIDTH, List.of("tnum", "pnum"),
          Properties.FRACTIONS, List.of("frac"),
          Properties.ORDINALS, List.of("ordn"),
          Properties.SLASHED_ZERO, List.of("zero"));

  private FeatureRows() {}

  /** The features that a property asks for; empty for a property that asks for none. */
  public static List<String> of(Property<?> property) {
    return TAGS.getOrDefault(property, List.of());
  }

  /** Whether a property does anything in a face. */
  public static boolean has(FontFace face, Property<?> property) {
    if (property.equals(Properties.STYLISTIC_SETS)) {
      return face.features().keySet().stream().anyMatch(tag -> tag.matches("ss\\d\\d"));
    }
    if (property.equals(Properties.FONT_AXES)) {
      return !face.axes().isEmpty();
    }
    List<String> tags = of(property);
    return tags.isEmpty() || tags.stream().anyMatch(face::has);
  }
}
