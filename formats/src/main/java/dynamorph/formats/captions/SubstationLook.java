package dynamorph.formats.captions;

import static java.util.Objects.requireNonNull;

import dynamorph.model.cascade.FontRequest;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.PlateExtent;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;
import java.util.EnumMap;
import java.util.Map;

/** What words of a SubStation Alpha script look like. */
final class SubstationLook {
  static final Address BORDER = Address.coat("outline");
  static final Address SHADOW = Address.coat("shadow");

  static final SubstationLook USUAL = new SubstationLook(new EnumMap<>(SubstationField.class));

  private final Map<SubstationField, Object> fields;

  private SubstationLook(Map<SubstationField, Object> fields) {
    this.fields = fields;
  }

  SubstationLook with(SubstationField field, Object value) {
    Map<SubstationField, Object> changed = new EnumMap<>(SubstationField.class);
    changed.putAll(fields);
    changed.put(field, value);
    return new SubstationLook(changed);
  }

  Object get(SubstationField field) {
    return requireNonNull(fields.getOrDefault(field, field.usual()));
  }

  double number(SubstationField field) {
    return (double) get(field);
  }

  boolean flag(SubstationField field) {
    return (boolean) get(field);
  }

  Rgba colour(SubstationField field) {
    return (Rgba) get(field);
  }

  private FontRequest face() {
    return FontRequest.of(
        (String) get(SubstationField.FONT),
        number(SubstationField.WEIGHT),
        flag(SubstationField.ITALIC) ? Slant.ITALIC : Slant.UPRIGHT);
  }

  /** The look as values of a text; what is not there is not among them. */
  PropertySet values(SubstationScale scale) {
    double cell = scale.cells().of(face());
    double size = Math.max(0.1, scale.size(number(SubstationField.SIZE)) / cell);
    PropertySet values =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, (String) get(SubstationField.FONT))
            .with(Properties.FONT_WEIGHT, number(SubstationField.WEIGHT))
            .with(Properties.SLANT, flag(SubstationField.ITALIC) ? Slant.ITALIC : Slant.UPRIGHT)
            .with(Properties.SIZE, FontSize.points(hundredth(size)))
            .with(Properties.LEADING, new Leading.Relative(hundredth(Math.clamp(cell, 0, 10))))
            .with(Properties.UNDERLINE, flag(SubstationField.UNDERLINE))
            .with(Properties.STRIKE, flag(SubstationField.STRIKE))
            .with(Properties.HORIZONTAL_SCALE, scaled(SubstationField.SCALE_X))
            .with(Properties.VERTICAL_SCALE, scaled(SubstationField.SCALE_Y))
            .with(Properties.TRACKING, tracking(scale, size))
            .with(Properties.COAT_COLOUR.at(CueCss.FILL), Colour.of(colour(SubstationField.FILL)));
    double border = hundredth(Math.max(0, scale.border(number(SubstationField.BORDER))));
    Colour edge = Colour.of(colour(SubstationField.BORDER_COLOUR));
    if (flag(SubstationField.BOX)) {
      return values
          .with(Properties.COAT_KIND.at(CueCss.GROUND), CoatKind.FILL)
          .with(Properties.COAT_COLOUR.at(CueCss.GROUND), edge)
          .with(Properties.PLATE_EXTENT, PlateExtent.LINE)
          .with(Properties.PLATE_PADDING, BoxLengths.all(Length.points(border)));
    }
    if (border > 0) {
      values =
          values
              .with(Properties.COAT_KIND.at(BORDER), CoatKind.STROKE)
              .with(Properties.COAT_ORDER.at(BORDER), -1.0)
              .with(Properties.COAT_COLOUR.at(BORDER), edge)
              .with(Properties.STROKE_WIDTH.at(BORDER), Length.points(border))
              .with(Properties.STROKE_POSITION.at(BORDER), StrokePosition.OUTSIDE)
              .with(Properties.STROKE_JOIN.at(BORDER), StrokeJoin.ROUND);
    }
    double right = hundredth(scale.border(number(SubstationField.SHADOW_X)));
    double down = hundredth(scale.border(number(SubstationField.SHADOW_Y)));
    if (right != 0 || down != 0) {
      values =
          values
              .with(Properties.COAT_KIND.at(SHADOW), CoatKind.FILL)
              .with(Properties.COAT_ORDER.at(SHADOW), -2.0)
              .with(
                  Properties.COAT_COLOUR.at(SHADOW),
                  Colour.of(colour(SubstationField.SHADOW_COLOUR)))
              .with(Properties.COAT_OFFSET.at(SHADOW), Length.points(border))
              .with(Properties.STROKE_JOIN.at(SHADOW), StrokeJoin.ROUND)
              .with(Properties.COAT_X.at(SHADOW), Length.points(right))
              .with(Properties.COAT_Y.at(SHADOW), Length.points(down));
    }
    return values;
  }

  /** Space behind letters grows with their width, other than tracking does. */
  private double tracking(SubstationScale scale, double size) {
    double points =
        scale.across(number(SubstationField.SPACING)) * scaled(SubstationField.SCALE_X) / 100;
    return Math.clamp(Math.rint(points / size * 1000), -1000, 5000);
  }

  private double scaled(SubstationField field) {
    return Math.clamp(number(field), 1, 1000);
  }

  private static double hundredth(double value) {
    return Math.round(value * 100) / 100.0;
  }
}
