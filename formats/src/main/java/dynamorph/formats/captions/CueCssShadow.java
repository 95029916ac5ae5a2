package dynamorph.formats.captions;

import dynamorph.model.property.PropertySet;
import java.util.Optional;

/** Shadows as TTML writes them: lengths first, then the colour. */
final class CueCssShadow {
  private CueCssShadow() {}

  static Optional<PropertySet> read(String text) {
    if (text.equals("none")) {
      return Optional.of(PropertySet.EMPTY);
    }
    return Optional.of(
            CueCss.read("text-shadow: " + text.replace('%', ' '), 0, new java.util.ArrayList<>()))
        .filter(values -> !values.isEmpty());
  }
}
