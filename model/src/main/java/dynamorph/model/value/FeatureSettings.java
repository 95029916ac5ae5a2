package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.Arrays;
import java.util.Collections;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * OpenType features by tag: 0 is off, 1 on, more chooses among alternates. Written {@code "smcp,
 * onum=1, cv05=2"}; nothing set is written {@code none}.
 *
 * @param values the setting of each tag
 */
public record FeatureSettings(SortedMap<String, Integer> values) {
  public static final FeatureSettings NONE = new FeatureSettings(new TreeMap<>());

  public FeatureSettings {
    values.forEach((tag, value) -> {
      if (!tag.matches("[\\x20-\\x7e]{4}") || value < 0 || value > 65_535) {
        throw new IllegalArgumentException(
            Messages.of("feature-settings.a-feature-is-four-letters-and", tag, value));
      }
    });
    values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
  }

  /**
   * Reads a list of features.
   *
   * @throws IllegalArgumentException naming the part that is none
   */
  public static FeatureSettings parse(String text) {
    if (text.isBlank() || text.strip().equalsIgnoreCase("none")) {
      return NONE;
    }
    SortedMap<String, Integer> values = new TreeMap<>();
    Arrays.stream(text.split(",")).map(String::strip).forEach(part -> read(part, values));
    return new FeatureSettings(values);
  }

  private static void read(String part, SortedMap<String, Integer> values) {
    String[] sides = part.split("=", 2);
    try {
      if (sides[0].startsWith("-")) {
        values.put(sides[0].substring(1).strip(), 0);
      } else {
        values.put(sides[0].strip(), sides.length == 1 ? 1 : Integer.parseInt(sides[1].strip()));
      }
    } catch (NumberFormatException _) {
      throw new IllegalArgumentException(
          Messages.of("feature-settings.expected-a-feature-such-as-smcp", part));
    }
  }

  /** These settings with others over them. */
  public FeatureSettings with(FeatureSettings over) {
    if (over.values.isEmpty()) {
      return this;
    }
    SortedMap<String, Integer> all = new TreeMap<>(values);
    all.putAll(over.values);
    return new FeatureSettings(all);
  }

  public FeatureSettings with(String tag, int value) {
    SortedMap<String, Integer> all = new TreeMap<>(values);
    all.put(tag, value);
    return new FeatureSettings(all);
  }

  /** These settings without one. */
  public FeatureSettings without(String tag) {
    SortedMap<String, Integer> rest = new TreeMap<>(values);
    rest.remove(tag);
    return new FeatureSettings(rest);
  }

  public boolean isOn(String tag) {
    return values.getOrDefault(tag, 0) > 0;
  }

  @Override
  public String toString() {
    return values.isEmpty()
        ? "none"
        : values.entrySet().stream().map(FeatureSettings::format).collect(Collectors.joining(", "));
  }

  private static String format(Map.Entry<String, Integer> setting) {
    return setting.getValue() == 1 ? setting.getKey() : setting.getKey() + "=" + setting.getValue();
  }
}
