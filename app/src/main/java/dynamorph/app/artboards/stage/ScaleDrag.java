package dynamorph.app.artboards.stage;

import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.edit.layer.ScaleText;
import dynamorph.paint.arrange.Snap;
import dynamorph.paint.scene.PlanePoint;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.Optional;

/** A drag on the corner of a text without a box: its letters become larger or smaller. */
final class ScaleDrag {
  /** The least that a text is scaled to in one drag. */
  private static final double LEAST = 0.02;

  private final Workspace workspace;
  private final StageView stage;
  private final Object gesture;
  private final Scene.Found found;
  private final Layer start;
  private final PlanePoint corner;
  private final PlanePoint opposite;

  private ScaleDrag(
      Workspace workspace,
      StageView stage,
      Scene.Found found,
      Layer start,
      BoxHandles.Grip grip,
      Object gesture) {
    this.workspace = workspace;
    this.stage = stage;
    this.gesture = gesture;
    this.found = found;
    this.start = start;
    this.corner = corner(grip.across(), grip.down());
    this.opposite = corner(-grip.across(), -grip.down());
  }

  /** Begins at a handle; empty if its text is gone. */
  static Optional<ScaleDrag> of(
      Workspace workspace, StageView stage, BoxHandles.Grip grip, Object gesture) {
    return stage
        .scene()
        .flatMap(scene -> scene.find(grip.layer()))
        .flatMap(found ->
            workspace
                .project()
                .layer(grip.layer())
                .map(start -> new ScaleDrag(workspace, stage, found, start, grip, gesture)));
  }

  private PlanePoint corner(int across, int down) {
    Box box = found.text().layout().box();
    return found.text().toArtboard(across < 0 ? 0 : box.right(), down < 0 ? 0 : box.bottom());
  }

  /**
   * Drags the corner so far from where it was; the opposite corner stays.
   *
   * @param right in points
   * @param below in points
   */
  void move(double right, double below) {
    double wide = corner.x() - opposite.x();
    double high = corner.y() - opposite.y();
    double along = right * wide + below * high;
    double factor = Math.max(LEAST, 1 + along / (wide * wide + high * high));
    double awayX = found.text().anchorX() - opposite.x();
    double awayY = found.text().anchorY() - opposite.y();
    workspace.apply(new ScaleText(start, factor, awayX, awayY), Optional.of(gesture));
    Box before = found.text().bounds();
    Box there =
        new Box(
            opposite.x() + (before.x() - opposite.x()) * factor,
            opposite.y() + (before.y() - opposite.y()) * factor,
            before.width() * factor,
            before.height() * factor);
    stage.setSnap(Optional.of(new SnapMarks.Shown(found.board().artboard(), there, Snap.NONE)));
  }

  void end() {
    stage.setSnap(Optional.empty());
  }
}
