package dynamorph.app.session;

/** What clicking on the stage does. */
public enum Tool {
  SELECT("Select", 'S', "Pick texts and shapes, move them, drag a frame around several"),
  TEXT("Text", 'T', "Set a new text: click for a line, drag for a box; click in a text to edit it"),
  SHAPE("Shape", 'A', "Drag out a shape; Shift constrains its proportions"),
  DRAW("Pen", 'D', "Draw a path: click for corners, drag for curves; Enter ends it"),
  SAMPLER(
      "Sampler",
      'Q',
      "Take the look of one text and stamp it on others: click texts, drag over words or around several"),
  HAND("Hand", 'H', "Pan the view");

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
