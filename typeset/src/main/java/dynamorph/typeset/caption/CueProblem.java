package dynamorph.typeset.caption;

import dynamorph.model.LayerId;

/**
 * Something that is wrong with a cue.
 *
 * @param detail with figures, such as {@code 23 characters a second, 20 at most}
 */
public record CueProblem(LayerId cue, Kind kind, String detail) {
  /** What can be wrong. */
  public enum Kind {
    TOO_FAST("reads too fast"),
    TOO_SHORT("too short"),
    TOO_LONG("too long"),
    GAP("too small a gap"),
    OVERLAP("overlaps the next"),
    LINES("too many lines"),
    LINE_LENGTH("too long a line"),
    EMPTY("empty"),
    OUTSIDE("outside the safe area"),
    CONTRAST("hard to read"),
    GLYPHS("missing letters");

    private final String label;

    Kind(String label) {
      this.label = label;
    }

    /** In lower case, as after "this cue". */
    public String label() {
      return label;
    }

    /** Whether a fix by changing times is possible. */
    public boolean isOfTime() {
      return this == TOO_FAST || this == TOO_SHORT || this == GAP || this == OVERLAP;
    }

    public boolean isOfLines() {
      return this == LINES || this == LINE_LENGTH;
    }
  }
}
