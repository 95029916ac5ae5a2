package dynamorph.model.value;

/** What an effect adds. */
public enum EffectKind {
  /** Darkens what lies below, moved aside. */
  DROP_SHADOW,
  /** Darkens the inside along the edge, moved aside. */
  INNER_SHADOW,
  /** Shines around. */
  OUTER_GLOW,
  /** Shines inside, from the edge or from the centre. */
  INNER_GLOW,
  /** Softens. */
  BLUR,
  /** Lights the edge as if it stood out. */
  BEVEL
}
