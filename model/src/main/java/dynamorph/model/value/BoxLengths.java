package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Four lengths around a box, clockwise: sides from the top, corners from the top left. Written with
 * commas; one stands for all, two for opposite pairs: {@code "0.2 em, 0.5 em"} is 0.2 em above and
 * below, 0.5 em at the right and left (the order of CSS Box 3, 4.2).
 */
public record BoxLengths(Length first, Length second, Length third, Length fourth) {
  /** The same length all around. */
  public static BoxLengths all(Length length) {
    return new BoxLengths(length, length, length, length);
  }

  /** One length for the first and third, one for the second and fourth. */
  public static BoxLengths pairs(Length first, Length second) {
    return new BoxLengths(first, second, first, second);
  }

  public BoxLengths {
    for (Length length : List.of(first, second, third, fourth)) {
      if (length.amount() < 0 || length.amount() > 10_000) {
        throw new IllegalArgumentException(
            Messages.of("box-lengths.expected-lengths-from-0-to-10000", length));
      }
    }
  }

  /**
   * Reads one, two or four lengths.
   *
   * @throws IllegalArgumentException if there are others, or one is none
   */
  public static BoxLengths parse(String text) {
    List<Length> lengths = Arrays.stream(text.split(",")).map(Length::parse).toList();
    return switch (lengths.size()) {
      case 1 -> all(lengths.getFirst());
      case 2 -> pairs(lengths.get(0), lengths.get(1));
      case 4 -> new BoxLengths(lengths.get(0), lengths.get(1), lengths.get(2), lengths.get(3));
      default ->
          throw new IllegalArgumentException(
              Messages.of("box-lengths.expected-one-two-or-four-lengths", text.strip()));
    };
  }

  @Override
  public String toString() {
    List<Length> shortest =
        first.equals(third) && second.equals(fourth)
            ? first.equals(second) ? List.of(first) : List.of(first, second)
            : List.of(first, second, third, fourth);
    return shortest.stream().map(Length::toString).collect(Collectors.joining(", "));
  }
}
