package dynamorph.app;

import dynamorph.app.background.PictureService;
import dynamorph.app.background.Studio;
import dynamorph.app.field.Editors;
import dynamorph.app.field.Face;
import dynamorph.app.field.Families;
import dynamorph.app.files.UserFolder;
import dynamorph.app.inspector.Subject;
import dynamorph.app.theme.Theme;
import dynamorph.app.workspace.Workspace;
import dynamorph.model.edit.PutSwatch;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Rgba;
import dynamorph.typeset.font.FontLibrary;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** What value editors ask: fonts of the studio, palette of the project. */
final class Surroundings implements Editors.Surroundings {
  private final Workspace workspace;
  private final Supplier<Studio> studio;
  private final Supplier<Subject> subject;
  private final Face face;
  private final Families families;

  Surroundings(
      Workspace workspace,
      Supplier<Studio> studio,
      Supplier<Subject> subject,
      PictureService pictures,
      Supplier<Theme> theme,
      UserFolder user) {
    this.face = new SubjectFace(studio, subject, pictures, theme);
    this.families = new ProjectFamilies(workspace, studio, face, user);
    this.workspace = workspace;
    this.studio = studio;
    this.subject = subject;
  }

  @Override
  public Families families() {
    return families;
  }

  @Override
  public List<Integer> weights(Optional<String> family) {
    String shown =
        family
            .or(() -> subject.get().shown(Properties.FONT_FAMILY.key()).value())
            .orElse(FontLibrary.SUBSTITUTE);
    return studio.get().fonts().weights(shown);
  }

  @Override
  public Face face() {
    return face;
  }

  @Override
  public Palette palette() {
    return workspace.project().palette();
  }

  @Override
  public String keepSwatch(Rgba colour) {
    Optional<Swatch> known =
        palette().swatches().stream().filter(swatch -> swatch.colour().equals(colour)).findFirst();
    if (known.isPresent()) {
      return known.get().id();
    }
    String id = workspace.ids().next("swatch");
    boolean kept = workspace.apply(new PutSwatch(new Swatch(id, colour.toString(), colour)));
    return kept ? id : "";
  }
}
