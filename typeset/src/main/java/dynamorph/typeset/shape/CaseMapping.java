package dynamorph.typeset.shape;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.text.CaseMap;
import com.ibm.icu.text.Edits;
import dynamorph.model.value.TextCase;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;

/**
 * The letters as they are shown, with the way back to the letters as they were typed: {@code ß} in
 * capitals is two letters, both of which belong to the one typed.
 *
 * @param text what is shown
 * @param source for each shown unit the typed unit it comes from, and one more entry for the end
 * @param spanEnds end of each span in the shown text
 * @param small units of the shown text that are capitals standing for small ones
 */
record CaseMapping(String text, int[] source, int[] spanEnds, BitSet small) {
  static CaseMapping of(String typed, List<ShapeKey.SpanType> spans, List<ShapePlan> treatments) {
    StringBuilder shown = new StringBuilder();
    int[] source =
        new int
            [spans.stream().allMatch(CaseMapping::isAsTyped)
                ? typed.length() + 1
                : typed.length() * 3 + 1];
    BitSet small = new BitSet();
    int[] spanEnds = new int[spans.size()];
    int from = 0;
    for (int index = 0; index < spans.size(); ) {
      ShapeKey.SpanType span = spans.get(index);
      int next = index;
      int to = from;
      // the letters around it decide how one is written, whatever span they are in
      while (next < spans.size() && isMappedAlike(spans, treatments, index, next)) {
        to += spans.get(next++).length();
      }
      int shownFrom = shown.length();
      append(shown, source, typed, from, to, span, treatments.get(index));
      if (treatments.get(index).smallCapitals()) {
        markSmall(small, shown, source, typed, shownFrom, span);
      }
      int typedEnd = from;
      int shownEnd = shownFrom;
      for (; index < next; index++) {
        typedEnd += spans.get(index).length();
        while (shownEnd < shown.length() && source[shownEnd] < typedEnd) {
          shownEnd++;
        }
        spanEnds[index] = shownEnd;
      }
      from = to;
    }
    source[shown.length()] = typed.length();
    return new CaseMapping(wellFormed(shown), source, spanEnds, small);
  }

  private static boolean isMappedAlike(
      List<ShapeKey.SpanType> spans, List<ShapePlan> treatments, int one, int other) {
    return spans.get(one).textCase() == spans.get(other).textCase()
        && spans.get(one).language().equals(spans.get(other).language())
        && treatments.get(one).smallCapitals() == treatments.get(other).smallCapitals();
  }

  /**
   * Half a surrogate pair, as broken files hold it, is shown as U+FFFD; the shaper takes only
   * well-formed text.
   */
  private static String wellFormed(StringBuilder text) {
    for (int unit = 0; unit < text.length(); unit++) {
      char own = text.charAt(unit);
      boolean paired =
          Character.isHighSurrogate(own)
              && unit + 1 < text.length()
              && Character.isLowSurrogate(text.charAt(unit + 1));
      if (paired) {
        unit++;
      } else if (Character.isSurrogate(own)) {
        text.setCharAt(unit, '\uFFFD');
      }
    }
    return text.toString();
  }

  private static void append(
      StringBuilder shown,
      int[] source,
      String typed,
      int from,
      int to,
      ShapeKey.SpanType span,
      ShapePlan treatment) {
    String piece = typed.substring(from, to);
    boolean asTyped =
        isAsTyped(span)
            || (span.textCase() == TextCase.SMALL_CAPITALS
                    || span.textCase() == TextCase.ALL_SMALL_CAPITALS)
                && !treatment.smallCapitals();
    if (asTyped || piece.isEmpty()) {
      for (int unit = from; unit < to; unit++) {
        source[shown.length()] = unit;
        shown.append(typed.charAt(unit));
      }
      return;
    }
    Edits edits = new Edits();
    StringBuilder mapped = new StringBuilder();
    map(piece, span, mapped, edits);
    Edits.Iterator iterator = edits.getFineIterator();
    for (int unit = 0; unit < mapped.length(); unit++) {
      source[shown.length() + unit] = from + iterator.sourceIndexFromDestinationIndex(unit);
    }
    shown.append(mapped);
  }

  private static void map(String piece, ShapeKey.SpanType span, StringBuilder into, Edits edits) {
    Locale locale = Locale.forLanguageTag(span.language());
    switch (span.textCase()) {
      case UPPER, SMALL_CAPITALS, ALL_SMALL_CAPITALS ->
          CaseMap.toUpper().apply(locale, piece, into, edits);
      case LOWER -> CaseMap.toLower().apply(locale, piece, into, edits);
      case TITLE ->
          CaseMap.toTitle()
              .noLowercase()
              .apply(locale, BreakIterator.getWordInstance(locale), piece, into, edits);
      case AS_TYPED -> into.append(piece);
    }
  }

  private static boolean isAsTyped(ShapeKey.SpanType span) {
    return span.textCase() == TextCase.AS_TYPED;
  }

  /** Which capitals are drawn small: those of small letters, or all of them. */
  private static void markSmall(
      BitSet small,
      StringBuilder shown,
      int[] source,
      String typed,
      int from,
      ShapeKey.SpanType span) {
    boolean all = span.textCase() == TextCase.ALL_SMALL_CAPITALS;
    for (int unit = from; unit < shown.length(); unit++) {
      char own = typed.charAt(source[unit]);
      small.set(unit, Character.isLowerCase(own) || all && Character.isUpperCase(own));
    }
  }
}
