package dynamorph.model.value;

/**
 * Where the lines of a paragraph stand in their measure. Start and end follow the direction of the
 * paragraph.
 */
public enum Alignment {
  START,
  CENTRE,
  END,
  LEFT,
  RIGHT,
  JUSTIFIED
}
