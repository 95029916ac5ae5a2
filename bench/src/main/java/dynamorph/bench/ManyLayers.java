package dynamorph.bench;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.StrokePosition;
import java.util.ArrayList;
import java.util.List;
import org.pcollections.TreePVector;

/** A project of many labels that follow one style. */
final class ManyLayers {
  private static final int COLUMNS = 20;
  private static final double CELL_WIDTH = 60;
  private static final double CELL_HEIGHT = 16;
  private static final String[] WORDS = {
    "Escapement", "Pendulum", "Bell", "Minute hand", "Arbor", "Pinion", "Verge"
  };

  private ManyLayers() {}

  static Project project(int count) {
    Style style =
        Style.text("label", "Label", "")
            .withProperties(
                PropertySet.EMPTY
                    .with(Properties.FONT_FAMILY, "Source Sans 3")
                    .with(Properties.SIZE, FontSize.points(11)));
    List<Layer> layers = new ArrayList<>(count);
    for (int index = 0; index < count; index++) {
      layers.add(
          Layer.of("t" + index, "Text " + index, WORDS[index % WORDS.length] + " " + index)
              .withFollows(List.of(style.id()))
              .withFrame(
                  PropertySet.EMPTY
                      .with(Properties.POSITION_X, index % COLUMNS * CELL_WIDTH)
                      .with(Properties.POSITION_Y, (index / COLUMNS) * CELL_HEIGHT)));
    }
    double height = Math.ceil(count / (double) COLUMNS) * CELL_HEIGHT;
    return Project.empty("Many")
        .withStyles(StyleBook.of(List.of(style)))
        .withArtboards(
            TreePVector.singleton(
                Artboard.empty("a", "A", COLUMNS * CELL_WIDTH, height, LengthUnit.POINT)
                    .withLayers(layers)));
  }

  /** Another look for the style: one of two, so that each edit changes something. */
  static Style look(Project project, boolean heavy) {
    Style style = project.styles().list().getFirst();
    Address rim = Address.coat("rim");
    PropertySet plain =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, "Source Sans 3")
            .with(Properties.SIZE, FontSize.points(11));
    return style.withProperties(
        heavy
            ? plain
                .with(Properties.FONT_FAMILY, "Barlow Condensed")
                .with(Properties.FONT_WEIGHT, 700.0)
                .with(Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.hex("#c2560b"))
                .with(Properties.COAT_KIND.at(rim), CoatKind.STROKE)
                .with(Properties.STROKE_POSITION.at(rim), StrokePosition.CENTRE)
            : plain);
  }
}
