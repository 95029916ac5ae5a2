package dynamorph.paint.layer;

import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.types.IRect;
import io.github.humbleui.types.Rect;

/**
 * The pixels that an effect is worked out on: those of the canvas, or coarser ones where a wide
 * blur leaves no detail.
 *
 * @param toCanvas from points to pixels of the canvas
 * @param coarseness pixels of the canvas along one of these, a power of two
 */
record Grid(Matrix33 toCanvas, double coarseness) {
  /** A standard deviation of this many pixels leaves no detail of half a pixel. */
  private static final double SMOOTH = 20;

  private static final double COARSEST = 4096;

  /** Pixels beyond the clip that are looked at, at most. */
  static final double FARTHEST = 1500;

  static Grid of(Canvas canvas) {
    return new Grid(canvas.getLocalToDeviceAsMatrix33(), 1);
  }

  /** The coarsest grid that a blur can be worked out on. */
  Grid forBlur(double points) {
    double deviation = deviation(points) * coarseness;
    double coarse = 1;
    while (deviation / coarse >= SMOOTH && coarse < COARSEST) {
      coarse *= 2;
    }
    return new Grid(toCanvas, coarse);
  }

  /** Pixels of this grid that a point is long. */
  double scale() {
    float[] m = toCanvas.getMat();
    return Math.sqrt(Math.abs(m[0] * m[4] - m[1] * m[3])) / coarseness;
  }

  /** The standard deviation in pixels of a blur in points. */
  double deviation(double blur) {
    return Math.min(blur / 2 * scale(), COARSEST * SMOOTH);
  }

  /** Where a direction in points leads on the canvas, in radians clockwise from rightwards. */
  double direction(double degrees) {
    float[] m = toCanvas.getMat();
    double x = Math.cos(Math.toRadians(degrees));
    double y = Math.sin(Math.toRadians(degrees));
    return Math.atan2(m[3] * x + m[4] * y, m[0] * x + m[1] * y);
  }

  /**
   * The pixels that a box and a border around it touch, as far as the clip needs them.
   *
   * @param around border in points
   * @param beyond how far outside the clip pixels still count, in points
   */
  IRect part(Box points, double around, double beyond, IRect clip) {
    float[] m = toCanvas.getMat();
    double left = Double.POSITIVE_INFINITY;
    double top = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    double bottom = Double.NEGATIVE_INFINITY;
    for (int corner = 0; corner < 4; corner++) {
      double px = corner % 2 == 0 ? points.x() : points.right();
      double py = corner < 2 ? points.y() : points.bottom();
      double x = m[0] * px + m[1] * py + m[2];
      double y = m[3] * px + m[4] * py + m[5];
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
    }
    double point = scale() * coarseness;
    double border = around * point + 2 * coarseness;
    double clipBorder = Math.min(beyond * point, FARTHEST * coarseness) + 2 * coarseness;
    int fromX = lower(Math.max(left - border, clip.getLeft() - clipBorder));
    int fromY = lower(Math.max(top - border, clip.getTop() - clipBorder));
    int toX = upper(Math.min(right + border, clip.getRight() + clipBorder));
    int toY = upper(Math.min(bottom + border, clip.getBottom() + clipBorder));
    return IRect.makeLTRB(fromX, fromY, Math.max(fromX, toX), Math.max(fromY, toY));
  }

  private int lower(double canvasPixels) {
    return (int) Math.floor(canvasPixels / coarseness);
  }

  private int upper(double canvasPixels) {
    return (int) Math.ceil(canvasPixels / coarseness);
  }

  /** Makes a canvas whose unit is a pixel of this grid take drawing in points. */
  void enter(Canvas canvas) {
    canvas.scale((float) (1 / coarseness), (float) (1 / coarseness));
    canvas.concat(toCanvas);
  }

  /** Draws an image of some of these pixels where they lie on the canvas. */
  void draw(Canvas canvas, Image image, int x, int y, Paint paint) {
    canvas.save();
    canvas.resetMatrix();
    if (coarseness == 1) {
      canvas.drawImage(image, x, y, paint);
    } else {
      Rect to =
          Rect.makeXYWH(
              (float) (x * coarseness),
              (float) (y * coarseness),
              (float) (image.getWidth() * coarseness),
              (float) (image.getHeight() * coarseness));
      Rect all = Rect.makeWH(image.getWidth(), image.getHeight());
      canvas.drawImageRect(image, all, to, SamplingMode.LINEAR, paint, true);
    }
    canvas.restore();
  }
}
