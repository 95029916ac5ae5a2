package dynamorph.paint.specimen;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.ItemState;
import dynamorph.model.value.NestedStyles;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class SpecimenPainterTest {
  private static final Rgba RED = Rgba.of(255, 0, 0);
  private static final int WIDTH = 200;
  private static final int HEIGHT = 46;
  private final SpecimenPainter painter = new SpecimenPainter(Painting.maker());

  private Pixels specimen(Style style, String words) {
    Project project = Project.empty("P").withStyles(StyleBook.of(List.of(style)));
    return painter.specimen(
        Cascade.of(project), style, words, new Backdrop.Plain(Rgba.WHITE), WIDTH, HEIGHT, 2);
  }

  /** As wide as the specimen, and of the frame the part where titles mostly stand. */
  @Test
  void aSpecimenIsSeenOverAFrameOfAFilm() {
    Timeline line =
        Timeline.of(FrameRate.PAL, Time.ofMillis(4000))
            .plus(
                new Track.Footage(
                    new TrackId("f"),
                    "Footage",
                    ItemState.OPEN,
                    List.of(
                        new Clip(
                            "c",
                            "Gears",
                            new Media.Drawn(Media.Scenery.GEARS),
                            Time.ZERO,
                            Time.ofMillis(4000),
                            Time.ZERO))));
    FootagePainter footage = new FootagePainter(MediaSource.NONE);
    Time at = Time.ofMillis(1000);
    double shape = 16 / 9.0;
    Style style = red(StyleLevel.TEXT, 20);
    Project project = Project.empty("P").withStyles(StyleBook.of(List.of(style)));
    Pixels seen =
        painter.specimen(
            Cascade.of(project),
            style,
            "",
            new Backdrop.FilmFrame(footage, line, at, shape, Rgba.WHITE),
            WIDTH,
            HEIGHT,
            1);
    double all = WIDTH / shape;
    double hidden = all * 0.72 - HEIGHT / 2.0;
    Pixels frame =
        Pixels.draw(
            WIDTH,
            HEIGHT,
            canvas -> {
              canvas.translate(0, (float) -hidden);
              footage.paint(canvas, line, at, WIDTH, all);
            });
    for (int x = WIDTH / 2; x < WIDTH; x += 7) {
      assertThat(seen.argb(x, 3)).isEqualTo(frame.argb(x, 3));
    }
  }

  private static Style red(StyleLevel level, double size) {
    return Style.text("red", "Red style", "")
        .withLevel(level)
        .withProperties(
            PropertySet.EMPTY
                .with(Properties.SIZE, FontSize.points(size))
                .with(Properties.COAT_COLOUR.at(Painting.FILL), Colour.of(RED)));
  }

  /** Small letters have no pixel that is all red, but some that are mostly so. */
  private static boolean reddish(Pixels pixels) {
    for (int y = 0; y < pixels.height(); y++) {
      for (int x = 0; x < pixels.width(); x++) {
        if ((pixels.argb(x, y) >> 8 & 0xFF) < 128) {
          return true;
        }
      }
    }
    return false;
  }

  /** A style is shown with the styles that it puts on words. */
  @Test
  void nestedWordsAreShownInTheirStyle() {
    Style word = red(StyleLevel.CHARACTER, 20);
    Style nesting =
        Style.text("label", "Label", "")
            .withProperties(
                PropertySet.EMPTY
                    .with(Properties.SIZE, FontSize.points(20))
                    .with(Properties.NESTED_STYLES, NestedStyles.parse("red: 1 word")));
    Project project = Project.empty("P").withStyles(StyleBook.of(List.of(word, nesting)));
    Pixels seen =
        painter.specimen(
            Cascade.of(project),
            nesting,
            "III MMM",
            new Backdrop.Plain(Rgba.WHITE),
            WIDTH,
            HEIGHT,
            2);
    int firstRed = WIDTH;
    int lastRed = 0;
    int lastBlack = 0;
    for (int y = 0; y < seen.height(); y++) {
      for (int x = 0; x < seen.width(); x++) {
        boolean dark = (seen.argb(x, y) >> 8 & 0xFF) < 90;
        boolean red = dark && (seen.argb(x, y) >> 16 & 0xFF) > 200;
        firstRed = red ? Math.min(firstRed, x) : firstRed;
        lastRed = red ? Math.max(lastRed, x) : lastRed;
        lastBlack = dark && !red ? Math.max(lastBlack, x) : lastBlack;
      }
    }
    assertThat(firstRed).isLessThan(lastRed);
    assertThat(lastRed).as("the second word is black").isLessThan(lastBlack);
  }

  /** Height of what is red, in pixels. */
  private static int height(Pixels pixels) {
    int top = -1;
    int bottom = -1;
    for (int y = 0; y < pixels.height(); y++) {
      for (int x = 0; x < pixels.width(); x++) {
        if (pixels.argb(x, y) == RED.argb()) {
          top = top < 0 ? y : top;
          bottom = y;
        }
      }
    }
    return bottom - top;
  }

  @ParameterizedTest
  @EnumSource(StyleLevel.class)
  void aStyleOfEachLevelIsShownOnWords(StyleLevel level) {
    Pixels pixels = specimen(red(level, 20), "Hour");
    assertThat(pixels.width()).isEqualTo(WIDTH * 2);
    assertThat(Painting.count(pixels, RED)).isPositive();
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.1, 6, 24, 96, 480, 10_000})
  void everySizeFitsIntoTheSpecimen(double size) {
    int height = height(specimen(red(StyleLevel.TEXT, size), "Hxg"));
    assertThat(height).isBetween(10, HEIGHT * 2 - 4);
  }

  @Test
  void largerSizesAreShownLarger() {
    int small = height(specimen(red(StyleLevel.TEXT, 8), "H"));
    int large = height(specimen(red(StyleLevel.TEXT, 200), "H"));
    assertThat(large).isGreaterThan(small);
  }

  @Test
  void withoutWordsTheNameIsShown() {
    assertThat(Painting.count(specimen(red(StyleLevel.TEXT, 20), ""), RED)).isPositive();
    assertThat(Painting.count(specimen(red(StyleLevel.TEXT, 20), "\n\n"), RED)).isPositive();
  }

  @Test
  void aStyleThatTurnsAndPlacesItsTextIsShownUpright() {
    Style turned = red(StyleLevel.TEXT, 20);
    Style placed =
        turned.withProperties(
            turned
                .properties()
                .with(Properties.ROTATION, 90.0)
                .with(Properties.POSITION_X, 5000.0));
    assertThat(Painting.difference(specimen(placed, "Hour"), specimen(turned, "Hour"))).isZero();
  }

  @Test
  void aPlateIsShownWhole() {
    Address ground = Address.plateCoat("ground");
    Style style = red(StyleLevel.TEXT, 20);
    Style plated =
        style.withProperties(
            style
                .properties()
                .with(Properties.COAT_KIND.at(ground), CoatKind.FILL)
                .with(Properties.COAT_COLOUR.at(ground), Colour.of(Rgba.BLACK)));
    Pixels pixels = specimen(plated, "Hour");
    assertThat(Painting.count(pixels, Rgba.BLACK)).isPositive();
    assertThat(pixels.argb(4, HEIGHT)).as("the left margin").isEqualTo(Rgba.WHITE.argb());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"Hour", "A sentence that is a good deal longer than its thumbnail is wide", ""})
  void aTextIsFittedIntoItsThumbnail(String words) {
    Scene scene =
        Painting.maker()
            .make(
                Painting.project(
                    Painting.text(
                        "t",
                        words,
                        PropertySet.EMPTY.with(
                            Properties.COAT_COLOUR.at(Painting.FILL), Colour.of(RED)))));
    Pixels pixels =
        painter.thumbnail(scene.boards().getFirst().texts().getFirst(), Rgba.WHITE, 104, 60, 1);
    assertThat(reddish(pixels)).isEqualTo(!words.isEmpty());
    assertThat(pixels.argb(103, 59)).isEqualTo(Rgba.WHITE.argb());
  }

  @Test
  void textsThatAreComparedAreDrawnAtOneScale() {
    PlacedLayer small = sized(12);
    PlacedLayer large = sized(24);
    int alone = Painting.count(painter.thumbnail(small, Rgba.WHITE, 104, 60, 1), RED);
    int beside =
        Painting.count(painter.thumbnail(small, List.of(large), Rgba.WHITE, 104, 60, 1), RED);
    int other =
        Painting.count(painter.thumbnail(large, List.of(small), Rgba.WHITE, 104, 60, 1), RED);
    assertThat(beside).isLessThan(alone / 2).isLessThan(other / 2);
  }

  private static PlacedLayer sized(double points) {
    Scene scene =
        Painting.maker()
            .make(
                Painting.project(
                    Painting.text(
                        "t",
                        "Hour",
                        PropertySet.EMPTY
                            .with(Properties.SIZE, FontSize.points(points))
                            .with(Properties.COAT_COLOUR.at(Painting.FILL), Colour.of(RED)))));
    return scene.boards().getFirst().texts().getFirst();
  }
}
