package dynamorph.paint.reach;

import dynamorph.model.timeline.CaptionRules;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.paint.message.Messages;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.caption.CueProblem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** Finds what is wrong with cues that only shows when they are set and painted. */
public final class SeenCues {
  /** Between two moments at which a cue is looked at. */
  private static final Time STEP = Time.ofMillis(500);

  /** Moments of one cue that are looked at, at most. */
  private static final int MOST_MOMENTS = 12;

  private final Legibility legibility;

  public SeenCues(Legibility legibility) {
    this.legibility = legibility;
  }

  /**
   * What is wrong with a cue as it is seen.
   *
   * @param broken whether its lines are broken by hand, which is looked at elsewhere
   */
  public List<CueProblem> of(Scene.Found cue, CaptionRules rules, boolean broken) {
    PlacedLayer text = cue.text();
    List<CueProblem> problems = new ArrayList<>(placed(cue));
    int lines = text.layout().lines().size();
    if (!broken && lines > rules.lines()) {
      problems.add(
          problem(
              cue,
              CueProblem.Kind.LINES,
              Messages.of("seen-cues.lines-at-most", lines, rules.lines())));
    }
    lowest(cue)
        .filter(Legibility.Reading::isLow)
        .ifPresent(low ->
            problems.add(
                problem(
                    cue,
                    CueProblem.Kind.CONTRAST,
                    String.format(
                        Locale.ROOT,
                        Messages.of("seen-cues.contrast-with-the-footage-1f-1f"),
                        low.contrast(),
                        low.wanted()))));
    return problems;
  }

  private static List<CueProblem> placed(Scene.Found cue) {
    List<CueProblem> problems = new ArrayList<>();
    if (!cue.text().layout().missingGlyphs().isEmpty()) {
      problems.add(
          problem(
              cue,
              CueProblem.Kind.GLYPHS,
              Messages.of(
                  "seen-cues.no-font-has",
                  cue.text().layout().missingGlyphs().stream()
                      .limit(5)
                      .map(Character::toString)
                      .collect(Collectors.joining(" ")))));
    }
    if (Examination.isOutOfSafeArea(cue)) {
      problems.add(
          problem(cue, CueProblem.Kind.OUTSIDE, Messages.of("seen-cues.beyond-90-of-the-frame")));
    }
    return problems;
  }

  /** The lowest contrast over the whole time that the cue is seen. */
  private Optional<Legibility.Reading> lowest(Scene.Found cue) {
    Timing timing = cue.text().layer().timing().orElseThrow();
    long steps = Math.clamp(timing.length().ticks() / STEP.ticks() + 1, 2, MOST_MOMENTS);
    Optional<Legibility.Reading> lowest = Optional.empty();
    for (long step = 0; step < steps; step++) {
      // not the very last moment, which is the next frame's
      Time at = timing.in().plus(timing.length().times(step * 2 + 1, steps * 2));
      Optional<Legibility.Reading> reading = legibility.of(cue, at);
      if (reading.isPresent()
          && (lowest.isEmpty() || reading.get().contrast() < lowest.get().contrast())) {
        lowest = reading;
      }
    }
    return lowest;
  }

  private static CueProblem problem(Scene.Found cue, CueProblem.Kind kind, String detail) {
    return new CueProblem(cue.text().layer().id(), kind, detail);
  }
}
