package dynamorph.paint.layer;

import dynamorph.typeset.compose.GlyphRun;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import io.github.humbleui.skija.Font;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.RSXform;
import io.github.humbleui.skija.TextBlob;
import io.github.humbleui.skija.TextBlobBuilder;
import io.github.humbleui.types.Point;
import io.github.humbleui.types.Rect;
import java.util.List;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * Some glyphs of a layout as something to draw: as text for fills and centred strokes, as an
 * outline for what needs the letter edge. Each form is made when first asked for. Close it after
 * use.
 */
final class GlyphShape implements AutoCloseable {
  /** A glyph run and the line it lies on. */
  record Placed(GlyphRun run, Line line) {
    /** Whether the glyphs are turned by 90 degrees clockwise, with their line. */
    boolean isTurned() {
      return line.axes().isVertical() && !run.upright();
    }

    private double along(int glyph) {
      return line.x() + run.x()[glyph];
    }

    private double across(int glyph) {
      return line.baseline() + run.y()[glyph];
    }

    /** Where the origin of a glyph lies, in points of the layout. */
    Point origin(int glyph) {
      double along = along(glyph);
      double across = across(glyph);
      return new Point((float) line.axes().x(along, across), (float) line.axes().y(along, across));
    }
  }

  private final List<Placed> runs;
  private final List<Rect> rules;
  private @Nullable TextBlob blob;
  private @Nullable Path outline;

  /**
   * @param rules lines at the letters that are drawn like them
   */
  GlyphShape(List<Placed> runs, List<Rect> rules) {
    this.runs = runs;
    this.rules = rules;
  }

  /** Lines at the letters that are drawn like them. */
  List<Rect> rules() {
    return rules;
  }

  /** The glyphs as text, or null if nothing among them draws. */
  @Nullable TextBlob text() {
    if (blob == null) {
      try (TextBlobBuilder builder = new TextBlobBuilder()) {
        for (Placed placed : runs) {
          try (Font font = font(placed.run())) {
            if (placed.isTurned()) {
              builder.appendRunRSXform(font, placed.run().glyphs(), turned(placed));
            } else {
              builder.appendRunPos(font, placed.run().glyphs(), points(placed));
            }
          }
        }
        blob = builder.build();
      }
    }
    return blob;
  }

  /**
   * From this many pixels an em on, filling contours takes less time than laying masks on each
   * other.
   */
  private static final double LARGE = 80;

  /**
   * Whether it is better drawn as an outline than as text: if it is large, and if it is turned,
   * since masks of turned glyphs do not always come out the same.
   */
  boolean isBetterAsOutline(EffectGrid grid) {
    double least = grid.isTurned() || runs.stream().anyMatch(Placed::isTurned) ? 0 : LARGE;
    return runs.stream()
        .map(Placed::run)
        .allMatch(run -> run.size() * grid.scale() >= least && !run.face().isColourful());
  }

  /** The contours of all glyphs. */
  Path outline() {
    if (outline == null) {
      try (PathBuilder builder = new PathBuilder()) {
        contours(builder::addPath);
        outline = builder.detach();
      }
    }
    return outline;
  }

  /** The contours of each glyph and each line, in their place; closed afterwards. */
  void contours(Consumer<Path> taker) {
    for (Placed placed : runs) {
      glyphs(placed, taker);
    }
    for (Rect rule : rules) {
      try (Path path = Path.makeRect(rule)) {
        taker.accept(path);
      }
    }
  }

  private static void glyphs(Placed placed, Consumer<Path> taker) {
    GlyphRun run = placed.run();
    try (Font font = font(run)) {
      for (int index = 0; index < run.glyphs().length; index++) {
        try (Path glyph = font.getPath(run.glyphs()[index])) {
          if (glyph != null && !glyph.isEmpty() && glyph.isFinite()) {
            Point at = placed.origin(index);
            try (Path path =
                placed.isTurned()
                    ? glyph.makeTransform(new Matrix33(0, -1, at.getX(), 1, 0, at.getY(), 0, 0, 1))
                    : glyph.makeOffset(at.getX(), at.getY())) {
              taker.accept(path);
            }
          }
        }
      }
    }
  }

  private static Point[] points(Placed placed) {
    Point[] points = new Point[placed.run().glyphs().length];
    for (int index = 0; index < points.length; index++) {
      points[index] = placed.origin(index);
    }
    return points;
  }

  private static RSXform[] turned(Placed placed) {
    RSXform[] places = new RSXform[placed.run().glyphs().length];
    for (int index = 0; index < places.length; index++) {
      Point at = placed.origin(index);
      places[index] = new RSXform(0, 1, at.getX(), at.getY());
    }
    return places;
  }

  private static Font font(GlyphRun run) {
    Font font = run.face().font((float) run.size());
    if (run.stretch() != 1) {
      font.setScaleX((float) run.stretch());
    }
    return run.skew() != 0 ? font.setSkewX((float) -run.skew()) : font;
  }

  /**
   * The box around the contours of a run's glyphs, in points of the layout; empty if it draws
   * nothing.
   */
  static Box bounds(Placed placed) {
    GlyphRun run = placed.run();
    Box bounds = null;
    try (Font font = font(run)) {
      Rect[] rects = font.getBounds(run.glyphs());
      for (int index = 0; index < rects.length; index++) {
        Rect rect = rects[index];
        if (rect.getWidth() > 0 && rect.getHeight() > 0) {
          Box glyph = box(placed, index, rect);
          bounds = bounds == null ? glyph : bounds.with(glyph);
        }
      }
    }
    return bounds == null ? Box.EMPTY : bounds;
  }

  private static Box box(Placed placed, int glyph, Rect ofGlyph) {
    Point at = placed.origin(glyph);
    return placed.isTurned()
        ? new Box(
            at.getX() - ofGlyph.getBottom(),
            at.getY() + ofGlyph.getLeft(),
            ofGlyph.getHeight(),
            ofGlyph.getWidth())
        : new Box(
            at.getX() + ofGlyph.getLeft(),
            at.getY() + ofGlyph.getTop(),
            ofGlyph.getWidth(),
            ofGlyph.getHeight());
  }

  /** The box around the contours of the first glyph of a run that draws anything. */
  static Box firstGlyph(Placed placed) {
    Box[] first = {Box.EMPTY};
    glyphs(
        placed,
        path -> {
          if (first[0] == Box.EMPTY) {
            Rect rect = path.computeTightBounds();
            first[0] = new Box(rect.getLeft(), rect.getTop(), rect.getWidth(), rect.getHeight());
          }
        });
    return first[0];
  }

  @Override
  public void close() {
    if (blob != null) {
      blob.close();
    }
    if (outline != null) {
      outline.close();
    }
  }
}
