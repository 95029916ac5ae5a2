package dynamorph.typeset.spelling;

import com.ibm.icu.lang.UScript;
import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.text.RuleBasedBreakIterator;
import com.ibm.icu.util.ULocale;
import dynamorph.model.text.TextRange;
import dynamorph.typeset.message.Messages;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.ParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.zip.GZIPInputStream;
import org.apache.lucene.analysis.hunspell.Dictionary;
import org.apache.lucene.analysis.hunspell.Hunspell;
import org.apache.lucene.analysis.hunspell.SortingStrategy;
import org.apache.lucene.analysis.hunspell.SuggestionTimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Checks the spelling of words by their language. A dictionary takes about a second to read, so it
 * is read when the first word of its language is checked; not for the interface thread. Safe on any
 * thread.
 */
public final class Speller {
  private static final Logger LOG = LoggerFactory.getLogger(Speller.class);
  private static final String FOLDER = "/dynamorph/typeset/spelling/";

  /** Dictionaries that come along. */
  private static final Set<String> SHIPPED = Set.of("en-US", "en-GB", "fr", "es", "nl");

  /** Where machines keep dictionaries. */
  private static final List<Path> MACHINE =
      List.of(Path.of("/usr/share/hunspell"), Path.of("/usr/share/myspell/dicts"));

  private static final int MOST_SUGGESTIONS = 6;
  private static final long PATIENCE_MILLIS = 400;

  private record Word(String word, String language) {}

  /** By language; shared, since a dictionary takes long to read and much memory. */
  private static final Map<String, Optional<Hunspell>> DICTIONARIES = new ConcurrentHashMap<>();

  /** The script that each language is most often written in (ICU), by its tag. */
  private static final Map<String, Integer> SCRIPTS = new ConcurrentHashMap<>();

  private final Map<Word, Boolean> known = new ConcurrentHashMap<>();

  /** Whether there is a dictionary for a language; does not read it. */
  public boolean knows(String language) {
    String name = shippedName(language);
    return SHIPPED.contains(name) || machineFile(language, "aff").isPresent();
  }

  /**
   * The misspelt words of a text; none for a language without a dictionary.
   *
   * @param own words that are right whatever the dictionary says
   */
  public List<TextRange> misspelt(String text, String language, Set<String> own) {
    Optional<Hunspell> dictionary = dictionary(language);
    List<TextRange> wrong = new ArrayList<>();
    if (dictionary.isEmpty() || text.isBlank()) {
      return wrong;
    }
    RuleBasedBreakIterator words =
        (RuleBasedBreakIterator) BreakIterator.getWordInstance(ULocale.forLanguageTag(language));
    words.setText(text);
    int script = SCRIPTS.computeIfAbsent(language, Speller::scriptOf);
    int start = words.first();
    for (int end = words.next(); end != BreakIterator.DONE; end = words.next()) {
      boolean letters =
          words.getRuleStatus() >= BreakIterator.WORD_LETTER
              && words.getRuleStatus() < BreakIterator.WORD_LETTER_LIMIT;
      String word = text.substring(start, end).replace("\u00AD", "");
      if (letters && isChecked(word, script) && !own.contains(word) && !spells(word, language)) {
        wrong.add(new TextRange(start, end));
      }
      start = end;
    }
    return wrong;
  }

  /** Words in another script than the language's are of another language. */
  private static boolean isChecked(String word, int script) {
    return word.length() > 1
        && word.chars().noneMatch(Character::isDigit)
        && UScript.getScript(word.codePointAt(0)) == script;
  }

  private static int scriptOf(String language) {
    String code = ULocale.addLikelySubtags(ULocale.forLanguageTag(language)).getScript();
    return UScript.getCodeFromName(code);
  }

  private boolean spells(String word, String language) {
    return known.computeIfAbsent(
        new Word(word.replace('\u2019', '\''), language),
        asked ->
            dictionary(language)
                .map(dictionary ->
                    dictionary.spell(asked.word)
                        || asked.word.equals(asked.word.toUpperCase(Locale.ROOT))
                            && dictionary.spell(asked.word.toLowerCase(Locale.ROOT)))
                .orElse(true));
  }

  /** Words that may have been meant, the likeliest first; a handful at most. */
  public List<String> suggestions(String word, String language) {
    return dictionary(language)
        .map(dictionary -> {
          try {
            return dictionary.suggest(word, PATIENCE_MILLIS);
          } catch (SuggestionTimeoutException late) {
            return late.getPartialResult();
          }
        })
        .orElse(List.of())
        .stream()
        .limit(MOST_SUGGESTIONS)
        .toList();
  }

  private static Optional<Hunspell> dictionary(String language) {
    return DICTIONARIES.computeIfAbsent(language, Speller::read);
  }

  private static Optional<Hunspell> read(String language) {
    try {
      String name = shippedName(language);
      if (SHIPPED.contains(name)) {
        return Optional.of(read(packed(name, "aff"), packed(name, "dic")));
      }
      Optional<Path> rules = machineFile(language, "aff");
      Optional<Path> words = machineFile(language, "dic");
      return rules.isPresent() && words.isPresent()
          ? Optional.of(read(Files.newInputStream(rules.get()), Files.newInputStream(words.get())))
          : Optional.empty();
    } catch (IOException | ParseException broken) {
      LOG.warn("the dictionary for {} cannot be read", language, broken);
      return Optional.empty();
    }
  }

  private static Hunspell read(InputStream rules, InputStream words)
      throws IOException, ParseException {
    try (rules;
        words) {
      return new Hunspell(new Dictionary(rules, List.of(words), false, SortingStrategy.inMemory()));
    }
  }

  private static InputStream packed(String name, String part) throws IOException {
    InputStream file = Speller.class.getResourceAsStream(FOLDER + name + "." + part + ".gz");
    if (file == null) {
      throw new IOException(Messages.of("speller.a-shipped-dictionary-is-missing-from", name));
    }
    return new GZIPInputStream(file);
  }

  private static String shippedName(String language) {
    Locale locale = Locale.forLanguageTag(language);
    if (!locale.getLanguage().equals("en")) {
      return locale.getLanguage();
    }
    return Set.of("", "US", "PH").contains(locale.getCountry()) ? "en-US" : "en-GB";
  }

  private static Optional<Path> machineFile(String language, String part) {
    Locale locale = Locale.forLanguageTag(language);
    List<String> names =
        List.of(
            locale.getLanguage() + "_" + locale.getCountry(),
            locale.getLanguage(),
            locale.getLanguage() + "_" + locale.getLanguage().toUpperCase(Locale.ROOT));
    for (Path folder : MACHINE) {
      for (String name : names) {
        Path file = folder.resolve(name + "." + part);
        if (Files.isReadable(file)) {
          return Optional.of(file);
        }
      }
    }
    return Optional.empty();
  }
}
