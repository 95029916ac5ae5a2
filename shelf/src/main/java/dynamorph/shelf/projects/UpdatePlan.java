package dynamorph.shelf.projects;

import dynamorph.formats.file.FileState;
import dynamorph.formats.project.ProjectFile;
import dynamorph.formats.project.ProjectReadException;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.reach.Reach;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.reach.Examination;
import dynamorph.paint.reach.Problem;
import dynamorph.paint.reach.ReachedText;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.follow.TakeUpdates;
import dynamorph.shelf.follow.Update;
import dynamorph.shelf.follow.Updates;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What an update from a shelf would do to a project in a file; nothing is written yet.
 *
 * @param name of the project; of the file if it cannot be read
 * @param state of the file when it was read
 * @param result what it would be; empty if it cannot be read, or has nothing to update
 * @param trouble why it cannot be read; empty if it can
 */
public record UpdatePlan(
    Path file, String name, Optional<FileState> state, Optional<Result> result, String trouble) {
  /**
   * A project before and after.
   *
   * @param updates what is taken
   * @param texts that look otherwise afterwards
   * @param problems that come with it, the worst first
   */
  public record Result(
      Project before,
      Project after,
      List<Update> updates,
      Set<LayerId> texts,
      List<Trouble> problems) {
    public Result {
      updates = List.copyOf(updates);
      texts = Set.copyOf(texts);
      problems = List.copyOf(problems);
    }

    /** Values that both the project and the shelf changed; those of the project stay. */
    public long conflicts() {
      return updates.stream()
          .flatMap(update -> update.differences().stream())
          .filter(Update.Difference::isConflict)
          .count();
    }
  }

  /** A text that would have a problem that it has not now. */
  public record Trouble(LayerId text, String artboard, String name, String problem) {}

  public boolean isReadable() {
    return trouble.isEmpty();
  }

  /**
   * Looks at projects one after the other.
   *
   * @param wanted which of the updates are taken
   * @param each is told of a project once it was looked at
   * @param isWanted asked between projects; once false, what is known so far is returned
   */
  public static List<UpdatePlan> of(
      List<Path> files,
      Shelf shelf,
      Predicate<Update> wanted,
      Consumer<UpdatePlan> each,
      BooleanSupplier isWanted) {
    List<UpdatePlan> plans = new ArrayList<>();
    for (Path file : files) {
      if (!isWanted.getAsBoolean()) {
        break;
      }
      UpdatePlan plan = of(file, shelf, wanted);
      plans.add(plan);
      each.accept(plan);
    }
    return plans;
  }

  private static UpdatePlan of(Path file, Shelf shelf, Predicate<Update> wanted) {
    Optional<FileState> state = FileState.of(file);
    try {
      Project before = ProjectFile.read(file);
      List<Update> updates = Updates.newer(before, shelf).stream().filter(wanted).toList();
      return new UpdatePlan(
          file,
          before.name(),
          state,
          updates.isEmpty() ? Optional.empty() : Optional.of(result(before, shelf, updates)),
          "");
    } catch (ProjectReadException unreadable) {
      return new UpdatePlan(
          file,
          String.valueOf(file.getFileName()),
          state,
          Optional.empty(),
          String.valueOf(unreadable.getMessage()));
    }
  }

  private static Result result(Project before, Shelf shelf, List<Update> updates) {
    Project after = TakeUpdates.of(shelf, updates, false).applyTo(before);
    Set<LayerId> texts = Reach.between(before, after);
    return new Result(
        before,
        after,
        updates,
        texts,
        texts.isEmpty() ? List.of() : problems(before, after, texts));
  }

  private static List<Trouble> problems(Project before, Project after, Set<LayerId> texts) {
    try (FontLibrary fonts = FontLibrary.forProject(after.assets())) {
      SceneMaker maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
      Scene scene = maker.make(before);
      Examination examination =
          new Examination(
              Optional.of(scene), maker.make(after, scene), maker.painter(), MediaSource.NONE);
      return texts.stream()
          .flatMap(id -> examination.glance(id).stream())
          .map(examination::look)
          .filter(text -> text.problems().stream().anyMatch(Problem::isNew))
          .sorted(ReachedText.MOST_URGENT)
          .flatMap(UpdatePlan::troubles)
          .toList();
    }
  }

  private static Stream<Trouble> troubles(ReachedText text) {
    return text.problems().stream()
        .filter(Problem::isNew)
        .map(problem ->
            new Trouble(
                text.id(),
                text.after().board().artboard().name(),
                text.after().text().layer().name(),
                problem.kind().label() + ", " + problem.detail()));
  }
}
