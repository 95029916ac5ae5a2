package dynamorph.model.edit.style;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.Tidy;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.FontSize;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Moves local changes into the nearest style followed at their level, so that every follower gets
 * them. The source looks the same before and after.
 *
 * @param only the keys to save, or empty for all
 */
public record SaveIntoStyle(Target target, Optional<Set<PropertyKey<?>>> only) implements Edit {
  public static SaveIntoStyle all(Target target) {
    return new SaveIntoStyle(target, Optional.empty());
  }

  @Override
  public Project applyTo(Project before) {
    Saving saving = new Saving(before);
    for (LayerId id : target.layers()) {
      before.layer(id).ifPresent(saving::collect);
    }
    if (saving.collected.isEmpty()) {
      throw new EditRefused(Messages.of("save-into-style.there-are-no-local-changes-here"));
    }
    Project changed =
        before.withStyles(saving.changedStyles()).mapLayers(target.layers(), saving::withoutSaved);
    Followers followers = Followers.of(changed);
    Set<LayerId> affected =
        saving.collected.keySet().stream()
            .flatMap(style -> followers.of(style).stream())
            .map(follower -> follower.layer().id())
            .collect(Collectors.toSet());
    return Tidy.layers(changed, affected);
  }

  private boolean wanted(PropertyKey<?> key) {
    return only.map(keys -> keys.contains(key)).orElse(true);
  }

  @Override
  public String label(Project before) {
    return Messages.of("save-into-style.save-local-changes-of-into-the", target.label());
  }

  /** The state of one run. */
  private final class Saving {
    private final Project project;
    private final Cascade cascade;
    private final Map<StyleId, PropertySet> collected = new HashMap<>();

    Saving(Project project) {
      this.project = project;
      this.cascade = Cascade.of(project);
    }

    void collect(Layer layer) {
      nearest(layer).ifPresent(style -> collect(style, reaching(layer), cascade.values(layer)));
      for (Paragraph paragraph : layer.story().paragraphs()) {
        paragraph
            .follows()
            .filter(style -> !layer.muted().contains(style))
            .ifPresent(
                style -> collect(style, paragraph.local(), cascade.values(layer, paragraph)));
        for (Span span : paragraph.spans()) {
          last(layer.counting(span.follows()))
              .ifPresent(
                  style -> collect(style, span.local(), cascade.values(layer, paragraph, span)));
        }
      }
    }

    /** The style nearest to the layer as a whole: one of its own, else one of its track. */
    private Optional<StyleId> nearest(Layer layer) {
      return last(layer.counting(project.taken(layer)));
    }

    /** Local changes of the layer that would count as well if its nearest style set them. */
    private PropertySet reaching(Layer layer) {
      PropertySet between =
          layer.counting(layer.follows()).isEmpty()
              ? project.captionsOf(layer).map(Track.Captions::local).orElse(PropertySet.EMPTY)
              : PropertySet.EMPTY;
      return layer.local().where(key -> !between.has(key));
    }

    private void collect(StyleId style, PropertySet local, PropertySet resolved) {
      for (PropertyKey<?> key : local.keys()) {
        boolean carried = project.styles().get(style).level().carries(key.property());
        if (wanted(key) && carried) {
          collect(style, key, local, resolved);
        }
      }
    }

    private <T> void collect(
        StyleId style, PropertyKey<T> key, PropertySet local, PropertySet resolved) {
      T value = declared(style, key, local, resolved);
      PropertySet sofar = collected.getOrDefault(style, PropertySet.EMPTY);
      Optional<T> other = sofar.get(key);
      if (other.isPresent() && !other.get().equals(value)) {
        throw new EditRefused(
            Messages.of(
                "save-into-style.the-selected-texts-differ-in-select",
                key.label().toLowerCase(java.util.Locale.ROOT)));
      }
      collected.put(style, sofar.with(key, value));
    }

    /**
     * A relative size over a size that the style itself sets would be worked out against what lies
     * beyond the style afterwards, so the two are made one.
     */
    @SuppressWarnings("unchecked") // the key of size holds sizes
    private <T> T declared(
        StyleId style, PropertyKey<T> key, PropertySet local, PropertySet resolved) {
      T value = local.get(key).orElseThrow();
      Optional<FontSize> own = project.styles().get(style).properties().get(Properties.SIZE.key());
      boolean relative = value instanceof FontSize && !(value instanceof FontSize.Absolute);
      if (!relative || own.isEmpty()) {
        return value;
      }
      if (value instanceof FontSize.Times(double outer)
          && own.get() instanceof FontSize.Times(double inner)) {
        return (T) new FontSize.Times(outer * inner);
      }
      if (value instanceof FontSize.Plus(double outer)
          && own.get() instanceof FontSize.Plus(double inner)) {
        return (T) new FontSize.Plus(outer + inner);
      }
      return resolved.get(key).orElseThrow();
    }

    StyleBook changedStyles() {
      StyleBook styles = project.styles();
      for (Map.Entry<StyleId, PropertySet> entry : collected.entrySet()) {
        styles =
            styles.map(
                entry.getKey(),
                style -> style.withProperties(style.properties().overlaidBy(entry.getValue())));
      }
      return styles;
    }

    Layer withoutSaved(Layer layer) {
      List<Paragraph> paragraphs = new ArrayList<>();
      for (Paragraph paragraph : layer.story().paragraphs()) {
        paragraphs.add(
            paragraph
                .withLocal(
                    left(
                        paragraph.follows().filter(style -> !layer.muted().contains(style)),
                        paragraph.local()))
                .mapSpans(span ->
                    span.withLocal(left(last(layer.counting(span.follows())), span.local()))));
      }
      return layer
          .withLocal(
              layer
                  .local()
                  .where(key ->
                      !reaching(layer).has(key) || left(nearest(layer), layer.local()).has(key)))
          .withStory(new dynamorph.model.text.Story(paragraphs));
    }

    private PropertySet left(Optional<StyleId> style, PropertySet local) {
      return style
          .map(id -> collected.getOrDefault(id, PropertySet.EMPTY))
          .map(saved -> local.where(key -> !saved.has(key)))
          .orElse(local);
    }

    private Optional<StyleId> last(List<StyleId> follows) {
      return follows.isEmpty()
          ? Optional.empty()
          : Optional.of(follows.getLast()).filter(id -> project.styles().find(id).isPresent());
    }
  }

  /** The styles that would change. */
  public List<Style> styles(Project before) {
    Saving saving = new Saving(before);
    target.layers().forEach(id -> before.layer(id).ifPresent(saving::collect));
    return saving.collected.keySet().stream().map(before.styles()::get).toList();
  }
}
