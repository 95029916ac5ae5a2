package dynamorph.shelf.folder;

import dynamorph.model.edit.style.AddStyle;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.FontSize;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * A process that does random things to looks of its own and to one property of looks that it shares
 * with others, keeps a model of what must be there, and writes that down at the end: a line for
 * each look, with its name, size and tags, or what the shared property must be.
 */
final class RandomShelfWorker {
  private static final int MOST_LOOKS = 40;
  static final int SHARED = 5;

  private final ShelfFolder folder;
  private final String name;
  private final SplittableRandom random;
  private final Property<Double> property;

  /** The looks of its own as they must be; empty for one that is deleted. */
  private final Map<String, Optional<Kept.OfStyle>> model = new TreeMap<>();

  private final Map<String, Double> shared = new TreeMap<>();

  private RandomShelfWorker(ShelfFolder folder, String name, Property<Double> property) {
    this.folder = folder;
    this.name = name;
    this.property = property;
    this.random = new SplittableRandom(name.hashCode());
  }

  public static void main(String[] arguments) throws IOException {
    String name = arguments[1];
    ShelfFolder folder =
        new ShelfFolder(
            Path.of(arguments[0]),
            name,
            InstantSource.system(),
            new SplittableRandom(name.hashCode() + 1));
    RandomShelfWorker worker =
        new RandomShelfWorker(
            folder, name, name.equals("one") ? Properties.FONT_WEIGHT : Properties.FONT_WIDTH);
    for (int count = Integer.parseInt(arguments[2]); count > 0; count--) {
      worker.act();
    }
    Files.write(Path.of(arguments[3]), worker.lines());
  }

  /** A look as a line. */
  static String line(Kept.OfStyle look) {
    return String.join(
        "\t",
        look.id(),
        look.name(),
        look.style().properties().get(Properties.SIZE.key()).map(String::valueOf).orElse("-"),
        String.join(",", look.tags()));
  }

  private List<String> lines() {
    List<String> lines = new ArrayList<>();
    model.forEach((id, look) -> lines.add(look.map(RandomShelfWorker::line).orElse(id)));
    shared.forEach((id, value) -> lines.add(id + "\t" + property.id() + "\t" + value));
    return lines;
  }

  private void act() throws IOException {
    Shelf seen = folder.read();
    List<String> alive =
        model.entrySet().stream()
            .filter(each -> each.getValue().isPresent())
            .map(Map.Entry::getKey)
            .collect(Collectors.toList());
    List<String> dead = new ArrayList<>(model.keySet());
    dead.removeAll(alive);
    int die = random.nextInt(10);
    if (die == 0) {
      changeShared(seen);
    } else if (alive.size() < 2 || die < 3 && model.size() < MOST_LOOKS) {
      String id = name + "-" + model.size();
      Style style = Style.text(id, "Look " + id, "");
      does(
          seen,
          id,
          Change.of(seen, Action.Kind.PUT, new AddStyle(style, "new")),
          Optional.of(new Kept.OfStyle(style)));
    } else if (die == 3 && !dead.isEmpty()) {
      restore(seen, dead.get(random.nextInt(dead.size())));
    } else {
      change(seen, alive.get(random.nextInt(alive.size())), die);
    }
  }

  private void change(Shelf seen, String id, int die) throws IOException {
    Kept.OfStyle now = model.get(id).orElseThrow();
    Style style = now.style();
    switch (die) {
      case 4 ->
          does(
              seen,
              id,
              Change.of(
                  seen,
                  Action.Kind.DELETE,
                  new DeleteStyles(new LinkedHashSet<>(List.of(style.id())), Optional.empty())),
              Optional.empty());
      case 5 -> {
        TreeSet<String> tags = new TreeSet<>(List.of("t" + random.nextInt(5)));
        does(seen, id, Change.tag(seen, List.of(id), _ -> tags), Optional.of(now.withTags(tags)));
      }
      case 6 -> {
        Style named = style.withName("Name " + random.nextInt(1000));
        does(
            seen,
            id,
            Change.of(seen, Action.Kind.RENAME, new ChangeStyle(named)),
            Optional.of(now.withStyle(named)));
      }
      default -> {
        Style sized =
            style.withProperties(
                style.properties().with(Properties.SIZE, FontSize.points(1 + random.nextInt(500))));
        does(
            seen,
            id,
            Change.of(seen, Action.Kind.CHANGE, new ChangeStyle(sized)),
            Optional.of(now.withStyle(sized)));
      }
    }
  }

  /** Does it, and now and then takes it back at once. */
  private void does(Shelf seen, String id, Change change, Optional<Kept.OfStyle> after)
      throws IOException {
    boolean isNew = !model.containsKey(id);
    Optional<Kept.OfStyle> before = model.getOrDefault(id, Optional.empty());
    ShelfFolder.Done done = folder.apply(change, seen);
    model.put(id, after);
    if (done.action().isPresent() && random.nextInt(6) == 0) {
      folder.apply(Change.undo(done.shelf(), done.action().get()), done.shelf());
      model.put(id, isNew ? Optional.empty() : before);
    }
  }

  private void restore(Shelf seen, String id) throws IOException {
    var versions =
        seen.find(id).orElseThrow().versions().stream()
            .filter(version -> version.kept().isPresent())
            .toList();
    var wanted = versions.get(random.nextInt(versions.size()));
    folder.apply(Change.restore(seen, id, wanted.id()), seen);
    model.put(id, wanted.kept().map(Kept.OfStyle.class::cast));
  }

  private void changeShared(Shelf seen) throws IOException {
    String id = "shared-" + random.nextInt(SHARED);
    Style style = seen.asProject().styles().get(new StyleId(id));
    double value = 100 + random.nextInt(100);
    folder.apply(
        Change.of(
            seen,
            Action.Kind.CHANGE,
            new ChangeStyle(style.withProperties(style.properties().with(property, value)))),
        seen);
    shared.put(id, value);
  }
}
