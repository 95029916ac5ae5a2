package dynamorph.model;

import dynamorph.model.message.Messages;

/** The stable name of a layer within a project. */
public record LayerId(String value) {
  public LayerId {
    if (!value.matches("[A-Za-z0-9_.-]+")) {
      throw new IllegalArgumentException(Messages.of("layer-id.not-a-layer-id", value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
