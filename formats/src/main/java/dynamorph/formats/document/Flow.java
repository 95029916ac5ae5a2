package dynamorph.formats.document;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.DominantLook;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.BoxFit;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Puts texts below each other on an artboard, in columns whose lines can be read well; a single
 * text has the columns within its box.
 */
final class Flow {
  private static final double MARGIN = 0.08;
  private static final double GUTTER = 0.04;
  private static final double GAP = 0.025;
  private static final int MOST_COLUMNS = 4;

  /** In em: about 75 letters (Bringhurst, The Elements of Typographic Style, 2.1.2). */
  private static final double LONGEST_LINE = 36;

  private final Project project;
  private final Artboard board;
  private final SceneMaker maker;
  private final double margin;
  private final double gutter;
  private final double gap;

  /**
   * @param project with all styles that the texts follow
   * @param board that they come to stand on; what stands there already is not looked at
   */
  Flow(Project project, Artboard board, SceneMaker maker) {
    this.project = project;
    this.board = board;
    this.maker = maker;
    double least = Math.min(board.width(), board.height());
    this.margin = MARGIN * least;
    this.gutter = GUTTER * least;
    this.gap = GAP * least;
  }

  /**
   * Texts with their frames.
   *
   * @param fits whether all of them stand within the artboard
   */
  record Flown(List<Layer> texts, boolean fits) {}

  Flown of(List<Layer> texts) {
    return texts.size() == 1 ? alone(texts.getFirst()) : stacked(texts);
  }

  private double width() {
    return Math.max(1, board.width() - 2 * margin);
  }

  private double height() {
    return Math.max(1, board.height() - 2 * margin);
  }

  private double columnWidth(int columns) {
    return Math.max(1, (width() - (columns - 1) * gutter) / columns);
  }

  private PropertySet at(double x, double y, double width) {
    return PropertySet.EMPTY
        .with(Properties.POSITION_X, x)
        .with(Properties.POSITION_Y, y)
        .with(Properties.BOX, BoxFit.GROW)
        .with(Properties.BOX_WIDTH, width);
  }

  /** Columns of which the lines of the longest text are no longer than can be read well. */
  private int columns(List<Layer> texts) {
    Layer longest =
        texts.stream().max(Comparator.comparingInt(text -> text.story().length())).orElseThrow();
    double size =
        Coats.value(DominantLook.of(Cascade.of(project), longest), Properties.SIZE.key()).over(1);
    for (int columns = 1; columns < MOST_COLUMNS; columns++) {
      if (columnWidth(columns) <= LONGEST_LINE * size) {
        return columns;
      }
    }
    return MOST_COLUMNS;
  }

  /** A text that is too long for one column fills the height, and takes more. */
  private Flown alone(Layer text) {
    int columns = columns(List.of(text));
    Layer grown = text.withFrame(at(margin, margin, columnWidth(columns)));
    if (heights(List.of(grown)).getFirst() <= height()) {
      return new Flown(List.of(grown), true);
    }
    Layer filled =
        text.withFrame(
            at(margin, margin, width())
                .with(Properties.BOX, BoxFit.FIXED)
                .with(Properties.BOX_HEIGHT, height())
                .with(Properties.COLUMNS, (double) columns)
                .with(Properties.GUTTER, gutter));
    return new Flown(List.of(filled), set(List.of(filled)).getFirst().layout().overset().isEmpty());
  }

  private Flown stacked(List<Layer> texts) {
    List<Layer> placed = List.of();
    for (int columns = columns(texts); columns <= MOST_COLUMNS; columns++) {
      double width = columnWidth(columns);
      List<Layer> measured =
          texts.stream().map(text -> text.withFrame(at(margin, margin, width))).toList();
      List<Double> heights = heights(measured);
      placed = new ArrayList<>();
      int column = 0;
      double y = margin;
      boolean fits = true;
      for (int index = 0; index < texts.size(); index++) {
        double bottom = y + heights.get(index);
        if (bottom > margin + height() && y > margin && column < columns - 1) {
          column++;
          y = margin;
          bottom = y + heights.get(index);
        }
        fits &= bottom <= margin + height() + 0.01;
        double x = margin + column * (width + gutter);
        placed.add(texts.get(index).withFrame(at(x, y, width)));
        y = bottom + gap;
      }
      if (fits) {
        return new Flown(placed, true);
      }
    }
    return new Flown(placed, false);
  }

  private List<Double> heights(List<Layer> texts) {
    return set(texts).stream().map(text -> text.layout().box().height()).toList();
  }

  private List<PlacedLayer> set(List<Layer> texts) {
    Project alone = project.withArtboards(project.artboards().minusAll(project.artboards()));
    Scene scene = maker.make(alone.plus(board.withLayers(texts)));
    return scene.boards().getFirst().texts();
  }
}
