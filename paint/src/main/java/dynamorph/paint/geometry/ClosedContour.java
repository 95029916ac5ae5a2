package dynamorph.paint.geometry;

import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Path;
import io.github.humbleui.types.Point;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A contour that encloses an area.
 *
 * @param curves each begins where the one before ends, the first where the last ends
 */
record ClosedContour(List<Curve> curves) {
  private static final int CHORDS = 8;

  /** The contours of a path; those that are open are closed by a line. */
  static List<ClosedContour> of(Path path) {
    Reader reader = new Reader();
    PathPieces.tell(path, reader);
    return reader.contours;
  }

  ClosedContour reversed() {
    return new ClosedContour(curves.reversed().stream().map(Curve::reversed).toList());
  }

  /**
   * The contours of a shape whose contours do not cross, each directed so that the shape lies on
   * the side to which x turns for y, and what is outside of it on the other.
   */
  static List<ClosedContour> directed(List<ClosedContour> contours) {
    List<Enclosure> enclosures = contours.stream().map(Enclosure::new).toList();
    return enclosures.stream()
        .map(own ->
            own.isHole(enclosures) == own.turnsRight() ? own.contour.reversed() : own.contour)
        .toList();
  }

  /** The box around its curves and their inner points. */
  Box box() {
    Box box = curves.getFirst().box();
    for (Curve curve : curves) {
      box = box.with(curve.box());
    }
    return box;
  }

  /** Twice the enclosed area, negative if the contour turns from y towards x. */
  double area() {
    double area = 0;
    for (Curve curve : curves) {
      area += curve.sweep();
    }
    return area;
  }

  /** The corners of a polygon that follows a contour closely. */
  private record Chords(double[] x, double[] y) {}

  /** The area within a contour. */
  private static final class Enclosure {
    private final ClosedContour contour;
    private final Box box;
    private @Nullable Chords chords;

    Enclosure(ClosedContour contour) {
      this.contour = contour;
      this.box = contour.box();
    }

    boolean turnsRight() {
      return contour.area() > 0;
    }

    /** Contours may touch at a place, so three are asked. */
    boolean isHole(List<Enclosure> all) {
      int votes = 0;
      int count = contour.curves.size();
      for (int third = 0; third < 3; third++) {
        Vec place = contour.curves.get(count * third / 3).at(0.5);
        boolean inside = false;
        for (Enclosure other : all) {
          inside ^= other != this && other.contains(place);
        }
        votes += inside ? 1 : -1;
      }
      return votes > 0;
    }

    private boolean contains(Vec place) {
      if (!box.contains(place.x(), place.y())) {
        return false;
      }
      Chords laid = chords();
      double[] x = laid.x();
      double[] y = laid.y();
      boolean inside = false;
      for (int index = 0, before = x.length - 1; index < x.length; before = index++) {
        if (y[index] > place.y() != y[before] > place.y()) {
          double part = (place.y() - y[index]) / (y[before] - y[index]);
          inside ^= place.x() < x[index] + part * (x[before] - x[index]);
        }
      }
      return inside;
    }

    private Chords chords() {
      Chords known = chords;
      if (known == null) {
        known = laid();
        chords = known;
      }
      return known;
    }

    private Chords laid() {
      int count = 0;
      for (Curve curve : contour.curves) {
        count += chords(curve);
      }
      double[] x = new double[count];
      double[] y = new double[count];
      int next = 0;
      for (Curve curve : contour.curves) {
        int chords = chords(curve);
        for (int chord = 0; chord < chords; chord++, next++) {
          Vec place = curve.at((double) chord / chords);
          x[next] = place.x();
          y[next] = place.y();
        }
      }
      return new Chords(x, y);
    }

    private static int chords(Curve curve) {
      return curve.straight() ? 1 : CHORDS;
    }
  }

  /** Gathers the pieces of a path. */
  private static final class Reader implements PathPieces.Taker {
    private final List<ClosedContour> contours = new ArrayList<>();
    private List<Curve> curves = new ArrayList<>();

    private static Vec vec(Point point) {
      return new Vec(point.getX(), point.getY());
    }

    @Override
    public void move(Point to) {}

    @Override
    public void line(Point from, Point to) {
      add(Curve.line(vec(from), vec(to)));
    }

    @Override
    public void conic(Point from, Point control, Point to, double weight) {
      if (weight == 1) {
        add(Curve.quadratic(vec(from), vec(control), vec(to)));
      } else {
        ellipse(vec(from), vec(control), vec(to), weight);
      }
    }

    /** Two cubic curves; a quarter of a circle is off by 4e-6 of it. */
    private void ellipse(Vec from, Vec control, Vec to, double weight) {
      double all = 1 + weight;
      Vec before = from.plus(control.times(weight)).times(1 / all);
      Vec after = control.times(weight).plus(to).times(1 / all);
      Vec middle = before.towards(after, 0.5);
      double half = Math.sqrt(all / 2);
      double reach = 4 * half / (3 * (1 + half));
      add(Curve.cubic(from, from.towards(before, reach), middle.towards(before, reach), middle));
      add(Curve.cubic(middle, middle.towards(after, reach), to.towards(after, reach), to));
    }

    @Override
    public void cubic(Point from, Point first, Point second, Point to) {
      add(Curve.cubic(vec(from), vec(first), vec(second), vec(to)));
    }

    private void add(Curve curve) {
      if (!curve.isNothing()) {
        curves.add(curve);
      }
    }

    @Override
    public void end(Point at, Point start) {
      line(at, start);
      if (curves.size() > 1 || curves.size() == 1 && !curves.getFirst().straight()) {
        contours.add(new ClosedContour(curves));
      }
      curves = new ArrayList<>();
    }
  }
}
