package dynamorph.model.edit.flow;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.layer.LockedLayers;
import dynamorph.model.flow.BoxWords;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Length;
import dynamorph.model.value.ListKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Ends the flow of a text before a box: the box and those behind it become a text of their own,
 * with the words that show in them.
 *
 * @param from first unit of the text that shows in the box; beyond its end nothing does
 */
public record UnlinkBox(LayerId box, int from) implements Edit {
  @Override
  public Project applyTo(Project before) {
    LinkedBoxes links = LinkedBoxes.of(before);
    if (!links.continues(box)) {
      return before;
    }
    LockedLayers.free(before, List.of(box));
    Layer holder = before.layer(links.first(box)).orElseThrow();
    Story story = holder.story();
    int cut = Math.clamp(from, 0, story.length());
    boolean all = from > story.length();
    int paragraph = story.paragraphAt(cut);
    boolean atStart = cut == story.startOf(paragraph);
    // the break between the halves is in neither
    int end = all ? story.length() : atStart ? Math.max(0, cut - 1) : cut;
    Story head = story.slice(new TextRange(0, end));
    Story rest =
        all ? Story.of("") : begun(before, holder, story, new TextRange(cut, story.length()));
    return before.mapLayers(
        Set.of(holder.id(), box),
        layer ->
            layer.id().equals(box)
                ? BoxWords.moved(holder, layer, rest).withContinues(Optional.empty())
                : layer.withStory(head));
  }

  /** What goes on looks as if it still did: no new paragraph, and numbers that count on. */
  private static Story begun(Project project, Layer holder, Story story, TextRange range) {
    Cascade cascade = Cascade.of(project);
    List<ParagraphLook> looks =
        story.paragraphs().stream()
            .map(paragraph -> Cascade.paragraphLook(cascade.values(holder, paragraph)))
            .toList();
    int index = story.paragraphAt(range.start());
    boolean inside = range.start() > story.startOf(index);
    List<Paragraph> paragraphs = new ArrayList<>(story.slice(range).paragraphs());
    if (inside) {
      paragraphs.set(0, with(paragraphs.getFirst(), goingOn(looks.get(index))));
    }
    int first = inside ? index + 1 : index;
    int counted = counted(looks, first);
    for (int at = first; counted > 0 && at < looks.size() && countsOn(looks, first - 1, at); at++) {
      double start = looks.get(at).list().start() + counted;
      PropertySet number = PropertySet.EMPTY.with(Properties.LIST_START, start);
      paragraphs.set(at - index, with(paragraphs.get(at - index), number));
    }
    return new Story(paragraphs);
  }

  private static PropertySet goingOn(ParagraphLook look) {
    PropertySet going = PropertySet.EMPTY;
    if (look.indents().first() != 0) {
      going = going.with(Properties.INDENT_FIRST, Length.points(0));
    }
    if (look.drop().isThere()) {
      going = going.with(Properties.DROP_LINES, 1.0);
    }
    return look.list().kind() == ListKind.NONE ? going : going.with(Properties.LIST, ListKind.NONE);
  }

  /** How many paragraphs directly before one are of its numbered list. */
  private static int counted(List<ParagraphLook> looks, int paragraph) {
    int first = paragraph;
    while (first > 0 && paragraph < looks.size() && countsOn(looks, first - 1, paragraph)) {
      first--;
    }
    return paragraph - first;
  }

  private static boolean countsOn(List<ParagraphLook> looks, int one, int other) {
    return looks.get(other).list().countsOn(looks.get(one).list());
  }

  private static Paragraph with(Paragraph paragraph, PropertySet values) {
    return paragraph.withLocal(paragraph.local().overlaidBy(values));
  }

  @Override
  public String label(Project before) {
    return Messages.of("unlink-box.end-the-flow");
  }
}
