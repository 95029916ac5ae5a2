package dynamorph.app.film.lanes;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Where the tracks of a film lie on the lanes, in pixels of their node.
 *
 * @param view which part of the film is seen
 * @param top how far the rows are scrolled up
 * @param tracks from the uppermost row down
 */
record LaneRows(LaneView view, double top, List<Track> tracks) {
  /** Height of the ruler above the rows. */
  static final double RULER = 24;

  /** Height of a row. */
  static final double ROW = 28;

  /** How near to its edge a block is trimmed instead of moved. */
  static final double EDGE = 6;

  /** The upper edge of a row. */
  double y(int row) {
    return RULER + row * ROW - top;
  }

  /** Height of the ruler and all rows. */
  double height() {
    return RULER + tracks.size() * ROW;
  }

  /** The track whose row lies at a height. */
  Optional<Track> trackAt(double y) {
    int row = (int) Math.floor((y - RULER + top) / ROW);
    return y < RULER || row < 0 || row >= tracks.size()
        ? Optional.empty()
        : Optional.of(tracks.get(row));
  }

  /** The tracks whose rows lie between two heights, in whole or in part. */
  Set<TrackId> between(double y1, double y2) {
    Set<TrackId> touched = new LinkedHashSet<>();
    for (int row = 0; row < tracks.size(); row++) {
      if (y(row + 1) > Math.min(y1, y2) && y(row) < Math.max(y1, y2)) {
        touched.add(tracks.get(row).id());
      }
    }
    return touched;
  }

  /** How far the rows have to be scrolled up for one to be seen, in a node of a height. */
  double topFor(int row, double nodeHeight) {
    double most = Math.max(0, height() - nodeHeight);
    double above = row * ROW;
    double below = RULER + (row + 1) * ROW - nodeHeight;
    return Math.clamp(Math.clamp(top, Math.min(below, above), above), 0, most);
  }

  /** The text or clip at a point; where several lie over each other, the uppermost. */
  Optional<LaneHit> hit(Artboard board, double x, double y) {
    Optional<Track> track = trackAt(y);
    if (track.isEmpty()) {
      return Optional.empty();
    }
    if (track.get() instanceof Track.Footage footage) {
      return footage.clips().reversed().stream()
          .filter(clip -> isOver(x, clip.in(), clip.out()))
          .findFirst()
          .map(clip ->
              new LaneHit(
                  footage, Optional.empty(), Optional.of(clip), part(x, clip.in(), clip.out())));
    }
    return board.on(track.get().id()).reversed().stream()
        .filter(layer -> isOver(x, time(layer).in(), time(layer).out()))
        .findFirst()
        .map(layer ->
            new LaneHit(
                track.get(),
                Optional.of(layer),
                Optional.empty(),
                part(x, time(layer).in(), time(layer).out())));
  }

  /** The timing of a layer on a track. */
  static Timing time(Layer layer) {
    return layer.timing().orElseThrow();
  }

  private boolean isOver(double x, Time in, Time out) {
    return x >= view.x(in) - 1 && x <= Math.max(view.x(out), view.x(in) + 3);
  }

  private LaneHit.Part part(double x, Time in, Time out) {
    double edge = Math.min(EDGE, (view.x(out) - view.x(in)) / 4);
    return x < view.x(in) + edge
        ? LaneHit.Part.IN
        : x > view.x(out) - edge ? LaneHit.Part.OUT : LaneHit.Part.MIDDLE;
  }
}
