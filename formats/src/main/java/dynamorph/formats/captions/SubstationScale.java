package dynamorph.formats.captions;

import java.util.Map;

/**
 * How the units of a script become points of a film.
 *
 * @param frame of the film
 * @param width of the picture that the script counts in
 * @param height of that picture
 * @param bordersScale whether borders and shadows grow with the picture too
 * @param cells how high the cells of letters are
 */
record SubstationScale(
    FrameBox frame, double width, double height, boolean bordersScale, CellHeights cells) {
  /** The picture of scripts that do not tell theirs. */
  private static final double WIDTH = 384;

  private static final double HEIGHT = 288;

  private static final double LARGEST = 100_000;

  /** The scale that the head of a script tells, by its names in small letters. */
  static SubstationScale of(Map<String, String> head, FrameBox frame, CellHeights cells) {
    double width = length(head, "playresx");
    double height = length(head, "playresy");
    if (width == 0 && height == 0) {
      width = WIDTH;
      height = HEIGHT;
    } else if (width == 0) {
      width = height * 4 / 3;
    } else if (height == 0) {
      height = width * 3 / 4;
    }
    String borders = head.getOrDefault("scaledborderandshadow", "yes").strip();
    boolean scale = borders.equalsIgnoreCase("yes") || borders.matches("[1-9]\\d*");
    return new SubstationScale(frame, width, height, scale, cells);
  }

  private static double length(Map<String, String> head, String name) {
    double read = SubstationField.number(head.getOrDefault(name, "0").strip()).orElse(0.0);
    return read >= 1 && read <= LARGEST ? read : 0;
  }

  double across(double units) {
    return units * frame.width() / width;
  }

  double size(double units) {
    return units * frame.height() / height;
  }

  double border(double units) {
    return bordersScale ? size(units) : units;
  }
}
