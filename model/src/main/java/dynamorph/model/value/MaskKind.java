package dynamorph.model.value;

/** What lets a finish show, where it is light and opaque. */
public enum MaskKind {
  NONE(PaintKind.SOLID),
  LINEAR(PaintKind.LINEAR),
  RADIAL(PaintKind.RADIAL),
  CONIC(PaintKind.CONIC),
  PATTERN(PaintKind.PATTERN);

  private final PaintKind paint;

  MaskKind(PaintKind paint) {
    this.paint = paint;
  }

  /** What it is painted with; solid for none. */
  public PaintKind paint() {
    return paint;
  }
}
