package dynamorph.typeset.font;

import dynamorph.model.cascade.FontRequest;
import dynamorph.typeset.harfbuzz.HarfBuzzFont;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Chooses the optical size of variable fonts by the size of the text (OpenType, registered axis
 * opsz, whose unit is the point; CSS Fonts 4, font-optical-sizing). Sizes that nobody can tell
 * apart share a face. Safe on any thread.
 */
public final class OpticalSizes {
  private static final String AXIS = "opsz";

  /** How much larger one face is than the next. */
  private static final double STEP = Math.log(1.05);

  private final FontLibrary fonts;
  private final Map<String, Optional<HarfBuzzFont.Axis>> axes = new ConcurrentHashMap<>();

  public OpticalSizes(FontLibrary fonts) {
    this.fonts = fonts;
  }

  /**
   * The wish with its optical size; the wish itself if the font has none, or it is set by hand.
   *
   * @param size points
   */
  public FontRequest sized(FontRequest wish, double size) {
    if (!wish.opticalSizing() || wish.axes().values().containsKey(AXIS) || !(size > 0)) {
      return wish;
    }
    Optional<HarfBuzzFont.Axis> axis = axes.computeIfAbsent(wish.family(), _ -> axis(wish));
    return axis.map(known -> Math.clamp(rounded(size), known.least(), known.most()))
        .map(place -> wish.withAxes(wish.axes().with(AXIS, place)))
        .orElse(wish);
  }

  private static double rounded(double size) {
    return Math.exp(Math.rint(Math.log(size) / STEP) * STEP);
  }

  private Optional<HarfBuzzFont.Axis> axis(FontRequest wish) {
    return fonts.match(wish).face().axes().stream()
        .filter(axis -> axis.tag().equals(AXIS))
        .findFirst();
  }
}
