package dynamorph.app.artboards.stage;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Tool;
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

/** Puts texts and shapes that were drawn onto the artboard below them. */
final class NewLayers {
  /** How wide a shape is that was only clicked, in units of the window. */
  private static final double SHAPE_WIDTH = 160;

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
    Optional<Scene.Board> board = boardBelow(plane);
    if (board.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("new-layers.begin-on-an-artboard-shapes-stand")));
      return false;
    }
    PropertySet frame =
        at(plane, board.get())
            .with(Properties.BOX, BoxFit.FIXED)
            .with(Properties.BOX_WIDTH, plane.width())
            .with(Properties.BOX_HEIGHT, plane.height());
    String id = workspace.ids().next("shape");
    Layer layer =
        Layer.of(id, shape.name(), shape).withFrame(frame).withLocal(startingFinish(shape));
    boolean added = add(layer, board.get(), Messages.of("new-layers.pen"));
    if (added) {
      workspace.select(List.of(layer.id()));
    }
    return added;
  }

  /**
   * Adds the shape of the tool in hand, and takes the selecting tool again.
   *
   * @param drawn its box on the plane
   * @param dragged whether the box was drawn by a drag; after a click it has a usual size
   * @param rising whether a line goes from the lower left to the upper right
   */
  void addShape(Box drawn, boolean dragged, boolean rising) {
    double width = SHAPE_WIDTH / (stage.view().scale() / stage.pixelRatio());
    Box box = dragged ? drawn : new Box(drawn.x(), drawn.y(), width, width * 0.6);
    Shape chosen = workspace.tools().shapeProperty().get();
    if (add(chosen instanceof Shape.Line ? new Shape.Line(rising) : chosen, box)) {
      workspace.tools().toolProperty().set(Tool.SELECT);
    }
  }

  /**
   * Adds a text without words, with the caret in it.
   *
   * @param drawn its box on the plane
   * @param dragged whether the box was drawn by a drag; after a click the text stands at a point
   */
  void addText(Box drawn, boolean dragged) {
    Optional<Scene.Board> board = boardBelow(drawn);
    if (board.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("stage-gestures.click-on-an-artboard-to-set")));
      return;
    }
    PropertySet frame = at(drawn, board.get());
    if (dragged) {
      frame =
          frame
              .with(Properties.BOX, BoxFit.FIXED)
              .with(Properties.BOX_WIDTH, Math.max(drawn.width(), 1))
              .with(Properties.BOX_HEIGHT, Math.max(drawn.height(), 1));
    }
    String id = workspace.ids().next("text");
    Layer layer = Layer.of(id, Messages.of("stage-gestures.text"), "").withFrame(frame);
    if (add(layer, board.get(), Messages.of("stage-gestures.set"))) {
      workspace.selectionProperty().set(Selection.editing(layer.id(), 0, 0));
      workspace.tools().toolProperty().set(Tool.SELECT);
    }
  }

  private boolean add(Layer layer, Scene.Board board, String name) {
    return workspace.apply(
        new ArrangeLayers.Add(
            board.artboard().id(),
            List.of(workspace.playback().timed(board.artboard(), layer)),
            name));
  }

  private Optional<Scene.Board> boardBelow(Box plane) {
    return stage
        .scene()
        .flatMap(scene ->
            scene
                .boardAt(plane.x(), plane.y())
                .or(() -> scene.boardAt(plane.right(), plane.bottom())));
  }

  private static PropertySet at(Box plane, Scene.Board board) {
    return PropertySet.EMPTY
        .with(Properties.POSITION_X, plane.x() - board.artboard().x())
        .with(Properties.POSITION_Y, plane.y() - board.artboard().y());
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
