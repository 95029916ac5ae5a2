package dynamorph.app.workspace;

/** What pressing on the stage does. */
public enum Tool {
  SELECT("Select", "Pick texts, move them, drag a frame around several"),
  TEXT("Text", "Set a new text: press for a line, drag for a box; press in a text to edit it"),
  HAND("Hand", "Move the view");

  private final String label;
  private final String help;

  Tool(String label, String help) {
    this.label = label;
    this.help = help;
  }

  public String label() {
    return label;
  }

  public String help() {
    return help;
  }
}
