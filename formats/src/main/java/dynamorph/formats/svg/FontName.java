package dynamorph.formats.svg;

import dynamorph.model.value.Slant;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A font as drawings name it. Many programs write the PostScript name of a face, such as {@code
 * SourceSans3-SemiBoldIt}, where the name of its family belongs.
 *
 * @param family in words
 * @param weight 1 to 1000, if the name says it
 * @param width per cent, if the name says it
 */
record FontName(String family, Optional<Double> weight, Slant slant, Optional<Double> width) {
  private static final Pattern FACE =
      Pattern.compile(
          "([^\\s-]{1,80})-((?:Thin|Hairline|ExtraLight|UltraLight|Light|Regular|Roman|Book|Normal|Medium"
              + "|SemiBold|DemiBold|Semibold|Demi|ExtraBold|UltraBold|Bold|Heavy|Black|Italic|Ital|It|Oblique|Obl"
              + "|SemiCondensed|ExtraCondensed|Condensed|Cond|Narrow|SemiExpanded|Expanded|Extended|VF|MT|PS){1,6})");

  static FontName of(String name) {
    Matcher face = FACE.matcher(name);
    if (!face.matches()) {
      return new FontName(name, Optional.empty(), Slant.UPRIGHT, Optional.empty());
    }
    String said = face.group(2).toLowerCase(Locale.ROOT);
    boolean italic = said.matches(".*(ital|it|obl|oblique)(mt|ps)?$|.*italic.*");
    return new FontName(
        words(face.group(1)), weight(said), italic ? Slant.ITALIC : Slant.UPRIGHT, width(said));
  }

  private static String words(String joined) {
    return joined
        .replaceAll("(?<=\\p{Ll})(?=[\\p{Lu}\\d])", " ")
        .replaceAll("(?<=\\p{Lu})(?=\\p{Lu}\\p{Ll})", " ")
        .replaceAll("(MT|PS)$", "")
        .strip();
  }

  /** By the names of weights (CSS Fonts 4, 2.2.1). */
  private static Optional<Double> weight(String said) {
    if (said.contains("thin") || said.contains("hairline")) {
      return Optional.of(100.0);
    }
    if (said.contains("extralight") || said.contains("ultralight")) {
      return Optional.of(200.0);
    }
    if (said.contains("light")) {
      return Optional.of(300.0);
    }
    if (said.contains("medium")) {
      return Optional.of(500.0);
    }
    if (said.contains("semibold") || said.contains("demi")) {
      return Optional.of(600.0);
    }
    if (said.contains("extrabold") || said.contains("ultrabold")) {
      return Optional.of(800.0);
    }
    if (said.contains("bold")) {
      return Optional.of(700.0);
    }
    return said.contains("black") || said.contains("heavy") ? Optional.of(900.0) : Optional.empty();
  }

  private static Optional<Double> width(String said) {
    if (said.contains("extracondensed")) {
      return Optional.of(62.5);
    }
    if (said.contains("semicondensed")) {
      return Optional.of(87.5);
    }
    if (said.contains("cond") || said.contains("narrow")) {
      return Optional.of(75.0);
    }
    if (said.contains("semiexpanded")) {
      return Optional.of(112.5);
    }
    return said.contains("expanded") || said.contains("extended")
        ? Optional.of(125.0)
        : Optional.empty();
  }
}
