package dynamorph.model.edit.style;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.KeptLook;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.Tidy;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Level;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * Copies the values of a style once, as local changes. What the target follows stays; local changes
 * of what the style sets give way.
 *
 * @param options what is left alone; whether it goes on top says nothing here
 */
public record Stamp(Target target, StyleId style, ApplyOptions options) implements Edit {
  public static Stamp of(Target target, StyleId style) {
    return new Stamp(target, style, ApplyOptions.PLAIN);
  }

  @Override
  public Project applyTo(Project before) {
    if (target instanceof Target.Passages several) {
      return several.each(before, passage -> new Stamp(passage, style, options));
    }
    Set<PropertyKey<?>> set = new HashSet<>();
    before.styles().chain(style).forEach(link -> set.addAll(link.properties().keys()));
    set.removeIf(options::leavesAlone);
    Project cleared = DropLocal.of(target, set).applyTo(before);
    if (!options.keepsAllLocal()) {
      EnumSet<Facet> gone = EnumSet.allOf(Facet.class);
      gone.removeAll(options.keepsLocal());
      cleared = DropLocal.in(target, gone).applyTo(cleared);
    }
    Project base = cleared;
    if (target instanceof Target.Words words && isForTexts(before)) {
      return SetValues.of(target, onWords(before, set, words)).applyTo(base);
    }
    Project wearing = Follow.onTop(target, style).applyTo(base);
    Cascade cascade = Cascade.of(base);
    KeptLook look = new KeptLook(cascade, cascade, key -> !options.leavesAlone(key));
    Map<LayerId, Layer> worn = wearing.layersOf(target.layers());
    Project stamped =
        base.mapLayers(
            target.layers(), layer -> look.of(requireNonNull(worn.get(layer.id())), layer));
    return Tidy.layers(stamped, target.layers());
  }

  private boolean isForTexts(Project project) {
    return project
        .styles()
        .find(style)
        .filter(found -> found.level() == StyleLevel.TEXT)
        .isPresent();
  }

  /** Words cannot follow a text style, but its values can be set on them, as far as they count. */
  private PropertySet onWords(Project project, Set<PropertyKey<?>> set, Target.Words words) {
    Level level = words.range().isEmpty() ? Level.PARAGRAPH : Level.SPAN;
    return Cascade.of(project)
        .values(project.styles().get(style))
        .where(key -> set.contains(key) && key.countsOn(level));
  }

  @Override
  public String label(Project before) {
    String name = before.styles().find(style).map(Style::name).orElse("style");
    return Messages.of("stamp.stamp-on", name, target.label());
  }
}
