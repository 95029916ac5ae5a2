package dynamorph.formats.export;

import dynamorph.formats.file.Sha256;
import dynamorph.formats.project.ProjectDifference;
import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.timeline.Media;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.pcollections.TreePVector;

/** Tells a state of a film, with all that its frames depend on, from every other. */
public final class FilmState {
  /** Tells assets by their bytes; none has to be found again. */
  private static final ProjectDifference.Assets NAMES =
      new ProjectDifference.Assets() {
        @Override
        public String keep(Asset asset) {
          return Sha256.hex(asset.bytes());
        }

        @Override
        public byte[] find(String hash) throws IOException {
          throw new IOException("nothing was kept");
        }
      };

  private FilmState() {}

  /**
   * A text that is the same for the same frames: of the film itself, the styles, swatches, fonts
   * and images of its project, and of its footage as it lies on the disk.
   *
   * @throws IOException if footage that is there cannot be looked at
   */
  public static String of(Project project, Artboard film) throws IOException {
    Project alone =
        project.withName("").withExports(List.of()).withArtboards(TreePVector.singleton(film));
    StringBuilder state = new StringBuilder();
    state.append(ProjectDifference.between(Project.empty(""), alone, NAMES));
    for (Media media : alone.media().toList()) {
      if (media instanceof Media.File file && Files.exists(Path.of(file.path()))) {
        Path path = Path.of(file.path());
        state.append(Files.size(path)).append(' ').append(Files.getLastModifiedTime(path));
      }
    }
    return Sha256.hex(state.toString());
  }
}
