package dynamorph.paint.layer;

import static java.util.Objects.requireNonNull;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.Paint;
import dynamorph.model.cascade.Plate;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.ResolvedShape;
import dynamorph.model.shape.FillRule;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.PatternTile;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokeJoin;
import dynamorph.paint.geometry.JoinedBoxes;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathDirection;
import io.github.humbleui.skija.PathFillMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Figures as paths in the box of their layer, and the finish they are painted in. */
final class ShapeGeometry {
  private ShapeGeometry() {}

  /** The shape in its box; the caller closes it. */
  static PathShape shape(ResolvedShape form, Box box, MaskCache planes) {
    Path path = path(form, box);
    Object identity = List.of(form.shape(), form.em(), box);
    return PathShape.shape(path, box, identity, isOpen(form.shape(), path), planes);
  }

  private static boolean isOpen(Shape shape, Path path) {
    return shape instanceof Shape.Line
        || shape instanceof Shape.Drawn && !path.isLastContourClosed();
  }

  private static Path path(ResolvedShape form, Box box) {
    return switch (form.shape()) {
      case Shape.Rectangle(var corners) -> {
        Plate.Corners radii =
            new Plate.Corners(
                corners.first().toPoints(form.em()),
                corners.second().toPoints(form.em()),
                corners.third().toPoints(form.em()),
                corners.fourth().toPoints(form.em()));
        yield JoinedBoxes.outline(List.of(box), radii);
      }
      case Shape.Ellipse() -> Path.makeOval(CoatBrush.rect(box), PathDirection.CLOCKWISE);
      case Shape.Line(boolean rising) ->
          Path.makeLine(
              (float) box.x(),
              (float) (rising ? box.bottom() : box.y()),
              (float) box.right(),
              (float) (rising ? box.y() : box.bottom()));
      case Shape.Polygon(int corners, double depth) -> polygon(corners, depth, box);
      case Shape.Drawn drawn -> drawn(drawn, box);
      case Shape.Picture _ -> Path.makeRect(CoatBrush.rect(box));
    };
  }

  private static Path polygon(int corners, double depth, Box box) {
    try (PathBuilder path = new PathBuilder()) {
      int points = depth > 0 ? 2 * corners : corners;
      double inner = Math.cos(Math.PI / corners) * (1 - depth);
      for (int index = 0; index < points; index++) {
        double angle = 2 * Math.PI * index / points - Math.PI / 2;
        double radius = depth > 0 && index % 2 == 1 ? inner : 1;
        float x = (float) (box.x() + box.width() / 2 * (1 + radius * Math.cos(angle)));
        float y = (float) (box.y() + box.height() / 2 * (1 + radius * Math.sin(angle)));
        if (index == 0) {
          path.moveTo(x, y);
        } else {
          path.lineTo(x, y);
        }
      }
      return path.closePath().detach();
    }
  }

  private static Path drawn(Shape.Drawn drawn, Box box) {
    try (Path path =
        Path.makeFromSVGString(drawn.data())
            .makeWithFillMode(
                drawn.inside() == FillRule.EVENODD
                    ? PathFillMode.EVEN_ODD
                    : PathFillMode.WINDING)) {
      float across = (float) (drawn.width() == 0 ? 1 : box.width() / drawn.width());
      float down = (float) (drawn.height() == 0 ? 1 : box.height() / drawn.height());
      return requireNonNull(
          path.makeTransform(
              Matrix33.makeTranslate((float) box.x(), (float) box.y())
                  .makeConcat(Matrix33.makeScale(across, down))));
    } catch (IllegalArgumentException unreadable) {
      // numbers are missing; nothing can be drawn, and the rest of the project can
      return new Path();
    }
  }

  /** The finish of the layer, with its picture as the lowest coat. */
  static Finish finish(ResolvedLayer look, ResolvedShape form, Box box) {
    Finish finish = look.finish();
    Optional<Coat> picture = form.picture().flatMap(asset -> picture(form, box));
    if (picture.isEmpty()) {
      return finish;
    }
    List<Coat> coats = new ArrayList<>();
    coats.add(picture.get());
    coats.addAll(finish.coats());
    return new Finish(coats, finish.effects(), finish.group());
  }

  /** The image, large enough to fill the box, in its middle. */
  private static Optional<Coat> picture(ResolvedShape form, Box box) {
    Optional<Image> image = form.picture().flatMap(PatternShaders::image);
    if (image.isEmpty() || box.width() <= 0 || box.height() <= 0) {
      return Optional.empty();
    }
    double ratio = image.get().getHeight() / (double) image.get().getWidth();
    double width = Math.max(box.width(), box.height() / ratio);
    Paint paint =
        new Paint.Pattern(
            PatternTile.IMAGE,
            Rgba.BLACK,
            Rgba.BLACK,
            width,
            1,
            0,
            (box.width() - width) / 2,
            (box.height() - width * ratio) / 2,
            PaintBounds.LAYER,
            form.picture());
    Coat.Fill fill = new Coat.Fill(0, new Coat.Corner(StrokeJoin.MITER, 4));
    return Optional.of(Coat.inPlace(fill, paint, 1, BlendMode.NORMAL, List.of()));
  }
}
