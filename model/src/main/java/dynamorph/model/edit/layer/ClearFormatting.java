package dynamorph.model.edit.layer;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Makes text plain: it follows nothing and has no local changes. Words lose what is set on them
 * alone; a caret stands for its paragraph.
 */
public record ClearFormatting(Target target) implements Edit {
  @Override
  public Project applyTo(Project before) {
    return target.map(before, ClearFormatting::plain, ClearFormatting::plain);
  }

  private static Layer plain(Layer layer, Target.Words words) {
    return layer.withStory(
        words.range().isEmpty()
            ? layer.story().mapParagraphs(words.range(), ClearFormatting::plain)
            : layer.story().mapSpans(words.range(), ClearFormatting::plain));
  }

  private static Layer plain(Layer layer) {
    return layer
        .withFollows(List.of())
        .withMuted(Set.of())
        .withLocal(PropertySet.EMPTY)
        .withStory(layer.story().mapParagraphs(ClearFormatting::plain));
  }

  private static Paragraph plain(Paragraph paragraph) {
    return paragraph
        .withFollows(Optional.empty())
        .withLocal(PropertySet.EMPTY)
        .mapSpans(ClearFormatting::plain);
  }

  private static Span plain(Span span) {
    return span.withFollows(List.of()).withLocal(PropertySet.EMPTY);
  }

  @Override
  public String label(Project before) {
    return Messages.of("clear-formatting.clear-all-formatting-of", target.label());
  }
}
