package dynamorph.typeset.compose;

import dynamorph.typeset.shape.ShapedRun;

/**
 * The part of a shaped run that lies on a line.
 *
 * @param from first cluster, in visual order
 * @param to one past the last cluster
 * @param offset unit of the paragraph at which the run's own text begins
 * @param behind first unit of the run's own text that is no part of the paragraph, such as a hyphen
 */
record RunSegment(ShapedRun run, int from, int to, int offset, int behind) {
  /** The clusters that begin between two units of the run's own text. */
  static RunSegment of(ShapedRun run, int start, int end, int offset, int behind) {
    // in text that runs to the left the clusters at or behind a unit come first
    return run.rightToLeft()
        ? new RunSegment(run, run.clusterFrom(end), run.clusterFrom(start), offset, behind)
        : new RunSegment(run, run.clusterFrom(start), run.clusterFrom(end), offset, behind);
  }

  boolean isEmpty() {
    return from >= to;
  }
}
