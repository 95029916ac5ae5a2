package dynamorph.paint.film;

import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import io.github.humbleui.skija.Image;
import java.util.function.Consumer;

/** Gives the pictures of media that are not drawn by code. Safe on any thread. */
@FunctionalInterface
public interface MediaSource {
  /** Has nothing. */
  MediaSource NONE = (_, _, _, _, _) -> false;

  /**
   * How large the frame is that a picture fills, in pixels. A picture that comes in just that size
   * need not be scaled when it is drawn.
   */
  record Room(int width, int height) {
    /** Nothing is known about it. */
    public static final Room ANY = new Room(0, 0);
  }

  /** Whether nothing is seen through pictures of media, as far as that is known by now. */
  default boolean isOpaque(Media media) {
    return false;
  }

  /**
   * Shows the picture at a moment of the media.
   *
   * @param rate of the film; numbered pictures follow each other at it
   * @param room where it is seen; the picture may have the size that fills it, or its own
   * @param taker gets the picture, which lives only until it returns
   * @return false if it is missing or cannot be read
   */
  boolean show(Media media, Time at, FrameRate rate, Room room, Consumer<Image> taker);
}
