package dynamorph.model.value;

/** The part of a frame that a place is measured in. */
public enum FrameArea {
  FRAME(1),
  ACTION_SAFE(SafeArea.ACTION.share()),
  TITLE_SAFE(SafeArea.TITLE.share());

  private final double share;

  FrameArea(double share) {
    this.share = share;
  }

  /** The part of the width and of the height of the frame, about its middle; 0 to 1. */
  public double share() {
    return share;
  }
}
