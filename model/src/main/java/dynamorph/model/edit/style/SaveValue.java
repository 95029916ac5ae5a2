package dynamorph.model.edit.style;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.Tidy;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.HashSet;
import java.util.Set;

/**
 * Gives a style one value and takes the local changes of it away from a target, so that the value
 * comes from there.
 *
 * @param value as it comes to where it was taken from
 */
public record SaveValue<T>(Target target, StyleId style, PropertyKey<T> key, T value)
    implements Edit {
  @Override
  public Project applyTo(Project before) {
    Style into =
        before
            .styles()
            .find(style)
            .orElseThrow(() -> new EditRefused(Messages.of("common.the-style-is-no-longer-in")));
    if (!into.level().carries(key.property())) {
      throw new EditRefused(
          Messages.of("save-value.a-style-cannot-carry", into.level().label(), key.label()));
    }
    Project changed =
        before.withStyles(
            before.styles().with(into.withProperties(into.properties().with(key, value))));
    Project dropped = DropLocal.of(target, Set.of(key)).applyTo(changed);
    Set<LayerId> touched = new HashSet<>(target.layers());
    Followers.of(dropped).of(style).stream()
        .map(Followers.Follower::layer)
        .map(Layer::id)
        .forEach(touched::add);
    return Tidy.layers(dropped, touched);
  }

  @Override
  public String label(Project before) {
    return Messages.of(
        "save-value.save-into",
        key.label().toLowerCase(java.util.Locale.ROOT),
        before.styles().find(style).map(Style::name).orElse("style"));
  }
}
