package dynamorph.model.edit;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.importing.ImportLayers;
import dynamorph.model.edit.importing.ImportLook;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.ImportText;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.property.Address;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Texts, words and looks that come from another project bring their styles and swatches. */
class BetweenProjectsTest {
  private static final Address FILL = Address.coat("fill");
  private static final StyleId BASE = new StyleId("base");
  private static final StyleId LABEL = new StyleId("label");
  private static final StyleId QUIET = new StyleId("quiet");
  private static final LayerId THERE = new LayerId("there");
  private static final LayerId HERE = new LayerId("here");
  private static final ArtboardId BOARD = new ArtboardId("a");
  private static final Rgba BRASS = Rgba.of(180, 140, 60);
  private final Project theirs = theirs();
  private final Project mine = mine();

  private static PropertySet size(double points) {
    return PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(points));
  }

  private static Style style(StyleId id, String name, PropertySet values) {
    return Style.text(id.value(), name, "").withProperties(values);
  }

  private static Project theirs() {
    PropertySet brass =
        PropertySet.EMPTY.with(Properties.COAT_COLOUR.at(FILL), Colour.swatch("metal"));
    Style quiet =
        style(QUIET, "Quiet", PropertySet.EMPTY.with(Properties.TRACKING, 7.0))
            .withLevel(StyleLevel.CHARACTER);
    Story story =
        Story.of(Paragraph.of(Span.of("Great "), Span.of("wheel").withFollows(List.of(QUIET))));
    return Project.empty("Theirs")
        .withPalette(
            new Palette(
                List.of(
                    new Swatch("metal", "Brass", BRASS),
                    new Swatch("unused", "Unused", Rgba.BLACK))))
        .withStyles(
            StyleBook.of(
                List.of(
                    style(BASE, "Base", size(30)),
                    style(LABEL, "Label", brass).withBasedOn(Optional.of(BASE)),
                    quiet,
                    style(new StyleId("other"), "Other", size(5)))))
        .plus(
            Artboard.empty("x", "X", 100, 100, LengthUnit.POINT)
                .plus(Layer.of("there", "There", "").withStory(story).withFollows(List.of(LABEL))));
  }

  /** The id of their swatch stands for another colour here. */
  private static Project mine() {
    return Project.empty("Mine")
        .withPalette(new Palette(List.of(new Swatch("metal", "Steel", Rgba.of(90, 95, 100)))))
        .plus(
            Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                .plus(Layer.of("here", "Here", "Pendulum")));
  }

  private Layer there() {
    return theirs.layer(THERE).orElseThrow();
  }

  private ImportStyles brought(Map<StyleId, ImportStyles.Choice> choices) {
    return new ImportStyles(StyleBundle.of(theirs, List.of(there())), choices);
  }

  private static Rgba colour(Project project, PropertySet values) {
    return project.palette().colour(Coats.value(values, Properties.COAT_COLOUR.at(FILL)));
  }

  private static double size(Project project, Layer layer) {
    return Coats.value(Cascade.of(project).values(layer), Properties.SIZE.key()).over(0);
  }

  @Test
  void aBundleHoldsWhatIsNeededAndNoMore() {
    StyleBundle bundle = StyleBundle.of(theirs, List.of(there()));
    assertThat(bundle.styles())
        .extracting(Style::id)
        .as("bases first")
        .containsExactly(BASE, LABEL, QUIET);
    assertThat(bundle.swatches()).extracting(Swatch::id).containsExactly("metal");
    assertThat(StyleBundle.all(theirs).swatches()).hasSize(2);
  }

  @Test
  void aBundleHoldsTheSwatchesOfGradientsAndTheImagesThatAreShown() {
    PropertySet gradient =
        PropertySet.EMPTY.with(
            Properties.GRADIENT_STOPS.at(FILL),
            GradientStops.parse("swatch:metal 0%, #000000 100%"));
    Layer picture = Layer.of("pic", "Picture", new Shape.Picture("dial.png"));
    Project richer =
        theirs.withAssets(
            List.of(
                new Asset("images/dial.png", new byte[] {1}),
                new Asset("images/other.png", new byte[] {2})));
    StyleBundle bundle =
        StyleBundle.of(richer, List.of(Layer.of("t", "T", "x").withLocal(gradient), picture));
    assertThat(bundle.swatches()).extracting(Swatch::id).containsExactly("metal");
    assertThat(bundle.assets()).extracting(Asset::name).containsExactly("images/dial.png");
  }

  @Test
  void aTextLooksAsItDidThoughItsSwatchIdIsTaken() {
    Layer copy = there().withId(new LayerId("copy"));
    Project after = new ImportLayers(brought(Map.of()), BOARD, List.of(copy)).applyTo(mine);
    Layer arrived = after.layer(copy.id()).orElseThrow();
    assertThat(size(after, arrived)).isEqualTo(30);
    assertThat(colour(after, Cascade.of(after).values(arrived))).isEqualTo(BRASS);
    assertThat(after.palette().find("metal").orElseThrow().name()).isEqualTo("Steel");
    assertThat(after.styles().named("Other")).as("not needed").isEmpty();
    assertThat(after.artboard(BOARD).orElseThrow().layers()).hasSize(2);
  }

  @Test
  void whatCameOnceIsNotBroughtAgain() {
    Project once =
        new ImportLayers(brought(Map.of()), BOARD, List.of(there().withId(new LayerId("c1"))))
            .applyTo(mine);
    Project twice =
        new ImportLayers(brought(Map.of()), BOARD, List.of(there().withId(new LayerId("c2"))))
            .applyTo(once);
    assertThat(twice.styles()).isEqualTo(once.styles());
    assertThat(twice.palette()).isEqualTo(once.palette());
    assertThat(twice.layer(new LayerId("c2")).orElseThrow().follows())
        .isEqualTo(once.layer(new LayerId("c1")).orElseThrow().follows());
  }

  @Test
  void wordsBringTheirCharacterStyle() {
    Story words = there().story().slice(new TextRange(6, 11));
    Project after =
        new ImportText(brought(Map.of()), HERE, TextRange.caret(0), words).applyTo(mine);
    Layer here = after.layer(HERE).orElseThrow();
    assertThat(here.story().text()).isEqualTo("wheelPendulum");
    StyleId quiet = after.styles().named("Quiet").orElseThrow().id();
    assertThat(here.story().spanAt(2).follows()).containsExactly(quiet);
    assertThat(here.story().spanAt(8).follows()).isEmpty();
  }

  @Test
  void aLookIsPutOnATextWithTheStylesThatMakeIt() {
    Sample sample = Sample.of(theirs, there(), 0);
    Edit paste =
        new ImportLook(
            brought(Map.of()),
            new Target.Layers(List.of(HERE)),
            sample,
            Set.of(Facet.TYPEFACE, Facet.FINISH));
    Project after = paste.applyTo(mine);
    Layer here = after.layer(HERE).orElseThrow();
    assertThat(here.follows()).containsExactly(after.styles().named("Label").orElseThrow().id());
    assertThat(colour(after, Cascade.of(after).values(here))).isEqualTo(BRASS);
    assertThat(size(after, here)).isEqualTo(30);
    assertThat(paste.label(mine)).isEqualTo("Paste the look of X \u00B7 There on 1 text");
  }

  @Test
  void aTakenNameIsTheirsMineOrBothAsChosen() {
    StyleId own = new StyleId("own");
    Project taken = mine.withStyles(StyleBook.of(List.of(style(own, "Label", size(12)))));
    assertThat(ImportStyles.collisions(taken, brought(Map.of()).bundle()))
        .extracting(collision -> collision.mine().id())
        .containsExactly(own);
    Layer copy = there().withId(new LayerId("copy"));
    for (ImportStyles.Choice choice : ImportStyles.Choice.values()) {
      Project after =
          new ImportLayers(brought(Map.of(LABEL, choice)), BOARD, List.of(copy)).applyTo(taken);
      Layer arrived = after.layer(copy.id()).orElseThrow();
      StyleId followed = arrived.follows().getFirst();
      switch (choice) {
        case MINE -> {
          assertThat(followed).isEqualTo(own);
          assertThat(size(after, arrived)).isEqualTo(12);
          assertThat(after.styles().get(own)).isEqualTo(taken.styles().get(own));
        }
        case THEIRS -> {
          assertThat(followed).as("its followers here change with it").isEqualTo(own);
          assertThat(size(after, arrived)).isEqualTo(30);
        }
        case BOTH -> {
          assertThat(after.styles().get(followed).name()).isEqualTo("Label, theirs");
          assertThat(size(after, arrived)).isEqualTo(30);
          assertThat(after.styles().get(own)).isEqualTo(taken.styles().get(own));
        }
      }
    }
  }

  @Test
  void aStyleOfTheSameNameAtAnotherLevelIsAnotherStyle() {
    Project taken =
        mine.withStyles(
            StyleBook.of(
                List.of(
                    style(new StyleId("q"), "Quiet", size(3)).withLevel(StyleLevel.PARAGRAPH))));
    assertThat(ImportStyles.collisions(taken, brought(Map.of()).bundle())).isEmpty();
  }

  @Test
  void aSwatchThatWasChangedElsewhereIsSettledAsThePersonChooses() {
    Swatch ink = new Swatch("ink", "Ink", Rgba.parse("#102030"));
    Style label =
        Style.text("label", "Label", "")
            .withProperties(
                PropertySet.EMPTY.with(
                    Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.swatch("ink")));
    Project mine =
        Project.empty("P")
            .withPalette(new Palette(List.of(ink)))
            .withStyles(StyleBook.of(List.of(label)));
    Rgba red = Rgba.parse("#ff0000");
    StyleBundle theirs =
        StyleBundle.all(mine.withPalette(new Palette(List.of(ink.withColour(red)))));
    assertThat(ImportStyles.swatchCollisions(mine, theirs))
        .singleElement()
        .satisfies(one -> assertThat(one.isOwn()).isTrue());
    // painted with the swatch that is here, the style is the same
    Map<String, ImportStyles.Choice> take = Map.of("ink", ImportStyles.Choice.THEIRS);
    assertThat(ImportStyles.collisions(mine, theirs, take)).isEmpty();
    assertThat(ImportStyles.collisions(mine, theirs)).hasSize(1);
    Project taken = new ImportStyles(theirs, Map.of(), take).applyTo(mine);
    assertThat(taken.palette().swatches()).containsExactly(ink.withColour(red));
    assertThat(taken.styles()).isEqualTo(mine.styles());
    assertThat(
            new ImportStyles(theirs, Map.of(), Map.of("ink", ImportStyles.Choice.MINE))
                .applyTo(mine))
        .isEqualTo(mine);
    assertThat(new ImportStyles(theirs, Map.of()).applyTo(mine).palette().swatches()).hasSize(2);
  }
}
