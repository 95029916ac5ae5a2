package dynamorph.app.styles.column;

import static java.util.Objects.requireNonNull;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Following;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.geometry.Point2D;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/**
 * What can be done with a style card. Resting on it shows the selection in the style; one press
 * lets the selection follow it; two clicks open the style desk; dragging it onto texts lets those
 * follow it. A single press waits until it cannot become a double one any more, so that opening a
 * style never applies it.
 */
public final class CardGestures {
  private static final Duration REST = Duration.millis(150);
  private static final Duration DOUBLE_PRESS = Duration.millis(280);
  private static final double DRAG_THRESHOLD = 6;

  private final Workspace workspace;
  private final StageView stage;
  private final Pane overlay;
  private final PauseTransition rest = new PauseTransition(REST);
  private final PauseTransition press = new PauseTransition(DOUBLE_PRESS);
  private final ImageView ghost = new ImageView();
  private final StyleMenu menu;
  private @Nullable StylesColumn attached;
  private Point2D pressedAt = Point2D.ZERO;
  private boolean dragging;
  private Optional<Edit> over = Optional.empty();

  /**
   * @param overlay lies over the whole window; the dragged specimen is shown in it
   */
  public CardGestures(Workspace workspace, StageView stage, Pane overlay) {
    this.workspace = workspace;
    this.stage = stage;
    this.overlay = overlay;
    this.menu = new StyleMenu(workspace, this::rename);
    ghost.setOpacity(0.85);
    ghost.setMouseTransparent(true);
  }

  private StyleDropTarget landing = StyleDropTarget.NONE;

  /** Gives a place beside the stage that styles can be dropped on. */
  public void setLanding(StyleDropTarget place) {
    landing = place;
  }

  void attach(StylesColumn to) {
    attached = to;
  }

  private Optional<ShelfPart> shelf = Optional.empty();

  /** Gives the shelf that styles can be put on, and taken from. */
  public void setShelf(ShelfPart part) {
    menu.setShelf(part);
    shelf = Optional.of(part);
    part.list().setCarrier(new LookCarrier(this, part));
  }

  /** Lets a picture follow the pointer; it is over everything else. */
  void carry(Image picture, double width) {
    ghost.setImage(picture);
    ghost.setFitWidth(width);
    ghost.setPreserveRatio(true);
    overlay.getChildren().add(ghost);
  }

  void moveCarried(Point2D inWindow) {
    Point2D at = overlay.sceneToLocal(inWindow);
    ghost.relocate(at.getX() + 12, at.getY() + 8);
    landing.mark(inWindow);
  }

  void letGo() {
    overlay.getChildren().remove(ghost);
    landing.mark(NOWHERE);
  }

  private StylesColumn column() {
    return requireNonNull(attached);
  }

  StyleCard install(StyleCard card, StyleId id) {
    card.setId("style-" + id);
    card.setOnMouseMoved(_ -> restOn(id));
    card.addEventHandler(MouseEvent.MOUSE_ENTERED, _ -> restOn(id));
    card.addEventHandler(MouseEvent.MOUSE_EXITED, _ -> leave());
    card.setOnMousePressed(event -> pressed(card, event));
    card.setOnMouseDragged(event -> dragged(card, id, event));
    card.setOnMouseReleased(event -> released(id, event));
    card.setOnKeyPressed(event -> keyPressed(card, id, event));
    card.focusedProperty()
        .addListener((_, _, focused) -> {
          if (focused) {
            column().reveal(card);
            workspace.previewFollowing(id);
          } else {
            workspace.endPreview();
          }
        });
    card.setActions(
        new StyleCard.Actions(
            () -> workspace.attempts().openDesk(id),
            () -> choose(id, true, false),
            () -> choose(id, false, true)));
    card.setOnContextMenuRequested(event -> {
      press.stop();
      menu.of(card, id, column().chosen().with(id))
          .show(card, event.getScreenX(), event.getScreenY());
      event.consume();
    });
    return card;
  }

  /** Shows what giving a style the look of the selection would change. */
  void takeLook(Style style) {
    menu.takeLook(style);
  }

  // --- trying out
  // --------------------------------------------------------------------------------------------------

  private Optional<StyleId> resting = Optional.empty();

  private void restOn(StyleId id) {
    if (dragging || resting.filter(id::equals).isPresent()) {
      return;
    }
    resting = Optional.of(id);
    rest.setOnFinished(_ -> workspace.previewFollowing(id));
    rest.playFromStart();
  }

  private void leave() {
    rest.stop();
    resting = Optional.empty();
    if (!dragging) {
      workspace.endPreview();
    }
  }

  // --- clicking
  // ----------------------------------------------------------------------------------------------------

  private void pressed(StyleCard card, MouseEvent event) {
    if (event.getButton() != MouseButton.PRIMARY) {
      return;
    }
    pressedAt = new Point2D(event.getSceneX(), event.getSceneY());
    if (event.getClickCount() == 2) {
      press.stop();
    }
    event.consume();
  }

  private void released(StyleId id, MouseEvent event) {
    if (event.getButton() != MouseButton.PRIMARY) {
      return;
    }
    boolean moved = pressedAt.distance(event.getSceneX(), event.getSceneY()) >= DRAG_THRESHOLD;
    if (dragging || moved) {
      drop(id, event);
    } else if (event.getClickCount() == 2) {
      press.stop();
      workspace.endPreview();
      workspace.attempts().openDesk(id);
    } else if (event.isShortcutDown()) {
      column().chosen().flip(id);
    } else if (event.isShiftDown()) {
      column().chosen().extend(id);
    } else if (event.getClickCount() == 1) {
      press.setOnFinished(_ -> choose(id, false, false));
      press.playFromStart();
    }
    event.consume();
  }

  /** Lets the selection follow the style; with nothing selected the style is only picked. */
  private void choose(StyleId id, boolean onTop, boolean stamps) {
    column().chosen().clear();
    boolean deskOpen = workspace.attempts().present().desk().isPresent();
    if (deskOpen) {
      workspace.attempts().openDesk(id);
    } else if (workspace.selection().isEmpty()) {
      workspace.pickedStyleProperty().set(Optional.of(id));
      workspace.tell(Notice.info(Messages.of("card-gestures.select-texts-first-and-click-the")));
    } else {
      workspace
          .following()
          .put(
              id,
              onTop || workspace.following().applyOptionsProperty().get().onTop(),
              stamps || workspace.following().stampingProperty().get());
    }
  }

  // --- dragging
  // ----------------------------------------------------------------------------------------------------

  private void dragged(StyleCard card, StyleId id, MouseEvent event) {
    Point2D now = new Point2D(event.getSceneX(), event.getSceneY());
    if (!dragging && now.distance(pressedAt) < DRAG_THRESHOLD) {
      return;
    }
    if (!dragging) {
      dragging = true;
      rest.stop();
      workspace.endPreview();
      // a line of the compact list has no specimen, and is carried itself
      Image picture =
          workspace.view().compactStylesProperty().get()
              ? card.face.snapshot(null, null)
              : card.specimen.getImage();
      carry(picture, card.face.getWidth() * 0.7);
    }
    column().showDrop(now, id);
    shelf.ifPresent(part -> part.markShelf(now));
    boolean onTop = following().applyOptionsProperty().get().onTop();
    Optional<Edit> would =
        textsAt(now)
            .map(texts ->
                workspace
                    .following()
                    .edit(texts, id, onTop, workspace.following().stampingProperty().get()))
            .or(() -> landing.editAt(now, id, onTop));
    moveCarried(now);
    if (!would.equals(over)) {
      over = would;
      would.ifPresentOrElse(workspace::preview, workspace::endPreview);
    }
    event.consume();
  }

  private static final Point2D NOWHERE = new Point2D(-1, -1);

  private void drop(StyleId id, MouseEvent event) {
    dragging = false;
    letGo();
    workspace.endPreview();
    over = Optional.empty();
    Point2D at = new Point2D(event.getSceneX(), event.getSceneY());
    shelf.ifPresent(part -> part.markShelf(NOWHERE));
    if (shelf.filter(part -> part.isShelfAt(at)).isPresent()) {
      shelf.get().keeper().put(List.copyOf(column().chosen().with(id)));
      return;
    }
    column().drop(at, id);
    textsAt(at)
        .ifPresentOrElse(
            texts ->
                following()
                    .put(
                        texts,
                        id,
                        following().applyOptionsProperty().get().onTop(),
                        following().stampingProperty().get()),
            () ->
                landing
                    .editAt(at, id, following().applyOptionsProperty().get().onTop())
                    .ifPresent(workspace::apply));
  }

  private Following following() {
    return workspace.following();
  }

  Optional<Target.Layers> textsAt(Point2D inWindow) {
    return layerAt(inWindow).map(this::targetOf).or(() -> landing.textsAt(inWindow));
  }

  /** Dropped on one of several selected texts, a style goes to all of them. */
  private Target.Layers targetOf(LayerId layer) {
    Selection selection = workspace.selection();
    return selection.contains(layer) && selection.cursor().isEmpty()
        ? new Target.Layers(workspace.texts())
        : new Target.Layers(List.of(LinkedBoxes.of(workspace.project()).first(layer)));
  }

  private Optional<LayerId> layerAt(Point2D inWindow) {
    Point2D at = stage.sceneToLocal(inWindow);
    if (!stage.contains(at)) {
      return landing.layerAt(inWindow);
    }
    double ratio = stage.getScene().getWindow().getOutputScaleX();
    double x = stage.view().toPlaneX(at.getX() * ratio);
    double y = stage.view().toPlaneY(at.getY() * ratio);
    double tolerance = 4 / stage.view().scale();
    return stage
        .scene()
        .flatMap(scene -> scene.at(x, y, tolerance))
        .map(found -> found.text().layer().id());
  }

  // --- keys
  // --------------------------------------------------------------------------------------------------------

  private void keyPressed(StyleCard card, StyleId id, KeyEvent event) {
    switch (event.getCode()) {
      case DOWN -> column().neighbour(id, 1).ifPresent(StyleCard::requestFocus);
      case UP -> column().neighbour(id, -1).ifPresent(StyleCard::requestFocus);
      case ENTER -> {
        if (workspace.selection().isEmpty()) {
          workspace.attempts().openDesk(id);
        } else {
          choose(id, false, false);
        }
      }
      case E -> {
        if (!event.isShortcutDown()) {
          return;
        }
        workspace.attempts().openDesk(id);
      }
      case PLUS, ADD -> choose(id, true, false);
      case F2 -> rename(card, id);
      case DELETE, BACK_SPACE -> menu.delete(column().chosen().with(id));
      case ESCAPE -> {
        workspace.endPreview();
        stage.requestFocus();
      }
      case CONTEXT_MENU ->
          menu.of(card, id, column().chosen().with(id))
              .show(card, javafx.geometry.Side.BOTTOM, 20, -10);
      default -> {
        return;
      }
    }
    event.consume();
  }

  /** Puts a field in the place of the name. */
  private void rename(StyleCard card, StyleId id) {
    Style style = workspace.project().styles().get(id);
    TextField field = new TextField(style.name());
    field.getStyleClass().add("rename-field");
    card.name.setGraphic(field);
    card.name.setText("");
    boolean[] done = {false};
    Runnable finish =
        () -> {
          if (!done[0]) {
            done[0] = true;
            card.name.setGraphic(null);
            card.name.setText(style.name());
            if (!field.getText().isBlank() && !field.getText().strip().equals(style.name())) {
              workspace.apply(new ChangeStyle(style.withName(field.getText())));
            }
          }
        };
    field.setOnAction(_ -> finish.run());
    field
        .focusedProperty()
        .addListener((_, _, focused) -> {
          if (!focused) {
            finish.run();
          }
        });
    field.setOnKeyPressed(event -> {
      if (event.getCode() == javafx.scene.input.KeyCode.ESCAPE) {
        field.setText(style.name());
        finish.run();
      }
      event.consume();
    });
    field.requestFocus();
    field.selectAll();
  }
}
