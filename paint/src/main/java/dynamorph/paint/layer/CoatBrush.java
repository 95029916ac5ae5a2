package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Paint.Gradient;
import dynamorph.model.cascade.Paint.Solid;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.PaintFit;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Shader;
import io.github.humbleui.types.Rect;
import java.util.List;

/** Paints one coat with its effects on a shape. */
final class CoatBrush {
  private CoatBrush() {}

  /**
   * Paints a coat.
   *
   * @param covered whether an opaque fill above hides what lies within the shape's edge
   */
  static void paint(Canvas canvas, Coat coat, Stencil.Shape shape, boolean covered) {
    Subject subject = new Subject(coat, shape, covered);
    if (coat.effects().isEmpty()) {
      subject.show(canvas);
    } else {
      EffectBrush.paint(canvas, subject, coat.effects(), coat.opacity(), coat.blend());
    }
  }

  /** Paints a coat without effects. */
  private static void plain(Canvas canvas, Subject subject) {
    Coat coat = subject.coat;
    boolean simple = coat.blend() == BlendMode.NORMAL && coat.paint() instanceof Solid;
    boolean whole = coat.opacity() == 1 && coat.paint().isOpaque();
    if (simple && (whole || !subject.shape.overlaps())) {
      try (Paint paint = new Paint()) {
        paint.setColor(coat.paint().colour().faded(coat.opacity()).argb());
        Stencil.draw(canvas, coat.shape(), subject.shape, paint, subject.covered);
      }
    } else if (whole && coat.blend() == BlendMode.NORMAL) {
      subject.paint(canvas);
    } else {
      layered(canvas, subject, coat.opacity(), coat.blend());
    }
  }

  /** Paints a coat as one, so that where its parts overlap they count once. */
  private static void layered(Canvas canvas, Subject subject, double opacity, BlendMode blend) {
    try (Paint layer = Blends.set(new Paint().setAlphaf((float) opacity), blend)) {
      canvas.saveLayer(rect(subject.reach().grown(1, 1)), layer);
      subject.paint(canvas);
      canvas.restore();
    }
  }

  static Rect rect(Box box) {
    return Rect.makeLTRB(
        (float) box.x(), (float) box.y(), (float) box.right(), (float) box.bottom());
  }

  /** A coat on a shape, without its effects, opacity and blend mode. */
  record Subject(Coat coat, Stencil.Shape shape, boolean covered) implements EffectBrush.Subject {
    @Override
    public Box reach() {
      double outset = coat.shape().outset();
      return shape.bounds().grown(outset, outset);
    }

    @Override
    public void cover(Canvas canvas, double spread) {
      try (Paint paint = new Paint()) {
        Stencil.drawGrown(canvas, coat.shape(), shape, paint, spread);
      }
    }

    @Override
    public void show(Canvas canvas) {
      plain(canvas, this);
    }

    @Override
    public Object coverage() {
      return List.of(shape.identity(), coat.shape());
    }

    @Override
    public Object identity() {
      return List.of(shape.identity(), coat.shape(), coat.paint(), covered);
    }

    @Override
    public Planes planes() {
      return shape.planes();
    }

    @Override
    public boolean field(Canvas canvas, Box area) {
      switch (coat.paint()) {
        case Solid solid -> {
          try (Paint paint = new Paint().setColor(solid.colour().argb())) {
            canvas.drawRect(rect(area), paint);
          }
        }
        case Gradient gradient -> {
          if (gradient.fit() != PaintFit.LAYER) {
            return false;
          }
          Box box = shape.parts(PaintFit.LAYER).getFirst().box();
          try (Shader shader = Shades.of(gradient, box);
              Paint paint = new Paint().setShader(shader)) {
            canvas.drawRect(rect(area), paint);
          }
        }
      }
      return true;
    }

    @Override
    public void paint(Canvas canvas) {
      switch (coat.paint()) {
        case Solid solid -> {
          try (Paint paint = new Paint().setColor(solid.colour().argb())) {
            Stencil.draw(canvas, coat.shape(), shape, paint, covered);
          }
        }
        case Gradient gradient -> {
          for (Stencil.Part part : shape.parts(gradient.fit())) {
            try (Shader shader = Shades.of(gradient, part.box());
                Paint paint = new Paint().setShader(shader)) {
              Stencil.draw(canvas, coat.shape(), part.shape(), paint, covered);
            }
          }
        }
      }
    }
  }
}
