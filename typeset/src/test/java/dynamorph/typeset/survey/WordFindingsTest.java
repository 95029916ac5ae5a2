package dynamorph.typeset.survey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Slant;
import dynamorph.typeset.spelling.Speller;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WordFindingsTest {
  private static Project of(String language, Layer layer) {
    return new Project(
            "P",
            Project.empty("P").artboards(),
            Project.empty("P").styles(),
            Project.empty("P").palette(),
            Optional.empty(),
            language,
            Project.empty("P").words(),
            List.of(),
            List.of(),
            Project.empty("P").survey(),
            List.of(),
            List.of())
        .plus(Artboard.empty("a", "A", 400, 300, LengthUnit.POINT).plus(layer));
  }

  private static Project of(String language, String words) {
    return of(language, Layer.of("1", "1", words));
  }

  private static String mended(Project project) {
    Project mended = project;
    for (Finding finding : new WordFindings().in(project, RuleSet.USUAL)) {
      mended = finding.remedy().orElseThrow().edit().applyTo(mended);
    }
    return mended.layers().findFirst().orElseThrow().story().text();
  }

  @ParameterizedTest
  @CsvSource({
    "en, two  spaces, two spaces",
    "en, She said \"not before Monday\"., She said \u201cnot before Monday\u201d.",
    "de, Er sagte \"nicht vor Montag\"., Er sagte \u201enicht vor Montag\u201c.",
    "en, the keeper's key, the keeper\u2019s key",
    "en, after all - for the wrong clock, after all \u2013 for the wrong clock",
    "en, it stopped--and stood, it stopped\u2014and stood",
    "de, es stand--und blieb, es stand \u2013 und blieb",
    "en, the winter of 1907-1908, the winter of 1907\u20131908",
    "en, the 1970's and \"12\", the 1970\u2019s and \u201c12\u201d",
    "en, pages 12-14 and 20-22, pages 12\u201314 and 20\u201322"
  })
  void whatWasTypedTheQuickWayIsMended(String language, String typed, String meant) {
    assertThat(mended(of(language, typed))).isEqualTo(meant);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "left-handed",
        "2026-11-30",
        "call 030-123-4567",
        "a board 12\" wide and 6' long",
        "ISBN 3-16-148410-0",
        "  indented by spaces",
        "\u201cquoted\u201d",
        "v1.2-3.4",
        "he said \u201cno\u201d of a board 12\" wide"
      })
  void whatIsRightIsLeftAlone(String words) {
    assertThat(new WordFindings().in(of("en", words), RuleSet.USUAL)).isEmpty();
  }

  @Test
  void wordsKeepTheirLookWhenTheyAreMended() {
    PropertySet italic = PropertySet.EMPTY.with(Properties.SLANT, Slant.ITALIC);
    Layer layer =
        Layer.of("1", "1", "")
            .withStory(
                Story.of(
                    Paragraph.of(Span.of("the \"old\"  "), Span.of("clock's").withLocal(italic))));
    Project project = of("en", layer);
    Project mended = project;
    for (Finding finding : new WordFindings().in(project, RuleSet.USUAL)) {
      assertThat(finding.spots()).isNotEmpty();
      if (finding.rule() == Rule.STRAIGHT_QUOTES) {
        mended = finding.remedy().orElseThrow().edit().applyTo(mended);
      }
    }
    Paragraph after = mended.layers().findFirst().orElseThrow().story().paragraphs().getFirst();
    assertThat(after.spans())
        .extracting(Span::text)
        .containsExactly("the \u201cold\u201d  ", "clock\u2019s");
    assertThat(after.spans().getLast().local()).isEqualTo(italic);
  }

  @Test
  void oneRuleAfterAnotherMendsTheSameText() {
    assertThat(mended(of("en", "two  locks \"all\" - for")))
        .isEqualTo("two locks \u201call\u201d \u2013 for");
  }

  @Test
  void whatWasWrittenSinceIsNotTakenBack() {
    Project project = of("en", "two  locks");
    Finding finding = new WordFindings().in(project, RuleSet.USUAL).getFirst();
    Project since = project.mapLayers(layer -> layer.withStory(Story.of("three  locks and a key")));
    Project after = finding.remedy().orElseThrow().edit().applyTo(since);
    assertThat(after.layers().findFirst().orElseThrow().story().text())
        .isEqualTo("three locks and a key");
  }

  @Test
  void wordsAreCheckedInTheirOwnLanguage() {
    PropertySet french = PropertySet.EMPTY.with(Properties.LANGUAGE, "fr");
    Layer layer =
        Layer.of("1", "1", "")
            .withStory(
                Story.of(
                    Paragraph.of(
                        Span.of("the clok called "),
                        Span.of("horloge").withLocal(french),
                        Span.of(" was late"))));
    assertThat(new LanguageFindings(new Speller()).in(of("en", layer), RuleSet.USUAL))
        .extracting(Finding::mark)
        .containsExactly("spelling:1:clok");
  }

  @ParameterizedTest
  @CsvSource({
    "en, \u0628\u064a\u062a \u0627\u0644\u0633\u0627\u0639\u0629, ar",
    "en, \u6642\u8a08\u306e\u97f3, ja",
    "ar, the clock stopped, en",
    "en, \u0447\u0430\u0441\u044b, ru"
  })
  void aParagraphInAnotherScriptIsInAnotherLanguage(String language, String words, String meant) {
    assertThat(LanguageFindings.meant(words, language)).contains(meant);
  }

  @ParameterizedTest
  @CsvSource({"en, the clock 12 \u6642, ''", "ja, \u6642\u8a08\u306e\u97f3, ''", "en, 12:30, ''"})
  void aWordOfAnotherScriptIsNoReason(String language, String words, String none) {
    assertThat(LanguageFindings.meant(words, language)).isEmpty();
  }

  @Test
  void misspeltWordsAreToldUnlessTheProjectKnowsThem() {
    Project project = of("en", "the clok of Halm");
    assertThat(new LanguageFindings(new Speller()).in(project, RuleSet.USUAL))
        .extracting(Finding::detail)
        .containsExactly("clok", "Halm");
    Project knows = project.withWords(new java.util.TreeSet<>(List.of("Halm")));
    assertThat(new LanguageFindings(new Speller()).in(knows, RuleSet.USUAL))
        .extracting(Finding::detail)
        .containsExactly("clok");
  }
}
