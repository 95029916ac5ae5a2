package dynamorph.typeset.language;

import com.ibm.icu.text.Bidi;
import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import dynamorph.model.value.TextDirection;
import java.util.ArrayList;
import java.util.List;

/** Where a text has boundaries, as Unicode says; by ICU. Offsets are UTF-16 units. */
public final class TextBoundaries {
  private static final String MIXED = "\u2029a \u05D0";

  private TextBoundaries() {}

  /** Where a line may end (UAX #14), the end of the text included. */
  public static List<Integer> lines(String text, String language) {
    return after(BreakIterator.getLineInstance(ULocale.forLanguageTag(language)), text);
  }

  /** Where letters as people see them begin and end (UAX #29), both ends of the text included. */
  public static List<Integer> graphemes(String text) {
    return all(BreakIterator.getCharacterInstance(ULocale.ROOT), text);
  }

  /** Where words begin and end (UAX #29), both ends of the text included. */
  public static List<Integer> words(String text, String language) {
    return all(BreakIterator.getWordInstance(ULocale.forLanguageTag(language)), text);
  }

  /** The bidi level of each unit (UAX #9); every line end begins a paragraph of its own. */
  public static byte[] levels(String text, TextDirection direction) {
    // ICU gives all letters one level where their order does not need more; a paragraph of
    // both directions behind them makes it work all levels out and changes none of them
    Bidi bidi = new Bidi();
    bidi.setPara(text + MIXED, level(direction), null);
    return java.util.Arrays.copyOf(bidi.getLevels(), text.length());
  }

  /** The paragraph level that ICU is given for a direction. */
  public static byte level(TextDirection direction) {
    return switch (direction) {
      case AUTOMATIC -> Bidi.LEVEL_DEFAULT_LTR;
      case LEFT_TO_RIGHT -> 0;
      case RIGHT_TO_LEFT -> 1;
    };
  }

  private static List<Integer> all(BreakIterator boundaries, String text) {
    List<Integer> all = new ArrayList<>();
    all.add(0);
    if (!text.isEmpty()) {
      all.addAll(after(boundaries, text));
    }
    return all;
  }

  private static List<Integer> after(BreakIterator boundaries, String text) {
    List<Integer> found = new ArrayList<>();
    boundaries.setText(text);
    for (int at = boundaries.next(); at != BreakIterator.DONE; at = boundaries.next()) {
      found.add(at);
    }
    return found;
  }
}
