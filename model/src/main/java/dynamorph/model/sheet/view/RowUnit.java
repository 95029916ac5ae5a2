package dynamorph.model.sheet.view;

import dynamorph.model.message.Messages;

/** What has a row of its own in a sheet. */
public enum RowUnit {
  TEXT(Messages.of("row-unit.text")),
  PARAGRAPH(Messages.of("row-unit.paragraph")),
  /** Letters beside each other that were given the same look. */
  RUN(Messages.of("row-unit.run"));

  private final String label;

  RowUnit(String label) {
    this.label = label;
  }

  /** What people call it. */
  public String label() {
    return label;
  }
}
