package dynamorph.formats.document;

import dynamorph.formats.file.XmlNode;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Alignment;
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

/**
 * Run and paragraph properties of Office Open XML (ECMA-376, part 1, 17.3) as values of a look.
 * Widths are in twentieths of a point, sizes in half points.
 */
final class DocxLook {
  private static final double TWIPS = 20;

  private final Map<String, String> themeFonts;

  /**
   * @param themeFonts families by {@code major} and {@code minor}
   */
  DocxLook(Map<String, String> themeFonts) {
    this.themeFonts = themeFonts;
  }

  /**
   * What run properties say.
   *
   * @param inherited values from which sizes for spacing are taken
   */
  PropertySet run(XmlNode properties, PropertySet inherited) {
    LookBuilder look = new LookBuilder(PropertySet.EMPTY);
    properties.child("w:rFonts").ifPresent(fonts -> look.family(family(fonts)));
    number(properties, "w:sz").ifPresent(half -> look.size(half / 2));
    toggle(properties, "w:b").ifPresent(look::bold);
    toggle(properties, "w:i").ifPresent(look::italic);
    properties
        .of("w:u", "w:val")
        .ifPresent(kind -> look.set(Properties.UNDERLINE, !kind.equals("none")));
    toggle(properties, "w:strike")
        .or(() -> toggle(properties, "w:dstrike"))
        .ifPresent(on -> look.set(Properties.STRIKE, on));
    toggle(properties, "w:caps")
        .ifPresent(on -> look.set(Properties.CASE, on ? TextCase.UPPER : TextCase.AS_TYPED));
    toggle(properties, "w:smallCaps")
        .filter(on -> on)
        .ifPresent(_ -> look.set(Properties.CASE, TextCase.SMALL_CAPITALS));
    properties
        .of("w:vertAlign", "w:val")
        .ifPresent(where -> look.set(Properties.SCRIPT_POSITION, position(where)));
    properties.of("w:color", "w:val").ifPresent(look::hex);
    number(properties, "w:position")
        .ifPresent(half -> look.points(Properties.BASELINE_SHIFT, half / 2));
    number(properties, "w:w").ifPresent(share -> look.set(Properties.HORIZONTAL_SCALE, share));
    number(properties, "w:spacing")
        .ifPresent(twips -> look.set(Properties.TRACKING, tracking(twips, look, inherited)));
    properties
        .of("w:lang", "w:val")
        .filter(tag -> tag.matches("[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*"))
        .ifPresent(tag -> look.set(Properties.LANGUAGE, tag));
    return look.look();
  }

  private static @Nullable Double tracking(double twips, LookBuilder look, PropertySet inherited) {
    PropertySet all = inherited.overlaidBy(look.look());
    return new LookBuilder(
            all.where(
                key -> key.equals(Properties.SIZE.key()) || key.equals(Properties.TRACKING.key())))
        .spacing(twips / TWIPS)
        .look()
        .get(Properties.TRACKING.key())
        .orElse(null);
  }

  private @Nullable String family(XmlNode fonts) {
    String theme = fonts.get("w:asciiTheme");
    if (theme != null) {
      String family = themeFonts.get(theme.startsWith("major") ? "major" : "minor");
      if (family != null) {
        return family;
      }
    }
    String ascii = fonts.get("w:ascii");
    return ascii == null ? fonts.get("w:hAnsi") : ascii;
  }

  private static ScriptPosition position(String where) {
    return switch (where) {
      case "superscript" -> ScriptPosition.SUPERSCRIPT;
      case "subscript" -> ScriptPosition.SUBSCRIPT;
      default -> ScriptPosition.NORMAL;
    };
  }

  /** What paragraph properties say. */
  PropertySet paragraph(XmlNode properties) {
    LookBuilder look = new LookBuilder(PropertySet.EMPTY);
    properties
        .of("w:jc", "w:val")
        .ifPresent(where -> look.set(Properties.ALIGNMENT, alignment(where)));
    properties.child("w:ind").ifPresent(indent -> indents(indent, look));
    properties.child("w:spacing").ifPresent(spacing -> spacing(spacing, look));
    toggle(properties, "w:bidi")
        .ifPresent(on ->
            look.set(
                Properties.DIRECTION,
                on ? TextDirection.RIGHT_TO_LEFT : TextDirection.LEFT_TO_RIGHT));
    properties.child("w:tabs").ifPresent(tabs -> look.set(Properties.TAB_STOPS, tabs(tabs)));
    return look.look();
  }

  /** As the standard has it, left and right are start and end of a line. */
  private static @Nullable Alignment alignment(String where) {
    return switch (where) {
      case "left", "start" -> Alignment.START;
      case "right", "end" -> Alignment.END;
      case "center" -> Alignment.CENTRE;
      case "both", "distribute", "lowKashida", "mediumKashida", "highKashida", "thaiDistribute" ->
          Alignment.JUSTIFIED;
      default -> null;
    };
  }

  private static void indents(XmlNode indent, LookBuilder look) {
    double hanging = twips(indent.get("w:hanging")).orElse(0.0);
    double start =
        twips(indent.get("w:start")).or(() -> twips(indent.get("w:left"))).orElse(Double.NaN);
    if (!Double.isNaN(start)) {
      look.points(Properties.INDENT_START, Math.max(0, start));
    }
    twips(indent.get("w:end"))
        .or(() -> twips(indent.get("w:right")))
        .ifPresent(end -> look.points(Properties.INDENT_END, Math.max(0, end)));
    if (hanging > 0) {
      look.points(Properties.INDENT_FIRST, -hanging);
    } else {
      twips(indent.get("w:firstLine"))
          .ifPresent(first -> look.points(Properties.INDENT_FIRST, first));
    }
  }

  private static void spacing(XmlNode spacing, LookBuilder look) {
    twips(spacing.get("w:before"))
        .ifPresent(before -> look.points(Properties.SPACE_BEFORE, Math.max(0, before)));
    twips(spacing.get("w:after"))
        .ifPresent(after -> look.points(Properties.SPACE_AFTER, Math.max(0, after)));
    twips(spacing.get("w:line"))
        .ifPresent(line -> {
          switch (spacing.get("w:lineRule", "auto")) {
            case "exact", "exactly", "atLeast" -> look.leadingPoints(line);
            // in 240ths of a line
            default -> look.lines(line * TWIPS / 240);
          }
        });
  }

  private static TabStops tabs(XmlNode tabs) {
    List<TabStops.Stop> stops = new ArrayList<>();
    tabs.elements()
        .filter(tab -> tab.name().equals("w:tab"))
        .forEach(tab ->
            twips(tab.get("w:pos"))
                .filter(at -> at > 0)
                .flatMap(at ->
                    align(tab.get("w:val", "left"))
                        .map(align -> new TabStops.Stop(at, align, leader(tab.get("w:leader")))))
                .ifPresent(stops::add));
    return new TabStops(stops);
  }

  private static Optional<TabStops.Align> align(String kind) {
    return Optional.ofNullable(
        switch (kind) {
          case "left", "start", "num" -> TabStops.Align.START;
          case "center" -> TabStops.Align.CENTRE;
          case "right", "end" -> TabStops.Align.END;
          case "decimal" -> TabStops.Align.DECIMAL;
          default -> null;
        });
  }

  private static String leader(@Nullable String kind) {
    return switch (kind == null ? "none" : kind) {
      case "dot" -> ".";
      case "hyphen" -> "-";
      case "underscore", "heavy" -> "_";
      case "middleDot" -> "\u00B7";
      default -> "";
    };
  }

  // --- values

  /** Whether a switch is on; empty where nothing is said. */
  static Optional<Boolean> toggle(XmlNode properties, String name) {
    return properties
        .child(name)
        .map(one ->
            switch (one.get("w:val", "true").toLowerCase(Locale.ROOT)) {
              case "0", "false", "off", "none" -> false;
              default -> true;
            });
  }

  static Optional<Double> number(XmlNode properties, String name) {
    return properties.of(name, "w:val").flatMap(DocxLook::number);
  }

  private static Optional<Double> number(@Nullable String text) {
    return text != null && text.matches("-?\\d{1,7}(\\.\\d{1,9})?%?")
        ? Optional.of(Double.valueOf(text.replace("%", "")))
        : Optional.empty();
  }

  /** Points; newer files may say the unit. */
  private static Optional<Double> twips(@Nullable String text) {
    return Measures.points(text).or(() -> number(text).map(twips -> twips / TWIPS));
  }
}
