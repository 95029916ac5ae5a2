package dynamorph.app.shelf;

import dynamorph.app.message.Messages;
import dynamorph.shelf.starter.StarterKits;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Where looks can lie that belong to no project.
 *
 * @param path of the folder, or of the kit
 * @param called what a shared folder or a kit is called
 */
public record ShelfPlace(Kind kind, Path path, String called) {
  /** What sort of place it is. */
  public enum Kind {
    /** The person's own. */
    OWN,
    /** A folder that others have too. */
    SHARED,
    /** A file to look into; nothing can be put there. */
    KIT,
    /** A kit that comes with the program. */
    STARTER
  }

  /** A kit that comes with the program. */
  static ShelfPlace of(StarterKits.Kit kit) {
    return new ShelfPlace(Kind.STARTER, Path.of(kit.id()), kit.name());
  }

  ShelfPlace(Kind kind, Path path) {
    this(kind, path, String.valueOf(path.getFileName()));
  }

  /** Whether something can be put there. */
  public boolean isFolder() {
    return kind == Kind.OWN || kind == Kind.SHARED;
  }

  /** Whether it can be used now: a shared folder may lie on a drive that is not there. */
  public boolean isReachable() {
    return kind != Kind.SHARED || Files.isDirectory(path);
  }

  /** What people call it. */
  public String name() {
    return switch (kind) {
      case OWN -> Messages.of("shelf-place.own");
      case SHARED -> called;
      case KIT -> Messages.of("shelf-place.kit", called);
      case STARTER -> Messages.of("shelf-place.starter", called);
    };
  }
}
