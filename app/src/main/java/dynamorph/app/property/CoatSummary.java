package dynamorph.app.property;

import dynamorph.app.message.Messages;
import dynamorph.model.Project;
import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Length;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.Rgba;
import java.util.Optional;

/**
 * A coat in a few words: {@code Stroke, 8 pt outside, #b5552a}.
 *
 * @param colour what it is painted with; empty for a gradient or a pattern
 */
public record CoatSummary(String words, Optional<Rgba> colour) {
  /**
   * A coat, or all coats of a host together.
   *
   * @param values complete values, in which the coat stands
   */
  public static CoatSummary of(Project project, PropertySet values, Address coat) {
    if (coat.coat().equals(Address.WHOLE)) {
      return new CoatSummary(Messages.of("coat-summary.all-coats"), Optional.empty());
    }
    Colour painted = Coats.value(values, Properties.COAT_COLOUR.at(coat));
    boolean solid = Coats.value(values, Properties.COAT_PAINT.at(coat)) == PaintKind.SOLID;
    String paint = solid ? name(project, painted) : paint(values, coat);
    int effects = Coats.effects(values, coat).size();
    String words =
        Coats.value(values, Properties.COAT_KIND.at(coat)) == CoatKind.FILL
            ? Messages.of("coat-summary.fill", paint, effects)
            : Messages.of(
                "coat-summary.stroke",
                Properties.STROKE_WIDTH.type().format(width(values, coat)),
                Properties.STROKE_POSITION
                    .type()
                    .label(Coats.value(values, Properties.STROKE_POSITION.at(coat))),
                paint,
                effects);
    boolean plate = coat.host().equals(Address.PLATE);
    return new CoatSummary(
        plate ? Messages.of("coat-summary.plate", words) : words,
        solid ? Optional.of(project.palette().colour(painted)) : Optional.empty());
  }

  private static Length width(PropertySet values, Address coat) {
    return Coats.value(values, Properties.STROKE_WIDTH.at(coat));
  }

  private static String paint(PropertySet values, Address coat) {
    PaintKind kind = Coats.value(values, Properties.COAT_PAINT.at(coat));
    return Messages.of("coat-summary.paint." + kind.name().toLowerCase(java.util.Locale.ROOT));
  }

  /** How people call a colour: the name of a swatch, else its notation. */
  public static String name(Project project, Colour colour) {
    return switch (colour) {
      case Colour.SwatchReference(String swatch) ->
          project.palette().find(swatch).map(Swatch::name).orElse(swatch);
      case Colour.Literal literal -> literal.toString();
    };
  }
}
