package dynamorph.formats.svg;

import dynamorph.formats.message.Messages;
import java.util.Locale;

/** What of a drawing does not come along, or comes as something else. */
enum NotDrawn {
  HIDDEN,
  LINKED_IMAGE,
  UNREADABLE_IMAGE,
  TURNED_IMAGE,
  TEXT_ON_A_PATH,
  PLACES_OF_LETTERS,
  MIRRORED_TEXT,
  CLIP,
  MASK,
  FILTER,
  PATTERN,
  MARKER,
  GRADIENT,
  GROUP_OPACITY,
  FOREIGN,
  PATH,
  FONT;

  /** What people are told of it. */
  String told(int count) {
    return Messages.of("not-drawn." + name().toLowerCase(Locale.ROOT).replace('_', '-'), count);
  }
}
