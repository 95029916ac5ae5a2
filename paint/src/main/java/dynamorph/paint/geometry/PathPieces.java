package dynamorph.paint.geometry;

import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathVerb;
import io.github.humbleui.types.Point;

/**
 * Goes along a path piece by piece. All of it is fetched at once: asking the path for each piece
 * takes longer.
 */
final class PathPieces {
  /** Takes the pieces of a path. */
  interface Taker {
    void move(Point to);

    void line(Point from, Point to);

    /**
     * A part of a conic section, or a quadratic curve.
     *
     * @param weight of the control point; 1 for a quadratic curve
     */
    void conic(Point from, Point control, Point to, double weight);

    void cubic(Point from, Point first, Point second, Point to);

    /** The contour ends; it may lack a line to its beginning. */
    void end(Point at, Point start);
  }

  private final Point[] points;
  private final float[] weights;
  private final PathVerb[] verbs;
  private final Taker taker;
  private Point start = new Point(0, 0);
  private Point at = start;
  private boolean begun;
  private int point;
  private int weight;

  private PathPieces(Path path, Taker taker) {
    this.points = path.getPoints();
    this.weights = path.getConicWeights();
    this.verbs = path.getVerbs();
    this.taker = taker;
  }

  /** Tells the pieces of a path. */
  static void tell(Path path, Taker taker) {
    new PathPieces(path, taker).tell();
  }

  private void tell() {
    for (PathVerb verb : verbs) {
      switch (verb) {
        case MOVE -> {
          end();
          start = next();
          at = start;
          begun = true;
          taker.move(start);
        }
        case LINE -> {
          Point from = at;
          taker.line(from, next());
        }
        case QUAD -> {
          Point from = at;
          taker.conic(from, next(), next(), 1);
        }
        case CONIC -> {
          Point from = at;
          taker.conic(from, next(), next(), weights[weight++]);
        }
        case CUBIC -> {
          Point from = at;
          taker.cubic(from, next(), next(), next());
        }
        case CLOSE -> end();
        case DONE -> {}
      }
    }
    end();
  }

  private Point next() {
    at = points[point++];
    return at;
  }

  private void end() {
    if (begun) {
      taker.end(at, start);
      at = start;
    }
  }
}
