package dynamorph.app.shelf;

import dynamorph.app.files.UserFolder;
import dynamorph.app.shelf.ShelfPlace.Kind;
import dynamorph.formats.project.KitFile;
import dynamorph.formats.project.ProjectFile;
import dynamorph.formats.styles.StyleFile;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The shelves and kits that the person has opened; the own one first. */
public record KnownShelves(UserFolder user) {
  private static final String FILE = "shelves.txt";

  ShelfPlace own() {
    return new ShelfPlace(Kind.OWN, user.shelf());
  }

  /** All of them, whether they can be reached now or not. */
  List<ShelfPlace> all() {
    List<ShelfPlace> all = new ArrayList<>(List.of(own()));
    user.lines(FILE).stream().flatMap(line -> place(line).stream()).forEach(all::add);
    return all;
  }

  private static Optional<ShelfPlace> place(String line) {
    try {
      return line.isBlank() ? Optional.empty() : Optional.of(at(Path.of(line)));
    } catch (InvalidPathException damaged) {
      return Optional.empty();
    }
  }

  /** A kit, project or tokens by their endings, else a folder. */
  static ShelfPlace at(Path path) {
    boolean isFile =
        path.toString().endsWith(KitFile.ENDING)
            || ProjectFile.isNamedSo(path)
            || StyleFile.isTokens(path);
    return new ShelfPlace(isFile ? Kind.KIT : Kind.SHARED, path);
  }

  void add(ShelfPlace place) {
    if (place.kind() != Kind.STARTER && !all().contains(place)) {
      List<String> lines = new ArrayList<>(user.lines(FILE));
      lines.add(place.path().toString());
      user.keepLines(FILE, lines);
    }
  }

  /** Leaves it out of the list; what lies there stays. */
  void remove(ShelfPlace place) {
    user.keepLines(
        FILE,
        user.lines(FILE).stream().filter(line -> !line.equals(place.path().toString())).toList());
  }
}
