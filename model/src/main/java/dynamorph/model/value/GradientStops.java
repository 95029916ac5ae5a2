package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The colours of a gradient and where they stand: {@code "#fbe6a2 0%, swatch:copper 60% / 80%"};
 * the share behind the slash is how opaque the colour is. In order of position.
 */
public record GradientStops(List<Stop> stops) {
  /** Black to white. */
  public static final GradientStops PLAIN =
      new GradientStops(
          List.of(new Stop(Colour.of(Rgba.BLACK), 0, 1), new Stop(Colour.of(Rgba.WHITE), 1, 1)));

  /** The most stops one gradient may have. */
  private static final int MOST = 64;

  private static final Pattern WRITTEN =
      Pattern.compile("(\\S+)\\s+(\\d+(?:\\.\\d+)?)\\s*%(?:\\s*/\\s*(\\d+(?:\\.\\d+)?)\\s*%)?");

  /**
   * A colour and its place.
   *
   * @param position from 0, the start, to 1, the end
   * @param opacity from 0, unseen, to 1, solid
   */
  public record Stop(Colour colour, double position, double opacity) {
    public Stop {
      if (!(position >= 0 && position <= 1) || !(opacity >= 0 && opacity <= 1)) {
        throw new IllegalArgumentException(
            Messages.of("gradient-stops.the-position-and-opacity-of-a"));
      }
    }

    @Override
    public String toString() {
      return colour
          + " "
          + Numbers.format(position * 100)
          + "%"
          + (opacity == 1 ? "" : " / " + Numbers.format(opacity * 100) + "%");
    }
  }

  public GradientStops {
    stops = stops.stream().sorted(Comparator.comparingDouble(Stop::position)).toList();
    if (stops.isEmpty() || stops.size() > MOST) {
      throw new IllegalArgumentException(
          Messages.of("gradient-stops.a-gradient-has-1-to-stops", MOST, stops.size()));
    }
  }

  /**
   * Reads stops.
   *
   * @throws IllegalArgumentException naming the part that is none
   */
  public static GradientStops parse(String text) {
    List<Stop> stops = new ArrayList<>();
    for (String part : text.split(",")) {
      Matcher written = WRITTEN.matcher(part.strip());
      if (!written.matches()) {
        throw new IllegalArgumentException(
            Messages.of("gradient-stops.expected-stops-such-as-fbe6a2-0", part.strip()));
      }
      double opacity = written.group(3) == null ? 100 : Double.parseDouble(written.group(3));
      stops.add(
          new Stop(
              Colour.parse(written.group(1)),
              Double.parseDouble(written.group(2)) / 100,
              opacity / 100));
    }
    return new GradientStops(stops);
  }

  @Override
  public String toString() {
    return stops.stream().map(Stop::toString).collect(Collectors.joining(", "));
  }
}
