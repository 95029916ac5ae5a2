package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * Takes a style out of the project.
 *
 * @param replacement what its followers follow instead; without one they keep their look as local
 *     changes. It has the level of the deleted style. What was based on the deleted style is then
 *     based on its base.
 */
public record DeleteStyle(StyleId style, Optional<StyleId> replacement) implements Edit {
  @Override
  public Project applyTo(Project before) {
    Style gone =
        before
            .styles()
            .find(style)
            .orElseThrow(() -> new EditRefused("The style is no longer in the project."));
    if (replacement.filter(style::equals).isPresent()) {
      throw new EditRefused("A style cannot be replaced by itself.");
    }
    replacement
        .map(before.styles()::get)
        .filter(other -> other.level() != gone.level())
        .ifPresent(other -> {
          throw new EditRefused(
              "\""
                  + other.name()
                  + "\" is a "
                  + other.level().label()
                  + " style and cannot stand in for a "
                  + gone.level().label()
                  + " style.");
        });
    Project without =
        before
            .withBaseStyle(
                before.baseStyle().flatMap(id -> id.equals(style) ? replacement : Optional.of(id)))
            .mapLayers(this::released);
    Project changed = without.withStyles(before.styles().without(style));
    if (replacement.isPresent()) {
      return changed;
    }
    KeptLook look = new KeptLook(Cascade.of(before), Cascade.of(changed));
    return changed.mapLayers(layer -> {
      Layer was = before.layer(layer.id()).orElseThrow();
      return was == layer ? layer : look.of(was, layer);
    });
  }

  private Layer released(Layer layer) {
    if (!dynamorph.model.reach.Followers.followed(layer).contains(style)) {
      return layer;
    }
    return layer
        .withFollows(replaced(layer.follows()))
        .withStory(
            layer
                .story()
                .mapParagraphs(paragraph ->
                    paragraph
                        .withFollows(paragraph.follows().flatMap(this::replaced))
                        .mapSpans(span -> span.withFollows(replaced(span.follows())))));
  }

  private List<StyleId> replaced(List<StyleId> follows) {
    return follows.stream()
        .map(id -> replaced(id).orElse(null))
        .filter(Objects::nonNull)
        .distinct()
        .toList();
  }

  private Optional<StyleId> replaced(StyleId id) {
    return id.equals(style) ? replacement : Optional.of(id);
  }

  @Override
  public String label(Project before) {
    return "Delete style \"" + before.styles().find(style).map(Style::name).orElse("") + "\"";
  }
}
