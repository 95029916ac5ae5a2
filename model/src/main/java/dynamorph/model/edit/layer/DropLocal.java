package dynamorph.model.edit.layer;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * Takes local changes away, so that what is followed shows again.
 *
 * @param only the keys to drop, or empty for all
 * @param facets the facets in which they are dropped
 */
public record DropLocal(Target target, Optional<Set<PropertyKey<?>>> only, Set<Facet> facets)
    implements Edit {
  public DropLocal {
    facets = Set.copyOf(facets);
  }

  public static DropLocal all(Target target) {
    return in(target, EnumSet.allOf(Facet.class));
  }

  /** Those of some facets. */
  public static DropLocal in(Target target, Set<Facet> facets) {
    return new DropLocal(target, Optional.empty(), facets);
  }

  public static DropLocal of(Target target, Set<PropertyKey<?>> keys) {
    return new DropLocal(target, Optional.of(keys), EnumSet.allOf(Facet.class));
  }

  @Override
  public Project applyTo(Project before) {
    return target.map(before, this::everywhere, this::inWords);
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
    return local.where(key ->
        !facets.contains(key.property().facet())
            || only.filter(keys -> !keys.contains(key)).isPresent());
  }

  @Override
  public String label(Project before) {
    String which =
        facets.size() == 1
            ? facets.iterator().next().label().toLowerCase(Locale.ROOT) + " "
            : only.filter(keys -> keys.size() == 1)
                .map(keys -> keys.iterator().next().label().toLowerCase(Locale.ROOT) + " ")
                .orElse("");
    return Messages.of("drop-local.drop-local-changes-of", which, target.label());
  }
}
