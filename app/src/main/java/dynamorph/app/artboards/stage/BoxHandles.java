package dynamorph.app.artboards.stage;

import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.edit.layer.ResizeBox;
import dynamorph.model.value.BoxFit;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;

/**
 * The handles of the one box that is selected or edited: its sides and corners. Text without a box
 * has its corners only, which scale it.
 */
final class BoxHandles {
  /** How near a click must be, in units of the window. */
  private static final double NEAR = 7;

  /** How far outside the box handles stand, where its brackets are. */
  private static final double OUTSIDE = 4;

  /** Boxes smaller than this on the stage have no handles on their sides. */
  private static final double ROOM_FOR_SIDES = 40;

  private final Workspace workspace;
  private final StageView stage;

  BoxHandles(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
  }

  /**
   * A handle.
   *
   * @param across -1 for the left side, 1 for the right, 0 for neither
   * @param down -1 for the upper side, 1 for the lower, 0 for neither
   * @param rotation of the box, in degrees
   * @param width of the box as it shows, in points
   * @param height of the box as it shows, in points
   * @param scales whether it scales a text instead of its box
   */
  record Grip(
      LayerId layer,
      int across,
      int down,
      double rotation,
      double width,
      double height,
      boolean scales,
      Point2D place) {
    /** The edit that moves this handle by so many points of the artboard. */
    ResizeBox moved(double right, double below) {
      double turn = Math.toRadians(-rotation);
      double alongRight = right * Math.cos(turn) - below * Math.sin(turn);
      double alongDown = right * Math.sin(turn) + below * Math.cos(turn);
      return new ResizeBox(layer, across, down, alongRight, alongDown, width, height);
    }

    Cursor cursor() {
      if (across == 0) {
        return Cursor.V_RESIZE;
      }
      if (down == 0) {
        return Cursor.H_RESIZE;
      }
      return across == down ? Cursor.NW_RESIZE : Cursor.NE_RESIZE;
    }
  }

  /** On a lower box handles above and below would leave nothing to move it by. */
  private static final double ROOM_TO_GRASP = 28;

  /** Text without a box that is smaller than this on the stage is not scaled by its corners. */
  private static final double ROOM_TO_SCALE = 18;

  /** The handles that show; none for several texts. */
  List<Grip> shown() {
    Selection selection = workspace.selection();
    if (selection.layers().size() != 1 || workspace.attempts().present().desk().isPresent()) {
      return List.of();
    }
    Optional<Scene.Found> box =
        selection.cursor().isPresent()
            ? stage.edited()
            : stage.scene().flatMap(scene -> scene.find(selection.layers().getFirst()));
    return box.filter(found -> !found.text().layer().state().locked())
        .map(found -> isPoint(found) ? corners(found) : of(found))
        .orElse(List.of());
  }

  private static boolean isPoint(Scene.Found found) {
    return found.text().layer().isText() && found.text().look().placement().fit() == BoxFit.POINT;
  }

  /** While words are edited what is near them is to be clicked, not scaled. */
  private List<Grip> corners(Scene.Found found) {
    double scale = stage.view().scale() / stage.pixelRatio();
    Box box = found.text().layout().box();
    boolean room = Math.min(box.width(), box.height()) * scale > ROOM_TO_SCALE;
    if (!room || workspace.selection().cursor().isPresent()) {
      return List.of();
    }
    return List.of(
        grip(found, -1, -1, scale),
        grip(found, 1, -1, scale),
        grip(found, -1, 1, scale),
        grip(found, 1, 1, scale));
  }

  private List<Grip> of(Scene.Found found) {
    double scale = stage.view().scale() / stage.pixelRatio();
    Box box = found.text().layout().box();
    List<Grip> grips = new ArrayList<>();
    for (int across = -1; across <= 1; across++) {
      for (int down = -1; down <= 1; down++) {
        boolean side = across == 0 || down == 0;
        boolean room =
            across == 0
                ? box.width() * scale > ROOM_FOR_SIDES && box.height() * scale > ROOM_TO_GRASP
                : box.height() * scale > ROOM_FOR_SIDES;
        if ((across != 0 || down != 0) && (!side || room)) {
          grips.add(grip(found, across, down, scale));
        }
      }
    }
    return grips;
  }

  private Grip grip(Scene.Found found, int across, int down, double scale) {
    Box box = found.text().layout().box();
    double x = box.width() * (across + 1) / 2 + across * OUTSIDE / scale;
    double y = box.height() * (down + 1) / 2 + down * OUTSIDE / scale;
    var onBoard = found.text().toArtboard(x, y);
    double ratio = stage.pixelRatio();
    Point2D place =
        new Point2D(
            stage.view().toPixelX(found.board().artboard().x() + onBoard.x()) / ratio,
            stage.view().toPixelY(found.board().artboard().y() + onBoard.y()) / ratio);
    return new Grip(
        found.text().layer().id(),
        across,
        down,
        found.text().look().placement().rotation(),
        box.width(),
        box.height(),
        isPoint(found),
        place);
  }

  /** The handle at a place of the stage. */
  Optional<Grip> at(double x, double y) {
    return shown().stream().filter(grip -> grip.place.distance(x, y) <= NEAR).findFirst();
  }

  /**
   * A handle after its box was changed; the scene may lag, so the height comes from the project.
   */
  Optional<Grip> again(Grip grip) {
    return workspace
        .project()
        .layer(grip.layer)
        .map(layer -> {
          double height =
              grip.down == 0
                  ? grip.height
                  : dynamorph.model.cascade.Cascade.of(workspace.project())
                      .resolve(layer)
                      .placement()
                      .height();
          return new Grip(
              grip.layer,
              grip.across,
              grip.down,
              grip.rotation,
              grip.width,
              height,
              grip.scales,
              grip.place);
        });
  }
}
