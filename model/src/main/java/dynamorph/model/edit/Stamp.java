package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * Copies the values of a style once, as local changes. What the target follows stays; local changes
 * of what the style sets give way.
 *
 * @param manner what is left alone; whether it goes on top says nothing here
 */
public record Stamp(Target target, StyleId style, Manner manner) implements Edit {
  public static Stamp of(Target target, StyleId style) {
    return new Stamp(target, style, Manner.PLAIN);
  }

  @Override
  public Project applyTo(Project before) {
    Set<PropertyKey<?>> set = new HashSet<>();
    before.styles().chain(style).forEach(link -> set.addAll(link.properties().keys()));
    set.removeIf(manner::leavesAlone);
    Project cleared = DropLocal.of(target, set).applyTo(before);
    if (!manner.keepsAllLocal()) {
      EnumSet<Facet> gone = EnumSet.allOf(Facet.class);
      gone.removeAll(manner.keepsLocal());
      cleared = DropLocal.in(target, gone).applyTo(cleared);
    }
    Project base = cleared;
    Project wearing = Follow.onTop(target, style).applyTo(base);
    Cascade cascade = Cascade.of(base);
    KeptLook look = new KeptLook(cascade, cascade, key -> !manner.leavesAlone(key));
    Map<LayerId, Layer> worn = wearing.layersOf(target.layers());
    Project stamped =
        base.mapLayers(target.layers(), layer -> look.of(worn.get(layer.id()), layer));
    return Tidy.layers(stamped, target.layers());
  }

  @Override
  public String label(Project before) {
    String name = before.styles().find(style).map(Style::name).orElse("style");
    return "Stamp \"" + name + "\" on " + target.label();
  }
}
