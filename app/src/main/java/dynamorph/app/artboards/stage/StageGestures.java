package dynamorph.app.artboards.stage;

import dynamorph.app.artboards.text.spelling.SpellingMenu;
import dynamorph.app.artboards.text.spelling.SpellingService;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Tool;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.BoxFit;
import dynamorph.paint.scene.PlanePoint;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.input.ZoomEvent;

/** Turns clicks, drags and keys on the stage into selections and edits. */
final class StageGestures {
  /** How far the pointer moves before a click becomes a drag, in units of the window. */
  private static final double DRAG_THRESHOLD = 4;

  /** How far off a text a click may be and still hit it. */
  private static final double TOLERANCE = 3;

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
    SAMPLED_TEXTS
  }

  private final Workspace workspace;
  private final StageView stage;
  private final TextKeys keys;
  private final BoxHandles boxHandles;
  private final GradientHandles gradientHandles;
  private final PenTool pen;
  private final SamplerTool sampler;
  private Optional<Scene.Found> sampledOn = Optional.empty();
  private Optional<GradientHandles.Handle> gradientGrip = Optional.empty();
  private Drag drag = Drag.NONE;
  private double pressX;
  private double pressY;
  private double lastX;
  private double lastY;
  private boolean spaceHeld;
  private Selection selectionBefore = Selection.NONE;
  private Optional<LayerId> pressedSelected = Optional.empty();
  private Object gesture = new Object();
  private Optional<BoxHandles.Grip> grip = Optional.empty();

  StageGestures(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
    this.keys = new TextKeys(workspace, stage);
    this.boxHandles = new BoxHandles(workspace, stage);
    this.gradientHandles = new GradientHandles(workspace, stage);
    this.pen = new PenTool(workspace, stage);
    this.sampler = new SamplerTool(workspace);
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
    stage.setOnContextMenuRequested(this::menuRequested);
    stage.setOnKeyPressed(this::keyPressed);
    stage.setOnKeyReleased(this::keyReleased);
    stage.setOnKeyTyped(keys::typed);
    keys.installInputMethod();
  }

  // --- pointer
  // -----------------------------------------------------------------------------------------------------

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
            || spaceHeld
            || workspace.tools().toolProperty().get() == Tool.HAND;
    if (pans) {
      stage.setCursor(Cursor.CLOSED_HAND);
      return Drag.PANNING;
    }
    if (event.getButton() != MouseButton.PRIMARY) {
      return Drag.NONE;
    }
    if (workspace.tools().toolProperty().get() == Tool.SAMPLER) {
      return pressWithSampler(event);
    }
    gradientGrip = gradientHandles.at(event.getX(), event.getY());
    if (gradientGrip.isPresent()) {
      return Drag.GRADIENT;
    }
    // on a text that is small on the screen its handles lie everywhere; two clicks mean its words
    boolean twice = event.getClickCount() >= 2;
    grip = twice ? Optional.empty() : boxHandles.at(event.getX(), event.getY());
    if (grip.isPresent()) {
      return Drag.HANDLE;
    }
    Optional<Scene.Found> hit = hit(event.getX(), event.getY());
    Optional<Selection.Cursor> editing = workspace.selection().cursor();
    boolean inEdited =
        editing.isPresent()
            && hit.filter(found -> found.text().layer().id().equals(editing.get().layer()))
                .isPresent();
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
    return pressToSelect(hit, event);
  }

  private static boolean isText(Scene.Found found) {
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

  private Drag pressWithSampler(MouseEvent event) {
    sampler.endPreview();
    sampledOn = hit(event.getX(), event.getY());
    if (sampledOn.isEmpty()) {
      return sampler.takes() ? Drag.NONE : Drag.SAMPLED_TEXTS;
    }
    if (sampler.takes()) {
      sampler.take(
          sampledOn.get(),
          isText(sampledOn.get()) ? offsetAt(sampledOn.get(), event.getX(), event.getY()) : 0);
      return Drag.NONE;
    }
    return Drag.SAMPLE;
  }

  /** A click stamps the text, or with Shift the word; a drag stamps what it covered. */
  private void stampSample(MouseEvent event) {
    Scene.Found found = sampledOn.orElseThrow();
    LayerId id = found.text().layer().id();
    if (event.isShiftDown() && isText(found)) {
      sampler.stamp(SamplerTool.word(found, offsetAt(found, event.getX(), event.getY())));
    } else {
      sampler.stampLayers(List.of(id));
    }
  }

  private void stampWords(MouseEvent event) {
    Scene.Found found = sampledOn.orElseThrow();
    int from = offsetAt(found, pressX, pressY);
    int to = offsetAt(found, event.getX(), event.getY());
    workspace.select(List.of());
    if (from != to) {
      sampler.stamp(new Target.Words(found.text().layer().id(), TextRange.between(from, to)));
    }
  }

  /** With Ctrl only what lies wholly inside is stamped. */
  private void stampTexts(MouseEvent event) {
    Box box = toPlane(Box.between(pressX, pressY, event.getX(), event.getY()));
    stage.setMarquee(Optional.empty());
    if (!isFar(event)) {
      return;
    }
    stage
        .scene()
        .map(scene ->
            scene.touching(box).stream()
                .filter(found -> !event.isShortcutDown() || encloses(box, found))
                .map(found -> found.text().layer().id())
                .toList())
        .filter(ids -> !ids.isEmpty())
        .ifPresent(sampler::stampLayers);
  }

  private static boolean encloses(Box box, Scene.Found found) {
    Box own = StageView.onPlane(found);
    return box.x() <= own.x()
        && box.y() <= own.y()
        && box.right() >= own.right()
        && box.bottom() >= own.bottom();
  }

  private Drag pressToSelect(Optional<Scene.Found> hit, MouseEvent event) {
    pressedSelected = Optional.empty();
    if (hit.isEmpty()) {
      selectionBefore = event.isShiftDown() ? workspace.selection() : Selection.NONE;
      workspace.selectionProperty().set(selectionBefore);
      return Drag.MARQUEE;
    }
    LayerId id = hit.get().text().layer().id();
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
    int offset = offsetAt(found, event.getX(), event.getY());
    workspace.selectionProperty().set(Selection.editing(found.text().layer().id(), offset, offset));
  }

  private void pressInText(Scene.Found found, MouseEvent event) {
    int offset = offsetAt(found, event.getX(), event.getY());
    LayerId id = found.text().layer().id();
    switch (event.getClickCount()) {
      case 1 -> {
        int anchor =
            event.isShiftDown() ? workspace.selection().cursor().orElseThrow().anchor() : offset;
        workspace.selectionProperty().set(Selection.editing(id, anchor, offset));
      }
      case 2 -> keys.selectWord(found.text().layer(), offset);
      case 3 -> keys.selectLine(found.text().layer(), found.text().layout(), offset);
      default -> keys.selectParagraph(found.text().layer(), offset);
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
          move(event.getX() - pressX, event.getY() - pressY);
        } else {
          return;
        }
      }
      case MOVING -> {
        move(across, down);
        stage.dropPlace().ifPresent(place -> place.over(inWindow(event)));
      }
      case MARQUEE -> marquee(event);
      case NEW_BOX ->
          stage.setMarquee(Optional.of(Box.between(pressX, pressY, event.getX(), event.getY())));
      case NEW_SHAPE -> stage.setMarquee(Optional.of(drawnBox(event)));
      case PEN -> pen.dragged(event.getX(), event.getY());
      case WORDS -> extendWords(event);
      case HANDLE -> resize(across, down);
      case SAMPLE -> {
        if (isFar(event) && sampledOn.filter(StageGestures::isText).isPresent()) {
          drag = Drag.SAMPLED_WORDS;
          showSampledWords(event);
        }
      }
      case SAMPLED_WORDS -> showSampledWords(event);
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

  private void showSampledWords(MouseEvent event) {
    Scene.Found found = sampledOn.orElseThrow();
    workspace
        .selectionProperty()
        .set(
            Selection.editing(
                found.text().layer().id(),
                offsetAt(found, pressX, pressY),
                offsetAt(found, event.getX(), event.getY())));
  }

  private boolean isFar(MouseEvent event) {
    return Math.hypot(event.getX() - pressX, event.getY() - pressY) >= DRAG_THRESHOLD;
  }

  private void move(double across, double down) {
    double scale = stage.view().scale() / stage.pixelRatio();
    if (!workspace.selection().isEmpty()) {
      workspace.apply(
          new MoveLayers(
              new Target.Layers(workspace.selection().layers()), across / scale, down / scale),
          Optional.of(gesture));
    }
  }

  private void resize(double across, double down) {
    double scale = stage.view().scale() / stage.pixelRatio();
    grip.ifPresent(handle ->
        workspace.apply(handle.moved(across / scale, down / scale), Optional.of(gesture)));
    grip = grip.flatMap(boxHandles::again);
  }

  private void marquee(MouseEvent event) {
    Box box = Box.between(pressX, pressY, event.getX(), event.getY());
    stage.setMarquee(Optional.of(box));
    stage
        .scene()
        .ifPresent(scene -> {
          List<LayerId> touched =
              scene.touching(toPlane(box)).stream()
                  .map(found -> found.text().layer().id())
                  .toList();
          workspace.selectionProperty().set(selectionBefore.with(touched));
        });
  }

  private void extendWords(MouseEvent event) {
    Optional<Selection.Cursor> cursor = workspace.selection().cursor();
    Optional<Scene.Found> found = stage.edited();
    if (cursor.isPresent() && found.isPresent() && isFar(event)) {
      int offset = offsetAt(found.get(), event.getX(), event.getY());
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
        newText(event);
      }
      case NEW_SHAPE -> {
        stage.setMarquee(Optional.empty());
        newShape(event);
      }
      case WAITING_TO_MOVE -> pressedSelected.ifPresent(id -> workspace.select(List.of(id)));
      case SAMPLE -> stampSample(event);
      case SAMPLED_WORDS -> stampWords(event);
      case SAMPLED_TEXTS -> stampTexts(event);
      case MOVING -> dropOrEnd(event);
      case HANDLE, GRADIENT -> workspace.endGesture();
      default -> {}
    }
    drag = Drag.NONE;
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

  private void newShape(MouseEvent event) {
    Box drawn = toPlane(drawnBox(event));
    if (!isFar(event)) {
      double width = SHAPE_WIDTH / (stage.view().scale() / stage.pixelRatio());
      drawn = new Box(drawn.x(), drawn.y(), width, width * 0.6);
    }
    Shape shape = workspace.tools().shapeProperty().get();
    if (shape instanceof Shape.Line) {
      shape = new Shape.Line((event.getX() < pressX) != (event.getY() < pressY));
    }
    if (new NewLayers(workspace, stage).add(shape, drawn)) {
      workspace.tools().toolProperty().set(Tool.SELECT);
    }
  }

  /** How wide a shape is that was only pressed, in units of the window. */
  private static final double SHAPE_WIDTH = 160;

  private void newText(MouseEvent event) {
    Box drawn = toPlane(Box.between(pressX, pressY, event.getX(), event.getY()));
    Optional<Scene.Board> board =
        stage
            .scene()
            .flatMap(scene ->
                scene
                    .boardAt(drawn.x(), drawn.y())
                    .or(() -> scene.boardAt(drawn.right(), drawn.bottom())));
    if (board.isEmpty()) {
      workspace.tell(
          dynamorph.app.session.Notice.info(
              Messages.of("stage-gestures.click-on-an-artboard-to-set")));
      return;
    }
    PropertySet frame =
        PropertySet.EMPTY
            .with(Properties.POSITION_X, drawn.x() - board.get().artboard().x())
            .with(Properties.POSITION_Y, drawn.y() - board.get().artboard().y());
    if (isFar(event)) {
      frame =
          frame
              .with(Properties.BOX, BoxFit.FIXED)
              .with(Properties.BOX_WIDTH, Math.max(drawn.width(), 1))
              .with(Properties.BOX_HEIGHT, Math.max(drawn.height(), 1));
    }
    String id = workspace.ids().next("text");
    Layer layer = Layer.of(id, Messages.of("stage-gestures.text"), "").withFrame(frame);
    if (workspace.apply(
        new ArrangeLayers.Add(
            board.get().artboard().id(),
            List.of(workspace.playback().timed(board.get().artboard(), layer)),
            Messages.of("stage-gestures.set")))) {
      workspace.selectionProperty().set(Selection.editing(layer.id(), 0, 0));
      workspace.tools().toolProperty().set(Tool.SELECT);
    }
  }

  private void moved(MouseEvent event) {
    if (workspace.tools().toolProperty().get() == Tool.DRAW) {
      pen.moved(event.getX(), event.getY());
      stage.setCursor(Cursor.CROSSHAIR);
      return;
    }
    Optional<Scene.Found> hit = hit(event.getX(), event.getY());
    if (workspace.tools().toolProperty().get() == Tool.SAMPLER) {
      overWithSampler(event, hit);
      return;
    }
    if (gradientHandles.at(event.getX(), event.getY()).isPresent()) {
      stage.setCursor(Cursor.HAND);
      return;
    }
    Optional<BoxHandles.Grip> over = boxHandles.at(event.getX(), event.getY());
    if (over.isPresent()) {
      stage.setCursor(over.get().cursor());
      return;
    }
    boolean shows = workspace.tools().toolProperty().get() != Tool.HAND;
    stage.setHovered(hit.filter(_ -> shows).map(found -> found.text().layer().id()));
    boolean overEdited =
        workspace.selection().cursor().isPresent()
            && hit.map(found -> found.text().layer().id())
                .equals(workspace.selection().cursor().map(Selection.Cursor::layer));
    if (overEdited || workspace.tools().toolProperty().get() == Tool.TEXT) {
      stage.setCursor(Cursor.TEXT);
    } else {
      updateCursor();
    }
  }

  private void overWithSampler(MouseEvent event, Optional<Scene.Found> hit) {
    stage.setHovered(hit.map(found -> found.text().layer().id()));
    stage.setCursor(Cursor.CROSSHAIR);
    boolean stamps = !sampler.takes();
    sampler.preview(
        hit.filter(_ -> stamps)
            .map(found ->
                event.isShiftDown() && isText(found)
                    ? SamplerTool.word(found, offsetAt(found, event.getX(), event.getY()))
                    : new Target.Layers(List.of(found.text().layer().id()))));
  }

  private void updateCursor() {
    stage.setCursor(
        spaceHeld || workspace.tools().toolProperty().get() == Tool.HAND
            ? Cursor.OPEN_HAND
            : switch (workspace.tools().toolProperty().get()) {
              case TEXT -> Cursor.TEXT;
              case SHAPE, DRAW, SAMPLER -> Cursor.CROSSHAIR;
              case SELECT, HAND -> Cursor.DEFAULT;
            });
  }

  /** On a misspelt word: what may have been meant. */
  private void menuRequested(ContextMenuEvent event) {
    Optional<SpellingService> spelling = stage.spelling();
    Optional<Scene.Found> hit =
        event.isKeyboardTrigger() ? stage.edited() : hit(event.getX(), event.getY());
    if (spelling.isEmpty() || hit.isEmpty()) {
      return;
    }
    int offset =
        event.isKeyboardTrigger()
            ? workspace.selection().cursor().map(Selection.Cursor::caret).orElse(0)
            : offsetAt(hit.get(), event.getX(), event.getY());
    var text = hit.get().text();
    spelling
        .get()
        .at(text.layer().story(), text.look(), offset)
        .ifPresent(wrong ->
            new SpellingMenu(workspace, spelling.get())
                .open(stage, text.layer().id(), wrong, event.getScreenX(), event.getScreenY()));
    event.consume();
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

  // --- keys
  // --------------------------------------------------------------------------------------------------------

  private void keyPressed(KeyEvent event) {
    if (workspace.selection().cursor().isPresent()) {
      if (keys.pressed(event)) {
        event.consume();
      }
      return;
    }
    if (workspace.tools().toolProperty().get() == Tool.DRAW && pen.keyPressed(event)) {
      event.consume();
      return;
    }
    boolean plain = !event.isShortcutDown() && !event.isControlDown();
    boolean handled =
        switch (event.getCode()) {
          case SPACE -> {
            spaceHeld = plain;
            updateCursor();
            yield plain;
          }
          case ENTER, F2 -> plain && editSelected();
          case ESCAPE -> {
            if (workspace.tools().toolProperty().get() == Tool.SAMPLER) {
              if (!sampler.stepBack()) {
                workspace.tools().toolProperty().set(Tool.SELECT);
              }
              yield true;
            }
            boolean had = !workspace.selection().isEmpty();
            workspace.select(List.of());
            yield had;
          }
          case LEFT -> nudge(event, -1, 0);
          case RIGHT -> nudge(event, 1, 0);
          case UP -> nudge(event, 0, -1);
          case DOWN -> nudge(event, 0, 1);
          default -> false;
        };
    if (handled) {
      event.consume();
    }
  }

  private void keyReleased(KeyEvent event) {
    if (event.getCode() == KeyCode.SPACE) {
      spaceHeld = false;
      updateCursor();
    }
  }

  private boolean editSelected() {
    if (workspace.selection().layers().size() != 1) {
      return false;
    }
    LayerId id = workspace.selection().layers().getFirst();
    if (workspace.project().layer(id).filter(Layer::isText).isEmpty()) {
      return false;
    }
    int end = workspace.project().layer(id).map(layer -> layer.story().length()).orElse(0);
    workspace.selectionProperty().set(Selection.editing(id, 0, end));
    return true;
  }

  /**
   * Points by which an arrow key moves what is selected; with Shift ten times that, with Alt a
   * tenth.
   */
  private boolean nudge(KeyEvent event, int across, int down) {
    if (workspace.selection().isEmpty() || event.isShortcutDown()) {
      return false;
    }
    double step = event.isShiftDown() ? 10 : event.isAltDown() ? 0.1 : 1;
    workspace.apply(
        new MoveLayers(
            new Target.Layers(workspace.selection().layers()), across * step, down * step),
        Optional.of("nudge " + workspace.selection().layers()));
    return true;
  }

  // --- geometry
  // ----------------------------------------------------------------------------------------------------

  private Optional<Scene.Found> hit(double x, double y) {
    double tolerance = TOLERANCE * stage.pixelRatio() / stage.view().scale();
    return stage.scene().flatMap(scene -> scene.at(planeX(x), planeY(y), tolerance));
  }

  private int offsetAt(Scene.Found found, double x, double y) {
    PlanePoint point =
        found
            .text()
            .toLayout(
                planeX(x) - found.board().artboard().x(), planeY(y) - found.board().artboard().y());
    int offset = found.text().layout().offsetAt(point.x(), point.y());
    return TextKeys.atEdge(found.text().layer().story().text(), offset);
  }

  private double planeX(double x) {
    return stage.view().toPlaneX(x * stage.pixelRatio());
  }

  private double planeY(double y) {
    return stage.view().toPlaneY(y * stage.pixelRatio());
  }

  private Box toPlane(Box box) {
    return Box.between(planeX(box.x()), planeY(box.y()), planeX(box.right()), planeY(box.bottom()));
  }
}
