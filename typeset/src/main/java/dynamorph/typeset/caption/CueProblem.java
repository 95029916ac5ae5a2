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
    TOO_FAST("reads too fast", "read too fast"),
    TOO_SHORT("too short", "are too short"),
    TOO_LONG("too long", "are too long"),
    GAP("too small a gap", "leave too small a gap"),
    OVERLAP("overlaps the next", "overlap the next"),
    LINES("too many lines", "have too many lines"),
    LINE_LENGTH("too long a line", "have too long a line"),
    EMPTY("empty", "are empty"),
    OUTSIDE("outside the safe area", "stand outside the safe area"),
    CONTRAST("hard to read", "are hard to read"),
    GLYPHS("missing letters", "have letters that their font lacks");

    private final String label;
    private final String several;

    Kind(String label, String several) {
      this.label = label;
      this.several = several;
    }

    /** Of one cue, in lower case. */
    public String label() {
      return label;
    }

    /** Of so many cues, as in {@code 3 cues read too fast}. */
    public String of(int count) {
      return count == 1 ? "1 cue: " + label : count + " cues " + several;
    }
  }
}
