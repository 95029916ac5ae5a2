package dynamorph.model.edit.style;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.KeptLook;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.Tidy;
import dynamorph.model.message.Messages;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.TextRange;
import java.util.List;
import java.util.Optional;

/**
 * Lets the target follow a style no longer.
 *
 * @param keepLook whether the look stays, as local changes, or falls back to what remains
 */
public record StopFollowing(Target target, StyleId style, boolean keepLook) implements Edit {
  @Override
  public Project applyTo(Project before) {
    if (target instanceof Target.Passages several) {
      return several.each(
          before, passage -> new StopFollowing(passage.inLetters(before), style, keepLook));
    }
    Cascade cascade = Cascade.of(before);
    KeptLook look = new KeptLook(cascade, cascade);
    Project changed =
        before.mapLayers(
            target.layers(), layer -> keepLook ? look.of(layer, released(layer)) : released(layer));
    return Tidy.layers(changed, target.layers());
  }

  private TextRange range(Layer layer) {
    return target instanceof Target.Words words && !words.range().isEmpty()
        ? words.range()
        : layer.story().all();
  }

  private Layer released(Layer layer) {
    Layer changed =
        target instanceof Target.Layers ? layer.withFollows(minus(layer.follows())) : layer;
    return changed.withStory(
        changed
            .story()
            .mapParagraphs(
                range(layer), paragraph -> paragraph.withFollows(minus(paragraph.follows())))
            .mapSpans(range(layer), span -> span.withFollows(minus(span.follows()))));
  }

  private List<StyleId> minus(List<StyleId> follows) {
    return follows.stream().filter(id -> !id.equals(style)).toList();
  }

  private Optional<StyleId> minus(Optional<StyleId> follows) {
    return follows.filter(id -> !id.equals(style));
  }

  @Override
  public String label(Project before) {
    String name = before.styles().find(style).map(Style::name).orElse("style");
    return Messages.of("stop-following.stop-following-on", name, target.label());
  }
}
