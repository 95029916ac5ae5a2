package dynamorph.model.reach;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleReferences;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
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
   * @param all those that follow it, one based on it or one that nests it, and all plain text for a
   *     base style
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
              return board == null || !board.timeline.equals(artboard.timeline())
                  ? new Board(artboard)
                  : board;
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

  /**
   * Layers of one artboard that follow the same.
   *
   * @param key the one style, or the set of all; one style is by far the most frequent, and the
   *     plainer key
   */
  private record Group(Object key, Set<StyleId> followed, Sum sum) {
    static Group of(Set<StyleId> followed) {
      Object key = followed.size() == 1 ? followed.iterator().next() : followed;
      return new Group(key, followed, new Sum());
    }
  }

  /** How many layers, and how many of them deviate. */
  private static final class Sum {
    private int layers;
    private int deviating;

    void add(int more, int moreDeviating) {
      layers += more;
      deviating += moreDeviating;
    }
  }

  /** The layers of one artboard by what they follow. */
  private static final class Board {
    private final List<Layer> layers;
    private final Optional<Timeline> timeline;
    private final Map<TrackId, Track.Captions> tracks = new HashMap<>();
    private final int[] local;
    private final int[] groupOf;
    private final List<Group> groups = new ArrayList<>();

    Board(Artboard artboard) {
      // the further boxes of a text follow what the text does, which is counted once
      this.layers =
          artboard.continuing().isEmpty()
              ? artboard.layers()
              : artboard.layers().stream().filter(layer -> !layer.isFurtherBox()).toList();
      this.timeline = artboard.timeline();
      timeline.ifPresent(line ->
          line.captions()
              .filter(track -> !track.follows().isEmpty() || !track.speakers().isEmpty())
              .forEach(track -> tracks.put(track.id(), track)));
      this.local = new int[layers.size()];
      this.groupOf = new int[layers.size()];
      Map<Object, Integer> known = new HashMap<>();
      int index = 0;
      for (Layer layer : layers) {
        local[index] = LocalChanges.count(layer);
        groupOf[index] = group(layer, local[index] > 0, known);
        groups.get(groupOf[index]).sum.add(1, local[index] > 0 ? 1 : 0);
        index++;
      }
    }

    private int group(Layer layer, boolean deviates, Map<Object, Integer> known) {
      boolean one =
          layer.follows().size() == 1
              && !layer.story().followsInside()
              && (!deviates || nestedByHand(layer).isEmpty())
              && (tracks.isEmpty() || layer.timing().isEmpty());
      Object key = one ? layer.follows().getFirst() : takenBy(layer);
      Integer group = known.get(key);
      if (group == null) {
        groups.add(Group.of(one ? Set.of(layer.follows().getFirst()) : takenBy(layer)));
        group = groups.size() - 1;
        known.put(key, group);
      }
      return group;
    }

    /** What a layer follows or nests by itself, and for a cue what its track does. */
    private Set<StyleId> takenBy(Layer layer) {
      Set<StyleId> taken = followed(layer);
      taken.addAll(nestedByHand(layer));
      layer
          .timing()
          .filter(timing -> tracks.containsKey(timing.track()))
          .ifPresent(timing ->
              taken.addAll(requireNonNull(tracks.get(timing.track())).taken(timing.speaker())));
      return taken;
    }

    void collect(Predicate<Set<StyleId>> wanted, List<Follower> found) {
      boolean[] collected = new boolean[groups.size()];
      for (int group = 0; group < collected.length; group++) {
        collected[group] = wanted.test(groups.get(group).followed);
      }
      for (int index = 0; index < local.length; index++) {
        if (collected[groupOf[index]]) {
          found.add(new Follower(layers.get(index), local[index]));
        }
      }
    }
  }

  private Map<StyleId, Count> counted() {
    Map<Optional<StyleId>, Map<Object, Group>> byBase = new HashMap<>();
    for (Artboard artboard : project.artboards()) {
      Map<Object, Group> kinds =
          byBase.computeIfAbsent(project.baseOf(artboard), _ -> new HashMap<>());
      for (Group group : requireNonNull(boards.get(artboard.layers())).groups) {
        kinds
            .computeIfAbsent(group.key, _ -> Group.of(group.followed))
            .sum
            .add(group.sum.layers, group.sum.deviating);
      }
    }
    Map<StyleId, int[]> sums = new HashMap<>();
    byBase.forEach((base, kinds) -> kinds.values().forEach(kind -> addTo(sums, base, kind)));
    Map<StyleId, Count> counted = new HashMap<>();
    sums.forEach((id, sum) -> counted.put(id, new Count(sum[0], sum[1], sum[2])));
    return counted;
  }

  private void addTo(Map<StyleId, int[]> sums, Optional<StyleId> base, Group kind) {
    Set<StyleId> reached = new HashSet<>();
    kind.followed.forEach(id -> addChain(reached, id));
    base.ifPresent(id -> addChain(reached, id));
    for (StyleId id : List.copyOf(reached)) {
      nestedIn(id).forEach(nested -> addChain(reached, nested));
    }
    reached.forEach(id -> sums.computeIfAbsent(id, _ -> new int[3])[1] += kind.sum.layers);
    for (StyleId id : kind.followed) {
      int[] sum = sums.computeIfAbsent(id, _ -> new int[3]);
      sum[0] += kind.sum.layers;
      sum[2] += kind.sum.deviating;
    }
  }

  private Set<StyleId> nestedIn(StyleId id) {
    return project
        .styles()
        .find(id)
        .map(style -> StyleReferences.nestedIn(style.properties()))
        .orElse(Set.of());
  }

  private void addChain(Set<StyleId> reached, StyleId id) {
    project.styles().chain(id).forEach(style -> reached.add(style.id()));
  }

  /** The styles of rules that are set on the text or on one of its paragraphs. */
  private static Set<StyleId> nestedByHand(Layer layer) {
    Set<StyleId> nested = new HashSet<>(StyleReferences.nestedIn(layer.local()));
    layer
        .story()
        .paragraphs()
        .forEach(paragraph -> nested.addAll(StyleReferences.nestedIn(paragraph.local())));
    return nested;
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
   * The layers that follow the style, one based on it, or one that nests any of them, in project
   * order; all plain text for a base style.
   */
  public List<Follower> of(StyleId style) {
    Set<StyleId> family = new HashSet<>(project.styles().family(style));
    project.styles().stream()
        .filter(nesting ->
            !Collections.disjoint(StyleReferences.nestedIn(nesting.properties()), family))
        .map(nesting -> project.styles().family(nesting.id()))
        .toList()
        .forEach(family::addAll);
    return collected(family, true);
  }

  private List<Follower> collected(Set<StyleId> family, boolean plainText) {
    List<Follower> found = new ArrayList<>();
    for (Artboard artboard : project.artboards()) {
      boolean all = plainText && project.baseOf(artboard).filter(family::contains).isPresent();
      requireNonNull(boards.get(artboard.layers()))
          .collect(followed -> all || !Collections.disjoint(followed, family), found);
    }
    return found;
  }

  /** The styles that nothing follows, nothing is based on and nothing nests. */
  public List<Style> unused() {
    Set<StyleId> bases = new HashSet<>();
    for (Style style : project.styles().list()) {
      style.basedOn().ifPresent(bases::add);
      bases.addAll(StyleReferences.in(style.properties()));
    }
    return project.styles().stream()
        .filter(style -> count(style.id()).all() == 0 && !bases.contains(style.id()))
        .filter(style -> !isBase(style.id()))
        .filter(style -> !isOfTrack(style.id()))
        .toList();
  }

  /** A track may follow a style before it has any cue. */
  private boolean isOfTrack(StyleId id) {
    return project
        .films()
        .flatMap(film -> film.timeline().orElseThrow().captions())
        .anyMatch(track -> track.follows().contains(id) || track.speakers().containsValue(id));
  }

  private boolean isBase(StyleId id) {
    return project.baseStyle().filter(id::equals).isPresent()
        || project.artboards().stream()
            .anyMatch(board -> board.baseStyle().filter(id::equals).isPresent());
  }
}
