package dynamorph.model.value;

/** How a gradient goes on beyond its ends. */
public enum SpreadMethod {
  /** With the colours of its ends. */
  PAD,
  /** From the start again. */
  REPEAT,
  /** Back and forth. */
  REFLECT
}
