package dynamorph.paint.artwork;

import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathFillMode;
import io.github.humbleui.skija.PathSegment;
import io.github.humbleui.types.Point;
import java.util.function.DoubleFunction;

/** Goes along a path piece by piece, in the pieces that file formats know. */
public final class Contour {
  /** Takes the pieces of a path. Coordinates as in the path. */
  public interface Taker {
    void move(float x, float y);

    void line(float x, float y);

    void cubic(float x1, float y1, float x2, float y2, float x, float y);

    void close();
  }

  /** A conic is cut into this many halves of halves, so that quadratic curves are as good. */
  private static final int HALVINGS = 2;

  private Contour() {}

  /** Whether a place within two contours lies outside. */
  public static boolean isEvenOdd(Path path) {
    return path.getFillMode() == PathFillMode.EVEN_ODD;
  }

  /** Tells the pieces of a path. */
  public static void tell(Path path, Taker taker) {
    for (PathSegment piece : path) {
      switch (piece.getVerb()) {
        case MOVE -> taker.move(piece.getP0().getX(), piece.getP0().getY());
        case LINE -> taker.line(piece.getP1().getX(), piece.getP1().getY());
        case QUAD -> quadratic(taker, piece.getP0(), piece.getP1(), piece.getP2());
        case CONIC -> {
          Point[] points =
              Path.convertConicToQuads(
                  piece.getP0(), piece.getP1(), piece.getP2(), piece.getConicWeight(), HALVINGS);
          for (int index = 0; index + 2 < points.length; index += 2) {
            quadratic(taker, points[index], points[index + 1], points[index + 2]);
          }
        }
        case CUBIC ->
            taker.cubic(
                piece.getP1().getX(),
                piece.getP1().getY(),
                piece.getP2().getX(),
                piece.getP2().getY(),
                piece.getP3().getX(),
                piece.getP3().getY());
        case CLOSE -> taker.close();
        case DONE -> {}
      }
    }
  }

  /**
   * A path as path data (W3C SVG 2, 9.3), with absolute coordinates.
   *
   * @param left what is taken off all x
   * @param top what is taken off all y
   * @param number writes a coordinate
   */
  public static String data(Path path, double left, double top, DoubleFunction<String> number) {
    StringBuilder data = new StringBuilder();
    tell(
        path,
        new Taker() {
          @Override
          public void move(float x, float y) {
            put('M', x, y);
          }

          @Override
          public void line(float x, float y) {
            put('L', x, y);
          }

          @Override
          public void cubic(float x1, float y1, float x2, float y2, float x, float y) {
            put('C', x1, y1, x2, y2, x, y);
          }

          @Override
          public void close() {
            data.append('Z');
          }

          private void put(char command, float... places) {
            data.append(command);
            for (int index = 0; index < places.length; index++) {
              double from = index % 2 == 0 ? left : top;
              data.append(index == 0 ? "" : " ").append(number.apply(places[index] - from));
            }
          }
        });
    return data.toString();
  }

  private static void quadratic(Taker taker, Point from, Point control, Point to) {
    taker.cubic(
        from.getX() + (control.getX() - from.getX()) * 2 / 3,
        from.getY() + (control.getY() - from.getY()) * 2 / 3,
        to.getX() + (control.getX() - to.getX()) * 2 / 3,
        to.getY() + (control.getY() - to.getY()) * 2 / 3,
        to.getX(),
        to.getY());
  }
}
