package dynamorph.shelf.projects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.FontSize;
import dynamorph.shelf.Looks;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.folder.ShelfFolder;
import dynamorph.shelf.follow.PutOnShelf;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.pcollections.TreePVector;

class UpdatePlanTest {
  private static final StyleId BODY = new StyleId("body");

  @TempDir Path folder;

  private final SplittableRandom random = new SplittableRandom(3);
  private ShelfFolder files;
  private Project museum;

  /** A panel with two texts in the body style; the shelf has the style. */
  @BeforeEach
  void museumOnTheShelf() throws IOException {
    files = Looks.folder(folder.resolve("shelf"), "Dessa");
    Project looks = Looks.museum();
    Project panel =
        looks.withArtboards(
            TreePVector.singleton(
                Artboard.empty("panel", "Panel", 400, 300, LengthUnit.POINT)
                    .withLayers(
                        TreePVector.from(
                            List.of(
                                Layer.of("one", "One", "The clock had stopped")
                                    .withFollows(List.of(BODY)),
                                Layer.of("two", "Two", "and nobody asked")
                                    .withFollows(List.of(BODY)))))));
    museum = put(panel);
  }

  private Project put(Project project) throws IOException {
    Shelf seen = files.read();
    PutOnShelf put = PutOnShelf.of(project, seen, List.of(BODY), random);
    return put.linked(files.apply(put.change(), seen).shelf()).applyTo(project);
  }

  private static Project sized(Project project, double points) {
    return project.withStyles(
        project
            .styles()
            .map(
                BODY,
                style ->
                    style.withProperties(
                        style.properties().with(Properties.SIZE, FontSize.points(points)))));
  }

  private List<Path> written(int count) throws IOException {
    List<Path> written = new ArrayList<>();
    for (int index = 0; index < count; index++) {
      Path file = folder.resolve("project-" + index + ".dmorph");
      ProjectFile.write(museum, file);
      written.add(file);
    }
    return written;
  }

  private List<UpdatePlan> plans(List<Path> all) throws IOException {
    return UpdatePlan.of(all, files.read(), _ -> true, _ -> {}, () -> true);
  }

  @Test
  void manyProjectsAreUpdatedAndBroughtBackByteForByte() throws IOException {
    List<Path> all = written(12);
    List<byte[]> before = new ArrayList<>();
    for (Path file : all) {
      before.add(Files.readAllBytes(file));
    }
    put(sized(museum, 14));
    List<UpdatePlan> plans = plans(all);
    assertThat(plans)
        .allSatisfy(plan -> {
          assertThat(plan.name()).isEqualTo("Museum");
          assertThat(plan.result().orElseThrow().texts()).hasSize(2);
          assertThat(plan.result().orElseThrow().conflicts()).isZero();
        });
    assertThat(Files.readAllBytes(all.getFirst())).as("looked at").isEqualTo(before.getFirst());
    AtomicInteger told = new AtomicInteger();
    UpdateReport report =
        UpdateReport.write(
            plans, folder.resolve("updates"), Looks.START, _ -> told.incrementAndGet(), () -> true);
    assertThat(told).hasValue(12);
    assertThat(size(all.getLast())).isEqualTo(FontSize.points(14));
    assertThat(plans(all)).allSatisfy(plan -> assertThat(plan.result()).isEmpty());
    UpdateReport again = UpdateReport.all(folder.resolve("updates")).getFirst();
    assertThat(again).isEqualTo(report);
    for (Path file : all) {
      again = again.undo(file);
    }
    for (int index = 0; index < all.size(); index++) {
      assertThat(Files.readAllBytes(all.get(index))).isEqualTo(before.get(index));
    }
    assertThat(again.items())
        .extracting(UpdateReport.Item::outcome)
        .containsOnly(UpdateReport.Outcome.UNDONE);
  }

  private static FontSize size(Path file) throws IOException {
    Style body = ProjectFile.read(file).styles().get(BODY);
    return body.properties().get(Properties.SIZE.key()).orElseThrow();
  }

  @Test
  void earlierFilesAreKeptForNinetyDays() throws IOException {
    Path reports = folder.resolve("updates");
    List<Path> all = written(1);
    put(sized(museum, 14));
    UpdateReport.write(plans(all), reports, Looks.START, _ -> {}, () -> true);
    put(sized(museum, 15));
    Instant later = Looks.START.plus(ShelfFolder.KEPT);
    UpdateReport.write(plans(all), reports, later, _ -> {}, () -> true);
    assertThat(UpdateReport.all(reports)).as("to the day").hasSize(2);
    put(sized(museum, 16));
    UpdateReport.write(plans(all), reports, later.plusSeconds(1), _ -> {}, () -> true);
    assertThat(UpdateReport.all(reports))
        .extracting(UpdateReport::time)
        .containsExactly(later.plusSeconds(1), later);
  }

  @Test
  void whatWasChangedMeanwhileIsNotWrittenOver() throws IOException {
    List<Path> all = written(2);
    put(sized(museum, 14));
    List<UpdatePlan> plans = plans(all);
    ProjectFile.write(museum.withName("Going on"), all.getFirst());
    UpdateReport report =
        UpdateReport.write(plans, folder.resolve("updates"), Looks.START, _ -> {}, () -> true);
    assertThat(report.items())
        .extracting(UpdateReport.Item::outcome)
        .containsExactly(UpdateReport.Outcome.FAILED, UpdateReport.Outcome.UPDATED);
    assertThat(ProjectFile.read(all.getFirst()).name()).isEqualTo("Going on");
    // and after the update, bringing back would lose what was done since
    Project going = ProjectFile.read(all.getLast()).withName("Going on");
    ProjectFile.write(going, all.getLast());
    assertThatThrownBy(() -> report.undo(all.getLast()))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("changed since");
    assertThat(ProjectFile.read(all.getLast())).isEqualTo(going);
  }

  @Test
  void aFileThatCannotBeReadHindersNoOther() throws IOException {
    List<Path> all = new ArrayList<>(written(1));
    Path damaged = folder.resolve("damaged.dmorph");
    Files.writeString(damaged, "no project");
    all.addFirst(damaged);
    all.add(folder.resolve("none.dmorph"));
    put(sized(museum, 14));
    List<UpdatePlan> plans = plans(all);
    assertThat(plans).extracting(UpdatePlan::isReadable).containsExactly(false, true, false);
    assertThat(plans.getFirst().trouble()).contains("damaged.dmorph");
    UpdateReport report =
        UpdateReport.write(plans, folder.resolve("updates"), Looks.START, _ -> {}, () -> true);
    assertThat(report.items()).hasSize(1);
  }

  @Test
  void itEndsWhenNobodyWantsItAnyMore() throws IOException {
    List<Path> all = written(5);
    put(sized(museum, 14));
    AtomicInteger looked = new AtomicInteger();
    List<UpdatePlan> some =
        UpdatePlan.of(
            all, files.read(), _ -> true, _ -> looked.incrementAndGet(), () -> looked.get() < 2);
    assertThat(some).hasSize(2);
  }

  @Test
  void itIsKnownWhichProjectsHaveWhat() throws IOException {
    List<Path> all = written(2);
    ProjectIndex index = new ProjectIndex(folder.resolve("known/projects.json"));
    for (Path file : all) {
      index.remember(ProjectUse.of(file, ProjectFile.read(file), Looks.START));
    }
    String shelf = files.read().id();
    String body = files.read().named("Panel body").orElseThrow().id();
    assertThat(index.using(shelf, body))
        .hasSize(2)
        .allSatisfy(use -> assertThat(use.of(shelf, body).orElseThrow().texts()).isEqualTo(2));
    assertThat(index.using("another")).isEmpty();
    Path moved = folder.resolve("moved.dmorph");
    Files.move(all.getFirst(), moved);
    assertThat(index.using(shelf).stream().filter(ProjectUse::isThere)).hasSize(1);
    index.moved(all.getFirst(), ProjectUse.of(moved, ProjectFile.read(moved), Looks.START));
    assertThat(index.using(shelf)).allMatch(ProjectUse::isThere).hasSize(2);
    index.remember(ProjectUse.of(moved, Project.empty("Nothing"), Looks.START));
    assertThat(index.using(shelf)).as("one that has nothing is not listed").hasSize(1);
    Files.writeString(folder.resolve("known/projects.json"), "{");
    assertThat(index.all()).as("damaged").isEmpty();
  }
}
