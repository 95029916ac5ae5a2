package dynamorph.model.edit.style;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Address;
import dynamorph.model.property.CoatProperties;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Lets layers follow a style that is nothing but a finish, over what they follow, and in place of
 * the finish they had: coats that come from elsewhere are taken away by local changes, and local
 * changes of the old finish go. The style is put into the project if it is not there.
 *
 * @param replaced which styles among those followed give way to it
 */
public record ApplyFinish(List<LayerId> layers, Style style, Predicate<StyleId> replaced)
    implements Edit {
  public ApplyFinish {
    layers = List.copyOf(layers);
  }

  @Override
  public Project applyTo(Project before) {
    Project with =
        before.styles().find(style.id()).isPresent()
            ? before
            : before.withStyles(before.styles().with(style));
    Style worn = with.styles().get(style.id());
    Project following =
        with.mapLayers(
            Set.copyOf(layers),
            layer -> {
              List<StyleId> kept =
                  new java.util.ArrayList<>(
                      layer.follows().stream().filter(replaced.negate()).toList());
              kept.add(worn.id());
              return layer
                  .withFollows(kept)
                  .withLocal(layer.local().where(key -> key.property().facet() != Facet.FINISH));
            });
    Cascade cascade = Cascade.of(following);
    return following.mapLayers(Set.copyOf(layers), layer -> without(cascade, layer, worn));
  }

  /** The layer without coats and effects that the style does not have. */
  private static Layer without(Cascade cascade, Layer layer, Style worn) {
    PropertySet values = cascade.values(layer);
    PropertySet own = worn.properties();
    PropertySet local = layer.local();
    for (String host : List.of(Address.FINISH, Address.PLATE)) {
      for (Address coat : Coats.of(values, host)) {
        if (own.get(Properties.COAT_KIND.at(coat)).isEmpty()) {
          local = local.with(Properties.COAT_REMOVED.at(coat), true);
        } else {
          local = withoutEffects(local, values, own, coat);
        }
      }
      Address whole = Address.whole(host);
      local = withoutEffects(local, values, own, whole);
      for (Property<?> property : CoatProperties.OF_ALL_COATS) {
        local = usual(local, values, own, property.at(whole));
      }
    }
    return layer.withLocal(withOwn(local, values, own));
  }

  /** What coats have together goes as well, if the style says nothing of it. */
  private static <T> PropertySet usual(
      PropertySet local, PropertySet values, PropertySet own, PropertyKey<T> key) {
    T usual = key.property().defaultValue();
    return own.has(key) || Coats.value(values, key).equals(usual) ? local : local.with(key, usual);
  }

  /** What lies below may have taken away or hidden a coat of the same name. */
  private static PropertySet withOwn(PropertySet local, PropertySet values, PropertySet own) {
    PropertySet changed = local;
    for (PropertyKey<?> key : own.keys()) {
      if (key.isKind()) {
        boolean coat = key.property().equals(Properties.COAT_KIND);
        changed =
            put(changed, values, coat ? Properties.COAT_REMOVED : Properties.EFFECT_REMOVED, key);
        changed = put(changed, values, coat ? Properties.COAT_SHOWN : Properties.EFFECT_SHOWN, key);
      }
    }
    return changed;
  }

  private static PropertySet put(
      PropertySet local, PropertySet values, Property<Boolean> property, PropertyKey<?> kind) {
    PropertyKey<Boolean> key = property.at(kind.address());
    boolean usual = property.defaultValue();
    return Coats.value(values, key) == usual ? local : local.with(key, usual);
  }

  private static PropertySet withoutEffects(
      PropertySet local, PropertySet values, PropertySet own, Address coat) {
    PropertySet changed = local;
    for (Address effect : Coats.effects(values, coat)) {
      if (own.get(Properties.EFFECT_KIND.at(effect)).isEmpty()) {
        changed = changed.with(Properties.EFFECT_REMOVED.at(effect), true);
      }
    }
    return changed;
  }

  @Override
  public String label(Project before) {
    return Messages.of("apply-finish.apply", style.name());
  }
}
