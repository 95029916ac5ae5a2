package dynamorph.model.cascade;

import dynamorph.model.property.Level;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.TrackId;

/** Where a value was set. */
public sealed interface Source {
  /** The level at which it takes part in the walk. */
  Level level();

  /** Set by hand. */
  record LocalChange(Level level) implements Source {}

  /**
   * Set in a style.
   *
   * @param followed the style that the text follows
   * @param style the style that sets the value: {@code followed} or one it is based on
   */
  record Followed(Level level, StyleId followed, StyleId style) implements Source {}

  /** The layer's own place, which is no local change. */
  record OwnFrame() implements Source {
    @Override
    public Level level() {
      return Level.LAYER;
    }
  }

  /** Set by hand for all cues of a track. */
  record TrackChange(TrackId track) implements Source {
    @Override
    public Level level() {
      return Level.LAYER;
    }
  }

  /**
   * Set in a style that all cues of a track take, or that their speaker brings.
   *
   * @param followed the style that the track follows
   * @param style the style that sets the value: {@code followed} or one it is based on
   */
  record TrackStyle(TrackId track, StyleId followed, StyleId style) implements Source {
    @Override
    public Level level() {
      return Level.LAYER;
    }
  }

  /**
   * Set in the project's base style.
   *
   * @param style the base style or one it is based on
   */
  record Base(StyleId style) implements Source {
    @Override
    public Level level() {
      return Level.LAYER;
    }
  }

  /** Set nowhere. */
  record Default() implements Source {
    @Override
    public Level level() {
      return Level.LAYER;
    }
  }
}
