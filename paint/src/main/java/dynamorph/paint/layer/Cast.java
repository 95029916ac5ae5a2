package dynamorph.paint.layer;

import dynamorph.model.cascade.Effect;
import dynamorph.model.cascade.Softness;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;

/**
 * A shadow or glow where it falls.
 *
 * @param soft its blur and that of blurs before it, in square points
 */
record Cast(
    Rgba colour,
    BlendMode mode,
    double across,
    double down,
    Softness soft,
    double spread,
    boolean knockout) {
  /** The shadows and glows among effects, each softened by the blurs before it. */
  static List<Cast> of(List<Effect> effects) {
    Softness softened = Softness.NONE;
    List<Cast> casts = new ArrayList<>();
    for (Effect effect : effects) {
      switch (effect) {
        case Effect.Blur blur -> softened = softened.plus(blur.blur());
        case Effect.DropShadow shadow ->
            casts.add(
                new Cast(
                    shadow.colour(),
                    shadow.blend(),
                    shadow.x(),
                    shadow.y(),
                    shadow.blur().plus(softened),
                    shadow.spread(),
                    shadow.knockout()));
        case Effect.OuterGlow glow ->
            casts.add(
                new Cast(
                    glow.colour(),
                    glow.blend(),
                    0,
                    0,
                    glow.blur().plus(softened),
                    glow.spread(),
                    glow.knockout()));
        case Effect.InnerShadow _, Effect.InnerGlow _, Effect.Bevel _ -> {}
      }
    }
    return casts;
  }
}
