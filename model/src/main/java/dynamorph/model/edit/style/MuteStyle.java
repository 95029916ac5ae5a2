package dynamorph.model.edit.style;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.HashSet;
import java.util.Set;

/** Lets a followed style count for nothing in some layers for a while, or count again. */
public record MuteStyle(Set<LayerId> layers, StyleId style, boolean muted) implements Edit {
  public MuteStyle {
    layers = Set.copyOf(layers);
  }

  @Override
  public Project applyTo(Project before) {
    return before.mapLayers(
        layers,
        layer -> {
          Set<StyleId> changed = new HashSet<>(layer.muted());
          boolean takes =
              Followers.followed(layer).contains(style) || before.taken(layer).contains(style);
          boolean differs = muted ? takes && changed.add(style) : changed.remove(style);
          return differs ? layer.withMuted(changed) : layer;
        });
  }

  @Override
  public String label(Project before) {
    String name = before.styles().find(style).map(Style::name).orElse("style");
    return Messages.of(muted ? "mute-style.mute" : "mute-style.unmute", name);
  }
}
