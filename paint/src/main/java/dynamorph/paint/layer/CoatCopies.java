package dynamorph.paint.layer;

import static java.util.Objects.requireNonNull;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Paint;
import dynamorph.model.value.OkLab;
import dynamorph.model.value.Rgba;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Matrix33;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/** Where a coat and its copies lie, and what each is painted with. */
record CoatCopies(Coat coat) {
  /** Beyond these a copy is a speck, or covers anything. */
  private static final double SMALLEST = 1e-4;

  private static final double LARGEST = 1e4;

  /** Copies lie below each other: from the last to the coat itself, which is copy 0. */
  List<Integer> fromBelow() {
    return java.util.stream.IntStream.rangeClosed(0, coat.copies().count())
        .map(index -> coat.copies().count() - index)
        .filter(copy -> isVisible(copy))
        .boxed()
        .toList();
  }

  private boolean isVisible(int copy) {
    double scale = scale(copy);
    double across = Math.abs(coat.transform().scaleX() * scale);
    double down = Math.abs(coat.transform().scaleY() * scale);
    return Math.min(across, down) > SMALLEST && Math.max(across, down) < LARGEST;
  }

  private double scale(int copy) {
    return Math.pow(coat.copies().scale(), copy);
  }

  /** The coat as it would be in place, in the paint of a copy. */
  Coat plain(int copy) {
    double share = coat.copies().count() == 0 ? 0 : copy / (double) coat.copies().count();
    double opacity = 1 + share * (coat.copies().endOpacity() - 1);
    return Coat.inPlace(
        coat.shape(),
        stepped(coat.paint(), coat.copies().endColour(), share),
        opacity,
        coat.blend(),
        List.of());
  }

  private static Paint stepped(Paint paint, Optional<Rgba> last, double share) {
    if (last.isEmpty() || share == 0) {
      return paint;
    }
    return switch (paint) {
      case Paint.Solid solid -> new Paint.Solid(OkLab.mixed(solid.colour(), last.get(), share));
      case Paint.Gradient gradient ->
          gradient.withStops(
              gradient.stops().stream()
                  .map(stop ->
                      new Paint.Stop(
                          OkLab.mixed(stop.colour(), last.get(), share), stop.position()))
                  .toList());
      case Paint.Pattern pattern ->
          pattern.withMarks(OkLab.mixed(pattern.marks(), last.get(), share));
    };
  }

  /** A part of a shape, and where a copy of the coat on it lies. */
  record Place(Stencil.Shape shape, Matrix33 matrix) {}

  /** Where a copy of the coat lies on a shape, part by part if each has a middle of its own. */
  List<Place> places(int copy, Stencil.Shape shape) {
    boolean moved = coat.transform().isMoved() && (copy == 0 || coat.copies().areMoved());
    List<Stencil.Part> parts =
        moved
            ? List.of(new Stencil.Part(shape, Box.EMPTY))
            : shape.parts(coat.transform().origin());
    return parts.stream().map(part -> new Place(part.shape(), matrix(copy, part.box()))).toList();
  }

  /** Lets something be drawn where a copy of the coat lies on a shape. */
  void draw(Canvas canvas, int copy, Stencil.Shape shape, Consumer<Stencil.Shape> drawing) {
    for (Place place : places(copy, shape)) {
      canvas.save();
      canvas.concat(place.matrix);
      drawing.accept(place.shape);
      canvas.restore();
    }
  }

  /** From where the letters are to where a copy lies, about the middle of a box. */
  private Matrix33 matrix(int copy, Box box) {
    double middleX = box.x() + box.width() / 2;
    double middleY = box.y() + box.height() / 2;
    double across = middleX + coat.transform().translateX() + copy * coat.copies().stepX();
    double down = middleY + coat.transform().translateY() + copy * coat.copies().stepY();
    double scale = scale(copy);
    return Matrix33.makeTranslate((float) across, (float) down)
        .makeConcat(
            Matrix33.makeRotate(
                (float) (coat.transform().rotation() + copy * coat.copies().rotation())))
        .makeConcat(
            Matrix33.makeScale(
                (float) (coat.transform().scaleX() * scale),
                (float) (coat.transform().scaleY() * scale)))
        .makeConcat(Matrix33.makeTranslate((float) -middleX, (float) -middleY));
  }

  /**
   * The box around the coat and all its copies, without effects.
   *
   * @param letters the box around the shape
   * @param shape the box about whose middle it is turned
   */
  Box reach(Box letters, Box shape) {
    double outset = coat.shape().outset();
    Box own = letters.grown(outset, outset);
    if (coat.isInPlace()) {
      return own;
    }
    Box reach = null;
    for (int copy : fromBelow()) {
      Box one = around(own, shape, copy);
      reach = reach == null ? one : reach.with(one);
    }
    return reach == null ? own : reach;
  }

  /**
   * Where parts of the shape have middles of their own, one may be scaled about any place in it; no
   * part is larger than the whole.
   */
  private Box around(Box own, Box shape, int copy) {
    float[] m = matrix(copy, shape).getMat();
    @Nullable Box around = null;
    for (int corner = 0; corner < 4; corner++) {
      double x = corner % 2 == 0 ? own.x() : own.right();
      double y = corner < 2 ? own.y() : own.bottom();
      Box point = new Box(m[0] * x + m[1] * y + m[2], m[3] * x + m[4] * y + m[5], 0, 0);
      around = around == null ? point : around.with(point);
    }
    Box whole = requireNonNull(around);
    double across = coat.transform().translateX() + copy * coat.copies().stepX();
    double down = coat.transform().translateY() + copy * coat.copies().stepY();
    double border = Math.hypot(m[0], m[3]) * Math.hypot(own.width(), own.height()) / 2;
    boolean moved = coat.transform().isMoved() && coat.copies().areMoved();
    return switch (coat.transform().origin()) {
      case LAYER -> whole;
      case GLYPH, LINE, PARAGRAPH ->
          moved ? whole : whole.with(own.moved(across, down).grown(border, border));
    };
  }
}
