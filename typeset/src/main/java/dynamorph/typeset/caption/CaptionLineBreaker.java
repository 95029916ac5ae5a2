package dynamorph.typeset.caption;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import dynamorph.model.Layer;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.RubyBase;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.CaptionRules;
import dynamorph.model.timeline.Track;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
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
public final class CaptionLineBreaker {
  /** What a break after an article or preposition costs, in squares of characters. */
  private static final double TORN = 160;

  /** What a break after punctuation saves. */
  private static final double AT_PUNCTUATION = -90;

  /** What a break before a conjunction saves. */
  private static final double BEFORE_CONJUNCTION = -40;

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

  private CaptionLineBreaker() {}

  /** The lines of a cue's words, whatever breaks they have now. */
  public static List<String> lines(Layer cue, Track.Captions track) {
    return lines(cue.story().text(), track.language(), track.rules(), insideBases(cue.story()));
  }

  /** How many letters stand before each place inside of letters that are read together. */
  private static BitSet insideBases(Story story) {
    BitSet inside = new BitSet();
    if (story.paragraphs().stream().allMatch(paragraph -> paragraph.rubyBases().isEmpty())) {
      return inside;
    }
    int letters = 0;
    for (Paragraph paragraph : story.paragraphs()) {
      String text = paragraph.text();
      List<RubyBase> bases =
          paragraph.rubyBases().stream().flatMap(base -> base.overLetters(text).stream()).toList();
      for (int unit = 0; unit < text.length(); unit++) {
        int at = unit;
        if (bases.stream().anyMatch(base -> base.start() < at && at < base.end())) {
          inside.set(letters);
        }
        letters += isLetter(text.charAt(unit)) ? 1 : 0;
      }
    }
    return inside;
  }

  private static boolean isLetter(char unit) {
    return !Character.isWhitespace(unit);
  }

  /**
   * Breaks text into lines.
   *
   * @param text breaks in it count as spaces
   * @param language a BCP 47 tag, whose articles and prepositions are kept with what follows
   */
  public static List<String> lines(String text, String language, CaptionRules rules) {
    return lines(text, language, rules, new BitSet());
  }

  private static List<String> lines(
      String text, String language, CaptionRules rules, BitSet inside) {
    String plain = text.replaceAll("\\s+|[\\u2028\\u2029]", " ").strip();
    int length = plain.codePointCount(0, plain.length());
    if (length <= rules.lineLength()) {
      return List.of(plain);
    }
    return new Words(plain, language, rules.lineLength(), inside).lines();
  }

  /** Words with what is known of each place where a line may end. */
  private static final class Words {
    private final String text;
    private final int longest;
    private final int[] breaks;
    private final double[] sense;
    private final int[] read;
    private final int[] trimmed;

    /**
     * @param inside how many letters stand before places where no line ends
     */
    Words(String text, String language, int longest, BitSet inside) {
      this.text = text;
      this.longest = longest;
      BreakIterator iterator = BreakIterator.getLineInstance(ULocale.forLanguageTag(language));
      iterator.setText(text);
      List<Integer> found = new ArrayList<>();
      int letters = 0;
      int before = 0;
      for (int at = iterator.first(); at != BreakIterator.DONE; at = iterator.next()) {
        for (; before < at; before++) {
          letters += isLetter(text.charAt(before)) ? 1 : 0;
        }
        if (!inside.get(letters)) {
          found.add(at);
        }
      }
      this.breaks = found.stream().mapToInt(Integer::intValue).toArray();
      this.sense = new double[breaks.length];
      this.read = new int[breaks.length];
      this.trimmed = new int[breaks.length];
      for (int place = 1; place < breaks.length; place++) {
        String piece = text.substring(breaks[place - 1], breaks[place]);
        read[place] = read[place - 1] + piece.codePointCount(0, piece.length());
        int spaces = piece.length() - piece.stripTrailing().length();
        trimmed[place] = read[place] - spaces;
        sense[place] = sense(text, breaks[place - 1], breaks[place], language);
      }
    }

    /** Characters of a line between two places. */
    private int length(int start, int end) {
      return trimmed[end] - read[start];
    }

    List<String> lines() {
      int count = fewest();
      int places = breaks.length;
      double mean = (double) read[places - 1] / count;
      double[][] cost = new double[count + 1][places];
      int[][] from = new int[count + 1][places];
      for (double[] row : cost) {
        Arrays.fill(row, Double.POSITIVE_INFINITY);
      }
      cost[0][0] = 0;
      for (int line = 1; line <= count; line++) {
        for (int end = line; end < places; end++) {
          // a line is never longer than allowed unless it cannot be divided
          for (int start = end - 1; start >= line - 1; start--) {
            int length = length(start, end);
            if (length > longest && start < end - 1) {
              break;
            }
            double sum = cost[line - 1][start] + (length - mean) * (length - mean) + sense[end];
            if (sum < cost[line][end]) {
              cost[line][end] = sum;
              from[line][end] = start;
            }
          }
        }
      }
      List<String> made = new ArrayList<>();
      int end = places - 1;
      for (int line = count; line > 0; line--) {
        int start = from[line][end];
        made.addFirst(text.substring(breaks[start], breaks[end]).strip());
        end = start;
      }
      return made;
    }

    /** As many lines as there are when each takes as much as it can. */
    private int fewest() {
      int count = 0;
      int start = 0;
      while (start < breaks.length - 1) {
        int end = start + 1;
        while (end + 1 < breaks.length && length(start, end + 1) <= longest) {
          end++;
        }
        start = end;
        count++;
      }
      return count;
    }
  }

  /** What a break at a place does to the sense. */
  private static double sense(String text, int from, int at, String language) {
    if (at >= text.length()) {
      return 0;
    }
    String piece = text.substring(from, at).stripTrailing();
    char last = piece.isEmpty() ? ' ' : piece.charAt(piece.length() - 1);
    if (",;:.!?\u2026\u2014\u2013)\u3001\u3002\uff0c\uff01\uff1f\u060c\u061b\u061f".indexOf(last)
        >= 0) {
      return AT_PUNCTUATION;
    }
    String tongue = Locale.forLanguageTag(language).getLanguage();
    if (LEADING.getOrDefault(tongue, Set.of()).contains(word(piece))) {
      return TORN;
    }
    int end = at;
    while (end < text.length() && !Character.isWhitespace(text.charAt(end))) {
      end++;
    }
    String next = word(text.substring(at, end));
    return CONJUNCTIONS.getOrDefault(tongue, Set.of()).contains(next) ? BEFORE_CONJUNCTION : 0;
  }

  private static String word(String text) {
    return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{M}]", "");
  }
}
