package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The cues of a TTML document as they are read, and what is only known when all are. */
final class TtmlCues {
  /** How long a cue without an end is seen at least. */
  private static final Time SHORTEST_WITHOUT_END = Time.ofMillis(2000);

  /**
   * A cue without an end.
   *
   * @param cue its place among the cues
   */
  private record Endless(int cue, int line) {}

  private final List<CaptionList.Cue> cues = new ArrayList<>();
  private final List<Endless> endless = new ArrayList<>();

  /**
   * Adds a cue.
   *
   * @param line of the file, from 1
   * @param cue {@link Time#LONGEST} as its end says that it has none
   */
  void add(int line, CaptionList.Cue cue) {
    if (cue.out().equals(Time.LONGEST)) {
      endless.add(new Endless(cues.size(), line));
    }
    cues.add(cue);
  }

  /** What has no end is seen until the last of the others has gone. */
  void giveEnds(List<Remark> remarks) {
    Time last =
        cues.stream()
            .map(CaptionList.Cue::out)
            .filter(out -> out.isBefore(Time.LONGEST))
            .max(Comparator.naturalOrder())
            .orElse(Time.ZERO);
    for (Endless one : endless) {
      CaptionList.Cue cue = cues.get(one.cue);
      Time out = Time.max(last, cue.in().plus(SHORTEST_WITHOUT_END));
      cues.set(
          one.cue,
          new CaptionList.Cue(
              cue.name(), cue.in(), out, cue.speaker(), cue.story(), cue.follows(), cue.local()));
      remarks.add(new Remark(one.line, Messages.of("ttml-reader.it-has-no-end", out)));
    }
  }

  /** Styles that all cues begin with are those of the track. */
  List<StyleId> shared() {
    if (cues.isEmpty()) {
      return List.of();
    }
    List<StyleId> shared = new ArrayList<>(cues.getFirst().follows());
    for (CaptionList.Cue cue : cues) {
      while (!shared.isEmpty()
          && !(cue.follows().size() >= shared.size()
              && cue.follows().subList(0, shared.size()).equals(shared))) {
        shared.removeLast();
      }
    }
    return shared;
  }

  List<CaptionList.Cue> without(int shared) {
    return cues.stream()
        .map(cue ->
            new CaptionList.Cue(
                cue.name(),
                cue.in(),
                cue.out(),
                cue.speaker(),
                cue.story(),
                cue.follows().subList(shared, cue.follows().size()),
                cue.local()))
        .toList();
  }

  /** Spaces at the ends of lines come from how the file is laid out. */
  static Story stripped(Story story) {
    var spans = new ArrayList<>(story.paragraphs().getFirst().spans());
    for (int index = 0; index < spans.size(); index++) {
      String text = spans.get(index).text().replaceAll(" *\u2028 *", "\u2028");
      text = index == 0 || endsLine(spans.get(index - 1).text()) ? text.stripLeading() : text;
      text = index == spans.size() - 1 ? text.stripTrailing() : text;
      spans.set(index, spans.get(index).withText(text));
    }
    spans.removeIf(span -> span.text().isEmpty() && spans.size() > 1);
    return Story.of(Paragraph.of(spans.toArray(Span[]::new)));
  }

  private static boolean endsLine(String text) {
    return text.endsWith("\u2028");
  }
}
