package dynamorph.paint.reach;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.ItemState;
import dynamorph.paint.Painting;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where texts begin to have a problem, by the standards that say so. */
class ThresholdsTest {
  /**
   * WCAG 2.2, 1.4.3: 3 : 1 for text of 18 pt, or of 14 pt in bold; 4.5 : 1 below. Pixels of screens
   * are 1/96 inch.
   */
  @ParameterizedTest
  @CsvSource({
    "POINT, 17.9, 400, 4.5", "POINT, 18, 400, 3", "POINT, 13.9, 700, 4.5", "POINT, 14, 700, 3",
    "POINT, 14, 699, 4.5", "PIXEL, 23.9, 400, 4.5", "PIXEL, 24, 400, 3", "PIXEL, 18.6, 700, 4.5",
    "PIXEL, 18.7, 700, 3"
  })
  void largeTextNeedsLessContrast(LengthUnit unit, double size, double weight, double wanted) {
    Layer layer =
        Painting.text(
            "one",
            "Hour",
            PropertySet.EMPTY
                .with(Properties.SIZE, FontSize.points(size))
                .with(Properties.FONT_WEIGHT, weight)
                .with(Properties.COAT_COLOUR.at(Painting.FILL), Colour.hex("#000000")));
    Project project = Project.empty("P").plus(Artboard.empty("a", "A", 200, 100, unit).plus(layer));
    Scene scene = Painting.maker().make(project);
    Scene.Found found = scene.find(new LayerId("one")).orElseThrow();
    assertThat(
            new Legibility(new LayerPainter(), FootagePainter.of(project, MediaSource.NONE))
                .of(found))
        .hasValueSatisfying(reading -> assertThat(reading.wanted()).isEqualTo(wanted));
  }

  /** SMPTE ST 2046-1: titles stand within nine tenths of the frame, 50 of 1000 from each edge. */
  @ParameterizedTest
  @CsvSource({"51, 300, false", "45, 300, true", "300, 51, false", "300, 45, true"})
  void titlesStandWithinNineTenthsOfTheFrame(double x, double y, boolean outside) {
    TrackId track = new TrackId("titles");
    Layer title =
        Layer.of("one", "One", "Hour")
            .withFrame(
                PropertySet.EMPTY.with(Properties.POSITION_X, x).with(Properties.POSITION_Y, y))
            .withLocal(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(40)))
            .withTiming(Optional.of(Timing.of(track, Time.ZERO, Time.ofMillis(4000))));
    Timeline line =
        new Timeline(
            new Timecode(FrameRate.PAL, false),
            0,
            Time.ofMillis(10_000),
            List.of(new Track.Titles(track, "Titles", ItemState.OPEN)));
    Artboard film =
        Artboard.empty("film", "Film", 1000, 1000, LengthUnit.PIXEL)
            .withTimeline(Optional.of(line))
            .plus(title);
    Scene scene =
        Painting.maker()
            .make(Project.empty("P").plus(film))
            .in(new Scene.Sight.Film(new ArtboardId("film"), Time.ofMillis(1000)));
    Scene.Found found = scene.find(new LayerId("one")).orElseThrow();
    assertThat(Examination.isOutOfSafeArea(found)).isEqualTo(outside);
  }
}
