package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.film.DetachFromTrack;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/**
 * Texts on their way from one window to another: a small project of one artboard that holds them
 * with all they need to look the same.
 */
public final class TextFragment {
  /** What the clipboard calls it. */
  public static final String TYPE = "application/x-dynamorph-texts";

  private static final double SIDE = 2000;

  private TextFragment() {}

  /** The bytes of some texts of a project. */
  public static byte[] write(Project project, List<Layer> texts) {
    List<Layer> alone = texts.stream().map(text -> DetachFromTrack.of(project, text)).toList();
    StyleBundle needed = StyleBundle.of(project, alone);
    ImportStyles.Arrived arrived =
        new ImportStyles(needed, Map.of())
            .arrive(Project.empty(Messages.of("text-fragment.texts")));
    Project small =
        arrived
            .project()
            .plus(
                Artboard.empty(
                        "texts", Messages.of("text-fragment.texts"), SIDE, SIDE, LengthUnit.POINT)
                    .withLayers(alone.stream().map(arrived::settled).toList()));
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try {
      ProjectFile.write(small, bytes);
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return bytes.toByteArray();
  }

  /**
   * Reads them again.
   *
   * @throws IOException if they are no texts of this program
   */
  public static Project read(byte[] bytes) throws IOException {
    Path file = Files.createTempFile("dynamorph-texts", ProjectFile.ENDING);
    try {
      Files.write(file, bytes);
      return ProjectFile.read(file);
    } finally {
      Files.deleteIfExists(file);
    }
  }
}
