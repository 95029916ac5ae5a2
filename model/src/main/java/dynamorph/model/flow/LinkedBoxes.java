package dynamorph.model.flow;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.pcollections.PVector;

/**
 * The boxes that texts flow through, on one artboard or several. The first box of a text holds its
 * words and what they follow; each of the others says which box it {@linkplain Layer#continues
 * continues} and has no words of its own, but its own place and plate.
 *
 * <p>A link does not count if it leads nowhere, back to itself, or to a box that an earlier layer
 * continues already, if either end is a shape or a title, or if the box that says it has words of
 * its own: such a box is a text like any other, and nothing of it is lost.
 */
public final class LinkedBoxes {
  /** Every text stands in one box. */
  public static final LinkedBoxes NONE = new LinkedBoxes(List.of());

  private record Known(PVector<Artboard> artboards, LinkedBoxes boxes) {}

  // asked for many times of the same project, mostly the one that is open
  private static volatile @Nullable Known last;

  private final List<List<LayerId>> chains;
  private final Map<LayerId, List<LayerId>> byBox = new HashMap<>();

  private LinkedBoxes(List<List<LayerId>> chains) {
    this.chains = List.copyOf(chains);
    for (List<LayerId> chain : chains) {
      chain.forEach(box -> byBox.put(box, chain));
    }
  }

  public static LinkedBoxes of(Project project) {
    List<Layer> continuing =
        project.artboards().stream().flatMap(board -> board.continuing().stream()).toList();
    if (continuing.isEmpty()) {
      return NONE;
    }
    @Nullable Known known = last;
    if (known == null || known.artboards != project.artboards()) {
      known = new Known(project.artboards(), new LinkedBoxes(chains(project, continuing)));
      last = known;
    }
    return known.boxes;
  }

  private static List<List<LayerId>> chains(Project project, List<Layer> continuing) {
    Map<LayerId, Layer> texts =
        project
            .layers()
            .filter(layer -> layer.isText() && layer.timing().isEmpty())
            .collect(Collectors.toMap(Layer::id, Function.identity(), (one, _) -> one));
    Map<LayerId, LayerId> behind = new LinkedHashMap<>();
    for (Layer box : continuing) {
      LayerId before = box.continues().orElseThrow();
      boolean counts =
          texts.containsKey(box.id())
              && texts.containsKey(before)
              && box.story().length() == 0
              && !before.equals(box.id());
      if (counts) {
        behind.putIfAbsent(before, box.id());
      }
    }
    Set<LayerId> later = Set.copyOf(behind.values());
    List<List<LayerId>> chains = new ArrayList<>();
    for (LayerId first : behind.keySet()) {
      // boxes that only lead back to each other have no first one
      if (!later.contains(first)) {
        List<LayerId> chain = new ArrayList<>();
        for (LayerId box = first; box != null; box = behind.get(box)) {
          chain.add(box);
        }
        chains.add(List.copyOf(chain));
      }
    }
    return chains;
  }

  public boolean isEmpty() {
    return chains.isEmpty();
  }

  /** The boxes of each text that has several, in the order that it flows through them. */
  public List<List<LayerId>> chains() {
    return chains;
  }

  /** All boxes of the text that shows in a box, that one among them. */
  public List<LayerId> chain(LayerId box) {
    return byBox.getOrDefault(box, List.of(box));
  }

  /** The box that holds the words that show in a box: itself unless it continues another. */
  public LayerId first(LayerId box) {
    return chain(box).getFirst();
  }

  /** Whether the words that show in a box are held by another. */
  public boolean continues(LayerId box) {
    return !first(box).equals(box);
  }

  /**
   * A copy of a box, which goes on with the copy of the nearest box before it that was copied too,
   * or with none.
   *
   * @param copy of a box of these, still with the link of the box
   * @param copies what was made of each box
   */
  public Layer relinked(Layer copy, Map<LayerId, LayerId> copies) {
    Optional<LayerId> before = copy.continues();
    while (before.isPresent() && !copies.containsKey(before.get())) {
      before = before(before.get());
    }
    return copy.withContinues(before.map(copies::get));
  }

  /** The box that goes on with what finds no room in a box. */
  public Optional<LayerId> behind(LayerId box) {
    List<LayerId> chain = chain(box);
    int next = chain.indexOf(box) + 1;
    return next < chain.size() ? Optional.of(chain.get(next)) : Optional.empty();
  }

  /** The box that a box goes on with. */
  public Optional<LayerId> before(LayerId box) {
    List<LayerId> chain = chain(box);
    int before = chain.indexOf(box) - 1;
    return before < 0 ? Optional.empty() : Optional.of(chain.get(before));
  }
}
