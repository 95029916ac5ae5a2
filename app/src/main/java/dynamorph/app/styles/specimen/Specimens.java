package dynamorph.app.styles.specimen;

import dynamorph.app.render.PictureService;
import dynamorph.app.render.Studio;
import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.value.Rgba;
import dynamorph.paint.specimen.Backdrop;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.image.ImageView;

/** Draws styles with words on the ground that they are seen on most. */
public final class Specimens {
  /** The ground of styles that nothing follows. */
  private static final Rgba PAPER = new Rgba(0xFFFBF8F1);

  /** The ground of those that would not show on paper. */
  private static final Rgba SLATE = new Rgba(0xFF24313C);

  /** Letters with less are taken as not to be seen; what is read needs more. */
  private static final double LEAST_CONTRAST = 1.7;

  private final Supplier<Studio> studio;
  private final PictureService pictures;

  public Specimens(Supplier<Studio> studio, PictureService pictures) {
    this.studio = studio;
    this.pictures = pictures;
  }

  /** What a specimen depends on; the values may refer to swatches, so the palette is part of it. */
  private record Key(
      Studio studio,
      PropertySet values,
      Palette palette,
      StyleLevel level,
      String words,
      Object ground,
      int width,
      int height,
      double scale) {}

  /**
   * A ground that specimens are seen on.
   *
   * @param key what it depends on
   */
  public record Seen(Object key, Backdrop ground) {}

  private static Seen plain(Rgba colour) {
    return new Seen(colour, new Backdrop.Plain(colour));
  }

  private Supplier<Optional<Seen>> film = Optional::empty;

  /** Gives the ground of all specimens, when it is not the one that each style is seen on most. */
  public void setGround(Supplier<Optional<Seen>> ground) {
    film = ground;
  }

  /** Puts a specimen into a view, now or when it is drawn. */
  public void show(
      ImageView view,
      Project project,
      Cascade cascade,
      Followers followers,
      Style style,
      int width,
      int height) {
    show(
        view,
        project,
        cascade,
        style,
        background(project, cascade, followers, style),
        width,
        height);
  }

  /** Puts a specimen on a ground into a view, now or when it is drawn. */
  public void show(
      ImageView view,
      Project project,
      Cascade cascade,
      Style style,
      Rgba background,
      int width,
      int height) {
    double scale = PictureService.scaleOf(view);
    Seen seen = film.get().orElseGet(() -> plain(background));
    Studio with = studio.get();
    String words = style.sample().isBlank() ? style.name() : style.sample();
    pictures.show(
        view,
        new Key(
            with,
            cascade.values(style),
            project.palette(),
            style.level(),
            words,
            seen.key,
            width,
            height,
            scale),
        () -> with.specimens().specimen(cascade, style, words, seen.ground, width, height, scale));
  }

  /** Puts a specimen of a style that nothing follows into a view, on a ground that it shows on. */
  public void showAlone(
      ImageView view, Project project, Cascade cascade, Style style, int width, int height) {
    show(view, project, cascade, style, ground(project, cascade, style), width, height);
  }

  /** What a style shows on that is seen nowhere yet. */
  private static Rgba ground(Project project, Cascade cascade, Style style) {
    return isPale(project, cascade.values(style)) ? SLATE : PAPER;
  }

  /** Whether nothing of it shows on paper: neither a fill nor a stroke nor a plate. */
  private static boolean isPale(Project project, PropertySet values) {
    List<Rgba> painted =
        Stream.of(Address.FINISH, Address.PLATE)
            .flatMap(host -> Coats.of(values, host).stream())
            .map(coat ->
                project.palette().colour(Coats.value(values, Properties.COAT_COLOUR.at(coat))))
            .toList();
    return !painted.isEmpty()
        && painted.stream().allMatch(colour -> colour.contrast(PAPER) < LEAST_CONTRAST);
  }

  /** The artboard colour that the style is seen on most, so that pale letters show. */
  private static Rgba background(
      Project project, Cascade cascade, Followers followers, Style style) {
    Map<Rgba, Integer> seen = new LinkedHashMap<>();
    Set<LayerId> ids = new HashSet<>();
    followers.direct(style.id()).stream()
        .limit(50)
        .forEach(follower -> ids.add(follower.layer().id()));
    for (Artboard board : ids.isEmpty() ? java.util.List.<Artboard>of() : project.artboards()) {
      long count = board.layers().stream().filter(layer -> ids.contains(layer.id())).count();
      if (count > 0) {
        seen.merge(project.palette().colour(board.background()), (int) count, Integer::sum);
      }
    }
    int most = seen.values().stream().mapToInt(Integer::intValue).max().orElse(0);
    return seen.entrySet().stream()
        .filter(entry -> entry.getValue() == most)
        .findFirst()
        .map(Map.Entry::getKey)
        .orElseGet(() -> ground(project, cascade, style));
  }
}
