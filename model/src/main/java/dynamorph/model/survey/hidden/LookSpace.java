package dynamorph.model.survey.hidden;

import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Colour;
import dynamorph.model.value.ColourDifference;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * Looks that can be near each other: they set the same keys, and agree in all values that are no
 * numbers, lengths or colours. What is left are coordinates, compared one by one.
 */
final class LookSpace {
  /** How two coordinates are compared. */
  private enum Measure {
    SHARE,
    WEIGHT,
    THOUSANDTHS,
    COLOUR
  }

  /** Of em, as a share: lengths below this are as good as none. */
  private static final double SLIGHT_LENGTH = 0.25;

  private final List<PropertyKey<?>> keys;
  private final Measure[] measures;
  private final Function<Colour, Rgba> painted;
  private int[] varying;

  /**
   * @param first any look of the space
   */
  LookSpace(PropertySet first, Function<Colour, Rgba> painted) {
    this.keys = first.keys().stream().filter(key -> isNear(first.get(key).orElseThrow())).toList();
    this.measures =
        keys.stream()
            .map(key -> measure(key, first.get(key).orElseThrow()))
            .toArray(Measure[]::new);
    this.painted = painted;
    this.varying = IntStream.range(0, measures.length).toArray();
  }

  /** The values in which looks of one space agree, with their hash, which is asked for often. */
  record Category(Object values, int hash) {
    @Override
    public boolean equals(Object other) {
      return this == other
          || other instanceof Category category
              && category.hash == hash
              && category.values.equals(values);
    }

    @Override
    public int hashCode() {
      return hash;
    }
  }

  static Category category(PropertySet look) {
    List<Object> kinds = new ArrayList<>();
    for (PropertyKey<?> key : look.keys()) {
      Object value = look.get(key).orElseThrow();
      if (isNear(value)) {
        kinds.add(key);
        if (value instanceof Leading || value instanceof Length) {
          kinds.add(value instanceof Length length ? length.unit() : value.getClass());
        }
      }
    }
    Object values = List.of(kinds, look.where(key -> !isNear(look.get(key).orElseThrow())));
    return new Category(values, values.hashCode());
  }

  private static boolean isNear(Object value) {
    return switch (value) {
      case Double _, FontSize.Absolute _, Length _, Colour _ -> true;
      case Leading.Absolute _, Leading.Relative _ -> true;
      default -> false;
    };
  }

  /**
   * The keys in which two looks of any kind differ by more than a tolerance.
   *
   * @param painted the colour that a colour is painted with
   */
  static List<PropertyKey<?>> beyond(
      PropertySet one, PropertySet other, Function<Colour, Rgba> painted, Tolerance tolerance) {
    List<PropertyKey<?>> beyond = new ArrayList<>();
    for (PropertyKey<?> key : one.keys()) {
      if (!one.get(key).equals(other.get(key)) && !isNear(key, one, other, painted, tolerance)) {
        beyond.add(key);
      }
    }
    for (PropertyKey<?> key : other.keys()) {
      if (!one.has(key)) {
        beyond.add(key);
      }
    }
    return beyond;
  }

  private static <T> boolean isNear(
      PropertyKey<T> key,
      PropertySet one,
      PropertySet other,
      Function<Colour, Rgba> painted,
      Tolerance tolerance) {
    if (!one.has(key) || !other.has(key)) {
      return false;
    }
    PropertySet first = only(one, key);
    PropertySet second = only(other, key);
    if (!category(first).equals(category(second))) {
      return false;
    }
    LookSpace space = new LookSpace(first, painted);
    return space.isNear(space.coordinates(first), space.coordinates(second), tolerance);
  }

  /** The value of a key with the size that it may be measured by. */
  private static PropertySet only(PropertySet look, PropertyKey<?> key) {
    return PropertySet.EMPTY.withFrom(look, key);
  }

  private static Measure measure(PropertyKey<?> key, Object value) {
    if (value instanceof Colour) {
      return Measure.COLOUR;
    }
    return key.property().equals(Properties.FONT_WEIGHT)
        ? Measure.WEIGHT
        : key.property().equals(Properties.TRACKING) ? Measure.THOUSANDTHS : Measure.SHARE;
  }

  /** Leaves out of comparing what all looks of the space have in common. */
  void compareOnly(Collection<double[]> all) {
    double[] first = all.iterator().next();
    varying =
        IntStream.range(0, measures.length)
            .filter(index ->
                all.stream()
                    .anyMatch(one ->
                        !Arrays.equals(
                            one, 4 * index, 4 * index + 4, first, 4 * index, 4 * index + 4)))
            .toArray();
  }

  /** A look as numbers: one for each coordinate, four for a colour. */
  double[] coordinates(PropertySet look) {
    double size = Coats.value(look, Properties.SIZE.key()).over(1);
    double[] coordinates = new double[4 * keys.size()];
    for (int index = 0; index < keys.size(); index++) {
      switch (look.get(keys.get(index)).orElseThrow()) {
        case Double number -> coordinates[4 * index] = number;
        case FontSize points -> coordinates[4 * index] = points.over(0);
        case Length length -> coordinates[4 * index] = length.amount();
        case Leading.Absolute leading -> coordinates[4 * index] = leading.points() / size;
        case Leading.Relative leading -> coordinates[4 * index] = leading.share();
        case Colour colour -> {
          Rgba rgba = painted.apply(colour);
          System.arraycopy(ColourDifference.lab(rgba), 0, coordinates, 4 * index, 3);
          coordinates[4 * index + 3] = rgba.alpha() / 255.0;
        }
        default -> throw new IllegalStateException(keys.get(index).path());
      }
    }
    return coordinates;
  }

  /** Whether two looks of the space are within a tolerance in all they have. */
  boolean isNear(double[] one, double[] other, Tolerance tolerance) {
    for (int index : varying) {
      if (!isNear(index, one, other, tolerance)) {
        return false;
      }
    }
    return true;
  }

  private boolean isNear(int index, double[] one, double[] other, Tolerance tolerance) {
    int at = 4 * index;
    double a = one[at];
    double b = other[at];
    return switch (measures[index]) {
      case WEIGHT -> Math.abs(a - b) <= tolerance.weight();
      case THOUSANDTHS -> Math.abs(a - b) <= tolerance.thousandths();
      case SHARE -> a == b || Math.abs(a - b) <= tolerance.share() * scale(index, a, b);
      case COLOUR -> isNearColour(at, one, other, tolerance);
    };
  }

  private double scale(int index, double one, double other) {
    PropertyKey<?> key = keys.get(index);
    double most = Math.max(Math.abs(one), Math.abs(other));
    return key.property().equals(Properties.SIZE)
        ? most
        : switch (key.property().defaultValue()) {
          case Length _ -> Math.max(SLIGHT_LENGTH, most);
          case Double usual -> Math.max(Math.abs(usual), most);
          default -> most;
        };
  }

  private static boolean isNearColour(int at, double[] one, double[] other, Tolerance tolerance) {
    if (Math.abs(one[at + 3] - other[at + 3]) > tolerance.share()) {
      return false;
    }
    boolean same =
        one[at] == other[at] && one[at + 1] == other[at + 1] && one[at + 2] == other[at + 2];
    // lightness alone tells most colours apart, and is far cheaper to compare
    boolean far = Math.abs(one[at] - other[at]) > 2 * tolerance.deltaE();
    return same
        || !far
            && ColourDifference.between(
                    new double[] {one[at], one[at + 1], one[at + 2]},
                    new double[] {other[at], other[at + 1], other[at + 2]})
                <= tolerance.deltaE();
  }
}
