package dynamorph.formats.document;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Which paragraph of a later state is which of an earlier one. Paragraphs that are in both just
 * once are anchors, as far as they are in the same order (patience difference, Cohen 2010); between
 * them follow longest common subsequences, and then pairs that have many words in common.
 */
final class ParagraphPairs {
  /** More pairs than this are not compared one by one. */
  private static final long MOST_COMPARED = 4_000_000;

  /** From this share of common words on, a paragraph is a changed one and not another. */
  private static final double ALIKE = 0.4;

  private final List<String> before;
  private final List<String> after;
  private final int[] pairs;
  private final Map<String, Set<String>> words = new HashMap<>();

  private ParagraphPairs(List<String> before, List<String> after) {
    this.before = before;
    this.after = after;
    this.pairs = new int[after.size()];
    Arrays.fill(pairs, -1);
  }

  /** For each paragraph of the later state the index of the earlier one, or -1 if it is new. */
  static int[] of(List<String> before, List<String> after) {
    ParagraphPairs pairs = new ParagraphPairs(before, after);
    pairs.anchor();
    pairs.inGaps(pairs::common);
    pairs.inGaps(pairs::alike);
    return pairs.pairs;
  }

  /** The same, with paragraphs that moved as a whole. */
  static int[] withMoved(List<String> before, List<String> after) {
    int[] pairs = of(before, after);
    boolean[] met = new boolean[before.size()];
    Arrays.stream(pairs).filter(one -> one >= 0).forEach(one -> met[one] = true);
    Map<String, Integer> left = new HashMap<>();
    for (int index = 0; index < before.size(); index++) {
      if (!met[index]) {
        left.putIfAbsent(before.get(index), index);
      }
    }
    for (int index = 0; index < after.size(); index++) {
      Integer moved = pairs[index] < 0 ? left.remove(after.get(index)) : null;
      pairs[index] = moved == null ? pairs[index] : moved;
    }
    return pairs;
  }

  private void anchor() {
    Map<String, Integer> once = once(before);
    Map<String, Integer> onceAfter = once(after);
    List<int[]> candidates = new ArrayList<>();
    for (int index = 0; index < after.size(); index++) {
      Integer earlier = once.get(after.get(index));
      if (earlier != null && earlier >= 0 && onceAfter.getOrDefault(after.get(index), -1) >= 0) {
        candidates.add(new int[] {index, earlier});
      }
    }
    for (int[] pair : inOrder(candidates)) {
      pairs[pair[0]] = pair[1];
    }
  }

  private static Map<String, Integer> once(List<String> texts) {
    Map<String, Integer> once = new HashMap<>();
    for (int index = 0; index < texts.size(); index++) {
      once.merge(texts.get(index), index, (_, _) -> -1);
    }
    return once;
  }

  /** The longest run of pairs of which the second rises as the first does. */
  private static List<int[]> inOrder(List<int[]> pairs) {
    int[] tails = new int[pairs.size()];
    int[] previous = new int[pairs.size()];
    int length = 0;
    for (int index = 0; index < pairs.size(); index++) {
      int low = 0;
      int high = length;
      while (low < high) {
        int middle = (low + high) >>> 1;
        if (pairs.get(tails[middle])[1] < pairs.get(index)[1]) {
          low = middle + 1;
        } else {
          high = middle;
        }
      }
      previous[index] = low == 0 ? -1 : tails[low - 1];
      tails[low] = index;
      length = Math.max(length, low + 1);
    }
    List<int[]> longest = new ArrayList<>();
    for (int at = length == 0 ? -1 : tails[length - 1]; at >= 0; at = previous[at]) {
      longest.add(pairs.get(at));
    }
    return longest.reversed();
  }

  private interface Gap {
    void between(int fromBefore, int toBefore, int fromAfter, int toAfter);
  }

  private void inGaps(Gap gap) {
    int[] known = pairs.clone();
    int fromBefore = 0;
    int fromAfter = 0;
    for (int index = 0; index <= after.size(); index++) {
      boolean ends = index == after.size();
      if (!ends && known[index] < 0) {
        continue;
      }
      int toBefore = ends ? before.size() : known[index];
      if (index > fromAfter && toBefore > fromBefore) {
        gap.between(fromBefore, toBefore, fromAfter, index);
      }
      fromBefore = toBefore + 1;
      fromAfter = index + 1;
    }
  }

  private void common(int fromBefore, int toBefore, int fromAfter, int toAfter) {
    best(
        fromBefore,
        toBefore,
        fromAfter,
        toAfter,
        (one, other) -> before.get(one).equals(after.get(other)) ? 1 : 0);
  }

  private void alike(int fromBefore, int toBefore, int fromAfter, int toAfter) {
    boolean only = toBefore - fromBefore == 1 && toAfter - fromAfter == 1;
    best(
        fromBefore,
        toBefore,
        fromAfter,
        toAfter,
        (one, other) -> {
          double share = share(before.get(one), after.get(other));
          return share >= ALIKE || only && share > 0 ? share : 0;
        });
  }

  private interface Likeness {
    double of(int before, int after);
  }

  /** The pairs in order that are most alike together. */
  private void best(int fromBefore, int toBefore, int fromAfter, int toAfter, Likeness likeness) {
    int rows = toBefore - fromBefore;
    int columns = toAfter - fromAfter;
    if ((long) rows * columns > MOST_COMPARED) {
      return;
    }
    double[][] likenesses = new double[rows][columns];
    double[][] best = new double[rows + 1][columns + 1];
    for (int row = rows - 1; row >= 0; row--) {
      for (int column = columns - 1; column >= 0; column--) {
        double own = likeness.of(fromBefore + row, fromAfter + column);
        likenesses[row][column] = own;
        double paired = own > 0 ? own + best[row + 1][column + 1] : 0;
        best[row][column] =
            Math.max(paired, Math.max(best[row + 1][column], best[row][column + 1]));
      }
    }
    int row = 0;
    int column = 0;
    while (row < rows && column < columns) {
      double own = likenesses[row][column];
      if (own > 0 && best[row][column] == own + best[row + 1][column + 1]) {
        pairs[fromAfter + column++] = fromBefore + row++;
      } else if (best[row + 1][column] >= best[row][column + 1]) {
        row++;
      } else {
        column++;
      }
    }
  }

  /** Words in common, as a share of all (Dice 1945). */
  private double share(String one, String other) {
    Set<String> first = words.computeIfAbsent(one, ParagraphPairs::wordsOf);
    Set<String> second = words.computeIfAbsent(other, ParagraphPairs::wordsOf);
    long common = first.stream().filter(second::contains).count();
    int all = first.size() + second.size();
    return all == 0 ? 0 : 2.0 * common / all;
  }

  private static Set<String> wordsOf(String text) {
    Set<String> words = new HashSet<>();
    for (String word : text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{Nd}]+")) {
      if (!word.isEmpty()) {
        words.add(word);
      }
    }
    // scripts without spaces have no such words
    if (words.size() < 2 && text.codePoints().anyMatch(ParagraphPairs::isOfNoWords)) {
      text.codePoints().forEach(point -> words.add(Character.toString(point)));
    }
    return words;
  }

  private static boolean isOfNoWords(int point) {
    return switch (Character.UnicodeScript.of(point)) {
      case HAN, HIRAGANA, KATAKANA, THAI, LAO, KHMER, MYANMAR -> true;
      default -> false;
    };
  }
}
