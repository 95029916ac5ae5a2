package dynamorph.typeset.caption;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import dynamorph.model.Layer;
import dynamorph.model.timeline.CaptionRules;
import dynamorph.model.timeline.Track;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Breaks captions into lines: as few as possible, each within the length that the rules allow, of
 * about the same length, broken where the sense breaks: after punctuation, before conjunctions, and
 * not behind an article or a preposition. Nothing is ever lost: what does not fit makes more lines
 * or longer ones.
 *
 * <p>All breaks that Unicode allows (UAX 14) are weighed at once by dynamic programming, as Knuth
 * and Plass do for paragraphs (1981); the cost of a line is the square of what it differs from the
 * mean, that of a break what it does to the sense.
 */
public final class CaptionBreaks {
  /** What a break after an article or preposition costs, in squares of characters. */
  private static final double TORN = 160;

  /** What a break after punctuation saves. */
  private static final double AT_PUNCTUATION = -90;

  /** What a break before a conjunction saves. */
  private static final double BEFORE_CONJUNCTION = -40;

  /** What each character over the length costs. */
  private static final double TOO_LONG = 4000;

  /** Words that belong to what follows them. */
  private static final Map<String, Set<String>> LEADING =
      Map.of(
          "en",
          Set.of(
              "a", "an", "the", "of", "in", "on", "at", "to", "for", "from", "with", "by", "as",
              "my", "your", "his", "her", "its", "our", "their", "this", "that", "these", "those",
              "no", "not", "is", "was", "i", "he", "she", "we", "they", "mr", "mrs", "dr"),
          "de",
          Set.of(
              "der", "die", "das", "den", "dem", "des", "ein", "eine", "einen", "einem", "einer",
              "in", "im", "an", "am", "auf", "aus", "bei", "mit", "nach", "seit", "von", "vom",
              "zu", "zum", "zur", "mein", "dein", "sein", "ihr", "nicht"),
          "fr",
          Set.of(
              "le", "la", "les", "un", "une", "des", "du", "de", "\u00e0", "au", "aux", "en",
              "dans", "sur", "par", "pour", "avec", "sans", "mon", "ton", "son", "ma", "ta", "sa",
              "ne"),
          "es",
          Set.of(
              "el", "la", "los", "las", "un", "una", "unos", "unas", "de", "del", "a", "al", "en",
              "con", "por", "para", "sin", "mi", "tu", "su", "no"));

  /** Words that begin a new thought. */
  private static final Map<String, Set<String>> CONJUNCTIONS =
      Map.of(
          "en", Set.of("and", "but", "or", "because", "when", "while", "if", "so", "which", "who"),
          "de", Set.of("und", "aber", "oder", "weil", "wenn", "dass", "denn", "der", "die", "das"),
          "fr", Set.of("et", "mais", "ou", "parce", "quand", "si", "que", "qui"),
          "es", Set.of("y", "pero", "o", "porque", "cuando", "si", "que"));

  private CaptionBreaks() {}

  /** The lines of a cue's words, whatever breaks they have now. */
  public static List<String> lines(Layer cue, Track.Captions track) {
    return lines(cue.story().text(), track.language(), track.rules());
  }

  /**
   * Breaks text into lines.
   *
   * @param text breaks in it count as spaces
   * @param language a BCP 47 tag, whose articles and prepositions are kept with what follows
   */
  public static List<String> lines(String text, String language, CaptionRules rules) {
    String plain = text.replaceAll("\\s+|[\\u2028\\u2029]", " ").strip();
    int length = plain.codePointCount(0, plain.length());
    if (length <= rules.lineLength()) {
      return List.of(plain);
    }
    List<Integer> breaks = breaks(plain, language);
    for (int count = Math.ceilDiv(length, rules.lineLength()); count < breaks.size(); count++) {
      List<String> lines = broken(plain, breaks, count, language, rules.lineLength());
      if (lines.stream().allMatch(line -> count(line) <= rules.lineLength())) {
        return lines;
      }
    }
    return broken(plain, breaks, breaks.size() - 1, language, rules.lineLength());
  }

  private static int count(String line) {
    return line.codePointCount(0, line.length());
  }

  /** Where a line may begin or end, the start and the end included. */
  private static List<Integer> breaks(String text, String language) {
    BreakIterator iterator = BreakIterator.getLineInstance(ULocale.forLanguageTag(language));
    iterator.setText(text);
    List<Integer> breaks = new ArrayList<>();
    for (int at = iterator.first(); at != BreakIterator.DONE; at = iterator.next()) {
      breaks.add(at);
    }
    return breaks;
  }

  /** The best way to make a number of lines. */
  private static List<String> broken(
      String text, List<Integer> breaks, int lines, String language, int longest) {
    int places = breaks.size();
    double mean = (double) count(text) / lines;
    double[][] cost = new double[lines + 1][places];
    int[][] from = new int[lines + 1][places];
    for (double[] row : cost) {
      java.util.Arrays.fill(row, Double.POSITIVE_INFINITY);
    }
    cost[0][0] = 0;
    // a line is never much longer than allowed, so only near breaks can begin it
    for (int line = 1; line <= lines; line++) {
      for (int end = line; end < places; end++) {
        for (int start = end - 1; start >= line - 1; start--) {
          int length = count(text.substring(breaks.get(start), breaks.get(end)).stripTrailing());
          if (length > longest && start < end - 1) {
            break;
          }
          double own = (length - mean) * (length - mean) + Math.max(0, length - longest) * TOO_LONG;
          double sum = cost[line - 1][start] + own + sense(text, breaks.get(end), language);
          if (sum < cost[line][end]) {
            cost[line][end] = sum;
            from[line][end] = start;
          }
        }
      }
    }
    List<String> made = new ArrayList<>();
    int end = places - 1;
    for (int line = lines; line > 0 && Double.isFinite(cost[line][end]); line--) {
      int start = from[line][end];
      made.addFirst(text.substring(breaks.get(start), breaks.get(end)).strip());
      end = start;
    }
    return end == 0 && !made.isEmpty() ? made : List.of(text);
  }

  /** What a break at a place does to the sense. */
  private static double sense(String text, int at, String language) {
    if (at >= text.length()) {
      return 0;
    }
    String before = text.substring(0, at).stripTrailing();
    char last = before.isEmpty() ? ' ' : before.charAt(before.length() - 1);
    if (",;:.!?\u2026\u2014\u2013)\u3001\u3002\uff0c\uff01\uff1f\u060c\u061b\u061f".indexOf(last)
        >= 0) {
      return AT_PUNCTUATION;
    }
    String tongue = Locale.forLanguageTag(language).getLanguage();
    String ended = word(before.substring(before.lastIndexOf(' ') + 1));
    if (LEADING.getOrDefault(tongue, Set.of()).contains(ended)) {
      return TORN;
    }
    String rest = text.substring(at).stripLeading();
    int space = rest.indexOf(' ');
    String next = word(space < 0 ? rest : rest.substring(0, space));
    return CONJUNCTIONS.getOrDefault(tongue, Set.of()).contains(next) ? BEFORE_CONJUNCTION : 0;
  }

  private static String word(String text) {
    return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{M}]", "");
  }
}
