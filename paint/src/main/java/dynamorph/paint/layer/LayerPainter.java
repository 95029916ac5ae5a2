package dynamorph.paint.layer;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.Plate;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.typeset.compose.GlyphRun;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.TextBlob;
import io.github.humbleui.types.RRect;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Paints a layout in the looks of its layer, in points of the layout. Safe on any thread. */
public final class LayerPainter {
  /** The ink of a layout does not change, so it is measured once; gone when the layout is. */
  private final Cache<TextLayout, Box> inkBounds = Caffeine.newBuilder().weakKeys().build();

  /** Paints the plate and the letters. A fixed box hides the lines that do not fit. */
  public void paint(Canvas canvas, TextLayout layout, ResolvedLayer look) {
    paintPlate(canvas, layout, look.plate());
    Rules.paint(canvas, layout, look, false);
    Map<Finish, Group> groups = groups(layout, look);
    List<Letters> letters = new ArrayList<>();
    try {
      groups.forEach((finish, group) -> letters.add(new Letters(finish, group)));
      int ranks = letters.stream().mapToInt(group -> group.finish.coats().size()).max().orElse(0);
      // rank by rank, so that no word's lowest coat lies over its neighbour's letters
      for (int rank = 0; rank < ranks; rank++) {
        for (Letters group : letters) {
          group.paint(canvas, rank);
        }
      }
    } finally {
      letters.forEach(Letters::close);
    }
    Rules.paint(canvas, layout, look, true);
  }

  /** The box around everything that is painted, effects included, in points of the layout. */
  public Box bounds(TextLayout layout, ResolvedLayer look) {
    Box letters = inkBounds.get(layout, LayerPainter::measure);
    Box rules = Rules.bounds(layout, look);
    letters = rules == Box.EMPTY ? letters : letters == Box.EMPTY ? rules : letters.with(rules);
    Box bounds = letters;
    for (ResolvedLayer.ResolvedParagraph paragraph : look.paragraphs()) {
      for (var span : paragraph.spans()) {
        bounds = bounds.with(Reach.of(letters, span.finish().coats()));
      }
    }
    return look.plate().coats().isEmpty()
        ? bounds
        : bounds.with(Reach.of(plateBox(layout, look.plate()), look.plate().coats()));
  }

  /** The box of the plate, in points of the layout. */
  public static Box plateBox(TextLayout layout, Plate plate) {
    return layout.content().grown(plate.paddingAcross(), plate.paddingAlong());
  }

  private static Box measure(TextLayout layout) {
    Box bounds = null;
    for (Line line : layout.shownLines()) {
      for (GlyphRun run : line.runs()) {
        Box ink = Ink.bounds(new Ink.Placed(run, line));
        if (ink != Box.EMPTY) {
          bounds = bounds == null ? ink : bounds.with(ink);
        }
      }
    }
    return bounds == null ? Box.EMPTY : bounds;
  }

  /** Runs of one finish, and the lines at them that are painted like them. */
  private record Group(List<Ink.Placed> runs, List<Rect> rules) {}

  private static Map<Finish, Group> groups(TextLayout layout, ResolvedLayer look) {
    Map<Finish, Group> groups = new LinkedHashMap<>();
    for (Line line : layout.shownLines()) {
      for (GlyphRun run : line.runs()) {
        CharacterLook own = look.paragraphs().get(line.paragraph()).spans().get(run.span());
        Group group =
            groups.computeIfAbsent(
                own.finish(), _ -> new Group(new ArrayList<>(), new ArrayList<>()));
        Ink.Placed placed = new Ink.Placed(run, line);
        group.runs.add(placed);
        group.rules.addAll(Rules.inFinish(placed, own.lines()));
      }
    }
    return groups;
  }

  private static void paintPlate(Canvas canvas, TextLayout layout, Plate plate) {
    if (plate.coats().isEmpty()) {
      return;
    }
    try (PlateShape shape = new PlateShape(plateBox(layout, plate), plate.radius())) {
      for (int rank = 0; rank < plate.coats().size(); rank++) {
        CoatBrush.paint(canvas, plate.coats().get(rank), shape, isCovered(plate.coats(), rank));
      }
    }
  }

  private static boolean isCovered(List<Coat> coats, int rank) {
    return coats.subList(rank + 1, coats.size()).stream()
        .anyMatch(coat -> coat instanceof Coat.Fill && coat.colour().alpha() == 255);
  }

  /** Letters of one finish. */
  private static final class Letters implements CoatBrush.Shape, AutoCloseable {
    private final Finish finish;
    private final Ink ink;
    private final List<Ink.Placed> runs;
    private Box bounds;

    Letters(Finish finish, Group group) {
      this.finish = finish;
      this.runs = group.runs;
      this.ink = new Ink(group.runs, group.rules);
    }

    void paint(Canvas canvas, int rank) {
      if (rank < finish.coats().size()) {
        CoatBrush.paint(canvas, finish.coats().get(rank), this, isCovered(finish.coats(), rank));
      }
    }

    @Override
    public void draw(Canvas canvas, Paint paint) {
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
    public Box bounds() {
      if (bounds == null) {
        bounds = runs.stream().map(Ink::bounds).reduce(Box::with).orElse(Box.EMPTY);
      }
      return bounds;
    }

    @Override
    public void close() {
      ink.close();
    }
  }

  /** A rounded box. */
  private static final class PlateShape implements CoatBrush.Shape, AutoCloseable {
    private final Box box;
    private final RRect rounded;
    private Path outline;

    PlateShape(Box box, double radius) {
      this.box = box;
      float most = (float) Math.min(radius, Math.min(box.width(), box.height()) / 2);
      this.rounded =
          RRect.makeXYWH(
              (float) box.x(), (float) box.y(), (float) box.width(), (float) box.height(), most);
    }

    @Override
    public void draw(Canvas canvas, Paint paint) {
      canvas.drawRRect(rounded, paint);
    }

    @Override
    public Path outline() {
      if (outline == null) {
        outline = Path.makeRRect(rounded);
      }
      return outline;
    }

    @Override
    public Box bounds() {
      return box;
    }

    @Override
    public void close() {
      if (outline != null) {
        outline.close();
      }
    }
  }
}
