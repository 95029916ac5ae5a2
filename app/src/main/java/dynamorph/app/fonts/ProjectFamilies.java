package dynamorph.app.fonts;

import dynamorph.app.field.Face;
import dynamorph.app.field.Families;
import dynamorph.app.files.UserFolder;
import dynamorph.app.message.Messages;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Workspace;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.FontUse;
import dynamorph.model.text.TextRange;
import dynamorph.typeset.font.FontFamily;
import dynamorph.typeset.font.FontTraits;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import javafx.scene.image.ImageView;

/** Families of the studio's fonts, of the project and of the person. */
public final class ProjectFamilies implements Families {
  private static final String RECENT = "recent-fonts.txt";
  private static final String MARKED = "marked-fonts.txt";
  private static final int MOST_RECENT = 12;
  private static final int MOST_WORDS = 32;
  private static final String SAMPLE = Messages.of("project-families.the-long-hour-1743");

  private final Workspace workspace;
  private final Supplier<Studio> studio;
  private final Face face;
  private final UserFolder user;

  public ProjectFamilies(Workspace workspace, Supplier<Studio> studio, Face face, UserFolder user) {
    this.workspace = workspace;
    this.studio = studio;
    this.face = face;
    this.user = user;
  }

  @Override
  public List<FontFamily> all() {
    return studio.get().fonts().families();
  }

  @Override
  public FontTraits facts(String family) {
    return studio.get().fonts().facts(family);
  }

  @Override
  public Set<String> used() {
    return FontUse.of(workspace.shownProperty().get()).families();
  }

  @Override
  public List<String> recent() {
    return user.lines(RECENT);
  }

  @Override
  public void chosen(String family) {
    List<String> lately = new ArrayList<>(user.lines(RECENT));
    lately.remove(family);
    lately.addFirst(family);
    user.keepLines(RECENT, lately.stream().limit(MOST_RECENT).toList());
  }

  @Override
  public Set<String> favourites() {
    return new TreeSet<>(user.lines(MARKED));
  }

  @Override
  public void favour(String family, boolean favourite) {
    Set<String> marked = favourites();
    boolean _ = favourite ? marked.add(family) : marked.remove(family);
    user.keepLines(MARKED, List.copyOf(marked));
  }

  /** What is marked in the text that is edited, else the beginning of what is selected. */
  @Override
  public String words() {
    Optional<String> marked =
        workspace
            .selection()
            .cursor()
            .flatMap(cursor ->
                workspace
                    .shownProperty()
                    .get()
                    .layer(cursor.layer())
                    .map(layer -> layer.story().text(cursor.range().within(layer.story().all()))));
    return marked
        .filter(words -> !words.isBlank())
        .or(() ->
            workspace.texts().stream()
                .flatMap(id -> workspace.shownProperty().get().layer(id).stream())
                .map(layer -> layer.story().text(new TextRange(0, layer.story().length())))
                .filter(words -> !words.isBlank())
                .findFirst())
        .map(words -> words.lines().findFirst().orElse(words).strip())
        .map(words -> words.length() > MOST_WORDS ? words.substring(0, MOST_WORDS) : words)
        .filter(words -> !words.isEmpty())
        .orElse(SAMPLE);
  }

  @Override
  public void show(ImageView view, String family, String words, int width, int height) {
    face.show(
        view,
        words,
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, family)
            .with(Properties.SIZE, dynamorph.model.value.FontSize.points(19)),
        width,
        height);
  }
}
