package dynamorph.formats.css;

import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.EmphasisMark;
import dynamorph.model.value.FigureStyle;
import dynamorph.model.value.FigureWidth;
import dynamorph.model.value.Kerning;
import dynamorph.model.value.LastLine;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.OverlongWords;
import dynamorph.model.value.Slant;
import dynamorph.model.value.TextDirection;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * The declarations that say what a style sets of letters and paragraphs (CSS Fonts 4, CSS Text 3
 * and 4, CSS Text Decoration 4, CSS Logical Properties 1). A point is written as a pixel.
 */
final class Declarations {
  private final PropertySet values;
  private final Map<String, String> written = new LinkedHashMap<>();
  private final Set<PropertyKey<?>> said = new HashSet<>();

  /**
   * @param values what a style and its bases set
   */
  Declarations(PropertySet values) {
    this.values = values;
  }

  /** The declarations, by the name of their property. */
  Map<String, String> written() {
    return written;
  }

  boolean says(PropertyKey<?> key) {
    return said.contains(key);
  }

  PropertySet values() {
    return values;
  }

  void put(String name, String value) {
    written.put(name, value);
  }

  void saying(PropertyKey<?> key) {
    said.add(key);
  }

  static String length(Length length) {
    return length.amount() == 0
        ? "0"
        : Numbers.format(length.amount(), 4) + (length.unit() == Length.Unit.EM ? "em" : "px");
  }

  static String pixels(double points) {
    return points == 0 ? "0" : Numbers.format(points, 4) + "px";
  }

  static String quoted(String words) {
    return "\""
        + words.replace("\\", "\\\\").replace("\"", "\\\"").replaceAll("\\p{Cntrl}", " ")
        + "\"";
  }

  private <T> void set(Property<T> property, Consumer<T> write) {
    values
        .get(property.key())
        .ifPresent(value -> {
          saying(property.key());
          write.accept(value);
        });
  }

  private <T> void put(Property<T> property, String name, Function<T, String> words) {
    set(property, value -> put(name, words.apply(value)));
  }

  private Optional<Boolean> flag(Property<Boolean> property) {
    saying(property.key());
    return values.get(property.key());
  }

  void letters(String size) {
    put(Properties.FONT_FAMILY, "font-family", Declarations::quoted);
    put(Properties.SIZE, "font-size", _ -> size);
    put(Properties.FONT_WEIGHT, "font-weight", Numbers::format);
    put(Properties.SLANT, "font-style", slant -> slant == Slant.ITALIC ? "italic" : "normal");
    put(Properties.FONT_WIDTH, "font-stretch", width -> Numbers.format(width) + "%");
    put(Properties.OPTICAL_SIZING, "font-optical-sizing", on -> on ? "auto" : "none");
    set(
        Properties.FONT_AXES,
        axes -> {
          List<String> settings = new ArrayList<>();
          axes.values()
              .forEach((tag, value) -> settings.add(quoted(tag) + " " + Numbers.format(value)));
          put(
              "font-variation-settings",
              settings.isEmpty() ? "normal" : String.join(", ", settings));
        });
    spacing();
    forms();
    decoration();
  }

  private void spacing() {
    saying(Properties.LEADING_AUTO.key());
    boolean leads =
        values.has(Properties.LEADING.key()) || values.has(Properties.LEADING_AUTO.key());
    if (leads) {
      saying(Properties.LEADING.key());
      put(
          "line-height",
          switch (Coats.value(values, Properties.LEADING.key())) {
            case Leading.Absolute(double points) -> pixels(points);
            case Leading.Relative(double share) -> Numbers.format(share, 4);
            case Leading.Automatic _ ->
                Numbers.format(Coats.value(values, Properties.LEADING_AUTO.key()) / 100, 4);
          });
    }
    put(Properties.TRACKING, "letter-spacing", Declarations::thousandths);
    put(Properties.WORD_SPACING, "word-spacing", Declarations::thousandths);
    put(Properties.BASELINE_SHIFT, "vertical-align", Declarations::length);
    values
        .get(Properties.KERNING.key())
        .filter(kind -> kind != Kerning.OPTICAL)
        .ifPresent(kind -> {
          saying(Properties.KERNING.key());
          put(
              "font-kerning",
              switch (kind) {
                case NONE -> "none";
                case METRICS -> "normal";
                case AUTOMATIC, OPTICAL -> "auto";
              });
        });
  }

  private static String thousandths(double amount) {
    return length(Length.em(amount / 1000));
  }

  private void forms() {
    set(
        Properties.CASE,
        kind -> {
          switch (kind) {
            case AS_TYPED -> put("text-transform", "none");
            case UPPER -> put("text-transform", "uppercase");
            case LOWER -> put("text-transform", "lowercase");
            case TITLE -> put("text-transform", "capitalize");
            case SMALL_CAPITALS -> put("font-variant-caps", "small-caps");
            case ALL_SMALL_CAPITALS -> put("font-variant-caps", "all-small-caps");
          }
        });
    put(
        Properties.SCRIPT_POSITION,
        "font-variant-position",
        position ->
            switch (position) {
              case NORMAL -> "normal";
              case SUPERSCRIPT -> "super";
              case SUBSCRIPT -> "sub";
            });
    List<String> ligatures = new ArrayList<>();
    ligature(ligatures, Properties.LIGATURES, "common-ligatures");
    ligature(ligatures, Properties.LIGATURES_RARE, "discretionary-ligatures");
    ligature(ligatures, Properties.LIGATURES_OLD, "historical-ligatures");
    ligature(ligatures, Properties.CONTEXTUAL, "contextual");
    putAll("font-variant-ligatures", ligatures, " ");
    figures();
    List<String> features = new ArrayList<>();
    flag(Properties.SWASHES).ifPresent(on -> features.add("\"swsh\" " + (on ? 1 : 0)));
    set(
        Properties.STYLISTIC_SETS,
        sets -> sets.numbers().forEach(number -> features.add("\"ss%02d\" 1".formatted(number))));
    set(
        Properties.FONT_FEATURES,
        settings ->
            settings.values().forEach((tag, value) -> features.add(quoted(tag) + " " + value)));
    putAll("font-feature-settings", features, ", ");
  }

  private void ligature(List<String> list, Property<Boolean> property, String name) {
    flag(property).ifPresent(on -> list.add(on ? name : "no-" + name));
  }

  private void figures() {
    List<String> figures = new ArrayList<>();
    set(
        Properties.FIGURE_STYLE,
        style -> {
          if (style != FigureStyle.FONT) {
            figures.add(style == FigureStyle.LINING ? "lining-nums" : "oldstyle-nums");
          }
        });
    set(
        Properties.FIGURE_WIDTH,
        width -> {
          if (width != FigureWidth.FONT) {
            figures.add(width == FigureWidth.TABULAR ? "tabular-nums" : "proportional-nums");
          }
        });
    flag(Properties.FRACTIONS).filter(on -> on).ifPresent(_ -> figures.add("diagonal-fractions"));
    flag(Properties.ORDINALS).filter(on -> on).ifPresent(_ -> figures.add("ordinal"));
    flag(Properties.SLASHED_ZERO).filter(on -> on).ifPresent(_ -> figures.add("slashed-zero"));
    putAll("font-variant-numeric", figures, " ");
  }

  private void putAll(String name, List<String> parts, String between) {
    if (!parts.isEmpty()) {
      put(name, String.join(between, parts));
    }
  }

  private void decoration() {
    List<String> lines = new ArrayList<>();
    boolean any =
        values.has(Properties.UNDERLINE.key())
            || values.has(Properties.OVERLINE.key())
            || values.has(Properties.STRIKE.key());
    flag(Properties.UNDERLINE).filter(on -> on).ifPresent(_ -> lines.add("underline"));
    flag(Properties.OVERLINE).filter(on -> on).ifPresent(_ -> lines.add("overline"));
    flag(Properties.STRIKE).filter(on -> on).ifPresent(_ -> lines.add("line-through"));
    if (any) {
      put("text-decoration-line", lines.isEmpty() ? "none" : String.join(" ", lines));
    }
    put(Properties.EMPHASIS_MARK, "text-emphasis-style", Declarations::emphasis);
    put(Properties.DECORATION_OFFSET, "text-underline-offset", Declarations::length);
    put(Properties.DECORATION_SKIP_INK, "text-decoration-skip-ink", on -> on ? "auto" : "none");
  }

  void paragraphs() {
    put(
        Properties.ALIGNMENT,
        "text-align",
        alignment ->
            switch (alignment) {
              case START -> "start";
              case CENTRE -> "center";
              case END -> "end";
              case LEFT -> "left";
              case RIGHT -> "right";
              case JUSTIFIED -> "justify";
            });
    put(Properties.LAST_LINE, "text-align-last", Declarations::lastLine);
    if (values.get(Properties.ALIGNMENT.key()).filter(Alignment.JUSTIFIED::equals).isEmpty()) {
      written.remove("text-align-last");
    }
    put(Properties.INDENT_FIRST, "text-indent", Declarations::length);
    put(Properties.INDENT_START, "padding-inline-start", Declarations::length);
    put(Properties.INDENT_END, "padding-inline-end", Declarations::length);
    put(Properties.SPACE_BEFORE, "margin-block-start", Declarations::length);
    put(Properties.SPACE_AFTER, "margin-block-end", Declarations::length);
    flag(Properties.AVOID_SHORT_LAST_LINES)
        .ifPresent(on -> put("text-wrap", on ? "pretty" : "wrap"));
    flag(Properties.BALANCE).filter(on -> on).ifPresent(_ -> put("text-wrap", "balance"));
    flag(Properties.AVOID_WIDOWS_ORPHANS)
        .ifPresent(on -> {
          put("orphans", on ? "2" : "1");
          put("widows", on ? "2" : "1");
        });
    flag(Properties.HYPHENATE).ifPresent(on -> put("hyphens", on ? "auto" : "manual"));
    limits();
    values
        .get(Properties.DIRECTION.key())
        .filter(direction -> direction != TextDirection.AUTOMATIC)
        .ifPresent(direction -> {
          saying(Properties.DIRECTION.key());
          put("direction", direction == TextDirection.RIGHT_TO_LEFT ? "rtl" : "ltr");
        });
    breaks();
    vertical();
    put(Properties.COLUMNS, "column-count", Numbers::format);
    put(Properties.GUTTER, "column-gap", Declarations::pixels);
  }

  private void breaks() {
    put(Properties.KEEP_LINES_TOGETHER, "break-inside", on -> on ? "avoid-column" : "auto");
    put(Properties.KEEP_WITH_NEXT, "break-after", on -> on ? "avoid-column" : "auto");
    put(Properties.BREAK_BEFORE, "break-before", on -> on ? "column" : "auto");
    put(
        Properties.OVERLONG_WORDS,
        "overflow-wrap",
        words -> words == OverlongWords.BREAK ? "break-word" : "normal");
    put(
        Properties.EAST_ASIAN_BREAKS,
        "line-break",
        breaks -> breaks.name().toLowerCase(Locale.ROOT));
    put(
        Properties.PUNCTUATION_SPACING,
        "text-spacing-trim",
        spacing ->
            switch (spacing) {
              case FULL_WIDTH -> "space-all";
              case TRIM_ADJACENT -> "normal";
              case TRIM_LINE_EDGES -> "trim-both";
            });
  }

  private void vertical() {
    put(
        Properties.WRITING_MODE,
        "writing-mode",
        mode ->
            switch (mode) {
              case HORIZONTAL -> "horizontal-tb";
              case VERTICAL_RIGHT_TO_LEFT -> "vertical-rl";
              case VERTICAL_LEFT_TO_RIGHT -> "vertical-lr";
            });
    put(
        Properties.TEXT_ORIENTATION,
        "text-orientation",
        orientation -> orientation.name().toLowerCase(Locale.ROOT));
    put(
        Properties.TATE_CHU_YOKO,
        "text-combine-upright",
        combined ->
            switch (combined) {
              case NONE -> "none";
              case ALL -> "all";
              case TWO_DIGITS, THREE_DIGITS, FOUR_DIGITS -> "digits " + combined.digits();
            });
  }

  private static String emphasis(EmphasisMark mark) {
    return switch (mark) {
      case NONE -> "none";
      case DOT -> "dot";
      case OPEN_DOT -> "open dot";
      case CIRCLE -> "circle";
      case OPEN_CIRCLE -> "open circle";
      case DOUBLE_CIRCLE -> "double-circle";
      case TRIANGLE -> "triangle";
      case OPEN_TRIANGLE -> "open triangle";
      case SESAME -> "sesame";
    };
  }

  private static String lastLine(LastLine last) {
    return switch (last) {
      case START -> "start";
      case CENTRE -> "center";
      case END -> "end";
      case JUSTIFIED -> "justify";
    };
  }

  private void limits() {
    List<Property<Double>> limits =
        List.of(Properties.HYPHENATE_WORD, Properties.HYPHENATE_BEFORE, Properties.HYPHENATE_AFTER);
    if (limits.stream().anyMatch(limit -> values.has(limit.key()))) {
      limits.forEach(limit -> saying(limit.key()));
      put(
          "hyphenate-limit-chars",
          String.join(
              " ",
              limits.stream()
                  .map(limit -> Numbers.format(Coats.value(values, limit.key())))
                  .toList()));
    }
  }
}
