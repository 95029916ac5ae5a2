package dynamorph.app.artboards.stage;

import dynamorph.model.shape.PathDraft;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** The path that is being drawn: its curve, its knots and their handles. */
final class PenMarks {
  private static final Color KELP = Color.web("#0E6B63");

  private final StagePoints points;
  private PathDraft pen = PathDraft.EMPTY;
  private Optional<double[]> penNext = Optional.empty();

  PenMarks(StagePoints points) {
    this.points = points;
  }

  /**
   * Shows another path.
   *
   * @param next where its next knot would be, on the plane
   */
  void set(PathDraft draft, Optional<double[]> next) {
    pen = draft;
    penNext = next;
  }

  void draw(GraphicsContext g) {
    if (pen.isEmpty()) {
      return;
    }
    PathDraft shown = penNext.map(at -> pen.plus(at[0], at[1])).orElse(pen);
    g.setStroke(KELP);
    g.setLineWidth(1.6);
    g.beginPath();
    for (int piece = 0; piece < shown.pieces(); piece++) {
      for (int step = piece == 0 ? 0 : 1; step <= PEN_STEPS; step++) {
        double[] at = shown.at(piece, step / (double) PEN_STEPS);
        if (piece == 0 && step == 0) {
          g.moveTo(points.x(at[0]), points.y(at[1]));
        } else {
          g.lineTo(points.x(at[0]), points.y(at[1]));
        }
      }
    }
    g.stroke();
    for (PathDraft.Knot knot : pen.knots()) {
      double x = points.x(knot.x());
      double y = points.y(knot.y());
      double outX = points.x(knot.x() + knot.handleX());
      double outY = points.y(knot.y() + knot.handleY());
      g.setLineWidth(1);
      g.strokeLine(2 * x - outX, 2 * y - outY, outX, outY);
      g.setFill(Color.WHITE);
      g.fillRect(x - 3, y - 3, 6, 6);
      g.strokeRect(x - 3, y - 3, 6, 6);
      if (outX != x || outY != y) {
        g.setFill(KELP);
        g.fillOval(outX - 2.5, outY - 2.5, 5, 5);
        g.fillOval(2 * x - outX - 2.5, 2 * y - outY - 2.5, 5, 5);
      }
    }
  }

  private static final int PEN_STEPS = 24;
}
