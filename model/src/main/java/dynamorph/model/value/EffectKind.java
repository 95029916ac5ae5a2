package dynamorph.model.value;

/** What an effect adds to its coat. */
public enum EffectKind {
  DROP_SHADOW
}
