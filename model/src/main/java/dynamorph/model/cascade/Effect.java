package dynamorph.model.cascade;

import dynamorph.model.value.BlendMode;
import dynamorph.model.value.GlowSource;
import dynamorph.model.value.Rgba;

/**
 * What is added to a coat, or to everything painted on letters or a plate. Lengths in points, a
 * {@code blur} in square points; opacity is in the colour's alpha.
 */
public sealed interface Effect {
  /** Whether it is painted below what it belongs to. */
  default boolean liesBelow() {
    return this instanceof DropShadow || this instanceof OuterGlow;
  }

  /** The same effect laid over what lies below it without mixing. */
  default Effect withNormalBlend() {
    return switch (this) {
      case DropShadow shadow ->
          new DropShadow(
              shadow.colour,
              BlendMode.NORMAL,
              shadow.x,
              shadow.y,
              shadow.blur,
              shadow.spread,
              shadow.knockout);
      case OuterGlow glow ->
          new OuterGlow(glow.colour, BlendMode.NORMAL, glow.blur, glow.spread, glow.knockout);
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
   * @param x offset to the right
   * @param y offset downwards
   * @param spread how far it reaches before it is blurred
   * @param knockout whether it is cut away beneath what casts it
   */
  record DropShadow(
      Rgba colour,
      BlendMode blend,
      double x,
      double y,
      Softness blur,
      double spread,
      boolean knockout)
      implements Effect {}

  /** A shadow that the edge casts inwards. */
  record InnerShadow(Rgba colour, BlendMode blend, double x, double y, Softness blur, double spread)
      implements Effect {}

  /** Light around. */
  record OuterGlow(Rgba colour, BlendMode blend, Softness blur, double spread, boolean knockout)
      implements Effect {}

  /** Light inside. */
  record InnerGlow(Rgba colour, BlendMode blend, Softness blur, double spread, GlowSource source)
      implements Effect {}

  /** Softens everything painted so far. */
  record Blur(Softness blur) implements Effect {}

  /**
   * Edges that are lit as if they stood out.
   *
   * @param azimuth where the light comes from, in degrees clockwise from rightwards
   * @param elevation of the light over the surface, in degrees
   * @param width how far the edge reaches inwards
   * @param depth how steep it is; negative for sunken
   */
  record Bevel(
      double azimuth,
      double elevation,
      double width,
      double depth,
      Rgba highlight,
      BlendMode highlightBlend,
      Rgba shade,
      BlendMode shadeBlend)
      implements Effect {
    /** The same edge in plain colours, which is lit in the same places. */
    public Bevel shape() {
      return new Bevel(
          azimuth,
          elevation,
          width,
          depth,
          Rgba.WHITE,
          BlendMode.NORMAL,
          Rgba.BLACK,
          BlendMode.NORMAL);
    }
  }

  /** How far it reaches beyond what it belongs to, on any side. */
  default double outset() {
    return switch (this) {
      case DropShadow shadow ->
          Math.max(Math.abs(shadow.x), Math.abs(shadow.y))
              + Math.max(0, shadow.spread)
              + shadow.blur.widest() * DEVIATIONS;
      case OuterGlow glow -> Math.max(0, glow.spread) + glow.blur.widest() * DEVIATIONS;
      case Blur blur -> blur.blur.widest() * DEVIATIONS;
      case InnerShadow _, InnerGlow _, Bevel _ -> 0;
    };
  }

  /** A Gaussian is less than half of 1/255 beyond these many standard deviations of an edge. */
  double DEVIATIONS = 3;
}
