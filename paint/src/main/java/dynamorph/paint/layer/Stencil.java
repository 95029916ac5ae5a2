package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;
import dynamorph.paint.geometry.DashLine;
import dynamorph.paint.geometry.Dots;
import dynamorph.paint.geometry.Edges;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ClipMode;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.PaintStrokeJoin;
import io.github.humbleui.skija.Path;
import io.github.humbleui.types.Point;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/** Draws the area that a coat covers on a shape. */
final class Stencil {
  /** What a coat is painted on: letters, or a plate. */
  interface Shape extends AutoCloseable {
    /** Paints the shape itself; the paint says whether it is filled or stroked. */
    void draw(Canvas canvas, Paint paint);

    /** The edge of the shape. */
    Path outline();

    /** The edge moved outwards, its contours united. The caller closes it. */
    Path moved(double distance, Coat.Corner corner);

    /** A path that belongs to the shape and takes some time to work out. The caller closes it. */
    Path kept(Object key, Supplier<Path> maker);

    /** The same shape once more, for another thread. The caller closes it. */
    Shape again();

    /** The box around the shape, without coats and effects. */
    Box bounds();

    /** The parts that a paint is fitted to one by one. */
    List<Part> parts(PaintBounds fit);

    /** By what the shape is told from others. */
    Object identity();

    /** Where pixels of effects on it are kept. */
    MaskCache planes();

    /** Whether edges that were moved are kept, so that working them out ahead helps. */
    boolean keepsEdges();

    /** Whether its path has ends: then it has no inside to fill, and strokes lie on it. */
    boolean isOpen();

    /** Whether parts of the shape may lie over each other. */
    boolean overlaps();

    @Override
    void close();
  }

  /**
   * A part of a shape.
   *
   * @param box that a paint is fitted to
   */
  record Part(Shape shape, Box box) {}

  /** How far corners go that are rounded. */
  private static final Coat.Corner ROUND = new Coat.Corner(StrokeJoin.ROUND, 4);

  /**
   * How many pixels a fill goes on below a stroke that hides it: one, and what small letters are
   * off their places, since they stand on quarters of a pixel.
   */
  private static final double UNDER_RIM = 1.5;

  /** It must not come out at the other side of the stroke. */
  private static final double MOST_OF_RIM = 0.9;

  /** How far an area goes on below a stroke that hides it, in points: a pixel at twice the size. */
  private static final double HIDDEN_RIM = 0.5;

  private Stencil() {}

  /**
   * Draws what a coat covers with a paint whose colour and shader are set.
   *
   * @param neighbours what other coats do to its edge. An outer stroke need not be cut where a fill
   *     covers it, and a fill goes on below an outer stroke, which leaves no seam between the two.
   */
  static void draw(
      Canvas canvas, Coat.Shape coat, Shape shape, Paint paint, Neighbours neighbours) {
    paint.setAntiAlias(true);
    switch (on(coat, shape)) {
      case Coat.Fill fill -> {
        if (fill.offset() == 0) {
          fill(canvas, shape, paint, neighbours.rim());
        } else {
          drawPath(canvas, shape.moved(fill.offset(), fill.corner()), paint);
        }
      }
      case Coat.Stroke stroke when stroke.width() == 0 -> {}
      case Coat.Stroke stroke when !stroke.dashing().isSolid() ->
          dashed(canvas, stroke, shape, paint);
      case Coat.Stroke stroke -> stroke(canvas, stroke, shape, paint, neighbours.covered());
    }
  }

  /** Fills the shape, and a pixel more where a stroke above hides that. */
  private static void fill(Canvas canvas, Shape shape, Paint paint, double rim) {
    double scale = EffectGrid.of(canvas).scale();
    if (rim <= 0 || scale <= 0 || shape.isOpen()) {
      shape.draw(canvas, paint);
      return;
    }
    paint.setMode(PaintMode.STROKE_AND_FILL);
    paint.setStrokeWidth((float) (2 * Math.min(rim * MOST_OF_RIM, UNDER_RIM / scale)));
    paint.setStrokeJoin(PaintStrokeJoin.BEVEL);
    shape.draw(canvas, paint);
    paint.setMode(PaintMode.FILL);
  }

  /** Works out the edge that a coat is drawn along, on any thread; empty if that is no work. */
  static Optional<Runnable> missingEdge(Coat.Shape coat, Shape shape, boolean covered) {
    if (!shape.keepsEdges()) {
      return Optional.empty();
    }
    return switch (coat) {
      case Coat.Fill fill when fill.offset() != 0 ->
          Optional.of(() -> moveAgain(shape, fill.offset(), fill.corner()));
      case Coat.Stroke stroke
          when stroke.width() > 0
              && !shape.isOpen()
              && !(covered
                  && stroke.position() == StrokePosition.OUTSIDE
                  && stroke.offset() == 0) ->
          Optional.of(() -> moveAgain(shape, stroke.offset(), stroke.corner()));
      case Coat.Fill _, Coat.Stroke _ -> Optional.empty();
    };
  }

  private static void moveAgain(Shape shape, double distance, Coat.Corner corner) {
    try (Shape own = shape.again()) {
      own.moved(distance, corner).close();
    }
  }

  /** Draws what a coat covers when all its edges are moved outwards, with round corners. */
  static void drawGrown(Canvas canvas, Coat.Shape coat, Shape shape, Paint paint, double distance) {
    draw(canvas, distance == 0 ? coat : grown(coat, distance), shape, paint, Neighbours.NONE);
  }

  /** What a coat covers when its edges are moved outwards, if that is nothing but round dots. */
  static Optional<Dots> dots(Coat.Shape coat, Shape shape, double distance) {
    return switch (on(coat, shape)) {
      case Coat.Stroke stroke
          when stroke.cap() == StrokeCap.ROUND
              && stroke.dashing().isDotted(stroke.width() + 2 * distance)
              && stroke.width() + 2 * distance > 0 -> {
        try (Path kept = middles(stroke, shape)) {
          Point[] middles = kept.getPoints();
          yield middles.length == 0
              ? Optional.empty()
              : Optional.of(Dots.at(middles, stroke.width() + 2 * distance));
        }
      }
      case Coat.Fill _, Coat.Stroke _ -> Optional.empty();
    };
  }

  private static Coat.Shape grown(Coat.Shape coat, double distance) {
    return switch (coat) {
      case Coat.Fill fill -> new Coat.Fill(fill.offset() + distance, ROUND);
      case Coat.Stroke stroke -> {
        double width = Math.max(0, stroke.width() + 2 * distance);
        boolean dots = stroke.cap() == StrokeCap.ROUND;
        yield new Coat.Stroke(
            width,
            StrokePosition.CENTRE,
            middle(stroke),
            dots || stroke.dashing().isSolid() ? ROUND : stroke.corner(),
            stroke.cap(),
            stroke.dashing());
      }
    };
  }

  /**
   * The area that a coat covers, as a path to be filled. The caller closes it.
   *
   * @param neighbours what other coats do to its edge
   */
  static Path area(Coat.Shape coat, Shape shape, Neighbours neighbours) {
    return switch (on(coat, shape)) {
      case Coat.Fill fill when fill.offset() == 0 && neighbours.rim() > 0 && !shape.isOpen() ->
          shape.moved(
              Math.min(neighbours.rim() / 2, HIDDEN_RIM), new Coat.Corner(StrokeJoin.BEVEL, 1));
      case Coat.Stroke stroke when shape.isOpen() && stroke.dashing().isSolid() ->
          Edges.stroked(shape.outline(), stroke.width(), stroke.corner(), stroke.cap());
      case Coat.Fill fill -> shape.moved(fill.offset(), fill.corner());
      case Coat.Stroke stroke when stroke.width() == 0 -> new Path();
      case Coat.Stroke stroke when !stroke.dashing().isSolid() -> {
        try (Path dashes = dashes(stroke, shape)) {
          yield Edges.stroked(dashes, stroke.width(), stroke.corner(), stroke.cap());
        }
      }
      case Coat.Stroke stroke -> {
        boolean centred = stroke.position() == StrokePosition.CENTRE;
        double width = centred ? stroke.width() : 2 * stroke.width();
        try (Path edge = shape.moved(stroke.offset(), stroke.corner());
            Path along = Edges.stroked(edge, width, stroke.corner(), stroke.cap())) {
          yield switch (stroke.position()) {
            case CENTRE -> Edges.united(along);
            case OUTSIDE ->
                neighbours.covered() && stroke.offset() == 0
                    ? Edges.united(along)
                    : Edges.difference(along, edge);
            case INSIDE -> Edges.common(along, edge);
          };
        }
      }
    };
  }

  /** What a coat is on a shape: along an open path, sides and offsets mean nothing. */
  private static Coat.Shape on(Coat.Shape coat, Shape shape) {
    if (!shape.isOpen()) {
      return coat;
    }
    return switch (coat) {
      case Coat.Fill fill -> new Coat.Fill(0, fill.corner());
      case Coat.Stroke stroke ->
          new Coat.Stroke(
              stroke.width(),
              StrokePosition.CENTRE,
              0,
              stroke.corner(),
              stroke.cap(),
              stroke.dashing());
    };
  }

  private static double middle(Coat.Stroke stroke) {
    return (stroke.inner() + stroke.outer()) / 2;
  }

  private static void drawPath(Canvas canvas, Path owned, Paint paint) {
    try (owned) {
      paint.setMode(PaintMode.FILL);
      canvas.drawPath(owned, paint);
    }
  }

  private static void dashed(Canvas canvas, Coat.Stroke stroke, Shape shape, Paint paint) {
    try (Path dashes = dashes(stroke, shape)) {
      Edges.setStroke(paint, stroke.width(), stroke.corner(), stroke.cap());
      canvas.drawPath(dashes, paint);
    }
  }

  /** What is kept of dashes along an edge. */
  private enum Laid {
    DASHES,
    MIDDLES
  }

  /** By what it is told from others. */
  private record LaidKey(Laid what, double distance, Coat.Corner corner, Coat.Dashing dashing) {}

  private static Path laid(Laid what, Coat.Stroke stroke, Shape shape, UnaryOperator<Path> along) {
    double middle = middle(stroke);
    return shape.kept(
        new LaidKey(what, middle, stroke.corner(), stroke.dashing()),
        () -> {
          try (Path line = shape.moved(middle, stroke.corner())) {
            return along.apply(line);
          }
        });
  }

  private static Path dashes(Coat.Stroke stroke, Shape shape) {
    return laid(
        Laid.DASHES,
        stroke,
        shape,
        line -> DashLine.along(line, shape.outline(), stroke.dashing()));
  }

  /** The middles of dashes as the points of a line. The caller closes it. */
  private static Path middles(Coat.Stroke stroke, Shape shape) {
    return laid(
        Laid.MIDDLES,
        stroke,
        shape,
        line -> {
          Point[] middles =
              DashLine.middles(line, shape.outline(), stroke.dashing()).toArray(Point[]::new);
          return middles.length == 0 ? new Path() : Path.makePolygon(middles, false);
        });
  }

  /**
   * Strokes the edge, moved or not. Contours that overlap have one edge, or seams would show in
   * joined and variable letters.
   */
  private static void stroke(
      Canvas canvas, Coat.Stroke stroke, Shape shape, Paint paint, boolean covered) {
    Edges.setStroke(paint, stroke.width(), stroke.corner(), stroke.cap());
    boolean outside = stroke.position() == StrokePosition.OUTSIDE;
    if (shape.isOpen()) {
      shape.draw(canvas, paint);
    } else if (covered && outside && stroke.offset() == 0) {
      paint.setStrokeWidth((float) stroke.width() * 2);
      shape.draw(canvas, paint);
    } else {
      try (Path edge = shape.moved(stroke.offset(), stroke.corner())) {
        switch (stroke.position()) {
          case CENTRE -> canvas.drawPath(edge, paint);
          case INSIDE -> clipped(canvas, edge, paint, ClipMode.INTERSECT);
          case OUTSIDE -> clipped(canvas, edge, paint, ClipMode.DIFFERENCE);
        }
      }
    }
  }

  /**
   * A stroke on one side of the edge is a centred one of twice the width of which one half shows.
   */
  private static void clipped(Canvas canvas, Path edge, Paint paint, ClipMode mode) {
    paint.setStrokeWidth(paint.getStrokeWidth() * 2);
    canvas.save();
    canvas.clipPath(edge, mode, true);
    canvas.drawPath(edge, paint);
    canvas.restore();
  }
}
