package dynamorph.model.cascade;

import dynamorph.model.value.BlendMode;
import dynamorph.model.value.GlowSource;
import dynamorph.model.value.Rgba;

/**
 * What is added to a coat, or to everything painted on letters or a plate. Lengths in points, a
 * {@code blur} is twice the standard deviation of a Gaussian; opacity is in the colour's alpha.
 */
public sealed interface Effect {
  /** Whether it is painted below what it belongs to. */
  default boolean liesBelow() {
    return this instanceof DropShadow || this instanceof OuterGlow;
  }

  /** The same effect laid over what lies below it without mixing. */
  default Effect unmixed() {
    return switch (this) {
      case DropShadow shadow ->
          new DropShadow(
              shadow.colour,
              BlendMode.NORMAL,
              shadow.across,
              shadow.down,
              shadow.blur,
              shadow.spread,
              shadow.knockedOut);
      case OuterGlow glow ->
          new OuterGlow(glow.colour, BlendMode.NORMAL, glow.blur, glow.spread, glow.knockedOut);
      case InnerShadow _, InnerGlow _, Blur _, Bevel _ -> this;
    };
  }

  /** How it is mixed with what lies below, if it lies below what it belongs to. */
  default BlendMode blendBelow() {
    return switch (this) {
      case DropShadow shadow -> shadow.blend;
      case OuterGlow glow -> glow.blend;
      case InnerShadow _, InnerGlow _, Blur _, Bevel _ -> BlendMode.NORMAL;
    };
  }

  /**
   * A shadow on what lies below.
   *
   * @param across offset to the right
   * @param down offset downwards
   * @param spread how far it reaches before it is blurred
   * @param knockedOut whether it is cut away beneath what casts it
   */
  record DropShadow(
      Rgba colour,
      BlendMode blend,
      double across,
      double down,
      double blur,
      double spread,
      boolean knockout)
      implements Effect {}

  /** A shadow that the edge casts inwards. */
  record InnerShadow(
      Rgba colour, BlendMode blend, double across, double down, double blur, double spread)
      implements Effect {}

  /** Light around. */
  record OuterGlow(Rgba colour, BlendMode blend, double blur, double spread, boolean knockout)
      implements Effect {}

  /** Light inside. */
  record InnerGlow(Rgba colour, BlendMode blend, double blur, double spread, GlowSource source)
      implements Effect {}

  /** Softens everything painted so far. */
  record Blur(double blur) implements Effect {}

  /**
   * An edge that is lit as if it stood out.
   *
   * @param angle where the light comes from, in degrees clockwise from rightwards
   * @param height of the light over the surface, in degrees
   * @param width how far the edge reaches inwards
   * @param depth how steep it is; negative for sunken
   */
  record Bevel(
      double angle,
      double height,
      double width,
      double depth,
      Rgba light,
      BlendMode lightBlend,
      Rgba shade,
      BlendMode shadeBlend)
      implements Effect {
    /** The same edge in plain colours, which is lit in the same places. */
    public Bevel shape() {
      return new Bevel(
          angle, height, width, depth, Rgba.WHITE, BlendMode.NORMAL, Rgba.BLACK, BlendMode.NORMAL);
    }
  }

  /** How far it reaches beyond what it belongs to, on any side. */
  default double outset() {
    return switch (this) {
      case DropShadow shadow ->
          Math.max(Math.abs(shadow.across), Math.abs(shadow.down))
              + Math.max(0, shadow.spread)
              + shadow.blur / 2 * DEVIATIONS;
      case OuterGlow glow -> Math.max(0, glow.spread) + glow.blur / 2 * DEVIATIONS;
      case Blur blur -> blur.blur / 2 * DEVIATIONS;
      case InnerShadow _, InnerGlow _, Bevel _ -> 0;
    };
  }

  /** A Gaussian is less than half of 1/255 beyond these many standard deviations of an edge. */
  double DEVIATIONS = 3;
}
