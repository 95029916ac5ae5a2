package dynamorph.typeset.caption;

import dynamorph.model.Layer;
import dynamorph.model.timeline.CaptionRules;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.Numbers;
import dynamorph.typeset.message.Messages;
import java.util.ArrayList;
import java.util.List;

/** Finds what is wrong with the words and times of cues, by the rules of their track. */
public final class CueChecks {
  private CueChecks() {}

  /** All problems, in the order of the cues. */
  public static List<CueProblem> of(CueList list) {
    List<CueProblem> problems = new ArrayList<>();
    for (int index = 0; index < list.cues().size(); index++) {
      problems.addAll(of(list, index));
    }
    return problems;
  }

  /** What is wrong with one cue. */
  public static List<CueProblem> of(CueList list, int index) {
    Layer cue = list.cues().get(index);
    CaptionRules rules = list.track().rules();
    Timing timing = CueList.time(cue);
    Found found = new Found(cue, new ArrayList<>());
    if (CueList.characters(cue) == 0) {
      found.add(CueProblem.Kind.EMPTY, Messages.of("cue-checks.it-has-no-words"));
      return found.problems;
    }
    double speed = CueList.readingSpeed(cue);
    if (speed > rules.readingSpeed()) {
      found.add(
          CueProblem.Kind.TOO_FAST,
          Messages.of(
              "cue-checks.characters-per-second-at-most",
              Numbers.format(speed, 1),
              Numbers.format(rules.readingSpeed(), 1)));
    }
    Time length = timing.length();
    if (length.isBefore(rules.shortest())) {
      found.add(
          CueProblem.Kind.TOO_SHORT,
          Messages.of("cue-checks.s-s-at-least", seconds(length), seconds(rules.shortest())));
    }
    if (length.isAfter(rules.longest())) {
      found.add(
          CueProblem.Kind.TOO_LONG,
          Messages.of("cue-checks.s-s-at-most", seconds(length), seconds(rules.longest())));
    }
    checkNext(list, index, found);
    checkLines(list.track(), found);
    return found.problems;
  }

  private static void checkNext(CueList list, int index, Found found) {
    if (index + 1 == list.cues().size()) {
      return;
    }
    Time out = CueList.time(found.cue).out();
    Time next = CueList.time(list.cues().get(index + 1)).in();
    Time gap = next.minus(out);
    if (gap.isBefore(Time.ZERO)) {
      found.add(
          CueProblem.Kind.OVERLAP,
          Messages.of("cue-checks.by-s-with-the-next", seconds(Time.ZERO.minus(gap))));
    } else if (gap.isAfter(Time.ZERO) && gap.isBefore(list.track().rules().gap())) {
      found.add(
          CueProblem.Kind.GAP,
          Messages.of(
              "cue-checks.s-to-the-next-s-at", seconds(gap), seconds(list.track().rules().gap())));
    }
  }

  private static void checkLines(Track.Captions track, Found found) {
    CaptionRules rules = track.rules();
    List<String> lines = CueList.lines(found.cue);
    int most =
        lines.stream().mapToInt(line -> line.codePointCount(0, line.length())).max().orElse(0);
    // one that is not broken by hand is broken by its box
    boolean broken = lines.size() > 1;
    int needed = broken ? lines.size() : CaptionLineBreaker.lines(found.cue, track).size();
    if (needed > rules.lines()) {
      found.add(
          CueProblem.Kind.LINES, Messages.of("cue-checks.lines-at-most", needed, rules.lines()));
    }
    if (broken && most > rules.lineLength()) {
      found.add(
          CueProblem.Kind.LINE_LENGTH,
          Messages.of("cue-checks.characters-in-a-line-at-most", most, rules.lineLength()));
    }
  }

  private static String seconds(Time time) {
    return Numbers.format(time.seconds(), 2);
  }

  private record Found(Layer cue, List<CueProblem> problems) {
    void add(CueProblem.Kind kind, String detail) {
      problems.add(new CueProblem(cue.id(), kind, detail));
    }
  }
}
