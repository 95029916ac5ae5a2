package dynamorph.model.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.Swatch;
import dynamorph.model.survey.rule.HouseRule;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.survey.rule.RuleSetting;
import dynamorph.model.survey.rule.Severity;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.pcollections.TreePVector;

class SurveyRulesTest {
  private static final PropertyKey<Colour> FILL = Properties.COAT_COLOUR.at(Address.coat("fill"));

  private static Layer text(String id, PropertySet local) {
    return Layer.of(id, id, "Winding day").withLocal(local);
  }

  private static PropertySet size(double points) {
    return PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(points));
  }

  private static Project of(Layer... layers) {
    return Project.empty("P")
        .plus(
            Artboard.empty("a", "Label one", 400, 300, LengthUnit.POINT)
                .withLayers(TreePVector.from(List.of(layers))));
  }

  private static Project mended(Project project, List<Finding> findings) {
    Project mended = project;
    for (Finding finding : findings) {
      mended = finding.remedy().orElseThrow().edit().applyTo(mended);
    }
    return mended;
  }

  @Test
  void nearlyEqualStylesAreMergedIntoTheOneThatMostFollow() {
    Style one = Style.text("one", "Label", "").withProperties(size(18));
    Style other = Style.text("other", "Label, copy", "").withProperties(size(18.5));
    Style far = Style.text("far", "Title", "").withProperties(size(60));
    Project project =
        of(
                text("1", PropertySet.EMPTY).withFollows(List.of(other.id())),
                text("2", PropertySet.EMPTY).withFollows(List.of(other.id())),
                text("3", PropertySet.EMPTY).withFollows(List.of(one.id())),
                text("4", PropertySet.EMPTY).withFollows(List.of(far.id())))
            .withStyles(StyleBook.of(List.of(one, other, far)));
    List<Finding> found = new StyleFindings().in(project, RuleSet.USUAL);
    assertThat(found)
        .singleElement()
        .satisfies(finding -> {
          assertThat(finding.rule()).isEqualTo(Rule.NEAR_STYLES);
          assertThat(finding.detail()).isEqualTo("Label, copy, Label differ slightly in Size");
          assertThat(finding.remedy().orElseThrow().changesLooks()).isTrue();
        });
    Project merged = mended(project, found);
    assertThat(merged.styles().list())
        .extracting(Style::name)
        .containsExactly("Label, copy", "Title");
    assertThat(new StyleFindings().in(merged, RuleSet.USUAL)).isEmpty();
  }

  @Test
  void whatNothingFollowsIsUnusedAndCanGo() {
    Style idle = Style.text("idle", "Idle", "").withProperties(size(18));
    Project project = of(text("1", PropertySet.EMPTY)).withStyles(StyleBook.of(List.of(idle)));
    List<Finding> found = new StyleFindings().in(project, RuleSet.USUAL);
    assertThat(found).extracting(Finding::rule).containsExactly(Rule.UNUSED_STYLE);
    assertThat(found.getFirst().remedy().orElseThrow().changesLooks()).isFalse();
    assertThat(mended(project, found).styles().list()).isEmpty();
  }

  @Test
  void coloursBesideASwatchTakeTheSwatch() {
    Palette palette =
        new Palette(
            List.of(
                new Swatch("ink", "Ink", Rgba.parse("#22303b")),
                new Swatch("brick", "Brick", Rgba.parse("#a8502a"))));
    Project project =
        of(
                text("1", PropertySet.EMPTY.with(FILL, Colour.hex("#22303b"))),
                text("2", PropertySet.EMPTY.with(FILL, Colour.hex("#23313b"))),
                text("3", PropertySet.EMPTY.with(FILL, Colour.hex("#777777"))),
                text("4", PropertySet.EMPTY.with(FILL, Colour.swatch("brick"))))
            .withPalette(palette);
    List<Finding> found =
        new ColourFindings()
            .in(
                project,
                RuleSet.USUAL.with(
                    Rule.UNUSED_SWATCH, RuleSetting.USUAL.withSeverity(Severity.OFF)));
    assertThat(found)
        .extracting(finding -> finding.remedy().orElseThrow().changesLooks())
        .as("the first is the colour itself, the second only near it")
        .containsExactly(false, true);
    assertThat(mended(project, found).layers().limit(2).map(layer -> layer.local().get(FILL)))
        .allSatisfy(colour -> assertThat(colour).contains(Colour.swatch("ink")));
  }

  @Test
  void nearlyEqualSwatchesBecomeTheOneThatIsUsedMost() {
    Palette palette =
        new Palette(
            List.of(
                new Swatch("grey-1", "Grey", Rgba.parse("#808080")),
                new Swatch("grey-2", "Grey, late", Rgba.parse("#828282")),
                new Swatch("red", "Red", Rgba.parse("#a02020"))));
    Project project =
        of(
                text("1", PropertySet.EMPTY.with(FILL, Colour.swatch("grey-2"))),
                text("2", PropertySet.EMPTY.with(FILL, Colour.swatch("grey-2"))),
                text("3", PropertySet.EMPTY.with(FILL, Colour.swatch("grey-1"))),
                text("4", PropertySet.EMPTY.with(FILL, Colour.swatch("red"))))
            .withPalette(palette);
    List<Finding> found = new ColourFindings().in(project, RuleSet.USUAL);
    assertThat(found).extracting(Finding::rule).containsExactly(Rule.NEAR_SWATCHES);
    Project mended = mended(project, found);
    assertThat(mended.palette().swatches()).extracting(Swatch::id).containsExactly("grey-2", "red");
    assertThat(mended.layers().skip(2).findFirst().orElseThrow().local().get(FILL))
        .contains(Colour.swatch("grey-2"));
    RuleSet strict =
        RuleSet.USUAL.with(Rule.NEAR_SWATCHES, RuleSetting.USUAL.withLimit("delta-e", 0.5));
    assertThat(new ColourFindings().in(project, strict)).isEmpty();
  }

  @Test
  void nearlyEqualSizesBecomeTheOneThatIsSetMost() {
    Project project =
        of(text("1", size(24)), text("2", size(24)), text("3", size(23.6)), text("4", size(30)));
    RuleSet sizes = RuleSet.USUAL.with(Rule.SCALE, RuleSetting.USUAL.withSeverity(Severity.OFF));
    List<Finding> found = new SizeFindings().in(project, sizes);
    assertThat(found)
        .singleElement()
        .satisfies(finding -> assertThat(finding.detail()).isEqualTo("23.6 pt beside 24 pt"));
    assertThat(mended(project, found).layers().map(Layer::local))
        .containsExactly(size(24), size(24), size(24), size(30));
  }

  @Test
  void aSizeBetweenTwoGoesToTheNearerAndNotToTheOneThatIsSetMost() {
    Project project =
        of(
            text("1", size(16)),
            text("2", size(16)),
            text("3", size(16)),
            text("4", size(15)),
            text("5", size(15)),
            text("6", size(15.4)));
    assertThat(new SizeFindings().in(project, RuleSet.USUAL))
        .extracting(Finding::detail)
        .containsExactly("15.4 pt beside 15 pt");
  }

  /** 10, 12.5, 15.625 and 19.53 are the steps of a major third from 10. */
  @Test
  void sizesThatNearlyFormAScaleAreToldWhereTheyWouldStand() {
    List<Layer> layers = new ArrayList<>();
    layers.add(text("0", size(10)));
    double[] sizes = {10, 12.4, 15.9, 19.5};
    for (double one : sizes) {
      layers.add(text("t" + layers.size(), size(one)));
    }
    Project project = of(layers.toArray(new Layer[0]));
    List<Finding> found = new SizeFindings().in(project, RuleSet.USUAL);
    assertThat(found)
        .singleElement()
        .satisfies(finding -> {
          assertThat(finding.rule()).isEqualTo(Rule.SCALE);
          assertThat(finding.detail()).contains("a scale of 1.25 on 10 pt").contains("12.5, 15.63");
        });
    Project mended = mended(project, found);
    assertThat(mended.layers().map(Layer::local))
        .contains(size(12.5), size(15.63))
        .contains(size(19.5));
    assertThat(new SizeFindings().in(mended, RuleSet.USUAL)).isEmpty();
  }

  @Test
  void aThinStrokeInTheColourOfTheFillIsFauxBold() {
    Address edge = Address.coat("edge");
    PropertySet thick =
        size(20)
            .with(FILL, Colour.hex("#22303b"))
            .with(Properties.COAT_KIND.at(edge), CoatKind.STROKE)
            .with(Properties.STROKE_WIDTH.at(edge), Length.points(0.6))
            .with(Properties.COAT_COLOUR.at(edge), Colour.hex("#22303b"));
    PropertySet rim = thick.with(Properties.COAT_COLOUR.at(edge), Colour.hex("#a8502a"));
    Project project = of(text("bold", thick), text("rimmed", rim));
    assertThat(new FinishFindings().in(project, RuleSet.USUAL))
        .extracting(Finding::mark)
        .containsExactly("faux-bold:bold");
  }

  @Test
  void aHouseRuleFindsWhatItsQueryChoosesAndMendsIt() {
    HouseRule rule =
        new HouseRule(
            "label-size",
            "artboard~Label && size<18",
            "Labels are set in 18 pt",
            Severity.ERROR,
            size(18));
    Project project = of(text("1", size(16)), text("2", size(18)));
    RuleSet rules = RuleSet.USUAL.with(rule);
    List<Finding> found = new HouseFindings().in(project, rules);
    assertThat(found).extracting(Finding::mark).containsExactly("label-size:1");
    assertThat(found.getFirst().detail()).isEqualTo("Labels are set in 18 pt");
    assertThat(new HouseFindings().in(mended(project, found), rules)).isEmpty();
  }

  @Test
  void aLimitThatARuleDoesNotHaveIsRefused() {
    assertThatThrownBy(
            () -> RuleSet.USUAL.with(Rule.LOW_CONTRAST, RuleSetting.USUAL.withLimit("radio", 4.5)))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("it has: ratio, large");
    assertThatThrownBy(
            () -> RuleSet.USUAL.with(Rule.LOW_CONTRAST, RuleSetting.USUAL.withLimit("ratio", 40)))
        .hasMessageContaining("goes from 1 to 21");
  }

  @Test
  void aRuleThatIsOffFindsNothing() {
    RuleSet off =
        RuleSet.USUAL
            .with(Rule.NEAR_SIZES, RuleSetting.USUAL.withSeverity(Severity.OFF))
            .with(Rule.SCALE, RuleSetting.USUAL.withSeverity(Severity.OFF));
    Project project = of(text("1", size(24)), text("2", size(24.2)));
    assertThat(new SizeFindings().in(project, off)).isEmpty();
    assertThat(new SizeFindings().in(project, RuleSet.USUAL)).hasSize(1);
  }
}
