package dynamorph.paint.reach;

import dynamorph.paint.message.Messages;

/**
 * Something wrong with a text as it would be.
 *
 * @param detail in words, for people
 * @param isNew whether it was not so before the change
 */
public record Problem(Kind kind, String detail, boolean isNew) {
  /** The worst first. */
  public enum Kind {
    OVERSET("overset"),
    MISSING_GLYPHS(Messages.of("problem.missing-glyphs")),
    OFF_ARTBOARD(Messages.of("problem.off-the-artboard")),
    OUT_OF_SAFE_AREA(Messages.of("problem.out-of-the-safe-area")),
    COLLISION(Messages.of("problem.placed-on-another")),
    OVER_ANOTHER(Messages.of("problem.over-another")),
    LOW_CONTRAST(Messages.of("problem.low-contrast")),
    LINES("reflow");

    private final String label;

    Kind(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  boolean isSameAs(Problem other) {
    return kind == other.kind;
  }

  Problem asNew(boolean changed) {
    return new Problem(kind, detail, changed);
  }
}
