package dynamorph.model.cascade;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.style.DeleteStyle;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.Reach;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.NestedStyles;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Character styles that a style puts on words, with all that follows from them. */
class NestedStylesTest {
  private static final StyleId SPEAKER = new StyleId("speaker");
  private static final StyleId CUE = new StyleId("cue");
  private static final LayerId SAID = new LayerId("said");
  private static final LayerId MUTE = new LayerId("mute");

  private static Style style(StyleId id, StyleLevel level, PropertySet values) {
    return new Style(id, id.value(), "", level, Optional.empty(), values, "");
  }

  private static PropertySet nesting(String rules) {
    return PropertySet.EMPTY.with(Properties.NESTED_STYLES, NestedStyles.parse(rules));
  }

  private static Project project(String rules) {
    Style speaker =
        style(SPEAKER, StyleLevel.CHARACTER, PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0));
    Style cue = style(CUE, StyleLevel.TEXT, nesting(rules));
    return Project.empty("P")
        .withStyles(StyleBook.of(List.of(speaker, cue)))
        .plus(
            Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                .plus(Layer.of("said", "S", "Marta: wind it").withFollows(List.of(CUE)))
                .plus(Layer.of("mute", "M", "wind it").withFollows(List.of(CUE)))
                .plus(Layer.of("plain", "P", "Marta: wind it")));
  }

  /** Words with the weight that they are set in. */
  private static String weights(Project project, LayerId id) {
    Cascade cascade = Cascade.of(project);
    Layer layer = project.layer(id).orElseThrow();
    List<Span> spans =
        cascade.dressed(layer).story().paragraphs().stream()
            .flatMap(paragraph -> paragraph.spans().stream())
            .toList();
    List<CharacterLook> looks =
        cascade.resolve(layer).paragraphs().stream()
            .flatMap(paragraph -> paragraph.spans().stream())
            .toList();
    assertThat(looks).hasSameSizeAs(spans);
    return java.util.stream.IntStream.range(0, spans.size())
        .mapToObj(
            span -> spans.get(span).text() + "=" + Math.round(looks.get(span).type().weight()))
        .collect(Collectors.joining("|"));
  }

  private static String saidIn(Project project) {
    return weights(project, SAID);
  }

  @Test
  void aStylePutsStylesOnWords() {
    Project project = project("speaker: up to \":\"");
    assertThat(saidIn(project)).isEqualTo("Marta:=700| wind it=400");
    assertThat(weights(project, MUTE)).isEqualTo("wind it=400");
    assertThat(weights(project, new LayerId("plain"))).isEqualTo("Marta: wind it=400");
    Layer said = project.layer(SAID).orElseThrow();
    assertThat(said.story().followsInside()).isFalse();
  }

  @Test
  void whatIsSetByHandAndMutedStylesCount() {
    Project project = project("speaker: up to \":\"");
    Layer said = project.layer(SAID).orElseThrow();
    Project muted = project.mapLayers(Set.of(SAID), l -> l.withMuted(Set.of(SPEAKER)));
    assertThat(saidIn(muted)).isEqualTo("Marta:=400| wind it=400");
    Project local = project.mapLayers(Set.of(SAID), l -> l.withLocal(nesting("speaker: 2 words")));
    assertThat(saidIn(local)).isEqualTo("Marta: wind=700| it=400");
    Span thin = new Span("Marta", List.of(), PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 300.0));
    Project own =
        project.mapLayers(
            Set.of(SAID),
            l -> said.withStory(new Story(List.of(Paragraph.of(thin, Span.of(": wind"))))));
    assertThat(saidIn(own)).isEqualTo("Marta=300|:=700| wind=400");
  }

  @Test
  void theTraceNamesTheStyle() {
    Project project = project("speaker: up to \":\"");
    Cascade cascade = Cascade.of(project);
    Layer dressed = cascade.dressed(project.layer(SAID).orElseThrow());
    Paragraph paragraph = dressed.story().paragraphs().getFirst();
    Trace<Double> trace =
        cascade.trace(
            dressed, paragraph, paragraph.spans().getFirst(), Properties.FONT_WEIGHT.key());
    assertThat(trace.winner().source())
        .isEqualTo(new Source.Followed(Level.SPAN, SPEAKER, SPEAKER));
  }

  /** What changes is told letter by letter, although the styles in use stay the same. */
  @Test
  void reachSeesRulesAndStylesChange() {
    Project project = project("speaker: 1 word");
    Project two = project("speaker: 2 words");
    assertThat(Reach.between(project, two)).containsExactlyInAnyOrder(SAID, MUTE);
    Project colons = project("speaker: up to \":\"");
    Project bolder =
        colons.withStyles(
            colons
                .styles()
                .map(
                    SPEAKER,
                    style ->
                        style.withProperties(
                            style.properties().with(Properties.FONT_WEIGHT, 900.0))));
    assertThat(Reach.between(colons, bolder)).containsExactly(SAID);
    assertThat(Reach.between(colons, project)).containsExactlyInAnyOrder(SAID, MUTE);
    // other rules in the same styles: only where their words are
    Project dashes =
        colons.withStyles(
            colons
                .styles()
                .map(CUE, style -> style.withProperties(nesting("speaker: before \":\""))));
    assertThat(Reach.between(colons, dashes)).containsExactly(SAID);
    Population population = Population.of(colons);
    assertThat(population.follow(bolder).size()).isEqualTo(population.size());
    assertThat(population.follow(two).resolve(Cascade.of(two))).hasSize(Population.of(two).size());
  }

  @Test
  void aNestedStyleIsInUse() {
    Project project = project("speaker: up to \":\"");
    Followers followers = Followers.of(project);
    assertThat(followers.unused()).isEmpty();
    assertThat(followers.count(SPEAKER).direct()).isZero();
    assertThat(followers.count(SPEAKER).all()).isEqualTo(2);
    assertThat(followers.of(SPEAKER))
        .extracting(one -> one.layer().id())
        .containsExactly(SAID, MUTE);
    assertThat(Followers.of(project("none")).unused())
        .extracting(Style::id)
        .containsExactly(SPEAKER);
  }

  @Test
  void aStyleThatATextOrAParagraphNestsByItselfIsInUse() {
    Project without = project("none");
    Project byText = without.mapLayers(Set.of(MUTE), l -> l.withLocal(nesting("speaker: 1 word")));
    Project byParagraph =
        without.mapLayers(
            Set.of(MUTE),
            l ->
                l.withStory(l.story().mapParagraphs(p -> p.withLocal(nesting("speaker: 1 word")))));
    for (Project project : List.of(byText, byParagraph)) {
      assertThat(weights(project, MUTE)).isEqualTo("wind=700| it=400");
      assertThat(saidIn(project)).isEqualTo("Marta: wind it=400");
      Followers followers = Followers.of(project);
      assertThat(followers.unused()).isEmpty();
      assertThat(followers.of(SPEAKER)).extracting(one -> one.layer().id()).containsExactly(MUTE);
    }
  }

  /** What only a style nests that nobody follows has no text; it is not offered for deleting. */
  @Test
  void aStyleThatAnUnusedOneNestsIsKeptWithIt() {
    Project project = project("speaker: 1 word");
    Project nobody = project.mapLayers(Set.of(SAID, MUTE), l -> l.withFollows(List.of()));
    Followers followers = Followers.of(nobody);
    assertThat(followers.count(SPEAKER).all()).isZero();
    assertThat(followers.unused()).extracting(Style::id).containsExactly(CUE);
  }

  /** A value for a whole text is set on its nested words, too, for these have a nearer one. */
  @Test
  void aValueOfAWholeTextCountsOnNestedWords() {
    Project project = project("speaker: up to \":\"");
    Project light =
        SetValues.of(Target.Layers.of("said"), Properties.FONT_WEIGHT.key(), 300.0)
            .applyTo(project);
    assertThat(saidIn(light)).isEqualTo("Marta:=300| wind it=300");
  }

  @Test
  void aDeletedStyleIsNestedNoLonger() {
    Project project = project("speaker: up to \":\"; cue2: 1 word");
    Style other =
        style(
            new StyleId("cue2"),
            StyleLevel.CHARACTER,
            PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 500.0));
    project = project.withStyles(project.styles().with(other));
    Project gone = new DeleteStyle(SPEAKER, Optional.empty()).applyTo(project);
    assertThat(gone.styles().get(CUE).properties())
        .isEqualTo(nesting("skip up to \":\"; cue2: 1 word"));
    assertThat(saidIn(gone)).isEqualTo("Marta:=700| wind=500| it=400");
    assertThat(gone.layer(SAID).orElseThrow().local().isEmpty()).isTrue();
    Project replaced = new DeleteStyle(SPEAKER, Optional.of(other.id())).applyTo(project);
    assertThat(saidIn(replaced)).isEqualTo("Marta: wind=500| it=400");
  }

  /** A style takes along what it nests, under whatever id that has on the other side. */
  @Test
  void nestedStylesTravel() {
    Project from = project("speaker: up to \":\"");
    StyleBundle bundle = StyleBundle.of(from, List.of(CUE), List.of());
    assertThat(bundle.styles()).extracting(Style::id).containsExactly(SPEAKER, CUE);
    Style taken =
        new Style(
            SPEAKER,
            "Something else",
            "",
            StyleLevel.CHARACTER,
            Optional.empty(),
            PropertySet.EMPTY,
            "");
    Project to = Project.empty("T").withStyles(StyleBook.of(List.of(taken)));
    Project arrived = new ImportStyles(bundle, Map.of()).applyTo(to);
    assertThat(arrived.styles().get(CUE).properties()).isEqualTo(nesting("speaker-2: up to \":\""));
    assertThat(arrived.styles().get(new StyleId("speaker-2")).name()).isEqualTo("speaker");
  }

  @Test
  void aSampleOfNestedWordsFollowsTheirStyle() {
    Project project = project("speaker: up to \":\"");
    Sample sample = Sample.of(project, project.layer(SAID).orElseThrow(), 2);
    assertThat(sample.spanFollows()).containsExactly(SPEAKER);
    assertThat(Coats.value(sample.values(), Properties.FONT_WEIGHT.key())).isEqualTo(700);
  }
}
