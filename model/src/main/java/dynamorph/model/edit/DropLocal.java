package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import java.util.Optional;
import java.util.Set;

/**
 * Takes local changes away, so that what is followed shows again.
 *
 * @param only the keys to drop, or empty for all
 */
public record DropLocal(Target target, Optional<Set<PropertyKey<?>>> only) implements Edit {
  public static DropLocal all(Target target) {
    return new DropLocal(target, Optional.empty());
  }

  public static DropLocal of(Target target, Set<PropertyKey<?>> keys) {
    return new DropLocal(target, Optional.of(keys));
  }

  @Override
  public Project applyTo(Project before) {
    return before.mapLayers(
        target.layers(),
        layer ->
            switch (target) {
              case Target.Layers _ -> everywhere(layer);
              case Target.Words words -> inWords(layer, words);
            });
  }

  private Layer everywhere(Layer layer) {
    return layer
        .withLocal(kept(layer.local()))
        .withStory(
            layer
                .story()
                .mapParagraphs(paragraph ->
                    paragraph
                        .withLocal(kept(paragraph.local()))
                        .mapSpans(span -> span.withLocal(kept(span.local())))));
  }

  private Layer inWords(Layer layer, Target.Words words) {
    return layer.withStory(
        words.range().isEmpty()
            ? layer
                .story()
                .mapParagraphs(
                    words.range(),
                    paragraph ->
                        paragraph
                            .withLocal(kept(paragraph.local()))
                            .mapSpans(span -> span.withLocal(kept(span.local()))))
            : layer.story().mapSpans(words.range(), span -> span.withLocal(kept(span.local()))));
  }

  private PropertySet kept(PropertySet local) {
    return only.map(keys -> local.where(key -> !keys.contains(key))).orElse(PropertySet.EMPTY);
  }

  @Override
  public String label(Project before) {
    return "Drop local changes of " + target.label();
  }
}
