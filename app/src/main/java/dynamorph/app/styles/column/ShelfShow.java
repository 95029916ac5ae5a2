package dynamorph.app.styles.column;

import dynamorph.app.message.Messages;

/** Which looks of the shelf are listed. */
enum ShelfShow {
  ALL(Messages.of("shelf-show.all")),
  /** No project that is known has them. */
  UNUSED(Messages.of("shelf-show.unused")),
  /** Two or more that are the same or nearly so, together. */
  NEAR(Messages.of("shelf-show.near"));

  private final String label;

  ShelfShow(String label) {
    this.label = label;
  }

  String label() {
    return label;
  }
}
