package dynamorph.model.value;

/** In which direction a paragraph runs. */
public enum TextDirection {
  /** As its first strong letter says. */
  AUTOMATIC,
  LEFT_TO_RIGHT,
  RIGHT_TO_LEFT
}
