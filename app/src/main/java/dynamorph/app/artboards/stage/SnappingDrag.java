package dynamorph.app.artboards.stage;

import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.value.SafeArea;
import dynamorph.paint.arrange.Arranged;
import dynamorph.paint.arrange.Snap;
import dynamorph.paint.arrange.SnapLines;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A drag that moves what is selected, or sides of its box. It snaps to what else is in sight on the
 * artboard.
 */
final class SnappingDrag {
  /** How near the pointer comes to a line before it snaps, in units of the window. */
  private static final double NEAR = 6;

  private final Workspace workspace;
  private final StageView stage;
  private final Object gesture;
  private final Optional<Scene.Board> board;
  private final Optional<Arranged> start;
  private final Optional<SnapLines> lines;
  private double doneAcross;
  private double doneDown;

  /**
   * @param grasped what the pointer is on; its artboard counts
   */
  SnappingDrag(Workspace workspace, StageView stage, LayerId grasped, Object gesture) {
    this.workspace = workspace;
    this.stage = stage;
    this.gesture = gesture;
    this.board = stage.scene().flatMap(scene -> scene.find(grasped)).map(Scene.Found::board);
    this.start = board.flatMap(on -> moved(on, grasped));
    this.lines = board.map(this::lines);
  }

  /** All that is selected on the artboard as one thing, with the baselines of what is grasped. */
  private Optional<Arranged> moved(Scene.Board on, LayerId grasped) {
    List<Arranged> all = on.texts().stream().filter(this::isSelected).map(Arranged::of).toList();
    List<Double> baselines =
        all.stream()
            .filter(one -> one.layer().equals(grasped))
            .findFirst()
            .map(Arranged::baselines)
            .orElse(List.of());
    return all.stream()
        .map(Arranged::box)
        .reduce(Box::with)
        .map(box -> new Arranged(grasped, box, baselines));
  }

  private boolean isSelected(PlacedLayer text) {
    return workspace.selection().contains(text.layer().id());
  }

  private SnapLines lines(Scene.Board on) {
    Box frame = new Box(0, 0, on.artboard().width(), on.artboard().height());
    Box sight =
        stage
            .view()
            .toPlane(new Box(0, 0, stage.view().width(), stage.view().height()))
            .moved(-on.artboard().x(), -on.artboard().y());
    return new SnapLines(
        frame,
        on.artboard().isFilm()
            ? Stream.of(SafeArea.values()).map(area -> inside(frame, area.share())).toList()
            : List.of(),
        on.texts().stream()
            .filter(text -> !isSelected(text) && text.mayTouch(sight))
            .map(Arranged::of)
            .filter(other -> other.box().overlaps(sight))
            .toList());
  }

  private static Box inside(Box frame, double share) {
    return frame.grown(-frame.width() * (1 - share) / 2, -frame.height() * (1 - share) / 2);
  }

  /**
   * Moves what is selected so far from where it was.
   *
   * @param across in points
   * @param down in points
   * @param free whether it snaps to nothing
   */
  void move(double across, double down, boolean free) {
    Snap snap =
        snaps(free)
            ? start
                .flatMap(from -> lines.map(all -> all.moved(from.moved(across, down), tolerance())))
                .orElse(Snap.NONE)
            : Snap.NONE;
    // along one axis only what lies in it counts
    double right = across == 0 ? 0 : across + snap.across();
    double below = down == 0 ? 0 : down + snap.down();
    show(snap.along(across != 0, down != 0), start.map(from -> from.box().moved(right, below)));
    workspace.apply(
        new MoveLayers(
            new Target.Layers(workspace.selection().layers()),
            right - doneAcross,
            below - doneDown),
        Optional.of(gesture));
    doneAcross = right;
    doneDown = below;
  }

  /**
   * Moves sides of the box so far from where they were; returns the handle as it is then.
   *
   * @param across in points
   * @param down in points
   * @param free whether they snap to nothing
   */
  Optional<BoxHandles.Grip> resize(
      BoxHandles handles, BoxHandles.Grip grip, double across, double down, boolean free) {
    Optional<Box> box =
        start
            .map(Arranged::box)
            .filter(_ -> grip.rotation() == 0)
            .map(from -> sides(from, grip, across, down));
    Snap snap =
        snaps(free)
            ? box.flatMap(now ->
                    lines.map(all -> all.resized(now, grip.across(), grip.down(), tolerance())))
                .orElse(Snap.NONE)
            : Snap.NONE;
    double right = across + snap.across();
    double below = down + snap.down();
    show(snap, start.map(from -> sides(from.box(), grip, right, below)));
    workspace.apply(grip.moved(right - doneAcross, below - doneDown), Optional.of(gesture));
    doneAcross = right;
    doneDown = below;
    return handles.again(grip);
  }

  private static Box sides(Box box, BoxHandles.Grip grip, double across, double down) {
    return Box.between(
        box.x() + (grip.across() < 0 ? across : 0),
        box.y() + (grip.down() < 0 ? down : 0),
        box.right() + (grip.across() > 0 ? across : 0),
        box.bottom() + (grip.down() > 0 ? down : 0));
  }

  private boolean snaps(boolean free) {
    return !free && workspace.view().snappingProperty().get();
  }

  private double tolerance() {
    return tolerance(stage);
  }

  /** How far from a line something snaps to it, in points. */
  static double tolerance(StageView stage) {
    return NEAR * stage.pixelRatio() / stage.view().scale();
  }

  private void show(Snap snap, Optional<Box> box) {
    stage.setSnap(
        board.flatMap(on -> box.map(there -> new SnapMarks.Shown(on.artboard(), there, snap))));
  }

  void end() {
    stage.setSnap(Optional.empty());
  }
}
