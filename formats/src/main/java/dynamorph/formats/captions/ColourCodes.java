package dynamorph.formats.captions;

import dynamorph.model.value.Rgba;
import java.util.Arrays;
import java.util.List;

/** The colours that broadcast text has codes for: each of red, green and blue is full or off. */
final class ColourCodes {
  private final List<Rgba> colours;

  private ColourCodes(List<Rgba> colours) {
    this.colours = colours;
  }

  /**
   * Colours by their codes from 0.
   *
   * @param parts what each is made of: 1 for red, 2 for green, 4 for blue, added up
   */
  static ColourCodes of(int... parts) {
    return new ColourCodes(
        Arrays.stream(parts)
            .mapToObj(sum -> Rgba.of((sum & 1) * 255, (sum >> 1 & 1) * 255, (sum >> 2) * 255))
            .toList());
  }

  Rgba colour(int code) {
    return colours.get(code);
  }

  /** The code of the colour that is most like another, by its parts. */
  int nearest(Rgba colour) {
    int best = 0;
    double least = Double.MAX_VALUE;
    for (int code = 0; code < colours.size(); code++) {
      Rgba one = colours.get(code);
      double far =
          Math.pow(one.red() - colour.red(), 2)
              + Math.pow(one.green() - colour.green(), 2)
              + Math.pow(one.blue() - colour.blue(), 2);
      if (far < least) {
        best = code;
        least = far;
      }
    }
    return best;
  }
}
