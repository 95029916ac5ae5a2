package dynamorph.model.random;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What tests compare when they say that nothing looks different. */
public final class LooksOf {
  private LooksOf() {}

  /** How every layer looks, word by word, however its spans are cut. */
  public static Map<LayerId, List<Object>> looks(Project project) {
    Cascade cascade = Cascade.of(project);
    return project
        .layers()
        .collect(
            Collectors.toMap(
                Layer::id, layer -> look(cascade.dressed(layer), cascade.resolve(layer))));
  }

  private static List<Object> look(Layer layer, ResolvedLayer resolved) {
    List<Object> look = new ArrayList<>();
    look.add(resolved.placement());
    look.add(resolved.plate().coats().isEmpty() ? "no plate" : resolved.plate());
    for (int p = 0; p < resolved.paragraphs().size(); p++) {
      ResolvedLayer.ResolvedParagraph paragraph = resolved.paragraphs().get(p);
      // the gap of a list that is none, or where tabs would stop in text without any, is not seen
      boolean tabs = layer.story().paragraphs().get(p).text().indexOf('\t') >= 0;
      look.add(paragraph.look().asSeen(tabs));
      for (int s = 0; s < paragraph.spans().size(); s++) {
        int length = layer.story().paragraphs().get(p).spans().get(s).length();
        for (int unit = 0; unit < Math.max(1, length); unit++) {
          look.add(paragraph.spans().get(s));
        }
      }
      look.add("paragraph ends");
    }
    return look;
  }
}
