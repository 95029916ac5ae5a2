package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lets the target follow a style. A paragraph style on whole layers goes to all their paragraphs, a
 * character style to all their spans; a text style on words is refused.
 *
 * @param onTop whether it is added over the styles that are followed, or takes their place
 * @param dropLocal whether local changes go
 */
public record Follow(Target target, StyleId style, boolean onTop, boolean dropLocal)
    implements Edit {
  public static Follow replacing(Target target, StyleId style) {
    return new Follow(target, style, false, false);
  }

  public static Follow onTop(Target target, StyleId style) {
    return new Follow(target, style, true, false);
  }

  public Follow droppingLocal() {
    return new Follow(target, style, onTop, true);
  }

  @Override
  public Project applyTo(Project before) {
    Style followed =
        before
            .styles()
            .find(style)
            .orElseThrow(() -> new EditRefused("The style is no longer in the project."));
    Project dropped = dropLocal ? DropLocal.all(target).applyTo(before) : before;
    Project changed = dropped.mapLayers(target.layers(), layer -> follow(layer, followed));
    return Tidy.layers(changed, target.layers());
  }

  private Layer follow(Layer layer, Style followed) {
    TextRange range =
        switch (target) {
          case Target.Layers _ -> layer.story().all();
          case Target.Words words -> words.range();
        };
    return switch (followed.level()) {
      case TEXT -> {
        if (target instanceof Target.Words) {
          throw new EditRefused(
              "\""
                  + followed.name()
                  + "\" is a text style and goes on whole texts. Select the layer instead, or derive a"
                  + " character style from it.");
        }
        yield layer.withFollows(added(layer.follows()));
      }
      case PARAGRAPH ->
          layer.withStory(
              layer
                  .story()
                  .mapParagraphs(range, paragraph -> paragraph.withFollows(Optional.of(style))));
      case CHARACTER ->
          layer.withStory(
              layer.story().mapSpans(range, span -> span.withFollows(added(span.follows()))));
    };
  }

  private List<StyleId> added(List<StyleId> follows) {
    if (!onTop) {
      return List.of(style);
    }
    List<StyleId> stacked = new ArrayList<>(follows);
    stacked.remove(style);
    stacked.add(style);
    return stacked;
  }

  @Override
  public String label(Project before) {
    String name = before.styles().find(style).map(Style::name).orElse("style");
    String verb = onTop ? "Add" : "Follow";
    return verb + " \"" + name + "\" on " + target.label();
  }
}
