package dynamorph.typeset.caption;

import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.List;

/** Changes the words of cues without changing what they look like. */
public final class CueText {
  /** Breaks a line inside a paragraph (U+2028, line separator). */
  public static final char BREAK = '\u2028';

  private CueText() {}

  /** The two parts of a cue's words; the spaces where they part go. */
  public record Halves(Story first, Story second) {}

  /** The words with breaks where the lines end, and nowhere else. */
  public static Story broken(Story story, List<String> lines) {
    String text = story.text();
    List<TextRange> between = new ArrayList<>();
    int at = skipped(text, 0);
    for (String line : lines) {
      int start = at;
      at = behind(text, start, line);
      // breaks inside of what is one line now become spaces
      for (int inside = start; inside < at; inside++) {
        if (isBreak(text.charAt(inside))) {
          between.add(new TextRange(inside, inside + 1));
        }
      }
      int next = skipped(text, at);
      if (next < text.length()) {
        between.add(new TextRange(at, next));
      }
      at = next;
    }
    Story changed = story;
    // from the end, so that offsets stay
    for (TextRange gap : between.reversed()) {
      boolean endsLine = !isInside(text, gap, lines);
      changed = changed.replace(gap, endsLine ? String.valueOf(BREAK) : " ");
    }
    return changed;
  }

  /** Whether a gap lies between two words of the same line. */
  private static boolean isInside(String text, TextRange gap, List<String> lines) {
    int read = letters(text.substring(0, gap.start()));
    int ended = 0;
    for (String line : lines) {
      ended += letters(line);
      if (ended == read) {
        return false;
      }
    }
    return true;
  }

  private static int letters(String text) {
    int count = 0;
    for (int index = 0; index < text.length(); index++) {
      count += isSpace(text.charAt(index)) ? 0 : 1;
    }
    return count;
  }

  /** Where as many letters have been passed as a line has. */
  private static int behind(String text, int from, String line) {
    int left = letters(line);
    int at = from;
    while (left > 0 && at < text.length()) {
      left -= isSpace(text.charAt(at)) ? 0 : 1;
      at++;
    }
    return at;
  }

  /** Words and the spaces between them that are compared, at most; longer texts change as one. */
  private static final int MOST_WORDS = 1500;

  /**
   * Other words: those that stay keep their look, and those that come take that of their place. The
   * words in common are a longest common subsequence (Wagner and Fischer 1974).
   */
  public static Story retold(Story story, String text) {
    List<String> was = words(story.text());
    List<String> is = words(text);
    if (was.size() > MOST_WORDS || is.size() > MOST_WORDS) {
      return story.replace(story.all(), text);
    }
    int[][] common = common(was, is);
    Story changed = story;
    int offset = 0;
    int one = 0;
    int other = 0;
    while (one < was.size() || other < is.size()) {
      if (one < was.size() && other < is.size() && was.get(one).equals(is.get(other))) {
        offset += was.get(one++).length();
        other++;
        continue;
      }
      StringBuilder comes = new StringBuilder();
      int goes = 0;
      while ((one < was.size() || other < is.size())
          && !(one < was.size() && other < is.size() && was.get(one).equals(is.get(other)))) {
        boolean drop =
            other == is.size()
                || one < was.size() && common[one + 1][other] >= common[one][other + 1];
        if (drop) {
          goes += was.get(one++).length();
        } else {
          comes.append(is.get(other++));
        }
      }
      changed = swapped(changed, new TextRange(offset, offset + goes), comes.toString());
      offset += comes.length();
    }
    return changed;
  }

  /** The words with every line on a line of its own, as tables and fields show them. */
  public static String inLines(Story story) {
    return story.text().replace(BREAK, '\n');
  }

  /**
   * Other words as tables and fields give them: where all lines of a story are parted as those of a
   * cue are, new ones are too; else they are paragraphs.
   *
   * @param lines with line feeds between them
   */
  public static Story retoldInLines(Story story, String lines) {
    String text = lines.replace("\r\n", "\n").replace('\r', '\n');
    boolean cue = story.paragraphs().size() == 1 && story.text().indexOf(BREAK) >= 0;
    return text.equals(inLines(story))
        ? story
        : retold(story, cue ? text.replace('\n', BREAK) : text);
  }

  /** Only what differs is replaced: scripts without spaces have very long words. */
  private static Story swapped(Story story, TextRange range, String words) {
    String was = story.text(range);
    int least = Math.min(was.length(), words.length());
    int head = 0;
    while (head < least && was.charAt(head) == words.charAt(head)) {
      head++;
    }
    int tail = 0;
    while (tail < least - head
        && was.charAt(was.length() - 1 - tail) == words.charAt(words.length() - 1 - tail)) {
      tail++;
    }
    if (head > 0 && Character.isHighSurrogate(was.charAt(head - 1))) {
      head--;
    }
    if (tail > 0 && Character.isLowSurrogate(was.charAt(was.length() - tail))) {
      tail--;
    }
    return story.replace(
        new TextRange(range.start() + head, range.end() - tail),
        words.substring(head, words.length() - tail));
  }

  /** How many words two texts have in common behind each pair of places. */
  private static int[][] common(List<String> was, List<String> is) {
    int[][] common = new int[was.size() + 1][is.size() + 1];
    for (int one = was.size() - 1; one >= 0; one--) {
      for (int other = is.size() - 1; other >= 0; other--) {
        common[one][other] =
            was.get(one).equals(is.get(other))
                ? common[one + 1][other + 1] + 1
                : Math.max(common[one + 1][other], common[one][other + 1]);
      }
    }
    return common;
  }

  private static List<String> words(String text) {
    List<String> words = new ArrayList<>();
    int start = 0;
    for (int index = 1; index <= text.length(); index++) {
      boolean ends =
          index == text.length() || isSpace(text.charAt(index)) != isSpace(text.charAt(index - 1));
      if (ends) {
        words.add(text.substring(start, index));
        start = index;
      }
    }
    return words;
  }

  /**
   * Cuts words in two.
   *
   * @param offset between two letters
   */
  public static Halves halves(Story story, int offset) {
    String text = story.text();
    int end = offset;
    while (end > 0 && isSpace(text.charAt(end - 1))) {
      end--;
    }
    return new Halves(
        story.slice(new TextRange(0, end)),
        story.slice(new TextRange(skipped(text, offset), text.length())));
  }

  private static int skipped(String text, int from) {
    int at = from;
    while (at < text.length() && isSpace(text.charAt(at))) {
      at++;
    }
    return at;
  }

  private static boolean isBreak(char unit) {
    return unit == BREAK || unit == '\u2029' || unit == '\n';
  }

  private static boolean isSpace(char unit) {
    return Character.isWhitespace(unit) || isBreak(unit);
  }
}
