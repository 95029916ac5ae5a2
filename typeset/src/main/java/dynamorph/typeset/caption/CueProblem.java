package dynamorph.typeset.caption;

import dynamorph.model.LayerId;
import dynamorph.typeset.message.Messages;

/**
 * Something that is wrong with a cue.
 *
 * @param detail with figures, such as {@code 23 characters a second, 20 at most}
 */
public record CueProblem(LayerId cue, Kind kind, String detail) {
  /** What can be wrong. */
  public enum Kind {
    TOO_FAST(Messages.of("cue-problem.reads-too-fast"), Messages.of("cue-problem.read-too-fast")),
    TOO_SHORT(Messages.of("cue-problem.too-short"), Messages.of("cue-problem.are-too-short")),
    TOO_LONG(Messages.of("cue-problem.too-long"), Messages.of("cue-problem.are-too-long")),
    GAP(
        Messages.of("cue-problem.too-small-a-gap"),
        Messages.of("cue-problem.leave-too-small-a-gap")),
    OVERLAP(
        Messages.of("cue-problem.overlaps-the-next"), Messages.of("cue-problem.overlap-the-next")),
    LINES(
        Messages.of("cue-problem.too-many-lines"), Messages.of("cue-problem.have-too-many-lines")),
    LINE_LENGTH(
        Messages.of("cue-problem.too-long-a-line"),
        Messages.of("cue-problem.have-too-long-a-line")),
    EMPTY("empty", Messages.of("cue-problem.are-empty")),
    OUTSIDE(
        Messages.of("cue-problem.outside-the-safe-area"),
        Messages.of("cue-problem.stand-outside-the-safe-area")),
    CONTRAST(Messages.of("cue-problem.hard-to-read"), Messages.of("cue-problem.are-hard-to-read")),
    GLYPHS(
        Messages.of("cue-problem.missing-letters"),
        Messages.of("cue-problem.have-letters-that-their-font-lacks"));

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
      return Messages.of("cue-problem.cue-cues", count, label, several);
    }
  }
}
