package dynamorph.footage;

import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import io.github.humbleui.skija.Image;

/** Footage from files, picture by picture. One thread at a time uses it. */
interface Reel extends AutoCloseable {
  /**
   * The picture that is seen at a moment; the last one after its end. The caller closes it.
   *
   * @param rate of the film
   * @throws FootageUnreadable if it cannot be read
   */
  Image picture(Time at, FrameRate rate) throws FootageUnreadable;

  FootageFacts facts(FrameRate rate) throws FootageUnreadable;

  @Override
  void close();
}
