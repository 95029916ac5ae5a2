package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Where tabs stop, from the start of the line: {@code "36, 180 end '.', 240 decimal"}; none is
 * written {@code none}.
 */
public record TabStops(List<Stop> stops) {
  public static final TabStops NONE = new TabStops(List.of());

  private static final Pattern WRITTEN =
      Pattern.compile(
          "(\\d+(?:\\.\\d+)?)\\s*(?:pt)?\\s*(start|centre|end|decimal)?\\s*(?:'(.+)')?");

  /** What stands at a stop. */
  public enum Align {
    START,
    CENTRE,
    END,
    DECIMAL
  }

  /**
   * A stop.
   *
   * @param position points from the start of the line
   * @param leader what fills the way to it; empty for nothing
   */
  public record Stop(double position, Align align, String leader) {
    @Override
    public String toString() {
      return Numbers.format(position)
          + (align == Align.START ? "" : " " + align.name().toLowerCase(Locale.ROOT))
          + (leader.isEmpty() ? "" : " '" + leader + "'");
    }
  }

  public TabStops {
    stops = stops.stream().sorted(Comparator.comparingDouble(Stop::position)).toList();
  }

  /**
   * Reads stops.
   *
   * @throws IllegalArgumentException naming the part that is none
   */
  public static TabStops parse(String text) {
    if (text.isBlank() || text.strip().equalsIgnoreCase("none")) {
      return NONE;
    }
    List<Stop> stops = new ArrayList<>();
    for (String part : text.split(",(?![^']*'(?:[^']*'[^']*')*[^']*$)")) {
      Matcher written = WRITTEN.matcher(part.strip());
      if (!written.matches()) {
        throw new IllegalArgumentException(
            Messages.of("tab-stops.expected-a-tab-stop-such-as", part.strip()));
      }
      Align align =
          written.group(2) == null
              ? Align.START
              : Align.valueOf(written.group(2).toUpperCase(Locale.ROOT));
      String leader = written.group(3) == null ? "" : written.group(3);
      stops.add(new Stop(Double.parseDouble(written.group(1)), align, leader));
    }
    return new TabStops(stops);
  }

  @Override
  public String toString() {
    return stops.isEmpty()
        ? "none"
        : stops.stream().map(Stop::toString).collect(Collectors.joining(", "));
  }
}
