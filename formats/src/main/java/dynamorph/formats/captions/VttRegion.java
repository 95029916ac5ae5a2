package dynamorph.formats.captions;

import java.util.Optional;
import java.util.function.Function;

/**
 * A part of the frame that cues stand in (W3C, WebVTT, 6.2); lengths in hundredths of the frame.
 *
 * @param id by which cues name it; empty if none do
 * @param lines how many lines high it is
 * @param anchorX which point of it, in hundredths of its width, lies at the point of the frame
 * @param frameX that point of the frame
 * @param scroll whether its lines move up as new ones come
 */
record VttRegion(
    String id,
    double width,
    double lines,
    double anchorX,
    double anchorY,
    double frameX,
    double frameY,
    boolean scroll) {
  private static final VttRegion USUAL = new VttRegion("", 100, 3, 0, 100, 0, 100, false);

  /** A point, in hundredths. */
  private record Point(double x, double y) {}

  static VttRegion parse(String text) {
    VttRegion region = USUAL;
    for (String setting : text.split("[ \\t\\n\\f]+")) {
      int colon = setting.indexOf(':');
      if (colon > 0 && colon < setting.length() - 1) {
        region = region.with(setting.substring(0, colon), setting.substring(colon + 1));
      }
    }
    return region;
  }

  private VttRegion with(String name, String value) {
    return switch (name) {
      case "id" -> new VttRegion(value, width, lines, anchorX, anchorY, frameX, frameY, scroll);
      case "width" ->
          changed(
              VttSettings.percentage(value),
              share -> new VttRegion(id, share, lines, anchorX, anchorY, frameX, frameY, scroll));
      case "lines" ->
          value.matches("[0-9]+")
              ? new VttRegion(
                  id, width, Double.parseDouble(value), anchorX, anchorY, frameX, frameY, scroll)
              : this;
      case "regionanchor" ->
          changed(
              point(value),
              at -> new VttRegion(id, width, lines, at.x, at.y, frameX, frameY, scroll));
      case "viewportanchor" ->
          changed(
              point(value),
              at -> new VttRegion(id, width, lines, anchorX, anchorY, at.x, at.y, scroll));
      case "scroll" ->
          new VttRegion(
              id, width, lines, anchorX, anchorY, frameX, frameY, scroll || value.equals("up"));
      default -> this;
    };
  }

  private <T> VttRegion changed(Optional<T> value, Function<T, VttRegion> change) {
    return value.map(change).orElse(this);
  }

  private static Optional<Point> point(String text) {
    String[] parts = text.split(",", 2);
    if (parts.length < 2) {
      return Optional.empty();
    }
    return VttSettings.percentage(parts[0])
        .flatMap(x -> VttSettings.percentage(parts[1]).map(y -> new Point(x, y)));
  }
}
