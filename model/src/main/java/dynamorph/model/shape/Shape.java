package dynamorph.model.shape;

import dynamorph.model.message.Messages;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.Length;

/**
 * The form of a layer that shows no text. It fills the layer's box, and takes coats and effects as
 * letters do.
 */
public sealed interface Shape {
  /** What it is called where a layer has no better name. */
  String name();

  /**
   * A box.
   *
   * @param corners radii clockwise from the top left
   */
  record Rectangle(BoxLengths corners) implements Shape {
    public static final Rectangle SHARP = new Rectangle(BoxLengths.all(Length.ZERO));

    @Override
    public String name() {
      return Messages.of("shape.rectangle");
    }
  }

  /** The ellipse in the box. */
  record Ellipse() implements Shape {
    @Override
    public String name() {
      return Messages.of("shape.ellipse");
    }
  }

  /**
   * A straight line between two corners of the box.
   *
   * @param rising from the bottom left to the top right, else from the top left
   */
  record Line(boolean rising) implements Shape {
    @Override
    public String name() {
      return Messages.of("shape.line");
    }
  }

  /**
   * A polygon whose corners lie on the ellipse in the box, the first at the top.
   *
   * @param corners 3 to 100
   * @param depth how far the middles of its sides are drawn in towards the centre, 0 to 1, which
   *     makes a star; 0 leaves them straight
   */
  record Polygon(int corners, double depth) implements Shape {
    public Polygon {
      if (corners < 3 || corners > 100) {
        throw new IllegalArgumentException(Messages.of("shape.a-polygon-has-3-to-100", corners));
      }
      if (!(depth >= 0 && depth < 1)) {
        throw new IllegalArgumentException(Messages.of("shape.the-depth-of-a-star-is", depth));
      }
    }

    @Override
    public String name() {
      return depth > 0 ? Messages.of("shape.star") : Messages.of("shape.polygon");
    }
  }

  /**
   * A path drawn with the pen.
   *
   * @param data path data as in SVG (W3C SVG 2, 9.3), in a box of its own
   * @param width of that box, which is scaled to the layer's
   * @param height of that box
   * @param inside which of the places that it goes around are inside
   */
  record Drawn(String data, double width, double height, FillRule inside) implements Shape {
    private static final int LONGEST = 1_000_000;

    public Drawn(String data, double width, double height) {
      this(data, width, height, FillRule.NONZERO);
    }

    public Drawn {
      if (!data.matches("\\s*[Mm][MmLlHhVvCcSsQqTtAaZz0-9eE+\\-.,\\s]*")
          || data.length() > LONGEST) {
        throw new IllegalArgumentException(
            Messages.of(
                "shape.expected-path-data-such-as-m0",
                data.substring(0, Math.min(40, data.length()))));
      }
      if (!(width >= 0 && height >= 0 && Double.isFinite(width) && Double.isFinite(height))) {
        throw new IllegalArgumentException(
            Messages.of("shape.the-box-of-a-path-must", width, height));
      }
    }

    @Override
    public String name() {
      return Messages.of("shape.path");
    }
  }

  /**
   * An image of the project, filling the box and cut where it is longer than it.
   *
   * @param image name of the asset
   */
  record Picture(String image) implements Shape {
    @Override
    public String name() {
      return Messages.of("shape.image");
    }
  }
}
