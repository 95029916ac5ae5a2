package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.StrokeJoin;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ClipMode;
import io.github.humbleui.skija.ImageFilter;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.PaintStrokeJoin;
import io.github.humbleui.skija.Path;
import io.github.humbleui.types.Rect;

/** Paints one coat on a shape: the letters, or the plate. */
final class CoatBrush {
  /** What a coat is painted on. */
  interface Shape {
    /** Paints the shape itself; the paint says whether it is filled or stroked. */
    void draw(Canvas canvas, Paint paint);

    /** The edge of the shape. */
    Path outline();

    /** The box around the shape, without coats and effects. */
    Box bounds();
  }

  private CoatBrush() {}

  /**
   * Paints a coat with its effects.
   *
   * @param covered whether an opaque fill above hides what lies within the shape's edge. An outer
   *     stroke then need not be cut at the edge, which leaves no seam between the two.
   */
  static void paint(Canvas canvas, Coat coat, Shape shape, boolean covered) {
    for (Coat.DropShadow shadow : coat.shadows()) {
      float deviation = (float) (shadow.blur() / 2);
      try (ImageFilter filter =
              ImageFilter.makeDropShadowOnly(
                  (float) shadow.across(),
                  (float) shadow.down(),
                  deviation,
                  deviation,
                  shadow.colour().argb());
          Paint layer = new Paint().setImageFilter(filter)) {
        Box reach = Reach.of(shape.bounds(), coat);
        canvas.saveLayer(
            Rect.makeLTRB(
                (float) reach.x(),
                (float) reach.y(),
                (float) reach.right(),
                (float) reach.bottom()),
            layer);
        paintPlain(canvas, coat, shape, false);
        canvas.restore();
      }
    }
    paintPlain(canvas, coat, shape, covered);
  }

  private static void paintPlain(Canvas canvas, Coat coat, Shape shape, boolean covered) {
    try (Paint paint = new Paint().setAntiAlias(true).setColor(coat.colour().argb())) {
      switch (coat) {
        case Coat.Fill _ -> shape.draw(canvas, paint);
        case Coat.Stroke stroke -> stroke(canvas, stroke, shape, paint, covered);
      }
    }
  }

  private static void stroke(
      Canvas canvas, Coat.Stroke stroke, Shape shape, Paint paint, boolean covered) {
    if (stroke.width() == 0) {
      return;
    }
    paint
        .setMode(PaintMode.STROKE)
        .setStrokeJoin(join(stroke.join()))
        .setStrokeMiter((float) Coat.Stroke.MITER_LIMIT)
        .setStrokeWidth((float) stroke.width());
    switch (stroke.position()) {
      case CENTRE -> shape.draw(canvas, paint);
      case INSIDE -> clipped(canvas, shape, paint, ClipMode.INTERSECT);
      case OUTSIDE -> {
        if (covered) {
          paint.setStrokeWidth((float) stroke.width() * 2);
          shape.draw(canvas, paint);
        } else {
          clipped(canvas, shape, paint, ClipMode.DIFFERENCE);
        }
      }
    }
  }

  /**
   * A stroke on one side of the edge is a centred one of twice the width of which one half shows.
   */
  private static void clipped(Canvas canvas, Shape shape, Paint paint, ClipMode mode) {
    paint.setStrokeWidth(paint.getStrokeWidth() * 2);
    canvas.save();
    canvas.clipPath(shape.outline(), mode, true);
    canvas.drawPath(shape.outline(), paint);
    canvas.restore();
  }

  private static PaintStrokeJoin join(StrokeJoin join) {
    return switch (join) {
      case MITER -> PaintStrokeJoin.MITER;
      case ROUND -> PaintStrokeJoin.ROUND;
      case BEVEL -> PaintStrokeJoin.BEVEL;
    };
  }
}
