package dynamorph.typeset.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Length;
import dynamorph.typeset.Setting;
import dynamorph.typeset.language.Hyphenators;
import dynamorph.typeset.layout.Typesetter;
import dynamorph.typeset.shape.ShapedParagraph;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BreakersTest {
  private static final List<String> WORDS =
      List.of(
          "a",
          "of",
          "the",
          "hour",
          "clock",
          "tower",
          "pendulum",
          "restoration",
          "mechanism",
          "escapement",
          "weights,",
          "gearing;",
          "\u201Cwound\u201D",
          "well-kept",
          "extraordinary");
  private static final int MOST_PLACES = 13;

  private final Random random = new Random(11);
  private final Typesetter typesetter = Setting.typesetter();

  /** A model of a paragraph's lines, and the width that each may have. */
  private record Problem(LineWidths model, IntToDoubleFunction room) {
    /**
     * What a choice of lines counts, written out anew from Knuth and Plass: badness 100 |r|^3, a
     * line penalty of 1, a hyphen's penalty squared, and 10,000 each for neighbours of unlike
     * tightness and for two hyphens in a row. Only natural widths, stretch and shrink are taken
     * from the model.
     */
    double demerits(int[] ends) {
      double sum = 0;
      int from = 0;
      int classBefore = 1;
      boolean hyphenBefore = false;
      for (int line = 0; line < ends.length; line++) {
        int to = ends[line];
        double lack = room.applyAsDouble(line) - model.width(from, to);
        boolean last = to == model.places() - 1;
        double r = adjustmentRatio(from, to, lack, last);
        sum += Math.pow(1 + 100 * Math.pow(Math.abs(r), 3), 2);
        boolean hyphen = model.isHyphen(to);
        if (hyphen) {
          sum += Math.pow(model.settings().hyphenation().cost(), 2);
        }
        if (lack + model.shrink(from, to) < -0.01) {
          sum += 1e12;
        }
        if (last && from > 0 && model.settings().breaking().keepLastWord()) {
          sum += model.isSingleWord(from, to) ? 1e8 : 0;
        }
        int tightness = r < -0.5 ? 0 : r <= 0.5 ? 1 : r <= 1 ? 2 : 3;
        sum += Math.abs(tightness - classBefore) >= 2 ? 10_000 : 0;
        sum += hyphenBefore && hyphen ? 10_000 : 0;
        classBefore = tightness;
        hyphenBefore = hyphen;
        from = to;
      }
      return sum;
    }

    /** Glue is set by a hundredth of a point at least, and the last line at its natural width. */
    private double adjustmentRatio(int from, int to, double lack, boolean last) {
      if (Math.abs(lack) <= 0.01 || lack > 0 && last) {
        return 0;
      }
      double glue = lack > 0 ? model.stretch(from, to) : model.shrink(from, to);
      double furthest = lack > 0 ? 10_000 : -1;
      double r = glue == 0 ? furthest : lack / glue;
      return lack > 0 ? Math.min(r, furthest) : Math.max(r, furthest);
    }
  }

  private Problem problem(Setting setting, double measure) {
    ParagraphKey key = Typesetter.paragraphs(setting.story(), setting.look()).getFirst();
    ShapedParagraph shaped = typesetter.composer().shape(key.shapeKey());
    WidthSums measures = new WidthSums(shaped, key.looks(), key.settings().justification());
    Breakpoints places = Breakpoints.of(shaped, key.settings().hyphenation(), new Hyphenators());
    double first = key.settings().indents().first();
    LineWidths model = new LineWidths(places, measures, key.settings(), 0, 1, _ -> 6.0, null);
    return new Problem(model, line -> measure - (line == 0 ? first : 0));
  }

  private Problem randomProblem() {
    StringBuilder text = new StringBuilder();
    int count = 3 + random.nextInt(6);
    for (int word = 0; word < count; word++) {
      text.append(word == 0 ? "" : " ").append(WORDS.get(random.nextInt(WORDS.size())));
    }
    Setting setting =
        Setting.of(text.toString())
            .with(
                Properties.ALIGNMENT, random.nextBoolean() ? Alignment.JUSTIFIED : Alignment.START)
            .with(Properties.HYPHENATE, random.nextBoolean())
            .with(Properties.CONSECUTIVE_HYPHENS, (double) random.nextInt(3))
            .with(Properties.HYPHEN_PENALTY, random.nextInt(3) * 50.0)
            .with(Properties.AVOID_SHORT_LAST_LINES, random.nextBoolean())
            .with(Properties.GLYPH_SCALING_MINIMUM, random.nextBoolean() ? 98.0 : 100.0)
            .with(Properties.HANG_END, random.nextBoolean() ? 100.0 : 0.0)
            .with(Properties.INDENT_FIRST, Length.points(random.nextInt(3) * 10));
    return problem(setting, 60 + random.nextInt(200));
  }

  @Test
  void wholeParagraphFindsTheLeastDemeritsThatThereAre() {
    int compared = 0;
    for (int round = 0; round < 600; round++) {
      Problem problem = randomProblem();
      if (problem.model.places() > MOST_PLACES) {
        continue;
      }
      double best = choices(problem).stream().mapToDouble(problem::demerits).min().orElseThrow();
      double found = problem.demerits(OptimumFitBreaker.places(problem.model, problem.room));
      assertThat(found).as("round " + round).isCloseTo(best, within(best * 1e-9));
      assertThat(problem.demerits(FirstFitBreaker.places(problem.model, problem.room)))
          .isGreaterThanOrEqualTo(found * (1 - 1e-9));
      compared++;
    }
    assertThat(compared).isGreaterThan(200);
  }

  /** Every choice of lines that is allowed. */
  private static List<int[]> choices(Problem problem) {
    List<int[]> all = new ArrayList<>();
    extend(problem, new ArrayList<>(), 0, 0, all);
    return all;
  }

  private static void extend(
      Problem problem, List<Integer> chosen, int from, int hyphens, List<int[]> all) {
    LineWidths model = problem.model;
    if (from == model.places() - 1) {
      all.add(chosen.stream().mapToInt(Integer::intValue).toArray());
      return;
    }
    int row = model.settings().hyphenation().row();
    double room = problem.room.applyAsDouble(chosen.size());
    boolean first = true;
    for (int to = from + 1; to < model.places(); to++) {
      boolean hyphen = model.isHyphen(to);
      if (hyphen && row > 0 && hyphens >= row) {
        continue;
      }
      if (first || model.canFit(from, to, room)) {
        List<Integer> longer = new ArrayList<>(chosen);
        longer.add(to);
        extend(problem, longer, to, hyphen ? hyphens + 1 : 0, all);
      }
      first = false;
      if (model.isForced(to)) {
        return;
      }
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {80, 120, 170, 260})
  void noLineIsWiderThanItsRoomButASinglePiece(double measure) {
    for (int round = 0; round < 40; round++) {
      Problem problem = randomProblem();
      IntToDoubleFunction room = _ -> measure;
      for (int[] ends :
          List.of(
              FirstFitBreaker.places(problem.model, room),
              OptimumFitBreaker.places(problem.model, room))) {
        int from = 0;
        for (int to : ends) {
          if (!problem.model.canFit(from, to, measure)) {
            assertThat(shorterPlaces(problem.model, from, to)).isZero();
            assertThat(problem.model.cut(from, to, measure).tooWide()).isTrue();
          }
          from = to;
        }
      }
    }
  }

  /** How many places without a hyphen lie inside a line. */
  private static long shorterPlaces(LineWidths model, int from, int to) {
    long count = 0;
    for (int place = from + 1; place < to; place++) {
      count += model.isHyphen(place) ? 0 : 1;
    }
    return count;
  }

  @Test
  void aSingleLastWordGetsCompany() {
    Setting plain = Setting.of("the clock struck the long hour of the tower");
    double measure = 0;
    for (double tried = 100; tried < 400 && measure == 0; tried++) {
      Problem problem = problem(plain, tried);
      int[] ends = FirstFitBreaker.places(problem.model, problem.room);
      if (ends.length > 1
          && problem.model.isSingleWord(ends[ends.length - 2], ends[ends.length - 1])) {
        measure = tried;
      }
    }
    Problem kept = problem(plain.with(Properties.AVOID_SHORT_LAST_LINES, true), measure);
    for (int[] ends :
        List.of(
            FirstFitBreaker.places(kept.model, kept.room),
            OptimumFitBreaker.places(kept.model, kept.room))) {
      assertThat(kept.model.isSingleWord(ends[ends.length - 2], ends[ends.length - 1])).isFalse();
    }
  }
}
