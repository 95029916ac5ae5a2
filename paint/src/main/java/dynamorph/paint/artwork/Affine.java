package dynamorph.paint.artwork;

import io.github.humbleui.skija.Matrix33;
import org.jspecify.annotations.Nullable;

/**
 * A transform that keeps parallels: x becomes {@code a x + c y + e}, y becomes {@code b x + d y +
 * f} (W3C CSS Transforms 1, 12).
 */
public record Affine(double a, double b, double c, double d, double e, double f) {
  public static final Affine IDENTITY = new Affine(1, 0, 0, 1, 0, 0);

  /** Sines and lengths below this are nothing. */
  private static final double NONE = 1e-6;

  /** A place, y down. */
  public record Place(double x, double y) {}

  public static Affine translation(double x, double y) {
    return new Affine(1, 0, 0, 1, x, y);
  }

  public static Affine scaling(double x, double y) {
    return new Affine(x, 0, 0, y, 0, 0);
  }

  /** Around 0, 0, in degrees clockwise on a screen. */
  public static Affine rotation(double degrees) {
    double cos = Math.cos(Math.toRadians(degrees));
    double sin = Math.sin(Math.toRadians(degrees));
    return new Affine(cos, sin, -sin, cos, 0, 0);
  }

  /** The same for drawing. */
  public Matrix33 matrix() {
    return new Matrix33(
        (float) a, (float) c, (float) e, (float) b, (float) d, (float) f, 0f, 0f, 1f);
  }

  /** This one after another: what is drawn goes through the other first. */
  public Affine after(Affine first) {
    return new Affine(
        a * first.a + c * first.b,
        b * first.a + d * first.b,
        a * first.c + c * first.d,
        b * first.c + d * first.d,
        a * first.e + c * first.f + e,
        b * first.e + d * first.f + f);
  }

  public Place apply(double x, double y) {
    return new Place(a * x + c * y + e, b * x + d * y + f);
  }

  /** How many times larger areas become; negative where it mirrors. */
  public double determinant() {
    return a * d - b * c;
  }

  /** How many times longer lengths become, whatever their direction, on the average. */
  public double scale() {
    return Math.sqrt(Math.abs(determinant()));
  }

  /** How many times longer what lies level becomes. */
  public double scaleX() {
    return Math.hypot(a, b);
  }

  /** How many times higher it becomes, measured at right angles to what lies level. */
  public double scaleY() {
    return scaleX() < NONE ? 0 : determinant() / scaleX();
  }

  /** Degrees by which what lies level is turned, clockwise on a screen. */
  public double rotation() {
    return Math.toDegrees(Math.atan2(b, a));
  }

  /** Degrees by which what stands upright leans to the right, once it is turned back. */
  public double shear() {
    double level = scaleX();
    return level < NONE || Math.abs(determinant()) < NONE
        ? 0
        : -Math.toDegrees(Math.atan((a * c + b * d) / determinant()));
  }

  /** Whether right angles stay right and nothing is mirrored. */
  public boolean keepsRightAngles() {
    return determinant() > NONE * NONE
        && Math.abs(a * c + b * d) <= NONE * Math.max(1, Math.abs(determinant()));
  }

  /** What leads back; null for one that makes everything flat. */
  public @Nullable Affine inverse() {
    double by = determinant();
    if (Math.abs(by) < NONE * NONE || !Double.isFinite(by)) {
      return null;
    }
    return new Affine(d / by, -b / by, -c / by, a / by, (c * f - d * e) / by, (b * e - a * f) / by);
  }
}
