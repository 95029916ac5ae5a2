package dynamorph.model.reach;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.text.Span;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

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
    Map<LayerId, Layer> known =
        before.layers().collect(Collectors.toMap(Layer::id, Function.identity()));
    Set<LayerId> touched = new LinkedHashSet<>();
    after
        .layers()
        .forEach(layer -> {
          Layer earlier = known.get(layer.id());
          boolean same =
              earlier != null
                  && (earlier == layer && cascadeBefore == cascadeAfter
                      || earlier.story().text().equals(layer.story().text())
                          && looksAlike(
                              earlier,
                              cascadeBefore.resolve(earlier),
                              layer,
                              cascadeAfter.resolve(layer)));
          if (!same) {
            touched.add(layer.id());
          }
        });
    return touched;
  }

  /** Whether every letter looks the same, however the words are cut into spans. */
  private static boolean looksAlike(
      Layer one, ResolvedLayer oneLook, Layer other, ResolvedLayer otherLook) {
    return oneLook.equals(otherLook) && sameLengths(one, other)
        || oneLook.placement().equals(otherLook.placement())
            && oneLook.plate().equals(otherLook.plate())
            && stretches(one, oneLook).equals(stretches(other, otherLook));
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

  private static List<List<Stretch>> stretches(Layer layer, ResolvedLayer look) {
    List<List<Stretch>> paragraphs = new ArrayList<>();
    for (int index = 0; index < look.paragraphs().size(); index++) {
      ResolvedLayer.ResolvedParagraph paragraph = look.paragraphs().get(index);
      List<Span> spans = layer.story().paragraphs().get(index).spans();
      List<Stretch> stretches = new ArrayList<>();
      for (int span = 0; span < spans.size(); span++) {
        CharacterLook own = paragraph.spans().get(span);
        boolean goesOn = !stretches.isEmpty() && stretches.getLast().look().equals(own);
        int before = goesOn ? stretches.removeLast().length() : 0;
        stretches.add(new Stretch(paragraph.look(), own, before + spans.get(span).length()));
      }
      paragraphs.add(stretches);
    }
    return paragraphs;
  }
}
