package dynamorph.paint.survey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.style.AdoptStyles;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.MessyProjects;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import dynamorph.model.survey.hidden.HiddenStyles;
import dynamorph.model.survey.hidden.Tolerance;
import dynamorph.model.survey.rule.HouseRule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.survey.rule.Severity;
import dynamorph.model.survey.rule.SurveySettings;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Painting;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.spelling.Speller;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.pcollections.TreePVector;

/** A survey that knows what was before finds what one finds that sees the project for the first. */
class SurveyAgainTest {
  private static final int CHANGES = 16;

  private final SceneMaker maker = Painting.maker();
  private final Speller speller = new Speller();

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void afterAnyChangeOfAMess(long seed) {
    assertSameAgain(onTwoBoards(new MessyProjects(seed, 1).project(60, 5).project()), seed);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void afterAnyChangeOfAProjectWithStyles(long seed) {
    assertSameAgain(new RandomProjects(seed).project(), seed);
  }

  /** What changes nothing in the texts themselves, and what is found in them. */
  @ParameterizedTest
  @ValueSource(strings = {"words", "language", "swatch", "size"})
  void whatTextsAreReadByIsSeenToChange(String what) {
    Style style =
        Style.text("line", "Line", "")
            .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(24)));
    List<Layer> layers = new ArrayList<>();
    for (int index = 0; index < 6; index++) {
      layers.add(
          Layer.of("t" + index, "t", "hte clock")
              .withFollows(List.of(style.id()))
              .withLocal(
                  PropertySet.EMPTY.with(
                      Properties.COAT_COLOUR.at(Painting.FILL),
                      index < 3 ? Colour.swatch("ink") : Colour.hex("#402020"))));
    }
    Project before =
        ruled(
            onTwoBoards(
                    Project.empty("P")
                        .plus(Artboard.empty("a", "A", 9, 9, LengthUnit.PIXEL).withLayers(layers)))
                .withStyles(Project.empty("P").styles().with(style))
                .withPalette(Palette.EMPTY.with(new Swatch("ink", "Ink", Rgba.of(64, 32, 32)))),
            20);
    Project after =
        switch (what) {
          case "words" -> before.withWords(new TreeSet<>(Set.of("hte")));
          case "language" -> restyled(before, style, Properties.LANGUAGE, "fr");
          case "swatch" ->
              before.withPalette(
                  before.palette().with(new Swatch("ink", "Ink", Rgba.of(9, 9, 200))));
          default -> restyled(before, style, Properties.SIZE, FontSize.points(12));
        };
    Survey survey = new Survey(speller, MediaSource.NONE);
    Scene scene = maker.make(before);
    List<Object> was = told(survey.of(scene, maker, Optional.empty()));
    assertThat(told(survey.of(maker.make(after, scene), maker, Optional.empty())))
        .isNotEqualTo(was)
        .isEqualTo(
            told(
                new Survey(speller, MediaSource.NONE)
                    .of(maker.make(after), maker, Optional.empty())));
  }

  private static <T> Project restyled(Project project, Style style, Property<T> property, T value) {
    return project.withStyles(
        project.styles().with(style.withProperties(style.properties().with(property, value))));
  }

  private void assertSameAgain(Project project, long seed) {
    RandomProjects random = new RandomProjects(seed + 100);
    Survey survey = new Survey(speller, MediaSource.NONE);
    Project now = project;
    Scene scene = maker.make(now);
    survey.of(scene, maker, Optional.empty());
    for (int change = 0; change < CHANGES; change++) {
      int kind = random.number(14);
      now = changed(now, kind, random);
      scene = maker.make(now, scene);
      assertThat(told(survey.of(scene, maker, Optional.empty())))
          .as("after change %s of kind %s", change, kind)
          .isEqualTo(
              told(
                  new Survey(speller, MediaSource.NONE)
                      .of(maker.make(now), maker, Optional.empty())));
    }
  }

  private static List<Object> told(SurveyReport report) {
    List<Object> told = new ArrayList<>(report.hidden());
    report
        .findings()
        .forEach(finding ->
            told.add(List.of(finding.rule(), finding.house(), finding.detail(), finding.spots())));
    told.add(report.isComplete());
    return told;
  }

  /** Texts lie on each other, as they do in a mess. */
  private static Project onTwoBoards(Project messy) {
    List<Layer> all = messy.layers().toList();
    Project project = Project.empty("Mess");
    for (int board = 0; board < 2; board++) {
      List<Layer> layers = new ArrayList<>();
      for (int index = board; index < all.size(); index += 2) {
        layers.add(
            all.get(index)
                .withFrame(
                    PropertySet.EMPTY
                        .with(Properties.POSITION_X, 10.0 + index % 5 * 60)
                        .with(Properties.POSITION_Y, 10.0 + index * 14)));
      }
      project =
          project.plus(
              Artboard.empty("b" + board, "Board " + board, 700, 900, LengthUnit.PIXEL)
                  .withLayers(TreePVector.from(layers)));
    }
    return project;
  }

  private static Project changed(Project project, int kind, RandomProjects random) {
    Artboard board = random.pick(project.artboards());
    return switch (kind) {
      case 0 -> set(project, random, Properties.SIZE.key(), FontSize.points(5 + random.number(60)));
      case 1 ->
          set(project, random, Properties.COAT_COLOUR.at(Painting.FILL), Colour.of(colour(random)));
      case 2 ->
          project.mapLayers(
              Set.of(random.layers(project).layers().getFirst()), SurveyAgainTest::reworded);
      case 3 -> board(project, board.withBackground(Colour.of(colour(random))));
      case 4 -> board(project, board.withName("Renamed").withSize(500, 400));
      case 5 -> {
        List<Layer> mixed = new ArrayList<>(board.layers());
        Collections.shuffle(mixed, new Random(random.number(1000)));
        yield board(project, board.withLayers(mixed));
      }
      case 6 ->
          board(
              project,
              board.withLayers(
                  board.layers().stream()
                      .filter(layer -> !layer.id().value().endsWith("7"))
                      .toList()));
      case 7 ->
          project.mapLayers(
              Set.copyOf(random.layers(project).layers()),
              layer ->
                  layer.withFrame(
                      layer.frame().with(Properties.POSITION_X, 5.0 + random.number(300))));
      case 8 ->
          project.mapLayers(
              Set.copyOf(random.layers(project).layers()),
              layer -> layer.withState(layer.state().withHidden(!layer.state().hidden())));
      case 9 -> adopted(project);
      case 10 -> styled(project, random);
      case 11 ->
          project.withPalette(project.palette().with(new Swatch("s1", "Swatch 1", colour(random))));
      case 12 -> {
        TreeSet<String> words = new TreeSet<>(project.words());
        words.add(words.contains("hte") ? "winding" : "hte");
        yield project.withWords(words);
      }
      default -> ruled(project, 10 + random.number(30));
    };
  }

  private static Layer reworded(Layer layer) {
    return layer.isText()
        ? layer.withStory(layer.story().replace(layer.story().all(), "a -- b \"c\" hte"))
        : layer;
  }

  private static Project board(Project project, Artboard changed) {
    return project.mapArtboards(board -> board.id().equals(changed.id()) ? changed : board);
  }

  private static Rgba colour(RandomProjects random) {
    int grey = random.number(256);
    return Rgba.of(grey, grey, random.number(256));
  }

  private static <T> Project set(
      Project project, RandomProjects random, PropertyKey<T> key, T value) {
    return SetValues.of(
            new Target.Layers(random.layers(project).layers().stream().limit(2).toList()),
            key,
            value)
        .applyTo(project);
  }

  private static Project adopted(Project project) {
    Edit adoption =
        new AdoptStyles(
            HiddenStyles.of(project).within(Tolerance.USUAL).stream()
                .limit(1)
                .filter(one -> one.beside().isEmpty())
                .map(one ->
                    new AdoptStyles.Adoption(one.style(), Set.copyOf(one.members()), Set.of()))
                .toList());
    return adoption.applyTo(project);
  }

  private static Project styled(Project project, RandomProjects random) {
    List<Style> styles = project.styles().list();
    if (styles.isEmpty()) {
      return project;
    }
    Style style = random.pick(styles);
    PropertySet values = random.values(2, style.level().level());
    return project.withStyles(
        project
            .styles()
            .map(style.id(), one -> one.withProperties(one.properties().overlaidBy(values))));
  }

  private static Project ruled(Project project, int size) {
    RuleSet rules =
        new RuleSet(
            "",
            Map.of(),
            List.of(new HouseRule("small", "size<" + size, "too small", Severity.WARNING)));
    return project.withSurvey(new SurveySettings(rules, List.of()));
  }
}
