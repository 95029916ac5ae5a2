package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Effect;
import dynamorph.model.cascade.Paint.Solid;
import dynamorph.model.value.BlendMode;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.types.IRect;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A coat that takes some time to paint, as pixels that are kept: a change of another coat then only
 * copies it. Coats are painted side by side when several are not known yet.
 */
final class CachedCoat {
  /** Larger ones are not kept: 8 million pixels. */
  private static final long MOST_PIXELS = 8_000_000;

  private final CoatBrush.Subject subject;
  private final EffectGrid grid;
  private final EffectGrid.Shift shift;
  private final IRect part;

  /**
   * @param opacity of the coat
   */
  private record Key(
      Object identity, List<Effect> effects, double opacity, EffectGrid grid, IRect part) {}

  private CachedCoat(
      CoatBrush.Subject subject, EffectGrid grid, EffectGrid.Shift shift, IRect part) {
    this.subject = subject;
    this.grid = grid;
    this.shift = shift;
    this.part = part;
  }

  /** The coat of a subject on a canvas; null if it is better painted anew each time. */
  static @Nullable CachedCoat of(Canvas canvas, CoatBrush.Subject subject) {
    if (!isWorthIt(subject.coat())) {
      return null;
    }
    EffectGrid grid = EffectGrid.of(canvas);
    EffectGrid.Shift shift = EffectGrid.Shift.of(canvas);
    double outset = InkOverflow.outset(subject.coat().effects());
    Box reach = subject.reach().grown(outset, outset);
    IRect part = grid.part(reach, 0, 0, shift.clip(canvas));
    long pixels = (long) part.getWidth() * part.getHeight();
    return grid.scale() > 0 && pixels > 0 && pixels <= MOST_PIXELS
        ? new CachedCoat(subject, grid, shift, part)
        : null;
  }

  /**
   * Edges that are known are as quickly painted as copied; what mixes with what is below must not
   * be.
   */
  private static boolean isWorthIt(Coat coat) {
    boolean moved =
        coat.copies().count() == 0 && coat.opacity() == 1 && coat.blend() == BlendMode.NORMAL;
    boolean plain =
        (coat.isInPlace() || moved)
            && coat.effects().isEmpty()
            && coat.paint() instanceof Solid
            && switch (coat.shape()) {
              case Coat.Fill _ -> true;
              case Coat.Stroke stroke -> stroke.dashing().isSolid();
            };
    boolean mixesBelow =
        coat.effects().stream()
            .anyMatch(effect ->
                effect.liesBelow()
                    && (effect.blendBelow() != BlendMode.NORMAL
                        || coat.blend() != BlendMode.NORMAL));
    return !plain && !mixesBelow;
  }

  private Key key() {
    Coat coat = subject.coat();
    return new Key(subject.identity(), coat.effects(), coat.opacity(), grid, part);
  }

  boolean isKnown() {
    return subject.planes().has(key());
  }

  long pixels() {
    return (long) part.getWidth() * part.getHeight();
  }

  /** How long it takes, roughly. */
  int effort() {
    return subject.coat().effects().size();
  }

  /** Paints the pixels, if they are not known; on any thread. */
  void make() {
    bytes();
  }

  private byte[] bytes() {
    return subject.planes().picture(key(), this::painted);
  }

  private byte[] painted() {
    Coat unmixed = subject.coat().withBlend(BlendMode.NORMAL);
    try (RasterSurface raster = new RasterSurface(part);
        Stencil.Shape shape = subject.shape().again()) {
      raster.draw(canvas -> {
        grid.enter(canvas);
        CoatBrush.paint(canvas, unmixed, shape, subject.neighbours());
      });
      return raster.copy();
    }
  }

  /** Shows the coat, mixed with what lies below. */
  void draw(Canvas canvas) {
    try (Paint paint = Blends.set(new Paint(), subject.coat().blend());
        Image image = RasterSurface.image(part, bytes())) {
      grid.draw(canvas, shift, image, part.getLeft(), part.getTop(), paint);
    }
  }
}
