package dynamorph.paint.layer;

import static java.util.Objects.requireNonNullElse;

import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.TextDecorations;
import dynamorph.model.value.Rgba;
import dynamorph.typeset.compose.GlyphRun;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.TextBlob;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.List;

/**
 * The lines under, over and through letters, where the font wants them. Those without a colour of
 * their own take part in the finish of their letters; the others are painted here.
 */
final class DecorationPainter {
  /** How far a line keeps away from letters that cross it, in parts of the font's line width. */
  private static final double CLEARANCE = 1;

  /** What is left of a line between two letters shows from this length on, in the same parts. */
  private static final double SHORTEST = 3;

  private DecorationPainter() {}

  /** The lines at a run that belong to its finish. */
  static List<Rect> inFinish(GlyphShape.Placed placed, CharacterLook look) {
    TextDecorations lines = look.lines();
    return lines.any() && lines.colour().isEmpty()
        ? all(placed, lines, look.type().language())
        : List.of();
  }

  /** A line that has its own colour. */
  record Coloured(Rect rect, Rgba colour) {}

  /**
   * The lines that have their own colour.
   *
   * @param through whether the lines through letters are wanted, or the others
   */
  static List<Coloured> coloured(TextLayout layout, ResolvedLayer look, boolean through) {
    List<Coloured> coloured = new ArrayList<>();
    for (Line line : layout.shownLines()) {
      for (GlyphRun run : line.runs()) {
        CharacterLook own = look.paragraphs().get(line.paragraph()).spans().get(run.span());
        TextDecorations lines = own.lines();
        if (lines.colour().isPresent()) {
          TextDecorations wanted =
              new TextDecorations(
                  lines.under() && !through,
                  lines.over() && !through,
                  lines.through() && through,
                  lines.shift(),
                  lines.width(),
                  lines.skipsInk(),
                  lines.colour());
          all(new GlyphShape.Placed(run, line), wanted, own.type().language())
              .forEach(rect -> coloured.add(new Coloured(rect, lines.colour().get())));
        }
      }
    }
    return coloured;
  }

  /** Paints the lines that have their own colour. */
  static void paint(Canvas canvas, TextLayout layout, ResolvedLayer look, boolean through) {
    for (Coloured line : coloured(layout, look, through)) {
      try (Paint paint = new Paint().setAntiAlias(true).setColor(line.colour().argb())) {
        canvas.drawRect(line.rect(), paint);
      }
    }
  }

  /** The box around all lines of a layout; empty if there are none. */
  static Box bounds(TextLayout layout, ResolvedLayer look) {
    Box bounds = Box.EMPTY;
    for (Line line : layout.shownLines()) {
      for (GlyphRun run : line.runs()) {
        CharacterLook own = look.paragraphs().get(line.paragraph()).spans().get(run.span());
        if (own.lines().any()) {
          String language = own.type().language();
          for (Rect rect : all(new GlyphShape.Placed(run, line), own.lines(), language)) {
            Box box = new Box(rect.getLeft(), rect.getTop(), rect.getWidth(), rect.getHeight());
            bounds = bounds == Box.EMPTY ? box : bounds.with(box);
          }
        }
      }
    }
    return bounds;
  }

  private static List<Rect> all(GlyphShape.Placed placed, TextDecorations lines, String language) {
    if (placed.line().axes().isVertical()) {
      return beside(placed, lines, language);
    }
    List<Rect> rects = new ArrayList<>();
    FontFace.LineMetrics font = placed.run().face().lines();
    if (lines.under()) {
      add(rects, placed, lines, font.underline(), font.underlineWidth());
    }
    if (lines.over()) {
      add(rects, placed, lines, placed.run().face().ascent(), font.underlineWidth());
    }
    if (lines.through()) {
      TextDecorations whole =
          new TextDecorations(
              false, false, true, lines.shift(), lines.width(), false, lines.colour());
      add(rects, placed, whole, font.strike(), font.strikeWidth());
    }
    return rects;
  }

  /**
   * The lines of a vertical run, whole, since beside squares there is no ink: along the squares of
   * its letters, the underline on the left, in Japanese and Korean on the right (CSS Text
   * Decoration 3, 2.6), the overline at the other side.
   */
  private static List<Rect> beside(GlyphShape.Placed placed, TextDecorations own, String language) {
    FontFace.LineMetrics font = placed.run().face().lines();
    double width = font.underlineWidth();
    int side = language.matches("(ja|ko)(-.*)?") ? 1 : -1;
    // an offset leads away from the letters at the side of the underline
    TextDecorations lines =
        new TextDecorations(
            own.under(),
            own.over(),
            own.through(),
            -side * own.shift(),
            own.width(),
            false,
            own.colour());
    List<Rect> rects = new ArrayList<>();
    if (lines.under()) {
      add(rects, placed, lines, width / 2 + side * (0.5 + width), width);
    }
    if (lines.over()) {
      add(rects, placed, lines, width / 2 - side * (0.5 + width), width);
    }
    if (lines.through()) {
      add(rects, placed, lines, font.strikeWidth() / 2, font.strikeWidth());
    }
    return rects;
  }

  /**
   * @param top of the line above the baseline, in em
   * @param em width of the line, in em
   */
  private static void add(
      List<Rect> rects, GlyphShape.Placed placed, TextDecorations lines, double top, double em) {
    GlyphRun run = placed.run();
    Line line = placed.line();
    if (run.left().length == 0) {
      return;
    }
    double width = em * run.size() * lines.width();
    // a line grows around its middle
    double middle = line.baseline() - (top - em / 2) * run.size() + lines.shift();
    double from = Math.max(line.left(), line.x() + least(run.left()));
    double to = Math.min(line.left() + line.width(), line.x() + most(run.right()));
    float y = (float) (middle - width / 2);
    double at = from;
    double thin = Math.min(width, em * run.size());
    double shortest = 0;
    float[] crossings = lines.skipsInk() ? crossings(placed, y, (float) (y + width)) : new float[0];
    for (int index = 0; index + 1 < crossings.length; index += 2) {
      shortest = SHORTEST * thin;
      addPart(rects, line, at, crossings[index] - CLEARANCE * thin, y, width, shortest);
      at = Math.max(at, crossings[index + 1] + CLEARANCE * thin);
    }
    addPart(rects, line, at, to, y, width, shortest);
  }

  private static double least(float[] edges) {
    return Math.min(edges[0], edges[edges.length - 1]);
  }

  private static double most(float[] edges) {
    return Math.max(edges[0], edges[edges.length - 1]);
  }

  private static void addPart(
      List<Rect> rects, Line line, double from, double to, float y, double width, double shortest) {
    if (to - from > shortest) {
      Box box = line.axes().box(new Box(from, y, to - from, width));
      rects.add(
          Rect.makeXYWH(
              (float) box.x(), (float) box.y(), (float) box.width(), (float) box.height()));
    }
  }

  @SuppressWarnings("NullAway") // the library says of each float what it means of the array
  private static float[] crossings(GlyphShape.Placed placed, float top, float bottom) {
    try (GlyphShape ink = new GlyphShape(List.of(placed), List.of())) {
      TextBlob letters = ink.text();
      if (letters == null) {
        return new float[0];
      }
      // the form without a paint calls itself for ever
      return requireNonNullElse(letters.getIntercepts(top, bottom, null), new float[0]);
    }
  }
}
