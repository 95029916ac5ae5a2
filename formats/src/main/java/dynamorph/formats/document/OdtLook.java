package dynamorph.formats.document;

import dynamorph.formats.css.CssLook;
import dynamorph.formats.file.XmlNode;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.TabStops;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.TextDirection;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Text and paragraph properties of OpenDocument (ODF 1.3, part 3, 16.29) as values of a look. */
final class OdtLook {
  private static final String NONE = "none";

  private final Map<String, String> fontFaces;

  /**
   * @param fontFaces families by the names that font faces are declared with
   */
  OdtLook(Map<String, String> fontFaces) {
    this.fontFaces = fontFaces;
  }

  /** What a style says of letters and paragraphs. */
  PropertySet of(XmlNode style, PropertySet inherited) {
    PropertySet own =
        style.child("style:paragraph-properties").map(OdtLook::paragraph).orElse(PropertySet.EMPTY);
    Optional<XmlNode> text = style.child("style:text-properties");
    return text.isEmpty() ? own : own.overlaidBy(text(text.get(), inherited.overlaidBy(own)));
  }

  private PropertySet text(XmlNode properties, PropertySet inherited) {
    LookBuilder look = new LookBuilder(inherited.where(key -> key.equals(Properties.SIZE.key())));
    boolean sized = properties.get("fo:font-size") != null;
    String face = properties.get("style:font-name");
    look.family(
        face == null ? properties.get("fo:font-family") : fontFaces.getOrDefault(face, face));
    Measures.points(properties.get("fo:font-size")).ifPresent(look::size);
    Measures.share(properties.get("fo:font-size")).ifPresent(look::times);
    weight(properties.get("fo:font-weight"))
        .ifPresent(weight -> look.set(Properties.FONT_WEIGHT, weight));
    given(properties, "fo:font-style").ifPresent(style -> look.italic(!style.equals("normal")));
    given(properties, "fo:color").ifPresent(look::hex);
    given(properties, "style:text-underline-style")
        .ifPresent(style -> look.set(Properties.UNDERLINE, !style.equals(NONE)));
    given(properties, "style:text-line-through-style")
        .ifPresent(style -> look.set(Properties.STRIKE, !style.equals(NONE)));
    given(properties, "style:text-position")
        .ifPresent(where -> look.set(Properties.SCRIPT_POSITION, position(where)));
    given(properties, "fo:text-transform")
        .ifPresent(how -> look.set(Properties.CASE, CssLook.textCase(how)));
    given(properties, "fo:font-variant")
        .filter("small-caps"::equals)
        .ifPresent(_ -> look.set(Properties.CASE, TextCase.SMALL_CAPITALS));
    Measures.points(properties.get("fo:letter-spacing")).ifPresent(look::spacing);
    Measures.share(properties.get("style:text-scale"))
        .ifPresent(share -> look.set(Properties.HORIZONTAL_SCALE, share * 100));
    language(properties).ifPresent(tag -> look.set(Properties.LANGUAGE, tag));
    return sized ? look.look() : look.look().without(Properties.SIZE.key());
  }

  static Optional<String> language(XmlNode properties) {
    String language = properties.get("fo:language", NONE);
    String country = properties.get("fo:country", NONE);
    if (!language.matches("[A-Za-z]{2,3}")) {
      return Optional.empty();
    }
    return Optional.of(
        country.matches("[A-Za-z]{2}")
            ? language + "-" + country.toUpperCase(Locale.ROOT)
            : language);
  }

  private static Optional<String> given(XmlNode properties, String name) {
    return Optional.ofNullable(properties.get(name));
  }

  private static Optional<Double> weight(@Nullable String text) {
    return switch (text == null ? "" : text) {
      case "bold" -> Optional.of(LookBuilder.BOLD);
      case "normal" -> Optional.of(LookBuilder.REGULAR);
      default ->
          text != null && text.matches("[1-9]00")
              ? Optional.of(Double.valueOf(text))
              : Optional.empty();
    };
  }

  private static ScriptPosition position(String where) {
    return where.startsWith("super") || where.matches("[1-9]\\d*%.*")
        ? ScriptPosition.SUPERSCRIPT
        : where.startsWith("sub") || where.matches("-[1-9]\\d*%.*")
            ? ScriptPosition.SUBSCRIPT
            : ScriptPosition.NORMAL;
  }

  private static PropertySet paragraph(XmlNode properties) {
    LookBuilder look = new LookBuilder(PropertySet.EMPTY);
    given(properties, "fo:text-align")
        .ifPresent(where -> look.set(Properties.ALIGNMENT, CssLook.alignment(where)));
    Measures.points(properties.get("fo:margin-left"))
        .ifPresent(start -> look.points(Properties.INDENT_START, Math.max(0, start)));
    Measures.points(properties.get("fo:margin-right"))
        .ifPresent(end -> look.points(Properties.INDENT_END, Math.max(0, end)));
    Measures.points(properties.get("fo:margin-top"))
        .ifPresent(before -> look.points(Properties.SPACE_BEFORE, Math.max(0, before)));
    Measures.points(properties.get("fo:margin-bottom"))
        .ifPresent(after -> look.points(Properties.SPACE_AFTER, Math.max(0, after)));
    Measures.points(properties.get("fo:text-indent"))
        .ifPresent(first -> look.points(Properties.INDENT_FIRST, first));
    Measures.share(properties.get("fo:line-height")).ifPresent(look::lines);
    Measures.points(properties.get("fo:line-height")).ifPresent(look::leadingPoints);
    given(properties, "style:writing-mode")
        .filter(mode -> mode.startsWith("rl") || mode.startsWith("lr"))
        .ifPresent(mode ->
            look.set(
                Properties.DIRECTION,
                mode.startsWith("rl") ? TextDirection.RIGHT_TO_LEFT : TextDirection.LEFT_TO_RIGHT));
    properties
        .child("style:tab-stops")
        .ifPresent(stops -> look.set(Properties.TAB_STOPS, tabs(stops)));
    return look.look();
  }

  private static TabStops tabs(XmlNode stops) {
    List<TabStops.Stop> found = new ArrayList<>();
    stops
        .elements()
        .filter(stop -> stop.name().equals("style:tab-stop"))
        .forEach(stop ->
            Measures.points(stop.get("style:position"))
                .filter(at -> at > 0)
                .ifPresent(at ->
                    found.add(
                        new TabStops.Stop(
                            at,
                            switch (stop.get("style:type", "left")) {
                              case "center" -> TabStops.Align.CENTRE;
                              case "right" -> TabStops.Align.END;
                              case "char" -> TabStops.Align.DECIMAL;
                              default -> TabStops.Align.START;
                            },
                            stop.get("style:leader-text", "").strip()))));
    return new TabStops(found);
  }
}
