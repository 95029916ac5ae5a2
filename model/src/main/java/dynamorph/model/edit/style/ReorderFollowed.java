package dynamorph.model.edit.style;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Tidy;
import dynamorph.model.message.Messages;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Moves a text style within the stack that layers follow; the last counts first.
 *
 * @param by how many places nearer, or farther if negative
 */
public record ReorderFollowed(Set<LayerId> layers, StyleId style, int by) implements Edit {
  public ReorderFollowed {
    layers = Set.copyOf(layers);
  }

  @Override
  public Project applyTo(Project before) {
    Project changed =
        before.mapLayers(
            layers,
            layer -> {
              List<StyleId> follows = new ArrayList<>(layer.follows());
              int at = follows.indexOf(style);
              int to = Math.clamp(at + by, 0, Math.max(0, follows.size() - 1));
              if (at < 0 || to == at) {
                return layer;
              }
              follows.remove(at);
              follows.add(to, style);
              return layer.withFollows(follows);
            });
    return changed == before ? before : Tidy.layers(changed, layers);
  }

  @Override
  public String label(Project before) {
    String name = before.styles().find(style).map(Style::name).orElse("style");
    return Messages.of(by > 0 ? "reorder-followed.raise" : "reorder-followed.lower", name);
  }
}
