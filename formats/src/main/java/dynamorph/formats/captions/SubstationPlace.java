package dynamorph.formats.captions;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FrameArea;
import java.util.Optional;

/**
 * Where words of a SubStation Alpha script stand.
 *
 * @param key as on a numeric block: 1 is lower left, 8 the middle of the top
 * @param left margin in units of the script
 * @param vertical margin to the foot or the top
 * @param angle degrees anticlockwise
 * @param position where the point that the key names lies; empty if the margins tell it
 */
record SubstationPlace(
    int key, double left, double right, double vertical, double angle, Optional<Point> position) {
  /** A point of the script's picture. */
  record Point(double x, double y) {}

  /** The middle of the foot. */
  static final int FOOT = 2;

  static final SubstationPlace USUAL = new SubstationPlace(FOOT, 10, 10, 10, 0, Optional.empty());

  SubstationPlace withKey(int other) {
    return new SubstationPlace(other, left, right, vertical, angle, position);
  }

  SubstationPlace withAngle(double other) {
    return new SubstationPlace(key, left, right, vertical, other, position);
  }

  SubstationPlace at(Point point) {
    return new SubstationPlace(key, left, right, vertical, angle, Optional.of(point));
  }

  /** With margins of its own where they are not nothing. */
  SubstationPlace withMargins(double ownLeft, double ownRight, double ownVertical) {
    return new SubstationPlace(
        key,
        ownLeft == 0 ? left : ownLeft,
        ownRight == 0 ? right : ownRight,
        ownVertical == 0 ? vertical : ownVertical,
        angle,
        position);
  }

  /** The place as values of a text, whose lines are as long as the margins leave. */
  PropertySet values(SubstationScale scale, SubstationWrapping wrapping) {
    Anchor anchor = anchor(key);
    double x = scale.across(edge(anchor.across(), left, right));
    double y = scale.size(edge(anchor.down(), vertical, vertical));
    if (position.isPresent()) {
      x = scale.across(position.get().x() - anchor.across() * scale.width());
      y = scale.size(position.get().y() - anchor.down() * scale.height());
    }
    PropertySet values =
        PropertySet.EMPTY
            .with(Properties.ANCHOR, anchor)
            .with(Properties.RELATIVE_TO, FrameArea.FRAME)
            .with(Properties.SHARE_X, 0.0)
            .with(Properties.SHARE_Y, 0.0)
            .with(Properties.POSITION_X, tenth(x))
            .with(Properties.POSITION_Y, tenth(y))
            .with(Properties.ROTATION, -tenth(angle % 360) + 0.0)
            .with(Properties.ALIGNMENT, alignment(anchor));
    double room = scale.across(scale.width() - left - right);
    boolean wraps = wrapping != SubstationWrapping.NONE && room > 0;
    return values
        .with(Properties.BOX, wraps ? BoxFit.GROW : BoxFit.POINT)
        .with(Properties.BOX_SHARE, 0.0)
        .with(Properties.BOX_WIDTH, tenth(Math.max(0, room)))
        .with(Properties.BALANCE, wrapping == SubstationWrapping.EVEN);
  }

  /** How far margins move a point inwards; in the middle, half of what they differ. */
  private static double edge(double at, double before, double after) {
    return at == 0 ? before : at == 1 ? -after : (before - after) / 2;
  }

  private static Alignment alignment(Anchor anchor) {
    return anchor.across() == 0
        ? Alignment.LEFT
        : anchor.across() == 1 ? Alignment.RIGHT : Alignment.CENTRE;
  }

  private static double tenth(double points) {
    return Math.round(points * 10) / 10.0;
  }

  /** Places as on the keys of a numeric block. */
  static Anchor anchor(int key) {
    return switch (key) {
      case 1 -> Anchor.BOTTOM_LEFT;
      case 3 -> Anchor.BOTTOM_RIGHT;
      case 4 -> Anchor.LEFT;
      case 5 -> Anchor.CENTRE;
      case 6 -> Anchor.RIGHT;
      case 7 -> Anchor.TOP_LEFT;
      case 8 -> Anchor.TOP;
      case 9 -> Anchor.TOP_RIGHT;
      default -> Anchor.BOTTOM;
    };
  }

  /** The older form counts left, middle, right, then adds 4 for the top and 8 for the middle. */
  static int keyOf(int older) {
    boolean known = older >= 1 && older <= 11 && older % 4 != 0;
    return known ? older % 4 + (older > 8 ? 3 : older > 4 ? 6 : 0) : FOOT;
  }
}
