package dynamorph.formats.project;

import dynamorph.model.Project;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.style.Palette;
import dynamorph.model.style.StyleBook;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;

/**
 * Reads and writes kits: sets of styles with their swatches and images, to be handed to others. A
 * kit is built like a project file, with no artboards in it.
 */
public final class KitFile {
  /** What the names of kits end with. */
  public static final String ENDING = ".dmkit";

  private KitFile() {}

  /**
   * Writes a kit, beside its place first and then moved there.
   *
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static void write(String name, StyleBundle bundle, Path file) throws IOException {
    Project kit =
        Project.empty(name)
            .withPalette(new Palette(bundle.swatches()))
            .withStyles(StyleBook.of(bundle.styles()))
            .withAssets(bundle.assets());
    ProjectFile.write(kit, file, Names.KIT_FORMAT);
  }

  /**
   * Reads the styles of a kit, or of a whole project.
   *
   * @throws ProjectReadException if the file is missing, damaged or foreign
   */
  public static StyleBundle read(Path file) throws ProjectReadException {
    return StyleBundle.all(
        ProjectFile.read(file, Set.of(Names.FORMAT, Names.KIT_FORMAT), Budget.standard()));
  }
}
