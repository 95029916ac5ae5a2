package dynamorph.app.styles.column;

import dynamorph.app.message.Messages;

/** Which styles are listed. */
enum Show {
  ALL(Messages.of("styles-column.all-styles")),
  FOLLOWED(Messages.of("styles-column.followed-by-the-selection")),
  DEVIATING(Messages.of("styles-column.with-local-changes")),
  UNUSED(Messages.of("styles-column.unused"));

  private final String label;

  Show(String label) {
    this.label = label;
  }

  @Override
  public String toString() {
    return label;
  }
}
