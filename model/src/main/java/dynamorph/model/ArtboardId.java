package dynamorph.model;

import dynamorph.model.message.Messages;

/** The stable name of an artboard within a project. */
public record ArtboardId(String value) {
  public ArtboardId {
    if (!value.matches("[A-Za-z0-9_.-]+")) {
      throw new IllegalArgumentException(Messages.of("artboard-id.not-an-artboard-id", value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
