package dynamorph.app.render;

import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.specimen.SpecimenPainter;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.util.List;

/**
 * The fonts, typesetter and painters of one project. A project that brings its own fonts has a
 * studio of its own.
 *
 * @param fontAssets the project's fonts that the studio was made with
 */
public record Studio(
    FontLibrary fonts, SceneMaker maker, SpecimenPainter specimens, List<Asset> fontAssets) {
  /** A studio for a project. */
  public static Studio of(Project project) {
    FontLibrary fonts = FontLibrary.forProject(project.assets());
    SceneMaker maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
    return new Studio(fonts, maker, new SpecimenPainter(maker), fontsOf(project));
  }

  /**
   * Lets the machine list its fonts beside the interface thread, which can take long the first
   * time.
   */
  public void askMachineForFonts() {
    FrameService.daemon("fonts").newThread(fonts::families).start();
  }

  /** A studio for as long as something is drawn. */
  public static Own own(Project project) {
    return new Own(of(project));
  }

  /** A studio whose fonts are released when it is closed. */
  public record Own(Studio studio) implements AutoCloseable {
    @Override
    public void close() {
      studio.fonts.close();
    }
  }

  /** Whether the project has the fonts that this studio has. */
  public boolean fits(Project project) {
    return fontsOf(project).equals(fontAssets);
  }

  private static List<Asset> fontsOf(Project project) {
    return project.assets().stream().filter(Asset::isFont).toList();
  }
}
