package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.Time;
import java.util.List;
import java.util.Optional;

/** The words of an event of a script, with the override codes among them. */
final class SubstationWords {
  /** Keeps a backslash that was written as one from the letter behind it. */
  static final char WORD_JOINER = '\u2060';

  private static final int LONGEST_FADE = 3_600_000;
  private static final double OPAQUE = 255;

  private final SubstationStyles styles;
  private final SubstationStyles.Declared event;
  private final SubstationScale scale;
  private final int line;
  private final List<Remark> remarks;
  private final CueTextBuilder words = new CueTextBuilder();
  private SubstationStyles.Declared base;
  private List<StyleId> follows = List.of();
  private SubstationLook look;
  private SubstationPlace place;
  private boolean placed;
  private boolean drawing;
  private SubstationWrapping wrapping;
  private Time fadeIn = Time.ZERO;
  private Time fadeOut = Time.ZERO;

  /**
   * @param place of the event, by its style and its margins
   * @param wrapping of the script; without any {@code \n} breaks lines as {@code \N} does
   * @param line of the file
   * @param remarks takes what is left out
   */
  SubstationWords(
      SubstationStyles styles,
      SubstationStyles.Declared event,
      SubstationPlace place,
      SubstationScale scale,
      SubstationWrapping wrapping,
      int line,
      List<Remark> remarks) {
    this.styles = styles;
    this.event = event;
    this.base = event;
    this.look = event.look();
    this.place = place;
    this.scale = scale;
    this.wrapping = wrapping;
    this.line = line;
    this.remarks = remarks;
  }

  Story story(String text) {
    StringBuilder plain = new StringBuilder();
    for (int at = 0; at < text.length(); at++) {
      char unit = text.charAt(at);
      char next = at + 1 < text.length() ? text.charAt(at + 1) : 0;
      int close = unit == '{' ? text.indexOf('}', at) : -1;
      if (close > 0) {
        flush(plain);
        for (SubstationCode code : SubstationCode.in(text.substring(at + 1, close))) {
          apply(code);
        }
        at = close;
      } else if (unit == '\\' && next != 0 && "Nnh{}".indexOf(next) >= 0) {
        plain.append(
            switch (next) {
              case 'N' -> "\n";
              case 'n' -> wrapping == SubstationWrapping.NONE ? "\n" : " ";
              case 'h' -> "\u00a0";
              default -> String.valueOf(next);
            });
        at++;
      } else if (unit == '\\' && next == WORD_JOINER) {
        plain.append(unit);
        at++;
      } else {
        plain.append(unit);
      }
    }
    flush(plain);
    return words.story();
  }

  /** Where the event stands, with what its codes say. */
  SubstationPlace place() {
    return place;
  }

  SubstationWrapping wrapping() {
    return wrapping;
  }

  Time fadeIn() {
    return fadeIn;
  }

  Time fadeOut() {
    return fadeOut;
  }

  private void flush(StringBuilder plain) {
    if (!plain.isEmpty() && !drawing) {
      words.add(plain.toString(), follows, local());
    }
    plain.setLength(0);
  }

  private PropertySet local() {
    return look == base.look()
        ? PropertySet.EMPTY
        : SubstationStyles.ofWords(
            SubstationStyles.between(look.values(scale), base.look().values(scale)));
  }

  private void apply(SubstationCode code) {
    Optional<SubstationLook> changed = code.applied(look, base.look());
    if (changed.isPresent()) {
      look = changed.get();
      return;
    }
    boolean known =
        switch (code.name()) {
          case "r" -> restyled(code.argument());
          case "an" -> key(code.number().orElse(0.0).intValue());
          case "a" -> key(SubstationPlace.keyOf(code.number().orElse(0.0).intValue()));
          case "pos" -> moved(code, code.numbers(2));
          case "move" -> {
            moved(code, code.numbers(4).or(() -> code.numbers(6)));
            yield false;
          }
          case "frz", "fr" -> code.number().map(this::turned).orElse(false);
          case "fad" -> code.numbers(2).map(this::fades).orElse(false);
          case "fade" -> code.numbers(7).map(this::longFades).orElse(false);
          case "q" -> {
            wrapping = SubstationWrapping.of(code.argument());
            yield true;
          }
          case "p" -> {
            drawing = code.number().orElse(0.0) > 0;
            yield !drawing;
          }
          // they time syllables, which stay as they are
          case "k", "K", "kf", "ko", "kt" -> true;
          default -> false;
        };
    if (!known) {
      remarks.add(new Remark(line, Messages.of("sub-rip.code-left-out", "{" + code + "}")));
    }
  }

  /** Words go back to the style of the event, or turn to another. */
  private boolean restyled(String name) {
    if (!name.isEmpty() && !styles.has(name)) {
      look = base.look();
      return false;
    }
    base = name.isEmpty() ? event : styles.get(name);
    follows = base == event ? List.of() : List.of(styles.ofWords(base, event));
    look = base.look();
    return true;
  }

  /** The first that tells a place counts. */
  private boolean key(int key) {
    if (key < 1 || key > 9) {
      return false;
    }
    place = place.withKey(key);
    return true;
  }

  private boolean moved(SubstationCode code, Optional<double[]> point) {
    if (point.isPresent() && !placed) {
      placed = true;
      place = place.at(new SubstationPlace.Point(point.get()[0], point.get()[1]));
    }
    return point.isPresent() && code.name().equals("pos");
  }

  private boolean turned(double angle) {
    place = place.withAngle(angle);
    return true;
  }

  private boolean fades(double[] times) {
    fadeIn = time(times[0]);
    fadeOut = time(times[1]);
    return true;
  }

  /** Three alphas and four times, of which only appearing and vanishing can be said. */
  private boolean longFades(double[] all) {
    boolean plain = all[0] == OPAQUE && all[1] == 0 && all[2] == OPAQUE && all[3] == 0;
    if (plain) {
      fadeIn = time(all[4]);
      fadeOut = time(all[6] - all[5]);
    }
    return plain;
  }

  private static Time time(double millis) {
    return Time.ofMillis(Math.round(Math.clamp(millis, 0, LONGEST_FADE)));
  }
}
