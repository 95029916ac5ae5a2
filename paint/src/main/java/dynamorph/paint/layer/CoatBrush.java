package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Paint.Gradient;
import dynamorph.model.cascade.Paint.Pattern;
import dynamorph.model.cascade.Paint.Solid;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.Rgba;
import dynamorph.paint.geometry.Dots;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Shader;
import io.github.humbleui.types.Rect;
import java.util.List;
import java.util.Optional;

/** Paints one coat with its effects on a shape. */
final class CoatBrush {
  private CoatBrush() {}

  /**
   * Paints a coat.
   *
   * @param neighbours what other coats do to its edge
   */
  static void paint(Canvas canvas, Coat coat, Stencil.Shape shape, Neighbours neighbours) {
    Subject subject = new Subject(coat, shape, neighbours);
    if (coat.effects().isEmpty()) {
      subject.show(canvas);
    } else {
      EffectBrush.paint(canvas, subject, coat.effects(), coat.opacity(), coat.blend());
    }
  }

  /** Paints a coat without effects, mixed with what lies below. */
  private static void plain(Canvas canvas, Subject subject) {
    Coat coat = subject.coat;
    boolean normal = coat.blend() == BlendMode.NORMAL;
    if (normal && coat.isInPlace() && coat.paint() instanceof Solid) {
      once(canvas, coat, subject.shape, subject.neighbours);
    } else if (normal && coat.opacity() == 1) {
      subject.paint(canvas);
    } else {
      try (Paint layer = Blends.set(new Paint().setAlphaf((float) coat.opacity()), coat.blend())) {
        canvas.saveLayer(rect(subject.reach().grown(1, 1)), layer);
        subject.paint(canvas);
        canvas.restore();
      }
    }
  }

  /**
   * Paints a coat in place and as opaque as it is, without its effects and blend mode. Where its
   * parts overlap they count once.
   */
  private static void once(Canvas canvas, Coat coat, Stencil.Shape shape, Neighbours neighbours) {
    switch (coat.paint()) {
      case Solid solid -> {
        double alpha = coat.opacity() * solid.colour().alpha() / 255;
        try (Paint paint = new Paint()) {
          if (alpha == 1 || !shape.overlaps()) {
            paint.setColor(solid.colour().faded(coat.opacity()).argb());
            Stencil.draw(canvas, coat.shape(), shape, paint, neighbours);
          } else {
            paint.setColor(solid.colour().argb() | 0xFF000000);
            canvas.saveLayerAlpha(around(coat, shape), (int) Math.round(255 * alpha));
            Stencil.draw(canvas, coat.shape(), shape, paint, neighbours);
            canvas.restore();
          }
        }
      }
      case Gradient gradient -> {
        for (Stencil.Part part : shape.parts(gradient.fit())) {
          try (Shader shader = GradientShaders.of(gradient, part.box())) {
            shaded(canvas, coat, part.shape(), shader, neighbours);
          }
        }
      }
      case Pattern pattern -> {
        double scale = EffectGrid.of(canvas).scale();
        for (Stencil.Part part : shape.parts(pattern.fit())) {
          try (Shader shader = PatternShaders.of(pattern, part.box(), scale)) {
            shaded(canvas, coat, part.shape(), shader, neighbours);
          }
        }
      }
    }
  }

  private static void shaded(
      Canvas canvas, Coat coat, Stencil.Shape shape, Shader shader, Neighbours neighbours) {
    try (Paint paint = new Paint().setShader(shader)) {
      if (coat.opacity() == 1 && (coat.paint().isOpaque() || !shape.overlaps())) {
        Stencil.draw(canvas, coat.shape(), shape, paint, neighbours);
        return;
      }
      Rect around = around(coat, shape);
      canvas.saveLayerAlpha(around, (int) Math.round(255 * coat.opacity()));
      try (Paint mask = new Paint()) {
        Stencil.draw(canvas, coat.shape(), shape, mask, neighbours);
      }
      paint.setBlendMode(io.github.humbleui.skija.BlendMode.SRC_IN);
      canvas.drawRect(around, paint);
      canvas.restore();
    }
  }

  private static Rect around(Coat coat, Stencil.Shape shape) {
    double outset = coat.shape().outset() + 1;
    return rect(shape.bounds().grown(outset, outset));
  }

  static Rect rect(Box box) {
    return Rect.makeLTRB(
        (float) box.x(), (float) box.y(), (float) box.right(), (float) box.bottom());
  }

  /** A coat on a shape, without its effects, opacity and blend mode. */
  record Subject(Coat coat, Stencil.Shape shape, Neighbours neighbours)
      implements EffectBrush.Subject {
    @Override
    public Box reach() {
      return new CoatCopies(coat).reach(shape.bounds(), middle());
    }

    @Override
    public void cover(Canvas canvas, double spread) {
      CoatCopies steps = new CoatCopies(coat);
      for (int copy : steps.fromBelow()) {
        try (Paint paint = new Paint().setAlphaf((float) steps.plain(copy).opacity())) {
          steps.draw(
              canvas,
              copy,
              shape,
              part -> Stencil.drawGrown(canvas, coat.shape(), part, paint, spread));
        }
      }
    }

    @Override
    public Optional<Dots> dots(double distance) {
      return coat.isInPlace() ? Stencil.dots(coat.shape(), shape, distance) : Optional.empty();
    }

    @Override
    public Optional<Rgba> colour() {
      return coat.isInPlace() && coat.paint() instanceof Solid solid
          ? Optional.of(solid.colour())
          : Optional.empty();
    }

    @Override
    public void show(Canvas canvas) {
      plain(canvas, this);
    }

    @Override
    public Object coverage() {
      return List.of(shape.identity(), coat.shape(), coat.transform(), coat.copies());
    }

    @Override
    public Object identity() {
      return List.of(coverage(), coat.paint(), neighbours);
    }

    @Override
    public MaskCache planes() {
      return shape.planes();
    }

    @Override
    public boolean field(Canvas canvas, Box area) {
      return coat.isInPlace()
          && switch (coat.paint()) {
            case Solid solid -> {
              try (Paint paint = new Paint().setColor(solid.colour().argb())) {
                canvas.drawRect(rect(area), paint);
              }
              yield true;
            }
            case Gradient gradient ->
                gradient.fit() == PaintBounds.LAYER
                    && fieldOf(canvas, area, GradientShaders.of(gradient, middle()));
            case Pattern pattern ->
                pattern.fit() == PaintBounds.LAYER
                    && fieldOf(
                        canvas,
                        area,
                        PatternShaders.of(pattern, middle(), EffectGrid.of(canvas).scale()));
          };
    }

    private Box middle() {
      return shape.parts(PaintBounds.LAYER).getFirst().box();
    }

    private static boolean fieldOf(Canvas canvas, Box area, Shader owned) {
      try (owned;
          Paint paint = new Paint().setShader(owned)) {
        canvas.drawRect(rect(area), paint);
      }
      return true;
    }

    @Override
    public void paint(Canvas canvas) {
      CoatCopies steps = new CoatCopies(coat);
      for (int copy : steps.fromBelow()) {
        Coat plain = steps.plain(copy);
        steps.draw(canvas, copy, shape, part -> once(canvas, plain, part, neighbours));
      }
    }
  }
}
