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
  private final List<Run> runs = new ArrayList<>();
  private int base;

  /** Letters of one look, which may still become more. */
  private static final class Run {
    private final StringBuilder text = new StringBuilder();
    private final List<StyleId> follows;
    private final PropertySet local;
    private String ruby = "";

    Run(List<StyleId> follows, PropertySet local) {
      this.follows = follows;
      this.local = local;
    }

    boolean looks(List<StyleId> wanted, PropertySet values) {
      return follows.equals(wanted) && local.equals(values);
    }

    Span span() {
      return new Span(text.toString(), follows, local).withRuby(ruby);
    }
  }

  void add(String text, List<StyleId> follows, PropertySet local) {
    // captions have no tab stops: players show a space (WebVTT, white-space: pre-line)
    String clean =
        text.replace("\n", "\u2028").replace("\r", "").replace("\u0000", "").replace('\t', ' ');
    if (clean.isEmpty()) {
      return;
    }
    if (runs.size() == base || !runs.getLast().looks(follows, local)) {
      runs.add(new Run(follows, local));
    }
    runs.getLast().text.append(clean);
  }

  /** From here on letters may get a ruby. */
  void beginBase() {
    base = runs.size();
  }

  /** Puts a ruby over all letters since the base began; with no letters it is put in brackets. */
  void endBase(String ruby) {
    String clean = RubyBase.cleaned(ruby);
    if (!clean.isEmpty() && base == runs.size()) {
      add("(" + clean + ")", List.of(), PropertySet.EMPTY);
    } else if (!clean.isEmpty()) {
      boolean same = base > 0 && runs.get(base - 1).ruby.equals(clean);
      if (same) {
        // two bases that are read the same way do not become one that is read once
        runs.get(base - 1).ruby = clean + " " + clean;
      }
      for (Run run : runs.subList(base, runs.size())) {
        run.ruby = same ? clean + " " + clean : clean;
      }
    }
    base = runs.size();
  }

  Story story() {
    return runs.isEmpty()
        ? Story.of("")
        : Story.of(Paragraph.of(runs.stream().map(Run::span).toArray(Span[]::new)));
  }
}
