package dynamorph.app.artboards.stage;

import dynamorph.app.message.Messages;
import dynamorph.app.theme.Theme;
import dynamorph.model.Artboard;
import dynamorph.model.LengthUnit;
import dynamorph.paint.arrange.Axis;
import dynamorph.paint.arrange.Snap;
import dynamorph.typeset.layout.Box;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

/** Draws the lines and gaps that a drag snaps to, and says where the dragged box stands. */
record SnapMarks(StagePoints points, Theme theme) {
  private static final Color HALO = Color.web("#FFFDF9", 0.75);
  private static final Font FONT = Font.font("Source Sans 3", 12);

  /** Half of the height of the ends of a gap. */
  private static final double END = 4;

  /** How far a line goes on beyond what lies on it. */
  private static final double BEYOND = 8;

  private static final double HEIGHT = 18;

  /**
   * What a drag does.
   *
   * @param box of what is dragged, in points of the artboard
   */
  record Shown(Artboard artboard, Box box, Snap snap) {}

  void draw(GraphicsContext g, Shown shown) {
    Artboard board = shown.artboard();
    for (Snap.Guide guide : shown.snap().guides()) {
      line(g, board, guide.axis(), guide.at(), guide.from(), guide.to());
    }
    for (Snap.Gap gap : shown.snap().gaps()) {
      gap(g, board, gap);
    }
    Box box = shown.box();
    LengthUnit unit = board.unit();
    String words =
        Messages.of(
            "snap-marks.place",
            unit.format(box.x()),
            unit.format(box.y()),
            unit.format(box.width()),
            unit.format(box.height()),
            unit.symbol());
    tag(g, words, x(board, box.x()), y(board, box.bottom()) + 10);
  }

  private double x(Artboard board, double x) {
    return points.x(board.x() + x);
  }

  private double y(Artboard board, double y) {
    return points.y(board.y() + y);
  }

  private void line(
      GraphicsContext g, Artboard board, Axis axis, double at, double from, double to) {
    if (axis == Axis.ACROSS) {
      double x = Math.round(x(board, at)) + 0.5;
      twice(g, x, y(board, from) - BEYOND, x, y(board, to) + BEYOND);
    } else {
      double y = Math.round(y(board, at)) + 0.5;
      twice(g, x(board, from) - BEYOND, y, x(board, to) + BEYOND, y);
    }
  }

  /** A pale edge keeps a line visible on dark artboards. */
  private void twice(GraphicsContext g, double x1, double y1, double x2, double y2) {
    g.setStroke(HALO);
    g.setLineWidth(3);
    g.strokeLine(x1, y1, x2, y2);
    g.setStroke(theme.mark());
    g.setLineWidth(1);
    g.strokeLine(x1, y1, x2, y2);
  }

  private void gap(GraphicsContext g, Artboard board, Snap.Gap gap) {
    String words = board.unit().format(gap.size());
    double wide = StageMarks.width(words, FONT) + 10;
    if (gap.axis() == Axis.ACROSS) {
      double y = Math.round(y(board, gap.at())) + 0.5;
      double from = x(board, gap.from());
      double to = x(board, gap.to());
      twice(g, from, y, to, y);
      twice(g, from, y - END, from, y + END);
      twice(g, to, y - END, to, y + END);
      tag(g, words, (from + to - wide) / 2, y + END + 2);
    } else {
      double x = Math.round(x(board, gap.at())) + 0.5;
      double from = y(board, gap.from());
      double to = y(board, gap.to());
      twice(g, x, from, x, to);
      twice(g, x - END, from, x + END, from);
      twice(g, x - END, to, x + END, to);
      tag(g, words, x + END + 3, (from + to - HEIGHT) / 2);
    }
  }

  private void tag(GraphicsContext g, String words, double x, double y) {
    double wide = StageMarks.width(words, FONT) + 10;
    double left = Math.clamp(x, 2, Math.max(2, g.getCanvas().getWidth() - wide - 2));
    double top = Math.clamp(y, 2, Math.max(2, g.getCanvas().getHeight() - HEIGHT - 2));
    g.setFill(theme.mark());
    g.fillRoundRect(left, top, wide, HEIGHT, 6, 6);
    g.setFill(theme.onMark());
    g.setFont(FONT);
    g.setTextBaseline(VPos.CENTER);
    g.fillText(words, left + 5, top + HEIGHT / 2);
  }
}
