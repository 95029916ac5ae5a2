package dynamorph.app.session;

import dynamorph.app.message.Messages;

/** What clicking on the stage does. */
public enum Tool {
  SELECT(Messages.of("tool.select"), 'S', Messages.of("tool.pick-texts-and-shapes-move-them")),
  TEXT(Messages.of("tool.text"), 'T', Messages.of("tool.set-a-new-text-click-for")),
  SHAPE(Messages.of("tool.shape"), 'A', Messages.of("tool.drag-out-a-shape-shift-constrains")),
  DRAW(Messages.of("tool.pen"), 'D', Messages.of("tool.draw-a-path-click-for-corners")),
  SAMPLER(Messages.of("tool.sampler"), 'Q', Messages.of("tool.take-the-look-of-one-text")),
  HAND(Messages.of("tool.hand"), 'H', Messages.of("tool.pan-the-view"));

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
