package dynamorph.app.session;

/** What pressing on the stage does. */
public enum Tool {
  SELECT("Select", 'S', "Pick texts and shapes, move them, drag a frame around several"),
  TEXT("Text", 'T', "Set a new text: press for a line, drag for a box; press in a text to edit it"),
  SHAPE("Shape", 'A', "Drag out a shape; Shift keeps it as wide as high"),
  DRAW("Draw", 'D', "Draw a path: press for corners, drag for curves; Enter ends it"),
  SAMPLER(
      "Sampler",
      'Q',
      "Take the look of one text and stamp it on others: press texts, drag over words or around several"),
  HAND("Hand", 'H', "Move the view");

  private final String label;
  private final char key;
  private final String help;

  Tool(String label, char key, String help) {
    this.label = label;
    this.key = key;
    this.help = help;
  }

  public String label() {
    return label;
  }

  /** The letter that chooses it. */
  public char key() {
    return key;
  }

  public String help() {
    return help;
  }
}
