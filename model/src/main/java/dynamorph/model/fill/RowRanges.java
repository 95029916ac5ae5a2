package dynamorph.model.fill;

import dynamorph.model.message.Messages;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.SequencedSet;
import java.util.stream.IntStream;

/** Rows of a table as people write them: {@code 1-20, 25}. */
public final class RowRanges {
  private RowRanges() {}

  /**
   * The places of rows, from 0, each once; all rows if nothing is written.
   *
   * @param count how many rows there are
   * @throws IllegalArgumentException saying which part names no row
   */
  public static List<Integer> parse(String text, int count) {
    String plain = text.replaceAll("\\s", "");
    if (plain.isEmpty()) {
      return IntStream.range(0, count).boxed().toList();
    }
    SequencedSet<Integer> rows = new LinkedHashSet<>();
    for (String part : plain.split(",", -1)) {
      String[] sides = part.split("[-\u2013]", 2);
      int from = number(sides[0]);
      int to = sides.length == 2 ? number(sides[1]) : from;
      if (from < 1 || to < from || to > count) {
        throw new IllegalArgumentException(Messages.of("row-ranges.no-such-rows", part, count));
      }
      IntStream.range(from - 1, to).forEach(rows::add);
    }
    return List.copyOf(rows);
  }

  private static int number(String text) {
    return text.matches("\\d{1,6}") ? Integer.parseInt(text) : -1;
  }
}
