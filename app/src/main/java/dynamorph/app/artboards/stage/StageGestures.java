package dynamorph.app.artboards.stage;

import dynamorph.app.session.Selection;
import dynamorph.app.session.Tool;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.input.ZoomEvent;

/** Turns clicks, drags and keys on the stage into selections and edits. */
final class StageGestures {
  /** How far the pointer moves before a click becomes a drag, in units of the window. */
  private static final double DRAG_THRESHOLD = 4;

  private static final double ZOOM_STEP = 1.0015;

  private enum Drag {
    NONE,
    WAITING_TO_MOVE,
    MOVING,
    MARQUEE,
    PANNING,
    WORDS,
    NEW_BOX,
    NEW_SHAPE,
    PEN,
    HANDLE,
    GRADIENT,
    SAMPLE,
    SAMPLED_WORDS,
    SAMPLED_TEXTS,
    ARTBOARD
  }

  private final Workspace workspace;
  private final StageView stage;
  private final TextKeys keys;
  private final BoxHandles boxHandles;
  private final GradientHandles gradientHandles;
  private final PenTool pen;
  private final SamplerTool sampler;
  private final SamplerGestures samplerGestures;
  private final StagePoints points;
  private final StageKeys stageKeys;
  private final NewLayers newLayers;
  private final MenuGestures menus;
  private Optional<GradientHandles.Handle> gradientGrip = Optional.empty();
  private Drag drag = Drag.NONE;
  private double pressX;
  private double pressY;
  private double lastX;
  private double lastY;
  private Selection selectionBefore = Selection.NONE;
  private Optional<LayerId> pressedSelected = Optional.empty();
  private Optional<LayerId> grasped = Optional.empty();
  private Object gesture = new Object();
  private Optional<BoxHandles.Grip> grip = Optional.empty();
  private Optional<SnappingDrag> snapping = Optional.empty();
  private Optional<ArtboardDrag> boardDrag = Optional.empty();
  private boolean beganToMove;
  private Optional<ScaleDrag> scaling = Optional.empty();

  StageGestures(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
    this.keys = new TextKeys(workspace, stage);
    this.boxHandles = new BoxHandles(workspace, stage);
    this.gradientHandles = new GradientHandles(workspace, stage);
    this.pen = new PenTool(workspace, stage);
    this.sampler = new SamplerTool(workspace);
    this.points = new StagePoints(stage);
    this.samplerGestures = new SamplerGestures(workspace, stage, points, sampler);
    this.stageKeys = new StageKeys(workspace, keys, pen, sampler, this::updateCursor);
    this.newLayers = new NewLayers(workspace, stage);
    this.menus = new MenuGestures(workspace, stage, points, keys);
    workspace
        .tools()
        .toolProperty()
        .addListener((_, before, now) -> {
          if (before == Tool.DRAW && now != Tool.DRAW) {
            pen.finish();
          }
          if (before == Tool.SAMPLER && now != Tool.SAMPLER) {
            sampler.endPreview();
          }
        });
  }

  void install() {
    stage.setOnMousePressed(this::pressed);
    stage.setOnMouseDragged(this::dragged);
    stage.setOnMouseReleased(this::released);
    stage.setOnMouseMoved(this::moved);
    stage.setOnMouseExited(_ -> {
      stage.setHovered(Optional.empty());
      if (workspace.tools().toolProperty().get() == Tool.SAMPLER) {
        sampler.endPreview();
      }
    });
    stage.setOnScroll(this::scrolled);
    stage.setOnZoom(this::zoomed);
    stage.setOnContextMenuRequested(menus::requested);
    stage.setOnKeyPressed(stageKeys::pressed);
    stage.setOnKeyReleased(stageKeys::released);
    stage.setOnKeyTyped(keys::typed);
    keys.installInputMethod();
  }

  private void pressed(MouseEvent event) {
    stage.requestFocus();
    workspace.clearNotice();
    pressX = lastX = event.getX();
    pressY = lastY = event.getY();
    gesture = new Object();
    drag = begin(event);
    event.consume();
  }

  private Drag begin(MouseEvent event) {
    boolean pans =
        event.getButton() == MouseButton.MIDDLE
            || stageKeys.isSpaceHeld()
            || workspace.tools().toolProperty().get() == Tool.HAND;
    if (pans) {
      stage.setCursor(Cursor.CLOSED_HAND);
      return Drag.PANNING;
    }
    if (event.getButton() != MouseButton.PRIMARY) {
      return Drag.NONE;
    }
    if (workspace.tools().toolProperty().get() == Tool.SAMPLER) {
      return switch (samplerGestures.pressed(event)) {
        case NOTHING -> Drag.NONE;
        case ON_A_TEXT -> Drag.SAMPLE;
        case BESIDE_TEXTS -> Drag.SAMPLED_TEXTS;
      };
    }
    Optional<Scene.Found> overset = stage.oversetTagAt(event.getX(), event.getY());
    if (overset.isPresent() && workspace.tools().tool() == Tool.SELECT) {
      menus.ofOverset(overset.get(), event.getScreenX(), event.getScreenY());
      return Drag.NONE;
    }
    gradientGrip = gradientHandles.at(event.getX(), event.getY());
    if (gradientGrip.isPresent()) {
      return Drag.GRADIENT;
    }
    // on a text that is small on the screen its handles lie everywhere; two clicks mean its words
    boolean twice = event.getClickCount() >= 2;
    grip = twice ? Optional.empty() : boxHandles.at(event.getX(), event.getY());
    if (grip.isPresent()) {
      if (grip.get().scales()) {
        scaling = ScaleDrag.of(workspace, stage, grip.get(), gesture);
      } else {
        snapping = Optional.of(new SnappingDrag(workspace, stage, grip.get().layer(), gesture));
      }
      return Drag.HANDLE;
    }
    Optional<Scene.Found> hit = points.hit(event.getX(), event.getY());
    Optional<Selection.Cursor> editing = workspace.selection().cursor();
    boolean inEdited =
        editing.isPresent()
            && hit.filter(found -> found.text().text().equals(editing.get().layer())).isPresent();
    if (inEdited) {
      pressInText(hit.get(), event);
      return Drag.WORDS;
    }
    if (workspace.tools().toolProperty().get() == Tool.TEXT) {
      return pressWithTextTool(hit, event);
    }
    if (workspace.tools().toolProperty().get() == Tool.SHAPE) {
      workspace.select(List.of());
      return Drag.NEW_SHAPE;
    }
    if (workspace.tools().toolProperty().get() == Tool.DRAW) {
      return pen.pressed(event.getX(), event.getY(), event.getClickCount()) ? Drag.PEN : Drag.NONE;
    }
    if (hit.filter(StageGestures::isText).isPresent() && event.getClickCount() >= 2) {
      edit(hit.get(), event);
      return Drag.WORDS;
    }
    if (hit.isEmpty()) {
      Optional<Artboard> named = named(event);
      if (named.isPresent()) {
        return pressOnName(named.get(), event);
      }
    }
    return pressToSelect(hit, event);
  }

  /** The artboard whose name lies under the pointer, where artboards can be moved. */
  private Optional<Artboard> named(MouseEvent event) {
    return stage
        .scene()
        .flatMap(
            scene -> ArtboardNames.at(scene.boards(), points::inNode, event.getX(), event.getY()))
        .filter(board -> !board.isFilm())
        .filter(_ -> workspace.tools().tool() == Tool.SELECT);
  }

  private Drag pressOnName(Artboard board, MouseEvent event) {
    if (event.getClickCount() == 2) {
      stage.menus().ifPresent(menus -> menus.openSettings(board));
      return Drag.NONE;
    }
    workspace.select(List.of());
    boardDrag = Optional.of(new ArtboardDrag(workspace, stage, board, gesture));
    return Drag.ARTBOARD;
  }

  static boolean isText(Scene.Found found) {
    return found.text().layer().isText();
  }

  private Drag pressWithTextTool(Optional<Scene.Found> hit, MouseEvent event) {
    if (hit.filter(StageGestures::isText).isPresent()) {
      edit(hit.get(), event);
      return Drag.WORDS;
    }
    workspace.select(List.of());
    return Drag.NEW_BOX;
  }

  private Drag pressToSelect(Optional<Scene.Found> hit, MouseEvent event) {
    pressedSelected = Optional.empty();
    if (hit.isEmpty()) {
      selectionBefore = event.isShiftDown() ? workspace.selection() : Selection.NONE;
      workspace.selectionProperty().set(selectionBefore);
      return Drag.MARQUEE;
    }
    LayerId id = hit.get().text().layer().id();
    grasped = Optional.of(id);
    if (event.isShiftDown() || event.isShortcutDown()) {
      workspace.selectionProperty().set(workspace.selection().toggled(id));
    } else if (workspace.selection().contains(id) && workspace.selection().cursor().isEmpty()) {
      pressedSelected = Optional.of(id);
    } else {
      workspace.select(List.of(id));
    }
    return Drag.WAITING_TO_MOVE;
  }

  private void edit(Scene.Found found, MouseEvent event) {
    int offset = points.offsetAt(found, event.getX(), event.getY());
    workspace.selectionProperty().set(Selection.editing(found.text().text(), offset, offset));
  }

  private void pressInText(Scene.Found found, MouseEvent event) {
    int offset = points.offsetAt(found, event.getX(), event.getY());
    LayerId id = found.text().text();
    switch (event.getClickCount()) {
      case 1 -> {
        int anchor =
            event.isShiftDown() ? workspace.selection().cursor().orElseThrow().anchor() : offset;
        workspace.selectionProperty().set(Selection.editing(id, anchor, offset));
      }
      case 2 -> keys.selectWord(found.text(), offset);
      case 3 -> keys.selectLine(found.text(), offset);
      default -> keys.selectParagraph(found.text(), offset);
    }
  }

  private void dragged(MouseEvent event) {
    double across = event.getX() - lastX;
    double down = event.getY() - lastY;
    switch (drag) {
      case PANNING -> stage.pan(across, down);
      case WAITING_TO_MOVE -> {
        if (event.isAltDown()) {
          return; // the texts leave the window
        }
        if (isFar(event)) {
          drag = Drag.MOVING;
          snapping = grasped.map(id -> new SnappingDrag(workspace, stage, id, gesture));
          move(event);
        } else {
          return;
        }
      }
      case MOVING -> {
        move(event);
        stage.dropPlace().ifPresent(place -> place.over(inWindow(event)));
      }
      case MARQUEE -> marquee(event);
      case NEW_BOX ->
          stage.setMarquee(Optional.of(Box.between(pressX, pressY, event.getX(), event.getY())));
      case NEW_SHAPE -> stage.setMarquee(Optional.of(drawnBox(event)));
      case PEN -> pen.dragged(event.getX(), event.getY());
      case WORDS -> extendWords(event);
      case ARTBOARD -> moveArtboard(event);
      case HANDLE -> resize(event);
      case SAMPLE -> {
        if (isFar(event) && samplerGestures.isOnWords()) {
          drag = Drag.SAMPLED_WORDS;
          samplerGestures.showWords(pressX, pressY, event);
        }
      }
      case SAMPLED_WORDS -> samplerGestures.showWords(pressX, pressY, event);
      case SAMPLED_TEXTS ->
          stage.setMarquee(Optional.of(Box.between(pressX, pressY, event.getX(), event.getY())));
      case GRADIENT ->
          gradientGrip.ifPresent(
              handle -> gradientHandles.move(handle, event.getX(), event.getY(), gesture));
      case NONE -> {}
    }
    lastX = event.getX();
    lastY = event.getY();
    event.consume();
  }

  private boolean isFar(MouseEvent event) {
    return Math.hypot(event.getX() - pressX, event.getY() - pressY) >= DRAG_THRESHOLD;
  }

  /** With Shift along one axis; with the shortcut key it snaps to nothing. */
  private void move(MouseEvent event) {
    double across = (event.getX() - pressX) / points.scale();
    double down = (event.getY() - pressY) / points.scale();
    boolean sideways = Math.abs(across) >= Math.abs(down);
    if (!workspace.selection().isEmpty()) {
      snapping.ifPresent(moving ->
          moving.move(
              event.isShiftDown() && !sideways ? 0 : across,
              event.isShiftDown() && sideways ? 0 : down,
              event.isShortcutDown()));
    }
  }

  private void moveArtboard(MouseEvent event) {
    if (isFar(event) || beganToMove) {
      beganToMove = true;
      double scale = points.scale();
      boardDrag.ifPresent(board ->
          board.move(
              (event.getX() - pressX) / scale,
              (event.getY() - pressY) / scale,
              event.isShortcutDown()));
    }
  }

  private void resize(MouseEvent event) {
    double across = (event.getX() - pressX) / points.scale();
    double down = (event.getY() - pressY) / points.scale();
    scaling.ifPresent(text -> text.move(across, down));
    grip =
        grip.flatMap(handle ->
            snapping.flatMap(
                sides -> sides.resize(boxHandles, handle, across, down, event.isShortcutDown())));
  }

  private void marquee(MouseEvent event) {
    Box box = Box.between(pressX, pressY, event.getX(), event.getY());
    stage.setMarquee(Optional.of(box));
    stage
        .scene()
        .ifPresent(scene -> {
          List<LayerId> touched =
              scene.touching(points.toPlane(box)).stream()
                  .map(found -> found.text().layer().id())
                  .toList();
          workspace.selectionProperty().set(selectionBefore.with(touched));
        });
  }

  private void extendWords(MouseEvent event) {
    Optional<Selection.Cursor> cursor = workspace.selection().cursor();
    // words are marked on into the other boxes of the text
    Optional<Scene.Found> found =
        points
            .hit(event.getX(), event.getY())
            .filter(hit -> cursor.isPresent() && hit.text().text().equals(cursor.get().layer()))
            .or(stage::edited);
    if (cursor.isPresent() && found.isPresent() && isFar(event)) {
      int offset = points.offsetAt(found.get(), event.getX(), event.getY());
      workspace
          .selectionProperty()
          .set(Selection.editing(cursor.get().layer(), cursor.get().anchor(), offset));
    }
  }

  /**
   * The stretch between the last drag event and the release counts too; some platforms send no
   * other.
   */
  private void released(MouseEvent event) {
    boolean moved = event.getX() != lastX || event.getY() != lastY;
    if (moved && event.getButton() == MouseButton.PRIMARY) {
      dragged(event);
    }
    switch (drag) {
      case MARQUEE -> stage.setMarquee(Optional.empty());
      case NEW_BOX -> {
        stage.setMarquee(Optional.empty());
        newLayers.addText(
            points.toPlane(Box.between(pressX, pressY, event.getX(), event.getY())), isFar(event));
      }
      case NEW_SHAPE -> {
        stage.setMarquee(Optional.empty());
        newLayers.addShape(
            points.toPlane(drawnBox(event)),
            isFar(event),
            (event.getX() < pressX) != (event.getY() < pressY));
      }
      case WAITING_TO_MOVE -> pressedSelected.ifPresent(id -> workspace.select(List.of(id)));
      case SAMPLE -> samplerGestures.stampText(event);
      case SAMPLED_WORDS -> samplerGestures.stampWords(pressX, pressY, event);
      case SAMPLED_TEXTS ->
          samplerGestures.stampTexts(
              Box.between(pressX, pressY, event.getX(), event.getY()), isFar(event), event);
      case MOVING -> dropOrEnd(event);
      case HANDLE, GRADIENT -> workspace.endGesture();
      default -> {}
    }
    drag = Drag.NONE;
    scaling.ifPresent(ScaleDrag::end);
    scaling = Optional.empty();
    snapping.ifPresent(SnappingDrag::end);
    boardDrag.ifPresent(ArtboardDrag::end);
    boardDrag = Optional.empty();
    beganToMove = false;
    snapping = Optional.empty();
    updateCursor();
    event.consume();
  }

  private static Point2D inWindow(MouseEvent event) {
    return new Point2D(event.getSceneX(), event.getSceneY());
  }

  /**
   * Texts dropped outside the stage go back to where they were; what was hit takes note of them.
   */
  private void dropOrEnd(MouseEvent event) {
    workspace.endGesture();
    Optional<StageView.DropPlace> place =
        stage.dropPlace().filter(there -> there.over(inWindow(event)));
    if (place.isPresent()) {
      workspace.undo();
      place.get().drop(inWindow(event));
    }
  }

  /** What is drawn; with Shift it is as wide as high. */
  private Box drawnBox(MouseEvent event) {
    double x = event.getX();
    double y = event.getY();
    if (event.isShiftDown()) {
      double side = Math.max(Math.abs(x - pressX), Math.abs(y - pressY));
      x = pressX + Math.copySign(side, x - pressX);
      y = pressY + Math.copySign(side, y - pressY);
    }
    return Box.between(pressX, pressY, x, y);
  }

  private void moved(MouseEvent event) {
    if (workspace.tools().toolProperty().get() == Tool.DRAW) {
      pen.moved(event.getX(), event.getY());
      stage.setCursor(Cursor.CROSSHAIR);
      return;
    }
    Optional<Scene.Found> hit = points.hit(event.getX(), event.getY());
    if (workspace.tools().toolProperty().get() == Tool.SAMPLER) {
      samplerGestures.moved(event, hit);
      return;
    }
    if (gradientHandles.at(event.getX(), event.getY()).isPresent()
        || stage.oversetTagAt(event.getX(), event.getY()).isPresent()) {
      stage.setCursor(Cursor.HAND);
      return;
    }
    Optional<BoxHandles.Grip> over = boxHandles.at(event.getX(), event.getY());
    if (over.isPresent()) {
      stage.setCursor(over.get().cursor());
      return;
    }
    if (hit.isEmpty() && named(event).isPresent()) {
      stage.setHovered(Optional.empty());
      stage.setCursor(Cursor.MOVE);
      return;
    }
    boolean shows = workspace.tools().toolProperty().get() != Tool.HAND;
    stage.setHovered(hit.filter(_ -> shows).map(found -> found.text().layer().id()));
    boolean overEdited =
        workspace.selection().cursor().isPresent()
            && hit.map(found -> found.text().text())
                .equals(workspace.selection().cursor().map(Selection.Cursor::layer));
    if (overEdited || workspace.tools().toolProperty().get() == Tool.TEXT) {
      stage.setCursor(Cursor.TEXT);
    } else {
      updateCursor();
    }
  }

  private void updateCursor() {
    stage.setCursor(
        stageKeys.isSpaceHeld() || workspace.tools().toolProperty().get() == Tool.HAND
            ? Cursor.OPEN_HAND
            : switch (workspace.tools().toolProperty().get()) {
              case TEXT -> Cursor.TEXT;
              case SHAPE, DRAW, SAMPLER -> Cursor.CROSSHAIR;
              case SELECT, HAND -> Cursor.DEFAULT;
            });
  }

  private void scrolled(ScrollEvent event) {
    if (event.isShortcutDown()) {
      stage.zoom(Math.pow(ZOOM_STEP, event.getDeltaY()), event.getX(), event.getY());
    } else {
      stage.pan(event.getDeltaX(), event.getDeltaY());
    }
    event.consume();
  }

  private void zoomed(ZoomEvent event) {
    stage.zoom(event.getZoomFactor(), event.getX(), event.getY());
    event.consume();
  }
}
