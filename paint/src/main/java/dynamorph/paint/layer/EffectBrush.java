package dynamorph.paint.layer;

import static java.util.Objects.requireNonNull;

import dynamorph.model.cascade.Effect;
import dynamorph.model.cascade.Softness;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import dynamorph.paint.effect.CoverageMask;
import dynamorph.paint.effect.Gaussian;
import dynamorph.paint.effect.Relief;
import dynamorph.paint.geometry.Dots;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.types.IRect;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Paints something with its effects: shadows and glows below it, then itself with light and shade
 * inside. Effects are worked out on pixels, as many as the canvas has.
 */
final class EffectBrush {
  /** What has effects. Everything is drawn in points. */
  interface Subject {
    /** The box around it, without its effects. */
    Box reach();

    /** Draws what it covers when its edges are moved outwards by a distance. */
    void cover(Canvas canvas, double distance);

    /** What it covers, if that is nothing but dots, their edges moved outwards. */
    default Optional<Dots> dots(double distance) {
      return Optional.empty();
    }

    /** Paints it, opaque and over nothing. */
    void paint(Canvas canvas);

    /** Paints it as it is shown, mixed with what lies below. */
    void show(Canvas canvas);

    /** By what its covered area is told from those of others. */
    Object coverage();

    /** By what it is told from others altogether. */
    Object identity();

    /** Where pixels are kept. */
    MaskCache planes();

    /** Its colour, if it has but one everywhere. */
    default Optional<Rgba> colour() {
      return Optional.empty();
    }

    /**
     * Paints an area as it would be if it covered everything.
     *
     * @return whether that can be done
     */
    boolean field(Canvas canvas, Box area);
  }

  private final Canvas canvas;
  private final Subject subject;
  private final double opacity;
  private final BlendMode blend;
  private final EffectGrid.Shift shift;
  private final IRect clip;
  private final EffectGrid fine;
  private final MaskCache planes;

  /** A covered area on pixels, moved, grown, and blurred by square pixels. */
  private record PlaneKey(
      Object coverage,
      EffectGrid grid,
      IRect part,
      double across,
      double down,
      double spread,
      Softness soft) {}

  private record ReliefKey(Object plane, Effect.Bevel edge) {}

  private record PictureKey(Object identity, List<Effect> effects, EffectGrid grid, IRect part) {}

  private EffectBrush(Canvas canvas, Subject subject, double opacity, BlendMode blend) {
    this.canvas = canvas;
    this.subject = subject;
    this.opacity = opacity;
    this.blend = blend;
    this.shift = EffectGrid.Shift.of(canvas);
    this.clip = shift.clip(canvas);
    this.fine = EffectGrid.of(canvas);
    this.planes = subject.planes();
  }

  /**
   * Paints something with its effects.
   *
   * @param opacity of everything
   * @param blend of the thing itself with what lies below
   */
  static void paint(
      Canvas canvas, Subject subject, List<Effect> effects, double opacity, BlendMode blend) {
    EffectBrush brush = new EffectBrush(canvas, subject, opacity, blend);
    if (brush.clip.getWidth() > 0 && brush.fine.scale() > 0) {
      brush.below(effects);
      brush.body(effects);
    }
  }

  /**
   * Paints one of the shadows and glows below something, alone and without mixing.
   *
   * @param index of it among the effects
   */
  static void paintBelow(Canvas canvas, Subject subject, List<Effect> effects, int index) {
    List<Effect> own = new ArrayList<>();
    for (Effect effect : effects.subList(0, index)) {
      if (effect instanceof Effect.Blur) {
        own.add(effect);
      }
    }
    own.add(effects.get(index).withNormalBlend());
    new EffectBrush(canvas, subject, 1, BlendMode.NORMAL).below(own);
  }

  /** Paints something with what the effects do inside it, opaque and without mixing. */
  static void paintBody(Canvas canvas, Subject subject, List<Effect> effects) {
    new EffectBrush(canvas, subject, 1, BlendMode.NORMAL).body(effects);
  }

  private void below(List<Effect> effects) {
    List<Cast> casts = Cast.of(effects);
    if (casts.size() > 1) {
      // what they share first, then each beside the others
      IRect own = fine.part(subject.reach(), 0, 0, clip);
      if (own.getWidth() > 0 && own.getHeight() > 0) {
        covered(fine, own, 0, 0, 0, Softness.NONE);
      }
      if ((long) own.getWidth() * own.getHeight() > FinishBrush.WORTH_SHARING) {
        casts.parallelStream().filter(this::onlyBlurs).forEach(this::plane);
      }
    }
    casts.forEach(this::cast);
  }

  /** Whether nothing need be drawn for it any more, which one thread at a time may do. */
  private boolean onlyBlurs(Cast cast) {
    return cast.across() == 0
        && cast.down() == 0
        && cast.spread() == 0
        && fine.forBlur(cast.soft()).equals(fine);
  }

  /** The pixels of a shadow or glow; null if none of it shows. */
  private @Nullable CoverageMask plane(Cast cast) {
    EffectGrid grid = fine.forBlur(cast.soft());
    double grown = Math.max(0, cast.spread());
    Box reach = subject.reach().grown(grown, grown);
    double around = cast.soft().widest() * Effect.DEVIATIONS;
    IRect part = grid.part(reach.moved(cast.across(), cast.down()), around, around, clip);
    return part.getWidth() <= 0 || part.getHeight() <= 0
        ? null
        : covered(grid, part, cast.across(), cast.down(), cast.spread(), grid.pixels(cast.soft()));
  }

  private void cast(Cast cast) {
    EffectGrid grid = fine.forBlur(cast.soft());
    CoverageMask plane = plane(cast);
    if (plane == null) {
      return;
    }
    Rgba colour = cast.colour().faded(opacity);
    if (!cast.knockout()) {
      shade(grid, plane, colour, cast.mode());
      return;
    }
    try (Paint paint = paint(colour, cast.mode())) {
      canvas.saveLayer(canvas.getLocalClipBounds(), paint.setAlphaf(1));
      try (Paint plain = paint(colour, BlendMode.NORMAL);
          Paint out = new Paint().setBlendMode(io.github.humbleui.skija.BlendMode.DST_OUT)) {
        draw(grid, plane, plain);
        IRect own = fine.part(subject.reach(), 0, 0, clip);
        if (own.getWidth() > 0 && own.getHeight() > 0) {
          draw(fine, covered(fine, own, 0, 0, 0, Softness.NONE), out);
        }
      }
      canvas.restore();
    }
  }

  /** What the subject covers, moved and grown by points, and blurred by square pixels. */
  private CoverageMask covered(
      EffectGrid grid, IRect part, double across, double down, double spread, Softness soft) {
    PlaneKey key = new PlaneKey(subject.coverage(), grid, part, across, down, spread, soft);
    double grown = Math.max(0, spread);
    IRect own = grid.part(subject.reach().grown(grown, grown).moved(across, down), 0, 0, part, 0);
    boolean sharp = soft.equals(Softness.NONE);
    boolean all = own.equals(part) || own.getWidth() <= 0 || own.getHeight() <= 0;
    return planes.plane(
        key,
        () -> {
          if (sharp && all) {
            return drawn(grid, part, across, down, spread);
          }
          // drawn no larger than it is, so that blurs of any width share it
          CoverageMask edge = covered(grid, all ? part : own, across, down, spread, Softness.NONE);
          CoverageMask padded = all ? edge : edge.padded(part);
          return sharp ? padded : padded.blurred(soft);
        });
  }

  private CoverageMask drawn(
      EffectGrid grid, IRect part, double across, double down, double spread) {
    if (across == 0 && down == 0 && Dots.stayRound(grid.toPixels())) {
      Optional<Dots> dots = subject.dots(spread);
      if (dots.isPresent()) {
        return dots.get().covered(grid.toPixels(), part);
      }
    }
    return CoverageMask.covered(
        part,
        pixels -> {
          grid.enter(pixels);
          pixels.translate((float) across, (float) down);
          subject.cover(pixels, spread);
        });
  }

  /** Draws a plane in a colour; one that only lies over what is below is drawn fastest. */
  private void shade(EffectGrid grid, CoverageMask plane, Rgba colour, BlendMode mode) {
    if (mode != BlendMode.NORMAL || grid.coarseness() != 1) {
      try (Paint paint = paint(colour, mode)) {
        draw(grid, plane, paint);
      }
      return;
    }
    try (Image image = plane.image(colour);
        Paint plain = new Paint()) {
      grid.draw(canvas, shift, image, plane.x(), plane.y(), plain);
    }
  }

  private void draw(EffectGrid grid, CoverageMask plane, Paint paint) {
    try (Image image = plane.image()) {
      grid.draw(canvas, shift, image, plane.x(), plane.y(), paint);
    }
  }

  private static Paint paint(Rgba colour, BlendMode mode) {
    return Blends.set(new Paint().setColor(colour.argb()), mode);
  }

  private void body(List<Effect> effects) {
    List<Effect> own = effects.stream().filter(effect -> !effect.liesBelow()).toList();
    if (own.isEmpty()) {
      subject.show(canvas);
      return;
    }
    Softness blur = Softness.NONE;
    for (Effect effect : own) {
      blur = effect instanceof Effect.Blur soft ? blur.plus(soft.blur()) : blur;
    }
    EffectGrid grid = fine.forBlur(blur);
    double around = blur.widest() * Effect.DEVIATIONS;
    IRect part = grid.part(subject.reach(), around, around + inwards(own), clip);
    if (part.getWidth() <= 0 || part.getHeight() <= 0) {
      return;
    }
    try (Paint paint = Blends.set(new Paint().setAlphaf((float) opacity), blend)) {
      PictureKey key = new PictureKey(subject.identity(), own, grid, part);
      byte[] bytes = planes.picture(key, () -> picture(grid, part, own));
      try (Image image = RasterSurface.image(part, bytes)) {
        grid.draw(canvas, shift, image, part.getLeft(), part.getTop(), paint);
      }
    }
  }

  private byte[] picture(EffectGrid grid, IRect part, List<Effect> effects) {
    Optional<Rgba> colour = subject.colour();
    Shine only = effects.size() == 1 ? Shine.of(effects.getFirst()) : null;
    if (only != null && only.mode() == BlendMode.NORMAL && colour.isPresent()) {
      CoverageMask light = inside(grid, part, only, grid.pixels(only.blur()));
      return covered(grid, part, 0, 0, 0, Softness.NONE)
          .lit(colour.get(), light, only.outside(), only.colour());
    }
    try (RasterSurface raster = new RasterSurface(part)) {
      return new Picture(grid, part, raster).made(effects);
    }
  }

  /** What light inside falls by, blurred by square pixels. */
  private CoverageMask inside(EffectGrid grid, IRect part, Shine shine, Softness soft) {
    if (shine.spread() == 0 && shine.across() == 0 && shine.down() == 0) {
      return covered(grid, part, 0, 0, 0, soft);
    }
    // what was moved beyond this part still counts, as far as it is blurred back into it
    int margin =
        1 + (int) Math.min(EffectGrid.FARTHEST, Math.ceil(soft.widest() * Effect.DEVIATIONS));
    return covered(grid, grown(part, margin), shine.across(), shine.down(), -shine.spread(), soft)
        .part(part);
  }

  private static IRect grown(IRect part, int margin) {
    return IRect.makeLTRB(
        part.getLeft() - margin,
        part.getTop() - margin,
        part.getRight() + margin,
        part.getBottom() + margin);
  }

  /** How far beyond the clip what lies there counts for light and shade inside, in points. */
  private static double inwards(List<Effect> effects) {
    double most = 0;
    for (Effect effect : effects) {
      double from =
          switch (effect) {
            case Effect.InnerShadow shadow ->
                Math.max(Math.abs(shadow.x()), Math.abs(shadow.y()))
                    + Math.abs(shadow.spread())
                    + shadow.blur().widest() * Effect.DEVIATIONS;
            case Effect.InnerGlow glow ->
                Math.abs(glow.spread()) + glow.blur().widest() * Effect.DEVIATIONS;
            case Effect.Bevel edge -> edge.width() / 2 * Effect.DEVIATIONS;
            case Effect.Blur _, Effect.DropShadow _, Effect.OuterGlow _ -> 0;
          };
      most = Math.max(most, from);
    }
    return most;
  }

  /** The subject on pixels of its own, while effects change it. */
  private final class Picture {
    private final EffectGrid grid;
    private final IRect part;
    private final RasterSurface raster;
    private CoverageMask covered;
    private boolean edged;
    private Softness softened = Softness.NONE;

    Picture(EffectGrid grid, IRect part, RasterSurface raster) {
      this.grid = grid;
      this.part = part;
      this.raster = raster;
      this.covered = covered(grid, part, 0, 0, 0, Softness.NONE);
    }

    byte[] made(List<Effect> effects) {
      raster.draw(pixels -> {
        grid.enter(pixels);
        double margin = (2 + part.getWidth() + part.getHeight()) / grid.scale();
        boolean fields = subject.field(pixels, subject.reach().grown(margin, margin));
        if (!fields) {
          subject.paint(pixels);
        }
        edged = !fields;
      });
      for (Effect effect : effects) {
        apply(effect);
      }
      if (!edged) {
        cut();
      }
      return raster.copy();
    }

    private void apply(Effect effect) {
      switch (effect) {
        case Effect.InnerShadow _, Effect.InnerGlow _ -> {
          Shine shine = requireNonNull(Shine.of(effect));
          Softness soft = grid.pixels(shine.blur()).plus(softened);
          CoverageMask inside = inside(grid, part, shine, soft);
          shine(shine.outside() ? inside.inverted() : inside, shine.colour(), shine.mode());
        }
        case Effect.Bevel edge -> {
          ReliefKey key =
              new ReliefKey(
                  new PlaneKey(subject.coverage(), grid, part, 0, 0, 0, softened), edge.shape());
          Relief relief = planes.relief(key, () -> relief(edge));
          shine(relief.shade(), edge.shade(), edge.shadeBlend());
          shine(relief.light(), edge.highlight(), edge.highlightBlend());
        }
        case Effect.Blur blur -> soften(grid.pixels(blur.blur()));
        case Effect.DropShadow _, Effect.OuterGlow _ -> {}
      }
    }

    private Relief relief(Effect.Bevel edge) {
      return Relief.of(
          covered,
          edge.width() * grid.scale(),
          edge.depth(),
          grid.direction(edge.azimuth()),
          Math.toRadians(edge.elevation()));
    }

    private void shine(CoverageMask plane, Rgba colour, BlendMode mode) {
      CoverageMask shown = plane;
      boolean atop = edged && mode == BlendMode.NORMAL;
      if (edged && !atop) {
        float[] within = plane.values().clone();
        for (int index = 0; index < within.length; index++) {
          within[index] *= covered.values()[index];
        }
        shown = plane.with(within);
      }
      boolean plain = mode == BlendMode.NORMAL;
      try (Paint paint = plain ? new Paint() : paint(colour, mode);
          Image image = plain ? shown.image(colour) : shown.image()) {
        if (atop) {
          paint.setBlendMode(io.github.humbleui.skija.BlendMode.SRC_ATOP);
        }
        raster.draw(pixels -> pixels.drawImage(image, part.getLeft(), part.getTop(), paint));
      }
    }

    /** Takes away what lies beyond the edge. */
    private void cut() {
      raster.fade(covered.values());
      edged = true;
    }

    private void soften(Softness soft) {
      if (!edged) {
        cut();
      }
      int count = part.getWidth() * part.getHeight();
      byte[] bytes = raster.copy();
      for (int channel = 0; channel < 4; channel++) {
        float[] plane = new float[count];
        for (int index = 0; index < count; index++) {
          plane[index] = bytes[index * 4 + channel] & 0xFF;
        }
        float[] blurred = Gaussian.blur(plane, part.getWidth(), part.getHeight(), soft);
        for (int index = 0; index < count; index++) {
          bytes[index * 4 + channel] = (byte) (Math.clamp(blurred[index], 0f, 255f) + 0.5f);
        }
      }
      raster.put(bytes);
      softened = softened.plus(soft);
      covered = covered(grid, part, 0, 0, 0, softened);
    }
  }
}
