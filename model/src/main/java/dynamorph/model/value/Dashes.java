package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The lengths of dashes and gaps in turn: {@code "0.2 em, 0.1 em"}; an odd number of them is gone
 * through twice, as in SVG. A dash of no length is a dot where the cap is round. A solid stroke is
 * written {@code none}.
 */
public record Dashes(List<Length> lengths) {
  public static final Dashes NONE = new Dashes(List.of());

  /** The most lengths one pattern may have. */
  private static final int MOST = 32;

  public Dashes {
    lengths = List.copyOf(lengths);
    if (lengths.size() > MOST) {
      throw new IllegalArgumentException(
          Messages.of("dashes.dashes-may-have-lengths-found", MOST, lengths.size()));
    }
    if (lengths.stream().anyMatch(length -> length.amount() < 0)) {
      throw new IllegalArgumentException(Messages.of("dashes.a-dash-or-gap-must-not"));
    }
    if (!lengths.isEmpty() && lengths.stream().allMatch(length -> length.amount() == 0)) {
      throw new IllegalArgumentException(Messages.of("dashes.dashes-and-gaps-must-take-some"));
    }
  }

  public boolean isSolid() {
    return lengths.isEmpty();
  }

  /**
   * Reads lengths.
   *
   * @throws IllegalArgumentException naming the part that is none
   */
  public static Dashes parse(String text) {
    if (text.isBlank() || text.strip().equalsIgnoreCase("none")) {
      return NONE;
    }
    return new Dashes(Arrays.stream(text.split(",")).map(Length::parse).toList());
  }

  @Override
  public String toString() {
    return lengths.isEmpty()
        ? "none"
        : lengths.stream().map(Length::toString).collect(Collectors.joining(", "));
  }
}
