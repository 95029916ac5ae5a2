package dynamorph.app.property;

import dynamorph.app.field.Editors;
import dynamorph.app.field.Face;
import dynamorph.app.field.Families;
import dynamorph.app.files.UserFolder;
import dynamorph.app.fonts.ProjectFamilies;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Workspace;
import dynamorph.app.theme.Theme;
import dynamorph.model.Asset;
import dynamorph.model.LayerId;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coat;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Rgba;
import dynamorph.typeset.font.FontLibrary;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** What value editors ask: fonts of the studio, palette of the project. */
public final class EditorContext implements Editors.Surroundings {
  private final Workspace workspace;
  private final UserFolder user;
  private final Supplier<Studio> studio;
  private final Supplier<Subject> subject;
  private final Face face;
  private final Families families;

  public EditorContext(
      Workspace workspace,
      Supplier<Studio> studio,
      Supplier<Subject> subject,
      PictureService pictures,
      Supplier<Theme> theme,
      UserFolder user) {
    this.face = new SubjectFace(studio, subject, pictures, theme);
    this.families = new ProjectFamilies(workspace, studio, face, user);
    this.workspace = workspace;
    this.user = user;
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

  private static final String RECENT = "recent-colours.txt";
  private static final int MOST_RECENT = 14;

  @Override
  public List<Rgba> recentColours() {
    return user.lines(RECENT).stream()
        .filter(line -> line.matches("#[0-9a-f]{6}([0-9a-f]{2})?"))
        .map(Rgba::parse)
        .toList();
  }

  @Override
  public void usedColour(Rgba colour) {
    List<Rgba> recent = new ArrayList<>(recentColours());
    recent.remove(colour);
    recent.addFirst(colour);
    user.keepLines(RECENT, recent.stream().limit(MOST_RECENT).map(Rgba::toString).toList());
  }

  /** The artboard's colour, or that of the plate if there is one. */
  @Override
  public Optional<Rgba> background() {
    return workspace.selection().layers().stream().findFirst().flatMap(this::background);
  }

  private Optional<Rgba> background(LayerId id) {
    Cascade cascade = Cascade.of(workspace.project());
    Optional<Rgba> board =
        workspace.project().artboardOf(id).map(at -> cascade.colour(at.background()));
    return workspace
        .project()
        .layer(id)
        .flatMap(layer -> {
          List<Coat> plate = cascade.resolve(layer).plate().coats();
          return plate.stream()
              .filter(coat -> coat.shape() instanceof Coat.Fill && coat.isOpaque())
              .map(coat -> coat.paint().colour())
              .reduce((_, upper) -> upper);
        })
        .or(() -> board);
  }

  @Override
  public List<String> images() {
    return workspace.project().assets().stream()
        .filter(Asset::isImage)
        .map(Asset::shortName)
        .toList();
  }

  @Override
  public List<Style> styles(StyleLevel level) {
    return workspace.project().styles().stream().filter(style -> style.level() == level).toList();
  }

  @Override
  public String keepSwatch(Rgba colour) {
    Optional<Swatch> known =
        palette().swatches().stream().filter(swatch -> swatch.colour().equals(colour)).findFirst();
    if (known.isPresent()) {
      return known.get().id();
    }
    String id = workspace.ids().next("swatch");
    boolean kept = workspace.apply(new SetSwatch(new Swatch(id, colour.toString(), colour)));
    return kept ? id : "";
  }
}
