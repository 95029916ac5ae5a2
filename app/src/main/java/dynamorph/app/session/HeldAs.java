package dynamorph.app.session;

import dynamorph.app.message.Messages;

/** How texts that are left out of a change keep their look. */
public enum HeldAs {
  LOCAL(Messages.of("held-as.by-local-changes")),
  DERIVED(Messages.of("held-as.by-a-derived-style"));

  private final String label;

  HeldAs(String label) {
    this.label = label;
  }

  @Override
  public String toString() {
    return label;
  }
}
