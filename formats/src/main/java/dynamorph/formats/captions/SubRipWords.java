package dynamorph.formats.captions;

import dynamorph.formats.css.CssColours;
import dynamorph.formats.message.Messages;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
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
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
  private static final Address FILL = Address.coat("fill");

  /** The picture that places are told in where a file does not say how large it is. */
  private static final double SCRIPT_WIDTH = 384;

  private static final double SCRIPT_HEIGHT = 288;

  /** Widths of letters do not depend on codes of looks, so that any picture does. */
  private static final SubstationScale SCALE =
      SubstationScale.of(Map.of(), FrameBox.HD, CellHeights.USUAL);

  /** What words look like is not known: any colour that is asked for is another. */
  private static final SubstationLook UNKNOWN =
      SubstationLook.USUAL.with(SubstationField.FILL, new Rgba(0xFF010203));

  private final FrameBox frame;
  private final int line;
  private final List<Remark> remarks;
  private final Deque<PropertySet> looks = new ArrayDeque<>(List.of(PropertySet.EMPTY));
  private final Deque<String> open = new ArrayDeque<>();
  private SubstationLook look = UNKNOWN;
  private PropertySet place = PropertySet.EMPTY;
  private Optional<double[]> position = Optional.empty();
  private int key = SubstationPlace.FOOT;

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
        SubstationCode.in(tag.group(4)).forEach(this::override);
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
                SubstationPlace.anchor(key),
                Optional.of(point[0] / SCRIPT_WIDTH * 100),
                Optional.of(point[1] / SCRIPT_HEIGHT * 100)))
        .orElse(place);
  }

  private PropertySet look() {
    return looks
        .element()
        .overlaidBy(SubstationStyles.between(look.values(SCALE), UNKNOWN.values(SCALE)));
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

  /** Codes of looks that are understood; sizes and fonts would depend on a style sheet. */
  private static final Set<String> OF_LOOKS = Set.of("b", "i", "u", "s", "c", "1c");

  /** What is not known is told. */
  private void override(SubstationCode code) {
    Optional<SubstationLook> changed =
        OF_LOOKS.contains(code.name()) ? code.applied(look, UNKNOWN) : Optional.empty();
    if (changed.isPresent()) {
      look = changed.get();
      return;
    }
    boolean known =
        switch (code.name()) {
          case "an" -> key(code.number().orElse(0.0).intValue());
          case "a" -> key(SubstationPlace.keyOf(code.number().orElse(0.0).intValue()));
          case "pos" -> {
            position = code.numbers(2).or(() -> position);
            yield true;
          }
          case "r" -> {
            look = UNKNOWN;
            yield code.argument().isEmpty();
          }
          default -> false;
        };
    if (!known) {
      remarks.add(new Remark(line, Messages.of("sub-rip.code-left-out", "{" + code + "}")));
    }
  }

  private boolean key(int wanted) {
    if (wanted < 1 || wanted > 9) {
      return false;
    }
    key = wanted;
    place = placed(key);
    return true;
  }

  private static PropertySet placed(int key) {
    Anchor anchor = SubstationPlace.anchor(key);
    return key == SubstationPlace.FOOT
        ? PropertySet.EMPTY
        : PropertySet.EMPTY
            .with(Properties.ANCHOR, anchor)
            .with(Properties.POSITION_X, 100.0 * (1 - 2 * anchor.across()))
            .with(Properties.POSITION_Y, 90.0 * (1 - 2 * anchor.down()));
  }
}
