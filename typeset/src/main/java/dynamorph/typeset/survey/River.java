package dynamorph.typeset.survey;

import dynamorph.typeset.compose.GlyphRun;
import dynamorph.typeset.layout.Line;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Wide spaces that stand below each other in successive lines of a column, so that the eye follows
 * them through the words.
 *
 * @param first index of the line that it begins in
 * @param last index of the line that it ends in
 */
public record River(int first, int last) {
  /** Of the narrower of two spaces, so much stands below the other. */
  private static final double OVERLAP = 0.5;

  /**
   * A space between words.
   *
   * @param left in points, as the lines count
   * @param source index of the line that the spaces above it begin in
   */
  private record Gap(double left, double right, int source) {
    boolean flowsInto(Gap below) {
      double common = Math.min(right, below.right) - Math.max(left, below.left);
      return common >= OVERLAP * Math.min(right - left, below.right - below.left);
    }
  }

  /** How many lines it flows through. */
  public int length() {
    return last - first + 1;
  }

  /**
   * The rivers in lines, from the top; of several that flow side by side the longest.
   *
   * @param words of the story that the lines belong to
   * @param lines how many it flows through at least
   * @param width how wide each of its spaces is at least, in em
   */
  public static List<River> in(List<Line> set, String words, int lines, double width) {
    List<River> rivers = new ArrayList<>();
    List<Gap> above = List.of();
    for (int index = 0; index < set.size(); index++) {
      Line line = set.get(index);
      boolean goesOn = index > 0 && set.get(index - 1).x() == line.x();
      int at = index;
      List<Gap> before = goesOn ? above : List.of();
      above =
          gaps(line, words, width).stream()
              .map(gap -> new Gap(gap.left, gap.right, source(before, gap).orElse(at)))
              .toList();
      above.forEach(gap -> rivers.add(new River(gap.source, at)));
    }
    return apart(rivers.stream().filter(river -> river.length() >= lines).toList());
  }

  private static Optional<Integer> source(List<Gap> above, Gap gap) {
    return above.stream()
        .filter(one -> one.flowsInto(gap))
        .map(Gap::source)
        .min(Comparator.naturalOrder());
  }

  private static List<River> apart(List<River> rivers) {
    List<River> kept = new ArrayList<>();
    rivers.stream()
        .sorted(Comparator.comparingInt(River::length).reversed())
        .filter(river ->
            kept.stream().noneMatch(one -> one.first <= river.last && river.first <= one.last))
        .forEach(kept::add);
    kept.sort(Comparator.comparingInt(River::first));
    return kept;
  }

  /** The wide spaces of a line, without those at its ends. */
  private static List<Gap> gaps(Line line, String words, double width) {
    List<Gap> gaps = new ArrayList<>();
    double begin = line.left();
    double end = begin + line.width();
    for (GlyphRun run : line.runs()) {
      for (int cluster = 0; cluster < run.starts().length; cluster++) {
        int unit = line.paragraphStart() + run.starts()[cluster];
        double left = line.x() + run.left()[cluster];
        double right = line.x() + run.right()[cluster];
        boolean inside = left > begin + 1e-3 && right < end - 1e-3;
        if (inside
            && unit < words.length()
            && Character.isSpaceChar(words.charAt(unit))
            && right - left >= width * run.size()) {
          gaps.add(new Gap(left, right, 0));
        }
      }
    }
    return gaps;
  }
}
