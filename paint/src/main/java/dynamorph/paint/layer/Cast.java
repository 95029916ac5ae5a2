package dynamorph.paint.layer;

import dynamorph.model.cascade.Effect;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;

/**
 * A shadow or glow where it falls.
 *
 * @param soft its blur and that of blurs before it, in points
 */
record Cast(
    Rgba colour,
    BlendMode mode,
    double across,
    double down,
    double soft,
    double spread,
    boolean knockout) {
  /** The shadows and glows among effects, each softened by the blurs before it. */
  static List<Cast> of(List<Effect> effects) {
    double softened = 0;
    List<Cast> casts = new ArrayList<>();
    for (Effect effect : effects) {
      switch (effect) {
        case Effect.Blur blur -> softened = Math.hypot(softened, blur.blur());
        case Effect.DropShadow shadow ->
            casts.add(
                new Cast(
                    shadow.colour(),
                    shadow.blend(),
                    shadow.x(),
                    shadow.y(),
                    Math.hypot(shadow.blur(), softened),
                    shadow.spread(),
                    shadow.knockout()));
        case Effect.OuterGlow glow ->
            casts.add(
                new Cast(
                    glow.colour(),
                    glow.blend(),
                    0,
                    0,
                    Math.hypot(glow.blur(), softened),
                    glow.spread(),
                    glow.knockout()));
        case Effect.InnerShadow _, Effect.InnerGlow _, Effect.Bevel _ -> {}
      }
    }
    return casts;
  }
}
