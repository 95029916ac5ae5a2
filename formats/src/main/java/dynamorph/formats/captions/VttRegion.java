package dynamorph.formats.captions;

import java.util.Optional;

/**
 * A part of the frame that cues stand in (W3C, WebVTT, 6.2); lengths in hundredths of the frame.
 *
 * @param id by which cues name it; empty if none do
 * @param lines how many lines high it is
 * @param anchor which point of it, in hundredths of its size, lies at the point of the frame
 * @param frame that point of the frame
 * @param scroll whether its lines move up as new ones come
 */
record VttRegion(String id, double width, double lines, Point anchor, Point frame, boolean scroll) {
  /** A point, in hundredths. */
  record Point(double x, double y) {
    private static Optional<Point> parse(String text) {
      String[] parts = text.split(",", 2);
      return parts.length < 2
          ? Optional.empty()
          : VttSettings.percentage(parts[0])
              .flatMap(x -> VttSettings.percentage(parts[1]).map(y -> new Point(x, y)));
    }
  }

  static VttRegion parse(String text) {
    Reader reader = new Reader();
    VttSettings.each(text, reader::take);
    return new VttRegion(
        reader.id, reader.width, reader.lines, reader.anchor, reader.frame, reader.scroll);
  }

  /** Takes one setting after the other; what is not understood counts for nothing. */
  private static final class Reader {
    private String id = "";
    private double width = 100;
    private double lines = 3;
    private Point anchor = new Point(0, 100);
    private Point frame = new Point(0, 100);
    private boolean scroll;

    void take(String name, String value) {
      switch (name) {
        case "id" -> id = value;
        case "width" -> width = VttSettings.percentage(value).orElse(width);
        case "lines" ->
            lines =
                value.matches("[0-9]+")
                    ? Math.min(Double.MAX_VALUE, Double.parseDouble(value))
                    : lines;
        case "regionanchor" -> anchor = Point.parse(value).orElse(anchor);
        case "viewportanchor" -> frame = Point.parse(value).orElse(frame);
        case "scroll" -> scroll |= value.equals("up");
        default -> {}
      }
    }
  }
}
