package dynamorph.demo;

import static dynamorph.demo.LongHour.board;
import static dynamorph.demo.LongHour.layer;
import static dynamorph.demo.LongHour.point;
import static dynamorph.model.property.Properties.SIZE;
import static dynamorph.model.property.Properties.TRACKING;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Origin;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.folder.ShelfFolder;
import dynamorph.shelf.follow.PutOnShelf;
import dynamorph.shelf.projects.ProjectIndex;
import dynamorph.shelf.projects.ProjectUse;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Properties;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import org.pcollections.TreePVector;

/**
 * The shelf of the museum: the looks of the exhibition, which two more projects have, and what was
 * changed there since. Every call makes the same, so that what a project has from it is known
 * before anything is written.
 *
 * @param shelf with the changes
 * @param exhibition the exhibition, which has all its looks from the shelf and none of the changes
 */
public record MuseumShelf(Shelf shelf, Project exhibition) {
  private static final String ID = "quarter-bell-museum";
  private static final String NAME = "Quarter Bell Museum";
  private static final Instant PUT = Instant.parse("2026-10-05T08:40:00Z");
  private static final Instant AIRED = Instant.parse("2026-11-09T14:10:00Z");
  private static final Instant WARMED = Instant.parse("2026-11-12T09:30:00Z");
  private static final Rgba WARMER = Rgba.parse("#b8602a");
  private static final double MORE_AIR = 8;

  /** The shelf, worked out anew. */
  public static MuseumShelf make() {
    RandomGenerator random = new SplittableRandom(1743);
    Project plain = LongHour.project();
    Shelf empty = Shelf.empty(ID, NAME);
    List<StyleId> all = plain.styles().stream().map(Style::id).toList();
    List<String> colours = plain.palette().swatches().stream().map(Swatch::id).toList();
    PutOnShelf put = PutOnShelf.of(plain, empty, all, colours, PutOnShelf.Wanted.ALL, random);
    Shelf first = done(empty, put.change().withNote("as it opens"), PUT, "Dessa Quill", random);
    Style title = first.named("Label title").orElseThrow().style();
    Shelf second =
        done(
            first,
            Change.of(
                    first,
                    Action.Kind.CHANGE,
                    new ChangeStyle(
                        title.withProperties(title.properties().with(TRACKING, MORE_AIR))))
                .withNote("a little more air, for reading from two metres"),
            AIRED,
            "Joost Halewijn",
            random);
    Swatch copper =
        second.swatches().stream()
            .map(Kept.OfSwatch::swatch)
            .filter(swatch -> swatch.name().equals("Copper"))
            .findFirst()
            .orElseThrow();
    Shelf third =
        done(
            second,
            Change.of(second, Action.Kind.CHANGE, new SetSwatch(copper.withColour(WARMER)))
                .withNote("warmer copper for the new season"),
            WARMED,
            "Ilse Maarten",
            random);
    return new MuseumShelf(third, put.linked(first).applyTo(plain));
  }

  /** The file that says what the exhibition has from the shelf, since working it out takes long. */
  private static final String LINKS = "shelf.properties";

  /** The exhibition with all its looks from the shelf, as {@link #make} gives it, but at once. */
  public static Project linked() {
    Properties links = new Properties();
    try (InputStream stream = MuseumShelf.class.getResourceAsStream(LINKS)) {
      links.load(Objects.requireNonNull(stream));
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
    Project plain = LongHour.project();
    List<Style> styles =
        plain.styles().stream()
            .map(style -> style.withOrigin(origin(links, "style." + style.id())))
            .toList();
    List<Swatch> swatches =
        plain.palette().swatches().stream()
            .map(swatch -> swatch.withOrigin(origin(links, "swatch." + swatch.id())))
            .toList();
    return plain.withPalette(new Palette(swatches)).withStyles(StyleBook.of(styles));
  }

  private static Optional<Origin> origin(Properties links, String key) {
    return Optional.ofNullable(links.getProperty(key))
        .map(link -> link.split(" "))
        .map(parts -> new Origin(ID, parts[0], parts[1]));
  }

  /** The lines of that file. */
  List<String> links() {
    List<String> lines = new ArrayList<>();
    for (Swatch swatch : exhibition.palette().swatches()) {
      swatch.origin().ifPresent(origin -> lines.add("swatch." + swatch.id() + "=" + line(origin)));
    }
    for (Style style : exhibition.styles().list()) {
      style.origin().ifPresent(origin -> lines.add("style." + style.id() + "=" + line(origin)));
    }
    return lines;
  }

  private static String line(Origin origin) {
    return origin.entry() + " " + origin.version();
  }

  private static Shelf done(
      Shelf before, Change change, Instant time, String author, RandomGenerator random) {
    return before.action(change, before, time, author, random).map(before::with).orElse(before);
  }

  /**
   * Makes and writes the shelf and the two other projects, unless they are there.
   *
   * @param folder of the shelf
   * @param projects folder of the projects
   * @throws IOException if they cannot be written
   */
  public static void writeIfMissing(Path folder, Path projects, ProjectIndex index)
      throws IOException {
    if (!at(folder).isThere()) {
      make().write(folder, projects, index);
    }
  }

  private static ShelfFolder at(Path folder) {
    return new ShelfFolder(folder, "", () -> WARMED, new SplittableRandom(1), ID, NAME);
  }

  private void write(Path folder, Path projects, ProjectIndex index) throws IOException {
    ShelfFolder files = at(folder);
    for (Action action : shelf.actions()) {
      files.add(action, Map.of());
    }
    Files.createDirectories(projects);
    for (Project project : others()) {
      Path file = projects.resolve(project.name() + ProjectFile.ENDING);
      if (!Files.exists(file)) {
        ProjectFile.write(project, file);
        index.remember(ProjectUse.of(file.toAbsolutePath(), project, WARMED));
      }
    }
  }

  /** The two other projects, as they are written. */
  List<Project> others() {
    return List.of(mondays(), signs());
  }

  /** The shelf as it was when the other projects took looks from it. */
  private Shelf asPut() {
    return Shelf.empty(ID, NAME).with(shelf.actions().getFirst());
  }

  /** A poster for the weekly winding. */
  private Project mondays() {
    return taken(
        "Winding Mondays",
        List.of("Enamel title", "Subtitle", "Notice", "Label title"),
        look ->
            board("poster", "Poster", 420, 594, LengthUnit.MILLIMETRE, "paper", 0, 0)
                .plus(
                    layer("title", "Title", "Winding Mondays", point(Anchor.TOP, 0, 180))
                        .withFollows(look.of("Enamel title"))
                        .withLocal(PropertySet.EMPTY.with(SIZE, FontSize.points(150))))
                .plus(
                    layer(
                            "when",
                            "When",
                            "every Monday at ten, in the tower",
                            point(Anchor.TOP, 0, 620))
                        .withFollows(look.of("Subtitle"))
                        .withLocal(PropertySet.EMPTY.with(SIZE, FontSize.points(64))))
                .plus(
                    layer("steps", "Steps", "Mind the steps", point(Anchor.TOP, 0, 900))
                        .withFollows(look.of("Notice")))
                .plus(
                    layer("crank", "Crank", "Bring both hands", point(Anchor.TOP, 0, 1120))
                        .withFollows(look.of("Label title"))));
  }

  /** Signs on the way up to the bell. */
  private Project signs() {
    return taken(
        "Bell Loft Signs",
        List.of("Notice", "Label title"),
        look ->
            board("way", "Way up", 600, 200, LengthUnit.MILLIMETRE, "paper", 0, 0)
                .plus(
                    layer("up", "Up", "To the bell loft", point(Anchor.TOP, 0, 120))
                        .withFollows(look.of("Notice")))
                .plus(
                    layer("ears", "Ears", "Mind your ears at noon", point(Anchor.TOP, 0, 330))
                        .withFollows(look.of("Label title"))));
  }

  /** The styles of a project by their names. */
  private record Look(Project project) {
    List<StyleId> of(String name) {
      return List.of(project.styles().named(name).orElseThrow().id());
    }
  }

  private interface Panel {
    Artboard with(Look look);
  }

  private Project taken(String name, List<String> looks, Panel panel) {
    Shelf from = asPut();
    List<String> wanted = new ArrayList<>();
    looks.forEach(look -> wanted.add(from.named(look).orElseThrow().id()));
    from.swatches().forEach(swatch -> wanted.add(swatch.id()));
    Edit take = new ImportStyles(from.bundle(wanted), Map.of());
    Project withLooks = take.applyTo(Project.empty(name));
    // the swatches are called otherwise here, and the ground of a board is one of them
    Artboard board = panel.with(new Look(withLooks));
    String paper =
        withLooks.palette().swatches().stream()
            .filter(swatch -> swatch.name().equals("Paper"))
            .findFirst()
            .orElseThrow()
            .id();
    return withLooks.withArtboards(
        TreePVector.singleton(board.withBackground(Colour.swatch(paper))));
  }
}
