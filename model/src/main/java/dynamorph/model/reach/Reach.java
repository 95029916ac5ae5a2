package dynamorph.model.reach;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.TextLayer;
import dynamorph.model.cascade.Cascade;
import java.util.LinkedHashSet;
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
    Map<LayerId, TextLayer> known =
        before.layers().collect(Collectors.toMap(TextLayer::id, Function.identity()));
    Set<LayerId> touched = new LinkedHashSet<>();
    after
        .layers()
        .forEach(layer -> {
          TextLayer earlier = known.get(layer.id());
          boolean same =
              earlier != null
                  && (earlier == layer && cascadeBefore == cascadeAfter
                      || earlier.story().text().equals(layer.story().text())
                          && cascadeBefore.resolve(earlier).equals(cascadeAfter.resolve(layer)));
          if (!same) {
            touched.add(layer.id());
          }
        });
    return touched;
  }
}
