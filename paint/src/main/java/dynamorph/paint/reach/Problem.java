package dynamorph.paint.reach;

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
    MISSING_GLYPHS("missing glyphs"),
    OFF_ARTBOARD("off the artboard"),
    OUT_OF_SAFE_AREA("out of the safe area"),
    COLLISION("placed on another"),
    OVER_ANOTHER("over another"),
    LOW_CONTRAST("low contrast"),
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
