package dynamorph.app.styles.column;

import dynamorph.app.message.Messages;

/** Where the listed looks live. */
enum Scope {
  PROJECT(Messages.of("scope.this-project"), "scope-project"),
  SHELF(Messages.of("scope.shelf"), "scope-shelf"),
  BOTH(Messages.of("scope.both"), "scope-both");

  private final String label;
  private final String id;

  Scope(String label, String id) {
    this.label = label;
    this.id = id;
  }

  String label() {
    return label;
  }

  /** Of its button. */
  String id() {
    return id;
  }
}
