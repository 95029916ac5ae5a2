package dynamorph.formats.captions;

import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where a cue stands, by the settings behind its times (W3C, WebVTT, 6.3). Shares are in hundredths
 * of the frame, or of the region if there is one.
 *
 * @param vertical {@code rl} or {@code lr}; empty for lines from top to bottom
 * @param line empty for automatic
 * @param position empty for automatic
 * @param size a share
 * @param align {@code start}, {@code center}, {@code end}, {@code left}, {@code right}
 */
record VttSettings(
    String vertical,
    Optional<Line> line,
    Optional<Position> position,
    double size,
    String align,
    Optional<VttRegion> region) {
  private static final Pattern PERCENTAGE = Pattern.compile("([0-9]+(?:\\.[0-9]+)?)%");
  private static final Pattern NUMBER = Pattern.compile("-?[0-9]+(?:\\.[0-9]+)?");

  /**
   * Where it stands down the frame.
   *
   * @param at the number of a line, from 0, negative from the foot, or a share
   * @param counted whether it is the number of a line
   * @param align which side of the cue lies there: {@code start}, {@code center}, {@code end}
   */
  record Line(double at, boolean counted, String align) {}

  /**
   * Where it stands across the frame.
   *
   * @param align {@code line-left}, {@code center}, {@code line-right}, {@code auto}
   */
  record Position(double share, String align) {}

  /** A share of 0 to 100 with its sign. */
  static Optional<Double> percentage(String text) {
    Matcher found = PERCENTAGE.matcher(text);
    return found.matches()
        ? Optional.of(Double.parseDouble(found.group(1))).filter(share -> share <= 100)
        : Optional.empty();
  }

  /** Tells the settings of a text by name and value; what has not both is passed over. */
  static void each(String text, BiConsumer<String, String> taker) {
    for (String setting : text.split("[ \\t\\n\\f]+")) {
      int colon = setting.indexOf(':');
      if (colon > 0 && colon < setting.length() - 1) {
        taker.accept(setting.substring(0, colon), setting.substring(colon + 1));
      }
    }
  }

  /** Settings that are not understood count for nothing; of two of a name the last counts. */
  static VttSettings parse(String text, List<VttRegion> regions) {
    Reader reader = new Reader(regions);
    each(text, reader::take);
    return reader.settings();
  }

  /** Takes one setting after the other. */
  private static final class Reader {
    private final List<VttRegion> regions;
    private String vertical = "";
    private Optional<Line> line = Optional.empty();
    private Optional<Position> position = Optional.empty();
    private double size = 100;
    private String align = "center";
    private Optional<VttRegion> region = Optional.empty();

    Reader(List<VttRegion> regions) {
      this.regions = regions;
    }

    void take(String name, String value) {
      switch (name) {
        case "region" ->
            region =
                regions.stream().filter(one -> one.id().equals(value)).reduce((_, last) -> last);
        case "vertical" -> vertical = oneOf(value, vertical, "rl", "lr");
        case "line" -> line = line(value).or(() -> line);
        case "position" -> position = position(value).or(() -> position);
        case "size" -> size = percentage(value).orElse(size);
        case "align" -> align = oneOf(value, align, "start", "center", "end", "left", "right");
        default -> {}
      }
    }

    private static String oneOf(String value, String usual, String... known) {
      return List.of(known).contains(value) ? value : usual;
    }

    private Optional<Line> line(String value) {
      String[] parts = value.split(",", 2);
      boolean counted = !parts[0].endsWith("%");
      Optional<Double> at = counted ? number(parts[0]) : percentage(parts[0]);
      String side = parts.length > 1 ? parts[1] : line.map(Line::align).orElse("start");
      return at.filter(_ -> List.of("start", "center", "end").contains(side))
          .map(found -> new Line(found, counted, side));
    }

    private static Optional<Double> number(String text) {
      return Optional.of(text)
          .filter(one -> NUMBER.matcher(one).matches())
          .map(Double::parseDouble)
          .filter(Double::isFinite);
    }

    private Optional<Position> position(String value) {
      String[] parts = value.split(",", 2);
      boolean known =
          parts.length < 2 || List.of("line-left", "center", "line-right").contains(parts[1]);
      String side = parts.length > 1 ? parts[1] : position.map(Position::align).orElse("auto");
      return percentage(parts[0]).filter(_ -> known).map(share -> new Position(share, side));
    }

    /** A cue that says itself where it stands, or how wide it is, stands in no region. */
    VttSettings settings() {
      boolean own = line.isPresent() || size != 100 || !vertical.isEmpty();
      return new VttSettings(
          vertical, line, position, size, align, own ? Optional.empty() : region);
    }
  }
}
