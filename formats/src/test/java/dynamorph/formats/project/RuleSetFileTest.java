package dynamorph.formats.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.survey.rule.HouseRule;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.survey.rule.RuleSetting;
import dynamorph.model.survey.rule.Severity;
import dynamorph.model.value.FontSize;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RuleSetFileTest {
  @TempDir private Path folder;

  @Test
  void rulesComeBackAsTheyWere() throws IOException {
    RuleSet rules =
        new RuleSet("Museum house", java.util.Map.of(), java.util.List.of())
            .with(Rule.LOW_CONTRAST, RuleSetting.USUAL.withLimit("ratio", 7))
            .with(Rule.SPELLING, RuleSetting.USUAL.withSeverity(Severity.OFF))
            .with(
                new HouseRule(
                    "label-size",
                    "artboard~Label && size<18",
                    "Labels are set in 18 pt",
                    Severity.WARNING,
                    PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(18))));
    Path file = folder.resolve("house.json");
    RuleSetFile.write(rules, file);
    assertThat(RuleSetFile.read(file)).isEqualTo(rules);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      value = {
        "{\"rules\":{\"ovreset\":{}}} | /rules/ovreset | there is no rule \"ovreset\"",
        "{\"rules\":{\"overset\":{\"severity\":\"fatal\"}}} | /rules/overset/severity | \"fatal\" is no severity",
        "{\"rules\":{\"low-contrast\":{\"limits\":{\"ratio\":90}}}} | house.json | goes from 1 to 21",
        "{\"house\":[{\"id\":\"a\",\"query\":\"hue=3\",\"message\":\"m\"}]} | /house/0/query | hue",
        "{\"house\":[{\"id\":\"A b\",\"query\":\"size<3\",\"message\":\"m\"}]} | /house/0 | small letters",
        "{\"rule\":{}} | house.json | rule",
        "[] | house.json | object",
        "{ | line 1 | JSON"
      })
  void whatIsWrongIsToldWithItsPlace(String json, String place, String problem) throws IOException {
    Path file = folder.resolve("house.json");
    Files.writeString(file, json);
    assertThatThrownBy(() -> RuleSetFile.read(file))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageContaining(place.strip())
        .hasMessageContaining(problem.strip());
  }

  @Test
  void aMissingFileIsTold() {
    assertThatThrownBy(() -> RuleSetFile.read(folder.resolve("none.json")))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageContaining("none.json");
  }
}
