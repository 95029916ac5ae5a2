package dynamorph.app.artboards.stage;

import dynamorph.app.session.Workspace;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.Paint;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.Rgba;
import dynamorph.paint.artwork.Affine;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.PlanePoint;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/**
 * The line along which the gradient in hand runs, on the first selected layer: its ends turn and
 * scale it, its middle moves it, each stop slides along it. The edge of a radial one makes it
 * narrower, and its focal point moves within.
 */
final class GradientHandles {
  private static final double NEAR = 8;
  private static final double KNOB = 5;

  /** Degrees from an axis of the text within which an ellipse lies along it. */
  private static final double SNAP = 3;

  /** Straight lines that look like an ellipse. */
  private static final int EDGES = 96;

  /** What a handle changes. */
  private enum Part {
    START,
    END,
    ACROSS,
    MIDDLE,
    STOP
  }

  /**
   * A handle.
   *
   * @param stop index among the stops, if it is one
   */
  record Handle(Part part, int stop, Point2D place) {}

  /** A gradient where it lies: in points of the layout. */
  private record Laid(
      Workspace.GradientInHand hand,
      PaintKind kind,
      Scene.Found found,
      Box box,
      PropertySet values,
      double startX,
      double startY,
      double endX,
      double endY) {
    Address coat() {
      return hand.coat();
    }

    /** The same with other ends. */
    Laid between(double fromX, double fromY, double toX, double toY) {
      return new Laid(hand, kind, found, box, values, fromX, fromY, toX, toY);
    }

    Paint.Radial radial() {
      return new Paint.Radial(
          Coats.value(values, Properties.RADIAL_SHAPE.at(coat())),
          Coats.value(values, Properties.RADIAL_ASPECT.at(coat())) / 100,
          Coats.value(values, Properties.RADIAL_ROTATION.at(coat())),
          Coats.value(values, Properties.FOCAL_X.at(coat())) / 100,
          Coats.value(values, Properties.FOCAL_Y.at(coat())) / 100);
    }

    /** From the circle of radius 1 to the ellipse of a radial gradient. */
    Affine ellipse() {
      Paint.Radial radial = radial();
      return Affine.translation(middleX(), middleY())
          .after(Affine.rotation(radial.rotation()))
          .after(
              Affine.scaling(
                  radial.radiusX(box.width(), box.height()) * scale(),
                  radial.radiusY(box.width(), box.height()) * scale()));
    }

    Affine.Place focus() {
      return ellipse().apply(radial().focalX(), radial().focalY());
    }

    double scale() {
      return Coats.value(values, Properties.GRADIENT_SCALE.at(coat())) / 100;
    }

    double offset() {
      return Coats.value(values, Properties.GRADIENT_OFFSET.at(coat())) / 100;
    }

    double middleX() {
      return box.x() + Coats.value(values, Properties.GRADIENT_X.at(coat())) / 100 * box.width();
    }

    double middleY() {
      return box.y() + Coats.value(values, Properties.GRADIENT_Y.at(coat())) / 100 * box.height();
    }
  }

  private final Workspace workspace;
  private final StageView stage;

  GradientHandles(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
  }

  private Optional<Laid> laid() {
    Optional<Workspace.GradientInHand> hand = workspace.gradientInHandProperty().get();
    if (hand.isEmpty() || workspace.selection().layers().isEmpty()) {
      return Optional.empty();
    }
    return stage
        .scene()
        .flatMap(scene -> scene.find(workspace.selection().layers().getFirst()))
        .flatMap(found -> laid(hand.get(), found));
  }

  private Optional<Laid> laid(Workspace.GradientInHand hand, Scene.Found found) {
    Address coat = hand.coat();
    Cascade cascade = Cascade.of(workspace.shownProperty().get());
    PropertySet values =
        workspace
            .shownProperty()
            .get()
            .layer(
                coat.host().equals(Address.PLATE) ? found.text().layer().id() : found.text().text())
            .map(cascade::values)
            .orElse(PropertySet.EMPTY);
    boolean whole = coat.coat().equals(Address.WHOLE);
    PaintKind kind =
        whole
            ? Coats.value(values, Properties.MASK.at(coat)).paint()
            : Coats.value(values, Properties.COAT_PAINT.at(coat));
    boolean there = whole || values.get(Properties.COAT_KIND.at(coat)).isPresent();
    if (!there || kind == PaintKind.SOLID || kind == PaintKind.PATTERN) {
      return Optional.empty();
    }
    return LayerPainter.paintBox(
            found.text().layout(),
            found.text().look(),
            coat.host(),
            Coats.value(values, Properties.PAINT_FIT.at(coat)))
        .filter(box -> box.width() > 0 && box.height() > 0)
        .map(box -> laid(hand, kind, found, box, values));
  }

  private static Laid laid(
      Workspace.GradientInHand hand,
      PaintKind kind,
      Scene.Found found,
      Box box,
      PropertySet values) {
    Address coat = hand.coat();
    double angle = Math.toRadians(Coats.value(values, Properties.GRADIENT_ANGLE.at(coat)));
    Laid subject = new Laid(hand, kind, found, box, values, 0, 0, 0, 0);
    double offset = subject.offset();
    double x = subject.middleX();
    double y = subject.middleY();
    return switch (kind) {
      case LINEAR -> {
        double length = length(box, angle) * subject.scale();
        double from = (offset - 0.5) * length;
        double to = from + length;
        yield subject.between(
            x + Math.cos(angle) * from,
            y + Math.sin(angle) * from,
            x + Math.cos(angle) * to,
            y + Math.sin(angle) * to);
      }
      case RADIAL -> {
        Affine.Place focus = subject.focus();
        Affine.Place edge = subject.ellipse().apply(1, 0);
        double across = edge.x() - focus.x();
        double down = edge.y() - focus.y();
        yield subject.between(
            focus.x() + offset * across,
            focus.y() + offset * down,
            focus.x() + (1 + offset) * across,
            focus.y() + (1 + offset) * down);
      }
      default -> {
        double far = Math.min(box.width(), box.height()) / 2;
        double turn = angle + offset * 2 * Math.PI;
        yield subject.between(x, y, x + Math.cos(turn) * far, y + Math.sin(turn) * far);
      }
    };
  }

  private static double length(Box box, double angle) {
    return Math.max(
        1e-6, Math.abs(box.width() * Math.cos(angle)) + Math.abs(box.height() * Math.sin(angle)));
  }

  private Point2D onStage(Laid laid, double x, double y) {
    PlacedLayer text = laid.found.text();
    PlanePoint board = text.toArtboard(x, y);
    double ratio = stage.pixelRatio();
    var artboard = laid.found.board().artboard();
    return new Point2D(
        stage.view().toPixelX(artboard.x() + board.x()) / ratio,
        stage.view().toPixelY(artboard.y() + board.y()) / ratio);
  }

  private List<Handle> handles(Laid laid) {
    List<Handle> handles = new ArrayList<>();
    List<GradientStops.Stop> stops = stops(laid);
    if (laid.kind != PaintKind.CONIC) {
      for (int index = 0; index < stops.size(); index++) {
        double at = stops.get(index).position();
        if (at > 0.02 && at < 0.98) {
          handles.add(new Handle(Part.STOP, index, along(laid, at)));
        }
      }
    }
    boolean focal =
        laid.kind == PaintKind.RADIAL
            && Math.hypot(laid.radial().focalX(), laid.radial().focalY()) > 0;
    if (laid.kind == PaintKind.LINEAR || focal) {
      handles.add(new Handle(Part.START, 0, onStage(laid, laid.startX, laid.startY)));
    }
    if (laid.kind == PaintKind.RADIAL) {
      Affine.Place edge = laid.ellipse().apply(0, 1);
      handles.add(new Handle(Part.ACROSS, 0, onStage(laid, edge.x(), edge.y())));
    }
    handles.add(new Handle(Part.END, 0, onStage(laid, laid.endX, laid.endY)));
    handles.add(new Handle(Part.MIDDLE, 0, onStage(laid, laid.middleX(), laid.middleY())));
    return handles;
  }

  private Point2D along(Laid laid, double at) {
    return onStage(
        laid,
        laid.startX + at * (laid.endX - laid.startX),
        laid.startY + at * (laid.endY - laid.startY));
  }

  private static List<GradientStops.Stop> stops(Laid laid) {
    return Coats.value(laid.values, Properties.GRADIENT_STOPS.at(laid.coat())).stops();
  }

  /** The handle at a place of the stage. */
  Optional<Handle> at(double x, double y) {
    return laid().stream()
        .flatMap(laid -> handles(laid).stream())
        .filter(handle -> handle.place.distance(x, y) <= NEAR)
        .findFirst();
  }

  /** Moves a handle to a place of the stage. */
  void move(Handle handle, double stageX, double stageY, Object gesture) {
    laid()
        .ifPresent(laid -> {
          double ratio = stage.pixelRatio();
          var artboard = laid.found.board().artboard();
          PlanePoint point =
              laid.found
                  .text()
                  .toLayout(
                      stage.view().toPlaneX(stageX * ratio) - artboard.x(),
                      stage.view().toPlaneY(stageY * ratio) - artboard.y());
          laid.hand.set().accept(moved(laid, handle, point.x(), point.y()), gesture);
        });
  }

  private static PropertySet moved(Laid laid, Handle handle, double x, double y) {
    return switch (handle.part) {
      case MIDDLE -> middle(laid, x, y);
      case STOP -> stop(laid, handle.stop, x, y);
      case START ->
          laid.kind == PaintKind.RADIAL
              ? focus(laid, x, y)
              : ends(laid, x, y, laid.endX, laid.endY);
      case ACROSS -> across(laid, x, y);
      case END ->
          switch (laid.kind) {
            case LINEAR -> ends(laid, laid.startX, laid.startY, x, y);
            case RADIAL -> edge(laid, x, y);
            default ->
                PropertySet.EMPTY
                    .with(
                        Properties.GRADIENT_ANGLE.at(laid.coat()),
                        degrees(y - laid.middleY(), x - laid.middleX()))
                    .with(Properties.GRADIENT_OFFSET.at(laid.coat()), 0.0);
          };
    };
  }

  private static double degrees(double down, double across) {
    return Math.rint(Math.toDegrees(Math.atan2(down, across)) * 10) / 10;
  }

  private static PropertySet middle(Laid laid, double x, double y) {
    return PropertySet.EMPTY
        .with(Properties.GRADIENT_X.at(laid.coat()), share(x - laid.box.x(), laid.box.width()))
        .with(Properties.GRADIENT_Y.at(laid.coat()), share(y - laid.box.y(), laid.box.height()));
  }

  /** In percent with one place, as far as a gradient may lie off. */
  private static double share(double part, double whole) {
    return Math.clamp(Math.rint(part / whole * 1000) / 10, -1000, 1000);
  }

  private static PropertySet scale(Laid laid, double scale) {
    return PropertySet.EMPTY.with(
        Properties.GRADIENT_SCALE.at(laid.coat()),
        Math.clamp(Math.rint(scale * 1000) / 10, 1, 100_000));
  }

  private static PropertySet ends(Laid laid, double fromX, double fromY, double toX, double toY) {
    double angle = Math.atan2(toY - fromY, toX - fromX);
    double length = Math.hypot(toX - fromX, toY - fromY);
    return middle(laid, (fromX + toX) / 2, (fromY + toY) / 2)
        .overlaidBy(scale(laid, length / length(laid.box, angle)))
        .with(Properties.GRADIENT_ANGLE.at(laid.coat()), degrees(toY - fromY, toX - fromX))
        .with(Properties.GRADIENT_OFFSET.at(laid.coat()), 0.0);
  }

  /** The end of the level axis of an ellipse: it turns and scales. */
  private static PropertySet edge(Laid laid, double x, double y) {
    double far = Math.max(0.05, 1 + laid.offset());
    Affine.Place focus = laid.focus();
    double across = focus.x() + (x - focus.x()) / far - laid.middleX();
    double down = focus.y() + (y - focus.y()) / far - laid.middleY();
    double radius = laid.radial().radiusX(laid.box.width(), laid.box.height());
    double turn = degrees(down, across);
    double right = Math.rint(turn / 90) * 90;
    return scale(laid, Math.hypot(across, down) / radius)
        .with(
            Properties.RADIAL_ROTATION.at(laid.coat()),
            Math.abs(turn - right) < SNAP ? right : turn);
  }

  private static PropertySet across(Laid laid, double x, double y) {
    double turn = Math.toRadians(laid.radial().rotation());
    double away = (y - laid.middleY()) * Math.cos(turn) - (x - laid.middleX()) * Math.sin(turn);
    double plain =
        laid.radial().radiusY(laid.box.width(), laid.box.height())
            / laid.radial().aspect()
            * laid.scale();
    return PropertySet.EMPTY.with(
        Properties.RADIAL_ASPECT.at(laid.coat()),
        Math.clamp(Math.rint(Math.abs(away) / plain * 1000) / 10, 1, 10_000));
  }

  private static PropertySet focus(Laid laid, double x, double y) {
    Affine back = laid.ellipse().inverse();
    if (back == null) {
      return PropertySet.EMPTY;
    }
    Affine.Place place = back.apply(x, y);
    double most = Math.max(1, Math.hypot(place.x(), place.y()));
    return PropertySet.EMPTY
        .with(Properties.FOCAL_X.at(laid.coat()), share(place.x(), most))
        .with(Properties.FOCAL_Y.at(laid.coat()), share(place.y(), most));
  }

  private static PropertySet stop(Laid laid, int index, double x, double y) {
    List<GradientStops.Stop> stops = new ArrayList<>(stops(laid));
    if (index >= stops.size()) {
      return PropertySet.EMPTY;
    }
    double dx = laid.endX - laid.startX;
    double dy = laid.endY - laid.startY;
    double at =
        ((x - laid.startX) * dx + (y - laid.startY) * dy) / Math.max(1e-9, dx * dx + dy * dy);
    // stops keep their order, so that a drag keeps hold of the one that it began with
    double least = index > 0 ? stops.get(index - 1).position() : 0;
    double most = index + 1 < stops.size() ? stops.get(index + 1).position() : 1;
    GradientStops.Stop stop = stops.get(index);
    stops.set(
        index,
        new GradientStops.Stop(
            stop.colour(), Math.clamp(Math.rint(at * 1000) / 1000, least, most), stop.opacity()));
    return PropertySet.EMPTY.with(
        Properties.GRADIENT_STOPS.at(laid.coat()), new GradientStops(stops));
  }

  void draw(GraphicsContext g) {
    laid().ifPresent(laid -> draw(g, laid));
  }

  private void draw(GraphicsContext g, Laid laid) {
    Point2D from = onStage(laid, laid.startX, laid.startY);
    Point2D to = onStage(laid, laid.endX, laid.endY);
    g.setLineWidth(3.4);
    g.setStroke(Color.color(0, 0, 0, 0.55));
    g.strokeLine(from.getX(), from.getY(), to.getX(), to.getY());
    g.setLineWidth(1.6);
    g.setStroke(Color.WHITE);
    g.strokeLine(from.getX(), from.getY(), to.getX(), to.getY());
    List<GradientStops.Stop> stops = stops(laid);
    if (laid.kind == PaintKind.RADIAL) {
      edge(g, laid);
    }
    for (Handle handle : handles(laid)) {
      switch (handle.part) {
        case ACROSS -> knob(g, handle.place, Color.WHITE, KNOB - 1);
        case START -> knob(g, handle.place, colour(stops.getFirst()), KNOB + 1);
        case END -> knob(g, handle.place, colour(stops.getLast()), KNOB + 1);
        case STOP -> knob(g, handle.place, colour(stops.get(handle.stop)), KNOB);
        case MIDDLE -> {
          g.setLineWidth(3.2);
          g.setStroke(Color.color(0, 0, 0, 0.6));
          cross(g, handle.place);
          g.setLineWidth(1.4);
          g.setStroke(Color.WHITE);
          cross(g, handle.place);
        }
      }
    }
  }

  private void edge(GraphicsContext g, Laid laid) {
    Affine ellipse = laid.ellipse();
    double[] x = new double[EDGES];
    double[] y = new double[EDGES];
    for (int point = 0; point < EDGES; point++) {
      double turn = 2 * Math.PI * point / EDGES;
      Affine.Place place = ellipse.apply(Math.cos(turn), Math.sin(turn));
      Point2D shown = onStage(laid, place.x(), place.y());
      x[point] = shown.getX();
      y[point] = shown.getY();
    }
    g.setLineWidth(2.4);
    g.setStroke(Color.color(0, 0, 0, 0.35));
    g.strokePolygon(x, y, EDGES);
    g.setLineWidth(1);
    g.setStroke(Color.WHITE);
    g.strokePolygon(x, y, EDGES);
  }

  private static void cross(GraphicsContext g, Point2D at) {
    g.strokeLine(at.getX() - KNOB, at.getY(), at.getX() + KNOB, at.getY());
    g.strokeLine(at.getX(), at.getY() - KNOB, at.getX(), at.getY() + KNOB);
  }

  private Color colour(GradientStops.Stop stop) {
    Rgba rgba = workspace.project().palette().colour(stop.colour());
    return Color.rgb(rgba.red(), rgba.green(), rgba.blue());
  }

  private static void knob(GraphicsContext g, Point2D at, Color colour, double radius) {
    g.setFill(Color.color(0, 0, 0, 0.6));
    g.fillOval(at.getX() - radius - 2, at.getY() - radius - 2, 2 * radius + 4, 2 * radius + 4);
    g.setFill(Color.WHITE);
    g.fillOval(at.getX() - radius - 1, at.getY() - radius - 1, 2 * radius + 2, 2 * radius + 2);
    g.setFill(colour);
    g.fillOval(at.getX() - radius + 1, at.getY() - radius + 1, 2 * radius - 2, 2 * radius - 2);
  }
}
