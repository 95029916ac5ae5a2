package dynamorph.app.artboards.stage;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Length;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.List;
import java.util.Optional;

/** Puts shapes that were drawn onto the artboard below them. */
final class NewLayers {
  private final Workspace workspace;
  private final StageView stage;

  NewLayers(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
  }

  /**
   * Adds a shape and selects it.
   *
   * @param plane its box on the plane
   * @return whether there was an artboard
   */
  boolean add(Shape shape, Box plane) {
    Optional<Scene.Board> board =
        stage
            .scene()
            .flatMap(scene ->
                scene
                    .boardAt(plane.x(), plane.y())
                    .or(() -> scene.boardAt(plane.right(), plane.bottom())));
    if (board.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("new-layers.begin-on-an-artboard-shapes-stand")));
      return false;
    }
    PropertySet frame =
        PropertySet.EMPTY
            .with(Properties.POSITION_X, plane.x() - board.get().artboard().x())
            .with(Properties.POSITION_Y, plane.y() - board.get().artboard().y())
            .with(Properties.BOX, BoxFit.FIXED)
            .with(Properties.BOX_WIDTH, plane.width())
            .with(Properties.BOX_HEIGHT, plane.height());
    String id = workspace.ids().next("shape");
    Layer layer =
        Layer.of(id, shape.name(), shape).withFrame(frame).withLocal(startingFinish(shape));
    boolean added =
        workspace.apply(
            new ArrangeLayers.Add(
                board.get().artboard().id(),
                List.of(workspace.playback().timed(board.get().artboard(), layer)),
                Messages.of("new-layers.pen")));
    if (added) {
      workspace.select(List.of(layer.id()));
    }
    return added;
  }

  /** A line has no inside, so it begins with a stroke. */
  private static PropertySet startingFinish(Shape shape) {
    if (!(shape instanceof Shape.Line)) {
      return PropertySet.EMPTY;
    }
    Address line = Address.coat("line");
    return PropertySet.EMPTY
        .with(Properties.COAT_KIND.at(line), CoatKind.STROKE)
        .with(Properties.COAT_ORDER.at(line), 1.0)
        .with(Properties.STROKE_WIDTH.at(line), Length.points(4));
  }
}
