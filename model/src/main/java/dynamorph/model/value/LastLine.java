package dynamorph.model.value;

/** Where the last line of a justified paragraph stands. */
public enum LastLine {
  START,
  CENTRE,
  END,
  JUSTIFIED
}
