package dynamorph.formats.journal;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.History;
import dynamorph.model.property.Properties;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.Style;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.pcollections.TreePVector;

class JournalTest {
  private static final Instant NOW = Instant.parse("2026-03-01T10:00:00Z");

  @TempDir Path folder;

  private Journals journals() {
    return new Journals(folder, InstantSource.fixed(NOW));
  }

  private static Moment moment(History history) {
    return new Moment(history, Optional.empty(), Optional.empty());
  }

  private static Edit edit(String label, UnaryOperator<Project> change) {
    return new Edit() {
      @Override
      public Project applyTo(Project before) {
        return change.apply(before);
      }

      @Override
      public String label(Project before) {
        return label;
      }
    };
  }

  private static Edit named(String name) {
    return edit("Name it " + name, project -> project.withName(name));
  }

  private Left only() {
    List<Left> left = journals().left();
    assertThat(left).hasSize(1);
    return left.getFirst();
  }

  private static List<String> labels(History history) {
    return Stream.concat(history.past().stream(), history.future().stream())
        .map(History.Step::label)
        .toList();
  }

  private static List<Project> states(History history) {
    List<Project> states = new ArrayList<>();
    history.past().forEach(step -> states.add(step.other()));
    Collections.reverse(states);
    states.add(history.present());
    history.future().forEach(step -> states.add(step.other()));
    return states;
  }

  private static void assertSame(History found, History noted) {
    assertThat(states(found)).isEqualTo(states(noted));
    assertThat(labels(found)).isEqualTo(labels(noted));
    assertThat(found.past()).hasSameSizeAs(noted.past());
    assertThat(found.isSaved()).isEqualTo(noted.isSaved());
  }

  /** Whatever is done, what is read is what was noted last, to both ends of the history. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4})
  void anyHistoryComesBack(int seed) throws IOException {
    Random random = new Random(seed);
    History history = History.opened(new RandomProjects(seed).project());
    History noted = history;
    try (Journal journal = journals().begin()) {
      for (int round = 0; round < 120; round++) {
        history = changed(history, random);
        if (random.nextInt(3) == 0 || round == 0) {
          journal.note(moment(history));
          noted = history;
        }
      }
      // so that something is unsaved
      noted = noted.apply(named("last"));
      journal.note(moment(noted));
    }
    assertSame(only().moment().history(), noted);
  }

  private static History changed(History history, Random random) {
    int pick = random.nextInt(100);
    return switch (random.nextInt(13)) {
      case 0, 1 -> history.undo();
      case 2 -> history.redo();
      case 3 -> history.savedAs(history.present());
      case 4 -> history.apply(edit("other", _ -> new RandomProjects(pick).project()));
      case 5 -> history.apply(named("n" + pick));
      case 6 -> history.apply(edit("rename", boards -> moved(boards, pick)), Optional.of("drag"));
      case 7 -> history.apply(edit("turn round", JournalTest::reversed));
      case 8 -> history.apply(edit("add a layer", project -> added(project, random)));
      case 9 -> history.apply(edit("remove layers", project -> thinned(project, random)));
      case 10 -> history.apply(edit("an asset", project -> withAsset(project, pick)));
      case 11 ->
          history.apply(
              edit(
                  "local",
                  project ->
                      project.mapLayers(layer ->
                          random.nextInt(4) == 0
                              ? layer.withLocal(
                                  layer.local().with(Properties.TRACKING, (double) pick))
                              : layer)));
      default ->
          history.apply(
              edit(
                  "style",
                  project -> {
                    Style style =
                        project.styles().list().get(pick % project.styles().list().size());
                    return project.withStyles(project.styles().with(style.withNote("n" + pick)));
                  }));
    };
  }

  private static Project moved(Project project, int by) {
    return project.mapArtboards(board -> board.withOrigin(board.x() + by, board.y()));
  }

  private static Project reversed(Project project) {
    List<Artboard> boards = new ArrayList<>(project.artboards());
    Collections.reverse(boards);
    return project.withArtboards(TreePVector.from(boards));
  }

  private static Project added(Project project, Random random) {
    Artboard board = project.artboards().get(random.nextInt(project.artboards().size()));
    if (random.nextInt(3) == 0) {
      return project.plus(
          Artboard.empty("n" + random.nextLong(), "New", 100, 100, LengthUnit.POINT));
    }
    Layer layer = Layer.of("n" + random.nextLong(), "New", "words");
    return project.mapArtboards(one -> one == board ? one.plus(layer) : one);
  }

  private static Project thinned(Project project, Random random) {
    return project.mapArtboards(board ->
        board.withLayers(board.layers().stream().filter(_ -> random.nextInt(5) > 0).toList()));
  }

  private static Project withAsset(Project project, int number) {
    List<Asset> assets = new ArrayList<>(project.assets());
    assets.removeIf(asset -> asset.name().equals("images/a" + number % 3));
    assets.add(new Asset("images/a" + number % 3, new byte[] {(byte) number, 1, 2}));
    return project.withAssets(assets);
  }

  /** States share what did not change, before and after. */
  @Test
  void whatDidNotChangeIsOneObjectAgain() throws IOException {
    Project project = new RandomProjects(3).project();
    Layer first = project.artboards().getFirst().layers().getFirst();
    History history =
        History.unsaved(project)
            .apply(
                edit(
                    "one",
                    before ->
                        before.mapLayers(layer ->
                            layer.id().equals(first.id()) ? layer.withName("other") : layer)));
    try (Journal journal = journals().begin()) {
      journal.note(moment(history));
    }
    List<Project> states = states(only().moment().history());
    List<Layer> before = states.get(0).layers().toList();
    List<Layer> after = states.get(1).layers().toList();
    assertThat(after.get(0)).isNotSameAs(before.get(0));
    assertThat(after.get(0).name()).isEqualTo("other");
    for (int index = 1; index < after.size(); index++) {
      assertThat(after.get(index)).isSameAs(before.get(index));
    }
    assertThat(states.get(1).styles()).isSameAs(states.get(0).styles());
  }

  /** A process may end in the midst of writing: all that was noted before is there. */
  @Test
  void ofALogThatIsCutAnywhereTheWholePartHolds() throws IOException {
    List<Long> ends = new ArrayList<>();
    List<History> noted = new ArrayList<>();
    Path log;
    try (Journal journal = journals().begin()) {
      History history = History.unsaved(Project.empty("zero"));
      for (int step = 1; step <= 6; step++) {
        history = history.apply(named("n" + step));
        journal.note(moment(history));
        noted.add(history);
        ends.add(journal.length());
      }
      log = journal.folder().resolve(Journal.LOG);
    }
    long length = Files.size(log);
    assertThat(length).isEqualTo(ends.getLast());
    for (long cut = length; cut >= ends.getFirst(); cut--) {
      try (RandomAccessFile file = new RandomAccessFile(log.toFile(), "rw")) {
        file.setLength(cut);
      }
      long end = cut;
      int whole = (int) ends.stream().filter(one -> one <= end).count();
      assertSame(only().moment().history(), noted.get(whole - 1));
    }
  }

  @Test
  void aChangedByteEndsWhatIsBelieved() throws IOException {
    Path log;
    long end;
    try (Journal journal = journals().begin()) {
      History history = History.unsaved(Project.empty("zero")).apply(named("one"));
      journal.note(moment(history));
      end = journal.length();
      journal.note(moment(history.apply(named("two"))));
      journal.note(moment(history.apply(named("two")).apply(named("three"))));
      log = journal.folder().resolve(Journal.LOG);
    }
    byte[] bytes = Files.readAllBytes(log);
    bytes[(int) end + 12] ^= 4;
    Files.write(log, bytes);
    assertThat(only().project().name()).isEqualTo("one");
  }

  @Test
  void aDraftAndTheFileComeBack() throws IOException {
    Project project = new RandomProjects(5).project();
    Style draft = project.styles().list().getFirst().withNote("on the desk");
    Path file = folder.resolve("a file.dmorph");
    try (Journal journal = journals().begin()) {
      journal.note(new Moment(History.opened(project), Optional.of(file), Optional.of(draft)));
    }
    assertThat(only().moment().draft()).contains(draft);
    assertThat(only().moment().file()).contains(file);
    assertThat(only().moment().history().isSaved()).isTrue();
    assertThat(only().time()).isEqualTo(NOW);
  }

  @Test
  void whatIsInAFileIsNotOffered() throws IOException {
    try (Journal journal = journals().begin()) {
      History history = History.opened(Project.empty("zero")).apply(named("one"));
      journal.note(moment(history));
      journal.note(moment(history.savedAs(history.present())));
    }
    assertThat(journals().left()).isEmpty();
    try (Stream<Path> files = Files.list(folder)) {
      assertThat(files.map(file -> file.getFileName().toString())).doesNotContain("log");
    }
  }

  @Test
  void whatAProcessHasOpenIsNotOffered() throws IOException {
    Journal journal = journals().begin();
    journal.note(moment(History.unsaved(Project.empty("zero")).apply(named("one"))));
    assertThat(journals().left()).isEmpty();
    journal.close();
    assertThat(only().project().name()).isEqualTo("one");
    journals().discard(only());
    assertThat(journals().left()).isEmpty();
  }

  @Test
  void workIsPutAsideForThirtyDays() throws IOException {
    try (Journal journal = journals().begin()) {
      journal.note(moment(History.unsaved(Project.empty("zero")).apply(named("one"))));
    }
    journals().putAside(only());
    assertThat(journals().left()).isEmpty();
    Left aside = journals().aside().getFirst();
    assertThat(aside.project().name()).isEqualTo("one");

    Instant later = NOW.plus(Duration.ofDays(30));
    new Journals(folder, InstantSource.fixed(later)).tidy();
    assertThat(journals().aside()).hasSize(1);
    new Journals(folder, InstantSource.fixed(later.plusSeconds(1))).tidy();
    assertThat(journals().aside()).isEmpty();
  }

  @Test
  void anAssetIsThereOnceAndGoesWhenNothingNeedsIt() throws IOException {
    byte[] bytes = "a large picture".getBytes(java.nio.charset.StandardCharsets.UTF_8);
    Project one = Project.empty("one").withAssets(List.of(new Asset("images/a", bytes)));
    Project two = Project.empty("two").withAssets(List.of(new Asset("images/b", bytes.clone())));
    for (Project project : List.of(one, two)) {
      try (Journal journal = journals().begin()) {
        journal.note(moment(History.unsaved(project).apply(named("n"))));
      }
    }
    assertThat(assets()).hasSize(1);
    assertThat(journals().left())
        .extracting(left -> left.project().assets().getFirst().bytes())
        .containsOnly(bytes);
    Files.setLastModifiedTime(assets().getFirst(), FileTime.from(NOW.minus(Duration.ofDays(2))));
    journals().discard(journals().left().getFirst());
    journals().tidy();
    assertThat(assets()).as("the other needs it").hasSize(1);
    journals().discard(journals().left().getFirst());
    journals().tidy();
    assertThat(assets()).isEmpty();
  }

  private List<Path> assets() throws IOException {
    try (Stream<Path> files = Files.list(folder.resolve("assets"))) {
      return files.toList();
    }
  }

  /** Thousands of steps do not fill the disk: the oldest are let go. */
  @Test
  void theLogStaysWithinItsRoom() throws IOException {
    long room = 8_000;
    Random random = new Random(1);
    Journals small = new Journals(folder, InstantSource.fixed(NOW), room);
    History history = History.unsaved(new RandomProjects(2).project());
    try (Journal journal = small.begin()) {
      for (int step = 0; step < 600; step++) {
        history = history.apply(named("n" + random.nextLong()));
        journal.note(moment(history));
        assertThat(journal.length()).isLessThan(3 * room);
      }
    }
    History found = only().moment().history();
    assertThat(found.present()).isEqualTo(history.present());
    assertThat(found.past()).hasSizeBetween(20, 599);
    assertThat(found.past().get(0).other()).isEqualTo(history.past().get(0).other());
  }

  /** However large a project is: it is offered, and known to have been worked on. */
  @Test
  void theLatestStepStaysWhereThereIsRoomForNone() throws IOException {
    History history = History.unsaved(new RandomProjects(2).project());
    try (Journal journal = new Journals(folder, InstantSource.fixed(NOW), 1).begin()) {
      for (int step = 0; step < 20; step++) {
        history = history.apply(named("n" + step));
        journal.note(moment(history));
      }
    }
    History found = only().moment().history();
    assertThat(found.present()).isEqualTo(history.present());
    assertThat(found.undo().present().name()).isEqualTo("n18");
    assertThat(only().isUnsaved()).isTrue();
  }

  /** Who undid what was saved and went on otherwise still knows what lies in the file. */
  @Test
  void whatLiesInTheFileIsKnownThoughItIsNoStepAnyMore() throws IOException {
    History history = History.opened(new RandomProjects(4).project()).apply(named("saved"));
    Project inFile = history.present();
    history = history.savedAs(inFile).undo().apply(named("other"));
    try (Journal journal = journals().begin()) {
      journal.note(moment(history));
    }
    assertThat(only().moment().history().saved()).contains(inFile);
    assertThat(only().moment().history().isSaved()).isFalse();
  }

  /** One may go back behind what the journal let go. */
  @Test
  void stepsThatWereLetGoAreWrittenAgainWhenTheyAreUndone() throws IOException {
    History history = History.unsaved(new RandomProjects(2).project());
    try (Journal journal = new Journals(folder, InstantSource.fixed(NOW), 4_000).begin()) {
      for (int step = 0; step < 200; step++) {
        history = history.apply(named("n" + step));
        journal.note(moment(history));
      }
      while (history.canUndo()) {
        history = history.undo();
      }
      history = history.redo();
      journal.note(moment(history));
    }
    History found = only().moment().history();
    assertThat(found.present().name()).isEqualTo("n0");
    assertThat(found.redo().present().name()).isEqualTo("n1");
  }

  @Test
  void foreignFilesHinderNobody() throws IOException {
    Files.createDirectories(folder.resolve("open-x"));
    Files.writeString(folder.resolve("open-x").resolve("log"), "no journal at all");
    Files.writeString(folder.resolve("open-file"), "a file");
    Files.createDirectories(folder.resolve("aside-y"));
    assertThat(journals().left()).isEmpty();
    assertThat(journals().aside()).isEmpty();
    assertThat(folder.resolve("aside-x").resolve("log")).exists();
    journals().tidy();
  }
}
