package dynamorph.model.reach;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.Population;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.SharedLook;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.text.Span;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What a change touches: exactly the layers that look different after it. */
public final class Reach {
  private Reach() {}

  /**
   * The layers of {@code after} whose words or look differ from {@code before}, and those that are
   * new, in order.
   */
  public static Set<LayerId> between(Project before, Project after) {
    Cascade cascadeBefore = Cascade.of(before);
    Cascade cascadeAfter = cascadeBefore.follow(after);
    Set<LayerId> touched = new LinkedHashSet<>();
    Map<ArtboardId, Artboard> known = new HashMap<>();
    before.artboards().forEach(board -> known.put(board.id(), board));
    Unchanged unchanged = new Unchanged(before, after, cascadeBefore, cascadeAfter);
    Map<LayerId, Layer> earlier = new HashMap<>();
    boolean sameBase = before.baseStyle().equals(after.baseStyle());
    boolean sameDress = cascadeBefore.dressesLike(cascadeAfter);
    for (Artboard board : after.artboards()) {
      Artboard was = known.get(board.id());
      if (sameBase
          && was != null
          && was.layers() == board.layers()
          && was.timeline().equals(board.timeline())
          && sameDress
          && was.baseStyle().equals(board.baseStyle())) {
        unchanged.collect(board, touched);
        continue;
      }
      if (earlier.isEmpty()) {
        before.layers().forEach(layer -> earlier.put(layer.id(), layer));
      }
      for (Layer layer : board.layers()) {
        Layer then = earlier.get(layer.id());
        boolean same =
            then != null
                && (then == layer && cascadeBefore == cascadeAfter
                    || then.story().text().equals(layer.story().text())
                        && looksAlike(then, cascadeBefore, layer, cascadeAfter));
        if (!same) {
          touched.add(layer.id());
        }
      }
    }
    addBoxes(before, after, cascadeBefore, cascadeAfter, touched);
    return touched;
  }

  /** A text that flows through several boxes changes in all of them; an empty one never does. */
  private static void addBoxes(
      Project before,
      Project after,
      Cascade cascadeBefore,
      Cascade cascadeAfter,
      Set<LayerId> touched) {
    LinkedBoxes was = LinkedBoxes.of(before);
    for (List<LayerId> chain : LinkedBoxes.of(after).chains()) {
      LayerId first = chain.getFirst();
      boolean text = touched.contains(first) || !was.chain(first).equals(chain);
      for (LayerId box : chain) {
        text |= !isSamePlace(before.layer(box), cascadeBefore, after.layer(box), cascadeAfter);
        if (text) {
          touched.add(box);
        } else {
          touched.remove(box);
        }
      }
    }
  }

  private static boolean isSamePlace(
      Optional<Layer> one, Cascade before, Optional<Layer> other, Cascade after) {
    if (one.isEmpty() || other.isEmpty()) {
      return false;
    }
    ResolvedLayer was = before.resolve(one.get());
    ResolvedLayer is = after.resolve(other.get());
    return was.placement().equals(is.placement()) && was.plate().equals(is.plate());
  }

  /** Whether a look changed; some of it is only seen in texts with tabs. */
  private enum Difference {
    NONE,
    OF_TABS,
    SEEN;

    static Difference of(SharedLook one, SharedLook other) {
      if (one.plate().equals(other.plate()) && one.paragraphs().equals(other.paragraphs())) {
        return NONE;
      }
      if (!one.plate().equals(other.plate()) || !alike(one, other, false)) {
        return SEEN;
      }
      return alike(one, other, true) ? NONE : OF_TABS;
    }

    private static boolean alike(SharedLook one, SharedLook other, boolean tabs) {
      return seen(one.paragraphs(), tabs).equals(seen(other.paragraphs(), tabs));
    }

    boolean isSeenIn(Layer layer) {
      return this == SEEN || this == OF_TABS && layer.story().text().indexOf('\t') >= 0;
    }
  }

  /** Artboards whose layers are as they were, so that only styles can have changed their looks. */
  private static final class Unchanged {
    private final Cascade before;
    private final Cascade after;
    private final boolean placed;
    private final @Nullable Population population;
    private Difference @Nullable [] differs;

    Unchanged(Project before, Project after, Cascade cascadeBefore, Cascade cascadeAfter) {
      this.before = cascadeBefore;
      this.after = cascadeAfter;
      this.placed = cascadeBefore.stylesPlace() || cascadeAfter.stylesPlace();
      this.population = cascadeBefore == cascadeAfter ? null : Population.of(after);
    }

    /** Each combination of sources is resolved once under either cascade. */
    private Difference[] differs() {
      Difference[] known = differs;
      if (known == null) {
        Population looks = requireNonNull(population);
        List<SharedLook> one = looks.resolve(before);
        List<SharedLook> other = looks.resolve(after);
        known = new Difference[one.size()];
        for (int index = 0; index < known.length; index++) {
          known[index] = Difference.of(one.get(index), other.get(index));
        }
        differs = known;
      }
      return known;
    }

    void collect(Artboard board, Set<LayerId> touched) {
      if (before == after) {
        return;
      }
      int[] combinations = requireNonNull(population).on(board);
      int index = 0;
      for (Layer layer : board.layers()) {
        boolean moved = placed && !before.placement(layer).equals(after.placement(layer));
        boolean shape = layer.shape().isPresent();
        boolean different = differs()[combinations[index++]].isSeenIn(layer);
        if (shape
            ? isAnother(before.resolve(layer), after.resolve(layer), false)
            : different || moved) {
          touched.add(layer.id());
        }
      }
    }
  }

  private static boolean isAnother(ResolvedLayer one, ResolvedLayer other, boolean tabs) {
    return !one.placement().equals(other.placement())
        || !one.plate().equals(other.plate())
        || !one.form().equals(other.form())
        || !seen(one.paragraphs(), tabs).equals(seen(other.paragraphs(), tabs));
  }

  private static List<ResolvedLayer.ResolvedParagraph> seen(
      List<ResolvedLayer.ResolvedParagraph> paragraphs, boolean tabs) {
    return paragraphs.stream()
        .map(one -> new ResolvedLayer.ResolvedParagraph(one.look().asSeen(tabs), one.spans()))
        .toList();
  }

  /** Whether every letter looks the same, however the words are cut into spans. */
  private static boolean looksAlike(
      Layer plainOne, Cascade before, Layer plainOther, Cascade after) {
    Layer one = before.dressed(plainOne);
    Layer other = after.dressed(plainOther);
    ResolvedLayer oneLook = before.resolve(plainOne);
    ResolvedLayer otherLook = after.resolve(plainOther);
    boolean tabs = one.story().text().indexOf('\t') >= 0;
    boolean alike = oneLook.equals(otherLook) || !isAnother(oneLook, otherLook, tabs);
    return alike && sameLengths(one, other)
        || oneLook.placement().equals(otherLook.placement())
            && oneLook.plate().equals(otherLook.plate())
            && stretches(one, oneLook, tabs).equals(stretches(other, otherLook, tabs));
  }

  private static boolean sameLengths(Layer one, Layer other) {
    return one.story() == other.story() || lengths(one).equals(lengths(other));
  }

  private static List<List<Integer>> lengths(Layer layer) {
    return layer.story().paragraphs().stream()
        .map(paragraph -> paragraph.spans().stream().map(Span::length).toList())
        .toList();
  }

  /** The longest stretch of one look. */
  private record Stretch(ParagraphLook paragraph, CharacterLook look, int length) {}

  private static List<List<Stretch>> stretches(Layer layer, ResolvedLayer look, boolean tabs) {
    List<List<Stretch>> paragraphs = new ArrayList<>();
    for (int index = 0; index < look.paragraphs().size(); index++) {
      ResolvedLayer.ResolvedParagraph paragraph = look.paragraphs().get(index);
      List<Span> spans = layer.story().paragraphs().get(index).spans();
      List<Stretch> stretches = new ArrayList<>();
      for (int span = 0; span < spans.size(); span++) {
        CharacterLook own = paragraph.spans().get(span);
        boolean goesOn = !stretches.isEmpty() && stretches.getLast().look().equals(own);
        int before = goesOn ? stretches.removeLast().length() : 0;
        stretches.add(
            new Stretch(paragraph.look().asSeen(tabs), own, before + spans.get(span).length()));
      }
      paragraphs.add(stretches);
    }
    return paragraphs;
  }
}
