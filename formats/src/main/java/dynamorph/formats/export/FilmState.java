package dynamorph.formats.export;

import dynamorph.formats.project.ProjectDifference;
import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.timeline.Media;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import org.pcollections.TreePVector;

/** Tells a state of a film, with all that its frames depend on, from every other. */
public final class FilmState {
  private FilmState() {}

  /**
   * A text that is the same for the same frames: of the film itself, the styles, swatches, fonts
   * and images of its project, and of its footage as it lies on the disk.
   *
   * @throws IOException if footage that is there cannot be looked at
   */
  public static String of(Project project, Artboard film) throws IOException {
    Project alone =
        project
            .withName("")
            .withExports(java.util.List.of())
            .withArtboards(TreePVector.singleton(film));
    MessageDigest digest = sha256();
    ProjectDifference.Assets names =
        new ProjectDifference.Assets() {
          @Override
          public String keep(Asset asset) {
            return HexFormat.of().formatHex(sha256().digest(asset.bytes()));
          }

          @Override
          public byte[] find(String hash) throws IOException {
            throw new IOException("nothing was kept");
          }
        };
    add(digest, ProjectDifference.between(Project.empty(""), alone, names).toString());
    for (Media media : alone.media().toList()) {
      if (media instanceof Media.File file && Files.exists(Path.of(file.path()))) {
        Path path = Path.of(file.path());
        add(digest, Files.size(path) + " " + Files.getLastModifiedTime(path));
      }
    }
    return HexFormat.of().formatHex(digest.digest());
  }

  private static void add(MessageDigest digest, String text) {
    digest.update(text.getBytes(StandardCharsets.UTF_8));
  }

  private static MessageDigest sha256() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException("every JDK has SHA-256", impossible);
    }
  }
}
