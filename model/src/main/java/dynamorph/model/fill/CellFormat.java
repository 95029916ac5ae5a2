package dynamorph.model.fill;

import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.text.NumberFormat;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How the numbers and dates of cells are written (Unicode Locale Data: number and date patterns).
 * {@code number}, {@code percent}, {@code 0.00}, {@code #,##0}; {@code date}, {@code long}, {@code
 * short}, {@code d MMMM y}; {@code upper} and {@code lower} for words.
 */
public final class CellFormat {
  /** With a point or comma before the fraction, and spaces, commas or points between thousands. */
  private static final Pattern NUMBER =
      Pattern.compile(
          "[-+\u2212]?(?:\\d{1,15}|\\d{1,3}(?:([ ,.'\u00A0\u202F])\\d{3})(?:\\1\\d{3}){0,4})(?:([.,])\\d{1,9})?");

  private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})(?:[T ].*)?");
  private static final Pattern DOTTED =
      Pattern.compile("(\\d{1,2})\\.\\s?(\\d{1,2})\\.\\s?(\\d{4})");
  private static final Pattern SLASHED = Pattern.compile("(\\d{1,2})/(\\d{1,2})/(\\d{4})");

  private CellFormat() {}

  /**
   * A cell in a format.
   *
   * @param language BCP 47 tag of the text that it stands in
   * @return empty if the cell is not what the format is for, or the format is none
   */
  static Optional<String> of(String cell, String format, String language) {
    Locale locale = Locale.forLanguageTag(language);
    try {
      return switch (format) {
        case "" -> Optional.of(cell);
        case "upper" -> Optional.of(cell.toUpperCase(locale));
        case "lower" -> Optional.of(cell.toLowerCase(locale));
        case "number" -> number(cell).map(NumberFormat.getNumberInstance(locale)::format);
        case "percent" -> number(cell).map(NumberFormat.getPercentInstance(locale)::format);
        case "date", "medium" ->
            dated(cell, DateTimeFormatter.ofLocalizedDate(FormatStyle.MEDIUM), locale);
        case "short" -> dated(cell, DateTimeFormatter.ofLocalizedDate(FormatStyle.SHORT), locale);
        case "long" -> dated(cell, DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG), locale);
        case "full" -> dated(cell, DateTimeFormatter.ofLocalizedDate(FormatStyle.FULL), locale);
        default ->
            format.matches(".*[0#].*")
                ? number(cell)
                    .map(
                        new DecimalFormat(format, DecimalFormatSymbols.getInstance(locale))::format)
                : format.matches(".*[dMyEQL].*")
                    ? dated(cell, DateTimeFormatter.ofPattern(format), locale)
                    : Optional.empty();
      };
    } catch (IllegalArgumentException | DateTimeException noPattern) {
      return Optional.empty();
    }
  }

  private static Optional<String> dated(String cell, DateTimeFormatter format, Locale locale) {
    return date(cell).map(format.withLocale(locale)::format);
  }

  /** The number that a cell holds. Three digits behind a lone comma are thousands. */
  static Optional<Double> number(String cell) {
    String plain = cell.strip();
    Matcher found = NUMBER.matcher(plain);
    if (!found.matches()) {
      return Optional.empty();
    }
    String grouping = found.group(1);
    String digits = plain.replace("\u2212", "-").replaceAll("[ '\u00A0\u202F]", "");
    if (plain.matches("[-+]?\\d{1,3},\\d{3}")) {
      return Optional.of(Double.parseDouble(plain.replace(",", "")));
    }
    if (grouping != null && (grouping.equals(",") || grouping.equals("."))) {
      if (grouping.equals(found.group(2))) {
        return Optional.empty();
      }
      digits = digits.replace(grouping, "");
    }
    return Optional.of(Double.parseDouble(digits.replace(',', '.')));
  }

  /** The day that a cell holds: 2026-11-30, 30.11.2026, or 30/11/2026, else 11/30/2026. */
  static Optional<LocalDate> date(String cell) {
    String plain = cell.strip();
    Matcher iso = ISO.matcher(plain);
    if (iso.matches()) {
      return day(iso.group(1), iso.group(2), iso.group(3));
    }
    Matcher dotted = DOTTED.matcher(plain);
    if (dotted.matches()) {
      return day(dotted.group(3), dotted.group(2), dotted.group(1));
    }
    Matcher slashed = SLASHED.matcher(plain);
    return slashed.matches()
        ? day(slashed.group(3), slashed.group(2), slashed.group(1))
            .or(() -> day(slashed.group(3), slashed.group(1), slashed.group(2)))
        : Optional.empty();
  }

  private static Optional<LocalDate> day(String year, String month, String day) {
    try {
      return Optional.of(
          LocalDate.of(Integer.parseInt(year), Integer.parseInt(month), Integer.parseInt(day)));
    } catch (DateTimeException none) {
      return Optional.empty();
    }
  }
}
