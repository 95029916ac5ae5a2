package dynamorph.typeset.survey;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UScript;
import com.ibm.icu.util.ULocale;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.Remedy;
import dynamorph.model.survey.Spot;
import dynamorph.model.survey.SurveyedText;
import dynamorph.model.survey.TextFindings;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.TextRange;
import dynamorph.typeset.message.Messages;
import dynamorph.typeset.spelling.ParagraphSpelling;
import dynamorph.typeset.spelling.Speller;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** Paragraphs in a script that their language is not written in, and words that are misspelt. */
public final class LanguageFindings implements TextFindings {
  /** Words in another language within a paragraph are no reason to doubt it. */
  private static final double MOST = 0.6;

  private final Speller speller;

  public LanguageFindings(Speller speller) {
    this.speller = speller;
  }

  @Override
  public List<Finding> in(SurveyedText text, RuleSet rules) {
    List<Finding> found = new ArrayList<>();
    int at = 0;
    for (int index = 0; index < text.story().paragraphs().size(); index++) {
      look(rules, text, at, index, found);
      at += text.story().paragraphs().get(index).length() + 1;
    }
    return found;
  }

  private void look(RuleSet rules, SurveyedText of, int start, int index, List<Finding> found) {
    Paragraph paragraph = of.story().paragraphs().get(index);
    ResolvedLayer.ResolvedParagraph look = of.look().paragraphs().get(index);
    String text = paragraph.text();
    if (text.isBlank()) {
      return;
    }
    String language = look.languageAt(paragraph, 0);
    boolean one = look.spans().stream().allMatch(span -> span.type().language().equals(language));
    Optional<String> meant = one ? meant(text, language) : Optional.empty();
    if (meant.isPresent()) {
      if (rules.has(Rule.LANGUAGE)) {
        TextRange range = new TextRange(start, start + text.length());
        found.add(other(rules, of, range, language, meant.get()));
      }
    } else if (rules.has(Rule.SPELLING)) {
      ParagraphSpelling.of(
              paragraph,
              look,
              (words, own) ->
                  speller.knows(own) ? speller.misspelt(words, own, of.words()) : List.of())
          .forEach(word -> found.add(misspelt(rules, of, start, word)));
    }
  }

  private static Finding other(
      RuleSet rules, SurveyedText of, TextRange range, String language, String meant) {
    Target.Words words = new Target.Words(of.layer(), range);
    return new Finding(
        Rule.LANGUAGE,
        rules.severity(Rule.LANGUAGE),
        Messages.of(
            "language-findings.is-not-written-so",
            ULocale.forLanguageTag(language).getDisplayName(ULocale.ENGLISH),
            WordFindings.near(of.story().text(), new TextRange(range.start(), range.start()))),
        List.of(new Spot.InText(of.layer(), Optional.of(range))),
        Optional.of(
            new Remedy(
                Messages.of(
                    "language-findings.set",
                    ULocale.forLanguageTag(meant).getDisplayName(ULocale.ENGLISH)),
                SetValues.of(words, PropertySet.EMPTY.with(Properties.LANGUAGE, meant)),
                true)));
  }

  private static Finding misspelt(
      RuleSet rules, SurveyedText of, int start, ParagraphSpelling.Misspelt found) {
    TextRange range = new TextRange(start + found.range().start(), start + found.range().end());
    return new Finding(
        Rule.SPELLING,
        rules.severity(Rule.SPELLING),
        found.word(),
        List.of(new Spot.InText(of.layer(), Optional.of(range))),
        Optional.empty());
  }

  /** The language that a paragraph is more likely in, by its script; empty if its own will do. */
  static Optional<String> meant(String text, String language) {
    Map<Integer, Integer> letters = new HashMap<>();
    int all = 0;
    for (int at = 0; at < text.length(); at += Character.charCount(text.codePointAt(at))) {
      int letter = text.codePointAt(at);
      if (UCharacter.isLetter(letter)) {
        letters.merge(UScript.getScript(letter), 1, Integer::sum);
        all++;
      }
    }
    Set<Integer> own = SCRIPTS.computeIfAbsent(language, LanguageFindings::scripts);
    int strange =
        letters.entrySet().stream()
            .filter(entry -> !own.contains(entry.getKey()))
            .mapToInt(Map.Entry::getValue)
            .sum();
    if (all == 0 || strange <= MOST * all) {
      return Optional.empty();
    }
    int script =
        letters.entrySet().stream()
            .filter(entry -> !own.contains(entry.getKey()))
            .max(Map.Entry.comparingByValue())
            .orElseThrow()
            .getKey();
    boolean kana = letters.containsKey(UScript.HIRAGANA) || letters.containsKey(UScript.KATAKANA);
    return Optional.ofNullable(kana ? "ja" : LANGUAGES.get(script));
  }

  private static final Map<Integer, String> LANGUAGES =
      Map.ofEntries(
          Map.entry(UScript.LATIN, "en"),
          Map.entry(UScript.ARABIC, "ar"),
          Map.entry(UScript.HEBREW, "he"),
          Map.entry(UScript.GREEK, "el"),
          Map.entry(UScript.CYRILLIC, "ru"),
          Map.entry(UScript.HIRAGANA, "ja"),
          Map.entry(UScript.KATAKANA, "ja"),
          Map.entry(UScript.HAN, "zh"),
          Map.entry(UScript.HANGUL, "ko"),
          Map.entry(UScript.DEVANAGARI, "hi"),
          Map.entry(UScript.THAI, "th"),
          Map.entry(UScript.ARMENIAN, "hy"),
          Map.entry(UScript.GEORGIAN, "ka"));

  /** The scripts that a language is written in, by its tag. */
  private static final Map<String, Set<Integer>> SCRIPTS = new ConcurrentHashMap<>();

  private static Set<Integer> scripts(String language) {
    Set<Integer> scripts = new java.util.HashSet<>();
    ULocale locale = ULocale.addLikelySubtags(ULocale.forLanguageTag(language));
    int[] codes = UScript.getCode(locale);
    for (int code : codes == null ? new int[0] : codes) {
      scripts.add(code);
    }
    if (scripts.isEmpty()) {
      scripts.add(UScript.getCodeFromName(locale.getScript()));
    }
    return scripts;
  }
}
