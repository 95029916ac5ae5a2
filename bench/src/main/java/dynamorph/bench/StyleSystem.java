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
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.pcollections.TreePVector;

/**
 * A project of the size that the style system is made for: 100,000 texts on 100 artboards, 500
 * styles in chains up to six deep from one base, every fifth text with local changes.
 */
final class StyleSystem {
  static final int LAYERS = 100_000;
  static final int BOARDS = 100;
  static final int STYLES = 500;
  static final int DEEPEST = 6;
  static final StyleId BASE = new StyleId("s0");

  private StyleSystem() {}

  static Project project() {
    SplittableRandom random = new SplittableRandom(7);
    List<Style> styles = styles(random);
    List<Artboard> boards = new ArrayList<>();
    int per = LAYERS / BOARDS;
    for (int board = 0; board < BOARDS; board++) {
      List<Layer> layers = new ArrayList<>(per);
      for (int index = 0; index < per; index++) {
        layers.add(layer(board * per + index, random));
      }
      boards.add(
          Artboard.empty("b" + board, "Board " + board, 2000, 2000, LengthUnit.POINT)
              .withLayers(TreePVector.from(layers)));
    }
    return Project.empty("Large")
        .withStyles(StyleBook.of(styles))
        .withBaseStyle(Optional.of(BASE))
        .withArtboards(TreePVector.from(boards));
  }

  private static List<Style> styles(SplittableRandom random) {
    List<Style> styles = new ArrayList<>();
    int[] depth = new int[STYLES];
    for (int index = 0; index < STYLES; index++) {
      PropertySet values =
          PropertySet.EMPTY
              .with(Properties.TRACKING, (double) (index % 40))
              .with(
                  Properties.COAT_COLOUR.at(Address.coat("fill")),
                  Colour.of(new Rgba(0xFF000000 | random.nextInt(0x1000000))));
      Optional<StyleId> base = Optional.empty();
      if (index > 0) {
        int above = random.nextInt(index);
        while (depth[above] + 1 >= DEEPEST) {
          above = random.nextInt(index);
        }
        depth[index] = depth[above] + 1;
        base = Optional.of(new StyleId("s" + above));
        values = values.with(Properties.SIZE, new FontSize.Times(1 + (index % 5) / 10.0));
      } else {
        values = values.with(Properties.SIZE, FontSize.points(12));
      }
      styles.add(
          Style.text("s" + index, "Style " + index, "").withBasedOn(base).withProperties(values));
    }
    return styles;
  }

  private static Layer layer(int index, SplittableRandom random) {
    Layer layer =
        Layer.of("t" + index, "Text " + index, "Label " + index)
            .withFollows(List.of(new StyleId("s" + random.nextInt(STYLES))))
            .withFrame(
                PropertySet.EMPTY
                    .with(Properties.POSITION_X, (double) random.nextInt(1900))
                    .with(Properties.POSITION_Y, (double) random.nextInt(1900)));
    return index % 5 == 0
        ? layer.withLocal(
            PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 300.0 + random.nextInt(6) * 100))
        : layer;
  }

  /** The base style that all texts take values from, with another size. */
  static Style changed(Project project, boolean large) {
    Style base = project.styles().get(BASE);
    return base.withProperties(
        base.properties().with(Properties.SIZE, FontSize.points(large ? 14 : 12)));
  }
}
