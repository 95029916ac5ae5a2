package dynamorph.app.session;

/** How texts that are left out of a change keep their look. */
public enum HeldAs {
  LOCAL("by local changes"),
  DERIVED("by a derived style");

  private final String label;

  HeldAs(String label) {
    this.label = label;
  }

  @Override
  public String toString() {
    return label;
  }
}
