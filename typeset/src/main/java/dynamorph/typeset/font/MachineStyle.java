package dynamorph.typeset.font;

import dynamorph.model.value.Slant;
import io.github.humbleui.skija.FontSlant;
import io.github.humbleui.skija.FontStyle;

/** Weight, width and slant as the machine's fonts are asked for. */
final class MachineStyle {
  static final double NORMAL_WIDTH = 100;

  /** Percentages of the nine width classes (OpenType, OS/2 usWidthClass). */
  private static final double[] WIDTHS = {50, 62.5, 75, 87.5, 100, 112.5, 125, 150, 200};

  private MachineStyle() {}

  /**
   * @param width percentage of the normal width
   */
  static FontStyle of(double weight, double width, Slant slant) {
    int nearest = 0;
    for (int index = 1; index < WIDTHS.length; index++) {
      boolean nearer = Math.abs(WIDTHS[index] - width) < Math.abs(WIDTHS[nearest] - width);
      nearest = nearer ? index : nearest;
    }
    return new FontStyle(
        (int) Math.round(weight),
        nearest + 1,
        slant == Slant.ITALIC ? FontSlant.ITALIC : FontSlant.UPRIGHT);
  }
}
