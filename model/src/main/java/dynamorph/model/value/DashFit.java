package dynamorph.model.value;

/** How dashes are laid along a contour. */
public enum DashFit {
  /** With their lengths as they are. */
  EXACT,
  /** Scaled so that a whole number of repeats goes around each contour. */
  CONTOUR,
  /** With a dash centred on every corner and the gaps evened between. */
  CORNERS
}
