package dynamorph.paint.layer;

import dynamorph.model.cascade.Effect;
import dynamorph.model.cascade.Softness;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.GlowSource;
import dynamorph.model.value.Rgba;
import org.jspecify.annotations.Nullable;

/**
 * Light or shade inside something, from what it covers moved, shrunk and blurred.
 *
 * @param outside whether it falls where that does not cover
 */
record Shine(
    Rgba colour,
    BlendMode mode,
    double across,
    double down,
    Softness blur,
    double spread,
    boolean outside) {
  /** Null for other effects. */
  static @Nullable Shine of(Effect effect) {
    return switch (effect) {
      case Effect.InnerShadow shadow ->
          new Shine(
              shadow.colour(),
              shadow.blend(),
              shadow.x(),
              shadow.y(),
              shadow.blur(),
              shadow.spread(),
              true);
      case Effect.InnerGlow glow ->
          new Shine(
              glow.colour(),
              glow.blend(),
              0,
              0,
              glow.blur(),
              glow.spread(),
              glow.source() == GlowSource.EDGE);
      case Effect.Bevel _, Effect.Blur _, Effect.DropShadow _, Effect.OuterGlow _ -> null;
    };
  }
}
