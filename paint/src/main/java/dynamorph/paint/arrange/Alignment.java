package dynamorph.paint.arrange;

import dynamorph.model.LayerId;
import dynamorph.typeset.layout.Box;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** How texts are brought onto one line. */
public enum Alignment {
  LEFT(Axis.ACROSS, 0),
  CENTRE(Axis.ACROSS, 0.5),
  RIGHT(Axis.ACROSS, 1),
  TOP(Axis.DOWN, 0),
  MIDDLE(Axis.DOWN, 0.5),
  BOTTOM(Axis.DOWN, 1),
  /** The first baselines; what has none stays where it is. */
  BASELINE(Axis.DOWN, 0);

  private final Axis axis;
  private final double share;

  Alignment(Axis axis, double share) {
    this.axis = axis;
    this.share = share;
  }

  /** The direction in which texts are moved. */
  public Axis axis() {
    return axis;
  }

  /**
   * How far each text is moved along {@link #axis}, in points.
   *
   * @param within what they are aligned to; baselines to that of the leftmost text instead
   */
  public Map<LayerId, Double> moves(List<Arranged> texts, Box within) {
    return this == BASELINE ? onBaseline(texts) : inBox(texts, within);
  }

  private Map<LayerId, Double> inBox(List<Arranged> texts, Box within) {
    double line = at(within);
    Map<LayerId, Double> moves = new LinkedHashMap<>();
    texts.forEach(text -> moves.put(text.layer(), line - at(text.box())));
    return moves;
  }

  private double at(Box box) {
    return axis.low(box) + share * axis.length(box);
  }

  private static Map<LayerId, Double> onBaseline(List<Arranged> texts) {
    List<Arranged> level = texts.stream().filter(text -> !text.baselines().isEmpty()).toList();
    Map<LayerId, Double> moves = new LinkedHashMap<>();
    level.stream()
        .min(Comparator.comparingDouble(text -> text.box().x()))
        .map(text -> text.baselines().getFirst())
        .ifPresent(line ->
            level.forEach(text -> moves.put(text.layer(), line - text.baselines().getFirst())));
    return moves;
  }
}
