package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Finish;
import dynamorph.model.value.PaintBounds;
import dynamorph.paint.geometry.Edges;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.TextBlob;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Letters of one finish, and the lines at them that are painted like them. Close it after use. */
final class FinishedGlyphs implements Stencil.Shape {
  /**
   * A run of letters.
   *
   * @param rules lines at it
   */
  record Piece(GlyphShape.Placed placed, List<Rect> rules) {}

  /** By what a moved edge is told from others of the layout. */
  private record MovedKey(List<Piece> pieces, double distance, Coat.Corner corner) {}

  private static final Coat.Corner UNTURNED =
      new Coat.Corner(dynamorph.model.value.StrokeJoin.MITER, 4);

  private final Finish finish;
  private final List<Piece> pieces;
  private final TextLayout layout;
  private final OutlineCache outlines;
  private final MaskCache planes;
  private final GlyphShape ink;
  private final List<Stencil.Shape> parts = new ArrayList<>();
  private final Map<PaintBounds, List<Stencil.Part>> partings = new EnumMap<>(PaintBounds.class);
  private @Nullable Box bounds;
  private CoatPrefetch ahead = CoatPrefetch.NOTHING;

  FinishedGlyphs(
      Finish finish,
      List<Piece> pieces,
      TextLayout layout,
      OutlineCache outlines,
      MaskCache planes) {
    this.planes = planes;
    this.finish = finish;
    this.pieces = pieces;
    this.layout = layout;
    this.outlines = outlines;
    this.ink =
        new GlyphShape(
            pieces.stream().map(Piece::placed).toList(),
            pieces.stream().flatMap(piece -> piece.rules.stream()).toList());
  }

  Finish finish() {
    return finish;
  }

  /** Lines at the letters that are painted like them. */
  List<Rect> rules() {
    return ink.rules();
  }

  /** Whether any of its fonts has colours of its own. */
  boolean isColourful() {
    return pieces.stream().anyMatch(piece -> piece.placed.run().face().isColourful());
  }

  /** Whether documents may have its letters as text. */
  boolean mayBeEmbedded() {
    return pieces.stream().allMatch(piece -> piece.placed.run().face().mayBeEmbedded());
  }

  /** The boxes around the contours of each run that draws anything. */
  List<Box> inks() {
    return pieces.stream()
        .map(piece -> GlyphShape.bounds(piece.placed))
        .filter(box -> box != Box.EMPTY)
        .toList();
  }

  /** The boxes that coats and effects on each run reach. */
  List<Box> reaches() {
    return inks().stream().map(box -> InkOverflow.of(box, layout.content(), finish)).toList();
  }

  /** Begins to work out what takes some time. */
  void prepare(Canvas canvas) {
    ahead = FinishBrush.ahead(canvas, finish, this);
  }

  /** Paints one coat. */
  void paint(Canvas canvas, int rank) {
    ahead.finish(rank);
    FinishBrush.paint(canvas, finish, rank, this);
  }

  /** Paints all coats and the effects of them together. */
  void paintWhole(Canvas canvas) {
    FinishBrush.paint(canvas, finish, this);
  }

  @Override
  public void draw(Canvas canvas, Paint paint) {
    if (ink.isBetterAsOutline(EffectGrid.of(canvas))) {
      canvas.drawPath(ink.outline(), paint);
      return;
    }
    TextBlob text = ink.text();
    if (text != null) {
      canvas.drawTextBlob(text, 0, 0, paint);
    }
    ink.rules().forEach(rule -> canvas.drawRect(rule, paint));
  }

  @Override
  public Path outline() {
    return ink.outline();
  }

  @Override
  public Path moved(double distance, Coat.Corner corner) {
    // where nothing is moved no corner is turned
    Coat.Corner turned = distance == 0 ? UNTURNED : corner;
    return outlines.get(new MovedKey(pieces, distance, turned), () -> move(distance, turned));
  }

  @Override
  public Path kept(Object key, Supplier<Path> maker) {
    return outlines.get(List.of(pieces, key), maker);
  }

  @Override
  public Stencil.Shape again() {
    return new FinishedGlyphs(finish, pieces, layout, outlines, planes);
  }

  /** In few letters all contours are moved at once: the work grows faster than their number. */
  private static final int FEW = 600;

  /** Each contour is moved alone; only those that then meet are united. */
  private Path move(double distance, Coat.Corner corner) {
    if (outline().getVerbsCount() < FEW) {
      if (distance == 0) {
        return Edges.united(outline());
      }
      try (Path united = moved(0, UNTURNED)) {
        return Edges.movedUnited(united, distance, corner);
      }
    }
    List<Path> moved = new ArrayList<>();
    ink.contours(glyph -> moved.add(Edges.moved(glyph, distance, corner)));
    return Clusters.united(moved);
  }

  @Override
  public Box bounds() {
    if (bounds == null) {
      bounds =
          pieces.stream()
              .map(piece -> GlyphShape.bounds(piece.placed))
              .reduce(Box::with)
              .orElse(Box.EMPTY);
      for (Rect rule : ink.rules()) {
        Box box = new Box(rule.getLeft(), rule.getTop(), rule.getWidth(), rule.getHeight());
        bounds = bounds == Box.EMPTY ? box : bounds.with(box);
      }
    }
    return bounds;
  }

  @Override
  public List<Stencil.Part> parts(PaintBounds fit) {
    List<Stencil.Part> parted = partings.get(fit);
    if (parted == null) {
      parted = parted(fit);
      partings.put(fit, parted);
    }
    return parted;
  }

  private List<Stencil.Part> parted(PaintBounds fit) {
    return switch (fit) {
      case LAYER -> List.of(new Stencil.Part(this, layout.content()));
      case PARAGRAPH -> byLine(Line::paragraph);
      case LINE -> byLine(line -> line);
      case GLYPH -> {
        List<Stencil.Part> glyphs = new ArrayList<>();
        ink.contours(glyph -> {
          PathShape shape = PathShape.copyOf(glyph, planes);
          parts.add(shape);
          glyphs.add(new Stencil.Part(shape, shape.bounds()));
        });
        yield glyphs;
      }
    };
  }

  private List<Stencil.Part> byLine(Function<Line, Object> group) {
    Map<Object, List<Piece>> grouped = new LinkedHashMap<>();
    for (Piece piece : pieces) {
      grouped.computeIfAbsent(group.apply(piece.placed.line()), _ -> new ArrayList<>()).add(piece);
    }
    List<Stencil.Part> lines = new ArrayList<>();
    grouped.forEach((key, own) -> {
      FinishedGlyphs letters = new FinishedGlyphs(finish, own, layout, outlines, planes);
      parts.add(letters);
      Box box =
          layout.shownLines().stream()
              .filter(line -> group.apply(line).equals(key))
              .map(Line::box)
              .reduce(Box::with)
              .orElse(Box.EMPTY);
      lines.add(new Stencil.Part(letters, box));
    });
    return lines;
  }

  /** The outlines stand for the layout, on whose boxes paints depend. */
  @Override
  public Object identity() {
    return List.of(outlines, pieces);
  }

  @Override
  public MaskCache planes() {
    return planes;
  }

  @Override
  public boolean keepsEdges() {
    return true;
  }

  @Override
  public boolean isOpen() {
    return false;
  }

  @Override
  public boolean overlaps() {
    return true;
  }

  @Override
  public void close() {
    ahead.close();
    ink.close();
    parts.forEach(Stencil.Shape::close);
  }
}
