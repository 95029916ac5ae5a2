package dynamorph.app.finish;

import dynamorph.model.style.Palette;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.OkLab;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.layout.Background;
import javafx.scene.layout.BackgroundFill;
import javafx.scene.layout.CornerRadii;
import javafx.scene.paint.Color;
import javafx.scene.paint.CycleMethod;
import javafx.scene.paint.LinearGradient;
import javafx.scene.paint.Stop;

/** A small picture of a gradient. */
final class GradientChip {
  /** Stops of the toolkit for one piece of a gradient, which it mixes in another space. */
  private static final int PIECES = 6;

  private static final CornerRadii ROUND = new CornerRadii(4);

  private GradientChip() {}

  static Background of(Optional<GradientStops> stops, Palette palette) {
    if (stops.isEmpty()) {
      return Background.EMPTY;
    }
    List<Stop> shown = new ArrayList<>();
    GradientStops.Stop before = stops.get().stops().getFirst();
    for (GradientStops.Stop stop : stops.get().stops()) {
      for (int piece = 1; piece < PIECES; piece++) {
        double share = piece / (double) PIECES;
        shown.add(
            stop(
                before.position() + share * (stop.position() - before.position()),
                OkLab.mixed(rgba(before, palette), rgba(stop, palette), share)));
      }
      shown.add(stop(stop.position(), rgba(stop, palette)));
      before = stop;
    }
    LinearGradient across =
        new LinearGradient(0, 0, 1, 0, true, CycleMethod.NO_CYCLE, shown.toArray(Stop[]::new));
    return new Background(
        new BackgroundFill(Color.web("#d9d6cf"), ROUND, Insets.EMPTY),
        new BackgroundFill(across, ROUND, Insets.EMPTY));
  }

  private static Rgba rgba(GradientStops.Stop stop, Palette palette) {
    return palette.colour(stop.colour()).faded(stop.opacity());
  }

  private static Stop stop(double position, Rgba colour) {
    return new Stop(
        position, Color.rgb(colour.red(), colour.green(), colour.blue(), colour.alpha() / 255.0));
  }
}
