package dynamorph.paint.arrange;

import dynamorph.model.LayerId;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import java.util.List;

/**
 * A text or a shape as it stands on its artboard.
 *
 * @param box the upright box around it, in points of the artboard
 * @param baselines of its lines from the top, in points of the artboard; none where they are not
 *     level
 */
public record Arranged(LayerId layer, Box box, List<Double> baselines) {
  public Arranged {
    baselines = List.copyOf(baselines);
  }

  public static Arranged of(PlacedLayer text) {
    return new Arranged(text.layer().id(), text.bounds(), baselines(text));
  }

  private static List<Double> baselines(PlacedLayer text) {
    boolean level =
        text.layer().isText()
            && text.look().placement().rotation() == 0
            && !text.layout().axes().isVertical();
    return level
        ? text.layout().shownLines().stream()
            .map(Line::baseline)
            .map(baseline -> text.toArtboard(0, baseline).y())
            .distinct()
            .toList()
        : List.of();
  }

  /** The same thing, moved by points of the artboard. */
  public Arranged moved(double across, double down) {
    return new Arranged(
        layer, box.moved(across, down), baselines.stream().map(at -> at + down).toList());
  }
}
