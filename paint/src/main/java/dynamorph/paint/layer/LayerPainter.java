package dynamorph.paint.layer;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.Plate;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.ResolvedShape;
import dynamorph.model.property.Address;
import dynamorph.model.value.PaintBounds;
import dynamorph.typeset.compose.GlyphRun;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import io.github.humbleui.skija.Canvas;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.ObjIntConsumer;

/** Paints a layout in the looks of its layer, in points of the layout. Safe on any thread. */
public final class LayerPainter {
  /** The ink of a layout does not change, so it is measured once; gone when the layout is. */
  private final Cache<TextLayout, Box> inkBounds = Caffeine.newBuilder().weakKeys().build();

  private final MaskCache planes = new MaskCache();

  private final Cache<TextLayout, OutlineCache> known = Caffeine.newBuilder().weakKeys().build();

  /**
   * Paints the plate and the letters, or the shape. A fixed box hides the lines that do not fit.
   */
  public void paint(Canvas canvas, TextLayout layout, ResolvedLayer look) {
    if (look.form().isPresent()) {
      paintFigure(canvas, layout, look, look.form().get());
      return;
    }
    paintPlate(canvas, layout, look);
    DecorationPainter.paint(canvas, layout, look, false);
    OutlineCache outlines = known.get(layout, _ -> new OutlineCache());
    List<FinishedGlyphs> all = new ArrayList<>();
    try {
      groups(layout, look)
          .forEach((finish, pieces) ->
              all.add(new FinishedGlyphs(finish, pieces, layout, outlines, planes)));
      all.stream()
          .filter(letters -> letters.finish().isLoose())
          .forEach(letters -> letters.prepare(canvas));
      inOrder(
          all,
          letters -> letters.paintWhole(canvas),
          (letters, rank) -> letters.paint(canvas, rank));
    } finally {
      all.forEach(FinishedGlyphs::close);
    }
    DecorationPainter.paint(canvas, layout, look, true);
  }

  /**
   * Goes through letters as they are painted: those whose coats have something together as a whole,
   * the others rank by rank, so that no word's lowest coat lies over its neighbour's letters.
   */
  static void inOrder(
      List<FinishedGlyphs> all,
      Consumer<FinishedGlyphs> whole,
      ObjIntConsumer<FinishedGlyphs> coat) {
    all.stream().filter(letters -> !letters.finish().isLoose()).forEach(whole);
    List<FinishedGlyphs> mixed =
        all.stream().filter(letters -> letters.finish().isLoose()).toList();
    int ranks = mixed.stream().mapToInt(one -> one.finish().coats().size()).max().orElse(0);
    for (int rank = 0; rank < ranks; rank++) {
      for (FinishedGlyphs letters : mixed) {
        if (rank < letters.finish().coats().size()) {
          coat.accept(letters, rank);
        }
      }
    }
  }

  /** The box around everything that is painted, effects included, in points of the layout. */
  public Box bounds(TextLayout layout, ResolvedLayer look) {
    if (look.form().isPresent()) {
      return InkOverflow.of(layout.box(), layout.box(), look.finish());
    }
    Box letters = inkBounds.get(layout, LayerPainter::measure);
    Box rules = DecorationPainter.bounds(layout, look);
    letters = rules == Box.EMPTY ? letters : letters == Box.EMPTY ? rules : letters.with(rules);
    Box bounds = letters;
    for (ResolvedLayer.ResolvedParagraph paragraph : look.paragraphs()) {
      for (var span : paragraph.spans()) {
        bounds = bounds.with(InkOverflow.of(letters, layout.content(), span.finish()));
      }
    }
    Box painted = bounds;
    return plateBox(layout, look)
        .map(plate -> InkOverflow.of(plate, plate, look.plate().finish()))
        .map(painted::with)
        .orElse(painted);
  }

  /** How far what is painted can reach around letters in a box, plate and effects included. */
  public static Box reach(Box letters, ResolvedLayer look) {
    Box reach = letters;
    for (ResolvedLayer.ResolvedParagraph paragraph : look.paragraphs()) {
      for (var span : paragraph.spans()) {
        reach = reach.with(InkOverflow.of(letters, letters, span.finish()));
      }
    }
    if (!look.plate().coats().isEmpty()) {
      var padding = look.plate().padding();
      double most =
          Math.max(
              Math.max(Math.abs(padding.left()), Math.abs(padding.right())),
              Math.max(Math.abs(padding.above()), Math.abs(padding.below())));
      Box plate = letters.grown(most + look.plate().leastWidth(), most);
      reach = reach.with(InkOverflow.of(plate, plate, look.plate().finish()));
    }
    return reach;
  }

  /** The box around the plate, in points of the layout, if there is one. */
  public static Optional<Box> plateBox(TextLayout layout, ResolvedLayer look) {
    return look.plate().coats().isEmpty()
        ? Optional.empty()
        : PlateGeometry.runs(layout, look).stream().flatMap(List::stream).reduce(Box::with);
  }

  /**
   * The box that a paint is fitted to, the first if there are several.
   *
   * @param host whose coat is painted: {@link Address#FINISH} or {@link Address#PLATE}
   */
  public static Optional<Box> paintBox(
      TextLayout layout, ResolvedLayer look, String host, PaintBounds fit) {
    if (look.form().isPresent()) {
      return Optional.of(layout.box());
    }
    if (host.equals(Address.PLATE)) {
      return look.plate().coats().isEmpty()
          ? Optional.empty()
          : PlateGeometry.runs(layout, look).stream()
              .map(run -> run.stream().reduce(Box::with).orElse(Box.EMPTY))
              .reduce((one, other) -> fit == PaintBounds.LAYER ? one.with(other) : one);
    }
    return switch (fit) {
      case LAYER -> Optional.of(layout.content());
      case LINE -> layout.shownLines().stream().map(Line::box).findFirst();
      case PARAGRAPH ->
          layout.shownLines().stream()
              .filter(line -> line.paragraph() == layout.lines().getFirst().paragraph())
              .map(Line::box)
              .reduce(Box::with);
      case GLYPH ->
          layout.shownLines().stream()
              .flatMap(line -> line.runs().stream().map(run -> new GlyphShape.Placed(run, line)))
              .map(GlyphShape::firstGlyph)
              .filter(box -> box.width() > 0)
              .findFirst();
    };
  }

  private static Box measure(TextLayout layout) {
    Box bounds = null;
    for (Line line : layout.shownLines()) {
      for (GlyphRun run : line.runs()) {
        Box ink = GlyphShape.bounds(new GlyphShape.Placed(run, line));
        if (ink != Box.EMPTY) {
          bounds = bounds == null ? ink : bounds.with(ink);
        }
      }
    }
    return bounds == null ? Box.EMPTY : bounds;
  }

  /** The letters by the finish they have, in the order in which they are first met. */
  static Map<Finish, List<FinishedGlyphs.Piece>> groups(TextLayout layout, ResolvedLayer look) {
    Map<Finish, List<FinishedGlyphs.Piece>> groups = new LinkedHashMap<>();
    for (Line line : layout.shownLines()) {
      for (GlyphRun run : line.runs()) {
        CharacterLook own = look.paragraphs().get(line.paragraph()).spans().get(run.span());
        GlyphShape.Placed placed = new GlyphShape.Placed(run, line);
        groups
            .computeIfAbsent(own.finish(), _ -> new ArrayList<>())
            .add(new FinishedGlyphs.Piece(placed, DecorationPainter.inFinish(placed, own)));
      }
    }
    return groups;
  }

  private void paintFigure(
      Canvas canvas, TextLayout layout, ResolvedLayer look, ResolvedShape form) {
    try (Stencil.Shape shape = ShapeGeometry.shape(form, layout.box(), planes)) {
      FinishBrush.paint(canvas, ShapeGeometry.finish(look, form, layout.box()), shape);
    }
  }

  private void paintPlate(Canvas canvas, TextLayout layout, ResolvedLayer look) {
    Plate plate = look.plate();
    if (plate.coats().isEmpty()) {
      return;
    }
    List<List<Box>> runs = PlateGeometry.runs(layout, look);
    if (runs.isEmpty()) {
      return;
    }
    try (Stencil.Shape shape =
        PathShape.plate(runs, plate.corners(), layout.axes().isVertical(), planes)) {
      FinishBrush.paint(canvas, plate.finish(), shape);
    }
  }
}
