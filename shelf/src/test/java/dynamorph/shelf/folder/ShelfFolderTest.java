package dynamorph.shelf.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Looks;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.follow.PutOnShelf;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ShelfFolderTest {
  @TempDir Path folder;

  private final SplittableRandom random = new SplittableRandom(7);

  /** Puts the museum's looks there. */
  private Shelf filled(ShelfFolder shelf) throws IOException {
    Project museum = Looks.museum();
    List<StyleId> all = museum.styles().stream().map(Style::id).toList();
    Shelf before = shelf.read();
    return shelf.apply(PutOnShelf.of(museum, before, all, random).change(), before).shelf();
  }

  private static Change renamed(Shelf shelf, String name, String changed) {
    Kept.OfStyle kept = shelf.named(name).orElseThrow();
    return Change.of(shelf, Action.Kind.RENAME, new ChangeStyle(kept.style().withName(changed)));
  }

  private static List<String> names(Shelf shelf) {
    return shelf.styles().stream().map(Kept::name).toList();
  }

  @Test
  void whatIsPutThereIsThereForTheNextOne() throws IOException {
    filled(Looks.folder(folder, "Dessa"));
    Shelf read = Looks.folder(folder, "Nour").read();
    assertThat(names(read)).containsExactly("Panel body", "Panel heading", "Note");
    assertThat(read.swatches()).singleElement().extracting(Kept::name).isEqualTo("Museum orange");
    Style heading = read.named("Panel heading").orElseThrow().style();
    assertThat(heading.basedOn()).contains(read.named("panel body").orElseThrow().style().id());
    assertThat(read.asProject().palette().find(read.swatches().getFirst().id())).isPresent();
    assertThat(read.problems()).isEmpty();
    assertThat(read.actions()).singleElement().extracting(Action::author).isEqualTo("Dessa");
  }

  @Test
  void twoThatDoNotSeeEachOtherLoseNothing() throws IOException {
    ShelfFolder one = Looks.folder(folder, "Dessa");
    ShelfFolder other = Looks.folder(folder, "Nour");
    Shelf seen = filled(one);
    Shelf alsoSeen = other.read();
    one.apply(renamed(seen, "Note", "Small note"), seen);
    Kept.OfStyle note = alsoSeen.named("Note").orElseThrow();
    other.apply(
        Change.tag(
            alsoSeen,
            List.of(note.id()),
            tags -> {
              tags.add("labels");
              return tags;
            }),
        alsoSeen);
    Shelf both = one.read();
    assertThat(both.named("Small note").orElseThrow().tags()).containsExactly("labels");
    assertThat(other.read().entries()).isEqualTo(both.entries());
    assertThat(both.find(note.id()).orElseThrow().head().conflicts()).isEmpty();
  }

  @Test
  void aFileThatSomebodyOverwroteComesBack() throws IOException {
    ShelfFolder shelf = Looks.folder(folder, "Dessa");
    Shelf seen = filled(shelf);
    String id = seen.named("Note").orElseThrow().id();
    Path file = folder.resolve("styles/" + id + ".json");
    byte[] old = Files.readAllBytes(file);
    shelf.apply(renamed(seen, "Note", "Small note"), seen);
    Files.write(file, old);
    ShelfFolder next = Looks.folder(folder, "Nour");
    assertThat(names(next.read())).contains("Small note").doesNotContain("Note");
    next.apply(renamed(next.read(), "Panel body", "Body"), next.read());
    assertThat(file).content().as("and is written again").contains("Small note");
  }

  @Test
  void anActionThatWasBrokenOffIsWhole() throws IOException {
    ShelfFolder shelf = Looks.folder(folder, "Dessa");
    filled(shelf);
    // as after a crash between the action and the files of its entries
    try (Stream<Path> files = Files.list(folder.resolve("styles"))) {
      for (Path file : files.toList()) {
        Files.delete(file);
      }
    }
    assertThat(names(Looks.folder(folder, "Nour").read())).hasSize(3);
  }

  @Test
  void whatIsDoneIsUndoneAfterARestartAndLaterChangesStay() throws IOException {
    ShelfFolder shelf = Looks.folder(folder, "Dessa");
    Shelf seen = filled(shelf);
    Set<StyleId> all =
        new LinkedHashSet<>(seen.styles().stream().map(one -> one.style().id()).toList());
    Shelf gone =
        shelf
            .apply(
                Change.of(
                    seen,
                    Action.Kind.DELETE,
                    new DeleteStyles(new LinkedHashSet<>(all), Optional.empty())),
                seen)
            .shelf();
    assertThat(gone.styles()).isEmpty();
    ShelfFolder restarted = Looks.folder(folder, "Dessa");
    Shelf back =
        restarted
            .apply(
                Change.undo(restarted.read(), restarted.read().actions().getLast()),
                restarted.read())
            .shelf();
    assertThat(back.asProject()).isEqualTo(seen.asProject());
    Shelf renamed = restarted.apply(renamed(back, "Note", "Small note"), back).shelf();
    Action rename = renamed.actions().getLast();
    Kept.OfStyle note = renamed.named("Small note").orElseThrow();
    Shelf noted =
        restarted
            .apply(
                Change.of(
                    renamed,
                    Action.Kind.CHANGE,
                    new ChangeStyle(note.style().withNote("for the small ones"))),
                renamed)
            .shelf();
    Shelf undone = restarted.apply(Change.undo(noted, rename), noted).shelf();
    assertThat(undone.named("Note").orElseThrow().style().note()).isEqualTo("for the small ones");
    Shelf redone = restarted.apply(Change.undo(undone, undone.actions().getLast()), undone).shelf();
    assertThat(names(redone)).contains("Small note");
  }

  @Test
  void whatCameWithAnActionGoesWithIt() throws IOException {
    ShelfFolder shelf = Looks.folder(folder, "Dessa");
    Shelf seen = filled(shelf);
    Shelf empty = shelf.apply(Change.undo(seen, seen.actions().getLast()), seen).shelf();
    assertThat(empty.styles()).isEmpty();
    assertThat(empty.swatches()).isEmpty();
    Shelf again = shelf.apply(Change.undo(empty, empty.actions().getLast()), empty).shelf();
    assertThat(again.asProject()).isEqualTo(seen.asProject());
  }

  @Test
  void whatIsWrittenByHandIsAVersion() throws IOException {
    ShelfFolder shelf = Looks.folder(folder, "Dessa");
    Shelf seen = filled(shelf);
    String id = seen.named("Panel body").orElseThrow().id();
    Path file = folder.resolve("styles/" + id + ".json");
    Files.writeString(file, Files.readString(file).replaceFirst("10 pt", "11 pt"));
    Shelf read = shelf.read();
    assertThat(read.find(id).orElseThrow().versions()).hasSize(2);
    shelf.apply(renamed(read, "Panel body", "Body"), read);
    Shelf after = Looks.folder(folder, "Nour").read();
    assertThat(after.named("Body").orElseThrow().style().properties())
        .isEqualTo(read.named("Panel body").orElseThrow().style().properties())
        .isNotEqualTo(seen.named("Panel body").orElseThrow().style().properties());
    assertThat(after.find(id).orElseThrow().versions()).hasSize(3);
  }

  @Test
  void aDamagedFileIsToldAndTheOthersAreThere() throws IOException {
    ShelfFolder shelf = Looks.folder(folder, "Dessa");
    Shelf seen = filled(shelf);
    String id = seen.named("Note").orElseThrow().id();
    Files.writeString(folder.resolve("styles/" + id + ".json"), "{ \"format\": ");
    Files.writeString(folder.resolve("styles/other.json"), "[]");
    Shelf read = Looks.folder(folder, "Nour").read();
    // the note itself is known from the action
    assertThat(names(read)).containsExactly("Panel body", "Panel heading", "Note");
    assertThat(read.problems()).hasSize(2).anySatisfy(one -> assertThat(one).contains(id));
    ShelfFolder next = Looks.folder(folder, "Nour");
    next.apply(renamed(next.read(), "Panel body", "Body"), next.read());
    assertThat(folder.resolve("styles/" + id + ".json.damaged"))
        .as("not written over")
        .hasContent("{ \"format\": ");
    assertThat(Looks.folder(folder, "Nour").read().problems())
        .singleElement()
        .asString()
        .contains("other.json");
    Files.writeString(folder.resolve("shelf.json"), "{}");
    assertThatThrownBy(() -> Looks.folder(folder, "Nour").read())
        .isInstanceOf(IOException.class)
        .hasMessageContaining("shelf.json");
  }

  @Test
  void aCopyMadeByASynchronisingProgramIsTheSameStyle() throws IOException {
    ShelfFolder shelf = Looks.folder(folder, "Dessa");
    Shelf seen = filled(shelf);
    String id = seen.named("Note").orElseThrow().id();
    Path file = folder.resolve("styles/" + id + ".json");
    Files.copy(file, folder.resolve("styles/" + id + " (copy of Nour).json"));
    shelf.apply(renamed(seen, "Note", "Small note"), seen);
    assertThat(names(Looks.folder(folder, "Nour").read()))
        .containsExactly("Panel body", "Panel heading", "Small note");
  }

  @Test
  void aFolderThatCannotBeWrittenIsReadAndSaysSo() throws IOException {
    filled(Looks.folder(folder, "Dessa"));
    assumeThat(System.getProperty("user.name")).isNotEqualTo("root");
    assertThat(folder.toFile().setWritable(false)).isTrue();
    ShelfFolder shelf = Looks.folder(folder, "Nour");
    assertThat(shelf.isWritable()).isFalse();
    assertThat(shelf.read().styles()).hasSize(3);
  }

  @Test
  void oldActionsAndWhatWasDeletedLongAgoAreForgotten() throws IOException {
    ShelfFolder shelf = Looks.folder(folder, "Dessa");
    Shelf seen = filled(shelf);
    Kept.OfStyle note = seen.named("Note").orElseThrow();
    shelf.apply(
        Change.of(
            seen,
            Action.Kind.DELETE,
            new DeleteStyles(new LinkedHashSet<>(List.of(note.style().id())), Optional.empty())),
        seen);
    ShelfFolder later =
        new ShelfFolder(
            folder,
            "Dessa",
            () -> Looks.START.plus(ShelfFolder.KEPT).plusSeconds(1_000_000),
            random);
    Shelf read = later.read();
    assertThat(read.actions()).hasSize(2);
    Shelf after = later.apply(renamed(read, "Panel body", "Body"), read).shelf();
    assertThat(after.actions()).hasSize(1);
    assertThat(after.find(note.id())).isEmpty();
    assertThat(names(after)).containsExactly("Body", "Panel heading");
  }

  /** Images of one name are not one image. */
  @Test
  void eachLookBringsItsOwnImage() throws IOException {
    ShelfFolder files = Looks.folder(folder, "Dessa");
    for (int number = 1; number <= 2; number++) {
      Style grain =
          Style.text("grain", "Grain " + number, "")
              .withProperties(
                  Style.text("x", "x", "")
                      .properties()
                      .withText(Properties.key("finish/fill/tile-image"), "grain.png"));
      Project project =
          Project.empty("P")
              .withStyles(StyleBook.of(List.of(grain)))
              .withAssets(List.of(new Asset("images/grain.png", new byte[] {(byte) number})));
      Shelf seen = files.read();
      files.apply(PutOnShelf.of(project, seen, List.of(grain.id()), random).change(), seen);
    }
    Shelf shelf = files.read();
    for (int number = 1; number <= 2; number++) {
      String id = shelf.named("Grain " + number).orElseThrow().id();
      assertThat(shelf.bundle(List.of(id)).assets())
          .containsExactly(new Asset("images/grain.png", new byte[] {(byte) number}));
    }
    Shelf renamed = files.apply(renamed(shelf, "Grain 1", "Sand"), shelf).shelf();
    assertThat(renamed.bundle(List.of(renamed.named("Sand").orElseThrow().id())).assets())
        .containsExactly(new Asset("images/grain.png", new byte[] {1}));
  }

  /** Two processes at once, and one that is killed at any moment. */
  @Test
  void processesThatAreKilledLeaveNothingHalf() throws Exception {
    filled(Looks.folder(folder, "Dessa"));
    for (int round = 0; round < Integer.getInteger("dynamorph.shelf-kills", 3); round++) {
      Process one = worker("one" + round, 1000);
      Process other = worker("two" + round, 30);
      Thread.sleep(700 + random.nextInt(500));
      one.destroyForcibly().waitFor();
      assertThat(other.waitFor(60, TimeUnit.SECONDS)).isTrue();
      Shelf shelf = Looks.folder(folder, "Dessa").read();
      assertThat(shelf.problems()).isEmpty();
      String now = "two" + round;
      assertThat(names(shelf).stream().filter(name -> name.startsWith(now + "-")))
          .as("all thirty, each once")
          .hasSize(30);
      // each action of the worker puts two: none is there without the other
      Set<String> pairs = new TreeSet<>();
      for (String name : names(shelf)) {
        if (name.endsWith("-a") || name.endsWith("-b")) {
          String stem = name.substring(0, name.length() - 2);
          if (!pairs.remove(stem)) {
            pairs.add(stem);
          }
        }
      }
      assertThat(pairs).as("halves").isEmpty();
    }
  }

  /**
   * Two processes do random things at once, each with a model of what must be there. Many more than
   * here with {@code -Ddynamorph.shelf-actions}.
   */
  @Test
  void processesThatWorkAtOnceLoseNothingAndDoubleNothing() throws Exception {
    ShelfFolder first = Looks.folder(folder, "Dessa");
    Shelf shelf = first.read();
    for (int index = 0; index < RandomShelfWorker.SHARED; index++) {
      Style style = Style.text("shared-" + index, "Shared " + index, "");
      shelf =
          first
              .apply(
                  Change.of(
                      shelf,
                      Action.Kind.PUT,
                      new dynamorph.model.edit.style.AddStyle(style, "new")),
                  shelf)
              .shelf();
    }
    int actions = Integer.getInteger("dynamorph.shelf-actions", 40);
    List<Process> processes = new ArrayList<>();
    for (String name : List.of("one", "two")) {
      processes.add(worker(RandomShelfWorker.class, name, actions, expected(name).toString()));
    }
    for (Process process : processes) {
      assertThat(process.waitFor(60 + actions, TimeUnit.SECONDS)).isTrue();
      assertThat(process.exitValue()).isZero();
    }
    Shelf after = Looks.folder(folder, "Dessa").read();
    assertThat(after.problems()).isEmpty();
    Set<String> there = new TreeSet<>();
    after.styles().forEach(look -> there.add(look.id()));
    for (String name : List.of("one", "two")) {
      for (String line : java.nio.file.Files.readAllLines(expected(name))) {
        String[] parts = line.split("\t", -1);
        var look = after.kept(parts[0]).map(dynamorph.shelf.entry.Kept.OfStyle.class::cast);
        if (parts[0].startsWith("shared-")) {
          assertThat(look.orElseThrow().style().properties().toString())
              .as(line)
              .contains(parts[1] + "=" + parts[2]);
        } else {
          assertThat(look.map(RandomShelfWorker::line).orElse(parts[0])).isEqualTo(line);
          there.remove(parts[0]);
        }
      }
    }
    assertThat(there).as("nothing that nobody made").hasSize(RandomShelfWorker.SHARED);
  }

  private Path expected(String name) {
    return folder.resolveSibling(folder.getFileName() + "-" + name + ".txt");
  }

  private Process worker(String name, int count) throws IOException {
    return worker(ShelfWorker.class, name, count, "");
  }

  private Process worker(Class<?> main, String name, int count, String output) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(
        List.of(
            "-XX:TieredStopAtLevel=1",
            "-cp",
            System.getProperty("java.class.path"),
            main.getName(),
            folder.toString(),
            name,
            String.valueOf(count),
            output));
    return new ProcessBuilder(command).inheritIO().start();
  }
}
