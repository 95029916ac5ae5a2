package dynamorph.typeset.language;

import com.ibm.icu.text.Normalizer2;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Divides the words of one language by patterns: F. M. Liang, <i>Word Hy-phen-a-tion by
 * Com-put-er</i>, Stanford 1983. Immutable.
 */
public final class Hyphenator {
  private static final class Node {
    private char[] letters = new char[0];
    private Node[] next = new Node[0];
    private byte @Nullable [] levels;

    @Nullable Node child(char letter) {
      for (int index = 0; index < letters.length; index++) {
        if (letters[index] == letter) {
          return next[index];
        }
      }
      return null;
    }

    Node childMade(char letter) {
      Node known = child(letter);
      if (known != null) {
        return known;
      }
      letters = Arrays.copyOf(letters, letters.length + 1);
      next = Arrays.copyOf(next, next.length + 1);
      letters[letters.length - 1] = letter;
      next[next.length - 1] = new Node();
      return next[next.length - 1];
    }
  }

  private static final Normalizer2 NFC = Normalizer2.getNFCInstance();

  private final Node root = new Node();
  private final Map<String, int[]> exceptions = new HashMap<>();

  private Hyphenator() {}

  /**
   * Reads patterns, one a line, in Liang's notation; a line that begins with {@code =} lists
   * exceptions with their hyphens, one that begins with {@code #} is passed over.
   */
  public static Hyphenator read(Reader patterns) throws IOException {
    Hyphenator hyphenator = new Hyphenator();
    BufferedReader lines = new BufferedReader(patterns);
    for (String line = lines.readLine(); line != null; line = lines.readLine()) {
      if (line.startsWith("=")) {
        Arrays.stream(line.substring(1).strip().split("\\s+")).forEach(hyphenator::addException);
      } else if (!line.startsWith("#") && !line.isBlank()) {
        hyphenator.addPattern(line.strip());
      }
    }
    return hyphenator;
  }

  private void addPattern(String pattern) {
    byte[] levels = new byte[pattern.length() + 1];
    Node node = root;
    int letters = 0;
    for (char sign : pattern.toCharArray()) {
      if (sign >= '0' && sign <= '9') {
        levels[letters] = (byte) (sign - '0');
      } else {
        node = node.childMade(sign);
        letters++;
      }
    }
    node.levels = Arrays.copyOf(levels, letters + 1);
  }

  private void addException(String word) {
    String plain = word.replace("-", "");
    int[] points = new int[word.length() - plain.length()];
    int found = 0;
    for (int at = 0; at < word.length(); at++) {
      if (word.charAt(at) == '-') {
        points[found] = at - found;
        found++;
      }
    }
    exceptions.put(plain, points);
  }

  /**
   * Where a word may be divided. Letters that are typed with their accents apart are taken as one
   * (UAX #15, NFC), since the patterns know them so.
   *
   * @param word letters only, in any case
   * @param into gets the places, counted from {@code offset}
   * @param before letters that stay before a hyphen at least
   * @param after letters that come behind it at least
   */
  public void points(String word, int offset, int before, int after, BitSet into) {
    if (NFC.isNormalized(word)) {
      pointsOfComposed(word, offset, before, after, into);
      return;
    }
    BitSet composed = new BitSet();
    pointsOfComposed(NFC.normalize(word), 0, before, after, composed);
    for (int at = 0, letter = 0; at < word.length(); letter++) {
      if (composed.get(letter)) {
        into.set(offset + at);
      }
      int next = at + 1;
      // as many units as make up the next letter
      while (next < word.length() && !NFC.hasBoundaryBefore(word.codePointAt(next))) {
        next++;
      }
      letter += NFC.normalize(word.substring(at, next)).length() - 1;
      at = next;
    }
  }

  private void pointsOfComposed(CharSequence word, int offset, int before, int after, BitSet into) {
    int length = word.length();
    if (length < before + after) {
      return;
    }
    char[] letters = new char[length + 2];
    letters[0] = '.';
    letters[length + 1] = '.';
    for (int index = 0; index < length; index++) {
      char letter = word.charAt(index);
      letters[index + 1] = letter == '\u2019' ? '\'' : lower(letter);
    }
    int[] known = exceptions.isEmpty() ? null : exceptions.get(new String(letters, 1, length));
    if (known != null) {
      for (int point : known) {
        if (point >= before && point <= length - after) {
          into.set(offset + point);
        }
      }
      return;
    }
    byte[] levels = levels(letters);
    for (int point = Math.max(1, before); point <= length - Math.max(1, after); point++) {
      if ((levels[point + 1] & 1) == 1) {
        into.set(offset + point);
      }
    }
  }

  private byte[] levels(char[] letters) {
    byte[] levels = new byte[letters.length + 1];
    for (int start = 0; start < letters.length; start++) {
      Node node = root;
      for (int at = start; at < letters.length; at++) {
        node = node.child(letters[at]);
        if (node == null) {
          break;
        }
        if (node.levels != null) {
          for (int index = 0; index < node.levels.length; index++) {
            levels[start + index] = (byte) Math.max(levels[start + index], node.levels[index]);
          }
        }
      }
    }
    return levels;
  }

  /** One letter for one letter, so that places stay where they are. */
  private static char lower(char letter) {
    if (letter < 0x80) {
      return letter >= 'A' && letter <= 'Z' ? (char) (letter + 32) : letter;
    }
    String lower = String.valueOf(letter).toLowerCase(Locale.ROOT);
    return lower.length() == 1 ? lower.charAt(0) : letter;
  }
}
