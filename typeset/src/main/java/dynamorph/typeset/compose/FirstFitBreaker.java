package dynamorph.typeset.compose;

import java.util.Arrays;
import java.util.function.IntToDoubleFunction;

/**
 * Breaks a paragraph line by line: each line takes as many pieces as fit its room. A piece that
 * fits no line stands on a line of its own and is reported; it is cut only at the places that are
 * given for that.
 */
final class FirstFitBreaker {
  private FirstFitBreaker() {}

  /**
   * The places where the lines end, in order.
   *
   * @param lineWidth width of each line by its number, in points
   */
  static int[] places(LineWidths model, IntToDoubleFunction lineWidth) {
    int[] places = new int[Math.min(model.places(), 16)];
    int lines = 0;
    int from = 0;
    int hyphensInARow = 0;
    while (from < model.places() - 1) {
      int to = next(model, from, lineWidth.applyAsDouble(lines), hyphensInARow);
      hyphensInARow = model.isHyphen(to) ? hyphensInARow + 1 : 0;
      if (lines == places.length) {
        places = Arrays.copyOf(places, lines * 2);
      }
      places[lines++] = to;
      from = to;
    }
    int[] ends = Arrays.copyOf(places, lines);
    if (model.settings().breaking().keepLastWord()) {
      pullDown(model, lineWidth, ends);
    }
    return ends;
  }

  private static int next(LineWidths model, int from, double lineWidth, int hyphensInARow) {
    int mostInARow = model.settings().hyphenation().row();
    boolean mayHyphenate = mostInARow == 0 || hyphensInARow < mostInARow;
    int word = -1;
    int hyphen = -1;
    int first = -1;
    int inWord = -1;
    for (int to = from + 1; to < model.places(); to++) {
      boolean isHyphen = model.isHyphen(to);
      if (isHyphen && !mayHyphenate) {
        continue;
      }
      first = first < 0 ? to : first;
      // a hyphen may fit no more where the whole word would have, with its narrower end
      if (model.fits(from, to, lineWidth)) {
        if (model.isEmergency(to)) {
          inWord = to;
        } else if (isHyphen) {
          hyphen = to;
        } else {
          word = to;
        }
      } else if (!isHyphen) {
        break;
      }
      if (model.isForced(to)) {
        break;
      }
    }
    boolean hyphenLast = hyphen > word;
    if (hyphenLast && word > 0 && !model.isJustified()) {
      double lack = lineWidth - model.width(from, word);
      hyphenLast = lack > model.settings().hyphenation().zone();
    }
    int best = hyphenLast ? hyphen : word;
    if (best > 0) {
      return best;
    }
    return inWord > 0 ? inWord : Math.max(first, from + 1);
  }

  /** Gives a single last word company from the line before. */
  private static void pullDown(LineWidths model, IntToDoubleFunction lineWidth, int[] places) {
    int lines = places.length;
    if (lines < 2) {
      return;
    }
    int end = places[lines - 1];
    int lastFrom = places[lines - 2];
    int before = lines > 2 ? places[lines - 3] : 0;
    if (!model.isSingleWord(lastFrom, end) || model.isSingleWord(before, lastFrom)) {
      return;
    }
    for (int place = lastFrom - 1; place > before; place--) {
      boolean ofWords = !model.isHyphen(place) && !model.isEmergency(place);
      if (ofWords && !model.isSingleWord(place, end)) {
        if (model.fits(place, end, lineWidth.applyAsDouble(lines - 1))) {
          places[lines - 2] = place;
        }
        return;
      }
    }
  }
}
