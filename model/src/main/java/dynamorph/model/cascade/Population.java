package dynamorph.model.cascade;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.Timeline;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.pcollections.PVector;

/**
 * The layers of a project by the combinations of sources that their looks come from. It says
 * nothing about the looks themselves, so an edit of a style leaves it as it is: a hundred thousand
 * texts are resolved again by resolving each combination once.
 */
public final class Population {
  /**
   * The layers of one artboard.
   *
   * @param combinations for each layer the number of its combination
   */
  private record Board(Optional<StyleId> base, Optional<Timeline> timeline, int[] combinations) {}

  private final Project project;
  private final Map<PVector<Layer>, Board> boards;
  private final Map<Object, Integer> numbers;
  private final List<Layer> samples;

  private Population(
      Project project,
      Map<PVector<Layer>, Board> known,
      Map<Object, Integer> numbers,
      List<Layer> samples) {
    this.project = project;
    this.numbers = numbers;
    this.samples = samples;
    this.boards = new IdentityHashMap<>();
    Cascade cascade = Cascade.of(project);
    for (Artboard artboard : project.artboards()) {
      Optional<StyleId> base = project.baseOf(artboard);
      Board board = known.get(artboard.layers());
      boolean same =
          board != null
              && board.base().equals(base)
              && board.timeline().equals(artboard.timeline());
      boards.put(
          artboard.layers(),
          same
              ? board
              : new Board(base, artboard.timeline(), combinations(cascade, artboard.layers())));
    }
  }

  public static Population of(Project project) {
    return new Population(project, Map.of(), new HashMap<>(), new ArrayList<>());
  }

  /** The same for a project that came out of this one; only artboards that changed are counted. */
  public Population follow(Project changed) {
    if (changed == project) {
      return this;
    }
    boolean same = Cascade.of(project).dressesLike(Cascade.of(changed));
    return same
        ? new Population(changed, boards, new HashMap<>(numbers), new ArrayList<>(samples))
        : of(changed);
  }

  private int[] combinations(Cascade cascade, PVector<Layer> layers) {
    int[] combinations = new int[layers.size()];
    int index = 0;
    for (Layer layer : layers) {
      combinations[index++] =
          numbers.computeIfAbsent(
              cascade.sources(layer),
              _ -> {
                samples.add(layer);
                return samples.size() - 1;
              });
    }
    return combinations;
  }

  /** How many combinations there are. */
  public int size() {
    return samples.size();
  }

  /** The number of the combination of each layer on an artboard of the project, in paint order. */
  public int[] on(Artboard artboard) {
    return requireNonNull(boards.get(artboard.layers())).combinations().clone();
  }

  /**
   * What each combination gives under a cascade of the project, by number: everything about a layer
   * but where it stands.
   */
  public List<SharedLook> resolve(Cascade cascade) {
    return samples.parallelStream().map(cascade::shared).toList();
  }
}
