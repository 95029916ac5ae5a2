package dynamorph.formats.tokens;

import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Where the styles and swatches of a project stand among its tokens. */
final class TokenNames {
  static final String SWATCHES = "swatches";
  static final String STYLES = "styles";

  private final Map<StyleId, List<String>> styles = new HashMap<>();
  private final Map<String, List<String>> swatches = new HashMap<>();
  private final Set<String> taken = new HashSet<>();

  TokenNames(StyleBook book, List<Swatch> palette) {
    // a group must not have the name of a style in it, so styles of longer paths come first
    for (Style style : book.list()) {
      List<String> path = new ArrayList<>(List.of(STYLES));
      if (!style.group().isBlank()) {
        for (String part : style.group().split("/")) {
          path.add(allowed(part));
          taken.add(String.join(".", path));
        }
      }
    }
    for (Style style : book.list()) {
      List<String> path = new ArrayList<>(List.of(STYLES));
      if (!style.group().isBlank()) {
        for (String part : style.group().split("/")) {
          path.add(allowed(part));
        }
      }
      styles.put(style.id(), free(path, style.name()));
    }
    palette.forEach(swatch -> swatches.put(swatch.id(), free(List.of(SWATCHES), swatch.name())));
  }

  /** Path of the group of a style. */
  List<String> of(StyleId id) {
    return styles.getOrDefault(id, List.of(STYLES, id.value()));
  }

  /** Path of the token of a swatch. */
  List<String> ofSwatch(String id) {
    return swatches.getOrDefault(id, List.of(SWATCHES, id));
  }

  private List<String> free(List<String> group, String name) {
    for (int number = 1; ; number++) {
      List<String> path = new ArrayList<>(group);
      path.add(allowed(name) + (number == 1 ? "" : " " + number));
      if (taken.add(String.join(".", path))) {
        return path;
      }
    }
  }

  /** Names have no dots and braces, and do not begin with a dollar sign (Format Module, 5.1.1). */
  private static String allowed(String name) {
    String plain = name.strip().replaceAll("[.{}]", "-").replaceAll("^\\$+", "");
    return plain.isEmpty() ? "-" : plain;
  }
}
