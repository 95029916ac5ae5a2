package dynamorph.formats.svg;

import dynamorph.model.LengthUnit;
import dynamorph.paint.artwork.Affine;
import java.util.List;
import java.util.Optional;
import org.jsoup.nodes.Element;

/**
 * The size of a drawing.
 *
 * @param width in points
 * @param height in points
 * @param place from user units to points
 * @param viewport in user units
 */
record SvgPage(double width, double height, LengthUnit unit, Affine place, SvgViewport viewport) {
  private static final double POINTS_PER_PHYSICAL = 0.75;

  static SvgPage of(Element root) {
    Optional<List<Double>> box = SvgNumbers.box(root.attr("viewBox"));
    String across = root.attr("width");
    String down = root.attr("height");
    boolean physical = SvgNumbers.isPhysical(across) && SvgNumbers.isPhysical(down);
    double boxWidth = box.map(one -> one.get(2)).orElse(300.0);
    double boxHeight = box.map(one -> one.get(3)).orElse(150.0);
    double width = SvgNumbers.length(across, boxWidth, 16).orElse(boxWidth);
    double height = SvgNumbers.length(down, boxHeight, 16).orElse(width * boxHeight / boxWidth);
    if (SvgNumbers.length(across, 0, 16).isEmpty() && !down.isEmpty()) {
      width = height * boxWidth / boxHeight;
    }
    // a pixel of a screen artboard is a point
    double scale = physical ? POINTS_PER_PHYSICAL : 1;
    Affine place = Affine.scaling(scale, scale);
    if (box.isPresent()) {
      place =
          place.after(
              SvgNumbers.fitted(box.get(), root.attr("preserveAspectRatio"), width, height));
    }
    SvgViewport viewport =
        box.isPresent() ? new SvgViewport(boxWidth, boxHeight) : new SvgViewport(width, height);
    return new SvgPage(
        width * scale, height * scale, unit(physical, SvgNumbers.unit(across)), place, viewport);
  }

  private static LengthUnit unit(boolean physical, String unit) {
    if (!physical) {
      return LengthUnit.PIXEL;
    }
    return switch (unit) {
      case "in" -> LengthUnit.INCH;
      case "pt", "pc" -> LengthUnit.POINT;
      default -> LengthUnit.MILLIMETRE;
    };
  }
}
