package dynamorph.app.film.lanes;

import dynamorph.model.timeline.Time;

/**
 * Which part of a timeline the lanes show.
 *
 * @param start the moment at their left edge, in seconds; 0 or later
 * @param scale pixels for a second, positive
 */
record LaneView(double start, double scale) {
  private static final double LEAST = 0.05;
  private static final double MOST = 4000;

  double x(Time time) {
    return (time.seconds() - start) * scale;
  }

  Time time(double x) {
    return Time.ofSeconds(Math.max(0, start + x / scale));
  }

  /** A length of time for pixels. */
  Time length(double pixels) {
    return Time.ofSeconds(pixels / scale);
  }

  LaneView panned(double pixels) {
    return new LaneView(Math.max(0, start + pixels / scale), scale);
  }

  /** Zoomed about a point. */
  LaneView zoomed(double factor, double x) {
    double changed = Math.clamp(scale * factor, LEAST, MOST);
    double under = start + x / scale;
    return new LaneView(Math.max(0, under - x / changed), changed);
  }

  /** All of it, with a little room. */
  static LaneView fitting(Time duration, double width) {
    return new LaneView(0, Math.clamp(width * 0.97 / duration.seconds(), LEAST, MOST));
  }

  /** Seconds between two numbers on the ruler, so that they stand some pixels apart. */
  double step() {
    double[] steps = {
      0.04, 0.2, 0.4, 1, 2, 5, 10, 20, 30, 60, 120, 300, 600, 1800, 3600, 7200, 36_000
    };
    for (double step : steps) {
      if (step * scale >= 84) {
        return step;
      }
    }
    return 36_000;
  }
}
