package dynamorph.formats.captions;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.RubyBase;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import java.util.ArrayList;
import java.util.List;

/** Builds the words of a cue run by run. */
final class CueTextBuilder {
  private final List<Span> spans = new ArrayList<>();
  private int base;

  void add(String text, List<StyleId> follows, PropertySet local) {
    String clean = text.replace("\n", "\u2028").replace("\r", "").replace("\u0000", "");
    if (clean.isEmpty()) {
      return;
    }
    if (spans.size() > base
        && spans.getLast().follows().equals(follows)
        && spans.getLast().local().equals(local)) {
      Span last = spans.removeLast();
      spans.add(last.withText(last.text() + clean));
    } else {
      spans.add(new Span(clean, follows, local));
    }
  }

  /** From here on letters may get a ruby. */
  void beginBase() {
    base = spans.size();
  }

  /** Puts a ruby over all letters since the base began; with no letters it is put in brackets. */
  void endBase(String ruby) {
    String clean = RubyBase.cleaned(ruby);
    if (!clean.isEmpty() && base == spans.size()) {
      add("(" + clean + ")", List.of(), PropertySet.EMPTY);
    } else if (!clean.isEmpty()) {
      boolean same = base > 0 && spans.get(base - 1).ruby().equals(clean);
      if (same) {
        // two bases that are read the same way do not become one that is read once
        spans.set(base - 1, spans.get(base - 1).withRuby(clean + " " + clean));
      }
      for (int index = base; index < spans.size(); index++) {
        spans.set(index, spans.get(index).withRuby(same ? clean + " " + clean : clean));
      }
    }
    base = spans.size();
  }

  Story story() {
    return spans.isEmpty() ? Story.of("") : Story.of(Paragraph.of(spans.toArray(Span[]::new)));
  }
}
