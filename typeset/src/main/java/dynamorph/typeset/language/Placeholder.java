package dynamorph.typeset.language;

import java.util.List;
import java.util.Random;
import java.util.function.IntPredicate;

/**
 * Text that stands in for words that are still to be written, in sentences of natural length. The
 * same script, seed and length always give the same text.
 */
public enum Placeholder {
  LATIN(
      "Latin",
      "en",
      " ",
      ". ",
      "the of and a to in was it on by hour clock tower wheel tooth bell town stair brass oil rope"
          + " weight keeper winter morning ledger drum pinion dial hand spring lantern window wedge"
          + " felt pocket slowly before under between nobody every quarter counted listened turned"
          + " carried remembered polished measured"),
  GREEK(
      "Greek",
      "el",
      " ",
      ". ",
      "\u03BA\u03B1\u03B9 \u03C4\u03BF \u03BC\u03B5 \u03C3\u03B5 \u03B1\u03C0\u03CC \u03CE\u03C1\u03B1"
          + " \u03C1\u03BF\u03BB\u03CC\u03B9 \u03C0\u03CD\u03C1\u03B3\u03BF\u03C2"
          + " \u03C4\u03C1\u03BF\u03C7\u03CC\u03C2 \u03BA\u03B1\u03BC\u03C0\u03AC\u03BD\u03B1"
          + " \u03C0\u03CC\u03BB\u03B7 \u03C3\u03BA\u03AC\u03BB\u03B1 \u03BB\u03AC\u03B4\u03B9"
          + " \u03C3\u03C7\u03BF\u03B9\u03BD\u03AF \u03B2\u03AC\u03C1\u03BF\u03C2"
          + " \u03C6\u03CD\u03BB\u03B1\u03BA\u03B1\u03C2 \u03C7\u03B5\u03B9\u03BC\u03CE\u03BD\u03B1\u03C2"
          + " \u03C0\u03C1\u03C9\u03AF \u03B2\u03B9\u03B2\u03BB\u03AF\u03BF"),
  CYRILLIC(
      "Cyrillic",
      "ru",
      " ",
      ". ",
      "\u0438 \u0432 \u043D\u0430 \u0441 \u043F\u043E \u0447\u0430\u0441 \u0447\u0430\u0441\u044B"
          + " \u0431\u0430\u0448\u043D\u044F \u043A\u043E\u043B\u0435\u0441\u043E"
          + " \u043A\u043E\u043B\u043E\u043A\u043E\u043B \u0433\u043E\u0440\u043E\u0434"
          + " \u043B\u0435\u0441\u0442\u043D\u0438\u0446\u0430 \u043B\u0430\u0442\u0443\u043D\u044C"
          + " \u043C\u0430\u0441\u043B\u043E \u0432\u0435\u0440\u0451\u0432\u043A\u0430"
          + " \u0433\u0438\u0440\u044F \u0445\u0440\u0430\u043D\u0438\u0442\u0435\u043B\u044C"
          + " \u0437\u0438\u043C\u0430 \u0443\u0442\u0440\u043E \u043A\u043D\u0438\u0433\u0430"
          + " \u0441\u0442\u0440\u0435\u043B\u043A\u0430 \u043E\u043A\u043D\u043E"),
  ARABIC(
      "Arabic",
      "ar",
      " ",
      ". ",
      "\u0641\u064A \u0645\u0646 \u0639\u0644\u0649 \u0645\u0639 \u062B\u0645"
          + " \u0627\u0644\u0633\u0627\u0639\u0629 \u0627\u0644\u0628\u0631\u062C"
          + " \u0627\u0644\u0639\u062C\u0644\u0629 \u0627\u0644\u062C\u0631\u0633"
          + " \u0627\u0644\u0645\u062F\u064A\u0646\u0629 \u0627\u0644\u0633\u0644\u0645"
          + " \u0627\u0644\u0646\u062D\u0627\u0633 \u0627\u0644\u0632\u064A\u062A"
          + " \u0627\u0644\u062D\u0628\u0644 \u0627\u0644\u0648\u0632\u0646"
          + " \u0627\u0644\u062D\u0627\u0631\u0633 \u0627\u0644\u0634\u062A\u0627\u0621"
          + " \u0627\u0644\u0635\u0628\u0627\u062D \u0627\u0644\u062F\u0641\u062A\u0631"),
  HEBREW(
      "Hebrew",
      "he",
      " ",
      ". ",
      "\u05E9\u05DC \u05E2\u05DC \u05E2\u05DD \u05D0\u05EA \u05D4\u05E9\u05E2\u05D4"
          + " \u05D4\u05E9\u05E2\u05D5\u05DF \u05D4\u05DE\u05D2\u05D3\u05DC"
          + " \u05D4\u05D2\u05DC\u05D2\u05DC \u05D4\u05E4\u05E2\u05DE\u05D5\u05DF"
          + " \u05D4\u05E2\u05D9\u05E8 \u05D4\u05DE\u05D3\u05E8\u05D2\u05D5\u05EA"
          + " \u05D4\u05E9\u05DE\u05DF \u05D4\u05D7\u05D1\u05DC \u05D4\u05DE\u05E9\u05E7\u05DC"
          + " \u05D4\u05E9\u05D5\u05DE\u05E8 \u05D4\u05D7\u05D5\u05E8\u05E3"),
  JAPANESE(
      "Japanese",
      "ja",
      "",
      "\u3002",
      "\u6642\u8A08\u306F \u5854\u306E \u6B6F\u8ECA\u304C \u9418\u3092 \u753A\u306B"
          + " \u968E\u6BB5\u3092 \u771F\u936E\u306E \u6CB9\u3068 \u7DB1\u3067 \u91CD\u308A\u3092"
          + " \u756A\u4EBA\u306F \u51AC\u306E \u671D\u306B \u65E5\u8A18\u3092 \u9759\u304B\u306B"
          + " \u56DE\u3059 \u805E\u304F \u6570\u3048\u308B");

  private static final int SHORTEST_SENTENCE = 5;
  private static final int LONGEST_SENTENCE = 14;
  private static final int SENTENCES_IN_A_PARAGRAPH = 5;

  /** No box holds more words than this. */
  private static final int MOST_WORDS = 20_000;

  private final String label;
  private final String language;
  private final String between;
  private final String stop;
  private final List<String> words;

  Placeholder(String label, String language, String between, String stop, String words) {
    this.label = label;
    this.language = language;
    this.between = between;
    this.stop = stop;
    this.words = List.of(words.split(" "));
  }

  /** The name of the script. */
  public String label() {
    return label;
  }

  /** The language tag of the words. */
  public String language() {
    return language;
  }

  /** So many words, in sentences and paragraphs. */
  public String words(int count) {
    Random random = new Random(count > 0 ? 17 : 0);
    StringBuilder text = new StringBuilder();
    int written = 0;
    int sentences = 0;
    while (written < count) {
      int wanted = SHORTEST_SENTENCE + random.nextInt(LONGEST_SENTENCE - SHORTEST_SENTENCE);
      // a rest too short for a sentence of its own joins the last one
      int length = count - written - wanted < SHORTEST_SENTENCE ? count - written : wanted;
      sentence(text, length, random);
      written += length;
      sentences++;
      if (written < count) {
        text.append(sentences % SENTENCES_IN_A_PARAGRAPH == 0 ? paragraphEnd() : stop);
      }
    }
    return text.append(count > 0 ? stop.strip() : "").toString();
  }

  private String paragraphEnd() {
    return stop.strip() + "\n";
  }

  private void sentence(StringBuilder text, int length, Random random) {
    String last = "";
    for (int index = 0; index < length; index++) {
      String word = words.get(random.nextInt(words.size()));
      while (word.equals(last)) {
        word = words.get(random.nextInt(words.size()));
      }
      last = word;
      text.append(index == 0 ? Character.toUpperCase(word.charAt(0)) + word.substring(1) : word);
      text.append(index == length - 1 ? "" : between);
    }
  }

  /**
   * As many words as fit.
   *
   * @param fits whether so many words fit; must hold for fewer words if it holds for more
   */
  public String filling(IntPredicate fits) {
    int low = 1;
    int high = 8;
    while (high < MOST_WORDS && fits.test(high)) {
      low = high;
      high *= 2;
    }
    while (low < high - 1) {
      int middle = (low + high) / 2;
      if (fits.test(middle)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return words(low);
  }
}
