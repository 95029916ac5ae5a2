package dynamorph.model.edit.style;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.KeptLook;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.Tidy;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Keeps a look as a style and lets its source follow it, without changing how the source looks:
 * what the style leaves out stays with the styles followed before, or as local changes.
 *
 * @param source the texts or words that the look was taken from
 * @param style a new one, or one that is there and becomes this; then all that follows it changes
 */
public record KeepStyle(Target source, Style style) implements Edit {
  @Override
  public Project applyTo(Project before) {
    Project added =
        replaces(before)
            ? new ChangeStyle(style).applyTo(before)
            : new AddStyle(style, Messages.of("keep-style.keep")).applyTo(before);
    KeptLook look = new KeptLook(Cascade.of(before), Cascade.of(added));
    Project changed = added;
    for (LayerId id : source.layers()) {
      Optional<Layer> layer = before.layer(id);
      if (layer.isPresent()) {
        changed = follow(changed, look, layer.get());
      }
    }
    return Tidy.layers(changed, source.layers());
  }

  private Project follow(Project project, KeptLook look, Layer before) {
    Target one = source.in(before.id());
    boolean onTop = style.level() != StyleLevel.PARAGRAPH;
    Layer now =
        new Follow(one, style.id(), ApplyOptions.PLAIN.onTop(onTop))
            .applyTo(project)
            .layer(before.id())
            .orElseThrow();
    Layer kept = look.of(before, withoutCovered(project.styles(), now));
    return project.mapLayers(Set.of(before.id()), _ -> kept);
  }

  /**
   * A style followed so far goes where the new one sets all that it sets, itself or through what it
   * is based on.
   */
  private Layer withoutCovered(StyleBook styles, Layer layer) {
    return layer
        .withFollows(uncovered(styles, layer.follows()))
        .withStory(
            layer
                .story()
                .mapParagraphs(paragraph ->
                    paragraph.mapSpans(
                        span -> span.withFollows(uncovered(styles, span.follows())))));
  }

  private List<StyleId> uncovered(StyleBook styles, List<StyleId> follows) {
    if (!follows.contains(style.id())) {
      return follows;
    }
    Set<PropertyKey<?>> covered = keys(styles, style.id());
    return follows.stream()
        .filter(id -> id.equals(style.id()) || !covered.containsAll(keys(styles, id)))
        .toList();
  }

  private static Set<PropertyKey<?>> keys(StyleBook styles, StyleId id) {
    Set<PropertyKey<?>> keys = new HashSet<>();
    styles.chain(id).forEach(link -> keys.addAll(link.properties().keys()));
    return keys;
  }

  private boolean replaces(Project project) {
    return project.styles().find(style.id()).isPresent();
  }

  @Override
  public String label(Project before) {
    if (replaces(before)) {
      return Messages.of("keep-style.give-the-look-of", style.name(), source.label());
    }
    return Messages.of("keep-style.keep-style", style.name());
  }
}
