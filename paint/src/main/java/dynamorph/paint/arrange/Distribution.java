package dynamorph.paint.arrange;

import dynamorph.model.LayerId;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** Texts in a row or a column with the same gap between all of them. */
public final class Distribution {
  /** Gaps that differ by less are the same, in points. */
  private static final double SAME = 0.01;

  private final Axis axis;
  private final List<Arranged> inOrder;

  public Distribution(Axis axis, List<Arranged> texts) {
    this.axis = axis;
    this.inOrder =
        texts.stream().sorted(Comparator.comparingDouble(text -> axis.middle(text.box()))).toList();
  }

  /**
   * How far each text is moved along the axis, in points, so that all gaps are equal; the first and
   * the last stay. Nothing for fewer than three.
   */
  public Map<LayerId, Double> equal() {
    if (inOrder.size() < 3) {
      return Map.of();
    }
    double from = axis.low(inOrder.getFirst().box());
    double to = axis.high(inOrder.getLast().box());
    double filled = inOrder.stream().mapToDouble(text -> axis.length(text.box())).sum();
    return spaced((to - from - filled) / (inOrder.size() - 1));
  }

  /**
   * How far each text is moved along the axis, in points, so that all gaps have a size; the first
   * stays.
   *
   * @param gap in points; below zero they overlap
   */
  public Map<LayerId, Double> spaced(double gap) {
    Map<LayerId, Double> moves = new LinkedHashMap<>();
    double next = inOrder.isEmpty() ? 0 : axis.low(inOrder.getFirst().box());
    for (Arranged text : inOrder) {
      moves.put(text.layer(), next - axis.low(text.box()));
      next += axis.length(text.box()) + gap;
    }
    return moves;
  }

  /** The gap, in points; empty where it is not the same between all, or there is none. */
  public OptionalDouble gap() {
    if (inOrder.size() < 2) {
      return OptionalDouble.empty();
    }
    double first = gap(1);
    for (int index = 2; index < inOrder.size(); index++) {
      if (Math.abs(gap(index) - first) > SAME) {
        return OptionalDouble.empty();
      }
    }
    return OptionalDouble.of(first);
  }

  private double gap(int index) {
    return axis.low(inOrder.get(index).box()) - axis.high(inOrder.get(index - 1).box());
  }
}
