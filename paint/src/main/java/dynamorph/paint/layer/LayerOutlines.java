package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import dynamorph.paint.artwork.AreaPaint;
import dynamorph.paint.artwork.Mark;
import dynamorph.paint.geometry.DashLine;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.TextLayout;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.Path;
import io.github.humbleui.types.Point;
import java.util.ArrayList;
import java.util.List;

/** The bare geometry of a text: letter contours, moved edges, and the middles of dashes. */
public final class LayerOutlines {
  /** How large the mark of a dash is, in pixels. */
  private static final double DOT = 2;

  /**
   * Colours of the parts.
   *
   * @param contour of letters and plates
   * @param edge of moved edges and the sides of strokes
   * @param dash of the line along which dashes lie, and their middles
   */
  public record Colours(Rgba contour, Rgba edge, Rgba dash) {
    private static final Colours ON_LIGHT =
        new Colours(Rgba.parse("#1b1d22"), Rgba.parse("#3a6ea8"), Rgba.parse("#b0402f"));
    private static final Colours ON_DARK =
        new Colours(Rgba.parse("#f4f2ec"), Rgba.parse("#8db9ea"), Rgba.parse("#f0937f"));

    /** Those that can be told apart from a background. */
    public static Colours on(Rgba background) {
      boolean dark = background.alpha() > 127 && background.luminance() < 0.18;
      return dark ? ON_DARK : ON_LIGHT;
    }
  }

  private final Colours colours;
  private final double pixel;
  private final List<Mark> marks = new ArrayList<>();

  private LayerOutlines(Colours colours, double pixel) {
    this.colours = colours;
    this.pixel = pixel;
  }

  /**
   * The geometry as marks, in points of the layout.
   *
   * @param scale pixels per point, for which lines are as thin as one pixel
   */
  public static List<Mark> marks(
      TextLayout layout, ResolvedLayer look, Colours colours, double scale) {
    LayerOutlines outlines = new LayerOutlines(colours, 1 / scale);
    MaskCache planes = new MaskCache();
    if (look.form().isPresent()) {
      try (Stencil.Shape shape = ShapeGeometry.shape(look.form().get(), layout.box(), planes)) {
        outlines.add(look.finish(), shape);
      }
      return List.copyOf(outlines.marks);
    }
    List<List<Box>> runs =
        look.plate().coats().isEmpty() ? List.of() : PlateGeometry.runs(layout, look);
    if (!runs.isEmpty()) {
      try (Stencil.Shape shape =
          PathShape.plate(runs, look.plate().corners(), layout.axes().isVertical(), planes)) {
        outlines.add(look.plate().finish(), shape);
      }
    }
    OutlineCache known = new OutlineCache();
    LayerPainter.groups(layout, look)
        .forEach((finish, pieces) -> {
          try (FinishedGlyphs letters = new FinishedGlyphs(finish, pieces, layout, known, planes)) {
            outlines.add(finish, letters);
          }
        });
    return List.copyOf(outlines.marks);
  }

  /** Draws the geometry on a canvas that counts in points of the layout. */
  public static void paint(
      Canvas canvas, TextLayout layout, ResolvedLayer look, Colours colours, double scale) {
    for (Mark mark : marks(layout, look, colours, scale)) {
      try (Paint paint = new Paint().setAntiAlias(true)) {
        switch (mark) {
          case Mark.Hairline line -> {
            paint.setColor(line.colour().argb()).setMode(PaintMode.STROKE);
            canvas.drawPath(line.path(), paint.setStrokeWidth((float) line.width()));
          }
          case Mark.Area(Path path, AreaPaint.Plain(Rgba colour), _, _, _) ->
              canvas.drawPath(path, paint.setColor(colour.argb()));
          case Mark.Area _, Mark.Picture _, Mark.Text _, Mark.Placed _, Mark.Group _ -> {}
        }
      }
    }
  }

  private void add(Finish finish, Stencil.Shape shape) {
    line(new Path(shape.outline()), colours.contour);
    for (Coat coat : finish.coats()) {
      switch (coat.shape()) {
        case Coat.Fill fill -> edge(shape, fill.offset(), fill.corner());
        case Coat.Stroke stroke when !stroke.dashing().isSolid() -> dashes(shape, stroke);
        case Coat.Stroke stroke -> {
          edge(shape, stroke.outer(), stroke.corner());
          edge(shape, stroke.inner(), stroke.corner());
        }
      }
    }
  }

  private void edge(Stencil.Shape shape, double distance, Coat.Corner corner) {
    if (distance != 0) {
      line(shape.moved(distance, corner), colours.edge);
    }
  }

  private void dashes(Stencil.Shape shape, Coat.Stroke stroke) {
    Path middle = shape.moved((stroke.inner() + stroke.outer()) / 2, stroke.corner());
    line(middle, colours.dash);
    for (Point point : DashLine.middles(middle, shape.outline(), stroke.dashing())) {
      marks.add(
          new Mark.Area(
              Path.makeCircle(point.getX(), point.getY(), (float) (DOT * pixel)),
              new AreaPaint.Plain(colours.dash),
              Matrix33.IDENTITY,
              1,
              BlendMode.NORMAL));
    }
  }

  private void line(Path path, Rgba colour) {
    marks.add(new Mark.Hairline(path, colour, pixel));
  }
}
