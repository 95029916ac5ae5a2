package dynamorph.typeset.compose;

import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.value.NumberStyle;
import java.util.Locale;

/** What stands before the paragraphs of a list. */
public final class ListMarks {
  private static final int[] VALUES = {1000, 900, 500, 400, 100, 90, 50, 40, 10, 9, 5, 4, 1};
  private static final String[] NUMERALS = {
    "m", "cm", "d", "cd", "c", "xc", "l", "xl", "x", "ix", "v", "iv", "i"
  };

  /** Roman numerals are written up to here. */
  private static final int LARGEST_ROMAN = 3999;

  private ListMarks() {}

  /**
   * The mark of a paragraph.
   *
   * @param place how many paragraphs of the same list stand directly before it
   * @return empty for a paragraph of no list
   */
  public static String of(ParagraphLook.ListMark list, int place) {
    return switch (list.kind()) {
      case NONE -> "";
      case BULLETS -> list.bullet();
      case NUMBERS -> number(list.numbers(), list.start() + place) + list.after();
    };
  }

  static String number(NumberStyle style, int number) {
    return switch (style) {
      case DECIMAL -> Integer.toString(number);
      case LOWER_LETTERS -> letters(number);
      case UPPER_LETTERS -> letters(number).toUpperCase(Locale.ROOT);
      case LOWER_ROMAN -> roman(number);
      case UPPER_ROMAN -> roman(number).toUpperCase(Locale.ROOT);
    };
  }

  /** a to z, then aa, ab and so on. */
  private static String letters(int number) {
    if (number < 1) {
      return Integer.toString(number);
    }
    StringBuilder letters = new StringBuilder();
    for (int rest = number; rest > 0; rest = (rest - 1) / 26) {
      letters.insert(0, (char) ('a' + (rest - 1) % 26));
    }
    return letters.toString();
  }

  private static String roman(int number) {
    if (number < 1 || number > LARGEST_ROMAN) {
      return Integer.toString(number);
    }
    StringBuilder numerals = new StringBuilder();
    int rest = number;
    for (int index = 0; index < VALUES.length; index++) {
      while (rest >= VALUES[index]) {
        numerals.append(NUMERALS[index]);
        rest -= VALUES[index];
      }
    }
    return numerals.toString();
  }
}
