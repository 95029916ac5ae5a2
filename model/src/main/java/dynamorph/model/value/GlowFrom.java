package dynamorph.model.value;

/** Where an inner glow is strongest. */
public enum GlowFrom {
  EDGE,
  CENTRE
}
