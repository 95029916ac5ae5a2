package dynamorph.model.document.mapping;

import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;

/**
 * Looks of a document as they stand to its body text: sizes as multiples of its size, lengths in
 * em, and without what both have alike. So headings of a letter fit on a wall as well.
 *
 * @param body the look of the body text
 */
record RelativeLook(PropertySet body) {
  PropertySet of(PropertySet look) {
    double size = points(look);
    PropertySet relative = PropertySet.EMPTY;
    for (PropertyKey<?> key : look.keys()) {
      if (!look.get(key).equals(body.get(key))) {
        relative = with(relative, look, key, size);
      }
    }
    return relative;
  }

  private PropertySet with(PropertySet to, PropertySet look, PropertyKey<?> key, double size) {
    if (key.equals(Properties.SIZE.key())) {
      return look.get(Properties.SIZE.key()).orElseThrow() instanceof FontSize.Absolute
              && points(body) > 0
          ? to.with(Properties.SIZE, new FontSize.Times(rounded(size / points(body))))
          : to.withFrom(look, key);
    }
    return switch (look.get(key).orElseThrow()) {
      case Length length when length.unit() == Length.Unit.POINT && size > 0 ->
          to.overlaidBy(lengths(key, Length.em(rounded(length.amount() / size))));
      case Leading.Absolute leading when size > 0 ->
          to.with(Properties.LEADING, new Leading.Relative(rounded(leading.points() / size)));
      default -> to.withFrom(look, key);
    };
  }

  @SuppressWarnings("unchecked") // the value of the key is a length
  private static PropertySet lengths(PropertyKey<?> key, Length length) {
    return PropertySet.EMPTY.with((PropertyKey<Length>) key, length);
  }

  /** Of sizes that are relative already nothing can be said. */
  private static double points(PropertySet look) {
    return Coats.value(look, Properties.SIZE.key()) instanceof FontSize.Absolute(double points)
        ? points
        : 0;
  }

  private static double rounded(double value) {
    return Math.round(value * 1000) / 1000.0;
  }
}
