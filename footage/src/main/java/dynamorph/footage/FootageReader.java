package dynamorph.footage;

import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.paint.film.MediaSource;
import io.github.humbleui.skija.Image;

/** Footage from files, picture by picture. One thread at a time uses it. */
interface FootageReader extends AutoCloseable {
  /**
   * The picture that is seen at a moment; the last one after its end. The caller closes it.
   *
   * @param rate of the film
   * @param room that it fills; it may come in the size that does, or in its own
   * @throws FootageUnreadable if it cannot be read
   */
  Image picture(Time at, FrameRate rate, MediaSource.Room room) throws FootageException;

  FootageInfo facts(FrameRate rate) throws FootageException;

  @Override
  void close();
}
