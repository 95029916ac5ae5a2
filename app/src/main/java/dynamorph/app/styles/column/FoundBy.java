package dynamorph.app.styles.column;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.ColourLabel;
import dynamorph.model.style.Style;
import java.util.Locale;

/** The words that a style is found by, in lower case. */
final class FoundBy {
  private FoundBy() {}

  /**
   * Its name, group, level, note, label and family.
   *
   * @param more such as tags
   */
  static String words(Style style, PropertySet values, String more) {
    return String.join(
            " ",
            style.name(),
            style.group(),
            style.level().label(),
            style.note(),
            style.label().map(ColourLabel::label).orElse(""),
            values.get(Properties.FONT_FAMILY.key()).orElse(""),
            more)
        .toLowerCase(Locale.ROOT);
  }
}
