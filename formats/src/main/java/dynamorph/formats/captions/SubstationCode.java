package dynamorph.formats.captions;

import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An override code of SubStation Alpha, such as {@code i1} or {@code pos(192,40)}.
 *
 * @param name empty if it is not known
 * @param argument what stands behind the name; the inside of the brackets if there are some
 * @param written as the script has it, without its backslash
 */
record SubstationCode(String name, String argument, String written) {
  private static final Pattern FORM =
      Pattern.compile(
          "(fscx|fscy|fsc|fsp|fs|fn|frx|fry|frz|fr|fax|fay|fade|fad|fe|[xy]?bord|[xy]?shad|alpha"
              + "|[1-4]a|[1-4]?c(?!lip)|clip|iclip|blur|be|an|a|b|i|u|s|pos|pbo|p|move|org"
              + "|t|kf|ko|kt|k|K|q|r)(.*)",
          Pattern.DOTALL);

  /** What is longer is no code. */
  private static final int LONGEST = 2_000;

  /** The codes in a pair of braces, in order; other words in them are comments. */
  static List<SubstationCode> in(String braces) {
    List<SubstationCode> codes = new ArrayList<>();
    if (braces.length() > LONGEST) {
      return codes;
    }
    int start = braces.indexOf('\\');
    while (start >= 0) {
      int end = end(braces, start + 1);
      String written = braces.substring(start + 1, end).strip();
      Matcher form = FORM.matcher(written);
      codes.add(
          form.matches()
              ? new SubstationCode(form.group(1), inside(form.group(2).strip()), written)
              : new SubstationCode("", "", written));
      start = braces.indexOf('\\', end);
    }
    return codes;
  }

  /** The next backslash that stands in no brackets. */
  private static int end(String braces, int from) {
    int open = 0;
    for (int at = from; at < braces.length(); at++) {
      char unit = braces.charAt(at);
      if (unit == '\\' && open <= 0) {
        return at;
      }
      open += unit == '(' ? 1 : unit == ')' ? -1 : 0;
    }
    return braces.length();
  }

  private static String inside(String argument) {
    return argument.startsWith("(")
        ? argument.substring(1, argument.endsWith(")") ? argument.length() - 1 : argument.length())
        : argument;
  }

  Optional<Double> number() {
    return SubstationField.number(argument);
  }

  /** So many numbers, parted by commas; empty if they are others. */
  Optional<double[]> numbers(int count) {
    List<Optional<Double>> read =
        Arrays.stream(argument.split(",", -1))
            .map(part -> SubstationField.number(part.strip()))
            .toList();
    return read.size() == count && read.stream().allMatch(Optional::isPresent)
        ? Optional.of(read.stream().mapToDouble(Optional::orElseThrow).toArray())
        : Optional.empty();
  }

  /**
   * A look with this code applied; empty if the code says nothing of a look.
   *
   * @param style what a code without a value goes back to
   */
  Optional<SubstationLook> applied(SubstationLook look, SubstationLook style) {
    return switch (name) {
      case "b" -> set(look, style, SubstationField.WEIGHT, weight());
      case "i" -> set(look, style, SubstationField.ITALIC, flag());
      case "u" -> set(look, style, SubstationField.UNDERLINE, flag());
      case "s" -> set(look, style, SubstationField.STRIKE, flag());
      case "fn" ->
          set(
              look,
              style,
              SubstationField.FONT,
              Optional.of(argument)
                  .filter(given -> !given.isEmpty() && !given.equals("0"))
                  .map(SubstationField::family));
      case "fs" -> set(look, style, SubstationField.SIZE, size(look));
      case "fscx" -> set(look, style, SubstationField.SCALE_X, number());
      case "fscy" -> set(look, style, SubstationField.SCALE_Y, number());
      case "fsp" -> set(look, style, SubstationField.SPACING, number());
      case "bord" -> set(look, style, SubstationField.BORDER, number());
      case "xshad" -> set(look, style, SubstationField.SHADOW_X, number());
      case "yshad" -> set(look, style, SubstationField.SHADOW_Y, number());
      case "shad" ->
          set(look, style, SubstationField.SHADOW_X, number())
              .flatMap(right -> set(right, style, SubstationField.SHADOW_Y, number()));
      case "c", "1c" -> coloured(look, style, SubstationField.FILL);
      case "3c" -> coloured(look, style, SubstationField.BORDER_COLOUR);
      case "4c" -> coloured(look, style, SubstationField.SHADOW_COLOUR);
      case "1a" -> faded(look, style, SubstationField.FILL);
      case "3a" -> faded(look, style, SubstationField.BORDER_COLOUR);
      case "4a" -> faded(look, style, SubstationField.SHADOW_COLOUR);
      case "alpha" ->
          faded(look, style, SubstationField.FILL)
              .flatMap(one -> faded(one, style, SubstationField.BORDER_COLOUR))
              .flatMap(two -> faded(two, style, SubstationField.SHADOW_COLOUR));
      default -> Optional.empty();
    };
  }

  private <T> Optional<SubstationLook> set(
      SubstationLook look, SubstationLook style, SubstationField field, Optional<T> value) {
    if (value.isEmpty() && !argument.isEmpty() && !argument.equals("0")) {
      return Optional.empty();
    }
    return Optional.of(
        look.with(field, value.<Object>map(given -> given).orElse(style.get(field))));
  }

  private Optional<Boolean> flag() {
    return argument.matches("[01]") ? Optional.of(argument.equals("1")) : Optional.empty();
  }

  private Optional<Double> weight() {
    return number().flatMap(SubstationField::weight);
  }

  /** With a sign before it, tenths of the size are added. */
  private Optional<Double> size(SubstationLook look) {
    boolean relative = argument.startsWith("+") || argument.startsWith("-");
    return number()
        .map(given ->
            relative ? look.number(SubstationField.SIZE) * (1 + given / 10) : (double) given)
        .filter(given -> given > 0);
  }

  private Optional<SubstationLook> coloured(
      SubstationLook look, SubstationLook style, SubstationField field) {
    if (argument.isEmpty()) {
      return Optional.of(
          look.with(field, withAlpha(style.colour(field), look.colour(field).alpha())));
    }
    return SubstationField.colour("&H" + argument.replaceAll("(?i)^&?H?", ""))
        .map(colour -> look.with(field, withAlpha(colour, look.colour(field).alpha())));
  }

  private Optional<SubstationLook> faded(
      SubstationLook look, SubstationLook style, SubstationField field) {
    if (argument.isEmpty()) {
      return Optional.of(
          look.with(field, withAlpha(look.colour(field), style.colour(field).alpha())));
    }
    String digits = argument.replaceAll("(?i)^&?H?|&$", "");
    return digits.matches("[0-9A-Fa-f]{1,2}")
        ? Optional.of(
            look.with(field, withAlpha(look.colour(field), 0xFF - Integer.parseInt(digits, 16))))
        : Optional.empty();
  }

  private static Rgba withAlpha(Rgba colour, int alpha) {
    return new Rgba(alpha << 24 | colour.argb() & 0xFFFFFF);
  }

  /** As a script has it. */
  @Override
  public String toString() {
    return "\\" + written;
  }
}
