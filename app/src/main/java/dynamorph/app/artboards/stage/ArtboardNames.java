package dynamorph.app.artboards.stage;

import dynamorph.model.Artboard;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;

/**
 * Writes the names of artboards above them. A name gives way to a tag, and gets smaller or goes
 * where it would lie over another artboard.
 */
final class ArtboardNames {
  private static final String FAMILY = "Source Sans 3";
  private static final double LARGEST = 13;
  private static final double SMALLEST = 9;

  /** Height of a line of the font, as a share of its size. */
  private static final double LINE = 1.26;

  /** Between a name and its artboard, and at least to the one above, in pixels. */
  private static final double GAP = 4;

  private static final double LEAST_GAP = 1;

  /** No name reaches farther up from its artboard, in pixels. */
  private static final double HIGHEST = LARGEST * LINE + GAP + 1;

  private ArtboardNames() {}

  /**
   * Writes them in the fill that is set.
   *
   * @param inNode where a box of the plane is seen
   * @param tags what a name must not touch
   */
  static void draw(
      GraphicsContext g, List<Scene.Board> boards, UnaryOperator<Box> inNode, List<Box> tags) {
    g.setTextBaseline(VPos.BOTTOM);
    Box canvas = new Box(0, 0, g.getCanvas().getWidth(), g.getCanvas().getHeight());
    List<Box> boxes = boards.stream().map(board -> inNode.apply(board.onPlane())).toList();
    for (Scene.Board board : boards) {
      Box box = inNode.apply(board.onPlane());
      if (box.grown(0, LARGEST * 2).overlaps(canvas)) {
        double free = free(box, boxes);
        size(free)
            .map(size -> Font.font(FAMILY, size))
            .ifPresent(font -> draw(g, board.artboard(), box, free, font, tags));
      }
    }
  }

  /** The artboard whose name is written at a point of the node. */
  static Optional<Artboard> at(
      List<Scene.Board> boards, UnaryOperator<Box> inNode, double x, double y) {
    List<Box> boxes = boards.stream().map(board -> inNode.apply(board.onPlane())).toList();
    return boards.stream()
        .filter(board -> {
          Box box = inNode.apply(board.onPlane());
          boolean near = x >= box.x() && x <= box.right() && y <= box.y() && y > box.y() - HIGHEST;
          if (!near) {
            return false;
          }
          double free = free(box, boxes);
          return size(free)
              .map(size -> Font.font(FAMILY, size))
              .map(font -> place(shown(board.artboard(), box.width(), font), box, free, font))
              .filter(place -> place.contains(x, y))
              .isPresent();
        })
        .map(Scene.Board::artboard)
        .findFirst();
  }

  private static double gap(double free, Font font) {
    double line = font.getSize() * LINE;
    return Math.min(GAP, Math.max(LEAST_GAP, free - line - LEAST_GAP));
  }

  private static Box place(String shown, Box box, double free, Font font) {
    double line = font.getSize() * LINE;
    return new Box(box.x(), box.y() - gap(free, font) - line, StageMarks.width(shown, font), line);
  }

  private static void draw(
      GraphicsContext g, Artboard artboard, Box box, double free, Font font, List<Box> tags) {
    String shown = shown(artboard, box.width(), font);
    double gap = gap(free, font);
    Box place = place(shown, box, free, font);
    if (tags.stream().noneMatch(place::overlaps)) {
      g.setFont(font);
      g.fillText(shown, box.x(), box.y() - gap);
    }
  }

  /** How far up from an artboard none of all artboards lies. */
  static double free(Box box, List<Box> all) {
    return all.stream()
        .filter(other -> other.x() < box.right() && other.right() > box.x())
        .filter(other -> other.y() < box.y())
        .mapToDouble(other -> Math.max(0, box.y() - other.bottom()))
        .min()
        .orElse(Double.POSITIVE_INFINITY);
  }

  /** The size of a name in a free height; empty if it could not be read. */
  static Optional<Double> size(double free) {
    double size = Math.min(LARGEST, (free - 2 * LEAST_GAP) / LINE);
    return size < SMALLEST ? Optional.empty() : Optional.of(Math.floor(size * 2) / 2);
  }

  private static String shown(Artboard artboard, double room, Font font) {
    String withSize = artboard.name() + "  " + artboard.sizeText();
    return StageMarks.width(withSize, font) <= room ? withSize : cut(artboard.name(), room, font);
  }

  private static String cut(String name, double room, Font font) {
    if (StageMarks.width(name, font) <= room) {
      return name;
    }
    for (int length = name.length() - 1; length > 2; length--) {
      String shorter = name.substring(0, length).strip() + "\u2026";
      if (StageMarks.width(shorter, font) <= room) {
        return shorter;
      }
    }
    return "";
  }
}
