package dynamorph.model.value;

/** Where an inner glow is strongest. */
public enum GlowSource {
  EDGE,
  CENTRE
}
