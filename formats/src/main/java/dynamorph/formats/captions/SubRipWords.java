package dynamorph.formats.captions;

import dynamorph.formats.css.CssColours;
import dynamorph.formats.message.Messages;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Story;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The words of a SubRip cue: the tags b, i, u, s and font, and the override codes in braces that
 * came from SubStation Alpha, such as {@code {\\an8}}, {@code {\\i1}} and {@code \\N}.
 */
final class SubRipWords {
  private static final Pattern TAG =
      Pattern.compile(
          "<(/?)(b|i|u|s|font)((?:\\s[^<>]{0,200})?)>|\\{(\\\\[^{}]{0,200})\\}|(?-i: {0,40}\\\\(N) {0,40}|\\\\(h))",
          Pattern.CASE_INSENSITIVE);
  private static final Pattern FONT_COLOUR =
      Pattern.compile("color\\s*=\\s*[\"']?([#\\w]+)", Pattern.CASE_INSENSITIVE);
  private static final Pattern COLOUR = Pattern.compile("1?c&?H?([0-9A-Fa-f]{1,8})&?");
  private static final Pattern POSITION =
      Pattern.compile("pos\\(\\s*(-?[\\d.]{1,9})\\s*,\\s*(-?[\\d.]{1,9})\\s*\\)");
  private static final Address FILL = Address.coat("fill");

  /** The picture that places are told in where a file does not say how large it is. */
  private static final double SCRIPT_WIDTH = 384;

  private static final double SCRIPT_HEIGHT = 288;
  private static final int FOOT = 2;

  private final FrameBox frame;
  private final int line;
  private final List<Remark> remarks;
  private final Deque<PropertySet> looks = new ArrayDeque<>(List.of(PropertySet.EMPTY));
  private final Deque<String> open = new ArrayDeque<>();
  private PropertySet overrides = PropertySet.EMPTY;
  private PropertySet place = PropertySet.EMPTY;
  private Optional<double[]> position = Optional.empty();
  private int key = FOOT;

  /**
   * @param line of the file where the words begin, from 1
   * @param remarks takes what is left out
   */
  SubRipWords(FrameBox frame, int line, List<Remark> remarks) {
    this.frame = frame;
    this.line = line;
    this.remarks = remarks;
  }

  Story story(String text) {
    CueTextBuilder runs = new CueTextBuilder();
    Matcher tag = TAG.matcher(text);
    int at = 0;
    while (tag.find()) {
      runs.add(text.substring(at, tag.start()), List.of(), look());
      at = tag.end();
      if (tag.group(4) != null) {
        for (String code : tag.group(4).substring(1).split("\\\\")) {
          override(code.strip());
        }
      } else if (tag.group(5) != null) {
        runs.add("\n", List.of(), look());
      } else if (tag.group(6) != null) {
        runs.add("\u00a0", List.of(), look());
      } else {
        element(tag.group(1).isEmpty(), tag.group(2).toLowerCase(Locale.ROOT), tag.group(3));
      }
    }
    runs.add(text.substring(at), List.of(), look());
    return runs.story();
  }

  /** Where the cue stands; empty if that is where its track does. */
  PropertySet place() {
    return position
        .map(point ->
            frame.place(
                anchor(key),
                Optional.of(point[0] / SCRIPT_WIDTH * 100),
                Optional.of(point[1] / SCRIPT_HEIGHT * 100)))
        .orElse(place);
  }

  private PropertySet look() {
    return looks.element().overlaidBy(overrides);
  }

  private void element(boolean begins, String element, String attributes) {
    if (begins) {
      open.push(element);
      looks.push(looks.element().overlaidBy(look(element, attributes)));
    } else if (open.contains(element)) {
      String closed;
      do {
        closed = open.pop();
        looks.pop();
      } while (!closed.equals(element));
    }
  }

  private PropertySet look(String element, String attributes) {
    return switch (element) {
      case "b" -> PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0);
      case "i" -> PropertySet.EMPTY.with(Properties.SLANT, Slant.ITALIC);
      case "u" -> PropertySet.EMPTY.with(Properties.UNDERLINE, true);
      case "s" -> PropertySet.EMPTY.with(Properties.STRIKE, true);
      default -> {
        Matcher colour = FONT_COLOUR.matcher(attributes);
        Optional<Rgba> found = colour.find() ? CssColours.parse(colour.group(1)) : Optional.empty();
        if (found.isEmpty()) {
          remarks.add(
              new Remark(line, Messages.of("sub-rip.the-tag-font-gives-no-known", attributes)));
        }
        yield found
            .map(rgba -> PropertySet.EMPTY.with(Properties.COAT_COLOUR.at(FILL), Colour.of(rgba)))
            .orElse(PropertySet.EMPTY);
      }
    };
  }

  /** One code, such as {@code i1} or {@code pos(192,40)}; what is not known is told. */
  private void override(String code) {
    Matcher colour = COLOUR.matcher(code);
    Matcher point = POSITION.matcher(code);
    if (code.matches("[ius][01]?")) {
      boolean on = code.endsWith("1");
      switch (code.charAt(0)) {
        case 'i' -> set(Properties.SLANT, on, Slant.ITALIC);
        case 'u' -> set(Properties.UNDERLINE, on, true);
        default -> set(Properties.STRIKE, on, true);
      }
    } else if (code.matches("b(\\d{1,4})?")) {
      int weight = code.length() == 1 ? 0 : Integer.parseInt(code.substring(1));
      boolean on = weight == 1 || weight > 1 && weight <= 1000;
      set(Properties.FONT_WEIGHT, on, weight == 1 ? 700.0 : (double) weight);
    } else if (code.matches("an[1-9]")) {
      key = code.charAt(2) - '0';
      place = placed(key);
    } else if (code.matches("a\\d{1,2}")) {
      key = older(Integer.parseInt(code.substring(1)));
      place = placed(key);
    } else if (colour.matches()) {
      int bgr = (int) (Long.parseLong(colour.group(1), 16) & 0xFFFFFF);
      Rgba rgba =
          Rgba.parse(
              String.format(
                  Locale.ROOT, "#%02x%02x%02x", bgr & 0xFF, bgr >> 8 & 0xFF, bgr >> 16 & 0xFF));
      overrides = overrides.with(Properties.COAT_COLOUR.at(FILL), Colour.of(rgba));
    } else if (code.matches("1?c")) {
      overrides = overrides.without(Properties.COAT_COLOUR.at(FILL));
    } else if (point.matches()) {
      position = point(point.group(1), point.group(2));
    } else if (code.equals("r")) {
      overrides = PropertySet.EMPTY;
    } else if (!code.isEmpty()) {
      remarks.add(new Remark(line, Messages.of("sub-rip.code-left-out", "{\\" + code + "}")));
    }
  }

  private static Optional<double[]> point(String x, String y) {
    try {
      return Optional.of(new double[] {Double.parseDouble(x), Double.parseDouble(y)});
    } catch (NumberFormatException twoDots) {
      return Optional.empty();
    }
  }

  private <T> void set(Property<T> property, boolean on, T value) {
    overrides = on ? overrides.with(property, value) : overrides.without(property.key());
  }

  /** The older form counts left, middle, right, then adds 4 for the top and 8 for the middle. */
  private static int older(int number) {
    return (number - 1) % 4 + 1 + (number > 8 ? 3 : number > 4 ? 6 : 0);
  }

  /** Places as on the keys of a numeric block: 1 is lower left, 8 the middle of the top. */
  private static Anchor anchor(int key) {
    return switch (key) {
      case 1 -> Anchor.BOTTOM_LEFT;
      case 3 -> Anchor.BOTTOM_RIGHT;
      case 4 -> Anchor.LEFT;
      case 5 -> Anchor.CENTRE;
      case 6 -> Anchor.RIGHT;
      case 7 -> Anchor.TOP_LEFT;
      case 8 -> Anchor.TOP;
      case 9 -> Anchor.TOP_RIGHT;
      default -> Anchor.BOTTOM;
    };
  }

  private static PropertySet placed(int key) {
    Anchor anchor = anchor(key);
    return key == FOOT
        ? PropertySet.EMPTY
        : PropertySet.EMPTY
            .with(Properties.ANCHOR, anchor)
            .with(Properties.POSITION_X, 100.0 * (1 - 2 * anchor.across()))
            .with(Properties.POSITION_Y, 90.0 * (1 - 2 * anchor.down()));
  }
}
