package dynamorph.model.cascade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.layer.ResizeBox;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FrameArea;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlacementTest {
  private static final PropertySet LOWER_LEFT =
      PropertySet.EMPTY
          .with(Properties.ANCHOR, Anchor.BOTTOM_LEFT)
          .with(Properties.RELATIVE_TO, FrameArea.TITLE_SAFE)
          .with(Properties.SHARE_X, 2.0)
          .with(Properties.SHARE_Y, -10.0)
          .with(Properties.POSITION_X, 4.0)
          .with(Properties.BOX, BoxFit.GROW)
          .with(Properties.BOX_SHARE, 50.0);

  private static Project project(double width, double height, PropertySet local) {
    return Project.empty("P")
        .plus(
            Artboard.empty("a", "A", width, height, LengthUnit.PIXEL)
                .plus(Layer.of("t", "t", "Dessa Quill").withLocal(local)));
  }

  private static Placement placed(Project project) {
    Artboard board = project.artboards().getFirst();
    Layer layer = project.layer(new LayerId("t")).orElseThrow();
    return Cascade.of(project).placement(layer).on(board.width(), board.height());
  }

  /** By hand: the title safe area leaves a twentieth on each side. */
  @ParameterizedTest
  @CsvSource({
    "1920, 1080, 134.56, 928.8, 864",
    "1080, 1920, 77.44, 1651.2, 486",
    "100, 100, 10.8, 86, 45"
  })
  void aShareOfTheSafeAreaFitsAnyFrame(
      double width, double height, double x, double y, double boxWidth) {
    Placement placement = placed(project(width, height, LOWER_LEFT));
    assertThat(placement.anchorX(width)).isCloseTo(x, within(1e-9));
    assertThat(placement.anchorY(height)).isCloseTo(y, within(1e-9));
    assertThat(placement.width()).isCloseTo(boxWidth, within(1e-9));
    assertThat(placement.on(7, 7))
        .as("there is nothing left that depends on it")
        .isSameAs(placement);
  }

  @Test
  void withoutSharesAPlaceIsTheSameEverywhere() {
    Layer layer = Layer.of("t", "t", "x");
    Placement placement = Cascade.of(Project.empty("P")).placement(layer);
    assertThat(placement.on(1920, 1080)).isSameAs(placement);
  }

  @Test
  void theMiddleOfTheSafeAreaIsThatOfTheFrame() {
    PropertySet middle =
        PropertySet.EMPTY
            .with(Properties.ANCHOR, Anchor.CENTRE)
            .with(Properties.RELATIVE_TO, FrameArea.ACTION_SAFE);
    assertThat(placed(project(640, 360, middle)).anchorX(640)).isCloseTo(320, within(1e-9));
  }

  /** A side that is dragged leaves a width in points, and the opposite side where it was. */
  @Test
  void aBoxThatIsAShareOfTheFrameIsResizedFromWhatItShows() {
    Project before = project(1000, 500, LOWER_LEFT);
    Project after = new ResizeBox(new LayerId("t"), 1, 0, 30, 0, 100, 80).applyTo(before);
    assertThat(placed(after).width()).isCloseTo(480, within(1e-9));
    assertThat(placed(after).anchorX(1000)).isCloseTo(placed(before).anchorX(1000), within(1e-9));
  }
}
