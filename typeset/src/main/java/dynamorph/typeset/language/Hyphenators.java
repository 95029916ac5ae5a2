package dynamorph.typeset.language;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The languages whose words can be divided; patterns are read when first asked for. */
public final class Hyphenators {
  private static final String FOLDER = "/dynamorph/typeset/hyphenation/";

  /** Languages by their tag, each a file of patterns. */
  private static final List<String> LANGUAGES =
      List.of(
          "ca", "cs", "da", "de", "el", "en-GB", "en-US", "es", "fi", "fr", "hr", "it", "la", "nb",
          "nl", "pl", "pt", "ro", "ru", "sk", "sl", "sv", "tr", "uk");

  /** Regions that spell English as it is spelt in the United States. */
  private static final Set<String> AMERICAN = Set.of("", "US", "PH", "PR");

  private final Map<String, Hyphenator> read = new ConcurrentHashMap<>();

  /** The languages that can be divided, by tag. */
  public static List<String> languages() {
    return LANGUAGES;
  }

  /** The patterns for a language tag: its own, or those of the language in another region. */
  public Optional<Hyphenator> of(String tag) {
    return file(tag).map(file -> read.computeIfAbsent(file, Hyphenators::read));
  }

  private static Optional<String> file(String tag) {
    Locale locale = Locale.forLanguageTag(tag);
    String language =
        switch (locale.getLanguage()) {
          case "en" -> AMERICAN.contains(locale.getCountry()) ? "en-US" : "en-GB";
          case "no", "nn" -> "nb";
          default -> locale.getLanguage();
        };
    return Optional.of(language).filter(LANGUAGES::contains);
  }

  private static Hyphenator read(String file) {
    try (InputStream stream = Hyphenators.class.getResourceAsStream(FOLDER + file + ".txt")) {
      return Hyphenator.read(new InputStreamReader(stream, StandardCharsets.UTF_8));
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }
}
