package dynamorph.model.property;

import static dynamorph.model.property.Facet.FINISH;
import static dynamorph.model.property.Facet.LETTERFORMS;
import static dynamorph.model.property.Facet.PARAGRAPH;
import static dynamorph.model.property.Facet.PLACEMENT;
import static dynamorph.model.property.Facet.SPACING;
import static dynamorph.model.property.Facet.TYPEFACE;

import dynamorph.model.property.Property.Part;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;
import dynamorph.model.value.TextCase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * The registry of properties. A coat is itself nothing but values under its address: it is there
 * when its {@link #COAT_KIND} is set by any level, so a narrower level can insert a coat, patch one
 * parameter of an inherited one, hide it ({@link #COAT_SHOWN}), take it away ({@link
 * #COAT_REMOVED}) or move it ({@link #COAT_ORDER}).
 */
public final class Properties {
  /** Ten metres: beyond any panel, and far inside what single precision draws exactly. */
  private static final double FAR = 28_346;

  private static final ValueType<Length> SIGNED_LENGTH = new ValueType.Lengths(-FAR, FAR);
  private static final ValueType<Length> LENGTH = new ValueType.Lengths(0, FAR);

  private static final Map<String, Property<?>> TEXT = new LinkedHashMap<>();
  private static final Map<String, Property<?>> COAT = new LinkedHashMap<>();
  private static final Map<String, Property<?>> EFFECT = new LinkedHashMap<>();
  private static final List<Property<?>> ORDER = new ArrayList<>();
  private static final Map<Property<?>, Integer> RANKS = new HashMap<>();

  public static final Property<String> FONT_FAMILY =
      layout(
          "font-family",
          "Family",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Words("the name of a font family"),
          "Source Sans 3",
          "The font family by its name; a name that is not on this machine is kept and substituted.");
  public static final Property<Double> FONT_WEIGHT =
      layout(
          "font-weight",
          "Weight",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Number(1, 1000, ""),
          400.0,
          "How heavy the letters are, 1 to 1000; 400 is regular, 700 bold. The nearest cut is used.");
  public static final Property<Slant> SLANT =
      layout(
          "slant",
          "Slant",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Choice<>(Slant.class),
          Slant.UPRIGHT,
          "Upright or italic.");
  public static final Property<FontSize> SIZE =
      layout(
          "size",
          "Size",
          TYPEFACE,
          Level.SPAN,
          new ValueType.Sizes(),
          FontSize.points(12),
          "Points, or relative to the inherited size: \u00d71.6, 160 %, +2 pt.");
  public static final Property<Leading> LEADING =
      layout(
          "leading",
          "Leading",
          SPACING,
          Level.SPAN,
          new ValueType.Leadings(),
          Leading.AUTOMATIC,
          "Distance from baseline to baseline: points, a share of the size, or auto (120 %).");
  public static final Property<Double> TRACKING =
      layout(
          "tracking",
          "Tracking",
          SPACING,
          Level.SPAN,
          new ValueType.Number(-1000, 5000, ""),
          0.0,
          "Even extra space between letters, in thousandths of an em.");
  public static final Property<TextCase> CASE =
      layout(
          "case",
          "Case",
          LETTERFORMS,
          Level.SPAN,
          new ValueType.Choice<>(TextCase.class),
          TextCase.AS_TYPED,
          "How letters are shown; the words stay as they were typed.");
  public static final Property<Alignment> ALIGNMENT =
      layout(
          "alignment",
          "Alignment",
          PARAGRAPH,
          Level.PARAGRAPH,
          new ValueType.Choice<>(Alignment.class),
          Alignment.START,
          "Where the lines stand in their measure.");
  public static final Property<Length> INDENT_FIRST =
      layout(
          "indent-first",
          "First line",
          PARAGRAPH,
          Level.PARAGRAPH,
          SIGNED_LENGTH,
          Length.ZERO,
          "Extra indent of the first line; negative lets it hang out.");
  public static final Property<Length> INDENT_START =
      layout(
          "indent-start",
          "Indent start",
          PARAGRAPH,
          Level.PARAGRAPH,
          LENGTH,
          Length.ZERO,
          "Distance of all lines from the edge where they start.");
  public static final Property<Length> INDENT_END =
      layout(
          "indent-end",
          "Indent end",
          PARAGRAPH,
          Level.PARAGRAPH,
          LENGTH,
          Length.ZERO,
          "Distance of all lines from the edge where they end.");
  public static final Property<Length> SPACE_BEFORE =
      layout(
          "space-before",
          "Space before",
          PARAGRAPH,
          Level.PARAGRAPH,
          LENGTH,
          Length.ZERO,
          "Space above the paragraph; not at the top of a box.");
  public static final Property<Length> SPACE_AFTER =
      layout(
          "space-after",
          "Space after",
          PARAGRAPH,
          Level.PARAGRAPH,
          LENGTH,
          Length.ZERO,
          "Space below the paragraph; not at the end of a text.");

  public static final Property<Length> PLATE_PADDING_ACROSS =
      finish(
          "plate-padding-across",
          "Plate padding across",
          Level.LAYER,
          LENGTH,
          Length.em(0.4),
          "How far the plate reaches beyond the text to the left and right.");
  public static final Property<Length> PLATE_PADDING_ALONG =
      finish(
          "plate-padding-along",
          "Plate padding above, below",
          Level.LAYER,
          LENGTH,
          Length.em(0.2),
          "How far the plate reaches beyond the text above and below.");
  public static final Property<Length> PLATE_RADIUS =
      finish(
          "plate-radius",
          "Plate corner radius",
          Level.LAYER,
          LENGTH,
          Length.ZERO,
          "Radius of the plate's corners.");

  public static final Property<Anchor> ANCHOR =
      layout(
          "anchor",
          "Anchor",
          PLACEMENT,
          Level.LAYER,
          new ValueType.Choice<>(Anchor.class),
          Anchor.TOP_LEFT,
          "Which point of the artboard the position is measured from, and which point of the text lies there.");
  public static final Property<Double> POSITION_X =
      layout(
          "position-x",
          "Position across",
          PLACEMENT,
          Level.LAYER,
          new ValueType.Number(-FAR, FAR, "pt"),
          0.0,
          "Distance to the right of the anchor, in points.");
  public static final Property<Double> POSITION_Y =
      layout(
          "position-y",
          "Position down",
          PLACEMENT,
          Level.LAYER,
          new ValueType.Number(-FAR, FAR, "pt"),
          0.0,
          "Distance below the anchor, in points.");
  public static final Property<Double> ROTATION =
      layout(
          "rotation",
          "Rotation",
          PLACEMENT,
          Level.LAYER,
          new ValueType.Number(-360, 360, "\u00b0"),
          0.0,
          "Turn about the anchor, clockwise, in degrees.");
  public static final Property<BoxFit> BOX =
      layout(
          "box",
          "Box",
          PLACEMENT,
          Level.LAYER,
          new ValueType.Choice<>(BoxFit.class),
          BoxFit.POINT,
          "Point: no measure. Fixed: keeps its height. Grow: takes the height of its text.");
  public static final Property<Double> BOX_WIDTH =
      layout(
          "box-width",
          "Box width",
          PLACEMENT,
          Level.LAYER,
          new ValueType.Number(0, FAR, "pt"),
          200.0,
          "The measure of a box, in points.");
  public static final Property<Double> BOX_HEIGHT =
      layout(
          "box-height",
          "Box height",
          PLACEMENT,
          Level.LAYER,
          new ValueType.Number(0, FAR, "pt"),
          100.0,
          "The height of a fixed box, in points.");

  public static final Property<CoatKind> COAT_KIND =
      coat(
          "kind",
          "Kind",
          new ValueType.Choice<>(CoatKind.class),
          CoatKind.FILL,
          "What the coat paints; setting it inserts the coat.");
  public static final Property<Double> COAT_ORDER =
      coat(
          "order",
          "Order",
          new ValueType.Number(-1e6, 1e6, ""),
          0.0,
          "Coats are painted from the lowest number to the highest.");
  public static final Property<Boolean> COAT_SHOWN =
      coat("shown", "Shown", new ValueType.Flag(), true, "Whether the coat is painted.");
  public static final Property<Boolean> COAT_REMOVED =
      coat("removed", "Removed", new ValueType.Flag(), false, "Takes an inherited coat away.");
  public static final Property<Colour> COAT_COLOUR =
      coat(
          "colour",
          "Colour",
          new ValueType.Colours(),
          Colour.of(Rgba.BLACK),
          "What the coat is painted with.");
  public static final Property<Double> COAT_OPACITY =
      coat(
          "opacity",
          "Opacity",
          new ValueType.Number(0, 1, ""),
          1.0,
          "From 0, unseen, to 1, solid.");
  public static final Property<Length> STROKE_WIDTH =
      coat(
          "width",
          "Width",
          new ValueType.Lengths(0, 10_000),
          Length.points(1),
          "How wide a stroke is.");
  public static final Property<StrokePosition> STROKE_POSITION =
      coat(
          "position",
          "Position",
          new ValueType.Choice<>(StrokePosition.class),
          StrokePosition.CENTRE,
          "On which side of the letter edge a stroke lies.");
  public static final Property<StrokeJoin> STROKE_JOIN =
      coat(
          "join",
          "Join",
          new ValueType.Choice<>(StrokeJoin.class),
          StrokeJoin.MITER,
          "How a stroke turns a corner.");

  public static final Property<EffectKind> EFFECT_KIND =
      effect(
          "kind",
          "Kind",
          new ValueType.Choice<>(EffectKind.class),
          EffectKind.DROP_SHADOW,
          "What the effect is; setting it inserts the effect.");
  public static final Property<Boolean> EFFECT_SHOWN =
      effect("shown", "Shown", new ValueType.Flag(), true, "Whether the effect is painted.");
  public static final Property<Boolean> EFFECT_REMOVED =
      effect("removed", "Removed", new ValueType.Flag(), false, "Takes an inherited effect away.");
  public static final Property<Colour> EFFECT_COLOUR =
      effect(
          "colour",
          "Colour",
          new ValueType.Colours(),
          Colour.of(Rgba.BLACK),
          "Colour of the shadow.");
  public static final Property<Double> EFFECT_OPACITY =
      effect(
          "opacity",
          "Opacity",
          new ValueType.Number(0, 1, ""),
          0.4,
          "From 0, unseen, to 1, solid.");
  public static final Property<Length> SHADOW_ACROSS =
      effect(
          "across", "Across", SIGNED_LENGTH, Length.em(0.03), "Offset of the shadow to the right.");
  public static final Property<Length> SHADOW_DOWN =
      effect("down", "Down", SIGNED_LENGTH, Length.em(0.03), "Offset of the shadow downwards.");
  public static final Property<Length> SHADOW_BLUR =
      effect(
          "blur",
          "Blur",
          new ValueType.Lengths(0, 10_000),
          Length.em(0.03),
          "Twice the standard deviation of the blur.");

  /** What lies at the bottom of every cascade: the defaults, and one black fill. */
  public static final PropertySet DEFAULTS = defaults();

  private Properties() {}

  /** All properties, in the order in which they are shown and filed. */
  public static List<Property<?>> all() {
    return java.util.Collections.unmodifiableList(ORDER);
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
    Property<?> property = table(address.part()).get(id);
    if (property == null) {
      throw unknown(path, nearest(id, table(address.part())));
    }
    return property.at(address);
  }

  private static IllegalArgumentException unknown(String path, String suggestion) {
    return new IllegalArgumentException(
        "unknown property \"" + path + "\"; did you mean \"" + suggestion + "\"?");
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

  static int rank(Property<?> property) {
    return RANKS.get(property);
  }

  private static Map<String, Property<?>> table(Part part) {
    return switch (part) {
      case TEXT -> TEXT;
      case COAT -> COAT;
      case EFFECT -> EFFECT;
    };
  }

  private static <T> Property<T> layout(
      String id,
      String label,
      Facet facet,
      Level narrowest,
      ValueType<T> type,
      T value,
      String help) {
    return register(
        new Property<>(id, label, facet, Part.TEXT, narrowest, type, value, true, help));
  }

  private static <T> Property<T> finish(
      String id, String label, Level narrowest, ValueType<T> type, T value, String help) {
    return register(
        new Property<>(id, label, FINISH, Part.TEXT, narrowest, type, value, false, help));
  }

  private static <T> Property<T> coat(
      String id, String label, ValueType<T> type, T value, String help) {
    return register(
        new Property<>(id, label, FINISH, Part.COAT, Level.SPAN, type, value, false, help));
  }

  private static <T> Property<T> effect(
      String id, String label, ValueType<T> type, T value, String help) {
    return register(
        new Property<>(id, label, FINISH, Part.EFFECT, Level.SPAN, type, value, false, help));
  }

  private static <T> Property<T> register(Property<T> property) {
    table(property.part()).put(property.id(), property);
    RANKS.put(property, ORDER.size());
    ORDER.add(property);
    return property;
  }

  private static PropertySet defaults() {
    PropertySet set = PropertySet.EMPTY;
    for (Property<?> property : TEXT.values()) {
      set = withDefault(set, property);
    }
    return set.with(COAT_KIND.at(Address.coat("fill")), CoatKind.FILL);
  }

  private static <T> PropertySet withDefault(PropertySet set, Property<T> property) {
    return set.with(property, property.defaultValue());
  }
}
