package dynamorph.model.edit;

import static dynamorph.model.random.LooksOf.looks;
import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.Population;
import dynamorph.model.cascade.SharedLook;
import dynamorph.model.edit.film.DetachFromTrack;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.layer.ClearFormatting;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.CombineStyles;
import dynamorph.model.edit.style.DeriveFromLocal;
import dynamorph.model.edit.style.Follow;
import dynamorph.model.edit.style.HoldBack;
import dynamorph.model.edit.style.MergeStyles;
import dynamorph.model.edit.style.MuteStyle;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.edit.style.Stamp;
import dynamorph.model.edit.style.StampSample;
import dynamorph.model.property.Address;
import dynamorph.model.property.Aspect;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.reach.Reach;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.WritingMode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold for every way of following, deviating and settling, on seeded random projects. */
class StyleInvariantsTest {
  static LongStream seeds() {
    return LongStream.range(100, 114);
  }

  /** Complete values at every letter-bearing place of a layer, with its placement. */
  private static List<PropertySet> places(Project project, Layer layer) {
    Cascade cascade = Cascade.of(project);
    List<PropertySet> places = new ArrayList<>();
    for (Paragraph paragraph : layer.story().paragraphs()) {
      for (Span span : paragraph.spans()) {
        places.add(cascade.valuesWithPlacement(layer, paragraph, span));
      }
    }
    return places;
  }

  private static Layer layer(Project project, LayerId id) {
    return project.layer(id).orElseThrow();
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void whatIsLeftAloneLooksAsBefore(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Style style = random.pick(project.styles().list());
    Target.Layers target = random.layers(project);
    Set<Aspect> left = Set.of(Aspect.FONT, Aspect.SIZE, Aspect.PARAGRAPH, Aspect.PLACEMENT);
    Project after = new Follow(target, style.id(), random.options().leaving(left)).applyTo(project);
    for (LayerId id : target.layers()) {
      List<PropertySet> before = places(project, layer(project, id));
      List<PropertySet> now = places(after, layer(after, id));
      if (before.size() != now.size()) {
        continue; // spans that follow the same now are one
      }
      for (int place = 0; place < before.size(); place++) {
        for (PropertyKey<?> key : before.get(place).keys()) {
          if (left.stream().anyMatch(aspect -> aspect.covers(key))) {
            assertThat(now.get(place).get(key).equals(before.get(place).get(key)))
                .as("%s of %s", key, id)
                .isTrue();
          }
        }
      }
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void aStampGivesTheValuesOfTheStyleAndFollowsNothingMore(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Style style = textStyle(random, project);
    Target.Layers target = random.layers(project);
    Project stamped = Stamp.of(target, style.id()).applyTo(project);
    Set<PropertyKey<?>> set = new HashSet<>();
    project.styles().chain(style.id()).forEach(link -> set.addAll(link.properties().keys()));
    Project cleared = DropLocal.of(target, set).applyTo(project);
    Project worn = Follow.onTop(target, style.id()).applyTo(cleared);
    for (LayerId id : target.layers()) {
      assertThat(Followers.followed(layer(stamped, id)))
          .isEqualTo(Followers.followed(layer(project, id)));
      assertThat(looks(stamped).get(id)).isEqualTo(looks(worn).get(id));
    }
  }

  private static Style textStyle(RandomProjects random, Project project) {
    return random.pick(
        project.styles().stream().filter(one -> one.level() == StyleLevel.TEXT).toList());
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void thoseHeldBackKeepTheirLookAndAllOthersChangeAsTheyWould(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Style style = random.pick(project.styles().list());
    Edit edit = new ChangeStyle(style.withProperties(random.values(5, style.level().level())));
    Set<LayerId> held = random.layers(project).layers();
    Optional<HoldBack.Branch> branch =
        random.chance()
            ? Optional.of(new HoldBack.Branch(style.id(), new StyleId("branch"), "As before"))
            : Optional.empty();
    Project after = new HoldBack(edit, held, branch).applyTo(project);
    Map<LayerId, List<Object>> before = looks(project);
    Map<LayerId, List<Object>> edited = looks(edit.applyTo(project));
    looks(after)
        .forEach((id, look) ->
            assertThat(look)
                .as("%s, held back: %s", id, held.contains(id))
                .isEqualTo(held.contains(id) ? before.get(id) : edited.get(id)));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void aChangedSwatchLeavesAloneWhatIsHeldBack(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Edit edit = new SetSwatch(new Swatch("s1", "Other", Rgba.of(1, 2, 3)));
    Set<LayerId> reached = Reach.between(project, edit.applyTo(project));
    Project after = HoldBack.byLocalChanges(edit, reached).applyTo(project);
    assertThat(looks(after)).isEqualTo(looks(project));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void stackedStylesKeptAsOneLookAsBefore(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    for (Layer layer : project.layers().toList()) {
      if (layer.follows().size() < 2 || !layer.muted().isEmpty()) {
        continue;
      }
      Style one =
          Style.text("one", "One", "")
              .withProperties(CombineStyles.values(project.styles(), layer.follows()));
      Set<LayerId> all = new HashSet<>(project.layers().map(Layer::id).toList());
      Project after = new CombineStyles(all, layer.follows(), one).applyTo(project);
      assertThat(layer(after, layer.id()).follows()).containsExactly(one.id());
      assertThat(looks(after)).isEqualTo(looks(project));
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void aDeviationMadeAStyleLooksAsBefore(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    for (Layer layer : project.layers().toList()) {
      PropertySet deviation = DeriveFromLocal.deviation(project, layer);
      if (deviation.isEmpty()) {
        continue;
      }
      StyleId base = DeriveFromLocal.base(project, layer).orElseThrow();
      Style derived =
          Style.text("derived", "Derived", "")
              .withBasedOn(Optional.of(base))
              .withProperties(deviation);
      Set<LayerId> alike = new HashSet<>();
      DeriveFromLocal.deviatingAlike(project, base, deviation)
          .forEach(other -> alike.add(other.id()));
      Project after = new DeriveFromLocal(derived, alike).applyTo(project);
      assertThat(alike).contains(layer.id());
      assertThat(looks(after)).isEqualTo(looks(project));
      assertThat(LocalChanges.count(layer(after, layer.id())))
          .isLessThan(LocalChanges.count(layer));
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void afterAMergeFollowersFollowTheOneThatStays(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Style into = textStyle(random, project);
    Style other = textStyle(random, project);
    if (into.equals(other)) {
      return;
    }
    Project after = new MergeStyles(into.id(), List.of(other.id())).applyTo(project);
    assertThat(after.styles().find(other.id())).isEmpty();
    for (Layer layer : project.layers().toList()) {
      Set<StyleId> expected = new HashSet<>(Followers.followed(layer));
      if (expected.remove(other.id())) {
        expected.add(into.id());
      }
      assertThat(Followers.followed(layer(after, layer.id()))).isEqualTo(expected);
    }
  }

  /** A whole text takes a writing mode; words that are stamped do not turn the text about them. */
  @Test
  void aSampleTurnsTextsButNotTheTextAroundWords() {
    Layer vertical =
        Layer.of("v", "V", "a")
            .withLocal(
                PropertySet.EMPTY
                    .with(Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT)
                    .with(Properties.SPACE_AFTER, Length.points(9)));
    LayerId other = new LayerId("o");
    Project project =
        Project.empty("P")
            .plus(
                Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                    .plus(vertical)
                    .plus(Layer.of("o", "O", "one two")));
    Sample sample = Sample.of(project, vertical, 0);
    Set<Facet> paragraph = Set.of(Facet.PARAGRAPH);
    Project words =
        new StampSample(new Target.Words(other, new TextRange(0, 3)), sample, paragraph, false)
            .applyTo(project);
    assertThat(mode(words, other)).isEqualTo(WritingMode.HORIZONTAL);
    Project text =
        new StampSample(new Target.Layers(List.of(other)), sample, paragraph, false)
            .applyTo(project);
    assertThat(mode(text, other)).isEqualTo(WritingMode.VERTICAL_RIGHT_TO_LEFT);
  }

  private static WritingMode mode(Project project, LayerId id) {
    return Cascade.of(project).placement(layer(project, id)).inside().mode();
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void aSampleGivesItsValuesInTheChosenFacetsAndNoOthers(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Layer source = random.pick(project.layers().toList());
    Sample sample = Sample.of(project, source, 0);
    Set<Facet> facets = Set.of(random.pick(List.of(Facet.values())));
    LayerId id = random.pick(project.layers().toList()).id();
    Target.Layers target = new Target.Layers(List.of(id));
    Project after = new StampSample(target, sample, facets, random.chance()).applyTo(project);
    List<PropertySet> before = places(project, layer(project, id));
    List<PropertySet> now = places(after, layer(after, id));
    for (PropertySet place : now) {
      for (PropertyKey<?> key : sample.values().keys()) {
        if (facets.contains(key.property().facet()) && key.property().facet() != Facet.FINISH) {
          assertThat((Object) Coats.value(place, key))
              .as("%s", key)
              .isEqualTo(Coats.value(sample.values(), key));
        }
      }
    }
    if (before.size() == now.size()) {
      for (int place = 0; place < now.size(); place++) {
        int at = place;
        for (PropertyKey<?> key : now.get(place).keys()) {
          boolean ofNoCoat = isOfNoCoat(key, now.get(at)) && isOfNoCoat(key, before.get(at));
          if (!facets.contains(key.property().facet()) && !ofNoCoat) {
            assertThat((Object) Coats.value(now.get(at), key))
                .as("%s", key)
                .isEqualTo(Coats.value(before.get(at), key));
          }
        }
      }
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void aMutedStyleCountsForNothingAndUnmutedForAll(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Style style = random.pick(project.styles().list());
    Set<LayerId> all = new HashSet<>(project.layers().map(Layer::id).toList());
    Project clear = new MuteStyle(all, style.id(), false).applyTo(project);
    Project muted = new MuteStyle(all, style.id(), true).applyTo(clear);
    Project stopped =
        clear
            .mapLayers(layer ->
                layer.mapFollows(id -> Optional.of(id).filter(one -> !one.equals(style.id()))))
            .mapCaptions(track ->
                track.mapFollows(id -> Optional.of(id).filter(one -> !one.equals(style.id()))));
    assertThat(looks(muted)).isEqualTo(looks(stopped));
    assertThat(looks(new MuteStyle(all, style.id(), false).applyTo(muted))).isEqualTo(looks(clear));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void countsAgreeWithTheFollowersListedWhateverIsRemembered(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Style style = random.pick(project.styles().list());
    Project changed = Follow.onTop(random.layers(project), style.id()).applyTo(project);
    Followers followers = Followers.of(project).follow(changed);
    for (Style one : changed.styles().list()) {
      List<Followers.Follower> direct = followers.direct(one.id());
      assertThat(followers.count(one.id()))
          .isEqualTo(
              new Followers.Count(
                  direct.size(),
                  followers.of(one.id()).size(),
                  (int) direct.stream().filter(each -> each.localChanges() > 0).count()));
      assertThat(followers.of(one.id())).isEqualTo(Followers.of(changed).of(one.id()));
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void textsThatGoToAnotherProjectLookAsTheyDidIfNothingCollides(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project from = random.project().withBaseStyle(Optional.empty());
    from = from.mapArtboards(board -> board.withBaseStyle(Optional.empty()));
    Project source = from;
    List<Layer> layers = source.layers().map(layer -> DetachFromTrack.of(source, layer)).toList();
    StyleBundle bundle = StyleBundle.of(source, layers);
    Project empty = Project.empty("Other").withAssets(source.assets());
    ImportStyles.Arrived arrived = new ImportStyles(bundle, Map.of()).arrive(empty);
    Project there =
        arrived
            .project()
            .plus(
                source
                    .artboards()
                    .getFirst()
                    .withLayers(layers.stream().map(arrived::settled).toList()));
    assertThat(looks(there)).isEqualTo(looks(source));
    assertThat(ImportStyles.collisions(there, bundle)).isEmpty();
    assertThat(new ImportStyles(bundle, Map.of()).applyTo(there).styles().size())
        .as("brought twice is brought once")
        .isEqualTo(there.styles().size());
  }

  /** Values of a coat that is not there show nothing, whatever they are. */
  private static boolean isOfNoCoat(PropertyKey<?> key, PropertySet values) {
    return key.address() != Address.TEXT
        && !key.address().coat().equals(Address.WHOLE)
        && !Coats.of(values, key.address().host()).contains(key.address().ownCoat());
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void clearedTextFollowsNothingAndHasNoLocalChanges(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Target.Layers target = random.layers(project);
    Project after = new ClearFormatting(target).applyTo(project);
    for (LayerId id : target.layers()) {
      assertThat(Followers.followed(layer(after, id))).isEmpty();
      assertThat(LocalChanges.of(layer(after, id))).isEmpty();
      assertThat(layer(after, id).story().text()).isEqualTo(layer(project, id).story().text());
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void whatACombinationOfSourcesGivesIsWhatEachOfItsLayersResolvesTo(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Population population = Population.of(project);
    Style style = random.pick(project.styles().list());
    Project changed =
        new ChangeStyle(style.withProperties(random.values(6, style.level().level())))
            .applyTo(project);
    changed =
        SetValues.of(random.layers(changed), random.values(2, style.level().level()))
            .applyTo(changed);
    population = population.follow(changed);
    Cascade cascade = Cascade.of(changed);
    List<SharedLook> looks = population.resolve(cascade);
    for (var board : changed.artboards()) {
      int[] combinations = population.on(board);
      for (int index = 0; index < combinations.length; index++) {
        Layer layer = board.layers().get(index);
        assertThat(looks.get(combinations[index]).paragraphs())
            .isEqualTo(cascade.resolve(layer).paragraphs());
      }
    }
  }
}
