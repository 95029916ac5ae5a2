package dynamorph.typeset.language;

import java.util.Locale;

/**
 * The quotation marks of a language, after Unicode's CLDR (delimiters).
 *
 * @param open before quoted words
 * @param close behind them
 * @param innerOpen before a quotation inside of one
 * @param innerClose behind it; in most languages also the apostrophe
 */
public record QuotationMarks(String open, String close, String innerOpen, String innerClose) {
  private static final String APOSTROPHE = "\u2019";

  /** The marks of a language. */
  public static QuotationMarks of(String language) {
    return switch (Locale.forLanguageTag(language).getLanguage()) {
      case "de", "cs", "sk", "sl", "hr" ->
          new QuotationMarks("\u201E", "\u201C", "\u201A", "\u2018");
      case "fr" ->
          new QuotationMarks("\u00AB\u202F", "\u202F\u00BB", "\u2039\u202F", "\u202F\u203A");
      case "es", "it", "pt", "ca", "el", "ru", "uk", "nb", "no" ->
          new QuotationMarks("\u00AB", "\u00BB", "\u201C", "\u201D");
      case "pl", "ro", "hu" -> new QuotationMarks("\u201E", "\u201D", "\u00AB", "\u00BB");
      case "sv", "fi" -> new QuotationMarks("\u201D", "\u201D", "\u2019", "\u2019");
      case "ja", "zh" -> new QuotationMarks("\u300C", "\u300D", "\u300E", "\u300F");
      default -> new QuotationMarks("\u201C", "\u201D", "\u2018", "\u2019");
    };
  }

  /**
   * The mark that a straight one stands for.
   *
   * @param typed {@code "} or {@code '}
   * @param before the text before it
   */
  public String mark(char typed, CharSequence before) {
    boolean opens = opens(before);
    if (typed == '"') {
      return opens ? open : close;
    }
    return opens ? innerOpen : APOSTROPHE;
  }

  private static boolean opens(CharSequence before) {
    if (before.isEmpty()) {
      return true;
    }
    char last = before.charAt(before.length() - 1);
    return Character.isWhitespace(last)
        || Character.isSpaceChar(last)
        || "([{\u2014\u2013-/\u201C\u2018\u201E\u201A\u00AB\u2039\u300C".indexOf(last) >= 0;
  }
}
