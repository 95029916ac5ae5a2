package dynamorph.model.reach;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.pcollections.PVector;

/**
 * Who follows which style, counted once for a whole project. What is known of an artboard is used
 * again as long as its layers stay, so that after an edit only the changed artboards are counted.
 */
public final class Followers {
  /** The following of one layer. */
  public record Follower(Layer layer, int localChanges) {}

  /**
   * How many layers a style has an effect on.
   *
   * @param direct those that follow it themselves
   * @param all those that follow it or one based on it, and all plain text for a base style
   * @param deviating those of the direct ones that have local changes
   */
  public record Count(int direct, int all, int deviating) {
    static final Count NONE = new Count(0, 0, 0);
  }

  private final Project project;
  private final Map<PVector<Layer>, Board> boards;
  private final Map<StyleId, Count> counts;

  private Followers(Project project, Map<PVector<Layer>, Board> known) {
    this.project = project;
    this.boards = new IdentityHashMap<>();
    List<Board> there =
        project.artboards().parallelStream()
            .map(artboard -> {
              Board board = known.get(artboard.layers());
              return board == null ? new Board(artboard.layers()) : board;
            })
            .toList();
    for (int index = 0; index < there.size(); index++) {
      boards.put(project.artboards().get(index).layers(), there.get(index));
    }
    this.counts = counted();
  }

  public static Followers of(Project project) {
    return new Followers(project, Map.of());
  }

  /** The same for a project that came out of this one. */
  public Followers follow(Project changed) {
    return changed == project ? this : new Followers(changed, boards);
  }

  /** The layers of one artboard by what they follow. */
  private static final class Board {
    private final List<Follower> all;
    private final Map<StyleId, BitSet> direct = new HashMap<>();
    private final Map<Set<StyleId>, int[]> groups = new HashMap<>();

    /** Layers that follow the same: who they are, how many, how many of them deviate. */
    private record Group(List<BitSet> direct, int[] counts) {}

    Board(PVector<Layer> layers) {
      all = new ArrayList<>(layers.size());
      Map<List<StyleId>, Group> known = new HashMap<>();
      for (Layer layer : layers) {
        int local = LocalChanges.count(layer);
        Group group =
            !layer.story().followsInside()
                ? known.computeIfAbsent(layer.follows(), follows -> group(Set.copyOf(follows)))
                : group(followed(layer));
        for (BitSet followers : group.direct) {
          followers.set(all.size());
        }
        group.counts[0]++;
        group.counts[1] += local > 0 ? 1 : 0;
        all.add(new Follower(layer, local));
      }
    }

    private Group group(Set<StyleId> followed) {
      List<BitSet> sets = new ArrayList<>(followed.size());
      for (StyleId id : followed) {
        sets.add(direct.computeIfAbsent(id, _ -> new BitSet()));
      }
      return new Group(sets, groups.computeIfAbsent(followed, _ -> new int[2]));
    }
  }

  /** Layers that follow the same over the same plain text count together, wherever they stand. */
  private record Kind(Set<StyleId> followed, Optional<StyleId> base) {}

  private Map<StyleId, Count> counted() {
    Map<Kind, int[]> kinds = new HashMap<>();
    for (Artboard artboard : project.artboards()) {
      Optional<StyleId> base = project.baseOf(artboard);
      boards
          .get(artboard.layers())
          .groups
          .forEach((followed, group) -> {
            int[] sum = kinds.computeIfAbsent(new Kind(followed, base), _ -> new int[2]);
            sum[0] += group[0];
            sum[1] += group[1];
          });
    }
    Map<StyleId, int[]> sums = new HashMap<>();
    kinds.forEach((kind, group) -> {
      Set<StyleId> reached = new HashSet<>();
      kind.followed.forEach(id -> addChain(reached, id));
      kind.base.ifPresent(id -> addChain(reached, id));
      reached.forEach(id -> sums.computeIfAbsent(id, _ -> new int[3])[1] += group[0]);
      for (StyleId id : kind.followed) {
        int[] sum = sums.computeIfAbsent(id, _ -> new int[3]);
        sum[0] += group[0];
        sum[2] += group[1];
      }
    });
    Map<StyleId, Count> counted = new HashMap<>();
    sums.forEach((id, sum) -> counted.put(id, new Count(sum[0], sum[1], sum[2])));
    return counted;
  }

  private void addChain(Set<StyleId> reached, StyleId id) {
    project.styles().chain(id).forEach(style -> reached.add(style.id()));
  }

  /** The styles that anything in the layer follows itself. */
  public static Set<StyleId> followed(Layer layer) {
    Set<StyleId> followed = new HashSet<>(layer.follows());
    for (Paragraph paragraph : layer.story().paragraphs()) {
      paragraph.follows().ifPresent(followed::add);
      for (Span span : paragraph.spans()) {
        followed.addAll(span.follows());
      }
    }
    return followed;
  }

  /** How many layers the style has an effect on. */
  public Count count(StyleId style) {
    return counts.getOrDefault(style, Count.NONE);
  }

  /** The layers that follow the style itself, in project order. */
  public List<Follower> direct(StyleId style) {
    return collected(Set.of(style), false);
  }

  /**
   * The layers that follow the style or one based on it, in project order; all plain text for a
   * base style.
   */
  public List<Follower> of(StyleId style) {
    return collected(project.styles().family(style), true);
  }

  private List<Follower> collected(Set<StyleId> family, boolean plainText) {
    List<Follower> found = new ArrayList<>();
    for (Artboard artboard : project.artboards()) {
      Board board = boards.get(artboard.layers());
      if (plainText && project.baseOf(artboard).filter(family::contains).isPresent()) {
        found.addAll(board.all);
      } else {
        BitSet following = new BitSet();
        for (StyleId id : family) {
          BitSet direct = board.direct.get(id);
          if (direct != null) {
            following.or(direct);
          }
        }
        following.stream().mapToObj(board.all::get).forEach(found::add);
      }
    }
    return found;
  }

  /** The styles that nothing follows and nothing is based on. */
  public List<Style> unused() {
    Set<StyleId> bases = new HashSet<>();
    project.styles().stream().flatMap(style -> style.basedOn().stream()).forEach(bases::add);
    return project.styles().stream()
        .filter(style -> count(style.id()).all() == 0 && !bases.contains(style.id()))
        .filter(style -> !isBase(style.id()))
        .toList();
  }

  private boolean isBase(StyleId id) {
    return project.baseStyle().filter(id::equals).isPresent()
        || project.artboards().stream()
            .anyMatch(board -> board.baseStyle().filter(id::equals).isPresent());
  }
}
