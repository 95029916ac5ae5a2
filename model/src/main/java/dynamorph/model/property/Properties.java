package dynamorph.model.property;

import static dynamorph.model.property.Facet.FINISH;
import static dynamorph.model.property.Facet.PLACEMENT;
import static dynamorph.model.property.Registry.layout;
import static dynamorph.model.property.Registry.painted;
import static dynamorph.model.property.Registry.table;

import dynamorph.model.message.Messages;
import dynamorph.model.property.Property.Part;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.FrameArea;
import dynamorph.model.value.Length;
import dynamorph.model.value.PlateExtent;
import dynamorph.model.value.VerticalAlignment;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * The registry of properties: those of letters, of paragraphs, of coats and effects, and here those
 * of plates and places.
 */
public final class Properties extends EffectProperties {
  public static final Property<PlateExtent> PLATE_EXTENT =
      painted(
          "plate-extent",
          FINISH,
          Level.LAYER,
          new ValueType.Choice<>(PlateExtent.class),
          PlateExtent.LAYER,
          "");
  public static final Property<BoxLengths> PLATE_PADDING =
      around("plate-padding", BoxLengths.pairs(Length.em(0.2), Length.em(0.4)));
  public static final Property<BoxLengths> PLATE_RADIUS =
      around("plate-radius", BoxLengths.all(Length.ZERO));
  public static final Property<Length> PLATE_MINIMUM_WIDTH =
      painted("plate-minimum-width", FINISH, Level.LAYER, Registry.LENGTH, Length.ZERO, "");

  public static final Property<Anchor> ANCHOR =
      layout(
          "anchor",
          PLACEMENT,
          Level.LAYER,
          new ValueType.Choice<>(Anchor.class),
          Anchor.TOP_LEFT,
          "");
  public static final Property<Double> POSITION_X =
      number("position-x", new ValueType.Number(-Registry.FAR, Registry.FAR, "pt"), 0.0, "");
  public static final Property<Double> POSITION_Y =
      number("position-y", new ValueType.Number(-Registry.FAR, Registry.FAR, "pt"), 0.0, "");
  public static final Property<FrameArea> RELATIVE_TO =
      layout(
          "relative-to",
          PLACEMENT,
          Level.LAYER,
          new ValueType.Choice<>(FrameArea.class),
          FrameArea.FRAME,
          "in-the-frame");
  public static final Property<Double> SHARE_X =
      number("share-x", new ValueType.Number(-1000, 1000, "%"), 0.0, "in-the-frame");
  public static final Property<Double> SHARE_Y =
      number("share-y", new ValueType.Number(-1000, 1000, "%"), 0.0, "in-the-frame");
  public static final Property<Double> BOX_SHARE =
      number("box-share", new ValueType.Number(0, 1000, "%"), 0.0, "in-the-frame");
  public static final Property<Double> ROTATION =
      number("rotation", new ValueType.Number(-360, 360, "\u00b0"), 0.0, "");
  public static final Property<BoxFit> BOX =
      layout("box", PLACEMENT, Level.LAYER, new ValueType.Choice<>(BoxFit.class), BoxFit.POINT, "");
  public static final Property<Double> BOX_WIDTH =
      number("box-width", new ValueType.Number(0, Registry.FAR, "pt"), 200.0, "");
  public static final Property<Double> BOX_HEIGHT =
      number("box-height", new ValueType.Number(0, Registry.FAR, "pt"), 100.0, "");

  public static final Property<Double> COLUMNS =
      number("columns", new ValueType.Number(1, 20, ""), 1.0, "columns-grid");
  public static final Property<Double> GUTTER =
      number("gutter", new ValueType.Number(0, Registry.FAR, "pt"), 12.0, "columns-grid");
  public static final Property<VerticalAlignment> VERTICAL_ALIGNMENT =
      layout(
          "vertical-alignment",
          PLACEMENT,
          Level.LAYER,
          new ValueType.Choice<>(VerticalAlignment.class),
          VerticalAlignment.TOP,
          "columns-grid");
  public static final Property<Double> BASELINE_GRID =
      number("baseline-grid", new ValueType.Number(0, Registry.FAR, "pt"), 0.0, "columns-grid");
  public static final Property<Double> SHRINK_TO =
      number("shrink-to", new ValueType.Number(1, 100, "%"), 50.0, "columns-grid");

  /** What lies at the bottom of every cascade: the defaults, and one black fill. */
  public static final PropertySet DEFAULTS = defaults();

  private Properties() {}

  /** A number that says where a layer stands. */
  private static Property<Double> number(
      String id, ValueType.Number type, double value, String group) {
    return layout(id, PLACEMENT, Level.LAYER, type, value, group);
  }

  /** Lengths around a plate: one for all sides or corners, or one for each. */
  private static Property<BoxLengths> around(String id, BoxLengths value) {
    ValueType<BoxLengths> type =
        new ValueType.Written<>(
            BoxLengths.class,
            BoxLengths::parse,
            Registry.AROUND,
            Messages.of("properties.lengths-such-as-0-2-em"));
    return painted(id, FINISH, Level.LAYER, type, value, "");
  }

  /** All properties, in the order in which they are shown and filed. */
  public static List<Property<?>> all() {
    return java.util.Collections.unmodifiableList(Registry.order());
  }

  /** The properties of one part. */
  public static Stream<Property<?>> of(Part part) {
    return table(part).values().stream();
  }

  /** The properties of the text itself that belong to a facet. */
  public static Stream<Property<?>> of(Facet facet) {
    return of(Part.TEXT).filter(property -> property.facet() == facet);
  }

  /**
   * The key that a path names.
   *
   * @throws IllegalArgumentException naming the unknown part, with the nearest known name
   */
  public static PropertyKey<?> key(String path) {
    String[] parts = path.strip().split("/", -1);
    String id = parts[parts.length - 1];
    Address address =
        switch (parts.length) {
          case 1 -> Address.TEXT;
          case 3 -> new Address(parts[0], parts[1], "");
          case 4 -> new Address(parts[0], parts[1], parts[2]);
          default -> throw unknown(path, "finish/COAT/PARAMETER");
        };
    Map<String, Property<?>> known = table(address.part());
    Property<?> property =
        known.containsKey(id) ? known.get(id) : known.get(FormerNames.present(address.part(), id));
    if (property == null) {
      throw unknown(path, nearest(id, known));
    }
    boolean whole = address.part() == Part.COAT && address.coat().equals(Address.WHOLE);
    if (whole && !CoatProperties.OF_ALL_COATS.contains(property)) {
      throw new IllegalArgumentException(
          Messages.of("properties.stands-for-all-coats-together-and", path, Address.WHOLE));
    }
    if (!whole && property.equals(MASK)) {
      throw new IllegalArgumentException(
          Messages.of("properties.only-all-coats-have-a-mask", path, Address.whole(parts[0])));
    }
    return property.at(address);
  }

  private static IllegalArgumentException unknown(String path, String suggestion) {
    return new IllegalArgumentException(
        Messages.of("properties.unknown-property-did-you-mean", path, suggestion));
  }

  /**
   * A name that holds the wanted one, such as font-weight for weight, else the one with the fewest
   * different letters.
   */
  private static String nearest(String id, Map<String, Property<?>> table) {
    return table.keySet().stream()
        .filter(known -> id.length() > 2 && known.contains(id))
        .findFirst()
        .orElseGet(() ->
            table.keySet().stream()
                .min(Comparator.comparingInt(known -> distance(id, known)))
                .orElseThrow());
  }

  /** Edit distance (Levenshtein 1966). */
  private static int distance(String one, String other) {
    int[] row = new int[other.length() + 1];
    for (int i = 0; i < row.length; i++) {
      row[i] = i;
    }
    for (int i = 1; i <= one.length(); i++) {
      int diagonal = row[0];
      row[0] = i;
      for (int j = 1; j < row.length; j++) {
        int change = diagonal + (one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1);
        diagonal = row[j];
        row[j] = Math.min(change, 1 + Math.min(row[j], row[j - 1]));
      }
    }
    return row[other.length()];
  }

  private static PropertySet defaults() {
    PropertySet set = PropertySet.EMPTY;
    for (Property<?> property : table(Part.TEXT).values()) {
      set = withDefault(set, property);
    }
    return set.with(COAT_KIND.at(Address.coat("fill")), CoatKind.FILL);
  }

  private static <T> PropertySet withDefault(PropertySet set, Property<T> property) {
    return set.with(property, property.defaultValue());
  }
}
