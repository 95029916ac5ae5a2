package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.Arrays;
import java.util.Collections;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Places on the axes of a variable font, by tag: {@code "opsz=72, SOFT=50"}; none set is written
 * {@code none}. A place beyond an axis is the nearest end of it.
 */
public record AxisSettings(SortedMap<String, Double> values) {
  public static final AxisSettings NONE = new AxisSettings(new TreeMap<>());

  public AxisSettings {
    values.forEach((tag, value) -> {
      if (!tag.matches("[\\x21-\\x7e][\\x20-\\x7e]{3}") || !Double.isFinite(value)) {
        throw new IllegalArgumentException(
            Messages.of("axis-settings.an-axis-is-four-letters-and", tag));
      }
    });
    values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
  }

  /**
   * Reads a list of axes.
   *
   * @throws IllegalArgumentException naming the part that is none
   */
  public static AxisSettings parse(String text) {
    if (text.isBlank() || text.strip().equalsIgnoreCase("none")) {
      return NONE;
    }
    SortedMap<String, Double> values = new TreeMap<>();
    for (String part : Arrays.stream(text.split(",")).map(String::strip).toList()) {
      String[] sides = part.split("=", 2);
      if (sides.length < 2) {
        throw new IllegalArgumentException(
            Messages.of("axis-settings.expected-an-axis-such-as-opsz", part));
      }
      values.put(tag(sides[0].strip()), Numbers.parse(sides[1].strip()));
    }
    return new AxisSettings(values);
  }

  /** A tag of fewer than four letters is filled up with spaces (OpenType, "Tag" data type). */
  private static String tag(String letters) {
    return letters.isEmpty()
        ? letters
        : (letters + "   ").substring(0, Math.max(4, letters.length()));
  }

  public AxisSettings with(String tag, double value) {
    SortedMap<String, Double> all = new TreeMap<>(values);
    all.put(tag, value);
    return new AxisSettings(all);
  }

  @Override
  public String toString() {
    return values.isEmpty()
        ? "none"
        : values.entrySet().stream()
            .map(axis -> axis.getKey().stripTrailing() + "=" + Numbers.format(axis.getValue()))
            .collect(Collectors.joining(", "));
  }
}
