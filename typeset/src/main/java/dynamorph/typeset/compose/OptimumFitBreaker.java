package dynamorph.typeset.compose;

import java.util.Arrays;
import java.util.function.IntToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * Breaks a whole paragraph at once, so that the sum of all demerits is the least that any choice of
 * lines has: the optimum fit of D. E. Knuth and M. F. Plass, <i>Breaking paragraphs into lines</i>
 * (1981), by dynamic programming over place, fitness class, hyphens in a row and line number. What
 * the line-by-line choice counts bounds the search, so that hopeless lines are not looked at.
 */
final class OptimumFitBreaker {
  private static final int DECENT = 1;

  private final LineWidths model;
  private final IntToDoubleFunction lineWidth;
  private final Demerits demerits;
  private final int row;
  private final int lineStates;
  private final int hyphenStates;

  // the states that can be reached, as parallel lists
  private int[] place = new int[256];
  private byte[] fitness = new byte[256];
  private int[] hyphens = new int[256];
  private int[] line = new int[256];
  private double[] total = new double[256];
  private int[] before = new int[256];
  private int[] nextAtPlace = new int[256];
  private int count;
  private int lastFit;
  private final int[] nextForced;
  private final int[] firstAtPlace;

  private OptimumFitBreaker(LineWidths model, IntToDoubleFunction lineWidth, Demerits demerits) {
    this.model = model;
    this.lineWidth = lineWidth;
    this.demerits = demerits;
    this.row = model.settings().hyphenation().row();
    this.lineStates = model.sameFrom() + 1;
    this.hyphenStates = row == 0 ? 2 : row + 1;
    this.firstAtPlace = new int[model.places()];
    Arrays.fill(firstAtPlace, -1);
    this.nextForced = new int[model.places()];
    int forced = model.places() - 1;
    for (int from = model.places() - 1; from >= 0; from--) {
      nextForced[from] = forced;
      forced = from > 0 && model.isForced(from) ? from : forced;
    }
  }

  private static Demerits demerits(LineWidths model) {
    return new Demerits(
        model.settings().hyphenation().cost(), model.settings().breaking().keepLastWord());
  }

  /**
   * The places where the lines end, in order.
   *
   * @param lineWidth width of each line by its number, in points
   */
  static int[] places(LineWidths model, IntToDoubleFunction lineWidth) {
    int[] greedy = FirstFitBreaker.places(model, lineWidth);
    if (greedy.length == 1) {
      return greedy;
    }
    Demerits demerits = demerits(model);
    int[] best =
        new OptimumFitBreaker(model, lineWidth, demerits)
            .optimum(total(model, lineWidth, demerits, greedy));
    return best == null ? greedy : best;
  }

  /** What a choice of lines counts. */
  private static double total(
      LineWidths model, IntToDoubleFunction lineWidths, Demerits demerits, int[] places) {
    double sum = 0;
    int from = 0;
    int fitness = DECENT;
    for (int line = 0; line < places.length; line++) {
      int to = places[line];
      double lineWidth = lineWidths.applyAsDouble(line);
      double ratio = model.ratio(from, to, lineWidth);
      int own = Demerits.fitness(ratio);
      sum += lineAlone(model, demerits, from, to, lineWidth, ratio);
      sum += demerits.after(fitness, model.isHyphen(from), own, model.isHyphen(to));
      fitness = own;
      from = to;
    }
    return sum;
  }

  private static double lineAlone(
      LineWidths model, Demerits demerits, int from, int to, double lineWidth, double ratio) {
    boolean tooWide = ratio < -1 + 1e-9 && !model.canFit(from, to, lineWidth);
    boolean lone = model.isEnd(to) && from > 0 && model.isSingleWord(from, to);
    double line = demerits.line(ratio, tooWide, model.isHyphen(to), lone);
    boolean needless = model.isEmergency(to) && model.couldEndEarlier(from, to);
    return needless ? line + Demerits.EMERGENCY : line;
  }

  private int @Nullable [] optimum(double bound) {
    // rounding must not cut off the line-by-line choice itself
    double limit = bound * (1 + 1e-9) + 1;
    add(0, DECENT, 0, 0, 0, -1);
    int end = model.places() - 1;
    for (int from = 0; from < end; from++) {
      int least = least(from);
      for (int state = firstAtPlace[from]; state >= 0; state = nextAtPlace[state]) {
        if (total[state] <= limit && !isOutdone(state, least)) {
          extend(state, limit);
        }
      }
    }
    int best = -1;
    for (int state = firstAtPlace[end]; state >= 0; state = nextAtPlace[state]) {
      if (best < 0 || total[state] < total[best]) {
        best = state;
      }
    }
    return best < 0 ? null : path(best);
  }

  private int least(int at) {
    int least = -1;
    for (int state = firstAtPlace[at]; state >= 0; state = nextAtPlace[state]) {
      if (least < 0 || total[state] < total[least]) {
        least = state;
      }
    }
    return least;
  }

  /** Whatever follows, the best way to a place ends better even if it is followed unevenly. */
  private boolean isOutdone(int state, int least) {
    return state != least
        && total[state] >= total[least] + Demerits.MOST_AFTER
        && line[state] == line[least]
        && hyphens[state] >= hyphens[least];
  }

  /**
   * Takes every line that can come next. Only a few of the places behind have a line that is
   * neither too wide nor hopelessly loose: the last that fits is found from where it was the last
   * time, and those before it are taken while there is hope.
   */
  private void extend(int state, double limit) {
    int from = place[state];
    double width = lineWidth.applyAsDouble(line[state]);
    double loosest = Demerits.ratioFor(limit - total[state]);
    int nextLine = Math.min(line[state] + 1, lineStates - 1);
    boolean mayHyphenate = row == 0 || hyphens[state] < row;
    int last = lastThatFits(from, width);
    int first = firstAllowed(from, mayHyphenate);
    if (last < first) {
      take(state, from, first, width, nextLine, limit);
      return;
    }
    for (int to = last; to >= first; to--) {
      boolean allowed = mayHyphenate || !model.isHyphen(to);
      if (!allowed || !model.canFit(from, to, width)) {
        continue;
      }
      double lack = width - model.width(from, to);
      boolean flush = model.isEnd(to) || model.isForced(to);
      if (!flush && lack > LineWidths.SLACK && isBeyond(loosest, from, to, lack)) {
        return;
      }
      take(state, from, to, width, nextLine, limit);
    }
  }

  /** A line that fits nowhere ends at the first place where it may. */
  private int firstAllowed(int from, boolean mayHyphenate) {
    int to = from + 1;
    while (!mayHyphenate && model.isHyphen(to) && !model.isEnd(to)) {
      to++;
    }
    return to;
  }

  private int lastThatFits(int from, double width) {
    int last = Math.max(from, Math.min(lastFit, model.places() - 1));
    while (last > from && !model.canFit(from, last, width)) {
      last--;
    }
    // a hyphen may fit no more where the word as a whole does
    for (int to = last + 1; to < model.places(); to++) {
      if (model.canFit(from, to, width)) {
        last = to;
      } else if (!model.isHyphen(to)) {
        break;
      }
    }
    lastFit = last;
    int forced = nextForced[from];
    return Math.min(last, forced);
  }

  private boolean isBeyond(double loosest, int from, int to, double lack) {
    return loosest < Double.POSITIVE_INFINITY
        && lack > loosest * model.stretch(from, to) + LineWidths.SLACK;
  }

  private void take(int state, int from, int to, double width, int nextLine, double limit) {
    boolean hyphen = model.isHyphen(to);
    double ratio = model.ratio(from, to, width);
    int own = Demerits.fitness(ratio);
    double sum =
        total[state]
            + lineAlone(model, demerits, from, to, width, ratio)
            + demerits.after(fitness[state], model.isHyphen(from), own, hyphen);
    if (sum <= limit) {
      int inARow = hyphen ? Math.min(hyphens[state] + 1, hyphenStates - 1) : 0;
      add(to, own, inARow, nextLine, sum, state);
    }
  }

  /** Keeps the best way to each state. */
  private void add(int to, int own, int inARow, int lineNumber, double sum, int from) {
    for (int state = firstAtPlace[to]; state >= 0; state = nextAtPlace[state]) {
      if (fitness[state] == own && hyphens[state] == inARow && line[state] == lineNumber) {
        if (sum < total[state]) {
          total[state] = sum;
          before[state] = from;
        }
        return;
      }
    }
    if (count == place.length) {
      grow();
    }
    place[count] = to;
    fitness[count] = (byte) own;
    hyphens[count] = inARow;
    line[count] = lineNumber;
    total[count] = sum;
    before[count] = from;
    nextAtPlace[count] = firstAtPlace[to];
    firstAtPlace[to] = count++;
  }

  private void grow() {
    int size = count * 2;
    place = Arrays.copyOf(place, size);
    fitness = Arrays.copyOf(fitness, size);
    hyphens = Arrays.copyOf(hyphens, size);
    line = Arrays.copyOf(line, size);
    total = Arrays.copyOf(total, size);
    before = Arrays.copyOf(before, size);
    nextAtPlace = Arrays.copyOf(nextAtPlace, size);
  }

  private int[] path(int end) {
    int lines = 0;
    for (int state = end; before[state] >= 0; state = before[state]) {
      lines++;
    }
    int[] places = new int[lines];
    for (int state = end; before[state] >= 0; state = before[state]) {
      places[--lines] = place[state];
    }
    return places;
  }
}
