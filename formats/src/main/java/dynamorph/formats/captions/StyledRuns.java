package dynamorph.formats.captions;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import java.util.ArrayList;
import java.util.List;

/** Builds the words of a cue run by run. */
final class StyledRuns {
  private final List<Span> spans = new ArrayList<>();

  void add(String text, List<StyleId> follows, PropertySet local) {
    String clean = text.replace("\n", "\u2028").replace("\r", "").replace("\u0000", "");
    if (clean.isEmpty()) {
      return;
    }
    if (!spans.isEmpty()
        && spans.getLast().follows().equals(follows)
        && spans.getLast().local().equals(local)) {
      Span last = spans.removeLast();
      spans.add(last.withText(last.text() + clean));
    } else {
      spans.add(new Span(clean, follows, local));
    }
  }

  Story story() {
    return spans.isEmpty() ? Story.of("") : Story.of(Paragraph.of(spans.toArray(Span[]::new)));
  }
}
