package dynamorph.model.value;

/** The middle of a frame that no screen cuts off, by SMPTE ST 2046-1 for wide frames. */
public enum SafeArea {
  /** Where what happens is seen. */
  ACTION(0.93),
  /** Where words can be read. */
  TITLE(0.90);

  private final double share;

  SafeArea(double share) {
    this.share = share;
  }

  /** The part of the width and of the height of the frame, 0 to 1. */
  public double share() {
    return share;
  }
}
