package dynamorph.model.edit;

import static dynamorph.model.random.LooksOf.looks;
import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.layer.ClearFormatting;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.style.AddStyle;
import dynamorph.model.edit.style.ArrangeStyles;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.DeleteStyle;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.edit.style.DeleteSwatch;
import dynamorph.model.edit.style.Follow;
import dynamorph.model.edit.style.HoldBack;
import dynamorph.model.edit.style.KeepStyle;
import dynamorph.model.edit.style.MergeStyles;
import dynamorph.model.edit.style.MuteStyle;
import dynamorph.model.edit.style.Proposal;
import dynamorph.model.edit.style.ReorderFollowed;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.edit.style.SaveIntoStyle;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.edit.style.Stamp;
import dynamorph.model.edit.style.StampSample;
import dynamorph.model.edit.style.StopFollowing;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.reach.Reach;
import dynamorph.model.style.ColourLabel;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold for every project and every edit, on seeded random projects. */
class InvariantsTest {
  static LongStream seeds() {
    return LongStream.range(1, 15);
  }

  /** Edits of every kind that make sense on the project. */
  private static List<Edit> edits(RandomProjects random, Project project) {
    Style style = random.pick(project.styles().list());
    Style other = random.pick(project.styles().list());
    Target.Layers layers = random.layers(project);
    Target.Words words = random.words(project);
    StyleId id = new StyleId("fresh");
    List<Edit> edits = new ArrayList<>();
    edits.add(new Follow(layers, style.id(), random.options()));
    if (style.level() != StyleLevel.TEXT) {
      edits.add(Follow.replacing(words, style.id()));
    }
    edits.add(SetValues.of(layers, random.values(3, Level.LAYER)));
    edits.add(SetValues.of(words, random.values(3, Level.SPAN)));
    edits.add(DropLocal.all(layers));
    edits.add(DropLocal.all(words));
    edits.add(new StopFollowing(layers, style.id(), random.chance()));
    edits.add(new ChangeStyle(style.withProperties(random.values(5, style.level().level()))));
    edits.add(new ChangeStyle(style.withName("Renamed").withGroup("Moved")));
    edits.add(AddStyle.derived(style, id, "Derived"));
    edits.add(AddStyle.duplicate(style, id, "Copy"));
    edits.add(new DeleteStyle(style.id(), Optional.empty()));
    if (other.level() == style.level() && !other.id().equals(style.id())) {
      edits.add(new DeleteStyle(style.id(), Optional.of(other.id())));
    }
    edits.add(new SetSwatch(new Swatch("s1", "Other", Rgba.of(1, 2, 3))));
    edits.add(new DeleteSwatch("s2", random.chance() ? Optional.of("s3") : Optional.empty()));
    edits.addAll(styleEdits(random, project, style, other));
    edits.add(
        EditText.plain(
            words.layer(), words.range(), random.pick(List.of("", "new", "two\nlines"))));
    edits.add(new MoveLayers(layers, 3, -4));
    edits.add(new ArrangeLayers.Delete(layers.layers()));
    edits.add(new ArrangeLayers.Restack(layers.layers(), random.chance()));
    edits.add(new ArrangeLayers.Rename(words.layer(), "Name"));
    Proposal proposal = Proposal.of(project, layers);
    edits.add(
        new KeepStyle(
            layers, proposal.style(id, "Kept", proposal.different(), proposal.basedOn())));
    return edits;
  }

  /** Edits that have to do with following and with the styles themselves. */
  private static List<Edit> styleEdits(
      RandomProjects random, Project project, Style style, Style other) {
    Target.Layers layers = random.layers(project);
    Target.Words words = random.words(project);
    Layer layer = random.pick(project.layers().toList());
    ChangeStyle change =
        new ChangeStyle(style.withProperties(random.values(5, style.level().level())));
    Optional<HoldBack.Branch> branch =
        random.chance()
            ? Optional.of(new HoldBack.Branch(style.id(), new StyleId("branch"), "As before"))
            : Optional.empty();
    Sample sample = Sample.of(project, layer, random.number(layer.story().length() + 1));
    Set<Facet> facets = random.options().keepsLocal();
    List<Edit> edits = new ArrayList<>();
    edits.add(new Stamp(layers, style.id(), random.options()));
    edits.add(new HoldBack(change, layers.layers(), branch));
    edits.add(new MuteStyle(layers.layers(), style.id(), random.chance()));
    edits.add(new ReorderFollowed(layers.layers(), style.id(), random.number(5) - 2));
    edits.add(new DropLocal(layers, Optional.empty(), facets));
    if (!facets.isEmpty()) {
      edits.add(new StampSample(layers, sample, facets, random.chance()));
      edits.add(new StampSample(words, sample, facets, random.chance()));
    }
    edits.add(new ClearFormatting(random.chance() ? layers : words));
    if (style.level() == other.level() && !style.equals(other)) {
      edits.add(new MergeStyles(style.id(), List.of(other.id())));
    }
    edits.add(DeleteStyles.unused(project));
    edits.add(new ArrangeStyles.Move(List.of(style.id()), Optional.of(other.id()), "Elsewhere"));
    edits.add(new ArrangeStyles.RenameGroup("Labels/Loans", "Signs"));
    edits.add(new ArrangeStyles.Label(Set.of(style.id()), Optional.of(ColourLabel.SUN)));
    if (style.level() == StyleLevel.TEXT) {
      ArtboardId board = project.artboards().getFirst().id();
      edits.add(new ChangeProject.SetArtboardBase(board, Optional.of(style.id())));
      edits.add(new ChangeProject.SetBaseStyle(Optional.of(style.id())));
    }
    return edits;
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void undoTakesEveryEditBackAndRedoDoesItAgain(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    History history = History.opened(project);
    List<Project> states = new ArrayList<>(List.of(project));
    for (Edit edit : edits(random, project)) {
      History next = tryApply(history, edit);
      if (next != history) {
        states.add(next.present());
      }
      history = next;
    }
    for (Project state : states.reversed()) {
      assertThat(history.present()).isEqualTo(state);
      history = history.undo();
    }
    assertThat(history.canUndo()).isFalse();
    for (Project state : states.subList(1, states.size())) {
      history = history.redo();
      assertThat(history.present()).isEqualTo(state);
    }
  }

  private static History tryApply(History history, Edit edit) {
    try {
      return history.apply(edit);
    } catch (EditRefused | IllegalArgumentException madeSenseBefore) {
      // an earlier edit of the list may have taken away what this one is about
      return history;
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void everyEditHasAName(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    assertThat(edits(random, project))
        .allSatisfy(edit -> assertThat(edit.label(project)).isNotBlank());
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void followingTwiceIsFollowingOnce(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Style style = random.pick(project.styles().list());
    Follow follow = new Follow(random.layers(project), style.id(), random.options());
    Project once = follow.applyTo(project);
    assertThat(follow.applyTo(once)).isEqualTo(once);
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void savingLocalChangesIntoTheStyleKeepsTheSourcesLook(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    for (Layer layer : project.layers().toList()) {
      // of texts that share a style with their own paragraphs or words, each level is saved by
      // itself
      if (isPlain(layer)) {
        Target one = new Target.Layers(List.of(layer.id()));
        Project after;
        try {
          after = SaveIntoStyle.all(one).applyTo(project);
        } catch (EditRefused nothingToSave) {
          continue;
        }
        assertThat(looks(after).get(layer.id()))
            .as("%s", layer.id())
            .isEqualTo(looks(project).get(layer.id()));
      }
    }
  }

  /**
   * One paragraph of one span that follows one style: nothing else in the text can change with that
   * style.
   */
  private static boolean isPlain(Layer layer) {
    return Followers.followed(layer).size() <= 1
        && layer.story().paragraphs().size() == 1
        && layer.story().paragraphs().getFirst().spans().size() == 1;
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void keepingAStyleKeepsTheSourcesLook(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Target.Layers one = new Target.Layers(List.of(random.layers(project).layers().getFirst()));
    Proposal proposal = Proposal.of(project, one);
    Set<PropertyKey<?>> some =
        proposal.values().keys().stream().filter(_ -> random.chance()).collect(Collectors.toSet());
    Optional<StyleId> base =
        random.chance()
            ? proposal.basedOn()
            : project.styles().stream()
                .filter(style -> style.level() == StyleLevel.TEXT)
                .map(Style::id)
                .findFirst();
    Style style = proposal.style(new StyleId("kept"), "Kept", some, base);
    Project after = new KeepStyle(one, style).applyTo(project);
    LayerId id = one.layers().getFirst();
    assertThat(after.layer(id).orElseThrow().follows()).contains(style.id());
    assertThat(looks(after).get(id)).isEqualTo(looks(project).get(id));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void keepingAStyleFromWordsKeepsTheLook(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Target.Words words = random.words(project);
    Proposal proposal = Proposal.of(project, words);
    Style style =
        proposal.style(new StyleId("kept"), "Kept", proposal.different(), proposal.basedOn());
    Project after = new KeepStyle(words, style).applyTo(project);
    assertThat(looks(after).get(words.layer())).isEqualTo(looks(project).get(words.layer()));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void derivingAnEmptyStyleChangesNothing(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Style style = random.pick(project.styles().list());
    StyleId id = new StyleId("derived");
    Project derived = AddStyle.derived(style, id, "Derived").applyTo(project);
    assertThat(looks(derived)).isEqualTo(looks(project));
    Cascade cascade = Cascade.of(derived);
    assertThat(cascade.values(derived.styles().get(id))).isEqualTo(cascade.values(style));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void droppingAllLocalChangesIsFollowingOnly(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Target.Layers all = new Target.Layers(project.layers().map(Layer::id).toList());
    Project dropped = DropLocal.all(all).applyTo(project);
    assertThat(dropped.layers()).allSatisfy(layer -> assertThat(LocalChanges.of(layer)).isEmpty());
    assertThat(dropped.layers().map(Followers::followed).toList())
        .isEqualTo(project.layers().map(Followers::followed).toList());
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void stoppingWithTheLookKeptChangesNoLook(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    for (int round = 0; round < 3; round++) {
      Style style = random.pick(project.styles().list());
      Target.Layers all = new Target.Layers(project.layers().map(Layer::id).toList());
      Project after = new StopFollowing(all, style.id(), true).applyTo(project);
      assertThat(looks(after)).as(style.name()).isEqualTo(looks(project));
      assertThat(after.layers().map(Followers::followed))
          .noneMatch(followed -> followed.contains(style.id()));
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void deletingAStyleWithoutReplacementChangesNoLook(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    for (int round = 0; round < 3; round++) {
      Style style = random.pick(project.styles().list());
      Project after = new DeleteStyle(style.id(), Optional.empty()).applyTo(project);
      assertThat(after.styles().find(style.id())).isEmpty();
      assertThat(looks(after)).as(style.name()).isEqualTo(looks(project));
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void whatWasSetCountsEverywhereOnTheTarget(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Target.Layers target = random.layers(project);
    PropertySet set =
        PropertySet.EMPTY
            .with(Properties.FONT_WEIGHT, 333.0)
            .with(Properties.SPACE_AFTER, dynamorph.model.value.Length.points(7))
            .with(Properties.ROTATION, 11.0);
    Project after = SetValues.of(target, set).applyTo(project);
    Cascade cascade = Cascade.of(after);
    for (LayerId id : target.layers()) {
      ResolvedLayer look = cascade.resolve(after.layer(id).orElseThrow());
      assertThat(look.placement().rotation()).isEqualTo(11);
      assertThat(look.paragraphs())
          .allSatisfy(paragraph -> {
            assertThat(paragraph.look().spaceAfter()).isEqualTo(7);
            assertThat(paragraph.spans()).allMatch(span -> span.type().weight() == 333);
          });
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void anEditOfAStyleChangesExactlyTheLayersThatReachNames(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Style style = random.pick(project.styles().list());
    Project after =
        new ChangeStyle(style.withProperties(random.values(4, style.level().level())))
            .applyTo(project);
    Map<LayerId, List<Object>> before = looks(project);
    Set<LayerId> different =
        looks(after).entrySet().stream()
            .filter(entry -> !entry.getValue().equals(before.get(entry.getKey())))
            .map(Map.Entry::getKey)
            .collect(Collectors.toSet());
    Set<LayerId> named = Reach.between(project, after);
    assertThat(named).isEqualTo(different);
    Set<LayerId> followers =
        Followers.of(project).of(style.id()).stream()
            .map(follower -> follower.layer().id())
            .collect(Collectors.toSet());
    assertThat(followers).containsAll(named);
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void tidyingChangesNoLookAndLeavesNothingToTidy(long seed) {
    Project project = new RandomProjects(seed).project();
    Set<LayerId> all = project.layers().map(Layer::id).collect(Collectors.toSet());
    Project tidied = Tidy.layers(project, all);
    assertThat(looks(tidied)).isEqualTo(looks(project));
    assertThat(Tidy.layers(tidied, all)).isEqualTo(tidied);
    assertThat(tidied.layers().mapToInt(LocalChanges::count).sum())
        .isLessThanOrEqualTo(project.layers().mapToInt(LocalChanges::count).sum());
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void movingMovesEveryTargetByTheSame(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Target.Layers target = random.layers(project);
    Set<LayerId> free =
        project
            .layers()
            .filter(layer -> target.layers().contains(layer.id()) && !layer.state().locked())
            .map(Layer::id)
            .collect(Collectors.toSet());
    Assumptions.assumeFalse(free.isEmpty(), "all of them are locked");
    Project after = new MoveLayers(target, 5, -7).applyTo(project);
    Function<Project, Map<LayerId, List<Double>>> places =
        one -> {
          Cascade cascade = Cascade.of(one);
          return one.layers()
              .collect(
                  Collectors.toMap(
                      Layer::id,
                      layer -> {
                        var placement = cascade.resolve(layer).placement();
                        return List.of(placement.x(), placement.y());
                      }));
        };
    Map<LayerId, List<Double>> was = places.apply(project);
    places
        .apply(after)
        .forEach((id, at) -> {
          boolean moved = free.contains(id);
          assertThat(at.get(0)).isEqualTo(was.get(id).get(0) + (moved ? 5 : 0));
          assertThat(at.get(1)).isEqualTo(was.get(id).get(1) - (moved ? 7 : 0));
        });
  }
}
