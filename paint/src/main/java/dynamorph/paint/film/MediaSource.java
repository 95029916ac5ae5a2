package dynamorph.paint.film;

import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import io.github.humbleui.skija.Image;
import java.util.Optional;

/** Gives the pictures of media that are not drawn by code. Safe on any thread. */
@FunctionalInterface
public interface MediaSource {
  /** Has nothing. */
  MediaSource NONE = (_, _) -> Optional.empty();

  /**
   * The picture at a moment of the media; empty if it is missing or cannot be read. The caller does
   * not close it.
   */
  Optional<Image> picture(Media media, Time at);
}
