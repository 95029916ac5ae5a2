package dynamorph.bench;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;

/**
 * How many times as fast this typesetter is as Skia's paragraph module at the text of {@link
 * LayoutBench}. They take turns, so that a machine which is now faster and now slower serves all
 * alike, and do each turn several times, of which the best counts, so that none finds the
 * processor's memory full of what another did. The figures are medians over all turns.
 */
public final class LayoutRatios {
  private static final int WARMUP = 30;
  private static final int TURNS = 60;
  private static final int TIMES = 12;

  private LayoutRatios() {}

  public static void main(String[] arguments) throws Exception {
    LayoutBench bench = new LayoutBench();
    bench.open();
    LayoutBench.Unseen unseen = new LayoutBench.Unseen();
    unseen.write(bench);
    report(
        "prose never seen before",
        () -> {
          unseen.write(bench);
          return null;
        },
        turns(
            "line by line", () -> bench.unseenByLine(unseen),
            "whole paragraph", () -> bench.unseenByParagraph(unseen),
            "Skia", () -> bench.unseenSkia(unseen)));
    report(
        "the same prose at another width",
        () -> null,
        turns(
            "line by line", bench::widthByLine,
            "whole paragraph", bench::widthByParagraph,
            "Skia", bench::widthSkia));
    report(
        "the same prose at another width, each line's place asked for",
        () -> null,
        turns(
            "line by line", bench::widthByLinePlaces,
            "with all glyphs", bench::widthByLineGlyphs,
            "Skia", bench::widthSkia));
    report(
        "the same prose at another size",
        () -> null,
        turns(
            "line by line", bench::sizeByLine,
            "whole paragraph", bench::sizeByParagraph,
            "Skia", bench::sizeSkia));
    report(
        "the same prose in another colour",
        () -> null,
        turns(
            "line by line", bench::colourByLine,
            "whole paragraph", bench::colourByParagraph,
            "Skia", bench::colourSkia));
    bench.close();
  }

  private static Map<String, Supplier<Object>> turns(
      String one,
      Supplier<Object> first,
      String two,
      Supplier<Object> second,
      String three,
      Supplier<Object> third) {
    Map<String, Supplier<Object>> turns = new LinkedHashMap<>();
    turns.put(one, first);
    turns.put(two, second);
    turns.put(three, third);
    return turns;
  }

  private static void report(
      String what, Supplier<Object> before, Map<String, Supplier<Object>> turns) {
    double[][] taken = new double[turns.size()][TURNS];
    for (int turn = -WARMUP; turn < TURNS; turn++) {
      int index = 0;
      for (Supplier<Object> work : turns.values()) {
        double best = Double.POSITIVE_INFINITY;
        for (int time = 0; time < TIMES; time++) {
          var _ = before.get();
          long start = System.nanoTime();
          Object made = work.get();
          best = Math.min(best, (System.nanoTime() - start) / 1e6);
          if (made == null) {
            throw new IllegalStateException("nothing was set");
          }
        }
        if (turn >= 0) {
          taken[index][turn] = best;
        }
        index++;
      }
    }
    List<String> names = List.copyOf(turns.keySet());
    int skia = names.size() - 1;
    System.out.println(what);
    for (int index = 0; index < names.size(); index++) {
      double[] ratios = new double[TURNS];
      for (int turn = 0; turn < TURNS; turn++) {
        ratios[turn] = taken[skia][turn] / taken[index][turn];
      }
      System.out.printf(
          "  %-16s %8.3f ms, %6.1f times Skia%n",
          names.get(index), median(taken[index]), median(ratios));
    }
  }

  private static double median(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }
}
