package dynamorph.model.value;

/** The space in which the colours between two stops lie on a straight line. */
public enum Interpolation {
  /** Gamma-encoded sRGB, as most files mean it. */
  SRGB,
  /** OKLab (Ottosson 2020), which keeps lightness even. */
  OKLAB
}
