package dynamorph.model.edit.text;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.NextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Ends a paragraph where a range is, which goes. Behind the end of a paragraph the new one takes
 * the style that comes next, plain and without what was set by hand; inside of one both halves stay
 * as they are.
 */
public record BreakParagraph(LayerId layer, TextRange range) implements Edit {
  @Override
  public Project applyTo(Project before) {
    Project broken = EditText.plain(layer, range, "\n").applyTo(before);
    return before
        .layer(layer)
        .flatMap(target -> next(before, target))
        .map(next ->
            broken.mapLayers(
                Set.of(layer), target -> target.withStory(begun(target.story(), next))))
        .orElse(broken);
  }

  /** The style that is to follow, if this is behind the end of a paragraph that says one. */
  private Optional<StyleId> next(Project project, Layer target) {
    Story story = target.story();
    TextRange inside = range.within(story.all());
    int index = story.paragraphAt(inside.end());
    TextRange own = story.rangeOf(index);
    boolean behind = inside.end() == own.end() && inside.start() > story.startOf(index);
    if (!behind) {
      return Optional.empty();
    }
    PropertySet values = Cascade.of(project).values(target, story.paragraphs().get(index));
    NextStyle next = Coats.value(values, Properties.NEXT_STYLE.key());
    return Optional.of(next)
        .filter(style -> !style.isSame())
        .map(style -> new StyleId(style.style()))
        .flatMap(project.styles()::find)
        .filter(style -> style.level() == StyleLevel.PARAGRAPH)
        .map(Style::id);
  }

  private Story begun(Story story, StyleId next) {
    int index = story.paragraphAt(range.start() + 1);
    List<Paragraph> paragraphs = new ArrayList<>(story.paragraphs());
    paragraphs.set(index, Paragraph.of("").withFollows(Optional.of(next)));
    return new Story(paragraphs);
  }

  @Override
  public String label(Project before) {
    return Messages.of("edit-text.type-text");
  }
}
