package dynamorph.formats.captions;

import dynamorph.formats.css.CssColours;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.Time;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Slant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Writes WebVTT with a style sheet of what the captions look like. */
final class VttWriter {
  private final CaptionExport captions;

  private VttWriter(CaptionExport captions) {
    this.captions = captions;
  }

  static String write(CaptionExport captions) {
    return new VttWriter(captions).text();
  }

  private String text() {
    StringBuilder text = new StringBuilder("WEBVTT\n\n");
    rule(text, "::cue", css(captions.plain(), true));
    for (Map.Entry<StyleId, Style> style : captions.wordStyles().entrySet()) {
      rule(
          text,
          "::cue(." + slug(style.getValue()) + ")",
          css(captions.values(style.getKey()), false));
    }
    captions
        .track()
        .speakers()
        .forEach((speaker, style) ->
            rule(
                text,
                "::cue(v[voice=\"" + speaker.replace("\"", "") + "\"])",
                css(captions.values(style), false)));
    int number = 1;
    for (WrittenCue cue : captions.cues()) {
      text.append(number++).append('\n').append(clock(cue.in())).append(" --> ");
      text.append(clock(cue.out())).append(settings(cue)).append('\n');
      text.append(words(cue)).append("\n\n");
    }
    return text.toString();
  }

  private static void rule(StringBuilder text, String selector, List<String> declarations) {
    if (!declarations.isEmpty()) {
      text.append("STYLE\n").append(selector).append(" {\n");
      declarations.forEach(one -> text.append("  ").append(one).append(";\n"));
      text.append("}\n\n");
    }
  }

  static String slug(Style style) {
    String plain =
        style.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    return plain.isEmpty() ? style.id().value() : plain;
  }

  private List<String> css(PropertySet values, boolean whole) {
    List<String> css = new ArrayList<>();
    values
        .get(Properties.COAT_COLOUR.at(CueCss.FILL))
        .ifPresent(colour -> css.add("color: " + CssColours.hex(captions.colour(colour))));
    values
        .get(Properties.COAT_KIND.at(CueCss.GROUND))
        .flatMap(_ -> values.get(Properties.COAT_COLOUR.at(CueCss.GROUND)))
        .ifPresent(
            colour -> css.add("background-color: " + CssColours.hex(captions.colour(colour))));
    values
        .get(Properties.FONT_FAMILY.key())
        .ifPresent(family -> css.add("font-family: \"" + family + "\""));
    values.get(Properties.SIZE.key()).flatMap(VttWriter::size).ifPresent(css::add);
    add(
        css,
        values,
        Properties.FONT_WEIGHT.key(),
        whole,
        weight -> "font-weight: " + Math.round(weight));
    add(
        css,
        values,
        Properties.SLANT.key(),
        whole,
        slant -> "font-style: " + (slant == Slant.ITALIC ? "italic" : "normal"));
    List<String> lines = CaptionExport.decorations(values);
    if (!lines.isEmpty()) {
      css.add("text-decoration: " + String.join(" ", lines));
    }
    values
        .get(Properties.LEADING.key())
        .filter(Leading.Relative.class::isInstance)
        .ifPresent(
            leading -> css.add("line-height: " + plain(((Leading.Relative) leading).share())));
    shadow(captions, values)
        .ifPresent(shadow -> css.add("text-shadow: " + shadow.colour() + " " + shadow.lengths()));
    return css;
  }

  private static <T> void add(
      List<String> css,
      PropertySet values,
      PropertyKey<T> key,
      boolean whole,
      java.util.function.Function<T, String> written) {
    values
        .get(key)
        .filter(value -> !whole || !value.equals(key.property().defaultValue()))
        .ifPresent(value -> css.add(written.apply(value)));
  }

  private static Optional<String> size(FontSize size) {
    return switch (size) {
      case FontSize.Times(double factor) -> Optional.of("font-size: " + plain(factor) + "em");
      case FontSize.Plus _ -> Optional.empty();
      default -> Optional.of("font-size: " + plain(size.over(0)) + "px");
    };
  }

  /** A shadow of the letters, ready for either format. */
  record Shadow(String colour, String lengths) {}

  static Optional<Shadow> shadow(CaptionExport captions, PropertySet values) {
    for (PropertyKey<?> key : values.keysOfCoats()) {
      if (key.property().equals(Properties.EFFECT_KIND)
          && key.address().ownCoat().equals(CueCss.FILL)
          && "drop-shadow".equals(kind(values, key))) {
        var at = key.address();
        var colour =
            captions
                .colour(
                    values
                        .get(Properties.EFFECT_COLOUR.at(at))
                        .orElse(Properties.EFFECT_COLOUR.defaultValue()))
                .faded(
                    values
                        .get(Properties.EFFECT_OPACITY.at(at))
                        .orElse(Properties.EFFECT_OPACITY.defaultValue()));
        return Optional.of(
            new Shadow(
                CssColours.hex(colour),
                length(values, Properties.SHADOW_X.at(at))
                    + " "
                    + length(values, Properties.SHADOW_Y.at(at))
                    + " "
                    + length(values, Properties.SHADOW_BLUR.at(at))));
      }
    }
    return Optional.empty();
  }

  private static <T> String kind(PropertySet values, PropertyKey<T> key) {
    return key.property().type().encode(values.get(key).orElseThrow()).toString();
  }

  private static String length(PropertySet values, PropertyKey<Length> key) {
    Length length = values.get(key).orElse(key.property().defaultValue());
    boolean em = length.toString().endsWith("em");
    return em ? plain(length.toPoints(1)) + "em" : plain(length.toPoints(1)) + "px";
  }

  static String plain(double number) {
    return dynamorph.model.value.Numbers.format(number);
  }

  private String settings(WrittenCue cue) {
    if (cue.y().isEmpty()) {
      return "";
    }
    StringBuilder settings = new StringBuilder();
    int across = (cue.key() - 1) % 3;
    int down = (cue.key() - 1) / 3;
    if (cue.mode().isVertical()) {
      return settings
          .append(" vertical:")
          .append(VttVertical.name(cue.mode()))
          .append(" line:")
          .append(plain(cue.x().orElse(50.0)))
          .append('%')
          .append(across == 1 ? ",center" : across == 2 ? ",end" : "")
          .append(" position:")
          .append(plain(cue.y().get()))
          .append('%')
          .append(down == 2 ? " align:start" : down == 0 ? " align:end" : "")
          .toString();
    }
    settings
        .append(" line:")
        .append(plain(cue.y().get()))
        .append('%')
        .append(down == 0 ? ",end" : down == 1 ? ",center" : "");
    cue.x().ifPresent(x -> settings.append(" position:").append(plain(x)).append('%'));
    settings.append(across == 0 ? " align:start" : across == 2 ? " align:end" : "");
    return settings.toString();
  }

  private String words(WrittenCue cue) {
    StringBuilder text = new StringBuilder();
    if (!cue.speaker().isEmpty()) {
      text.append("<v ").append(escaped(cue.speaker())).append('>');
    }
    for (WrittenCue.Base base : cue.bases()) {
      text.append(base.ruby().isEmpty() ? "" : "<ruby>");
      base.runs().forEach(run -> text.append(words(run)));
      if (!base.ruby().isEmpty()) {
        text.append("<rt>").append(escaped(base.ruby())).append("</rt></ruby>");
      }
    }
    return text.toString();
  }

  private String words(WrittenCue.Run run) {
    StringBuilder before = new StringBuilder();
    StringBuilder after = new StringBuilder();
    for (StyleId id : run.follows()) {
      wrap(before, after, "c." + slug(captions.style(id)), "c");
    }
    PropertySet own = run.local();
    if (own.get(Properties.FONT_WEIGHT.key()).filter(weight -> weight >= 600).isPresent()) {
      wrap(before, after, "b", "b");
    }
    if (own.get(Properties.SLANT.key()).filter(slant -> slant == Slant.ITALIC).isPresent()) {
      wrap(before, after, "i", "i");
    }
    if (own.get(Properties.UNDERLINE.key()).orElse(false)) {
      wrap(before, after, "u", "u");
    }
    // a blank line or an arrow would end the cue
    String words = escaped(run.text().replaceAll("\u2028{2,}", "\u2028"));
    return before + words.replace('\u2028', '\n') + after;
  }

  private static void wrap(StringBuilder before, StringBuilder after, String open, String close) {
    before.append('<').append(open).append('>');
    after.insert(0, "</" + close + ">");
  }

  private static String escaped(String words) {
    return words.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
  }

  private static String clock(Time time) {
    return time.toString();
  }
}
