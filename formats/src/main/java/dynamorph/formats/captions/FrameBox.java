package dynamorph.formats.captions;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FrameArea;
import java.util.Optional;

/**
 * The frame that places in a file are parts of.
 *
 * @param width in points
 * @param height in points
 */
public record FrameBox(double width, double height) {
  public static final FrameBox HD = new FrameBox(1920, 1080);

  /**
   * A place given in hundredths of the frame.
   *
   * @param anchor which point of the text lies there, and what it is measured from
   * @param x of the frame's width from its left edge; empty for the middle
   * @param y of the frame's height from its top edge; empty for where the track stands
   */
  PropertySet place(Anchor anchor, Optional<Double> x, Optional<Double> y) {
    PropertySet placed = PropertySet.EMPTY;
    if (x.isEmpty() && y.isEmpty()) {
      return placed;
    }
    Anchor used = y.isPresent() ? anchor : lower(anchor);
    placed = placed.with(Properties.ANCHOR, used);
    if (x.isPresent()) {
      placed =
          placed
              .with(Properties.POSITION_X, round(x.get() / 100 * width - used.across() * width))
              .with(Properties.SHARE_X, 0.0);
    }
    if (y.isPresent()) {
      placed =
          placed
              .with(Properties.POSITION_Y, round(y.get() / 100 * height - used.down() * height))
              .with(Properties.SHARE_Y, 0.0)
              .with(Properties.RELATIVE_TO, FrameArea.FRAME);
    }
    return placed;
  }

  private static Anchor lower(Anchor anchor) {
    return anchor.across() == 0
        ? Anchor.BOTTOM_LEFT
        : anchor.across() == 1 ? Anchor.BOTTOM_RIGHT : Anchor.BOTTOM;
  }

  /** A width in hundredths of the frame. */
  PropertySet width(double share) {
    return PropertySet.EMPTY
        .with(Properties.BOX, BoxFit.GROW)
        .with(Properties.BOX_WIDTH, round(share / 100 * width));
  }

  /** Lines of vertical text that are so many hundredths of the frame long. */
  PropertySet height(double share) {
    return PropertySet.EMPTY
        .with(Properties.BOX, BoxFit.GROW)
        .with(Properties.BOX_HEIGHT, round(share / 100 * height));
  }

  /** Where a point lies that is an offset from an anchor, in hundredths of the width. */
  double shareAcross(Anchor anchor, double x) {
    return hundredth(anchor.across() * 100 + x / width * 100);
  }

  double shareDown(Anchor anchor, double y) {
    return hundredth(anchor.down() * 100 + y / height * 100);
  }

  private static double round(double points) {
    return Math.round(points * 10) / 10.0;
  }

  private static double hundredth(double share) {
    return Math.round(share * 100) / 100.0;
  }
}
