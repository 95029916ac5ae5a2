package dynamorph.app.film.action;

import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import dynamorph.model.timeline.Timeline;

/**
 * What belongs to a film as a whole.
 *
 * @param width of its frames, in pixels
 * @param height of its frames, in pixels
 * @param firstFrame the number of its first frame
 */
record FilmSettings(
    String name, double width, double height, Timecode timecode, long firstFrame, Time duration) {
  /** The timeline with these settings. */
  Timeline on(Timeline line) {
    return line.withTimecode(timecode).withFirstFrame(firstFrame).withDuration(duration);
  }
}
