package dynamorph.model.value;

/** On which side of the letter edge a stroke lies. */
public enum StrokePosition {
  INSIDE,
  CENTRE,
  OUTSIDE
}
