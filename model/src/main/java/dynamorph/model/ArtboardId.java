package dynamorph.model;

/** The stable name of an artboard within a project. */
public record ArtboardId(String value) {
  public ArtboardId {
    if (!value.matches("[A-Za-z0-9_.-]+")) {
      throw new IllegalArgumentException("not an artboard id: \"" + value + "\"");
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
