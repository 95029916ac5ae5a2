package dynamorph.paint.survey;

import static dynamorph.paint.Painting.FILL;
import static dynamorph.paint.Painting.text;
import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.style.AdoptStyles;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.MessyProjects;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.hidden.HiddenStyles;
import dynamorph.model.survey.hidden.Tolerance;
import dynamorph.model.survey.rule.Ignored;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.survey.rule.RuleSetting;
import dynamorph.model.survey.rule.SurveySettings;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.spelling.Speller;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SurveyTest {
  private final SceneMaker maker = Painting.maker();
  private final Survey survey = new Survey(new Speller(), MediaSource.NONE);

  private SurveyReport of(Project project) {
    return survey.of(maker.make(project), maker, Optional.empty());
  }

  /** None of which lies on another. */
  private static Project apart(Layer... layers) {
    List<Layer> placed = new ArrayList<>();
    for (Layer layer : layers) {
      placed.add(
          layer.withFrame(
              PropertySet.EMPTY
                  .with(Properties.POSITION_X, 10.0)
                  .with(Properties.POSITION_Y, 10.0 + 100 * placed.size())));
    }
    return Project.empty("P")
        .plus(Artboard.empty("board", "Board", 600, 600, LengthUnit.PIXEL).withLayers(placed));
  }

  private static List<String> marks(SurveyReport report, Rule rule) {
    return report.findings().stream()
        .filter(finding -> finding.rule() == rule)
        .map(Finding::mark)
        .toList();
  }

  private static PropertySet size(double points) {
    return PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(points));
  }

  @Test
  void whatDoesNotFitOrCannotBeReadIsFound() {
    PropertySet box =
        size(40)
            .with(Properties.BOX, BoxFit.FIXED)
            .with(Properties.BOX_WIDTH, 60.0)
            .with(Properties.BOX_HEIGHT, 30.0);
    Project project =
        apart(
            text("fits", "Hour", PropertySet.EMPTY),
            text("over", "Hour bell tower", box),
            text(
                "pale",
                "Hour",
                PropertySet.EMPTY.with(Properties.COAT_COLOUR.at(FILL), Colour.hex("#f0f0f0"))),
            text("odd", "Hour \uE123", PropertySet.EMPTY),
            text(
                "foreign", "Hour", PropertySet.EMPTY.with(Properties.FONT_FAMILY, "No Such Face")));
    SurveyReport report = of(project);
    assertThat(report.isComplete()).isTrue();
    assertThat(marks(report, Rule.OVERSET)).containsExactly("overset:over");
    assertThat(marks(report, Rule.LOW_CONTRAST)).containsExactly("low-contrast:pale");
    assertThat(marks(report, Rule.MISSING_GLYPHS)).containsExactly("missing-glyphs:odd");
    assertThat(report.findings())
        .filteredOn(finding -> finding.rule() == Rule.MISSING_FONT)
        .extracting(Finding::detail)
        .containsExactly("No Such Face");
    assertThat(report.findings().getFirst().severity())
        .as("the gravest first")
        .isEqualTo(dynamorph.model.survey.rule.Severity.ERROR);
  }

  /**
   * Contrast of #848484 on white is 3.74, of #606060 is 6.29 (WCAG 2.2, relative luminance); AA
   * asks for 4.5 and AAA for 7.
   */
  @Test
  void contrastIsAskedForAsTheRulesSay() {
    Project project =
        apart(
            text(
                "low",
                "Hour",
                size(12).with(Properties.COAT_COLOUR.at(FILL), Colour.hex("#848484"))),
            text(
                "aa",
                "Hour",
                size(12).with(Properties.COAT_COLOUR.at(FILL), Colour.hex("#606060"))));
    assertThat(marks(of(project), Rule.LOW_CONTRAST)).contains("low-contrast:low").hasSize(1);
    Project strict =
        project.withSurvey(
            new SurveySettings(
                RuleSet.USUAL.with(Rule.LOW_CONTRAST, RuleSetting.USUAL.withLimit("ratio", 7)),
                List.of()));
    assertThat(marks(of(strict), Rule.LOW_CONTRAST)).hasSize(2);
  }

  /**
   * From 1 m, 8 minutes of arc are 2.33 mm of x-height, so 4.65 mm or 13.2 pt of size at an
   * x-height of a half.
   */
  @Test
  void lettersAreTooSmallFromWhereTheyAreRead() {
    Artboard panel =
        Artboard.empty("panel", "Panel", 800, 600, LengthUnit.MILLIMETRE)
            .plus(text("13", "Hour", size(13)))
            .plus(text("14", "Hour", size(14)));
    Project project = Project.empty("P").plus(panel);
    assertThat(marks(of(project), Rule.TOO_SMALL)).containsExactly("too-small:13");
    Project near =
        project.withSurvey(
            new SurveySettings(
                RuleSet.USUAL.with(Rule.TOO_SMALL, RuleSetting.USUAL.withLimit("distance", 0.5)),
                List.of()));
    assertThat(marks(of(near), Rule.TOO_SMALL)).isEmpty();
  }

  @Test
  void whatIsIgnoredIsToldApart() {
    Project project = Painting.project(text("1", "two  spaces", PropertySet.EMPTY));
    assertThat(marks(of(project), Rule.DOUBLE_SPACE)).containsExactly("double-space:1");
    Project ignoring =
        project.withSurvey(
            project.survey().ignoring(new Ignored("double-space:1", "so in the source")));
    SurveyReport report = of(ignoring);
    assertThat(marks(report, Rule.DOUBLE_SPACE)).isEmpty();
    assertThat(report.ignored()).extracting(Finding::mark).containsExactly("double-space:1");
    assertThat(ignoring.survey().telling("double-space:1").ignored()).isEmpty();
  }

  @Test
  void onlyWhatChangedIsLookedAtAgainAndNothingIsMissed() {
    Project project = Painting.project(text("1", "Hour", size(20)), text("2", "Bell", size(20)));
    of(project);
    Project pale =
        SetValues.of(
                new Target.Layers(List.of(new LayerId("2"))),
                Properties.COAT_COLOUR.at(FILL),
                Colour.hex("#f4f4f4"))
            .applyTo(project);
    assertThat(marks(of(pale), Rule.LOW_CONTRAST)).containsExactly("low-contrast:2");
    assertThat(marks(of(project), Rule.LOW_CONTRAST)).isEmpty();
  }

  @Test
  void aSurveyThatNobodyWaitsForStops() {
    List<Layer> layers = new ArrayList<>();
    for (int index = 0; index < 30; index++) {
      layers.add(text("t" + index, "Hour", size(20)));
    }
    Project project = Painting.project(layers.toArray(new Layer[0]));
    SurveyReport report =
        survey.of(maker.make(project), maker, RuleSet.USUAL, Optional.empty(), _ -> {}, () -> true);
    assertThat(report.isComplete()).isFalse();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void adoptingStylesChangesNoPixel(long seed) {
    Project messy = new MessyProjects(seed, 1).project(40, 5).project();
    Project placed = placed(messy);
    AdoptStyles adoption =
        new AdoptStyles(
            HiddenStyles.of(placed).within(Tolerance.USUAL).stream()
                .map(one ->
                    new AdoptStyles.Adoption(one.style(), Set.copyOf(one.members()), Set.of()))
                .toList());
    Project adopted = adoption.applyTo(placed);
    assertThat(adopted.styles().list()).isNotEmpty();
    Pixels before = picture(placed);
    Pixels after = picture(adopted);
    int most = 0;
    for (int index = 0; index < before.bytes().capacity(); index++) {
      int difference = (before.bytes().get(index) & 0xFF) - (after.bytes().get(index) & 0xFF);
      most = Math.max(most, Math.abs(difference));
    }
    assertThat(most).isLessThanOrEqualTo(1);
  }

  /** Spread out, so that every text is seen. */
  private static Project placed(Project messy) {
    int[] count = new int[1];
    return messy.mapLayers(layer -> {
      int index = count[0]++;
      return layer.withFrame(
          PropertySet.EMPTY
              .with(Properties.POSITION_X, 40.0 + index % 4 * 480)
              .with(Properties.POSITION_Y, 40.0 + index / 4 * 190));
    });
  }

  private Pixels picture(Project project) {
    Scene scene = maker.make(project);
    return new ArtboardPicture(maker.painter()).pixels(scene.boards().getFirst(), 0.5);
  }

  /** A narrow column whose spaces are stretched, against the same words set ragged. */
  @Test
  void aRiverIsFoundInJustifiedWordsOnly() {
    String words = "one two one two one two one two one two one two";
    PropertySet narrow =
        PropertySet.EMPTY
            .with(Properties.SIZE, FontSize.points(10))
            .with(Properties.BOX, BoxFit.FIXED)
            .with(Properties.BOX_WIDTH, 50.0)
            .with(Properties.BOX_HEIGHT, 90.0);
    Layer ragged = Layer.of("ragged", "ragged", words).withLocal(narrow);
    Layer justified =
        Layer.of("justified", "justified", words)
            .withLocal(narrow.with(Properties.ALIGNMENT, Alignment.JUSTIFIED));
    assertThat(of(apart(ragged, justified)).findings())
        .filteredOn(finding -> finding.rule() == Rule.RIVER)
        .singleElement()
        .satisfies(
            finding -> assertThat(finding.layers()).containsExactly(new LayerId("justified")));
  }
}
