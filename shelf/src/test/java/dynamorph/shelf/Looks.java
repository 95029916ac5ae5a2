package dynamorph.shelf;

import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.shelf.folder.ShelfFolder;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicLong;

/** Small looks for tests of the shelf. */
public final class Looks {
  public static final Instant START = Instant.parse("2026-11-03T09:00:00Z");

  private static final AtomicLong SECONDS = new AtomicLong();
  private static final AtomicLong SEEDS = new AtomicLong();

  private Looks() {}

  /** A shelf whose clock goes on by a second each time it is asked. */
  public static ShelfFolder folder(Path folder, String author) {
    return new ShelfFolder(
        folder,
        author,
        () -> START.plusSeconds(SECONDS.incrementAndGet()),
        new SplittableRandom(SEEDS.incrementAndGet()));
  }

  /** A body of 10 points, a heading of 1.6 times that in the museum's orange, and a note. */
  public static Project museum() {
    Style body =
        Style.text("body", "Panel body", "Panels")
            .withProperties(
                Style.text("x", "x", "")
                    .properties()
                    .with(Properties.SIZE, FontSize.points(10))
                    .with(Properties.FONT_FAMILY, "EB Garamond"));
    Style heading =
        Style.text("heading", "Panel heading", "Panels")
            .withBasedOn(Optional.of(new StyleId("body")))
            .withProperties(
                body.properties()
                    .where(_ -> false)
                    .with(Properties.SIZE, new FontSize.Times(1.6))
                    .withText(Properties.key("finish/fill/kind"), "fill")
                    .with(
                        dynamorph.model.property.Properties.COAT_COLOUR.at(
                            dynamorph.model.property.Address.coat("fill")),
                        Colour.swatch("orange")));
    return Project.empty("Museum")
        .withPalette(
            new Palette(List.of(new Swatch("orange", "Museum orange", Rgba.parse("#b0562a")))))
        .withStyles(StyleBook.of(List.of(body, heading, Style.text("note", "Note", "Small"))));
  }

  /** Three random states of one style: what two sides began with, and what each made of it. */
  public static List<Style> threeStates(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Style> pool =
        new RandomProjects(seed)
            .project().styles().stream()
                .map(style -> style.withBasedOn(Optional.empty()).withOrigin(Optional.empty()))
                .toList();
    Style base = pool.getFirst();
    return List.of(base, changed(base, pool, random), changed(base, pool, random));
  }

  private static Style changed(Style style, List<Style> pool, SplittableRandom random) {
    Style changed = style;
    for (int times = random.nextInt(4); times > 0; times--) {
      Style other = pool.get(random.nextInt(pool.size()));
      changed =
          switch (random.nextInt(4)) {
            case 0 -> changed.withName(other.name());
            case 1 -> changed.withNote(other.note() + random.nextInt(2));
            case 2 -> changed.withProperties(changed.properties().overlaidBy(other.properties()));
            default -> {
              boolean odd = random.nextBoolean();
              yield changed.withProperties(
                  changed.properties().where(key -> (key.path().length() % 2 == 0) == odd));
            }
          };
    }
    return changed;
  }
}
