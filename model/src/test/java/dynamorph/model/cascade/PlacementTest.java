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
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FrameArea;
import dynamorph.model.value.WritingMode;
import java.util.List;
import java.util.Optional;
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

  /** Its lines stay as long as they were, until its box is given a height. */
  @Test
  void theBaseStyleOfAnArtboardTurnsItsTexts() {
    Style base =
        Style.text("base", "Base", "")
            .withProperties(
                PropertySet.EMPTY.with(
                    Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT));
    PropertySet grown =
        PropertySet.EMPTY.with(Properties.BOX, BoxFit.GROW).with(Properties.BOX_WIDTH, 150.0);
    Project plain = project(400, 300, grown).withStyles(StyleBook.of(List.of(base)));
    assertThat(placed(plain).inside().mode()).isEqualTo(WritingMode.HORIZONTAL);
    Project turned = plain.withBaseStyle(Optional.of(base.id()));
    assertThat(placed(turned).inside().mode()).isEqualTo(WritingMode.VERTICAL_RIGHT_TO_LEFT);
    assertThat(placed(turned).height()).isEqualTo(150);
    Project given =
        project(400, 300, grown.with(Properties.BOX_HEIGHT, 80.0))
            .withStyles(StyleBook.of(List.of(base)))
            .withBaseStyle(Optional.of(base.id()));
    assertThat(placed(given).height()).isEqualTo(80);
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
