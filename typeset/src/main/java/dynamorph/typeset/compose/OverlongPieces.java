package dynamorph.typeset.compose;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import dynamorph.model.text.RubyBase;
import java.util.BitSet;
import java.util.List;

/**
 * Where pieces that are longer than a line are cut in an emergency: between what is seen as one
 * letter (UAX #29), never below a ruby.
 */
final class OverlongPieces {
  private OverlongPieces() {}

  /**
   * The units before which such pieces may be cut; empty if all fit.
   *
   * @param lineWidth of the narrowest line, in points
   */
  static BitSet places(LineWidths model, double lineWidth, List<RubyBase> ruby) {
    BitSet places = new BitSet();
    for (int to = 1; to < model.places(); to++) {
      if (!model.canFit(to - 1, to, lineWidth)) {
        addLetters(model, to, places);
      }
    }
    for (RubyBase base : ruby) {
      places.clear(Math.min(base.start() + 1, base.end()), base.end());
    }
    return places;
  }

  private static void addLetters(LineWidths model, int to, BitSet places) {
    int start = model.start(to - 1);
    int end = Math.max(start, model.ink(to));
    BreakIterator letters = BreakIterator.getCharacterInstance(ULocale.ROOT);
    letters.setText(model.text().substring(start, end));
    letters.first();
    for (int at = letters.next(); at != BreakIterator.DONE && start + at < end; ) {
      places.set(start + at);
      at = letters.next();
    }
  }
}
