package dynamorph.shelf.projects;

import dynamorph.formats.file.FileState;
import dynamorph.model.Project;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.SwatchUse;
import dynamorph.model.style.Origin;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a project has from shelves, known without opening it.
 *
 * @param file where it lay last
 * @param seen when this was looked at
 * @param state of the file then
 */
public record ProjectUse(
    Path file, String name, Instant seen, Optional<FileState> state, List<Use> uses) {
  /**
   * A style or swatch that came from a shelf.
   *
   * @param texts that follow the style, or are painted with the swatch
   */
  public record Use(Origin origin, String name, int texts) {}

  public ProjectUse {
    uses = List.copyOf(uses);
  }

  public static ProjectUse of(Path file, Project project, Instant now) {
    Followers followers = Followers.of(project);
    List<Use> uses = new ArrayList<>();
    for (Style style : project.styles().list()) {
      style
          .origin()
          .ifPresent(
              origin -> uses.add(new Use(origin, style.name(), followers.count(style.id()).all())));
    }
    for (Swatch swatch : project.palette().swatches()) {
      swatch
          .origin()
          .ifPresent(origin ->
              uses.add(
                  new Use(
                      origin,
                      swatch.name(),
                      SwatchUse.texts(project, followers, swatch.id()).size())));
    }
    return new ProjectUse(file, project.name(), now, FileState.of(file), uses);
  }

  /** How it uses an entry, if it does. */
  public Optional<Use> of(String shelf, String entry) {
    return uses.stream()
        .filter(use -> use.origin().shelf().equals(shelf) && use.origin().entry().equals(entry))
        .findFirst();
  }

  /** Whether its file is still there. */
  public boolean isThere() {
    return FileState.of(file).isPresent();
  }
}
