package dynamorph.model.timeline;

import dynamorph.model.message.Messages;
import java.util.Locale;

/** Where the pictures of a clip come from. */
public sealed interface Media {
  /** Drawn by code, the same for the same frame everywhere. */
  record Drawn(Scenery scenery) implements Media {}

  /**
   * One picture that stands.
   *
   * @param asset name of a picture that the project carries
   */
  record Still(String asset) implements Media {}

  /**
   * Numbered pictures in a folder, or a video.
   *
   * @param path of the video, or of the first picture; in a project file it begins at the folder of
   *     that file where it can
   */
  record File(String path) implements Media {}

  /** What is drawn. */
  enum Scenery {
    GEARS,
    PENDULUM,
    DIAL;

    /** What files call it. */
    public String id() {
      return name().toLowerCase(Locale.ROOT);
    }

    /** What people call it. */
    public String label() {
      return Messages.of("scenery." + id());
    }
  }
}
