package dynamorph.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Makes prose that was never there before: words as often as in English, in sentences. */
final class Prose {
  private static final String[] ONSETS = {
    "", "b", "br", "c", "ch", "cl", "d", "f", "fl", "g", "gr", "h", "l", "m", "n", "p", "pl", "qu",
    "r", "s", "sh", "st", "t", "th", "tr", "v", "w"
  };
  private static final String[] RIMES = {
    "a", "e", "i", "o", "u", "ai", "an", "ar", "ea", "en", "er", "est", "ent", "ing", "ion", "ist",
    "ock", "on", "oor", "or", "ound", "um", "ure", "ack", "ight"
  };
  private static final int WORDS = 8_000;

  private final List<String> words = new ArrayList<>();
  private final Random random;

  Prose(long seed) {
    random = new Random(seed);
    for (int word = 0; word < WORDS; word++) {
      int syllables = 1 + (word > 60 ? 1 : 0) + random.nextInt(word > 600 ? 3 : 1);
      StringBuilder made = new StringBuilder();
      for (int syllable = 0; syllable < syllables; syllable++) {
        made.append(ONSETS[random.nextInt(ONSETS.length)]);
        made.append(RIMES[random.nextInt(RIMES.length)]);
      }
      words.add(made.toString());
    }
  }

  /** A paragraph of so many words. */
  String paragraph(int length) {
    StringBuilder text = new StringBuilder();
    boolean starts = true;
    for (int word = 0; word < length; word++) {
      // Zipf's law: the n-th word comes a n-th as often as the first
      int rank = (int) Math.min(WORDS - 1, Math.exp(random.nextDouble() * Math.log(WORDS)) - 1);
      String own = words.get(rank);
      text.append(starts ? Character.toUpperCase(own.charAt(0)) + own.substring(1) : own);
      boolean ends = word == length - 1 || random.nextInt(14) == 0;
      text.append(ends ? "." : random.nextInt(9) == 0 ? "," : "");
      text.append(word == length - 1 ? "" : " ");
      starts = ends;
    }
    return text.toString();
  }

  List<String> paragraphs(int count, int length) {
    List<String> paragraphs = new ArrayList<>(count);
    for (int paragraph = 0; paragraph < count; paragraph++) {
      paragraphs.add(paragraph(length));
    }
    return paragraphs;
  }
}
