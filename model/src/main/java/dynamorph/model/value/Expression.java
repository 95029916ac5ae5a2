package dynamorph.model.value;

import dynamorph.model.message.Messages;

/**
 * The arithmetic that a number field understands: {@code 12*1.5}, {@code (3+4)/2 mm}, {@code 1 in -
 * 2 mm}.
 *
 * <p>Grammar: sum = product (("+"|"-") product)*; product = factor (("*"|"×"|"/") factor)*; factor
 * = "-" factor | "(" sum ")" | number unit?. Units turn into points: pt 1, mm 72/25.4, cm, in 72,
 * px 1 (a point of a screen artboard).
 */
public final class Expression {
  private final String text;
  private int at;

  private Expression(String text) {
    this.text = text.replace('\u2212', '-').replace(',', '.');
  }

  /**
   * The value of the expression; a bare number counts as points.
   *
   * @throws IllegalArgumentException naming the place where it stops making sense
   */
  public static double evaluate(String text) {
    Expression expression = new Expression(text);
    double value = expression.sum();
    expression.skipSpace();
    if (expression.at < expression.text.length()) {
      throw expression.nonsense();
    }
    if (!Double.isFinite(value)) {
      throw new IllegalArgumentException(Messages.of("expression.has-no-finite-value", text));
    }
    return value;
  }

  private double sum() {
    double value = product();
    while (true) {
      if (take('+')) {
        value += product();
      } else if (take('-')) {
        value -= product();
      } else {
        return value;
      }
    }
  }

  private double product() {
    double value = factor();
    while (true) {
      if (take('*') || take('\u00d7')) {
        value *= factor();
      } else if (take('/')) {
        value /= factor();
      } else {
        return value;
      }
    }
  }

  private double factor() {
    if (take('-')) {
      return -factor();
    }
    if (take('(')) {
      double value = sum();
      if (!take(')')) {
        throw nonsense();
      }
      return value;
    }
    return number() * unit();
  }

  private double number() {
    skipSpace();
    int from = at;
    while (at < text.length() && (Character.isDigit(text.charAt(at)) || text.charAt(at) == '.')) {
      at++;
    }
    try {
      return Double.parseDouble(text.substring(from, at));
    } catch (NumberFormatException notANumber) {
      at = from;
      throw nonsense();
    }
  }

  private double unit() {
    skipSpace();
    int from = at;
    while (at < text.length() && Character.isLetter(text.charAt(at))) {
      at++;
    }
    return switch (text.substring(from, at)) {
      case "", "pt", "px" -> 1;
      case "mm" -> 72 / 25.4;
      case "cm" -> 720 / 25.4;
      case "in" -> 72;
      default -> {
        at = from;
        throw nonsense();
      }
    };
  }

  private boolean take(char symbol) {
    skipSpace();
    if (at < text.length() && text.charAt(at) == symbol) {
      at++;
      return true;
    }
    return false;
  }

  private void skipSpace() {
    while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
      at++;
    }
  }

  private IllegalArgumentException nonsense() {
    String where =
        at < text.length()
            ? Messages.of("expression.at", text.substring(at))
            : Messages.of("expression.at-its-end");
    return new IllegalArgumentException(
        Messages.of("expression.cannot-work-out", text.strip(), where));
  }
}
