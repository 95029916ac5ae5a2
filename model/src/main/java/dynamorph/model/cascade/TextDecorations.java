package dynamorph.model.cascade;

import dynamorph.model.value.Rgba;
import java.util.Optional;

/**
 * The lines at letters.
 *
 * @param shift points below the place that the font gives
 * @param width factor of the width that the font gives
 * @param skipsInk whether lines are broken where letters cross them
 * @param colour their own; empty for the look of the text
 */
public record TextDecorations(
    boolean under,
    boolean over,
    boolean through,
    double shift,
    double width,
    boolean skipsInk,
    Optional<Rgba> colour) {
  public static final TextDecorations NONE =
      new TextDecorations(false, false, false, 0, 1, true, Optional.empty());

  public boolean any() {
    return under || over || through;
  }
}
