package dynamorph.app.field;

import dynamorph.model.value.Numbers;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Numbers within a list that is written as text. */
final class NumberInText {
  private static final Pattern NUMBER = Pattern.compile("([0-9]+(?:\\.[0-9]+)?)\\s*(em|pt|%)?");

  private NumberInText() {}

  /**
   * The text with the number at the caret nudged; all of them if the caret is at none. None gets
   * below 0.
   */
  static String nudged(String text, int caret, double steps) {
    Matcher numbers = NUMBER.matcher(text);
    boolean one =
        NUMBER.matcher(text).results().anyMatch(at -> at.start() <= caret && caret <= at.end());
    StringBuilder nudged = new StringBuilder();
    while (numbers.find()) {
      boolean meant = !one || numbers.start() <= caret && caret <= numbers.end();
      double step = "em".equals(numbers.group(2)) ? 0.01 : "%".equals(numbers.group(2)) ? 1 : 0.5;
      double value = Double.parseDouble(numbers.group(1)) + (meant ? steps * step : 0);
      String unit = text.substring(numbers.end(1), numbers.end());
      numbers.appendReplacement(
          nudged, Numbers.format(Math.max(0, Math.rint(value * 1e6) / 1e6)) + unit);
    }
    return numbers.appendTail(nudged).toString();
  }
}
