package dynamorph.app.artboards.stage;

import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.paint.arrange.Arranged;
import dynamorph.paint.arrange.Snap;
import dynamorph.paint.arrange.SnapLines;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.List;
import java.util.Optional;

/** A drag that moves an artboard on the plane, by its name; it snaps to the other artboards. */
final class ArtboardDrag {
  private final Workspace workspace;
  private final StageView stage;
  private final Artboard board;
  private final Object gesture;
  private final SnapLines others;

  ArtboardDrag(Workspace workspace, StageView stage, Artboard board, Object gesture) {
    this.workspace = workspace;
    this.stage = stage;
    this.board = board;
    this.gesture = gesture;
    List<Arranged> still =
        stage.scene().map(Scene::boards).orElse(List.of()).stream()
            .filter(one -> !one.artboard().id().equals(board.id()))
            .map(one -> thing(one.artboard().id().value(), one.onPlane()))
            .toList();
    Box around = still.stream().map(Arranged::box).reduce(Box::with).orElse(box(board));
    this.others = new SnapLines(around, List.of(), still);
  }

  private static Arranged thing(String id, Box box) {
    return new Arranged(new LayerId(id), box, List.of());
  }

  private static Box box(Artboard board) {
    return new Box(board.x(), board.y(), board.width(), board.height());
  }

  /**
   * Moves it so far from where it was.
   *
   * @param across in points
   * @param down in points
   * @param free whether it snaps to nothing
   */
  void move(double across, double down, boolean free) {
    Box wanted = box(board).moved(across, down);
    boolean snaps = !free && workspace.view().snappingProperty().get();
    Snap snap =
        snaps
            ? others.moved(thing(board.id().value(), wanted), SnappingDrag.tolerance(stage))
            : Snap.NONE;
    Box there = wanted.moved(snap.across(), snap.down());
    stage.setSnap(Optional.of(new SnapMarks.Shown(board.withOrigin(0, 0), there, snap)));
    workspace.apply(
        new ArrangeArtboards.Move(board.id(), there.x(), there.y()), Optional.of(gesture));
  }

  void end() {
    stage.setSnap(Optional.empty());
    workspace.endGesture();
  }
}
