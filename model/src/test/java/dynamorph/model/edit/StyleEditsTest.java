package dynamorph.model.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.style.ApplyOptions;
import dynamorph.model.edit.style.ArrangeStyles;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.CombineStyles;
import dynamorph.model.edit.style.DeleteStyle;
import dynamorph.model.edit.style.DeleteSwatch;
import dynamorph.model.edit.style.Follow;
import dynamorph.model.edit.style.SaveValue;
import dynamorph.model.property.Address;
import dynamorph.model.property.Aspect;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.reach.Reach;
import dynamorph.model.reach.SwatchUse;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Ways of following and settling, one by one. */
class StyleEditsTest {
  private static final Address FILL = Address.coat("fill");
  private static final StyleId LABEL = new StyleId("label");
  private static final StyleId LOAN = new StyleId("loan");
  private static final LayerId ONE = new LayerId("one");
  private static final LayerId TWO = new LayerId("two");
  private final Project project = project();

  private static Project project() {
    Style label =
        Style.text("label", "Label", "Labels")
            .withProperties(
                PropertySet.EMPTY
                    .with(Properties.SIZE, FontSize.points(40))
                    .with(Properties.COAT_COLOUR.at(FILL), Colour.swatch("copper")));
    Style loan =
        Style.text("loan", "Loan", "Labels")
            .withBasedOn(Optional.of(LABEL))
            .withProperties(PropertySet.EMPTY.with(Properties.SIZE, new FontSize.Times(1.5)));
    return Project.empty("P")
        .withPalette(
            new Palette(
                List.of(
                    new Swatch("copper", "Copper", Rgba.of(160, 80, 40)),
                    new Swatch("ink", "Ink", Rgba.of(20, 30, 40)))))
        .withStyles(StyleBook.of(List.of(label, loan)))
        .plus(
            Artboard.empty("a", "A", 300, 200, LengthUnit.POINT)
                .withBackground(Colour.swatch("copper"))
                .plus(Layer.of("one", "One", "First").withFollows(List.of(LABEL)))
                .plus(
                    Layer.of("two", "Two", "Second")
                        .withFollows(List.of(LOAN))
                        .withLocal(PropertySet.EMPTY.with(Properties.TRACKING, 20.0)))
                .plus(Layer.of("three", "Three", "Third")));
  }

  private static double size(Project project, LayerId id) {
    return Cascade.of(project)
        .values(project.layer(id).orElseThrow())
        .get(Properties.SIZE.key())
        .orElseThrow()
        .over(0);
  }

  @Test
  void aValueIsSavedIntoAnyStyleOfTheChain() {
    Project enlarged =
        SetValues.of(new Target.Layers(List.of(ONE)), Properties.SIZE.key(), FontSize.points(50))
            .applyTo(project);
    Project saved =
        new SaveValue<>(
                new Target.Layers(List.of(ONE)), LABEL, Properties.SIZE.key(), FontSize.points(50))
            .applyTo(enlarged);
    assertThat(LocalChanges.of(saved.layer(ONE).orElseThrow())).isEmpty();
    assertThat(size(saved, ONE)).isEqualTo(50);
    assertThat(size(saved, TWO)).as("what is derived follows").isEqualTo(75);
  }

  @Test
  void aDerivedStyleTakesInWhatADeletedBaseGave() {
    Project deleted = new DeleteStyle(LABEL, Optional.empty()).applyTo(project);
    Style loan = deleted.styles().get(LOAN);
    assertThat(loan.basedOn()).isEmpty();
    assertThat(loan.properties().get(Properties.SIZE.key())).contains(FontSize.points(60));
    assertThat(Reach.between(project, deleted)).isEmpty();
  }

  @Test
  void aReplacementThatIsDerivedFromTheDeletedStyleKeepsItsLook() {
    Project deleted = new DeleteStyle(LABEL, Optional.of(LOAN)).applyTo(project);
    assertThat(size(deleted, TWO)).isEqualTo(60);
    assertThat(size(deleted, ONE)).isEqualTo(60);
    assertThat(deleted.styles().get(LOAN).basedOn()).isEmpty();
  }

  @Test
  void aSwatchIsDeletedForAnotherOrForItsColour() {
    assertThat(SwatchUse.of(project, "copper").text()).isEqualTo("In 1 style, behind 1 artboard");
    Project literal = new DeleteSwatch("copper", Optional.empty()).applyTo(project);
    assertThat(Reach.between(project, literal)).as("it is painted as before").isEmpty();
    Project other = new DeleteSwatch("copper", Optional.of("ink")).applyTo(project);
    assertThat(other.artboards().getFirst().background()).isEqualTo(Colour.swatch("ink"));
    assertThat(Reach.between(project, other)).containsExactly(ONE, TWO);
    assertThat(SwatchUse.of(other, "copper").isUnused()).isTrue();
  }

  @Test
  void plainTextTakesTheBaseOfItsArtboardBeforeThatOfTheProject() {
    Project based = new ChangeProject.SetBaseStyle(Optional.of(LABEL)).applyTo(project);
    assertThat(size(based, new LayerId("three"))).isEqualTo(40);
    Project own =
        new ChangeProject.SetArtboardBase(project.artboards().getFirst().id(), Optional.of(LOAN))
            .applyTo(based);
    assertThat(size(own, new LayerId("three"))).isEqualTo(60);
    assertThat(Followers.of(own).count(LOAN).all()).isEqualTo(3);
    Project changed =
        new ChangeStyle(
                own.styles()
                    .get(LOAN)
                    .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(11))))
            .applyTo(own);
    assertThat(size(changed, new LayerId("three"))).isEqualTo(11);
  }

  @Test
  void coloursAreLeftAloneWhileTheRestIsFollowed() {
    Project after =
        new Follow(
                new Target.Layers(List.of(new LayerId("three"))),
                LABEL,
                ApplyOptions.PLAIN.leaving(Set.of(Aspect.COLOURS)))
            .applyTo(project);
    Layer three = after.layer(new LayerId("three")).orElseThrow();
    assertThat(three.follows()).containsExactly(LABEL);
    assertThat(size(after, three.id())).isEqualTo(40);
    assertThat(Coats.value(Cascade.of(after).values(three), Properties.COAT_COLOUR.at(FILL)))
        .isEqualTo(
            Coats.value(
                Cascade.of(project).values(project.layer(three.id()).orElseThrow()),
                Properties.COAT_COLOUR.at(FILL)));
  }

  @Test
  void namesThatAreTakenAreSettledAsThePersonChooses() {
    Project theirs =
        new ChangeStyle(
                project
                    .styles()
                    .get(LABEL)
                    .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(99))))
            .applyTo(project);
    StyleBundle bundle = StyleBundle.of(theirs, List.of(LOAN), List.of());
    assertThat(ImportStyles.collisions(project, bundle))
        .extracting(one -> one.theirs().id())
        .containsExactly(LABEL, LOAN);
    Map<StyleId, ImportStyles.Choice> choices =
        Map.of(LABEL, ImportStyles.Choice.THEIRS, LOAN, ImportStyles.Choice.BOTH);
    Project after = new ImportStyles(bundle, choices).applyTo(project);
    assertThat(size(after, ONE)).isEqualTo(99);
    Style both = after.styles().named("Loan, theirs").orElseThrow();
    assertThat(both.basedOn()).contains(LABEL);
    assertThat(after.layer(TWO).orElseThrow().follows()).containsExactly(LOAN);
    assertThat(new ImportStyles(bundle, Map.of()).applyTo(project)).isEqualTo(project);
  }

  @Test
  void stackingOneStyleIsNoStack() {
    assertThatThrownBy(
            () -> new CombineStyles(Set.of(ONE), List.of(LABEL), Style.text("x", "X", "")))
        .isInstanceOf(EditRefused.class);
  }

  @Test
  void stylesAreMovedAndGroupsRenamedWithWhatIsInThem() {
    Project moved =
        new ArrangeStyles.Move(List.of(LOAN), Optional.of(LABEL), "Labels/Loans").applyTo(project);
    assertThat(moved.styles().list()).extracting(Style::id).containsExactly(LOAN, LABEL);
    Project renamed = new ArrangeStyles.RenameGroup("Labels", "Signs").applyTo(moved);
    assertThat(renamed.styles().list())
        .extracting(Style::group)
        .containsExactly("Signs/Loans", "Signs");
  }
}
