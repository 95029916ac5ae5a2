package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Words that are divided otherwise than the patterns of their language say, with their hyphens:
 * {@code "Dyna-morph, wound"}; a word without one is not divided at all. None is written {@code
 * none}. Case makes no difference.
 *
 * @param words places of the hyphens, in letters, by the word in small letters
 */
public record HyphenationExceptions(SortedMap<String, List<Integer>> words) {
  public static final HyphenationExceptions NONE = new HyphenationExceptions(new TreeMap<>());

  public HyphenationExceptions {
    words = Collections.unmodifiableSortedMap(new TreeMap<>(words));
  }

  /**
   * Reads a list of words.
   *
   * @throws IllegalArgumentException naming the word that is none
   */
  public static HyphenationExceptions parse(String text) {
    if (text.isBlank() || text.strip().equalsIgnoreCase("none")) {
      return NONE;
    }
    SortedMap<String, List<Integer>> words = new TreeMap<>();
    for (String word : Arrays.stream(text.strip().split("[,;\\s]+")).toList()) {
      // an apostrophe is typed in two ways
      String typed = word.replace('\u2019', '\'').toLowerCase(Locale.ROOT);
      String[] parts = typed.split("[-\u00AD\u2010]", -1);
      boolean plain = Arrays.stream(parts).allMatch(HyphenationExceptions::isWord);
      if (!plain) {
        throw new IllegalArgumentException(
            Messages.of("hyphenation-exceptions.expected-words-with-their-hyphens", word));
      }
      int[] ends = Arrays.stream(parts).mapToInt(String::length).toArray();
      Arrays.parallelPrefix(ends, Integer::sum);
      words.put(
          String.join("", parts), IntStream.of(ends).limit(ends.length - 1L).boxed().toList());
    }
    return new HyphenationExceptions(words);
  }

  private static boolean isWord(String part) {
    return !part.isEmpty()
        && part.codePoints()
            .allMatch(letter ->
                Character.isLetterOrDigit(letter)
                    || letter == '\''
                    || Character.getType(letter) == Character.NON_SPACING_MARK);
  }

  private static String written(String word, List<Integer> places) {
    StringBuilder written = new StringBuilder(word);
    places.reversed().forEach(place -> written.insert((int) place, '-'));
    return written.toString();
  }

  @Override
  public String toString() {
    return words.isEmpty()
        ? "none"
        : words.entrySet().stream()
            .map(word -> written(word.getKey(), word.getValue()))
            .collect(Collectors.joining(", "));
  }
}
