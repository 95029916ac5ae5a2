package dynamorph.model.value;

/** What a coat is painted with. */
public enum PaintKind {
  /** One colour. */
  SOLID,
  /** Colours that change along a line. */
  LINEAR,
  /** Colours that change outwards from a centre. */
  RADIAL,
  /** Colours that change around a centre. */
  CONIC,
  /** A tile that is repeated. */
  PATTERN
}
