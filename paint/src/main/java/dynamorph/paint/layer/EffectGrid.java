package dynamorph.paint.layer;

import dynamorph.model.cascade.Softness;
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
 * blur leaves no detail. They are counted from a pixel near the origin of the points, so that what
 * is known of them holds wherever the canvas is moved by whole pixels; see {@link Shift}.
 *
 * @param toCanvas from points to these pixels, without their coarseness
 * @param coarseness pixels of the canvas along one of these, a power of two
 */
record EffectGrid(Matrix33 toCanvas, double coarseness) {
  /** A standard deviation of this many pixels leaves no detail of half a pixel. */
  private static final double SMOOTH = 20;

  private static final double COARSEST = 4096;

  /** Pixels beyond the clip that are looked at, at most. */
  static final double FARTHEST = 1500;

  /** How many whole pixels lie between the origin of a canvas and that of its grid. */
  record Shift(int x, int y) {
    static Shift of(Canvas canvas) {
      float[] m = canvas.getLocalToDeviceAsMatrix33().getMat();
      return new Shift((int) Math.floor(m[2]), (int) Math.floor(m[5]));
    }

    /** What shows of a canvas, in pixels of its grid. */
    IRect clip(Canvas canvas) {
      IRect clip = canvas.getDeviceClipBounds();
      return IRect.makeLTRB(
          clip.getLeft() - x, clip.getTop() - y, clip.getRight() - x, clip.getBottom() - y);
    }
  }

  static EffectGrid of(Canvas canvas) {
    float[] m = canvas.getLocalToDeviceAsMatrix33().getMat().clone();
    Shift shift = Shift.of(canvas);
    m[2] -= shift.x;
    m[5] -= shift.y;
    return new EffectGrid(new Matrix33(m), 1);
  }

  /** The coarsest grid that a blur can be worked out on. */
  EffectGrid forBlur(Softness points) {
    double deviation = pixels(points).narrowest() * coarseness;
    double coarse = 1;
    while (deviation / coarse >= SMOOTH && coarse < COARSEST) {
      coarse *= 2;
    }
    return new EffectGrid(toCanvas, coarse);
  }

  /** Pixels of this grid that a point is long. */
  double scale() {
    float[] m = toCanvas.getMat();
    return Math.sqrt(Math.abs(m[0] * m[4] - m[1] * m[3])) / coarseness;
  }

  /** A blur in square points, in square pixels. */
  Softness pixels(Softness points) {
    double scale = scale();
    double most = COARSEST * SMOOTH;
    if (points.isRound()) {
      return Softness.deviation(Math.min(points.widest() * scale, most));
    }
    float[] m = toCanvas.getMat();
    double shrunk = Math.min(1, most / (points.widest() * scale)) / coarseness;
    double a = m[0] * shrunk;
    double c = m[1] * shrunk;
    double b = m[3] * shrunk;
    double d = m[4] * shrunk;
    return new Softness(
        a * a * points.xx() + 2 * a * c * points.xy() + c * c * points.yy(),
        a * b * points.xx() + (a * d + b * c) * points.xy() + c * d * points.yy(),
        b * b * points.xx() + 2 * b * d * points.xy() + d * d * points.yy());
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

  /** The pixels that a box touches, with a border of some, as far as they lie in a part. */
  IRect part(Box points, double around, double beyond, IRect within, int border) {
    IRect far = IRect.makeLTRB(-FAR, -FAR, FAR, FAR);
    IRect all = part(points, around, beyond, far);
    int left = Math.max(within.getLeft(), all.getLeft() - border);
    int top = Math.max(within.getTop(), all.getTop() - border);
    return IRect.makeLTRB(
        left,
        top,
        Math.max(left, Math.min(within.getRight(), all.getRight() + border)),
        Math.max(top, Math.min(within.getBottom(), all.getBottom() + border)));
  }

  private static final int FAR = 1 << 24;

  private int lower(double canvasPixels) {
    return (int) Math.floor(canvasPixels / coarseness);
  }

  private int upper(double canvasPixels) {
    return (int) Math.ceil(canvasPixels / coarseness);
  }

  /** Whether rows and columns of pixels are none of the plane. */
  boolean isTurned() {
    float[] m = toCanvas.getMat();
    return m[1] != 0 || m[3] != 0;
  }

  /** From points to these pixels. */
  Matrix33 toPixels() {
    float coarse = (float) (1 / coarseness);
    return Matrix33.makeScale(coarse, coarse).makeConcat(toCanvas);
  }

  /** Makes a canvas whose unit is a pixel of this grid take drawing in points. */
  void enter(Canvas canvas) {
    canvas.scale((float) (1 / coarseness), (float) (1 / coarseness));
    canvas.concat(toCanvas);
  }

  /** Draws an image of some of these pixels where they lie on the canvas. */
  void draw(Canvas canvas, Shift shift, Image image, int x, int y, Paint paint) {
    canvas.save();
    canvas.resetMatrix();
    canvas.translate(shift.x, shift.y);
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
