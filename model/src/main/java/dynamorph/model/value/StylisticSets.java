package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.Arrays;
import java.util.Collections;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** The stylistic sets that are on, 1 to 20: {@code "1, 3"}; none is written {@code none}. */
public record StylisticSets(SortedSet<Integer> numbers) {
  public static final StylisticSets NONE = new StylisticSets(new TreeSet<>());

  public StylisticSets {
    if (numbers.stream().anyMatch(number -> number < 1 || number > 20)) {
      throw new IllegalArgumentException(
          Messages.of("stylistic-sets.stylistic-sets-are-numbered-1-to", numbers));
    }
    numbers = Collections.unmodifiableSortedSet(new TreeSet<>(numbers));
  }

  /**
   * Reads numbers.
   *
   * @throws IllegalArgumentException if one is no number from 1 to 20
   */
  public static StylisticSets parse(String text) {
    if (text.isBlank() || text.strip().equalsIgnoreCase("none")) {
      return NONE;
    }
    try {
      return new StylisticSets(
          Arrays.stream(text.split(","))
              .map(String::strip)
              .map(Integer::valueOf)
              .collect(Collectors.toCollection(TreeSet::new)));
    } catch (NumberFormatException _) {
      throw new IllegalArgumentException(
          Messages.of("stylistic-sets.expected-numbers-such-as-1-3", text));
    }
  }

  /** With one set switched to the other side. */
  public StylisticSets toggled(int number) {
    SortedSet<Integer> changed = new TreeSet<>(numbers);
    if (!changed.remove(number)) {
      changed.add(number);
    }
    return new StylisticSets(changed);
  }

  /** The feature tag of a set. */
  public static String tag(int number) {
    return "ss%02d".formatted(number);
  }

  @Override
  public String toString() {
    return numbers.isEmpty()
        ? "none"
        : numbers.stream().map(String::valueOf).collect(Collectors.joining(", "));
  }
}
