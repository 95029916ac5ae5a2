package dynamorph.paint.reach;

import static dynamorph.paint.Painting.FILL;
import static dynamorph.paint.Painting.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Painting;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ExaminationTest {
  private static final LayerId ONE = new LayerId("one");
  private final SceneMaker maker = Painting.maker();

  private ReachedText looked(Project before, Project after) {
    Scene scene = maker.make(before);
    Examination examination =
        new Examination(
            Optional.of(scene), maker.make(after, scene), new LayerPainter(), MediaSource.NONE);
    return examination.look(examination.glance(ONE).orElseThrow());
  }

  private static Project changed(Project project, PropertySet values) {
    return SetValues.of(new Target.Layers(List.of(ONE)), values).applyTo(project);
  }

  private static PropertySet colour(String hex) {
    return PropertySet.EMPTY.with(Properties.COAT_COLOUR.at(FILL), Colour.hex(hex));
  }

  @Test
  void textThatFitsAndIsReadHasNoProblems() {
    Project project = Painting.project(text("one", "Hour", PropertySet.EMPTY));
    ReachedText text = looked(project, project);
    assertThat(text.problems()).isEmpty();
    assertThat(text.change()).isZero();
  }

  @Test
  void aSizeThatDoesNotFitItsBoxIsANewProblem() {
    PropertySet box =
        PropertySet.EMPTY
            .with(Properties.BOX, BoxFit.FIXED)
            .with(Properties.BOX_WIDTH, 170.0)
            .with(Properties.BOX_HEIGHT, 60.0);
    Project project = Painting.project(text("one", "Hour bell", box));
    Project larger = changed(project, PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(60)));
    ReachedText text = looked(project, larger);
    assertThat(text.problems().getFirst())
        .isEqualTo(new Problem(Problem.Kind.OVERSET, "1 line does not fit", true));
    assertThat(text.has(Problem.Kind.LINES)).isTrue();
    assertThat(looked(larger, larger).problems().getFirst().isNew()).isFalse();
  }

  @Test
  void growingOverAnotherLayerIsToldAndLyingOnItBeforeIsNot() {
    Layer other =
        text("two", "Bell", PropertySet.EMPTY)
            .withFrame(
                PropertySet.EMPTY
                    .with(Properties.POSITION_X, 130.0)
                    .with(Properties.POSITION_Y, 10.0));
    Layer ground =
        Layer.of("ground", "Ground", new Shape.Ellipse())
            .withFrame(
                PropertySet.EMPTY
                    .with(Properties.BOX, BoxFit.FIXED)
                    .with(Properties.BOX_WIDTH, 200.0)
                    .with(Properties.BOX_HEIGHT, 100.0));
    Project project = Painting.project(ground, text("one", "Hour", PropertySet.EMPTY), other);
    Project wider = changed(project, PropertySet.EMPTY.with(Properties.TRACKING, 400.0));
    assertThat(looked(project, wider).problems())
        .extracting(Problem::kind, Problem::detail)
        .contains(org.assertj.core.groups.Tuple.tuple(Problem.Kind.OVER_ANOTHER, "over two"));
    assertThat(looked(project, project).has(Problem.Kind.OVER_ANOTHER)).isFalse();
  }

  @Test
  void placedOnTheSamePlaceIsACollision() {
    Layer other =
        text("two", "Hour", PropertySet.EMPTY)
            .withFrame(
                PropertySet.EMPTY
                    .with(Properties.POSITION_X, 20.0)
                    .with(Properties.POSITION_Y, 60.0));
    Project project = Painting.project(text("one", "Hour", PropertySet.EMPTY), other);
    Project moved = changed(project, PropertySet.EMPTY.with(Properties.POSITION_Y, 60.0));
    assertThat(looked(project, moved).problems())
        .extracting(Problem::kind)
        .contains(Problem.Kind.COLLISION);
  }

  @Test
  void standingOutOfTheArtboardIsTold() {
    Project project = Painting.project(text("one", "Hour", PropertySet.EMPTY));
    Project moved = changed(project, PropertySet.EMPTY.with(Properties.POSITION_X, 150.0));
    assertThat(looked(project, moved).has(Problem.Kind.OFF_ARTBOARD)).isTrue();
  }

  @Test
  void lettersThatNoFontHasAreNamed() {
    Project project = Painting.project(text("one", "a\uE123", PropertySet.EMPTY));
    assertThat(looked(project, project).problems())
        .extracting(Problem::detail)
        .contains("no font has \uE123");
  }

  private double contrast(Layer... layers) {
    Scene scene = maker.make(Painting.project(layers));
    return new Legibility(new LayerPainter(), new FootagePainter(MediaSource.NONE))
        .of(scene.find(ONE).orElseThrow())
        .orElseThrow()
        .contrast();
  }

  @Test
  void contrastIsThatOfWcagForPlainLettersOnThePlainBoard() {
    assertThat(contrast(text("one", "Hour", colour("#777777")))).isCloseTo(4.48, within(0.01));
    assertThat(contrast(text("one", "Hour", colour("#000000")))).isCloseTo(21, within(0.01));
  }

  @Test
  void contrastCountsWhatLiesBehindBelowAndNotAbove() {
    Layer dark =
        Layer.of(
                "dark", "Dark", new Shape.Rectangle(dynamorph.model.value.BoxLengths.parse("0 pt")))
            .withFrame(
                PropertySet.EMPTY
                    .with(Properties.BOX, BoxFit.FIXED)
                    .with(Properties.BOX_WIDTH, 200.0)
                    .with(Properties.BOX_HEIGHT, 100.0))
            .withLocal(colour("#222222"));
    Layer letters = text("one", "Hour", colour("#333333"));
    assertThat(contrast(dark, letters)).isLessThan(1.5);
    assertThat(contrast(letters, dark)).isGreaterThan(10);
  }

  @Test
  void contrastCountsTheTextsOwnPlateAndARimThatMakesItLegible() {
    Address ground = Address.plateCoat("ground");
    PropertySet onPlate =
        colour("#ffffff")
            .with(Properties.COAT_KIND.at(ground), CoatKind.FILL)
            .with(Properties.COAT_COLOUR.at(ground), Colour.of(Rgba.BLACK));
    assertThat(contrast(text("one", "Hour", onPlate))).isCloseTo(21, within(0.01));
    Address rim = Address.coat("rim");
    PropertySet rimmed =
        colour("#ffffff")
            .with(Properties.COAT_KIND.at(rim), CoatKind.STROKE)
            .with(Properties.COAT_COLOUR.at(rim), Colour.of(Rgba.BLACK))
            .with(Properties.STROKE_WIDTH.at(rim), dynamorph.model.value.Length.points(3));
    assertThat(contrast(text("one", "Hour", colour("#ffffff")))).isCloseTo(1, within(0.01));
    assertThat(contrast(text("one", "Hour", rimmed))).isCloseTo(21, within(0.01));
  }

  @Test
  void aTurnedTextIsReadAgainstWhatIsUnderIt() {
    Layer dark =
        Layer.of(
                "dark", "Dark", new Shape.Rectangle(dynamorph.model.value.BoxLengths.parse("0 pt")))
            .withFrame(
                PropertySet.EMPTY
                    .with(Properties.POSITION_X, 100.0)
                    .with(Properties.BOX, BoxFit.FIXED)
                    .with(Properties.BOX_WIDTH, 100.0)
                    .with(Properties.BOX_HEIGHT, 100.0))
            .withLocal(colour("#000000"));
    PropertySet turned =
        colour("#ffffff")
            .with(Properties.SIZE, FontSize.points(20))
            .with(Properties.ROTATION, 90.0)
            .with(Properties.POSITION_X, 160.0);
    assertThat(contrast(dark, text("one", "Hour", turned))).isCloseTo(21, within(0.1));
  }

  @Test
  void lowContrastIsNewOnlyIfItWasReadableBefore() {
    Project project = Painting.project(text("one", "Hour", colour("#000000")));
    Project pale = changed(project, colour("#dddddd"));
    Problem problem = looked(project, pale).problems().getFirst();
    assertThat(problem.kind()).isEqualTo(Problem.Kind.LOW_CONTRAST);
    assertThat(problem.isNew()).isTrue();
    assertThat(problem.detail()).isEqualTo("contrast 1.4, wants 3.0");
    assertThat(looked(pale, pale).problems().getFirst().isNew()).isFalse();
  }

  @Test
  void whatChangesMoreComesFirstAndProblemsBeforeThat() {
    Project project = Painting.project(text("one", "Hour", colour("#000000")));
    ReachedText little = looked(project, changed(project, colour("#101010")));
    ReachedText much = looked(project, changed(project, colour("#206040")));
    ReachedText pale = looked(project, changed(project, colour("#eeeeee")));
    assertThat(much.change()).isGreaterThan(little.change());
    assertThat(List.of(little, much, pale).stream().sorted(ReachedText.MOST_URGENT))
        .containsExactly(pale, much, little);
  }
}
