package dynamorph.formats.document;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Lengths with a unit, as XML and style sheets write them. */
final class Measures {
  private static final Pattern LENGTH =
      Pattern.compile(
          "([-+]?(?:\\d{1,7}(?:\\.\\d{0,12})?|\\.\\d{1,12}))\\s*(pt|mm|cm|in|inch|pc|pi|px)");
  private static final Pattern SHARE =
      Pattern.compile("([-+]?(?:\\d{1,7}(?:\\.\\d{0,12})?|\\.\\d{1,12}))\\s*%");

  private Measures() {}

  /** Points. */
  static Optional<Double> points(@Nullable String text) {
    Matcher found = LENGTH.matcher(text == null ? "" : text.strip().toLowerCase(Locale.ROOT));
    if (!found.matches()) {
      return Optional.empty();
    }
    double amount = Double.parseDouble(found.group(1));
    return Optional.of(
        amount
            * switch (found.group(2)) {
              case "mm" -> 72 / 25.4;
              case "cm" -> 72 / 2.54;
              case "in", "inch" -> 72;
              case "pc", "pi" -> 12;
              case "px" -> 0.75;
              default -> 1;
            });
  }

  /** A percentage as a share: 0.5 for {@code 50%}. */
  static Optional<Double> share(@Nullable String text) {
    Matcher found = SHARE.matcher(text == null ? "" : text.strip());
    return found.matches()
        ? Optional.of(Double.parseDouble(found.group(1)) / 100)
        : Optional.empty();
  }
}
