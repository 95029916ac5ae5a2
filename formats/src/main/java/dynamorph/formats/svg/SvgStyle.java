package dynamorph.formats.svg;

import dynamorph.formats.css.CssColours;
import dynamorph.model.value.Rgba;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** What holds for an element: what was declared for it, and what it takes over from around it. */
final class SvgStyle {
  /** The size of letters where nothing is said, in user units. */
  static final double INITIAL_SIZE = 16;

  static final SvgStyle INITIAL = new SvgStyle(Map.of(), Map.of(), INITIAL_SIZE, 400);

  private static final double BOLD = 700;

  private static final Set<String> INHERITED =
      Set.of(
          "color",
          "clip-rule",
          "direction",
          "dominant-baseline",
          "fill",
          "fill-opacity",
          "fill-rule",
          "font-family",
          "font-stretch",
          "font-style",
          "font-variant",
          "font-variant-caps",
          "letter-spacing",
          "marker-end",
          "marker-mid",
          "marker-start",
          "paint-order",
          "stroke",
          "stroke-dasharray",
          "stroke-dashoffset",
          "stroke-linecap",
          "stroke-linejoin",
          "stroke-miterlimit",
          "stroke-opacity",
          "stroke-width",
          "text-anchor",
          "text-combine-upright",
          // lines go through what is inside as well
          "text-decoration",
          "text-decoration-line",
          "text-orientation",
          "text-transform",
          "visibility",
          "white-space",
          "word-spacing",
          "writing-mode");

  private static final Pattern FONT =
      Pattern.compile(
          "(.*?)((?:\\d{1,6}(?:\\.\\d{0,6})?|\\.\\d{1,6})(?:px|pt|em|rem|%|mm|cm|in|pc))(?:\\s*/\\s*\\S{1,20})?\\s+(.{1,400})");

  private final Map<String, String> inherited;
  private final Map<String, String> own;
  private final double size;
  private final double weight;

  private SvgStyle(
      Map<String, String> inherited, Map<String, String> own, double size, double weight) {
    this.inherited = inherited;
    this.own = own;
    this.size = size;
    this.weight = weight;
  }

  /** What holds within, where so much was declared. */
  SvgStyle with(Map<String, String> declared) {
    Map<String, String> said = spelledOut(declared);
    Map<String, String> handed = new HashMap<>(inherited);
    Map<String, String> here = new HashMap<>();
    said.forEach((name, value) -> {
      switch (value) {
        case "inherit" -> Optional.ofNullable(own.get(name)).ifPresent(one -> here.put(name, one));
        case "initial" -> handed.remove(name);
        default -> (INHERITED.contains(name) ? handed : here).put(name, value);
      }
    });
    return new SvgStyle(handed, here, size(said.get("font-size")), weight(said.get("font-weight")));
  }

  private static Map<String, String> spelledOut(Map<String, String> declared) {
    Matcher font = FONT.matcher(declared.getOrDefault("font", ""));
    if (!font.matches()) {
      return declared;
    }
    Map<String, String> all = new HashMap<>();
    all.put("font-size", font.group(2));
    all.put("font-family", font.group(3));
    for (String word : font.group(1).strip().split("\\s+")) {
      switch (word) {
        case "italic", "oblique" -> all.put("font-style", word);
        case "small-caps" -> all.put("font-variant", word);
        case "" -> {}
        default -> {
          if (word.matches("bold|bolder|lighter|\\d{1,4}")) {
            all.put("font-weight", word);
          }
        }
      }
    }
    all.putAll(declared);
    return all;
  }

  private double size(@Nullable String said) {
    if (said == null) {
      return size;
    }
    return SvgNumbers.length(said, size, size)
        .filter(wanted -> wanted > 0)
        .orElseGet(() ->
            switch (said) {
              case "xx-small" -> 9.0;
              case "x-small" -> 10.0;
              case "small" -> 13.0;
              case "medium" -> INITIAL_SIZE;
              case "large" -> 18.0;
              case "x-large" -> 24.0;
              case "xx-large" -> 32.0;
              case "larger" -> size * 1.2;
              case "smaller" -> size / 1.2;
              default -> size;
            });
  }

  private double weight(@Nullable String said) {
    if (said == null) {
      return weight;
    }
    return switch (said) {
      case "normal" -> 400;
      case "bold" -> BOLD;
      case "bolder" -> weight < 350 ? 400 : weight < 550 ? BOLD : 900;
      case "lighter" -> weight < 550 ? 100 : weight < 750 ? 400 : BOLD;
      default -> SvgNumbers.share(said).filter(one -> one >= 1 && one <= 1000).orElse(weight);
    };
  }

  /** Size of the letters, in user units. */
  double size() {
    return size;
  }

  /** Weight of the letters, 1 to 1000. */
  double weight() {
    return weight;
  }

  String get(String name, String otherwise) {
    String value = own.get(name);
    return value != null ? value : inherited.getOrDefault(name, otherwise);
  }

  Optional<String> find(String name) {
    return Optional.ofNullable(own.get(name)).or(() -> Optional.ofNullable(inherited.get(name)));
  }

  /** Whether it says this word, whatever the case. */
  boolean says(String name, String word) {
    return get(name, "").toLowerCase(Locale.ROOT).contains(word);
  }

  /** A share of 0 to 1; 1 where nothing is said. */
  double share(String name) {
    return Math.clamp(find(name).flatMap(SvgNumbers::share).orElse(1.0), 0, 1);
  }

  /** A length in user units. */
  double length(String name, double otherwise) {
    return length(name, otherwise, 0);
  }

  /**
   * A length in user units.
   *
   * @param whole what percentages are of
   */
  double length(String name, double otherwise, double whole) {
    return find(name).flatMap(said -> SvgNumbers.length(said, whole, size)).orElse(otherwise);
  }

  /** A colour; black where nothing is said, empty for what is none. */
  Optional<Rgba> colour(String name, String otherwise) {
    return colour(get(name, otherwise));
  }

  /** What a word for a colour means here. */
  Optional<Rgba> colour(String said) {
    String plain = said.strip();
    return plain.equalsIgnoreCase("currentcolor")
        ? CssColours.parse(get("color", "black"))
        : CssColours.parse(plain);
  }
}
