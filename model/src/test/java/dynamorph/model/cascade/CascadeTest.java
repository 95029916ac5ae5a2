package dynamorph.model.cascade;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Address;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokePosition;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CascadeTest {
  private static final Address FILL = Address.coat("fill");
  private static final Address RIM = Address.coat("rim");
  private static final StyleId BASE = new StyleId("rimmed");
  private static final StyleId DERIVED = new StyleId("derived");

  /** A style with a fill and a copper rim that casts a shadow, and one based on it. */
  private static Project project(PropertySet derived) {
    PropertySet rimmed =
        PropertySet.EMPTY
            .with(Properties.SIZE, FontSize.points(100))
            .with(Properties.COAT_COLOUR.at(FILL), Colour.swatch("green"))
            .with(Properties.COAT_KIND.at(RIM), CoatKind.STROKE)
            .with(Properties.COAT_ORDER.at(RIM), 1.0)
            .with(Properties.STROKE_WIDTH.at(RIM), Length.em(0.02))
            .with(Properties.STROKE_POSITION.at(RIM), StrokePosition.OUTSIDE)
            .with(Properties.EFFECT_KIND.at(RIM.effect("cast")), EffectKind.DROP_SHADOW);
    return Project.empty("P")
        .withPalette(new Palette(List.of(new Swatch("green", "Green", Rgba.of(0, 80, 0)))))
        .withStyles(
            StyleBook.of(
                List.of(
                    new Style(BASE, "Rimmed", "", StyleLevel.TEXT, Optional.empty(), rimmed, ""),
                    new Style(
                        DERIVED, "Derived", "", StyleLevel.TEXT, Optional.of(BASE), derived, ""))))
        .plus(
            Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                .plus(Layer.of("t", "T", "Bell").withFollows(List.of(DERIVED))));
  }

  private static List<Coat> coats(Project project) {
    return Cascade.of(project)
        .resolve(project.layers().findFirst().orElseThrow())
        .paragraphs()
        .getFirst()
        .spans()
        .getFirst()
        .finish()
        .coats();
  }

  @Test
  void aDerivedStylePatchesOneWidthAndFollowsTheRest() {
    Project project =
        project(PropertySet.EMPTY.with(Properties.STROKE_WIDTH.at(RIM), Length.points(7)));
    assertThat(coats(project)).hasSize(2);
    Coat rimCoat = coats(project).get(1);
    Coat.Stroke rim = (Coat.Stroke) rimCoat.shape();
    assertThat(rim.width()).isEqualTo(7);
    assertThat(rim.position()).isEqualTo(StrokePosition.OUTSIDE);
    assertThat(rimCoat.effects()).hasSize(1);

    Style base = project.styles().get(BASE);
    Project recoloured =
        project.withStyles(
            project
                .styles()
                .with(
                    base.withProperties(
                        base.properties()
                            .with(Properties.COAT_COLOUR.at(RIM), Colour.hex("#ff0000")))));
    assertThat(coats(recoloured).get(1).paint().colour()).hasToString("#ff0000");
    assertThat(((Coat.Stroke) coats(recoloured).get(1).shape()).width()).isEqualTo(7);
  }

  @Test
  void aDerivedStyleHidesRemovesInsertsAndReordersCoats() {
    assertThat(coats(project(PropertySet.EMPTY.with(Properties.COAT_SHOWN.at(RIM), false))))
        .hasSize(1);
    assertThat(coats(project(PropertySet.EMPTY.with(Properties.COAT_REMOVED.at(FILL), true))))
        .singleElement()
        .extracting(Coat::shape)
        .isInstanceOf(Coat.Stroke.class);
    Address inner = Address.coat("inner");
    List<Coat> inserted =
        coats(
            project(
                PropertySet.EMPTY
                    .with(Properties.COAT_KIND.at(inner), CoatKind.FILL)
                    .with(Properties.COAT_ORDER.at(inner), 0.5)
                    .with(Properties.COAT_COLOUR.at(inner), Colour.hex("#0000ff"))));
    assertThat(inserted)
        .extracting(coat -> coat.paint().colour().toString())
        .containsExactly("#005000", "#0000ff", "#000000");
    List<Coat> reordered =
        coats(project(PropertySet.EMPTY.with(Properties.COAT_ORDER.at(RIM), -1.0)));
    assertThat(reordered.getFirst().shape()).isInstanceOf(Coat.Stroke.class);
  }

  @Test
  void aPatchOfACoatThatIsNotThereSleeps() {
    Project project =
        project(
            PropertySet.EMPTY.with(
                Properties.STROKE_WIDTH.at(Address.coat("nowhere")), Length.points(3)));
    assertThat(coats(project)).hasSize(2);
  }

  @Test
  void lengthsInEmFollowTheSize() {
    Project project = project(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(50)));
    assertThat(((Coat.Stroke) coats(project).get(1).shape()).width()).isEqualTo(1);
  }

  @Test
  void opacityAndSwatchAreLookedUp() {
    Project project = project(PropertySet.EMPTY.with(Properties.COAT_OPACITY.at(FILL), 0.5));
    assertThat(coats(project).getFirst().opacity()).isEqualTo(0.5);
    Project changed =
        project.withPalette(project.palette().with(new Swatch("green", "Green", Rgba.of(9, 9, 9))));
    assertThat(coats(changed).getFirst().paint().colour()).hasToString("#090909");
  }

  @Test
  void theStyleAddedLastComesFirst() {
    Project project = project(PropertySet.EMPTY);
    Style small =
        Style.text("small", "Small", "")
            .withProperties(PropertySet.EMPTY.with(Properties.SIZE, new FontSize.Times(0.5)));
    Layer layer =
        project.layers().findFirst().orElseThrow().withFollows(List.of(DERIVED, small.id()));
    Project stacked = project.withStyles(project.styles().with(small));
    assertThat(Cascade.of(stacked).values(layer).get(Properties.SIZE.key()))
        .contains(FontSize.points(50));
    Layer otherWay = layer.withFollows(List.of(small.id(), DERIVED));
    assertThat(Cascade.of(stacked).values(otherWay).get(Properties.SIZE.key()))
        .contains(FontSize.points(100));
  }

  @Test
  void aValueOnALevelNarrowerThanItsPropertyDoesNotCount() {
    Span span =
        Span.of("x")
            .withLocal(
                PropertySet.EMPTY.with(
                    Properties.ALIGNMENT, dynamorph.model.value.Alignment.RIGHT));
    Project project = project(PropertySet.EMPTY);
    Layer layer = project.layers().findFirst().orElseThrow();
    Paragraph paragraph = Paragraph.of(span);
    assertThat(Cascade.of(project).values(layer, paragraph, span).get(Properties.ALIGNMENT.key()))
        .contains(dynamorph.model.value.Alignment.START);
  }

  @Test
  void aStyleThatPlacesComesBeforeTheOwnFrame() {
    Project project = project(PropertySet.EMPTY.with(Properties.ANCHOR, Anchor.BOTTOM_LEFT));
    Layer layer =
        project
            .layers()
            .findFirst()
            .orElseThrow()
            .withFrame(
                PropertySet.EMPTY
                    .with(Properties.ANCHOR, Anchor.TOP)
                    .with(Properties.POSITION_X, 5.0));
    Placement placement = Cascade.of(project).resolve(layer).placement();
    assertThat(placement.anchor()).isEqualTo(Anchor.BOTTOM_LEFT);
    assertThat(placement.x()).isEqualTo(5);
    assertThat(Cascade.of(project).trace(layer, Properties.POSITION_X.key()).winner().source())
        .isEqualTo(new Source.OwnFrame());
  }

  @Test
  void layersThatFollowTheSameShareOneLook() {
    Project project = project(PropertySet.EMPTY);
    Cascade cascade = Cascade.of(project);
    Layer one = project.layers().findFirst().orElseThrow();
    Layer other =
        Layer.of("u", "U", "Hour")
            .withFollows(List.of(DERIVED))
            .withFrame(PropertySet.EMPTY.with(Properties.POSITION_X, 40.0));
    CharacterLook first = cascade.resolve(one).paragraphs().getFirst().spans().getFirst();
    CharacterLook second = cascade.resolve(other).paragraphs().getFirst().spans().getFirst();
    assertThat(second).isSameAs(first);
  }

  @Test
  void aCascadeIsKeptWhileStylesAndPaletteStay() {
    Project project = project(PropertySet.EMPTY);
    Cascade cascade = Cascade.of(project);
    assertThat(cascade.follow(project.withName("Other"))).isSameAs(cascade);
    assertThat(cascade.follow(project.withPalette(Palette.EMPTY))).isNotSameAs(cascade);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
  void theTracesWinnerIsTheValueThatCounts(long seed) {
    Project project = new RandomProjects(seed).project();
    Cascade cascade = Cascade.of(project);
    project
        .layers()
        .forEach(layer ->
            layer
                .story()
                .paragraphs()
                .forEach(paragraph ->
                    paragraph
                        .spans()
                        .forEach(span -> checkTraces(cascade, layer, paragraph, span))));
  }

  private static void checkTraces(Cascade cascade, Layer layer, Paragraph paragraph, Span span) {
    PropertySet values = cascade.values(layer, paragraph, span);
    for (PropertyKey<?> key : values.keys()) {
      boolean placement = !key.countsOn(Level.PARAGRAPH);
      if (!placement) {
        assertThat(cascade.trace(layer, paragraph, span, key).winner().computed())
            .as("%s of %s", key, layer.id())
            .isEqualTo(values.get(key).orElseThrow());
      }
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {31, 32, 33, 34, 35, 36, 37, 38})
  void theResolvedPlaceIsTheOneThatTheTraceNames(long seed) {
    Project project = new RandomProjects(seed).project();
    Cascade cascade = Cascade.of(project);
    project
        .layers()
        .forEach(layer -> {
          Placement place = cascade.resolve(layer).placement();
          assertThat(place.anchor()).isEqualTo(computed(cascade, layer, Properties.ANCHOR.key()));
          assertThat(place.x()).isEqualTo(computed(cascade, layer, Properties.POSITION_X.key()));
          assertThat(place.y()).isEqualTo(computed(cascade, layer, Properties.POSITION_Y.key()));
          assertThat(place.rotation())
              .isEqualTo(computed(cascade, layer, Properties.ROTATION.key()));
          assertThat(place.fit()).isEqualTo(computed(cascade, layer, Properties.BOX.key()));
          assertThat(place.width()).isEqualTo(computed(cascade, layer, Properties.BOX_WIDTH.key()));
          double height = computed(cascade, layer, Properties.BOX_HEIGHT.key());
          boolean grows =
              computed(cascade, layer, Properties.WRITING_MODE.key()).isVertical()
                  && place.fit() == BoxFit.GROW;
          // a growing text that is turned keeps the length of its lines
          assertThat(place.height()).isIn(height, grows ? place.width() : height);
          assertThat(cascade.values(layer).get(Properties.POSITION_X.key())).contains(place.x());
        });
  }

  private static <T> T computed(Cascade cascade, Layer layer, PropertyKey<T> key) {
    return cascade.trace(layer, key).winner().computed();
  }

  /** The definition of the walk, written as naively as can be, against the real one. */
  @ParameterizedTest
  @ValueSource(longs = {21, 22, 23, 24, 25, 26, 27, 28})
  void sizesAgreeWithAWalkByHand(long seed) {
    Project project = new RandomProjects(seed).project();
    Cascade cascade = Cascade.of(project);
    project
        .layers()
        .forEach(layer -> {
          Paragraph paragraph = layer.story().paragraphs().getFirst();
          Span span = paragraph.spans().getFirst();
          double expected = sizeByHand(project, layer, paragraph, span);
          assertThat(
                  cascade
                      .values(layer, paragraph, span)
                      .get(Properties.SIZE.key())
                      .orElseThrow()
                      .over(0))
              .as("size of %s", layer.id())
              .isEqualTo(expected);
        });
  }

  private static double sizeByHand(Project project, Layer layer, Paragraph paragraph, Span span) {
    List<PropertySet> nearToFar = new ArrayList<>();
    nearToFar.add(span.local());
    span.follows().reversed().forEach(id -> chain(project, layer, id, nearToFar));
    nearToFar.add(paragraph.local());
    paragraph.follows().ifPresent(id -> chain(project, layer, id, nearToFar));
    nearToFar.add(layer.local());
    layer.follows().reversed().forEach(id -> chain(project, layer, id, nearToFar));
    project
        .captionsOf(layer)
        .ifPresent(track -> {
          nearToFar.add(track.local());
          layer
              .timing()
              .map(timing -> track.speakers().get(timing.speaker()))
              .ifPresent(id -> chain(project, layer, id, nearToFar));
          track.follows().reversed().forEach(id -> chain(project, layer, id, nearToFar));
        });
    project
        .artboardOf(layer.id())
        .flatMap(board -> board.baseStyle())
        .or(project::baseStyle)
        .ifPresent(id -> chain(project, layer, id, nearToFar));
    double size = 12;
    for (PropertySet set : nearToFar.reversed()) {
      Optional<FontSize> own = set.get(Properties.SIZE.key());
      size = own.isPresent() ? own.get().over(size) : size;
    }
    return size;
  }

  /** What is muted in a layer counts for nothing there, and neither does what it is based on. */
  private static void chain(Project project, Layer layer, StyleId id, List<PropertySet> into) {
    if (!layer.muted().contains(id)) {
      project.styles().chain(id).forEach(style -> into.add(style.properties()));
    }
  }
}
