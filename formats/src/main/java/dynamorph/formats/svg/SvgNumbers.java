package dynamorph.formats.svg;

import dynamorph.paint.artwork.Affine;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Numbers, lengths and transforms as drawings write them. */
final class SvgNumbers {
  private static final String NUMBER =
      "[-+]?(?:\\d{1,12}(?:\\.\\d{0,12})?|\\.\\d{1,12})(?:[eE][-+]?\\d{1,3})?";
  private static final Pattern NUMBERS = Pattern.compile(NUMBER);
  private static final Pattern LENGTH =
      Pattern.compile("(" + NUMBER + ")\\s*(px|pt|pc|mm|cm|in|q|em|rem|ex|%|)");
  private static final Pattern FUNCTION = Pattern.compile("(\\w{1,20})\\s*\\(([^()]{0,400})\\)");

  /** CSS pixels of an inch. */
  private static final double PIXELS = 96;

  private SvgNumbers() {}

  /** All numbers of a list. */
  static List<Double> list(@Nullable String text) {
    List<Double> numbers = new ArrayList<>();
    if (text != null) {
      Matcher found = NUMBERS.matcher(text);
      while (found.find()) {
        finite(found.group()).ifPresent(numbers::add);
      }
    }
    return numbers;
  }

  private static Optional<Double> finite(String digits) {
    double number = Double.parseDouble(digits);
    return Double.isFinite(number) ? Optional.of(number) : Optional.empty();
  }

  /** A number, or a share written as a percentage; empty for anything else. */
  static Optional<Double> share(@Nullable String text) {
    return part(text)
        .flatMap(found ->
            switch (found.group(2)) {
              case "" -> finite(found.group(1));
              case "%" -> finite(found.group(1)).map(percent -> percent / 100);
              default -> Optional.empty();
            });
  }

  private static Optional<Matcher> part(@Nullable String text) {
    Matcher found = LENGTH.matcher(text == null ? "" : text.strip().toLowerCase(Locale.ROOT));
    return found.matches() ? Optional.of(found) : Optional.empty();
  }

  /** Whether a length says how large it is on paper. */
  static boolean isPhysical(@Nullable String text) {
    return part(text).filter(found -> found.group(2).matches("pt|pc|mm|cm|in|q")).isPresent();
  }

  /** The unit of a length; empty for pixels. */
  static String unit(@Nullable String text) {
    return part(text).map(found -> found.group(2)).orElse("");
  }

  /**
   * A length in user units.
   *
   * @param whole what percentages are of, in user units
   * @param em size of the letters, in user units
   */
  static Optional<Double> length(@Nullable String text, double whole, double em) {
    return part(text)
        .flatMap(found ->
            finite(found.group(1))
                .map(amount ->
                    amount
                        * switch (found.group(2)) {
                          case "pt" -> PIXELS / 72;
                          case "pc" -> PIXELS / 6;
                          case "mm" -> PIXELS / 25.4;
                          case "cm" -> PIXELS / 2.54;
                          case "in" -> PIXELS;
                          case "q" -> PIXELS / 101.6;
                          case "em" -> em;
                          case "rem" -> SvgStyle.INITIAL_SIZE;
                          case "ex" -> em / 2;
                          case "%" -> whole / 100;
                          default -> 1;
                        }));
  }

  /** What a list of transforms amounts to; what cannot be read counts for nothing. */
  static Affine transform(@Nullable String text) {
    Affine all = Affine.IDENTITY;
    if (text == null) {
      return all;
    }
    Matcher found = FUNCTION.matcher(text);
    while (found.find()) {
      all = all.after(one(found.group(1), list(found.group(2))));
    }
    return all;
  }

  private static Affine one(String name, List<Double> by) {
    if (by.isEmpty()) {
      return Affine.IDENTITY;
    }
    double first = by.getFirst();
    double second = by.size() > 1 ? by.get(1) : 0;
    return switch (name) {
      case "matrix" ->
          by.size() < 6
              ? Affine.IDENTITY
              : new Affine(first, second, by.get(2), by.get(3), by.get(4), by.get(5));
      case "translate" -> Affine.translation(first, second);
      case "translateX" -> Affine.translation(first, 0);
      case "translateY" -> Affine.translation(0, first);
      case "scale" -> Affine.scaling(first, by.size() > 1 ? second : first);
      case "scaleX" -> Affine.scaling(first, 1);
      case "scaleY" -> Affine.scaling(1, first);
      case "rotate" -> {
        Affine turned = rotation(first);
        yield by.size() < 3
            ? turned
            : Affine.translation(second, by.get(2))
                .after(turned)
                .after(Affine.translation(-second, -by.get(2)));
      }
      case "skewX" -> new Affine(1, 0, Math.tan(Math.toRadians(first)), 1, 0, 0);
      case "skewY" -> new Affine(1, Math.tan(Math.toRadians(first)), 0, 1, 0, 0);
      default -> Affine.IDENTITY;
    };
  }

  private static Affine rotation(double degrees) {
    double angle = Math.toRadians(degrees);
    return new Affine(Math.cos(angle), Math.sin(angle), -Math.sin(angle), Math.cos(angle), 0, 0);
  }

  /**
   * How a view box comes into a place (SVG 2, 8.6).
   *
   * @param box x, y, width and height
   */
  static Affine fitted(List<Double> box, String ratio, double width, double height) {
    double across = width / box.get(2);
    double down = height / box.get(3);
    if (ratio.strip().startsWith("none")) {
      return Affine.scaling(across, down).after(Affine.translation(-box.get(0), -box.get(1)));
    }
    double scale = ratio.contains("slice") ? Math.max(across, down) : Math.min(across, down);
    double restX = width - box.get(2) * scale;
    double restY = height - box.get(3) * scale;
    double x = ratio.contains("xMin") ? 0 : ratio.contains("xMax") ? restX : restX / 2;
    double y = ratio.contains("YMin") ? 0 : ratio.contains("YMax") ? restY : restY / 2;
    return Affine.translation(x, y)
        .after(Affine.scaling(scale, scale))
        .after(Affine.translation(-box.get(0), -box.get(1)));
  }

  /** A view box: four numbers, of which the last two are more than nothing. */
  static Optional<List<Double>> box(@Nullable String text) {
    List<Double> box = list(text);
    return box.size() == 4 && box.get(2) > 0 && box.get(3) > 0
        ? Optional.of(box)
        : Optional.empty();
  }
}
