package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Finish;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.PaintBounds;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorFilter;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Shader;
import io.github.humbleui.types.Rect;
import java.util.List;

/** Paints all coats of a finish on a shape. */
final class FinishBrush {
  private FinishBrush() {}

  /**
   * Paints the coats from the lowest to the highest, and the effects of them together, masked and
   * mixed with what lies below as one.
   */
  static void paint(Canvas canvas, Finish finish, Stencil.Shape shape) {
    if (finish.group().isPlain()) {
      paintAll(canvas, finish, shape);
      return;
    }
    try (Paint layer =
        Blends.set(
            new Paint().setAlphaf((float) finish.group().opacity()), finish.group().blend())) {
      canvas.saveLayer(around(finish, shape), layer);
      paintMasked(canvas, finish, shape);
      canvas.restore();
    }
  }

  private static Rect around(Finish finish, Stencil.Shape shape) {
    return CoatBrush.rect(reach(finish, shape).grown(1, 1));
  }

  /** The box that coats and effects reach, in points. */
  static Box reach(Finish finish, Stencil.Shape shape) {
    return InkOverflow.of(shape.bounds(), box(shape), finish);
  }

  private static Box box(Stencil.Shape shape) {
    return shape.parts(PaintBounds.LAYER).getFirst().box();
  }

  /** Paints coats and effects as far as the mask lets them show, over nothing. */
  static void paintMasked(Canvas canvas, Finish finish, Stencil.Shape shape) {
    paintAll(canvas, finish, shape);
    if (finish.group().mask().isEmpty()) {
      return;
    }
    double scale = EffectGrid.of(canvas).scale();
    try (Shader shader = shader(finish.group().mask().get(), box(shape), scale);
        Paint mask =
            new Paint()
                .setShader(shader)
                .setColorFilter(ColorFilter.getLuma())
                .setBlendMode(io.github.humbleui.skija.BlendMode.DST_IN)) {
      canvas.drawRect(around(finish, shape), mask);
    }
  }

  private static Shader shader(dynamorph.model.cascade.Paint paint, Box box, double scale) {
    return switch (paint) {
      case dynamorph.model.cascade.Paint.Gradient gradient -> GradientShaders.of(gradient, box);
      case dynamorph.model.cascade.Paint.Pattern pattern -> PatternShaders.of(pattern, box, scale);
      case dynamorph.model.cascade.Paint.Solid solid -> Shader.makeColor(solid.colour().argb());
    };
  }

  private static void paintAll(Canvas canvas, Finish finish, Stencil.Shape shape) {
    if (finish.effects().isEmpty()) {
      paintCoats(canvas, finish, shape);
    } else {
      EffectBrush.paint(canvas, new Whole(finish, shape), finish.effects(), 1, BlendMode.NORMAL);
    }
  }

  private static void paintCoats(Canvas canvas, Finish finish, Stencil.Shape shape) {
    try (CoatPrefetch ahead = ahead(canvas, finish, shape)) {
      for (int rank = 0; rank < finish.coats().size(); rank++) {
        ahead.finish(rank);
        paint(canvas, finish, rank, shape);
      }
    }
  }

  /** With fewer pixels than this, asking another thread takes longer than it helps. */
  static final long WORTH_SHARING = 200_000;

  /**
   * Begins to work out what takes some time: coats that then only need be copied, and edges that
   * then only need be drawn.
   */
  static CoatPrefetch ahead(Canvas canvas, Finish finish, Stencil.Shape shape) {
    CoatPrefetch.Builder missing = new CoatPrefetch.Builder();
    long pixels = 0;
    for (int rank = 0; rank < finish.coats().size(); rank++) {
      CoatBrush.Subject subject = subject(finish, rank, shape);
      CachedCoat kept = CachedCoat.of(canvas, subject);
      if (kept == null) {
        int own = rank;
        Stencil.missingEdge(subject.coat().shape(), shape, subject.neighbours().covered())
            .ifPresent(edge -> missing.add(own, 0, edge));
      } else if (!kept.isKnown()) {
        missing.add(rank, 1 + kept.effort(), kept::make);
        pixels += kept.pixels();
      }
    }
    return missing.size() > 1 && pixels > WORTH_SHARING ? missing.begin() : CoatPrefetch.NOTHING;
  }

  private static CoatBrush.Subject subject(Finish finish, int rank, Stencil.Shape shape) {
    return new CoatBrush.Subject(
        finish.coats().get(rank), shape, Neighbours.of(finish.coats(), rank));
  }

  /** Paints one of the coats. */
  static void paint(Canvas canvas, Finish finish, int rank, Stencil.Shape shape) {
    if (isUpperOfTwo(finish.coats(), rank)) {
      return; // painted together with the one below
    }
    if (rank + 1 < finish.coats().size() && isUpperOfTwo(finish.coats(), rank + 1)) {
      paintBoth(canvas, finish, rank, shape);
      return;
    }
    paintOne(canvas, finish, rank, shape);
  }

  /** Whether a coat and the one below it are added up; of three in a row the lower two are. */
  private static boolean isUpperOfTwo(List<Coat> coats, int rank) {
    return rank > 0
        && Neighbours.meet(coats.get(rank - 1), coats.get(rank))
        && !isUpperOfTwo(coats, rank - 1);
  }

  /** Where two coats share a pixel of the edge, each gives its part and nothing shows between. */
  private static void paintBoth(Canvas canvas, Finish finish, int rank, Stencil.Shape shape) {
    Coat lower = finish.coats().get(rank);
    Coat upper = finish.coats().get(rank + 1);
    Coat fill = lower.shape() instanceof Coat.Fill ? lower : upper;
    Coat rim = fill == lower ? upper : lower;
    CoatBrush.Subject outer = new CoatBrush.Subject(rim, shape, new Neighbours(true, 0));
    Rect around = CoatBrush.rect(outer.reach().grown(1, 1));
    try (Paint sum = new Paint().setBlendMode(io.github.humbleui.skija.BlendMode.PLUS);
        Paint cut = new Paint().setBlendMode(io.github.humbleui.skija.BlendMode.DST_OUT)) {
      canvas.saveLayer(around, null);
      CoatBrush.paint(canvas, fill, shape, Neighbours.NONE);
      canvas.saveLayer(around, sum);
      CoatBrush.paint(canvas, rim, shape, outer.neighbours());
      // by just the part of each pixel that the fill has
      Stencil.draw(canvas, fill.shape(), shape, cut, Neighbours.NONE);
      canvas.restore();
      canvas.restore();
    }
  }

  private static void paintOne(Canvas canvas, Finish finish, int rank, Stencil.Shape shape) {
    CoatBrush.Subject subject = subject(finish, rank, shape);
    CachedCoat kept = CachedCoat.of(canvas, subject);
    if (kept == null) {
      CoatBrush.paint(canvas, subject.coat(), shape, subject.neighbours());
    } else {
      kept.draw(canvas);
    }
  }

  /** All coats of a finish together, as something with effects. */
  static EffectBrush.Subject whole(Finish finish, Stencil.Shape shape) {
    return new Whole(finish, shape);
  }

  private record Whole(Finish finish, Stencil.Shape shape) implements EffectBrush.Subject {
    @Override
    public Box reach() {
      return InkOverflow.of(
          shape.bounds(),
          shape.parts(PaintBounds.LAYER).getFirst().box(),
          new Finish(finish.coats(), List.of()));
    }

    @Override
    public void cover(Canvas canvas, double distance) {
      if (distance == 0) {
        paintCoats(canvas, finish, shape);
        return;
      }
      for (Coat coat : finish.coats()) {
        CoatBrush.Subject subject = new CoatBrush.Subject(coat, shape, Neighbours.NONE);
        double alpha = coat.opacity() * coat.paint().colour().alpha();
        double reach = Math.max(0, distance);
        canvas.saveLayerAlpha(
            CoatBrush.rect(subject.reach().grown(reach, reach)), (int) Math.round(alpha));
        subject.cover(canvas, distance);
        canvas.restore();
      }
    }

    @Override
    public void show(Canvas canvas) {
      paint(canvas);
    }

    @Override
    public void paint(Canvas canvas) {
      paintCoats(canvas, finish, shape);
    }

    @Override
    public Object coverage() {
      return List.of(shape.identity(), finish.coats());
    }

    @Override
    public Object identity() {
      return coverage();
    }

    @Override
    public MaskCache planes() {
      return shape.planes();
    }

    @Override
    public boolean field(Canvas canvas, Box area) {
      return false;
    }
  }
}
