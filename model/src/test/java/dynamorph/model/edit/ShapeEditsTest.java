package dynamorph.model.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Plate;
import dynamorph.model.cascade.ResolvedShape;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.layer.ChangeShape;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.edit.layer.ResizeBox;
import dynamorph.model.edit.style.Follow;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.edit.text.FillWithPlaceholder;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Shapes among texts: what edits do with them. */
class ShapeEditsTest {
  private static final LayerId TEXT = new LayerId("text");
  private static final LayerId SHAPE = new LayerId("shape");
  private static final LayerId OTHER = new LayerId("other");
  private static final Address FILL = Address.coat("fill");
  private static final PropertySet FRAME =
      PropertySet.EMPTY
          .with(Properties.BOX_WIDTH, 80.0)
          .with(Properties.BOX_HEIGHT, 40.0)
          .with(Properties.POSITION_X, 10.0)
          .with(Properties.POSITION_Y, 20.0);

  private final Style look =
      Style.text("look", "Look", "")
          .withProperties(
              PropertySet.EMPTY
                  .with(Properties.COAT_COLOUR.at(FILL), Colour.hex("#aa3300"))
                  .with(Properties.SIZE, FontSize.points(20)));
  private final Project project =
      Project.empty("P")
          .withStyles(StyleBook.of(List.of(look)))
          .withAssets(List.of(new Asset("images/bell.png", new byte[] {1})))
          .plus(
              Artboard.empty("a", "A", 300, 200, LengthUnit.POINT)
                  .plus(Layer.of("text", "Text", "Hour"))
                  .plus(Layer.of("shape", "Shape", Shape.Rectangle.SHARP).withFrame(FRAME))
                  .plus(Layer.of("other", "Other", new Shape.Ellipse()).withFrame(FRAME)));

  private static Layer layer(Project project, LayerId id) {
    return project.layer(id).orElseThrow();
  }

  @Test
  void aLayerShowsWordsOrAShapeButNotBoth() {
    Layer shape = layer(project, SHAPE);
    assertThat(shape.isText()).isFalse();
    assertThat(layer(project, TEXT).isText()).isTrue();
    assertThatThrownBy(() -> shape.withStory(Story.of("words")))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("not both");
    assertThatThrownBy(() -> layer(project, TEXT).withShape(Optional.of(new Shape.Ellipse())))
        .hasMessageContaining("not both");
  }

  @Test
  void changingTheFormLeavesTextsAloneAndEqualFormsTheSame() {
    ChangeShape change = new ChangeShape(List.of(TEXT, SHAPE), _ -> new Shape.Line(true));
    Project changed = change.applyTo(project);
    assertThat(layer(changed, SHAPE).shape()).contains(new Shape.Line(true));
    assertThat(layer(changed, TEXT)).isSameAs(layer(project, TEXT));
    assertThat(layer(changed, OTHER)).isSameAs(layer(project, OTHER));
    assertThat(new ChangeShape(List.of(SHAPE), shape -> shape).applyTo(project)).isSameAs(project);
    assertThat(History.unsaved(project).apply(change).undo().present()).isEqualTo(project);
  }

  @Test
  void wordsCannotBeTypedIntoAShape() {
    assertThatThrownBy(() -> EditText.plain(SHAPE, new TextRange(0, 0), "words").applyTo(project))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("\"Shape\" is a shape");
    FillWithPlaceholder fill =
        new FillWithPlaceholder(
            List.of(
                new FillWithPlaceholder.Filling(SHAPE, "lorem"),
                new FillWithPlaceholder.Filling(TEXT, "lorem")),
            "la");
    Project filled = fill.applyTo(project);
    assertThat(layer(filled, TEXT).story().text()).isEqualTo("lorem");
    assertThat(layer(filled, SHAPE)).isEqualTo(layer(project, SHAPE));
  }

  @Test
  void aShapeIsResizedThoughNoStyleGivesItABox() {
    Project resized = new ResizeBox(SHAPE, 1, 1, 15, 5, 100, 40).applyTo(project);
    PropertySet values = Cascade.of(resized).values(layer(resized, SHAPE));
    assertThat(values.get(Properties.BOX_WIDTH.key())).contains(95.0);
    assertThat(values.get(Properties.BOX_HEIGHT.key())).contains(45.0);
    assertThatThrownBy(() -> new ResizeBox(TEXT, 1, 1, 15, 5, 100, 40).applyTo(project))
        .isInstanceOf(EditRefused.class);
  }

  @Test
  void aShapeFollowsStylesMovesAndIsDeletedLikeAText() {
    Project followed =
        Follow.replacing(new Target.Layers(List.of(TEXT, SHAPE)), look.id()).applyTo(project);
    Cascade cascade = Cascade.of(followed);
    assertThat(cascade.resolve(layer(followed, SHAPE)).finish())
        .as("a button and its label share one finish")
        .isEqualTo(cascade.resolve(layer(followed, TEXT)).finish());
    Project moved = new MoveLayers(new Target.Layers(List.of(SHAPE)), 7, -3).applyTo(followed);
    PropertySet values = Cascade.of(moved).values(layer(moved, SHAPE));
    assertThat(values.get(Properties.POSITION_X.key())).contains(17.0);
    assertThat(values.get(Properties.POSITION_Y.key())).contains(17.0);
    Project deleted = new ArrangeLayers.Delete(java.util.Set.of(SHAPE)).applyTo(moved);
    assertThat(deleted.layer(SHAPE)).isEmpty();
    assertThat(deleted.layer(TEXT)).isPresent();
  }

  @Test
  void theFormIsResolvedWithItsEmItsImageAndABoxAndNoPlate() {
    PropertySet plated =
        PropertySet.EMPTY.with(Properties.COAT_KIND.at(Address.plateCoat("ground")), CoatKind.FILL);
    Project pictured =
        new ChangeShape(List.of(SHAPE), _ -> new Shape.Picture("bell.png"))
            .applyTo(project)
            .mapLayers(layer -> layer.withLocal(plated).withFollows(List.of(look.id())));
    Cascade cascade = Cascade.of(pictured);
    ResolvedShape form = cascade.resolve(layer(pictured, SHAPE)).form().orElseThrow();
    assertThat(form.em()).isCloseTo(20, within(1e-9));
    assertThat(form.picture()).contains(project.assets().getFirst());
    assertThat(cascade.resolve(layer(pictured, SHAPE)).plate()).isEqualTo(Plate.NONE);
    assertThat(cascade.resolve(layer(pictured, TEXT)).plate()).isNotEqualTo(Plate.NONE);
    assertThat(cascade.resolve(layer(pictured, SHAPE)).placement().fit()).isEqualTo(BoxFit.POINT);
    assertThat(cascade.resolve(layer(pictured, SHAPE)).inBox().placement().fit())
        .isEqualTo(BoxFit.FIXED);
    assertThat(cascade.resolve(layer(pictured, TEXT)).inBox())
        .as("a text keeps what it has")
        .isEqualTo(cascade.resolve(layer(pictured, TEXT)));
  }

  @Test
  void imagesAreFoundByTheirNameWithOrWithoutTheFolderAndFontsAreNone() {
    PropertySet tiled =
        PropertySet.EMPTY
            .withText(Properties.key("finish/fill/paint"), "pattern")
            .withText(Properties.key("finish/fill/tile"), "image");
    for (String name : List.of("bell.png", "images/bell.png")) {
      assertThat(image(tiled.withText(Properties.key("finish/fill/tile-image"), name))).isPresent();
    }
    assertThat(image(tiled.withText(Properties.key("finish/fill/tile-image"), "gone.png")))
        .isEmpty();
  }

  private Optional<Asset> image(PropertySet local) {
    var finish = Cascade.of(project).resolve(layer(project, TEXT).withLocal(local)).finish();
    return ((dynamorph.model.cascade.Paint.Pattern) finish.coats().getFirst().paint()).image();
  }

  @Test
  void aProjectThatTakesInAnImageIsResolvedAnew() {
    Cascade before = Cascade.of(project);
    assertThat(before.follow(project)).isSameAs(before);
    Project more =
        new ChangeProject.PutAsset(new Asset("images/new.png", new byte[] {2})).applyTo(project);
    assertThat(before.follow(more)).isNotSameAs(before);
  }
}
