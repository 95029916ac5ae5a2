package dynamorph.formats.captions;

import dynamorph.model.property.PropertySet;
import dynamorph.model.timeline.Time;
import java.util.List;
import java.util.Optional;

/**
 * What an element hands to those in it.
 *
 * @param ruby what part of a ruby its words are, such as {@code text}; empty for none
 * @param sequence where its children come one after the other
 */
record TtmlContext(
    Time begin,
    Optional<Time> end,
    List<String> styles,
    PropertySet local,
    String region,
    boolean inWords,
    String ruby,
    Shown shown,
    boolean keepsSpace,
    Optional<Sequence> sequence) {
  /** For what is no words and has no time of its own. */
  TtmlContext plain() {
    return new TtmlContext(
        begin, end, styles, local, region, false, "", shown, keepsSpace, sequence);
  }

  /** Whether something is displayed; what is not displayed cannot be again further in. */
  enum Shown {
    VISIBLE,
    HIDDEN,
    NOT_DISPLAYED
  }

  /** When the next of some children begins that come one after the other. */
  static final class Sequence {
    Time next;

    Sequence(Time next) {
      this.next = next;
    }
  }
}
