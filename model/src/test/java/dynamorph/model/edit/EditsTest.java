package dynamorph.model.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.style.AddStyle;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.DeleteStyle;
import dynamorph.model.edit.style.Follow;
import dynamorph.model.edit.style.KeepStyle;
import dynamorph.model.edit.style.Proposal;
import dynamorph.model.edit.style.SaveIntoStyle;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class EditsTest {
  private static final StyleId LABEL = new StyleId("label");
  private static final StyleId LOAN = new StyleId("loan");
  private static final StyleId QUIET = new StyleId("quiet");
  private static final StyleId BODY = new StyleId("body");
  private static final Address FILL = Address.coat("fill");
  private Project project;

  @BeforeEach
  void makeProject() {
    StyleBook styles =
        StyleBook.of(
            List.of(
                Style.text("label", "Label", "Labels")
                    .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(20))),
                Style.text("loan", "Label, loan", "Labels")
                    .withBasedOn(Optional.of(LABEL))
                    .withProperties(
                        PropertySet.EMPTY.with(
                            Properties.COAT_COLOUR.at(FILL), Colour.swatch("copper"))),
                Style.text("quiet", "Quiet", "")
                    .withLevel(StyleLevel.CHARACTER)
                    .withProperties(
                        PropertySet.EMPTY.with(
                            Properties.COAT_COLOUR.at(FILL), Colour.hex("#888888"))),
                Style.text("body", "Body", "")
                    .withLevel(StyleLevel.PARAGRAPH)
                    .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(9)))));
    project =
        Project.empty("P")
            .withPalette(new Palette(List.of(new Swatch("copper", "Copper", Rgba.of(170, 80, 40)))))
            .withStyles(styles)
            .plus(
                Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                    .plus(Layer.of("one", "One", "Escapement wheel").withFollows(List.of(LABEL)))
                    .plus(Layer.of("two", "Two", "first\nsecond")))
            .plus(
                Artboard.empty("b", "B", 100, 100, LengthUnit.POINT)
                    .plus(Layer.of("three", "Three", "Bell").withFollows(List.of(LOAN))));
  }

  private Layer layer(Project in, String id) {
    return in.layer(new LayerId(id)).orElseThrow();
  }

  private double size(Project in, String id) {
    return Cascade.of(in).values(layer(in, id)).get(Properties.SIZE.key()).orElseThrow().over(0);
  }

  @Test
  void followOnManyAtOnceIsOneStepWithAName() {
    Follow follow = Follow.replacing(Target.Layers.of("one", "two", "three"), LOAN);
    History history = History.opened(project).apply(follow);
    assertThat(history.undoLabel()).contains("Follow \"Label, loan\" on 3 texts");
    assertThat(history.present().layers()).allMatch(layer -> layer.follows().equals(List.of(LOAN)));
    assertThat(history.undo().present()).isEqualTo(project);
  }

  @Test
  void addedOnTopTheLaterStyleWins() {
    Style big =
        Style.text("big", "Big", "")
            .withProperties(PropertySet.EMPTY.with(Properties.SIZE, new FontSize.Times(2)));
    Project more = new AddStyle(big, "Add").applyTo(project);
    Project after = Follow.onTop(Target.Layers.of("one"), big.id()).applyTo(more);
    assertThat(layer(after, "one").follows()).containsExactly(LABEL, big.id());
    assertThat(size(after, "one")).isEqualTo(40);
  }

  @Test
  void stylesOfEachLevelGoWhereTheyBelong() {
    Project characters = Follow.replacing(Target.Layers.of("two"), QUIET).applyTo(project);
    assertThat(layer(characters, "two").story().paragraphs())
        .allSatisfy(p -> assertThat(p.spans()).allMatch(s -> s.follows().equals(List.of(QUIET))));
    Project atCaret =
        Follow.replacing(new Target.Words(new LayerId("two"), TextRange.caret(7)), BODY)
            .applyTo(project);
    assertThat(layer(atCaret, "two").story().paragraphs())
        .extracting(Paragraph::follows)
        .containsExactly(Optional.empty(), Optional.of(BODY));
    Project words =
        Follow.replacing(new Target.Words(new LayerId("one"), new TextRange(0, 10)), QUIET)
            .applyTo(project);
    assertThat(layer(words, "one").story().paragraphs().getFirst().spans())
        .extracting(Span::text)
        .containsExactly("Escapement", " wheel");
  }

  @Test
  void aTextStyleOnWordsIsRefusedWithAnOffer() {
    Follow follow =
        Follow.replacing(new Target.Words(new LayerId("one"), new TextRange(0, 3)), LABEL);
    assertThatThrownBy(() -> follow.applyTo(project))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("Select the layer instead");
  }

  @Test
  void followingCanDropLocalChanges() {
    Target.Layers one = Target.Layers.of("one");
    Project deviating = SetValues.of(one, Properties.TRACKING.key(), 50.0).applyTo(project);
    assertThat(LocalChanges.count(layer(Follow.replacing(one, LOAN).applyTo(deviating), "one")))
        .isEqualTo(1);
    assertThat(
            LocalChanges.count(
                layer(Follow.replacing(one, LOAN).droppingLocal().applyTo(deviating), "one")))
        .isZero();
  }

  @Test
  void aLocalChangeEqualToWhatIsInheritedIsNone() {
    Project after =
        SetValues.of(Target.Layers.of("one"), Properties.SIZE.key(), FontSize.points(20))
            .applyTo(project);
    assertThat(after).isEqualTo(project);
  }

  @Test
  void aCoatPutInByHandIsOneLocalChange() {
    Address rim = Address.coat("rim");
    PropertySet values =
        PropertySet.EMPTY
            .with(Properties.COAT_KIND.at(rim), CoatKind.STROKE)
            .with(Properties.COAT_ORDER.at(rim), 2.0)
            .with(Properties.COAT_COLOUR.at(rim), Colour.hex("#ff0000"));
    Project after = SetValues.of(Target.Layers.of("one"), values).applyTo(project);
    assertThat(LocalChanges.of(layer(after, "one"))).hasSize(1);
  }

  @Test
  void savingIntoTheStyleReachesEveryFollowerAndDerivedStyle() {
    Target.Layers one = Target.Layers.of("one");
    Project deviating = SetValues.of(one, Properties.FONT_WEIGHT.key(), 800.0).applyTo(project);
    Project after = SaveIntoStyle.all(one).applyTo(deviating);
    assertThat(LocalChanges.count(layer(after, "one"))).isZero();
    assertThat(Cascade.of(after).values(layer(after, "three")).get(Properties.FONT_WEIGHT.key()))
        .contains(800.0);
  }

  @Test
  void savedRelativeSizesAreCombinedWithTheStylesOwn() {
    Target.Layers one = Target.Layers.of("one");
    Project deviating =
        SetValues.of(one, Properties.SIZE.key(), new FontSize.Times(1.5)).applyTo(project);
    Project after = SaveIntoStyle.all(one).applyTo(deviating);
    assertThat(size(after, "one")).isEqualTo(30);
    assertThat(size(after, "three")).isEqualTo(30);
  }

  @Test
  void textsThatDifferCannotBothBeSavedIntoOneStyle() {
    Project both = Follow.replacing(Target.Layers.of("two"), LABEL).applyTo(project);
    Project a =
        SetValues.of(Target.Layers.of("one"), Properties.TRACKING.key(), 10.0).applyTo(both);
    Project b = SetValues.of(Target.Layers.of("two"), Properties.TRACKING.key(), 20.0).applyTo(a);
    assertThatThrownBy(() -> SaveIntoStyle.all(Target.Layers.of("one", "two")).applyTo(b))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("differ in tracking");
    assertThatThrownBy(() -> SaveIntoStyle.all(Target.Layers.of("three")).applyTo(b))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("no local changes");
  }

  @Test
  void aStyleCannotBeBasedOnWhatIsBasedOnIt() {
    Style label = project.styles().get(LABEL);
    assertThatThrownBy(() -> new ChangeStyle(label.withBasedOn(Optional.of(LOAN))).applyTo(project))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("circle");
  }

  @Test
  void deletingAStyleLetsItsFollowersFollowAnother() {
    Project after = new DeleteStyle(LABEL, Optional.of(LOAN)).applyTo(project);
    assertThat(layer(after, "one").follows()).containsExactly(LOAN);
    assertThat(after.styles().get(LOAN).basedOn()).isEmpty();
    assertThatThrownBy(() -> new DeleteStyle(LABEL, Optional.of(QUIET)).applyTo(project))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("character style");
  }

  @Test
  void theProposalNamesWhatTheStyleIs() {
    Project deviating =
        SetValues.of(
                Target.Layers.of("one"), Properties.COAT_COLOUR.at(FILL), Colour.swatch("copper"))
            .applyTo(project);
    Proposal proposal = Proposal.of(deviating, Target.Layers.of("one"));
    assertThat(proposal.name()).isEqualTo("Label, copper");
    assertThat(proposal.basedOn()).contains(LABEL);
    assertThat(proposal.group()).isEqualTo("Labels");
    assertThat(proposal.different())
        .extracting(Object::toString)
        .containsExactly("finish/fill/colour");
    assertThat(proposal.sample()).isEqualTo("Escapement wheel");
  }

  @Test
  void theProposalOfPlainTextHoldsWhatWasSetByHand() {
    Target.Layers two = Target.Layers.of("two");
    Project local =
        SetValues.of(
                two,
                PropertySet.EMPTY
                    .with(Properties.FONT_FAMILY, "Anton")
                    .with(Properties.SIZE, FontSize.points(48))
                    .with(Properties.COAT_COLOUR.at(FILL), Colour.hex("#1f4a37")))
            .applyTo(project);
    Proposal proposal = Proposal.of(local, two);
    assertThat(proposal.different())
        .extracting(Object::toString)
        .containsExactly("font-family", "size", "finish/fill/colour");
    assertThat(proposal.name()).isEqualTo("Anton title, dark jade");
    assertThat(proposal.level()).isEqualTo(StyleLevel.TEXT);
  }

  @Test
  void aKeptStyleTakesThePlaceOfTheOneItIsBasedOn() {
    Target.Layers one = Target.Layers.of("one");
    Project deviating = SetValues.of(one, Properties.TRACKING.key(), 50.0).applyTo(project);
    Proposal proposal = Proposal.of(deviating, one);
    StyleId id = new StyleId("spaced");
    Project after =
        new KeepStyle(one, proposal.style(id, "Spaced", proposal.different(), proposal.basedOn()))
            .applyTo(deviating);
    assertThat(layer(after, "one").follows()).containsExactly(id);
    assertThat(LocalChanges.count(layer(after, "one"))).isZero();
    assertThat(after.styles().get(id).properties().keys()).hasSize(1);
  }

  @Test
  void typingInOneGoIsOneStep() {
    Object typing = new Object();
    History history = History.opened(project);
    for (int index = 0; index < 5; index++) {
      history =
          history.apply(
              EditText.plain(new LayerId("one"), TextRange.caret(index), "x"), Optional.of(typing));
    }
    assertThat(layer(history.present(), "one").story().text()).startsWith("xxxxxEscapement");
    assertThat(history.undo().present()).isEqualTo(project);
    assertThat(history.undo().redo().present()).isEqualTo(history.present());
    History other =
        history.apply(
            EditText.plain(new LayerId("one"), TextRange.caret(0), "y"), Optional.of(new Object()));
    assertThat(other.undo().present()).isEqualTo(history.present());
  }

  @Test
  void aRefusedOrEmptyEditLeavesNoStep() {
    History history = History.opened(project);
    assertThat(history.apply(DropLocal.all(Target.Layers.of("one")))).isSameAs(history);
    assertThat(history.isSaved()).isTrue();
    History changed = history.apply(new ArrangeLayers.Rename(new LayerId("one"), "Uno"));
    assertThat(changed.isSaved()).isFalse();
    assertThat(changed.undo().isSaved()).isTrue();
    assertThat(changed.savedAs(changed.present()).isSaved()).isTrue();
  }

  @Test
  void aSwatchChangesEverythingPaintedWithIt() {
    Project after =
        new SetSwatch(new Swatch("copper", "Copper", Rgba.of(1, 1, 1))).applyTo(project);
    assertThat(dynamorph.model.reach.Reach.between(project, after))
        .containsExactly(new LayerId("three"));
  }

  @Test
  void everythingFollowsTheBaseStyle() {
    Project based = new ChangeProject.SetBaseStyle(Optional.of(LABEL)).applyTo(project);
    assertThat(Followers.of(based).of(LABEL)).hasSize(3);
    assertThat(size(based, "two")).isEqualTo(20);
    assertThatThrownBy(() -> new ChangeProject.SetBaseStyle(Optional.of(QUIET)).applyTo(project))
        .isInstanceOf(EditRefused.class);
  }

  @Test
  void followersAreCountedThroughDerivedStyles() {
    Followers followers = Followers.of(project);
    assertThat(followers.direct(LABEL)).hasSize(1);
    assertThat(followers.of(LABEL))
        .extracting(f -> f.layer().id().value())
        .containsExactly("one", "three");
    assertThat(followers.unused()).extracting(Style::name).containsExactly("Quiet", "Body");
  }

  @Test
  void layersAreAddedRestackedAndDeleted() {
    Layer fresh = Layer.of("four", "Four", "new");
    Project added =
        new ArrangeLayers.Add(new dynamorph.model.ArtboardId("a"), List.of(fresh), "Set")
            .applyTo(project);
    Project back = new ArrangeLayers.Restack(Set.of(fresh.id()), false).applyTo(added);
    assertThat(back.artboards().getFirst().layers())
        .extracting(Layer::name)
        .containsExactly("Four", "One", "Two");
    Project gone = new ArrangeLayers.Delete(Set.of(fresh.id())).applyTo(back);
    assertThat(gone).isEqualTo(project);
  }

  @Test
  void aNewArtboardStandsBesideTheOthers() {
    Artboard board = Artboard.empty("c", "C", 50, 50, LengthUnit.MILLIMETRE);
    Project after = new ArrangeArtboards.Add(board).applyTo(project);
    assertThat(after.artboards().getLast().x()).isGreaterThan(100);
    Project wider =
        new ArrangeArtboards.Change(after.artboards().getFirst().withSize(300, 100)).applyTo(after);
    assertThat(wider.artboards().getFirst().layers()).hasSize(2);
    assertThat(new ArrangeArtboards.Delete(board.id()).applyTo(after)).isEqualTo(project);
  }
}
