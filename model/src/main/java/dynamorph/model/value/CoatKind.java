package dynamorph.model.value;

/** What a coat paints. */
public enum CoatKind {
  FILL,
  STROKE
}
