package dynamorph.app.shelf;

import dynamorph.app.message.Messages;
import java.nio.file.Path;

/**
 * Where looks can lie that belong to no project.
 *
 * @param path of the folder, or of the kit
 */
public record ShelfPlace(Kind kind, Path path) {
  /** What sort of place it is. */
  public enum Kind {
    /** The person's own. */
    OWN,
    /** A folder that others have too. */
    SHARED,
    /** A file to look into; nothing can be put there. */
    KIT
  }

  /** What people call it. */
  public String name() {
    String file = String.valueOf(path.getFileName());
    return switch (kind) {
      case OWN -> Messages.of("shelf-place.own");
      case SHARED -> file;
      case KIT -> Messages.of("shelf-place.kit", file);
    };
  }
}
