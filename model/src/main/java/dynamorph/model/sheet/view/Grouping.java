package dynamorph.model.sheet.view;

import dynamorph.model.message.Messages;

/** What texts of a sheet stand together by. */
public enum Grouping {
  STYLE(Messages.of("grouping.style")),
  ARTBOARD(Messages.of("grouping.artboard")),
  TRACK(Messages.of("grouping.track")),
  LOOK(Messages.of("grouping.look")),
  NONE(Messages.of("grouping.none"));

  private final String label;

  Grouping(String label) {
    this.label = label;
  }

  /** What people call it. */
  public String label() {
    return label;
  }
}
